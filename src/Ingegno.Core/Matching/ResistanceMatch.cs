using System.Collections.Immutable;
using Ingegno.Core.Body;
using Ingegno.Core.Catalogue;
using Ingegno.Core.Clients;
using Ingegno.Core.Kit;
using Ingegno.Core.Loading;
using Ingegno.Core.Loading.Bands;
using Ingegno.Core.Loading.Objects;
using Ingegno.Core.Prescribing;
using Ingegno.Core.Strength;

namespace Ingegno.Core.Matching;

/// <summary>Scores how well the dose of a gym line can be reached with what is at the place.</summary>
public sealed class ResistanceMatch(KitAtPlace kit, ReachableLoads loads, ClientProfile client, ClientStrength strength, Trade trade)
{
    /// <summary>Both lines are set by position and time: the dose carries over.</summary>
    private const double HoldForHold = 0.95;

    /// <summary>A hold in place of reps trains one angle only: a last resort for compound lines, less so for small muscles.</summary>
    private const double HoldForReps = 0.05;
    private const double HoldForIsolationReps = 0.15;

    /// <summary>Reps whose difficulty no load measures, in place of a loaded line.</summary>
    private const double UnmeasuredReps = 0.5;

    private const double TooEasySpread = 0.5;
    private const double TooHardSpread = 0.35;

    private readonly SystemLoads _systems = new(new BodyShares(BodySegments.Of(client.Sex), strength.StatureCm, trade.Leverage), strength.BodyMassKg);
    private readonly Dictionary<LoadModel, IReadOnlyList<ReachableLoad>> _options = new(ReferenceEqualityComparer.Instance);
    private readonly Dictionary<Setup, Prepared> _prepared = new(ReferenceEqualityComparer.Instance);
    private readonly ImmutableArray<Technique> _possible = [.. trade.Techniques.Where(t => kit.Meets(t.Needs).Possible)];
    private readonly Dictionary<(string Exercise, string Approach), ImmutableArray<TechniqueSet>> _techniques = [];

    /// <summary>
    /// The best loaded set-up, or the reason why there is none: what is missing, or that even the lightest is too hard.
    /// </summary>
    public (LoadedSetup? Best, string? Missing) Best(Exercise exercise, LineToMatch line)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        ArgumentNullException.ThrowIfNull(line);
        (Prepared At, Rating Rating)? best = null;
        var missing = new List<string>();
        var sources = new List<LoadSource>();
        var techniques = TechniquesFor(exercise, line.Approach);
        foreach (var setup in exercise.Setups)
        {
            var at = Prepare(exercise, setup);
            missing.AddRange(at.Missing);
            sources.AddRange(at.LacksLoadFrom);
            foreach (var load in at.Loads)
            {
                var rating = Rate(exercise, load, line, techniques);

                // The first of equals stays: set-ups are listed simplest first, loads lightest first.
                if (best is null || rating.Score > best.Value.Rating.Score + 1e-9)
                {
                    best = (at, rating);
                }
            }
        }

        if (best is { } found)
        {
            return (Describe(exercise, found.At.Setup, found.At.Bindings, found.Rating, line), null);
        }

        if (sources.Count > 0)
        {
            missing.Insert(0, $"needs {ResistanceWords.Sources(sources)} (none here)");
        }

