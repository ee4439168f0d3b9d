using System.Collections.Immutable;
using Ingegno.Core.Catalogue;

namespace Ingegno.Core.Clients;

/// <summary>Training level. Novice and intermediate tables of the trade are merged as handbook 10 gives them.</summary>
public enum Level { Beginner, Novice, Intermediate, Advanced }

/// <summary>What the training is for.</summary>
public enum Goal { Strength, Muscle, Endurance, GeneralFitness }

/// <summary>Sex as far as strength tables and segment masses need it; may be left unknown.</summary>
public enum Sex { Unknown, Male, Female }

/// <summary>How much a joint must be spared.</summary>
public enum Soreness
{
    /// <summary>Heavy stress is left out, medium stress carries a caution.</summary>
    Sore,

    /// <summary>Medium stress is left out as well.</summary>
    Injured,
}

/// <summary>A joint to spare.</summary>
public sealed record SoreJoint(Joint Joint, Soreness Severity);

/// <summary>A lift the client has done: anchor lift, external load in kg, reps reached.</summary>
/// <param name="Anchor">Id of an anchor lift in <c>data/trade/strength.json</c>.</param>
/// <param name="LoadKg">External load in kg, above 0, at most 500; for the pull-up the added load plus body mass.</param>
/// <param name="Reps">Reps reached with it, 1–20.</param>
public sealed record KnownLift(string Anchor, double LoadKg, int Reps = 1);

/// <summary>
/// What wants a clinician's clearance before hard work (handbook 06, after the pre-participation screening of the
/// American College of Sports Medicine, from memory).
/// </summary>
public enum ScreeningAnswer
{
    HeartOrVascular, MetabolicOrKidney, ChestPainOrFainting, UncontrolledBloodPressure, PregnancyOrRecentBirth, RecentSurgery, JointUnderTreatment,
    UnderSixteenWithoutGuardian, LongInactiveWithRisk,
}

/// <summary>A clearance as the coach recorded it.</summary>
/// <param name="On">Day of the clearance.</param>
/// <param name="By">Who gave it, 1–120 characters.</param>
public sealed record Clearance(DateOnly On, string By);

/// <summary>The client, as far as rebuilding a program needs it.</summary>
public sealed record ClientProfile
{
    public required Level Level { get; init; }

    public required Goal Goal { get; init; }

    public Sex Sex { get; init; }

    /// <summary>Body mass in kg, 25–300; null when not known, then a marked estimate is used.</summary>
    public double? BodyMassKg { get; init; }

    /// <summary>Stature in cm, 100–250; null when not known, then a marked estimate is used.</summary>
    public double? StatureCm { get; init; }

    /// <summary>Age in years, 10–100.</summary>
    public int? AgeYears { get; init; }

    public int? DaysPerWeek { get; init; }

    public int? MinutesPerSession { get; init; }

    public ImmutableArray<SoreJoint> SoreJoints { get; init; } = [];

    public ImmutableArray<KnownLift> KnownLifts { get; init; } = [];

    /// <summary>What logs taught of the client's strength; it goes before what is known of lifts and level.</summary>
    public ImmutableArray<LearnedLift> Learned { get; init; } = [];

    /// <summary>What logs taught of the client's own costs of rests and techniques.</summary>
    public ImmutableArray<LearnedCost> Costs { get; init; } = [];

    /// <summary>Ids of exercises the client refuses or the coach has banned for this client.</summary>
    public ImmutableArray<string> Refuses { get; init; } = [];

    /// <summary>Ids of exercises that are off by default and that the coach switched on for this client.</summary>
    public ImmutableArray<string> Allows { get; init; } = [];

    /// <summary>What the screening found.</summary>
    public ImmutableArray<ScreeningAnswer> Screening { get; init; } = [];

    /// <summary>Clearance for what the screening found; null while there is none.</summary>
    public Clearance? Clearance { get; init; }

    /// <summary>Approach that the client's plans follow unless a week or day has its own; null for the default.</summary>
    public string? Approach { get; init; }

    /// <summary>High blood pressure: no all-out isometrics, no head-down positions.</summary>
    public bool HighBloodPressure { get; init; }
}
