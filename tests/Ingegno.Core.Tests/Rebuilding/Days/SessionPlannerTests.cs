using CsCheck;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Rebuilding.Days;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Approved.GeneratedClients;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Rebuilding.Days;

public class SessionPlannerTests
{
    private static readonly string[] Day =
    [
        "Plank 3x40 s 60 s",
        "Barbell curl 3x12 90 s",
        "Back squat 4x6 RIR 2 3:00",
        "Bench press 4x8 RIR 2 2 min",
        "Barbell row 4x8 RIR 2 2 min",
        "Triceps pushdown 3x12 90 s",
        "Lying leg curl 3x12 90 s",
    ];

    private static readonly string[] Kit =
    [
        "dumbbell 12 x2",
        "dumbbell 8 x2",
        "band-loop 12",
        "dining-table 74",
        "step 20",
        "closed-door",
        "sliding-floor",
        "paper-plates",
        "chair 45",
    ];

    [Theory]
    [Trait("source", "docs/domain/prescription: warm-up 5–10 minutes; at most a quarter of a short session is common practice")]
    [InlineData(null, 11)]
    [InlineData(60, 11)]
    [InlineData(44, 11)]
    [InlineData(43, 10)]
    [InlineData(36, 9)]
    [InlineData(28, 7)]
    [InlineData(15, 7)]
    public void A_short_session_prepares_shortly(int? minutes, int preparation) =>
        new SessionTime(DomainRules.Shipped.Session).PreparationMinutes(minutes).ShouldBe(preparation);

    [Fact]
    public void Mirror_keeps_the_order_of_the_gym_plan() =>
        Groups("mirror")
            .Select(b => b.Lines.Single())
            .ShouldBe([new LineKey(1), new LineKey(2), new LineKey(3), new LineKey(4), new LineKey(5), new LineKey(6), new LineKey(7)]);

    [Fact]
    [Trait("source", "docs/domain/prescription: main compound lifts first, isolation after, trunk last")]
    public void The_order_of_the_trade_puts_main_lifts_first_and_the_trunk_last()
    {
        var lines = Groups("tension").SelectMany(b => b.Lines).ToList();

        lines[0].ShouldBe(new LineKey(3));
        lines[^1].ShouldBe(new LineKey(1));
        lines.IndexOf(new LineKey(2)).ShouldBeGreaterThan(lines.IndexOf(new LineKey(5)), "curls after rows");
    }

    [Fact]
    public void Density_puts_opposite_muscles_in_turn_and_says_why()
    {
        var pairs = Groups("density").Where(b => b.Lines.Length > 1).ToList();

        pairs.ShouldNotBeEmpty();
        pairs.ShouldAllBe(b => b.Kind == RoundKind.Superset && b.Why!.Said().Length > 10);
        pairs.ShouldContain(
            b => b.Lines.OrderBy(l => l.Value).SequenceEqual(new[] { new LineKey(2), new LineKey(6) }),
            "curl and pushdown"
        );
        pairs.ShouldNotContain(
            b => b.Lines.Contains(new LineKey(3)) && b.Lines.Contains(new LineKey(7)),
            "squat and leg curl want the one band in two ways"
        );
    }

    [Fact]
    public void A_circuit_is_one_group_in_rounds_with_the_trunk_last()
    {
        var group = Groups("circuit").ShouldHaveSingleItem();

        group.Kind.ShouldBe(RoundKind.Circuit);
        group.Rounds.ShouldBe(3);
        group.Lines[^1].ShouldBe(new LineKey(1));
    }

    [Fact]
    public void Ten_by_ten_goes_ten_rounds() => Groups("ten-by-ten").ShouldContain(b => b.Rounds == 10);

