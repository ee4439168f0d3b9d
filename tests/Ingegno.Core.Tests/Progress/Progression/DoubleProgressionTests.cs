using System.Collections.Immutable;
using CsCheck;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.Progression;

/// <summary>The first version of docs/domain/progression: pain first, then load, reps, sets, rung, tempo. Common practice.</summary>
[Trait("source", "common practice (docs/domain/progression)")]
public class DoubleProgressionTests
{
    private static readonly ImmutableArray<(ReachableLoad, double)> Dumbbells =
    [
        (new(20, "2 × 10 kg", ["a"]), 20),
        (new(21, "2 × 10.5 kg", ["b"]), 21),
        (new(30, "2 × 15 kg", ["c"]), 30),
    ];

    [Fact]
    public void Nothing_logged_changes_nothing() => Next([]).Decision.ShouldBe(Decision.Wait);

    [Fact]
    public void A_rep_more_inside_the_zone()
    {
        var next = Next(Sets(9, 9, 9));

        next.Decision.ShouldBe(Decision.MoreReps);
        next.Dose.Target.Min.ShouldBe(10);
    }

    [Fact]
    public void The_next_load_at_the_top_of_the_zone()
    {
        var next = Next(Sets(12, 12, 12));

        next.Decision.ShouldBe(Decision.MoreLoad);
        next.ExternalKg.ShouldBe(21);
        next.Dose.Target.Min.ShouldBe(8, "back to the bottom");
    }

    [Fact]
    [Trait("source", "ACSM position stand 2009: 2–10 %")]
    public void A_large_step_must_be_earned_by_reps()
    {
        var next = Next(Sets(12, 12, 12), context: Context(20, [Dumbbells[0], Dumbbells[2]]));

        next.Decision.ShouldBe(Decision.MoreReps);
        next.ExternalKg.ShouldBe(20);
        next.Reason.Said().ShouldContain("50 %");
    }

    [Fact]
    public void A_step_in_system_load_may_be_small_where_the_dumbbell_is_not()
    {
        // 2 × 12 → 2 × 16 kg is +33 % of the dumbbell, but 84 → 92 kg is +10 % of a split squat (docs/domain/kit-and-loads).
        ImmutableArray<(ReachableLoad, double)> loads = [(new(24, "2 × 12 kg", ["a"]), 84), (new(32, "2 × 16 kg", ["b"]), 92)];

        Next(Sets(12, 12, 12), context: Context(24, loads, "rear-foot-raised-split-squat")).Decision.ShouldBe(Decision.MoreLoad);
    }

    [Theory]
    [InlineData(5, 15)] // at least fifteen
    [InlineData(8, 20)] // two and a half times the top
    [InlineData(12, 30)] // and never past thirty
    public void Reps_past_a_full_zone_go_no_further_than_they_train_the_same(int top, int most)
    {
        var here = Context(20, [Dumbbells[0]]);
        var full = here with
        {
            Home = here.Home with { Dose = here.Home.Dose with { Target = new SetTarget(most, most), Zone = new SetTarget(top - 1, top) } },
        };

        DoubleProgression.Next(new LineKey(1), full, Sets(most, most, most)).Dose.Target.Max.ShouldBeLessThanOrEqualTo(most);
        var before = full with
        {
            Home = full.Home with { Dose = full.Home.Dose with { Target = new SetTarget(top, top), Tempo = Tempo.Parse("1-0-1-0") } },
        };
        Next(Sets(top, top, top, rir: 3), before).Dose.Target.Max.ShouldBeLessThanOrEqualTo(most);
    }

    [Fact]
    public void Missed_reps_are_repeated_and_far_misses_step_back()
    {
        Next(Sets(8, 8, 7)).Decision.ShouldBe(Decision.Repeat);
        var back = Next(Sets(6, 5, 4), context: Context(21));
        back.Decision.ShouldBe(Decision.StepBack);
        back.ExternalKg.ShouldBe(20);
    }

    [Fact]
    public void Reps_ground_out_without_reserve_are_repeated() => Next(Sets(12, 12, 12, rir: 0)).Decision.ShouldBe(Decision.Repeat);

    [Fact]
    public void An_unfinished_session_raises_nothing() => Next(Sets(12, 12)).Decision.ShouldBe(Decision.Repeat);

    [Fact]
    public void Without_a_next_load_a_set_is_added_then_the_rung_then_the_tempo()
    {
        var top = ImmutableArray.Create(Dumbbells[2]);
        Next(Sets(12, 12, 12), context: Context(30, top)).Decision.ShouldBe(Decision.MoreSets);

        var four = Context(30, top) with { Harder = Examples.Exercise("archer-push-up") };
        four = four with { Home = four.Home with { Dose = four.Home.Dose with { Sets = 4 } } };
        Next(Sets(12, 12, 12, 12), context: four).Decision.ShouldBe(Decision.NextRung);

        var slower = Next(Sets(12, 12, 12, 12), context: four with { Harder = null });
        slower.Decision.ShouldBe(Decision.TechniqueOn);
        slower.Dose.Tempo.ToString().ShouldStartWith("5-");
    }

