using System.Collections.Immutable;
using CsCheck;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Rebuilding.Days;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Rebuilding.Weeks;

/// <summary>A week as a whole: days, locks, what stood before.</summary>
public class WeekChoiceTests
{
    private static readonly WeekChoice Choice = new(DomainRules.Shipped);

    private static readonly string[][] Days =
    [
        ["Bench press 4x6 RIR 2", "Barbell row 4x8", "A1 Barbell curl 3x10", "A2 Triceps pushdown 3x12"],
        ["Back squat 4x6 RIR 2", "Barbell Romanian deadlift 3x8", "Walking lunge 3x12/side", "Plank 3x40 s"],
        ["Overhead press 4x6", "Lat pulldown 3x10", "Seated cable row 3x12", "Cable fly 3x15"],
    ];

    private static readonly string[] SomeKit =
    [
        "dumbbell 8 x2",
        "rucksack",
        "bottle x6",
        "band-loop 12",
        "dining-table 74",
        "sofa 44",
        "chair 46",
        "sliding-floor",
        "paper-plates",
    ];

    [Fact]
    public void The_same_exercise_never_stands_twice_on_a_day() =>
        Choice
            .Choose([Line(0, ("a", 0.9), ("b", 0.8)), Line(0, ("a", 0.9), ("c", 0.4))])
            .ShouldBe([1, 0], "b + a is worth more than a + c");

    [Fact]
    public void The_same_exercise_may_stand_on_two_days() =>
        Choice.Choose([Line(0, ("a", 0.9), ("b", 0.8)), Line(1, ("a", 0.9), ("c", 0.4))]).ShouldBe([0, 0]);

    [Fact]
    [Trait("source", "common practice: a heavy set and its back-off sets are one lift")]
    public void A_lift_that_stands_twice_on_a_day_of_the_gym_stands_twice_at_home()
    {
        var result = Examples.Rebuild(
            Examples.ClientA,
            Examples.KitOf("barbell 20 kg with 140 kg of plates; rack; bench 44 cm"),
            "Bench press 1x3 @ 90%",
            "Bench press 3x8 @ 70%"
        );

        result.Plan.Lines.Select(l => l.Chosen!.Id).ShouldBe(["bench-press", "bench-press"]);
        result.Plan.Lines[1].Chosen!.Exercises[0].ExternalKg.ShouldBeLessThan(result.Plan.Lines[0].Chosen!.Exercises[0].ExternalKg);
    }

    [Fact]
    [Trait("source", "docs/domain/prescription: the same stimulus twice a day adds sets and nothing else")]
    public void A_second_squat_of_the_day_is_another_squat()
    {
        LineOptions[] lines = [Line(0, ("goblet-squat", 0.95), ("x", 0.5)), Line(0, ("chair-squat", 0.95), ("split-squat", 0.86))];
        LineOptions[] twoDays = [lines[0], Line(1, ("chair-squat", 0.95), ("split-squat", 0.86))];

        Choice.Choose(lines).ShouldBe([0, 1]);
        Choice.Because(lines, [0, 1])[1]!.Tells("why.week-same").ShouldBeTrue();
        Choice.Choose(twoDays).ShouldBe([0, 0]);
        Choice
            .Choose([lines[0], Line(0, ("chair-squat", 0.95), ("split-squat", 0.80))])
            .ShouldBe([0, 0], "what is clearly worse is no way out");
    }

    [Fact]
    public void What_is_taken_though_another_ranks_first_says_why()
    {
        LineOptions[] lines = [Line(0, ("a", 0.9), ("b", 0.8)), Line(0, ("a", 0.9), ("c", 0.4))];
        var because = Choice.Because(lines, Choice.Choose(lines));

        because.Count(b => b is not null).ShouldBe(1);
        because.OfType<Reason>().Single().Tells("why.week-twice").ShouldBeTrue();
        Choice.Because([Line(0, ("a", 0.9), ("b", 0.8))], [0]).ShouldBe([null]);
    }

