namespace Ingegno.Core.Knowledge.Naming;

/// <summary>What a word of an exercise's name says.</summary>
public enum NameFeatureKind
{
    /// <summary>Squat, press, row: what is done.</summary>
    Movement,

    /// <summary>Barbell, cable, machine, band.</summary>
    Implement,

    /// <summary>Seated, lying, from a deficit.</summary>
    Position,

    /// <summary>Incline, flat, decline.</summary>
    Angle,

    /// <summary>Wide, neutral, underhand.</summary>
    Grip,

    /// <summary>Sumo, staggered.</summary>
    Stance,

    /// <summary>One arm, alternating.</summary>
    Limbs,

    /// <summary>Paused, slow, partial.</summary>
    Manner,

    /// <summary>Leg, chest, calf.</summary>
    Body,

    /// <summary>Front, lateral, overhead.</summary>
    Direction,

    /// <summary>A proper name of a variation: goblet, suitcase.</summary>
    Style,

    /// <summary>A word that says nothing known.</summary>
    Word,
}

/// <summary>One thing that a name says: the grip <c>wide</c>, the implement <c>dumbbell</c>.</summary>
/// <param name="Kind">What it is about.</param>
/// <param name="Id">Key of the concept in <c>data/names/naming.json</c>; the word itself for <see cref="NameFeatureKind.Word"/>.</param>
public readonly record struct NameFeature(NameFeatureKind Kind, string Id);
