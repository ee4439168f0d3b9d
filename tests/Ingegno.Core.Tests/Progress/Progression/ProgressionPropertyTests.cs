using System.Collections.Immutable;
using CsCheck;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Rebuilding.Dosing;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.Progression;

/// <summary>What holds of every proposal, whatever was logged and however the day stands.</summary>
public class ProgressionPropertyTests
{
    private const long Many = 4_000;

    private static readonly Gen<Dose> Doses =
        from sets in Gen.Int[1, 5]
        from min in Gen.Int[1, 20]
        from more in Gen.Int[0, 8]
        from down in Gen.Int[0, 6]
        from goal in Gen.Bool
        from rest in Gen.OneOfConst(45, 60, 90, 120, 180)
        from rir in Gen.Int[0, 3]
        from tempo in Gen.OneOfConst("2-0-1-0", "3-0-1-0", "5-0-1-0", "5-2-X-0")
        from scheme in Gen.OneOfConst<SetScheme?>(null, null, null, new RestPause(), new Drop(), new Cluster(), new EveryMinute(120))
        select SetSchemeChoice.Settled(
            new Dose
            {
                Sets = sets,
                Target = scheme is { OneFigure: true } ? new SetTarget(min, min) : new SetTarget(Math.Max(1, min - down), min + more),
                Zone = goal && scheme is not { OneFigure: true } ? new SetTarget(min, min + more) : null,
                RestSeconds = rest,
                Rir = rir,
                Tempo = Tempo.Parse(tempo),
                Scheme = scheme,
                Techniques = tempo == "5-2-X-0" ? ["slow-eccentric-5", "pause-2"] : [],
            },
            typedRest: null
        );

    private static readonly Gen<ImmutableArray<LoggedSet>> Logs = Gen.Select(
            Gen.Int[0, 35],
            Gen.Int[0, 10],
            Gen.Bool,
            (reps, rir, noted) => new LoggedSet { Reps = reps, Rir = noted ? rir : null }
        )
        .Array[1, 5]
        .Select(sets => sets.ToImmutableArray());

    private static readonly Gen<ImmutableArray<(ReachableLoad, double)>> Loads = Gen.Double[0.5, 2]
        .Array[0, 4]
        .Select(factors =>
            factors
                .Append(1)
                .Distinct()
                .Order()
                .Select(f => (new ReachableLoad(20 * f, $"{20 * f:0.#} kg", [$"{f}"]), 20 * f))
                .ToImmutableArray()
        );

    private static readonly Gen<double?> Minutes = Gen.Select(
        Gen.Bool,
        Gen.Double[-10, 20],
        (limited, left) => limited ? left : (double?)null
    );

    [Fact]
    public void A_dose_stays_one_that_can_be_trained() =>
        Sample(
            (dose, _, _, next) =>
            {
                next.Dose.Target.Min.ShouldBeInRange(1, next.Dose.Target.Max);
                next.Dose.Sets.ShouldBeInRange(1, Math.Max(4, dose.Sets));
                if (dose.Scheme is not EveryMinute)
                {
                    next.Dose.RestSeconds.ShouldBeInRange(Math.Min(dose.RestSeconds, 60), 180);
                }

                Math.Abs(next.Dose.Sets - dose.Sets).ShouldBeLessThanOrEqualTo(1, "one set at a time");
                next.Dose.Rir.ShouldBe(dose.Rir);
                next.Reason.Said().ShouldNotBeNullOrWhiteSpace();
            }
        );

    [Fact]
    public void A_scheme_of_one_figure_keeps_it_and_takes_no_set_more() =>
        Sample(
            (dose, _, _, next) =>
            {
                if (dose.Scheme is { OneFigure: true })
                {
                    next.Dose.Target.Min.ShouldBe(next.Dose.Target.Max, next.Reason.Said());
                    next.Dose.Sets.ShouldBeLessThanOrEqualTo(dose.Sets);
                }
            }
        );