    [Fact]
    public void Full_range_goes_stretched_then_shortened_then_the_middle()
    {
        var plan = Rebuild(
            "full-range",
            null,
            [
                "Glute bridge 3x10 90 s",
                "Barbell curl 3x10 90 s",
                "Single-leg glute bridge 3x10/side 90 s",
                "Split squat 3x10/side 90 s",
                "Hip thrust 3x10 90 s",
            ]
        );
        var order = plan.Days[0]
            .Groups.SelectMany(b => b.Lines)
            .Select(l =>
                (
                    Muscle: MainMuscle(plan, l),
                    Rank: Profile(plan, l) switch
                    {
                        Core.Knowledge.Exercises.Profile.Stretched => 0,
                        Core.Knowledge.Exercises.Profile.Shortened => 1,
                        _ => 2,
                    }
                )
            )
            .ToList();

        order.GroupBy(o => o.Muscle).ShouldAllBe(g => g.Select(o => o.Rank).SequenceEqual(g.Select(o => o.Rank).Order()));
        order
            .Select(o => o.Muscle)
            .Where((m, i) => i == 0 || m != order[i - 1].Muscle)
            .Distinct()
            .Count()
            .ShouldBe(order.Where((o, i) => i == 0 || o.Muscle != order[i - 1].Muscle).Count(), "each muscle is finished before the next");
    }

    [Fact]
    public void Gym_supersets_stay_together_under_every_school()
    {
        foreach (var approach in DomainRules.Shipped.Approaches)
        {
            Rebuild(approach.Id, null, ["A1 Bench press 3x8 90 s", "Back squat 3x8 2 min", "A2 Barbell row 3x8 90 s"])
                .Days[0]
                .Groups.ShouldContain(b => b.Lines.Contains(new LineKey(1)) && b.Lines.Contains(new LineKey(3)), approach.Id);
        }
    }

    [Fact]
    public void Two_loads_on_one_rig_are_never_put_in_turn()
    {
        foreach (var approach in new[] { "density", "ten-by-ten" })
        {
            var plan = Rebuild(approach, 30, Day);
            foreach (var block in plan.Days[0].Groups.Where(b => b.Lines.Length == 2))
            {
                var homes = block.Lines.Select(l => plan.Lines.First(x => x.Gym.Key == l).Chosen!.Exercises[0]).ToList();
                RigUse.Conflict(homes[0], homes[1]).ShouldBeFalse($"{homes[0].Setup} | {homes[1].Setup}");
            }
        }
    }

    [Fact]
    [Trait(
        "source",
        "docs/domain/prescription: minutes = Σ sets × (reps × seconds × sides + rest) + change-over + warm-up and cool-down, by hand"
    )]
    public void Minutes_by_hand()
    {
        var plan = Rebuild(
            "mirror",
            null,
            ["Push-up 3x10 2-0-1-0 90 s"],
            [
                new HomeEdit
                {
                    Line = new LineKey(1),
                    ExerciseId = "push-up",
                    Sets = 3,
                    Target = new(10, 10),
                    Tempo = Tempo.Parse("2-0-1-0"),
                    RestSeconds = 90,
                },
            ],
            "push-up"
        );

        // 3 × (10 × 3 s + 90 s) + 75 s change-over = 435 s = 7.25 min, and 11 min of warm-up and cool-down.
        plan.Days[0].Minutes.Total.ShouldBe(19);
    }

    [Fact]
    public void A_day_with_nothing_on_it_takes_no_minutes()
    {
        new SessionTime(DomainRules.Shipped.Session)
            .Minutes([], new Dictionary<LineKey, HomeLine>(), limit: null)
            .ShouldBe(0, "nobody warms up for nothing");
        Rebuild("mirror", null, ["Push-up 1x1 0 s"]).Days[0].Minutes.Total.ShouldBeGreaterThan(11);
    }

    [Fact]
    public void What_gives_way_to_fit_the_time_is_said_in_order()
    {
        var (whole, cut) = (Rebuild("mirror", null, Day), Rebuild("mirror", 55, Day));

        whole.Days[0].Cut.ShouldBeEmpty();
        whole.Days[0].Minutes.Total.ShouldBeGreaterThan(55);
        cut.Days[0].Cut.ShouldNotBeEmpty();
        cut.Days[0].Cut[0].Said().ShouldEndWith("in turn.");
        cut.Lines[2].Chosen!.Exercises[0].Dose.Sets.ShouldBe(whole.Lines[2].Chosen!.Exercises[0].Dose.Sets, "main lifts keep their sets");
    }

