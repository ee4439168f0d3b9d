using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Clients.Profiles;

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

    /// <summary>The screening found something that a clinician has not cleared yet: the plan stays gentle.</summary>
    [JsonIgnore]
    public bool NeedsClearance => !Screening.IsDefaultOrEmpty && Clearance is null;

    /// <summary>The client as of a day: a clearance that has ended is none.</summary>
    public ClientProfile AsOf(DateOnly day) =>
        Clearance is { } clearance && clearance.Ends(Screening.IsDefault ? [] : Screening) < day ? this with { Clearance = null } : this;

    /// <summary>Approach that the client's plans follow unless a week or day has its own; null for the default.</summary>
    public string? Approach { get; init; }

    /// <summary>High blood pressure: no all-out isometrics, no head-down positions.</summary>
    public bool HighBloodPressure { get; init; }
}
