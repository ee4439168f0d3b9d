using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Equipment.Loading.Objects;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Rebuilding.Candidates;

/// <summary>Scores how well the dose of a gym line can be reached with what is at the place.</summary>
public sealed class ResistanceMatch(ClientAtPlace at)
{
    private ResistanceRules Rules => at.DomainRules.Match.Resistance;

    private readonly NamedLoad _named = new(at);
    private readonly Dictionary<Setup, Prepared> _prepared = new(ReferenceEqualityComparer.Instance);
    private readonly ImmutableArray<Technique> _possible = [.. at.DomainRules.Techniques.Where(t => at.Kit.Meets(t.Needs).Possible)];
    private readonly Dictionary<string, Reason> _lacking = [];
    private readonly Dictionary<(string Exercise, string Approach), ImmutableArray<TechniqueSet>> _techniques = [];

    /// <summary>
    /// The best loaded set-up, or the reason why there is none: what is missing, or that even the lightest is too hard.
    /// </summary>
    public (LoadedSetup? Best, Reason? Missing) Best(Exercise exercise, LineToMatch line)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        ArgumentNullException.ThrowIfNull(line);
        var unmeasured = UnmeasuredScore(exercise, line);
        var pair = Facts(exercise, line);
        var plain = at.Client.NeedsClearance || SetLimits.IsForSpeed(line.Line, exercise, at.Client) || line.Exercise.IsForPower;
        Rating? best = null;
        var (pairs, ones) = (false, false);
        foreach (var here in at.Ways.SetupsOf(exercise))
        {
            foreach (var way in Prepare(exercise, here).Ways)
            {
                // None is needed where the reps are few enough as they are: most lines.
                var techniques = plain || !(way.Straight?.Mid > pair.High) ? [] : TechniquesFor(exercise, line.Approach);
                var rating = way.Straight is { } straight
                    ? Rate(exercise, way, straight, line, techniques, pair with { HasPair = pairs, HasOne = ones })
                    : new Rating(way.Way, null, TechniqueSet.None, unmeasured * FreeLoads.Carried(exercise, way.Way, line, at));

                // The first of equals stays: set-ups are listed simplest first, loads lightest first.
                if (best is null || rating.Score > best.Value.Score + 1e-9)
                {
                    best = rating;
                }
            }

            pairs |= Prepare(exercise, here).Ways.Any(w => w.Way.Load.Source == LoadSource.Pair);
            ones |= Prepare(exercise, here).Ways.Any(w => w.Way.Load.Source == LoadSource.One);
        }