    /// <summary>
    /// Common practice, by hand: thirds and fourths of what is no main lift go first, then what a main lift has past three, then a small muscle's
    /// second set, and only then a main lift's third. Minute by minute, from a day without a limit to one of a quarter of an hour.
    /// </summary>
    [Fact]
    public void Sets_go_in_the_order_of_their_worth()
    {
        string[] day = ["Back squat 5x5 RIR 2", "Bench press 4x8 RIR 2", "Barbell row 4x8", "Split squat 4x10/side", "Barbell curl 4x12"];
        var shorter = Enumerable.Range(12, 80).Reverse().Select(m => SetsLeft.Of(Rebuild("mirror", m, day))).ToList();

        shorter[0].ShouldBe(new SetsLeft(5, 4, 4, 4, 4));
        shorter.ShouldContain(s => s.Squat == 5 && s.Lunge == 2 && s.Curl == 2, "the main lifts have not given yet");
        shorter.ShouldContain(s => s.Squat == 3 && s.Curl == 2, "the main lifts gave, the curls keep two");
        shorter.ShouldContain(s => s.Squat == 3 && s.Curl == 1, "one set of curls, three of the squat");
        shorter.ShouldContain(s => s.Squat == 2, "at last the squat's third");
        shorter.Where(s => s.Squat < 5 || s.Bench < 4 || s.Row < 4).ShouldAllBe(s => s.Lunge <= 2 && s.Curl <= 2);
        shorter.Where(s => s.Curl == 1).ShouldAllBe(s => s.Squat <= 3 && s.Bench <= 3 && s.Row <= 3);
        shorter.Where(s => s.Squat < 3 || s.Bench < 3 || s.Row < 3).ShouldAllBe(s => s.Curl <= 1);
        shorter.ShouldAllBe(s => s.Squat >= 2 && s.Bench >= 2 && s.Row >= 2 && s.Lunge != 1, "nobody squats or lunges one set");
    }

    /// <summary>Sets of the lines of a day; 0 for one that was left out.</summary>
    private sealed record SetsLeft(int Squat, int Bench, int Row, int Lunge, int Curl)
    {
        public static SetsLeft Of(HomePlan plan)
        {
            int At(int line) => plan.Lines[line].Chosen?.Exercises[^1].Dose.Sets ?? 0;
            return new SetsLeft(At(0), At(1), At(2), At(3), At(4));
        }
    }

    /// <summary>Common practice: isolation goes before compound, and the main lifts stay.</summary>
    [Fact]
    public void Whole_lines_go_at_last_isolation_first()
    {
        var plan = Rebuild("mirror", 32, Day);
        var isolation = new[] { "Plank", "Barbell curl", "Triceps pushdown", "Lying leg curl" };

        plan.Days[0].Minutes.Total.ShouldBeLessThanOrEqualTo(32);
        var gone = plan.Lines.Where(l => l.LeftOut).ToList();
        gone.ShouldNotBeEmpty();
        gone.ShouldAllBe(l => l.Chosen == null && isolation.Contains(l.GymExerciseName) && l.Candidates.Length > 0);
        plan.Days[0].Cut.Count(c => c.Code == "fit.line").ShouldBe(gone.Count);
        plan.Notices.ShouldNotContain(n => n.Code == "line-without-substitute");
        plan.Findings.ShouldNotContain(f => f.Code == "too-long");
    }

    /// <summary>Common practice: a second press goes before the only hinge of the day, though it stands above it.</summary>
    [Fact]
    public void What_the_day_trains_twice_goes_first()
    {
        string[] day = ["Back squat 4x6 RIR 2", "Bench press 4x8 RIR 2", "Incline dumbbell press 3x10", "Romanian deadlift 3x10"];
        var minutes = Enumerable.Range(20, 40).Last(m => Rebuild("mirror", m, day).Lines.Count(l => l.LeftOut) == 1);

        Rebuild("mirror", minutes, day).Lines.Single(l => l.LeftOut).GymExerciseName.ShouldBe("Incline dumbbell press");
    }

