namespace Ingegno.Core.Knowledge.Exercises;

/// <summary>Movement pattern, as the catalogue names it.</summary>
public enum MovementPattern
{
    Squat,
    Hinge,
    Lunge,
    HorizontalPush,
    VerticalPush,
    HorizontalPull,
    VerticalPull,
    ElbowFlexion,
    ElbowExtension,
    LateralRaise,
    RearShoulder,
    Fly,
    HipExtension,
    HipAbduction,
    HipAdduction,
    KneeFlexion,
    KneeExtension,
    PlantarFlexion,
    DorsiFlexion,
    TrunkFlexion,
    TrunkExtension,
    Rotation,
    AntiExtension,
    AntiRotation,
    LateralFlexion,
    ScapularControl,
    Carry,
    Crawl,
    Jump,
    Mobility,
    Breathing,
}

/// <summary>Main plane in which the movement runs.</summary>
public enum Plane
{
    Sagittal,
    Frontal,
    Transverse,
}

/// <summary>Several joints working together, or one.</summary>
public enum ExerciseStructure
{
    Compound,
    Isolation,
}

/// <summary>Whether both limbs work together or one at a time.</summary>
public enum Sides
{
    Bilateral,
    Unilateral,
}

/// <summary>Closed chain: the hand or foot is fixed; open chain: it moves freely.</summary>
public enum Chain
{
    Open,
    Closed,
}

/// <summary>Where in the range the resistance is felt most.</summary>
public enum Profile
{
    Stretched,
    Middle,
    Shortened,
    Even,
}

/// <summary>Where an exercise belongs.</summary>
public enum Venue
{
    Gym,
    Home,
}

/// <summary>What a set is counted in.</summary>
public enum Measure
{
    Reps,
    Seconds,
}

/// <summary>Kind of rep-maximum curve that fits the movement (docs/domain/progression).</summary>
public enum CurveKind
{
    /// <summary>Both legs under body and bar together: a squat.</summary>
    TwoLegs,

    /// <summary>Both legs or hips against a load that is nearly all that moves: a press stack, a thrust.</summary>
    Lower,
    Middle,
    SingleJoint,
}
