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
using Ingegno.Core.Programs.HomePlans;

namespace Ingegno.Core.Rebuilding.Candidates;

/// <summary>
/// Every way to do an exercise at a place: set-up × load × band × height, with what it weighs on the client. Worked out once and asked by
/// matching, ladders, progression and logs.
/// </summary>
public sealed class Ways
{
    private readonly ClientProfile _client;
    private readonly KitAtPlace _kit;
    private readonly ClientStrength _strength;
    private readonly DomainRules _domain;
    private readonly ReachableLoads _loads;
    private readonly SystemLoads _systems;
    private readonly Dictionary<LoadModel, IReadOnlyList<ReachableLoad>> _options = new(ReferenceEqualityComparer.Instance);
    private readonly Dictionary<Setup, SetupHere> _setups = new(ReferenceEqualityComparer.Instance);

    /// <param name="client">The client.</param>
    /// <param name="kit">The kit.</param>
    /// <param name="strength">What the client can be expected to do.</param>
    /// <param name="domain">The domain rules.</param>
    public Ways(ClientProfile client, KitAtPlace kit, ClientStrength strength, DomainRules domain)
    {
        ArgumentNullException.ThrowIfNull(client);
        ArgumentNullException.ThrowIfNull(strength);
        ArgumentNullException.ThrowIfNull(domain);
        (_client, _kit, _strength, _domain, _loads) = (client, kit, strength, domain, new ReachableLoads(kit));
        _systems = new SystemLoads(
            new BodyShares(BodySegments.ForSex(client.Sex), strength.StatureCm, domain.Leverage),
            strength.BodyMassKg
        );
    }