        return (null, string.Join("; or ", missing.Distinct()));
    }

    /// <summary>System load of a set-up with an external load or band.</summary>
    public SystemLoad SystemLoad(LoadModel model, ImmutableArray<Binding> bindings, ReachableLoad external) =>
        _systems.Of(model, bindings, external);

    /// <summary>External loads and rigged bands that a set-up can take here, lightest first.</summary>
    public IReadOnlyList<ReachableLoad> Options(LoadModel model)
    {
        ArgumentNullException.ThrowIfNull(model);
        if (!_options.TryGetValue(model, out var options))
        {
            var (weights, bands) = (ExternalOf(model), BandsOf(model));
            _options[model] = options = [.. Unloaded(model), .. weights, .. bands.Where(_ => model.External is not { Required: true }), .. Both(weights, bands)];
        }

        return options;
    }

    /// <summary>Whether anything here can load the set-up, without listing it all.</summary>
    public bool CanLoad(LoadModel model)
    {
        ArgumentNullException.ThrowIfNull(model);
        return Unloaded(model).Any() || (model.External is { } external && loads.Any(external.From)) || (model.External is not { Required: true } && BandsOf(model).Count > 0);
    }

    /// <summary>What the objects of a set-up say to a load; for a set-up without system load, to the body mass.</summary>
    public ImmutableArray<ObjectVerdict> Checks(Setup setup, ImmutableArray<Binding> bindings, double? systemKg)
    {
        ArgumentNullException.ThrowIfNull(setup);
        return [.. from check in setup.Checks
                   let binding = bindings.FirstOrDefault(b => b.Role == check.Role)
                   where binding is not null
                   select ObjectChecks.Run(check, binding.Thing, systemKg ?? strength.BodyMassKg, strength.StatureCm)];
    }

    /// <summary>The heaviest weights with a light and a strong rig of one band: below them a heavier weight does it alone.</summary>
    private static IEnumerable<ReachableLoad> Both(ImmutableArray<ReachableLoad> weights, IReadOnlyList<ReachableLoad> bands)
    {
        var single = bands.Where(b => b.ItemIds.Length == 1).ToList();
        if (weights.IsEmpty || single.Count == 0)
        {
            return [];
        }

        ReachableLoad[] rigs = [single[0], single[single.Count / 2], single[^1]];
        return from weight in weights.TakeLast(2)
               from rig in rigs.Distinct()
               select weight.With(rig);
    }

    private static IEnumerable<ReachableLoad> Unloaded(LoadModel model) =>
        model.External is { Required: true } || model.Band is { Required: true } ? [] : [ReachableLoad.None];

    private ImmutableArray<ReachableLoad> ExternalOf(LoadModel model) => model.External is { } external ? loads.From(external.From) : [];

    private IReadOnlyList<ReachableLoad> BandsOf(LoadModel model) => model.Band is { } band ? BandOptions.For(kit, band, strength.StatureCm) : [];

    /// <summary>What of a set-up does not depend on the line: computed once, asked by every line.</summary>
    private sealed record Prepared(
        Setup Setup, ImmutableArray<Binding> Bindings, ImmutableArray<LoadHere> Loads, ImmutableArray<string> Missing, ImmutableArray<LoadSource> LacksLoadFrom);

    /// <summary>One load of a set-up with its system load and expected straight-set reps to failure.</summary>
    private readonly record struct LoadHere(ReachableLoad External, SystemLoad? System, RepRange? Straight);

    private Prepared Prepare(Exercise exercise, Setup setup)
    {
        if (_prepared.TryGetValue(setup, out var known))
        {
            return known;
        }

        var fit = kit.Meets(setup.Needs);
        if (!fit.Possible)
        {
            return _prepared[setup] = new Prepared(setup, [], [], [fit.Missing!], []);
        }

        var options = Options(setup.Load);
        if (options.Count == 0)
        {
            ImmutableArray<string> noBand = setup.Load.Band is not null ? ["needs a band (none here)"] : [];
            return _prepared[setup] = new Prepared(setup, fit.Bindings, [], noBand, setup.Load.External?.From ?? []);
        }

        var estimate = exercise.Measure == Measure.Seconds ? null : strength.For(exercise);
        var own = OwnTempoLeaves(exercise);
        var loads = ImmutableArray.CreateBuilder<LoadHere>();
        var missing = ImmutableArray.CreateBuilder<string>();
        foreach (var option in options)
        {
            var system = estimate is null ? null : SystemLoad(setup.Load, fit.Bindings, option);
            if (setup.Checks.Length > 0 && Checks(setup, fit.Bindings, system?.Kg).FirstOrDefault(c => c.Verdict == Verdict.Refused) is { } refused)
            {
                missing.Add($"{refused.Thing} is not up to it ({refused.Sum}). {refused.Advice}");
                continue;
            }

            loads.Add(new LoadHere(option, system, estimate is null ? null : Scale(ClientStrength.RepsAt(estimate, system!.Kg, exercise.Strength!.Curve), own)));
        }

        return _prepared[setup] = new Prepared(setup, fit.Bindings, loads.ToImmutable(), missing.ToImmutable(), []);
    }

    private ImmutableArray<TechniqueSet> TechniquesFor(Exercise exercise, Approach approach)
    {
        if (!_techniques.TryGetValue((exercise.Id, approach.Id), out var sets))
        {
            sets = OwnTempoLeaves(exercise) < 1 ? [] : TechniqueChoice.SetsFor(exercise, client, approach, _possible);
            _techniques[(exercise.Id, approach.Id)] = sets;
        }

        return sets;
    }

    /// <summary>Weighs between loads that are equally good, too little to outdo anything else.</summary>
    private const double LoadsApart = 0.001;

    /// <summary>How well one load reaches the dose, before anything is put into words.</summary>
    private readonly record struct Rating(ReachableLoad External, SystemLoad? System, RepRange? Reps, TechniqueSet Techniques, double Score);

    private Rating Rate(Exercise exercise, LoadHere load, LineToMatch line, ImmutableArray<TechniqueSet> sets)
    {
        if (load.Straight is not { } straight)
        {
            return new Rating(load.External, null, null, TechniqueSet.None, Unmeasured(exercise, line).Score);
        }

        var effort = line.Effort;
        var high = effort.High * trade.Match.Tolerance[line.Role];
        var techniques = TechniqueChoice.For(sets, straight.Mid, effort.Low, high);
        var reps = Scale(straight, techniques.RepsLeft);
        var closeness = Closeness(reps.Mid, effort.Low, high) * Math.Pow(techniques.RepsLeft, trade.Match.TechniqueCost[line.Role]);

        // Of two loads in the zone the one is taken that leaves the planned reps with the planned reserve.
        var off = Math.Abs(reps.Mid - (effort.Low + effort.Rir));
        var rig = 1 - (trade.Match.RigCost * Math.Max(0, load.External.ItemIds.Length - 1));
        return new Rating(load.External, load.System, reps, techniques, Math.Min(1, closeness * rig * (1 + (LoadsApart / (1 + off)))));
    }

    private LoadedSetup Describe(Exercise exercise, Setup setup, ImmutableArray<Binding> bindings, Rating rating, LineToMatch line)
    {
        var checks = Checks(setup, bindings, rating.System?.Kg);
        if (rating.Reps is not { } reps)
        {
            return new LoadedSetup(setup, bindings, rating.External, null, null, [], rating.Score, Unmeasured(exercise, line).Reason, null) { Checks = checks };
        }

        var high = line.Effort.High * trade.Match.Tolerance[line.Role];
        return new LoadedSetup(
            setup, bindings, rating.External, rating.System, reps, rating.Techniques.Steps, rating.Score,
            ResistanceWords.Reason(reps, line.Effort, high, rating.Techniques.Steps), strength.For(exercise)?.RestsOn)
        {
            Checks = checks,
        };
    }

    private static (double Score, string Reason) Unmeasured(Exercise exercise, LineToMatch line)
    {
        if (line.Line.Timed || line.Exercise.Strength is null)
        {
            return (HoldForHold, "Set by position and time, as in the gym.");
        }

        return exercise.Measure == Measure.Seconds
            ? (line.Exercise.Structure == ExerciseStructure.Isolation ? HoldForIsolationReps : HoldForReps, "A hold in place of reps: it trains one angle, and time sets how hard it is.")
            : (UnmeasuredReps, "Control makes it hard, not a load that could be raised.");
    }

    /// <summary>Share of reps left by the slow tempo that belongs to the exercise itself.</summary>
    private double OwnTempoLeaves(Exercise exercise) =>
        Programs.Tempo.TryParse(exercise.Tempo, out var tempo) ? trade.TempoCost.Of(tempo) : 1;

    private static RepRange Scale(RepRange reps, double factor) =>
        factor >= 1 ? reps : new RepRange(reps.Low * factor, reps.Mid * factor, reps.High * factor);

    private static double Closeness(double reps, double low, double high)
    {
        if (reps <= 0)
        {
            return 0;
        }

        var (distance, spread) = reps > high
            ? (Math.Log(reps / high), TooEasySpread)
            : reps < low ? (Math.Log(low / reps), TooHardSpread) : (0, 1);
        return Math.Exp(-(distance * distance) / (2 * spread * spread));
    }
}