    /// <summary>
    /// Twenty minutes: the leg curl goes, and the hinge after it, which makes room for the leg curl again (a client drawn for the registers, read
    /// as a coach reads).
    /// </summary>
    [Fact]
    public void A_short_line_comes_back_when_a_long_one_went()
    {
        var plan = new RebuildEngine(DomainRules.Shipped).Rebuild(DrawnRequests.Of(9101)).Plan;
        var day = plan.Lines.TakeWhile(l => l.GymExerciseName != "Incline dumbbell press").ToList();

        day.Where(l => l.LeftOut).Select(l => l.GymExerciseName).ShouldBe(["Deadlift"]);
        plan.Days[0].Cut.Count(c => c.Code == "fit.line").ShouldBe(1);
        plan.Days[0].Minutes.Total.ShouldBeLessThanOrEqualTo(20);
    }

    [Fact]
    public void What_a_coach_took_is_never_left_out()
    {
        var out_ = Rebuild("mirror", 32, Day).Lines.First(l => l.LeftOut);
        var request = new RebuildRequest
        {
            Client = Examples.ClientA with { MinutesPerSession = 32 },
            Kit = Examples.Kit(Kit),
            GymLines = [.. Day],
            Choices = [new CoachChoice(out_.Gym.Key, out_.Candidates[0].Id)],
        };
        var line = new RebuildEngine(DomainRules.Shipped).Rebuild(request).Plan.Lines.Single(l => l.Gym.Key == out_.Gym.Key);

        (line.LeftOut, line.Chosen?.Id).ShouldBe((false, out_.Candidates[0].Id));
    }

    [Fact]
    public void What_a_coach_set_is_not_cut()
    {
        var curl = Rebuild("mirror", null, Day).Lines[1].Chosen!.Exercises[0].ExerciseId;
        var plan = Rebuild(
            "mirror",
            40,
            Day,
            [
                new HomeEdit
                {
                    Line = new LineKey(2),
                    ExerciseId = curl,
                    Sets = 5,
                    RestSeconds = 120,
                },
            ]
        );

        var dose = plan.Lines[1].Chosen!.Exercises[0].Dose;
        (dose.Sets, dose.RestSeconds).ShouldBe((5, 120));
    }

    [Fact]
    public void The_session_never_exceeds_its_minutes_without_saying_so() =>
        Gen.Select(
                Gen.Int[20, 90],
                Gen.OneOfConst("mirror", "density", "tension", "full-range", "ten-by-ten", "circuit", "one-by-twenty", "milestones"),
                Gen.Bool
            )
            .Sample(
                (minutes, approach, fit) =>
                {
                    var plan = Rebuild(approach, minutes, Day, fit: fit);
                    return plan.Days[0].Minutes.Total <= minutes || plan.Findings.Any(f => f.Code == "too-long");
                },
                iter: 40
            );

    [Fact]
    public void Density_tires_the_muscle_before_a_compound_that_stays_too_easy()
    {
        var strong = Examples.ClientA with { KnownLifts = [new KnownLift("bench-press", 150), new KnownLift("back-squat", 200)] };
        var request = new RebuildRequest
        {
            Client = strong,
            Kit = Examples.Kit("dumbbell 8 x2"),
            GymLines = ["Bench press 4x8 RIR 1", "Cable fly 3x12"],
            Approach = "density",
        };
        var plan = new RebuildEngine(DomainRules.Shipped).Rebuild(request).Plan;

        plan.Days[0]
            .Groups.ShouldContain(b =>
                b.Why != null && b.Why.Said().StartsWith("Pre-exhaust") && b.Lines.SequenceEqual(new[] { new LineKey(2), new LineKey(1) })
            );
        plan.Lines[0].Chosen!.Exercises[0].Dose.Techniques.ShouldContain("pre-exhaust");
        new RebuildEngine(DomainRules.Shipped)
            .Rebuild(request with { Approach = "tension" })
            .Plan.Days[0]
            .Groups.ShouldAllBe(b => b.Lines.Length == 1);
    }

