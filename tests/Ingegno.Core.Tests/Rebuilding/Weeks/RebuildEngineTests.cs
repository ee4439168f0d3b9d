using System.Text.Json;
using CsCheck;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Rebuilding.Weeks;

public class RebuildEngineTests
{
    private static readonly string[] WholeBody =
    [
        "Back squat 4x6 @ RPE 8 2:30",
        "Bench press 4x8 RIR 2 2 min",
        "Seated cable row 3x10 RIR 2",
        "Lying leg curl 3x12 60 s",
        "A1 Triceps pushdown 3x12",
        "A2 Barbell curl 3x12",
        "Plank 3x40 s",
    ];

    private static readonly string[] SomeKit =
    [
        "dumbbell 8 x2",
        "kettlebell 16",
        "band-loop 12",
        "rucksack",
        "bottle x4",
        "dining-table 74",
        "chair 45 x2",
        "sofa 44",
        "step 20",
        "sliding-floor",
        "paper-plates",
        "pull-up-bar",
        "towel x2",
        "banister",
    ];

    [Fact]
    public void Every_line_gets_a_home_line_with_dose_reasons_and_ranked_candidates()
    {
        var result = Examples.Rebuild(Examples.ClientA, Examples.Kit(SomeKit), WholeBody);

        result.Errors.ShouldBeEmpty();
        result.Plan.Lines.Length.ShouldBe(WholeBody.Length);
        foreach (var line in result.Plan.Lines)
        {
            line.Chosen.ShouldNotBeNull(line.GymExerciseName);
            line.Chosen.Why.ShouldNotBeEmpty();
            line.Chosen.Parts.Sum(p => p.Weight).ShouldBe(1, 1e-9);
            line.Candidates.Select(c => c.Match).ShouldBeInOrder(SortDirection.Descending);
            line.Candidates.ShouldAllBe(c => c.Match >= 0 && c.Match <= 1 && c.Exercises.All(e => e.Dose.Sets > 0 && e.Setup.Length > 0));
            line.RuledOut.ShouldAllBe(r => r.Reason.Said().Length > 10);
        }
    }

    [Fact]
    public void Nothing_at_all_still_gives_a_plan_of_floor_and_wall_and_says_what_is_missing()
    {
        var result = Examples.Rebuild(Examples.ClientA, Examples.Kit(), WholeBody);

        result.Plan.Lines.ShouldAllBe(l => l.Chosen != null && l.Chosen.Exercises.All(e => e.UsesItems.IsEmpty));
        result.Plan.Notices.ShouldContain(n => n.Code == "no-kit" && n.Level == NoticeLevel.Warning);
        result.Plan.Lines.ShouldContain(l => l.Better.Length > 0);
    }

    [Fact]
    public void The_same_request_gives_the_same_plan_whatever_the_order_of_the_kit() =>
        Gen.Shuffle(SomeKit)
            .Sample(
                shuffled =>
                {
                    // The ids stay with their things, as they do when a coach sorts a list.
                    var kit = Examples.Kit(SomeKit);
                    var mixed = kit with { Items = [.. shuffled.Select(w => kit.Items[Array.IndexOf(SomeKit, w)])] };
                    Chosen(Examples.Rebuild(Examples.ClientA, mixed, WholeBody))
                        .ShouldBe(Chosen(Examples.Rebuild(Examples.ClientA, kit, WholeBody)));
                },
                iter: 20
            );

    [Fact]
    public void A_plan_never_needs_kit_that_is_not_there() =>
        Gen
            .Bool.Array[SomeKit.Length]
            .Sample(
                kept =>
                {
                    var kit = Examples.Kit([.. SomeKit.Where((_, i) => kept[i])]);
                    var ids = kit.Items.Select(i => i.Id).ToHashSet();
                    Examples
                        .Rebuild(Examples.ClientA, kit, WholeBody)
                        .Plan.Lines.SelectMany(l => l.Candidates)
                        .SelectMany(c => c.Exercises)
                        .SelectMany(e => e.UsesItems)
                        .ShouldAllBe(id => ids.Contains(id));
                },
                iter: 30
            );