    [Fact]
    public void The_gym_exercise_itself_stays_though_the_bar_be_loaded_anew_for_it()
    {
        var plan = new RebuildEngine(DomainRules.Shipped)
            .Rebuild(
                new RebuildRequest
                {
                    Client = Examples.ClientA with { KnownLifts = [] },
                    Kit = new PlaceKit
                    {
                        Name = "Garage",
                        Items =
                        [
                            new KitItem
                            {
                                Id = "bar",
                                Kind = "adjustable-barbell",
                                HandleKg = 20,
                                Plates = [new PlateSet(10, 4), new PlateSet(5, 2)],
                            },
                            new KitItem
                            {
                                Id = "db",
                                Kind = "dumbbell",
                                Count = 2,
                                MassKg = 20,
                            },
                        ],
                    },
                    GymLines = ["Barbell Romanian deadlift 3x8 RIR 2", "Barbell row 4x8 RIR 2", "Barbell curl 3x10"],
                }
            )
            .Plan;

        plan.Lines.Select(l => l.Chosen!.Exercises[0].ExerciseId).ShouldBe(plan.Lines.Select(l => l.Gym.ExerciseId));
    }

    [Theory]
    [InlineData("bar", "why.week-rig")]
    [InlineData("mat", "why.week-sets")]
    public void The_reason_is_what_the_first_would_have_cost_most(string firstUses, string code)
    {
        var (row, curl) = (Line(0, ("barbell-row", 0.9)), Line(0, ("barbell-curl", 0.9), ("dumbbell-lateral-raise", 0.9)));
        LineOptions Using(LineOptions line, int option, string item, double kg) =>
            line with
            {
                Options = line.Options.SetItem(
                    option,
                    line.Options[option] with
                    {
                        Exercises = [line.Options[option].Exercises[0] with { UsesItems = [item], ExternalKg = kg }],
                    }
                ),
            };
        LineOptions[] lines = [Using(row, 0, "bar", 60), Using(Using(curl, 0, firstUses, 30), 1, "db", 8)];

        Choice.Because(lines, [0, 1])[1]!.Tells(code).ShouldBeTrue(Choice.Because(lines, [0, 1])[1]!.Said());
    }

    [Fact]
    public void A_line_without_a_free_option_stays_empty() => Choice.Choose([Line(0, ("a", 0.9)), Line(0, ("a", 0.8))]).ShouldBe([0, -1]);

    [Fact]
    public void What_stood_before_stays_when_another_is_hardly_better()
    {
        var line = Line(0, ("a", 0.81), ("b", 0.80));

        Choice.Choose([line with { Kept = "b" }]).ShouldBe([1]);
        Choice.Choose([Line(0, ("a", 0.85), ("b", 0.80)) with { Kept = "b" }]).ShouldBe([0], "a clear gain is taken");
    }

    [Fact]
    public void The_order_of_the_days_never_matters() =>
        Gen.Shuffle(new[] { 0, 1, 2 })
            .Sample(
                order =>
                {
                    var straight = ByDay(Week([0, 1, 2]));
                    var mixed = ByDay(Week(order));
                    foreach (var (name, chosen) in straight)
                    {
                        mixed[name].ShouldBe(chosen);
                    }
                },
                iter: 6
            );

    [Fact]
    public void A_locked_line_never_changes_whatever_else_does() =>
        Gen.Select(Gen.Int[0, 8], Gen.Bool.Array[SomeKit.Length])
            .Sample(
                (line, kept) =>
                {
                    var request = Request([0, 1, 2], SomeKit);
                    var before = Rebuild(request).Plan.Lines[line];
                    var locked = request with
                    {
                        Kit = Examples.Kit([.. SomeKit.Where((_, i) => kept[i])]),
                        Choices = [new CoachChoice(before.Gym.Key, before.Chosen!.Id)],
                    };
                    var after = Rebuild(locked).Plan.Lines[line];
                    if (after.Locked)
                    {
                        after.Chosen!.Id.ShouldBe(before.Chosen.Id);
                    }
                    else
                    {
                        after
                            .RuledOut.Select(r => r.ExerciseId)
                            .ShouldContain(id => before.Chosen.Id.Contains(id), "a choice is only given up for a reason that stands there");
                    }
                },
                iter: 25
            );