    [Theory]
    [InlineData(0, Decision.MoreReps, false)]
    [InlineData(2, Decision.MoreReps, false)]
    [InlineData(3, Decision.Ease, true)]
    [InlineData(4, Decision.Ease, true)]
    [InlineData(5, Decision.Swap, true)]
    [InlineData(9, Decision.Swap, true)]
    public void Pain_comes_before_everything(int pain, Decision decision, bool flags)
    {
        var sets = Sets(9, 9, 9);
        var next = Next(sets.SetItem(1, sets[1] with { Pain = pain, PainJoint = Joint.Shoulder }));

        next.Decision.ShouldBe(decision);
        next.FlagsCoach.ShouldBe(flags);
        if (flags)
        {
            next.Reason.Said().ShouldContain("shoulder");
        }
    }

    [Fact]
    public void Easier_without_a_lighter_load_is_two_reps_fewer()
    {
        var sets = Sets(9, 9, 9);
        var sore = sets.SetItem(1, sets[1] with { Pain = 3, PainJoint = Joint.Shoulder });

        Next(sore, Context(20, [Dumbbells[0]])).Dose.Target.ShouldBe(new SetTarget(6, 10), "two fewer than 8–12");
    }

    [Fact]
    public void What_is_accepted_has_the_figures_that_were_shown_and_sessions_before_another_rung_decide_nothing_more()
    {
        var more = Next(Sets(9, 9, 9));

        more.Accepted.Figures!.Target.ShouldBe(more.Dose.Target);
        more.Accepted.Figures.CountsAfter.ShouldBeNull();
        var decided = new DateOnly(2026, 5, 4);
        var dated = more with { Dose = more.Dose with { DecidedAfter = decided } };
        (dated with { ToExerciseId = "push-up" }).Accepted.ShouldSatisfyAllConditions(
            a => a.Figures!.ExerciseId.ShouldBe("push-up"),
            a => a.Figures!.CountsAfter.ShouldBe(decided),
            a => a.ToExerciseId.ShouldBe("push-up")
        );
        (dated with { Decision = Decision.Calibrated }).Accepted.Figures!.CountsAfter.ShouldBe(decided);
        (dated with { Decision = Decision.StepBack }).Accepted.Figures!.CountsAfter.ShouldBe(decided);
    }

    [Fact]
    public void No_proposal_raises_the_system_load_by_more_than_a_tenth_unless_it_is_earned() =>
        Gen.Select(Gen.Int[1, 40].Array[3], Gen.Int[0, 4], Gen.Double[1.02, 1.8])
            .Sample(
                (reps, rir, factor) =>
                {
                    ImmutableArray<(ReachableLoad, double)> loads = [Dumbbells[0], (new(20 * factor, "next", ["n"]), 20 * factor)];
                    var next = Next([.. reps.Select(r => new LoggedSet { Reps = r, Rir = rir })], context: Context(20, loads));
                    var earned = RepMaxCurve.RepsToEarn(20, 20 * factor, 8 + 2, CurveKind.Middle) - 2;
                    var able = reps.Min() + Math.Max(0, rir - 2); // reps left over beyond the two planned are reps to failure too
                    (next.Decision != Decision.MoreLoad || factor <= 1.1001 || able >= earned).ShouldBeTrue();
                }
            );

    private static Proposal Next(ImmutableArray<LoggedSet> sets, ProgressionContext? context = null) =>
        DoubleProgression.Next(new LineKey(1), context ?? Context(20), sets);

    private static ImmutableArray<LoggedSet> Sets(int a, int b, int? c = null, int? d = null, int rir = 2) =>
        [.. new[] { a, b, c, d }.OfType<int>().Select(r => new LoggedSet { Reps = r, Rir = rir })];

    private static ProgressionContext Context(
        double kg,
        ImmutableArray<(ReachableLoad, double)>? loads = null,
        string exercise = "dumbbell-floor-press"
    ) =>
        new(
            new HomeExercise
            {
                ExerciseId = exercise,
                Name = exercise,
                SetupId = "x",
                Setup = "x",
                ExternalKg = kg,
                Dose = new Dose
                {
                    Sets = 3,
                    Target = new SetTarget(8, 12),
                    Tempo = Tempo.Parse("2-0-1-0"),
                    RestSeconds = 90,
                    Rir = 2,
                },
            },
            Examples.Exercise(exercise),
            loads ?? Dumbbells,
            null,
            null
        )
        {
            Techniques = Examples.TechniquesFor(exercise),
        };
}