        return best is { } found ? (Describe(exercise, found), null) : (null, Lacking(exercise));
    }

    /// <summary>What is missing for an exercise that has no way here: the same for every line, so worked out once.</summary>
    private Reason Lacking(Exercise exercise)
    {
        if (!_lacking.TryGetValue(exercise.Id, out var known))
        {
            var setups = at.Ways.SetupsOf(exercise).Select(here => Prepare(exercise, here)).ToList();
            var sources = setups.SelectMany(s => s.LacksLoadFrom).Distinct().ToList();
            IEnumerable<Reason> unloaded = sources.Count > 0 ? [Reason.Of("kit.needs-load", ("sources", FactList.Of(sources)))] : [];
            var lacks = unloaded.Concat(setups.SelectMany(s => s.Missing)).Distinct().ToList();
            _lacking[exercise.Id] = known = lacks is [var one] ? one : Reason.Of("kit.or", ("missing", FactList.Of(lacks)));
        }

        return known;
    }

    /// <summary>What of a set-up does not depend on the line: computed once, asked by every line.</summary>
    private sealed record Prepared(ImmutableArray<WayHere> Ways, ImmutableArray<Reason> Missing, ImmutableArray<LoadSource> LacksLoadFrom);

    /// <summary>One way with its expected straight-set reps to failure; null where reps are not the measure.</summary>
    private readonly record struct WayHere(Way Way, RepRange? Straight)
    {
        /// <summary>How many times the reps that are still counted could be done: 1, and more where the load is next to nothing.</summary>
        public double BeyondCounting { get; init; } = 1;
    }

    private static double BeyondCounting(StrengthEstimate estimate, double kg, CurveKind curve) =>
        kg <= 0 ? 1 : Math.Max(1, RepMaxCurve.Reps(estimate.OneRepMaxKg / kg, curve) / RepMaxCurve.MostReps);

    private Prepared Prepare(Exercise exercise, SetupHere here)
    {
        if (_prepared.TryGetValue(here.Setup, out var known))
        {
            return known;
        }

        if (here.Missing is { } missing)
        {
            return _prepared[here.Setup] = new Prepared([], [missing], []);
        }

        if (here.Ways.IsEmpty)
        {
            return _prepared[here.Setup] = new Prepared([], [.. NoBand(here.Setup)], here.Setup.Load.External?.From ?? []);
        }

        var estimate = exercise.Measure == Measure.Seconds ? null : at.Strength.For(exercise);
        var own = OwnTempoLeaves(exercise);
        return _prepared[here.Setup] = new Prepared(
            [
                .. here.Safe.Select(w => new WayHere(
                    w,
                    estimate is null ? null : Scale(ClientStrength.RepsAt(estimate, w.System.Kg, exercise.Strength!.Curve), own)
                )
                {
                    BeyondCounting = estimate is null ? 1 : BeyondCounting(estimate, w.System.Kg, exercise.Strength!.Curve),
                }),
            ],
            [
                .. here
                    .Ways.Select(w => w.Refused)
                    .OfType<ObjectVerdict>()
                    .Select(r =>
                        r.Kind == CheckKind.Lifted
                            ? Reason.Of("kit.not-lifted", ("sum", r.Sum), ("advice", r.Advice))
                            : Reason.Of("kit.not-up-to-it", ("thing", r.Thing), ("sum", r.Sum), ("advice", r.Advice))
                    ),
            ],
            []
        );
    }

    /// <summary>There is no band, or none that has the length and the strength for it.</summary>
    private IEnumerable<Reason> NoBand(Setup setup)
    {
        if (setup.Load.Band is { } band)
        {
            var here = at.Kit.UsableThatAre(band.Of).Select(t => t.InWords).ToList();
            yield return here.Count > 0 ? Reason.Of("kit.no-band-fits", ("bands", FactList.Of(here))) : Reason.Of("kit.needs-band");
        }
    }

    private ImmutableArray<TechniqueSet> TechniquesFor(Exercise exercise, Approach approach)
    {
        if (!_techniques.TryGetValue((exercise.Id, approach.Id), out var sets))
        {
            sets = OwnTempoLeaves(exercise) < 1 ? [] : TechniqueChoice.SetsFor(exercise, at.Client, approach, _possible);
            _techniques[(exercise.Id, approach.Id)] = sets;
        }

        return sets;
    }

    /// <summary>Weighs between loads that are equally good, too little to outdo anything else.</summary>
    private const double LoadsApart = 0.001;

    /// <summary>A load in kg at which that weight is half; any that is neither light nor heavy would do.</summary>
    private const double MiddlingKg = 50;

    /// <summary>How well one load reaches the dose, before anything is put into words.</summary>
    private readonly record struct Rating(Way Way, RepRange? Reps, TechniqueSet Techniques, double Score)
    {
        public bool AsNamed { get; init; }
    }

    /// <summary>What of an exercise and a line does not depend on the load, of which there may be dozens.</summary>
    /// <param name="High">Most reps to failure that are wanted.</param>
    /// <param name="Limits">How long a set may last.</param>
    /// <param name="TooEasySpread">How fast what is too easy loses.</param>
    /// <param name="Unloaded">Share left where nothing is added to the body.</param>
    /// <param name="Elsewhere">Share left where another muscle gives out first, or a fast lift slows.</param>
    /// <param name="IsFast">Both are done for speed.</param>
    /// <param name="HasPair">A simpler set-up of the exercise has a weight for each hand.</param>
    /// <param name="HasOne">A simpler set-up of the exercise has a weight with a handle.</param>
    private readonly record struct PairFacts(
        double High,
        SetLimits Limits,
        double TooEasySpread,
        double Unloaded,
        double Elsewhere,
        bool IsFast,
        bool HasPair = false,
        bool HasOne = false
    );

    private PairFacts Facts(Exercise exercise, LineToMatch line) =>
        new(
            line.Effort.High * at.DomainRules.Match.Tolerance[line.Role],
            SetLimits.ForLine(line.Line, line.Effort.Rir, at.DomainRules.Dose),
            TooEasySpread(exercise, line),
            !IsLoaded(line.Exercise) ? 1
                : line.Exercise.Structure == ExerciseStructure.Isolation ? Rules.Unloaded
                : Rules.UnloadedCompound,
            IsLimitedElsewhere(exercise, line) ? Rules.LimitedElsewhere
                : exercise.IsForPower && !line.Exercise.IsForPower ? Rules.FastForSlow
                : 1,
            ResistanceReason.IsPowerForPower(line, exercise)
        );

    private Rating Rate(
        Exercise exercise,
        WayHere here,
        RepRange straight,
        LineToMatch line,
        ImmutableArray<TechniqueSet> sets,
        PairFacts pair
    )
    {
        var way = here.Way;
        var (effort, high) = (line.Effort, pair.High);
        // What is hung on in the gym is hung on here as far as it can be, before anything is made of less.
        var hung = line.Line.Load is { Added: true } && exercise.Id == line.Exercise.Id;
        straight = _named.Reps(exercise, way, line, straight);
        var techniques = TechniqueChoice.For(hung ? [] : sets, straight.Mid, effort.Low, high, pair.Limits);
        var reps = Scale(straight, techniques.RepsLeft);
        var closeness = pair.IsFast
            ? Fast(exercise, way, line, Math.Min(reps.Mid, high), high)
            : Worth(Times(reps, here.BeyondCounting), effort.Low, high, pair.TooEasySpread)
                * Math.Pow(techniques.RepsLeft, at.DomainRules.Match.TechniqueCost[line.Role]);
        var (isNamed, asNamed) = (false, (double?)null);
        if (_named.Kg(exercise, way, line) is { } named)
        {
            asNamed = Bell(Math.Log((way.Load.MassKg + 1) / (named + 1)), Rules.LoadSpread);
            isNamed = asNamed >= Rules.NearlyNamed; // what the line says goes before what would suit it even better
            (closeness, techniques, reps) =
                isNamed ? (1, TechniqueSet.None, straight)
                : _named.IsNextWeight(way, named, line) ? (Math.Max(closeness, Rules.NextWeight), TechniqueSet.None, straight)
                : asNamed >= closeness ? (asNamed.Value, TechniqueSet.None, straight)
                : (closeness, techniques, reps);
        }

        // Of two loads in the zone the one is taken that leaves the planned reps with the planned reserve in every set.
        var off = Math.Abs(reps.Mid - effort.Aim);
        var things =
            Math.Max(0, way.Load.ItemIds.Length - 1)
            + (way.Load.IsFarStretched ? at.DomainRules.Match.RigParts.FarStretched : 0)
            + at.DomainRules.Match.RigParts.Of(way.Load.WeightKg, way.Load.MassKg)
            + (pair.HasPair && way.Load.Source == LoadSource.One ? at.DomainRules.Match.RigParts.OneForBoth : 0)
            + (pair is { HasOne: true, IsFast: true } && way.Load.Source == LoadSource.Held ? at.DomainRules.Match.RigParts.BagSwung : 0)
            + (at.DomainRules.Match.RigParts.PartOfThing * way.Bindings.Count(b => b.Thing.Part is { TimesHeight: null }));

        // Where every load is a toy the heaviest is taken, whatever it takes to build; where it is moved fast, the heaviest that is handy.
        var toy = pair.IsFast || reps.Mid >= RepMaxCurve.MostReps / 2;
        var rig = hung || (toy && !pair.IsFast) ? 1 : 1 - (at.DomainRules.Match.RigCost * things);
        var nearer =
            isNamed ? asNamed!.Value
            : toy ? way.System.Kg / (way.System.Kg + MiddlingKg)
            : asNamed ?? (1 / (1 + off));
        var unloaded = way.Load.MassKg > 0 ? 1 : pair.Unloaded;
        var kept = isNamed ? 1 : 1 - (Rules.ShortLoses * at.DomainRules.Dose.Kept.Shortfall(reps.Mid, effort.Start));
        return new Rating(way, reps, techniques, closeness * kept * rig * unloaded * pair.Elsewhere * (1 - (LoadsApart * (1 - nearer))))
        {
            AsNamed = isNamed,
        };
    }

    /// <summary>What is done for speed need not come near failure.</summary>
    private double Fast(Exercise exercise, Way way, LineToMatch line, double reps, double high) =>
        Closeness(reps, line.Effort.Low, high, Rules.TooEasySpread) * FreeLoads.Fast(exercise, way, line, at.Strength.BodyMassKg, Rules);

    /// <summary>What gives out first is none of the line's muscles: they stay far from failure.</summary>
    private bool IsLimitedElsewhere(Exercise exercise, LineToMatch line) =>
        exercise.Id != line.Exercise.Id
        && exercise is { Structure: ExerciseStructure.Compound, Strength: { } relation }
        && line.Exercise.Structure == ExerciseStructure.Compound
        && at.DomainRules.Catalogue.Find(relation.Anchor) is { } anchor
        && PartMatches.MuscleScore(line.Exercise.Muscles, anchor.Muscles, at.DomainRules.Match.Parts)
            < at.DomainRules.Match.Relevance.Muscles
        && PartMatches.PatternScore(line.Exercise, anchor, at.DomainRules.Match) <= 0;

    /// <summary>A lift whose load could be changed in the gym: at home, too, one that takes load comes first.</summary>
    private static bool IsLoaded(Exercise gym) =>
        gym.Strength is not null && gym.Setups.All(s => s.Load.External is { Required: true } || s.Load.Band is { Required: true });

    /// <summary>
    /// How likely the reps land in the zone: what is expected is a range, and two options whose middles differ by a few reps are alike
    /// where little is known.
    /// </summary>
    private double Worth(RepRange reps, double low, double high, double tooEasy) =>
        (0.5 * Closeness(reps.Mid, low, high, tooEasy))
        + (0.25 * (Closeness(reps.Low, low, high, tooEasy) + Closeness(reps.High, low, high, tooEasy)));

    private LoadedSetup Describe(Exercise exercise, Rating rating)
    {
        var way = rating.Way;
        return rating.Reps is { } reps
            ? new LoadedSetup(
                way.Setup,
                way.Bindings,
                way.Load,
                way.System,
                reps,
                rating.Techniques.Steps,
                rating.Score,
                at.Strength.For(exercise)?.RestsOn
            )
            {
                AsNamed = rating.AsNamed,
                Checks = way.Checks,
            }
            : new LoadedSetup(way.Setup, way.Bindings, way.Load, null, null, [], rating.Score, null) { Checks = way.Checks };
    }

    private double UnmeasuredScore(Exercise exercise, LineToMatch line)
    {
        var (hold, small) = (exercise.Measure == Measure.Seconds, line.Exercise.Structure == ExerciseStructure.Isolation);
        return ResistanceReason.IsLikeForLike(line, exercise) ? (hold && !line.Line.Timed ? Rules.HoldForControl : Rules.HoldForHold)
            : exercise.IsForPower ? Rules.HoldForReps // a jump is no set of ten
            : hold ? (small ? Rules.HoldForIsolationReps : Rules.HoldForReps)
            : small ? Rules.ControlOfIsolation
            : Rules.Control;
    }

    /// <summary>Share of reps left by the slow tempo that belongs to the exercise itself.</summary>
    private double OwnTempoLeaves(Exercise exercise) => exercise.Tempo is { } tempo ? at.DomainRules.TempoCost.Of(tempo) : 1;

    private static RepRange Scale(RepRange reps, double factor) => factor >= 1 ? reps : Times(reps, factor);

    private static RepRange Times(RepRange reps, double factor) => new(reps.Low * factor, reps.Mid * factor, reps.High * factor);

    /// <summary>
    /// Few reps of a heavy hinge cannot be had from a light load; its own movement on one leg, for more of them, is nearer to it than few of
    /// another (common practice).
    /// </summary>
    private double TooEasySpread(Exercise exercise, LineToMatch line) =>
        line.Exercise.Pattern == MovementPattern.Hinge
        && exercise is { Pattern: MovementPattern.Hinge, Sides: Sides.Unilateral, Stability: > 0, IsForPower: false } // one hand is not one leg
        && line.Line.IsHeavy
            ? Rules.TooEasyOnOneLegSpread
            : Rules.TooEasySpread;

    private double Closeness(double reps, double low, double high, double tooEasy)
    {
        if (reps <= 0)
        {
            return 0;
        }

        var (distance, spread) =
            reps > high ? (Math.Log(reps / high), tooEasy)
            : reps < low ? (Math.Log(low / reps), Rules.TooHardSpread)
            : (0, 1);
        return Bell(distance, spread);
    }

    private static double Bell(double distance, double spread) => Math.Exp(-(distance * distance) / (2 * spread * spread));
}