    /// <summary>Whatever is proposed, the next set starts when the clock says, and the rest of a cluster is no step.</summary>
    [Fact]
    public void A_rest_that_belongs_to_a_scheme_stays_with_it() =>
        Sample(
            (dose, _, _, next) =>
            {
                if (next.Dose.Scheme is EveryMinute minute)
                {
                    (next.Dose.RestSeconds + SetSeconds(next.Dose)).ShouldBeInRange(
                        minute.Interval - 1,
                        Math.Max(minute.Interval, SetSeconds(next.Dose)) + 1,
                        next.Reason.Said()
                    );
                    next.Dose.Target.Max.ShouldBeLessThanOrEqualTo(
                        Math.Max(dose.Target.Max, minute.MostReps(SetSchemeChoice.SecondsPerRep(next.Dose))!.Value),
                        next.Reason.Said()
                    );
                }

                if (dose.Scheme is { OwnsItsRest: true })
                {
                    next.Decision.ShouldNotBeOneOf(Decision.ShorterRest, Decision.LongerRest);
                }
            }
        );

    private static double SetSeconds(Dose dose) => dose.Target.Max * SetSchemeChoice.SecondsPerRep(dose);

    [Fact]
    public void More_is_never_less() =>
        Sample(
            (dose, _, _, next) =>
            {
                if (next.Decision == Decision.MoreReps)
                {
                    (next.Dose.Target.Min >= dose.Target.Min && next.Dose.Target.Max >= dose.Target.Max).ShouldBeTrue(next.Reason.Said());
                    (next.Dose with { DecidedAfter = null, Zone = null }).ShouldNotBe(dose with { Zone = null }, "something changes");
                }

                if (next.Decision is Decision.FewerReps)
                {
                    next.Dose.Target.Min.ShouldBeLessThan(dose.Target.Min);
                }
            }
        );

    [Fact]
    public void Sets_and_rests_that_lengthen_the_day_fit_its_minutes() =>
        Sample(
            (dose, minutes, _, next) =>
            {
                if (minutes is { } left && next.Decision is Decision.MoreSets or Decision.LongerRest or Decision.TechniqueOn)
                {
                    (next.Dose.Minutes - dose.Minutes).ShouldBeLessThanOrEqualTo(Math.Max(0, left) + 1e-9, next.Reason.Said());
                }
            }
        );

    [Fact]
    public void A_step_back_is_never_heavier_and_a_step_up_never_lighter() =>
        Sample(
            (_, _, kg, next) =>
            {
                if (next.Decision is Decision.StepBack or Decision.FewerReps or Decision.TechniqueOff)
                {
                    next.ExternalKg.ShouldBeLessThanOrEqualTo(kg);
                }

                if (next.Decision is Decision.MoreLoad or Decision.MoreReps or Decision.MoreSets)
                {
                    next.ExternalKg.ShouldBeGreaterThanOrEqualTo(kg);
                }
            }
        );

    [Fact]
    public void The_same_sets_decide_the_same() =>
        Gen.Select(Doses, Logs, Loads, Minutes)
            .Sample(
                (dose, sets, loads, minutes) =>
                {
                    var (a, b) = (Next(dose, sets, loads, minutes), Next(dose, sets, loads, minutes));
                    (a.Decision, a.Reason, a.ExternalKg, a.Dose.Figures).ShouldBe((b.Decision, b.Reason, b.ExternalKg, b.Dose.Figures));
                }
            );

    private static void Sample(Action<Dose, double?, double, Proposal> holds) =>
        Gen.Select(Doses, Logs, Loads, Minutes)
            .Sample((dose, sets, loads, minutes) => holds(dose, minutes, 20, Next(dose, sets, loads, minutes)), iter: Many);

    private static Proposal Next(Dose dose, ImmutableArray<LoggedSet> sets, ImmutableArray<(ReachableLoad, double)> loads, double? minutes)
    {
        var home = new HomeExercise
        {
            ExerciseId = "dumbbell-floor-press",
            Name = "Floor press",
            SetupId = "x",
            Setup = "x",
            ExternalKg = 20,
            Dose = dose,
        };
        return DoubleProgression.Next(
            new LineKey(1),
            new ProgressionContext(home, Examples.Exercise("dumbbell-floor-press"), loads, null, null)
            {
                Costs = DomainRules.Shipped,
                Techniques = Examples.TechniquesFor("dumbbell-floor-press"),
                MinutesLeft = minutes,
            },
            sets
        );
    }
}
