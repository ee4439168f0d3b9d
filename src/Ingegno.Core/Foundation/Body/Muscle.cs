namespace Ingegno.Core.Foundation.Body;

/// <summary>Muscle regions that substitution tells apart.</summary>
public enum Muscle
{
    UpperChest,
    MidChest,
    LowerChest,
    FrontDelt,
    SideDelt,
    RearDelt,
    RotatorCuff,
    Serratus,
    Lats,
    UpperBack,
    UpperTraps,
    Biceps,
    Forearms,
    Triceps,
    TricepsLong,
    Abs,
    Obliques,
    Erectors,
    Glutes,
    GluteMed,
    Adductors,
    Quads,
    RectusFemoris,
    Hamstrings,
    Calves,
    Tibialis,
    HipFlexors,
    Neck,
}