    [Fact]
    public void No_exercise_stands_twice_on_a_day() =>
        Gen
            .Bool.Array[SomeKit.Length]
            .Sample(
                kept =>
                    Chosen(Examples.Rebuild(Examples.ClientB, Examples.Kit([.. SomeKit.Where((_, i) => kept[i])]), WholeBody))
                        .ShouldBeUnique(),
                iter: 30
            );

    [Fact]
    public void A_choice_of_the_coach_is_kept_and_marked()
    {
        var request = new RebuildRequest
        {
            Client = Examples.ClientA,
            Kit = Examples.Kit(SomeKit),
            GymLines = [.. WholeBody],
            Choices = [new CoachChoice(new LineKey(2), "knee-push-up")],
        };
        var line = new RebuildEngine(DomainRules.Shipped).Rebuild(request).Plan.Lines[1];

        line.Locked.ShouldBeTrue();
        line.Chosen!.Id.ShouldBe("knee-push-up");
    }

    [Fact]
    public void A_choice_that_cannot_be_kept_is_said()
    {
        var request = new RebuildRequest
        {
            Client = Examples.ClientA,
            Kit = Examples.Kit(),
            GymLines = [.. WholeBody],
            Choices = [new CoachChoice(new LineKey(2), "dumbbell-floor-press")],
        };
        var plan = new RebuildEngine(DomainRules.Shipped).Rebuild(request).Plan;

        plan.Lines[1].Locked.ShouldBeFalse();
        plan.Notices.ShouldContain(n => n.Code == "choice-not-kept");
    }

    [Fact]
    public void A_role_set_by_the_coach_brings_its_weights()
    {
        var request = new RebuildRequest
        {
            Client = Examples.ClientA,
            Kit = Examples.Kit(),
            GymLines = ["Bench press 4x8"],
            Choices = [new CoachChoice(new LineKey(1), null, LineRole.Accessory)],
        };

        new RebuildEngine(DomainRules.Shipped).Rebuild(request).Plan.Lines[0].Role.ShouldBe(LineRole.Accessory);
    }

    [Fact]
    public void Figures_that_the_coach_set_stay_and_loads_snap_to_what_can_be_reached()
    {
        var request = new RebuildRequest
        {
            Client = Examples.ClientA,
            Kit = Examples.Kit("dumbbell 8 x2", "dumbbell 12 x2"),
            GymLines = ["Bench press 4x8"],
            Choices = [new CoachChoice(new LineKey(1), "dumbbell-floor-press")],
            Edits =
            [
                new HomeEdit
                {
                    Line = new LineKey(1),
                    ExerciseId = "dumbbell-floor-press",
                    Sets = 5,
                    Tempo = Tempo.Parse("4-0-1-0"),
                    ExternalKg = 17,
                },
            ],
        };
        var home = new RebuildEngine(DomainRules.Shipped).Rebuild(request).Plan.Lines[0].Chosen!.Exercises[0];

        home.Dose.Sets.ShouldBe(5);
        home.Dose.Tempo.ToString().ShouldBe("4-0-1-0");
        home.ExternalKg.ShouldBe(16);
    }

    [Theory]
    [InlineData("shoulder", "overhead-press", "Overhead press 3x8")]
    [InlineData("knee", "squat-jump", "Back squat 3x8")]
    [InlineData("low-back", "dumbbell-romanian-deadlift", "Barbell Romanian deadlift 3x8")]
    [InlineData("wrist", "push-up", "Bench press 3x8")]
    public void An_injured_joint_takes_out_what_loads_it_and_says_so(string joint, string example, string gymLine)
    {
        var injured = Examples.ClientA with
        {
            SoreJoints = [new SoreJoint(JsonSerializer.Deserialize<Joint>($"\"{joint}\"", RulesJson.Strict), Soreness.Injured)],
        };
        var line = Examples.Rebuild(injured, Examples.Kit(SomeKit), gymLine).Plan.Lines[0];

        line.RuledOut.ShouldContain(r => r.Code == "joint" && r.Reason.Said().Contains(joint.Replace('-', ' ')), example);
        line.Candidates.SelectMany(c => c.Exercises)
            .ShouldAllBe(e => Examples.Exercise(e.ExerciseId).Joints.GetValueOrDefault(injured.SoreJoints[0].Joint) < 2);
    }