    /// <summary>The set-ups of an exercise, simplest first.</summary>
    public IEnumerable<SetupHere> SetupsOf(Exercise exercise)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        return exercise.Setups.Select(s => Of(exercise, s));
    }

    /// <summary>Every way that no object refuses.</summary>
    public IEnumerable<Way> Of(Exercise exercise) => SetupsOf(exercise).SelectMany(s => s.Safe);

    /// <summary>The set-up that a home exercise is done in; null when the catalogue or the kit no longer has it.</summary>
    public SetupHere? Of(HomeExercise home)
    {
        ArgumentNullException.ThrowIfNull(home);
        return
            _domain.Catalogue.Find(home.ExerciseId) is { } exercise
            && exercise.Setups.FirstOrDefault(s => s.Id == home.SetupId) is { } setup
            && Of(exercise, setup) is { Missing: null } here
            ? OnSpots(here, home)
            : null;
    }

    /// <summary>
    /// The heaviest way to do an exercise with no more than so much load: as it is set up, else set up otherwise, with one weight in place of two.
    /// It never moves more than the exercise does now and loads no joint on its own account; null when there is none.
    /// </summary>
    /// <param name="home">The exercise as planned.</param>
    /// <param name="mostKg">The most load, kg.</param>
    public Way? Lighter(HomeExercise home, double mostKg)
    {
        ArgumentNullException.ThrowIfNull(home);
        return Heaviest(Of(home)?.Safe ?? [])
            ?? Heaviest(
                from setup in SetupsOf(_domain.Catalogue.Get(home.ExerciseId))
                where setup.Missing is null && setup.Setup.Joints.Count == 0
                from way in setup.Safe
                where way.Load.Rigged.IsEmpty
                select way
            );

        Way? Heaviest(IEnumerable<Way> ways) =>
            ways.Where(w => w.Load.MassKg <= mostKg && !(w.System.Kg > home.SystemLoadKg))
                .OrderByDescending(w => w.Load.MassKg)
                .FirstOrDefault();
    }

    /// <summary>
    /// The ways at the heights that the plan took; where it does not say, as plans of before, at those where the load comes nearest to what it
    /// moved; all of them when those things are gone.
    /// </summary>
    private static SetupHere OnSpots(SetupHere here, HomeExercise home)
    {
        var spots =
            home.Spots.Length > 0 || home.SystemLoadKg is not { } moved
                ? home.Spots
                : here
                    .Ways.OrderBy(w => Math.Abs(w.Load.MassKg - home.ExternalKg))
                    .ThenBy(w => Math.Abs(w.System.Kg - moved))
                    .Select(w => w.Spots)
                    .FirstOrDefault(string.Empty);
        var same = here.Ways.Where(w => w.Spots == spots).ToImmutableArray();
        return same.IsEmpty ? here : here with { Ways = same };
    }

    /// <summary>
    /// What the limbs move when an exercise is done with so much in hand or on the back, kg, whatever stands here; null where heights decide
    /// and for what takes no load.
    /// </summary>
    /// <param name="exercise">The exercise.</param>
    /// <param name="kg">The load in all, kg.</param>
    public double? Carrying(Exercise exercise, double kg)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        return
            exercise.Setups.FirstOrDefault(s =>
                s.Load is { External: not null, BodyShareByHeight: null }
                && s.Load.Leverage?.Model is null or LeverageKind.AboveTheKnees or LeverageKind.LessForearms
            )
                is { } setup
            ? _systems.Of(setup.Load, [], new ReachableLoad(kg, string.Empty, [])).Kg
            : null;
    }

    /// <summary>Whether there is any way, without working them all out.</summary>
    public bool Any(Exercise exercise)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        var bare = JointSparing.TakesNoLoad(exercise, _client);
        return exercise.Setups.Any(s =>
            JointSparing.Why(s, _client) is null
            && !(s.Guard == GuardNeed.Needed && _kit.Guarded == false)
            && _kit.Meets(s.Needs, _strength.StatureCm).Possible
            && (bare ? Unloaded(s.Load).Any() || s.Load.AssistedShare > 0 : CanLoad(s.Load))
        );
    }

    private SetupHere Of(Exercise exercise, Setup setup)
    {
        if (_setups.TryGetValue(setup, out var known))
        {
            return known;
        }

        if (JointSparing.Why(setup, _client) is { } hurts)
        {
            return _setups[setup] = new SetupHere(setup, hurts, []);
        }

        if (setup.Guard == GuardNeed.Needed && _kit.Guarded == false)
        {
            return _setups[setup] = new SetupHere(setup, Reason.Of("setups.guard"), []);
        }

        var fits = _kit.Fits(setup.Needs, _strength.StatureCm);
        var bare = JointSparing.TakesNoLoad(exercise, _client);
        return _setups[setup] = fits[0].Possible
            ? new SetupHere(
                setup,
                null,
                [
                    .. Options(setup.Load)
                        .Where(load => !bare || IsBare(setup.Load, load))
                        .SelectMany(load => At(exercise, setup, fits, load)),
                ]
            )
            : new SetupHere(setup, fits[0].Missing, []);
    }

    /// <summary>One load at every height that changes what is moved; where none does, at the best one that bears it.</summary>
    private IEnumerable<Way> At(Exercise exercise, Setup setup, ImmutableArray<Fit> fits, ReachableLoad load)
    {
        var ways = fits.Select(fit => Of(exercise, setup, fit.Bindings, load));
        return HeightCounts(setup.Load) ? ways : [ways.FirstOrDefault(w => w.Refused is null) ?? ways.First()];
    }

    /// <summary>Nothing but the body is moved; a band that takes weight off it adds none.</summary>
    private static bool IsBare(LoadModel model, ReachableLoad load) => load.MassKg <= 0 || model.AssistedShare > 0;

    private static bool HeightCounts(LoadModel model) =>
        model.BodyShareByHeight is not null
        || model.Leverage is { Hands: not null } or { Feet: not null } or { Grip: not null } or { Step: not null };

    /// <summary>Where no rack holds it, a load is worth what can be lifted into place, and put down again.</summary>
    private IEnumerable<ObjectVerdict> Lifted(LoadModel model, ReachableLoad load)
    {
        if (model.External?.Lifted is { } lifted && _strength.ExternalMaxKg(lifted.Anchor) is { } max && load.WeightKg > lifted.Share * max)
        {
            yield return new ObjectVerdict(
                load.InWords,
                CheckKind.Lifted,
                Verdict.Refused,
                null,
                Reason.Of("check.lifted", ("load", Quantity.Kg(load.WeightKg, 1)), ("most", Quantity.Kg(lifted.Share * max, 0))),
                Reason.Of("check.lifted-advice")
            );
        }
    }

    private Way Of(Exercise exercise, Setup setup, ImmutableArray<Binding> bindings, ReachableLoad load)
    {
        var system = _systems.Of(setup.Load, bindings, load);

        // Where load is not the measure, the body stands on it.
        var onIt = exercise.Measure == Measure.Seconds || exercise.Strength is null ? _strength.BodyMassKg : system.Kg;
        ImmutableArray<ObjectVerdict> checks =
        [
            .. from check in setup.Checks
            let binding = bindings.FirstOrDefault(b => b.Role == check.Role)
            where binding is not null
            select ObjectChecks.Run(check, binding.Thing, check.ReactionKg(onIt, _strength.BodyMassKg, load.WeightKg), _strength.StatureCm),
            .. Lifted(setup.Load, load),
        ];
        return new Way(setup, bindings, load, system, checks);
    }

    /// <summary>External loads and rigged bands that a set-up can take here, lightest first.</summary>
    private IReadOnlyList<ReachableLoad> Options(LoadModel model)
    {
        if (!_options.TryGetValue(model, out var options))
        {
            var (weights, bands) = (ExternalOf(model), BandsOf(model));
            var bearable = model.BearableShare * _strength.BodyMassKg ?? double.PositiveInfinity;
            _options[model] = options = [
                .. new[] { Unloaded(model), weights, bands.Where(_ => model.External is not { Required: true }), Both(weights, bands) }
                    .SelectMany(loads => loads)
                    .Where(l => l.WeightKg + (l.Band?.Most ?? 0) <= bearable + 1e-9),
            ];
        }

        return options;
    }

    private bool CanLoad(LoadModel model) =>
        Unloaded(model).Any()
        || (model.External is { } external && _loads.Any(external.From))
        || (model.External is not { Required: true } && BandsOf(model).Count > 0);

    /// <summary>Share of the weight below which a band adds nothing but a thing to stand on (own decision).</summary>
    private const double LeastOfBand = 0.1;

    /// <summary>Rigs of a band that are tried on top of a weight, from the lightest to the strongest.</summary>
    private const int RigsTried = 5;

    /// <summary>The heaviest weights with light and strong rigs of one band: below them a heavier weight does it alone.</summary>
    private static IEnumerable<ReachableLoad> Both(ImmutableArray<ReachableLoad> weights, IReadOnlyList<ReachableLoad> bands)
    {
        var single = weights.IsEmpty
            ? []
            : bands.Where(b => b.ItemIds.Length == 1 && b.MassKg >= LeastOfBand * weights[^1].MassKg).ToList();
        if (single.Count == 0)
        {
            return [];
        }

        var rigs = Enumerable.Range(0, RigsTried).Select(i => single[i * (single.Count - 1) / (RigsTried - 1)]).Distinct();
        return from weight in weights.TakeLast(2) from rig in rigs select weight.With(rig);
    }

    private static IEnumerable<ReachableLoad> Unloaded(LoadModel model) =>
        model.External is { Required: true } || model.Band is { Required: true } ? [] : [ReachableLoad.None];

    private ImmutableArray<ReachableLoad> ExternalOf(LoadModel model) => model.External is { } external ? _loads.From(external.From) : [];

    private IReadOnlyList<ReachableLoad> BandsOf(LoadModel model) =>
        model.Band is { } band ? BandOptions.For(_kit, band, _strength.StatureCm) : [];
}
