using System.Collections.Immutable;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Equipment.Loading.Objects;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Figures;

namespace Ingegno.Core.Knowledge.Exercises;

/// <summary>One exercise of the catalogue. The JSON form is described by <c>data/catalogue/exercise.schema.json</c>.</summary>
public sealed record Exercise
{
    /// <summary>Stable key, lower-case words joined by hyphens.</summary>
    public required string Id { get; init; }

    /// <summary>The name a coach reads.</summary>
    public required string Name { get; init; }

    /// <summary>Other names under which the shorthand finds it.</summary>
    public ImmutableArray<string> Synonyms { get; init; } = [];

    /// <summary>Where it can be done; an exercise may belong to both.</summary>
    public required ImmutableArray<Venue> Venues { get; init; }

    public required MovementPattern Pattern { get; init; }

    public required Plane Plane { get; init; }

    public required ExerciseStructure Structure { get; init; }

    public required Sides Sides { get; init; }

    public required Chain Chain { get; init; }

    /// <summary>Demand on balance: 0 none, 1 some, 2 much, 3 extreme.</summary>
    public required int Stability { get; init; }

    /// <summary>Involvement per muscle, 0–1: prime mover 1, synergist about 0.5, stabiliser about 0.2.</summary>
    public required ImmutableSortedDictionary<Muscle, double> Muscles { get; init; }

    public required Profile Profile { get; init; }

    /// <summary>
    /// The end at which a pause is held: where it is hardest, but squats, lunges and presses lock out and rest at the top, so theirs is at
    /// the bottom; against a band alone nothing is left to hold there (docs/domain/prescription; common practice).
    /// </summary>
    public Profile PausedAt =>
        Pattern is MovementPattern.Squat or MovementPattern.Lunge or MovementPattern.HorizontalPush or MovementPattern.VerticalPush
        && Structure == ExerciseStructure.Compound
        && !(Profile == Profile.Shortened && !Setups.IsDefaultOrEmpty && Setups.All(s => s.Load.IsBandAlone))
            ? Profile.Stretched
            : Profile;

    /// <summary>Family of variations that run from easy to hard.</summary>
    public required string Family { get; init; }

    /// <summary>Exercise whose figure it takes: the one that a practice's own was made from. Null for its own.</summary>
    public string? Figure { get; init; }

    /// <summary>How a practice has moved that figure; null for as it is.</summary>
    public FigureShift? Posed { get; init; }

    /// <summary>Place in the family, 1 easiest.</summary>
    public required int Rung { get; init; }

    /// <summary>Skill needed, 1 (anyone) to 5 (years of practice).</summary>
    public required int Skill { get; init; }

    /// <summary>How familiar it is, 1 (a rare invention) to 5 (everybody knows it and learns it in a minute). Common practice.</summary>
    public int Familiarity { get; init; } = 4;

    /// <summary>
    /// What is lifted in the gym by an exercise that has no set-up at home: a bar or a pair of weights. What is typed beside it says
    /// something of strength then, as no stack of a machine does. Null where it is a machine, or where the set-ups say it.
    /// </summary>
    public LoadSource? GymLoad { get; init; }

    /// <summary>Its load is a stack on a pulley, and no two of them weigh alike.</summary>
    public bool IsOnStack => !Setups.IsDefaultOrEmpty && Setups.All(s => s.Load.External?.From.Contains(LoadSource.Stack) == true);

    /// <summary>A swing, which comes to speed only after a few reps.</summary>
    public bool Swung { get; init; }

    /// <summary>Swung, thrown or pulled fast: see <see cref="IsForPower"/>.</summary>
    public bool Power { get; init; }

    /// <summary>Done for speed, not for effort: a set ends when it slows, long before failure.</summary>
    public bool IsForPower => Power || Pattern == MovementPattern.Jump;

    /// <summary>Impact, 0 none to 3 hard landings.</summary>
    public int Impact { get; init; }

    /// <summary>The head is below the hips: not with high blood pressure or eye disease.</summary>
    public bool HeadDown { get; init; }

    /// <summary>Stress per joint, 1 light to 3 heavy; a joint that is not named is hardly touched.</summary>
    public ImmutableSortedDictionary<Joint, int> Joints { get; init; } = ImmutableSortedDictionary<Joint, int>.Empty;