    [Theory]
    [InlineData("Back squat 3x10", "impact", "squat-jump")]
    [InlineData("Overhead press 3x8", "level", "wall-handstand-push-up")]
    public void Beginners_are_spared_landings_and_stunts(string gymLine, string code, string exercise) =>
        Examples
            .Rebuild(Examples.ClientB, Examples.Kit(SomeKit), gymLine)
            .Plan.Lines[0]
            .RuledOut.ShouldContain(r => r.ExerciseId == exercise && r.Code == code);

    [Fact]
    public void The_dip_off_one_surface_is_out_by_default_with_its_reason() =>
        Examples
            .Rebuild(Examples.ClientA, Examples.Kit(SomeKit), "Parallel-bar dip 3x8")
            .Plan.Lines[0]
            .RuledOut.ShouldContain(r =>
                r.ExerciseId == "dip-off-one-surface" && r.Code == "off-by-default" && r.Reason.Said().Contains("shoulder")
            );

    [Fact]
    public void High_blood_pressure_keeps_the_head_up()
    {
        var line = Examples
            .Rebuild(Examples.ClientA with { HighBloodPressure = true }, Examples.Kit("ottoman 40"), "Overhead press 3x6")
            .Plan.Lines[0];

        line.Candidates.SelectMany(c => c.Exercises).ShouldAllBe(e => !Examples.Exercise(e.ExerciseId).HeadDown);
        line.RuledOut.ShouldContain(r => r.Code == "blood-pressure");
    }

    [Fact]
    public void What_is_not_known_is_assumed_aloud()
    {
        var unknown = Examples.ClientA with { BodyMassKg = null, StatureCm = null };
        var codes = Examples.Rebuild(unknown, Examples.Kit("rucksack"), WholeBody).Plan.Notices.Select(n => n.Code).ToList();

        codes.ShouldContain("assumed-body-mass");
        codes.ShouldContain("assumed-stature");
        codes.ShouldContain("estimated-kit");
    }

    [Fact]
    public void A_session_longer_than_the_client_has_says_so() =>
        Examples
            .Rebuild(Examples.ClientA with { MinutesPerSession = 15 }, Examples.Kit(SomeKit), WholeBody)
            .Plan.Findings.ShouldContain(n => n.Code == "too-long");

    [Fact]
    [Trait("source", "docs/domain/prescription: prime mover 1, synergist ½")]
    public void Hard_sets_count_prime_movers_whole_and_synergists_half()
    {
        var sets = Examples.Rebuild(Examples.ClientA, Examples.Kit(), "Bench press 4x8").Plan.HardSets;

        sets.Single(s => s.Muscle == Muscle.MidChest).Gym.ShouldBe(4);
        sets.Single(s => s.Muscle == Muscle.Triceps).Gym.ShouldBe(2);
    }

    [Fact]
    public void An_unknown_kind_of_kit_is_an_error_that_names_it() =>
        Should
            .Throw<ArgumentException>(() =>
                Examples.Rebuild(
                    Examples.ClientA,
                    new PlaceKit { Name = "x", Items = [new KitItem { Id = "a", Kind = "hovercraft" }] },
                    WholeBody
                )
            )
            .Message.ShouldContain("hovercraft");

    private static List<string> Chosen(RebuildResult result) =>
        [.. result.Plan.Lines.SelectMany(l => l.Chosen?.Exercises ?? []).Select(e => e.ExerciseId)];
}