    [Fact]
    public void Taking_an_unused_thing_away_changes_nothing()
    {
        var request = Request([0, 1, 2], SomeKit);
        var before = Rebuild(request).Plan.Lines;
        var used = before.SelectMany(l => l.Chosen!.Exercises).SelectMany(e => e.UsesItems).ToHashSet();
        var less = request with
        {
            Kit = request.Kit with { Items = [.. request.Kit.Items.Where(i => used.Contains(i.Id))] },
            Before = [.. before.Select(l => new StoodBefore(l.Gym.ExerciseId, l.Chosen!.Id))],
        };

        Rebuild(less).Plan.Lines.Select(l => l.Chosen!.Id).ShouldBe(before.Select(l => l.Chosen!.Id));
    }

    [Fact]
    public void Every_day_has_its_minutes_and_the_week_its_hard_sets()
    {
        var plan = Rebuild(Request([0, 1], SomeKit)).Plan;
        var first = Rebuild(Request([0], SomeKit)).Plan;

        plan.Days.Select(d => d.Name).ShouldBe(["Day 1", "Day 2"]);
        plan.Days.ShouldAllBe(d => d.Minutes.Total > DomainRules.Shipped.Session.Preparation.Usual);
        plan.HardSets.Sum(s => s.Gym).ShouldBeGreaterThan(first.HardSets.Sum(s => s.Gym));
    }

    [Fact]
    public void Superset_letters_of_two_days_have_nothing_to_do_with_one_another()
    {
        var together = Rebuild(
            Request([0], SomeKit) with
            {
                GymLines = ["A1 Barbell curl 3x10 60 s", "A2 Triceps pushdown 3x12 60 s"],
            }
        ).Plan;
        var apart = Rebuild(
            Request([0], SomeKit) with
            {
                GymLines = ["= One", "A1 Barbell curl 3x10 60 s", "= Two", "A2 Triceps pushdown 3x12 60 s"],
            }
        ).Plan;

        (apart.Days[0].Minutes.Total + apart.Days[1].Minutes.Total - DomainRules.Shipped.Session.Preparation.Usual).ShouldBeGreaterThan(
            together.Days[0].Minutes.Total,
            "a rest that is shared within a day is not shared across days"
        );
    }

    private static RebuildResult Rebuild(RebuildRequest request) => new RebuildEngine(DomainRules.Shipped).Rebuild(request);

    private static RebuildRequest Request(int[] days, string[] kit) =>
        new()
        {
            Client = Examples.ClientA,
            Kit = Examples.Kit(kit),
            GymLines = [.. days.SelectMany(d => Days[d].Prepend($"= Day {d + 1}"))],
        };

    private static HomePlan Week(int[] order) => Rebuild(Request(order, SomeKit)).Plan;

    private static Dictionary<string, string> ByDay(HomePlan plan) =>
        plan
            .Days.Select((d, i) => (d.Name, i))
            .ToDictionary(d => d.Name, d => string.Join(", ", plan.Lines.Where(l => l.Gym.Day == d.i).Select(l => l.Chosen?.Id)));

    private int _lines;

    /// <summary>A line of a gym exercise that no other line has.</summary>
    private LineOptions Line(int day, params (string Id, double Match)[] options) =>
        new(
            new GymLine
            {
                Line = 1,
                Day = day,
                ExerciseId = $"x{++_lines}",
                Name = "x",
                Sets = 3,
                Target = new SetTarget(8, 8),
            },
            LineRole.Accessory,
            [.. options.OrderByDescending(o => o.Match).ThenBy(o => o.Id).Select(o => Candidate(o.Id, o.Match))]
        );

    private static Candidate Candidate(string id, double match) =>
        new()
        {
            Id = id,
            Match = match,
            Parts = [],
            Exercises =
            [
                new HomeExercise
                {
                    ExerciseId = id,
                    Name = id,
                    SetupId = "s",
                    Setup = "s",
                    ExternalKg = 0,
                    Dose = new Dose
                    {
                        Sets = 3,
                        Target = new SetTarget(8, 8),
                        Tempo = Tempo.Parse("2-0-1-0"),
                        RestSeconds = 60,
                        Rir = 2,
                    },
                },
            ],
        };
}