    /// <summary>Ways in which it loads joints that are asked about where one hurts.</summary>
    public ImmutableArray<JointStrain> Strains { get; init; } = [];

    /// <summary>Ids of the intensity techniques that fit.</summary>
    public ImmutableArray<string> Techniques { get; init; } = [];

    /// <summary>Relation to the anchor lift of its family; null where strength is not the measure (mobility, holds).</summary>
    public StrengthRelation? Strength { get; init; }

    public Measure Measure { get; init; } = Measure.Reps;

    /// <summary>Tempo that belongs to the exercise itself, such as the slow lowering of a step-down.</summary>
    public Tempo? Tempo { get; init; }

    /// <summary>The movement from start to end in one sentence. Whoever has not seen it needs it: demanded of what ships above skill 2 or
    /// below familiarity 3.</summary>
    public string? How { get; init; }

    /// <summary>At most three cues.</summary>
    public ImmutableArray<string> Cues { get; init; } = [];

    public ImmutableArray<string> Cautions { get; init; } = [];

    /// <summary>Why it is left out unless a coach switches it on; null when it is offered freely.</summary>
    public string? OffByDefault { get; init; }

    /// <summary>Next easier exercise.</summary>
    public string? Easier { get; init; }

    /// <summary>Next harder exercise.</summary>
    public string? Harder { get; init; }

    /// <summary>Ways to set it up at home, simplest first. Empty for exercises that only a gym offers.</summary>
    public ImmutableArray<Setup> Setups { get; init; } = [];

    /// <summary>True when the exercise can stand in a home plan.</summary>
    public bool AtHome => Venues.Contains(Venue.Home);

    /// <summary>Involvement of one muscle, 0 when it takes no part.</summary>
    public double InvolvementOf(Muscle muscle) => Muscles.GetValueOrDefault(muscle);

    /// <summary>The muscles the exercise is chosen for: involvement of at least <see cref="PrimeMoverInvolvement"/>.</summary>
    public IEnumerable<Muscle> PrimeMovers() => Muscles.Where(m => m.Value >= PrimeMoverInvolvement).Select(m => m.Key);

    /// <summary>Involvement from which a muscle counts as prime mover.</summary>
    public const double PrimeMoverInvolvement = 0.8;

    /// <summary>Involvement from which a muscle counts as synergist.</summary>
    public const double SynergistInvolvement = 0.4;
}

/// <summary>One way to set an exercise up: what it needs, what it loads, and how it is described.</summary>
public sealed record Setup
{
    /// <summary>Key within the exercise.</summary>
    public required string Id { get; init; }

    /// <summary>Short description; <c>{role}</c> is replaced by the thing that plays the role, <c>{load}</c> by the load.</summary>
    public required string Text { get; init; }

    /// <summary>What must be at the place; null when floor and wall suffice.</summary>
    public Requirement? Needs { get; init; }

    public required LoadModel Load { get; init; }

    /// <summary>What is checked of the objects before the set-up is offered.</summary>
    public ImmutableArray<SetupCheck> Checks { get; init; } = [];

    /// <summary>What to do before the first rep, in order.</summary>
    public ImmutableArray<string> Steps { get; init; } = [];

    public ImmutableArray<string> Cautions { get; init; } = [];

    /// <summary>Whether somebody or something must be there to take the load.</summary>
    public GuardNeed Guard { get; init; }

    /// <summary>Stress per joint that this way adds to the exercise's own: sitting on the floor bends the back.</summary>
    public ImmutableSortedDictionary<Joint, int> Joints { get; init; } = ImmutableSortedDictionary<Joint, int>.Empty;
}

/// <summary>
/// How strong somebody is in this exercise, relative to an anchor lift: one-rep maximum (system load) =
/// <see cref="Ratio"/> × one-rep maximum of the anchor (system load).
/// </summary>
/// <param name="Anchor">Id of the anchor lift in <c>data/rules/strength.json</c>.</param>
/// <param name="Ratio">Share of the anchor's one-rep maximum, above 0.</param>
/// <param name="Curve">Rep-maximum curve of the movement.</param>
/// <param name="BeginnerRatio">Ratio for beginners where it differs.</param>
public sealed record StrengthRelation(string Anchor, double Ratio, CurveKind Curve, double? BeginnerRatio = null);