    [Theory]
    [Trait("source", "own decision: a quarter above the wanted reps, the same figure as for the dose; ten wanted")]
    [InlineData(12.5, false)]
    [InlineData(12.6, true)]
    public void A_compound_a_quarter_above_the_wanted_reps_is_tired_beforehand(double toFailure, bool joined)
    {
        var lines = Examples.Rebuild(Examples.ClientA, Examples.Kit("dumbbell 8 x2"), "Bench press 4x8 RIR 2", "Cable fly 3x12").Plan.Lines;
        var home = lines[0].Chosen!.Exercises[0] with
        {
            Expected = new RepRange(toFailure, toFailure, toFailure),
            Wanted = new Bounds(8, 10),
        };
        var bench = lines[0] with { Chosen = lines[0].Chosen! with { Exercises = [home] } };

        var groups = new SessionPlanner(DomainRules.Shipped, Examples.ClientA)
            .Plan([bench, lines[1]], DomainRules.Shipped.ApproachOf("density"), fit: false)
            .Groups;

        groups.Any(g => g.Why?.Code == "group.pre-exhaust").ShouldBe(joined);
    }

    /// <summary>
    /// A client who has less time today: the warm-up is shortened where a quarter of the time is less than it takes, and that is said;
    /// what stands in turn stays so, in the order that it had.
    /// </summary>
    [Theory]
    [InlineData(30, 7)]
    [InlineData(50, null)]
    public void A_shorter_day_says_what_its_warm_up_lost(int minutes, int? warmUp)
    {
        var day = Rebuild("density", null, Day);
        var client = Examples.ClientA with { MinutesPerSession = 60 };
        var shorter = new SessionPlanner(DomainRules.Shipped, client).Shorter(
            day.Lines,
            day.Days[0].Groups,
            DomainRules.Shipped.ApproachOf("density"),
            minutes
        );

        shorter.Cut.FirstOrDefault(c => c.Code == "fit.warm-up")?["minutes"].ShouldBe(warmUp);
        shorter.Cut.Any(c => c.Code == "fit.warm-up").ShouldBe(warmUp is not null);
        shorter.Minutes.Limit.ShouldBe(minutes);
        shorter.Minutes.Total.ShouldBeLessThanOrEqualTo(minutes);
        shorter.Lines.ShouldAllBe(l => !l.Locked, "nothing is sacred to a client without time");
        foreach (var group in shorter.Groups.Where(g => g.Lines.Length > 1))
        {
            day.Days[0].Groups.ShouldContain(g => group.Lines.All(g.Lines.Contains) || g.Lines.Length == 1);
        }
    }

    private static Core.Foundation.Body.Muscle MainMuscle(HomePlan plan, LineKey line) =>
        Examples.Exercise(plan.Lines.First(l => l.Gym.Key == line).Chosen!.Exercises[0].ExerciseId).Muscles.MaxBy(m => m.Value).Key;

    private static Core.Knowledge.Exercises.Profile Profile(HomePlan plan, LineKey line) =>
        Examples.Exercise(plan.Lines.First(l => l.Gym.Key == line).Chosen!.Exercises[0].ExerciseId).Profile;

    private static System.Collections.Immutable.ImmutableArray<RoundGroup> Groups(string approach) =>
        Rebuild(approach, null, Day).Days[0].Groups;

    private static HomePlan Rebuild(
        string approach,
        int? minutes,
        string[] lines,
        HomeEdit[]? edits = null,
        string? choice = null,
        bool fit = true
    ) =>
        new RebuildEngine(DomainRules.Shipped)
            .Rebuild(
                new RebuildRequest
                {
                    Client = Examples.ClientA with { MinutesPerSession = minutes },
                    Kit = Examples.Kit(Kit),
                    GymLines = [.. lines],
                    Approach = approach,
                    Edits = [.. edits ?? []],
                    Choices = choice is null ? [] : [new CoachChoice(new LineKey(1), choice)],
                    FitToMinutes = fit,
                }
            )
            .Plan;
}
