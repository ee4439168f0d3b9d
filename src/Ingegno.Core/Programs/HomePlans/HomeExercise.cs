using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Loading.Objects;
using Ingegno.Core.Equipment.Loading.Sketches;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>One exercise of a home line, set up and loaded.</summary>
public sealed record HomeExercise
{
    public required string ExerciseId { get; init; }

    public required string Name { get; init; }

    public required string SetupId { get; init; }

    /// <summary>Key of the things, and their parts, that play its roles; empty when none does.</summary>
    public string Spots { get; init; } = string.Empty;

    /// <summary>Things and load with which its figure is drawn, see <see cref="Knowledge.Figures.FigureProps"/>; null in older plans.</summary>
    public string? DrawnWith { get; init; }

    /// <summary>The set-up in words: implement, band, object.</summary>
    public required string Setup { get; init; }

    /// <summary>External load in kg, 0 for none; for a band its force.</summary>
    public required double ExternalKg { get; init; }

    /// <summary>Load that the working limbs move, kg; null where load is not the measure.</summary>
    public double? SystemLoadKg { get; init; }

    /// <summary>Resistance over the rep in kg: muscle long, middle, short; null where load is not the measure.</summary>
    public ResistanceRange? Resistance { get; init; }

    /// <summary>True when the body's part of the load is an estimate.</summary>
    public bool LoadEstimated { get; init; }

    /// <summary>What the body's part of the load rests on.</summary>
    public Reason? LoadBasis { get; init; }

    /// <summary>What was checked of the objects, with the sums.</summary>
    public ImmutableArray<ObjectVerdict> Checks { get; init; } = [];

    /// <summary>What is packed for it; null where nothing is.</summary>
    public PackedBag? Bag { get; init; }

    /// <summary>Bands as they are rigged for it; empty without one.</summary>
    public ImmutableArray<RiggedBand> Bands { get; init; } = [];

    /// <summary>Expected reps to failure with the techniques; null where reps are not the measure.</summary>
    public RepRange? Expected { get; init; }

    /// <summary>Expected reps to failure in words, null where reps are not the measure: who reads the answer is told so.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.Never)]
    public string? ExpectedReps => Expected?.InWords;

    /// <summary>Middle of the expected reps to failure, with the techniques; null where reps are not the measure.</summary>
    public double? RepsToFailure => Expected is { } reps ? Math.Round(reps.Mid, 1) : null;

    /// <summary>Reps to failure that the line wants, as a zone.</summary>
    public Bounds? Wanted { get; init; }

    /// <summary>Reps to failure that count as on target; null where reps are not the measure.</summary>
    public RepAim? Aim { get; init; }

    /// <summary>How what is expected lies to what is wanted; null where reps are not the measure.</summary>
    public RepFit? Fit => Aim is { } aim && Expected is { } expected ? aim.Of(expected.Mid) : null;

    /// <summary>What the dose comes to; null for a candidate that is not taken.</summary>
    public DoseEffect? Effect { get; init; }

    /// <summary>Ids of technique steps that this client may do in it; empty for a candidate that is not taken.</summary>
    public ImmutableArray<string> TechniquesThatFit { get; init; } = [];

    /// <summary>A coach set figures of it; the engine leaves them alone.</summary>
    public bool EditedByCoach { get; init; }

    /// <summary>It stands as it was, though nobody decided on it since; the engine leaves it alone.</summary>
    public bool Stands { get; init; }

    /// <summary>Sets and rests may give way to the client's minutes.</summary>
    [JsonIgnore]
    public bool MayGiveWay => !EditedByCoach && !Stands;

    /// <summary>Its rest may be cut or filled with another exercise: it may give way and belongs to no scheme.</summary>
    [JsonIgnore]
    public bool RestMayGiveWay => MayGiveWay && Dose.Scheme is not { OwnsItsRest: true };

    /// <summary>What the expectation rests on.</summary>
    public Reason? RestsOn { get; init; }

    public required Dose Dose { get; init; }

    /// <summary>The dose with its load as it is typed into a cell.</summary>
    public string DoseAsTyped => Dose.AsTyped(ExternalKg);

    /// <summary>How to rig it, in order.</summary>
    public ImmutableArray<string> Steps { get; init; } = [];

    /// <summary>The movement in one sentence, for those that few know or that are hard to learn; null for the plain ones.</summary>
    public string? How { get; init; }

    public ImmutableArray<string> Cues { get; init; } = [];

    public ImmutableArray<Reason> Cautions { get; init; } = [];

    public string? EasierName { get; init; }

    public string? HarderName { get; init; }

    /// <summary>Ids of the kit items used.</summary>
    public ImmutableArray<string> UsesItems { get; init; } = [];

    /// <summary>The same with other expected reps.</summary>
    public HomeExercise WithReps(RepRange? reps) => this with { Expected = reps };
}
