using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;
using Ingegno.Core.Rebuilding.Dosing;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Rebuilding.Dosing;

/// <summary>The eight schools of docs/domain/prescription.</summary>
public class ApproachTests
{
    private static readonly string[] Week =
    [
        "= One",
        "Back squat 5x5 RIR 2 3:00",
        "Bench press 4x8 RIR 2 2 min",
        "Lateral step-up with dumbbells 3x10/side 90 s",
        "Plank 3x40 s 60 s",
        "= Two",
        "Barbell row 3x10 RIR 3 90 s",
    ];

    [Fact]
    public void All_eight_are_there_each_with_its_idea_and_what_speaks_against_it()
    {
        DomainRules
            .Shipped.Approaches.Select(a => a.Id)
            .ShouldBe(["mirror", "density", "tension", "full-range", "milestones", "one-by-twenty", "ten-by-ten", "circuit"]);
        DomainRules.Shipped.Approaches.ShouldAllBe(a => a.Idea.Length > 20 && a.Against.Length > 20);
        var known = DomainRules.Shipped.Techniques.Select(t => t.Of).ToHashSet();
        DomainRules.Shipped.Approaches.SelectMany(a => a.Prefers.Concat(a.Avoids)).ShouldAllBe(t => known.Contains(t));
    }

    [Theory]
    [InlineData("mirror", "5x5 180 s RIR 2", "4x8 120 s RIR 2", "3x10 90 s RIR ")]
    [InlineData("density", "5x5 45 s RIR 1", "4x8 45 s RIR 1", "3x10 45 s RIR 1")]
    [InlineData("tension", "5x5 180 s RIR 2", "4x8 120 s RIR 2", "3x10 90 s RIR 2")]
    [InlineData("full-range", "5x8-12 180 s RIR 2", "4x8-12 120 s RIR 2", "3x8-12 90 s RIR ")]
    [InlineData("one-by-twenty", "1x20 60 s RIR 3", "1x20 60 s RIR 3", "1x10 60 s RIR 3")]
    [InlineData("ten-by-ten", "10x10 60 s RIR 3", "10x10 60 s RIR 3", "3x10 60 s RIR 3")]
    [InlineData("circuit", "3x12-15 30 s RIR 3", "3x12-15 30 s RIR 3", "3x12-15 30 s RIR 3")]
    [Trait("source", "docs/domain/prescription: schools")]
    public void What_a_line_asks_for_follows_the_school(string id, string squat, string bench, string stepUp)
    {
        var approach = DomainRules.Shipped.ApproachOf(id);
        var lines = new ShorthandParser(DomainRules.Shipped.Names).Parse(string.Join('\n', Week)).Lines;
        string Intent(int line, LineRole role)
        {
            var asked = approach.Intent(lines[line], role, 90);
            var reps = asked.Target.Min == asked.Target.Max ? $"{asked.Target.Min}" : $"{asked.Target.Min}-{asked.Target.Max}";
            return $"{asked.Sets}x{reps} {asked.RestSeconds} s RIR {asked.Rir}";
        }

        Intent(0, LineRole.Main).ShouldBe(squat);
        Intent(1, LineRole.Secondary).ShouldBe(bench);
        Intent(2, LineRole.Accessory).ShouldBe(stepUp);
    }

    [Fact]
    public void Density_keeps_the_reps_of_heavy_lines_and_timed_lines_their_time()
    {
        var plan = Rebuild("one-by-twenty").Plan;

        plan.Lines[3].Chosen!.Exercises[0].Dose.Figures.ShouldBe("1x40 s");
        plan.Lines[0].Gym.Target.Max.ShouldBe(5, "the gym plan itself is shown as it is");
    }

    [Fact]
    public void A_day_may_follow_another_school_than_the_week_and_the_client()
    {
        var client = Examples.ClientA with { Approach = "tension" };
        var request = Request(null) with { Client = client, DayApproaches = [new DayApproach("Two", "circuit")] };
        var plan = new RebuildEngine(DomainRules.Shipped).Rebuild(request).Plan;

        plan.Lines[0].Chosen!.Exercises[0].Dose.RestSeconds.ShouldBe(180);
        plan.Lines[4].Chosen!.Exercises[0].Dose.RestSeconds.ShouldBe(30);
        plan.Notices.ShouldContain(n => n.Code == "conditioning" && n.Level == NoticeLevel.Warning);
    }

    [Fact]
    public void A_beginner_keeps_two_in_reserve_under_every_school()
    {
        foreach (var approach in DomainRules.Shipped.Approaches)
        {
            Rebuild(approach.Id, Examples.ClientB)
                .Plan.Lines.SelectMany(l => l.Chosen!.Exercises)
                .ShouldAllBe(e => e.Dose.Rir >= 2 && e.Dose.Techniques.Length <= 1, approach.Id);
        }
    }

    [Fact]
    public void An_approach_that_is_gone_is_said() => Rebuild("astrology").Plan.Notices.ShouldContain(n => n.Code == "unknown-approach");

    [Fact]
    [Trait("source", "common practice: one fixed pair is dosed by what the client can do with it")]
    public void One_pair_of_six_kilos_gives_three_strengths_three_plans()
    {
        string Dose(double press)
        {
            var client = Examples.ClientA with { KnownLifts = [new KnownLift("overhead-press", press)], BodyMassKg = 75 };
            var request = new RebuildRequest
            {
                Client = client,
                Kit = Examples.Kit("dumbbell 6 x2"),
                GymLines = ["Dumbbell overhead press 3x10"],
                Choices = [new CoachChoice(new LineKey(1), "dumbbell-overhead-press")],
            };
            var home = new RebuildEngine(DomainRules.Shipped).Rebuild(request).Plan.Lines[0].Chosen!.Exercises[0];
            return $"{home.Dose.Figures} {home.Dose.Tempo}";
        }

        var doses = new[] { Dose(20), Dose(24), Dose(60) };
        doses.ShouldBeUnique(string.Join(" | ", doses));
    }

    private static RebuildRequest Request(string? approach, ClientProfile? client = null) =>
        new()
        {
            Client = client ?? Examples.ClientA,
            Kit = Examples.Kit("dumbbell 10 x2", "step 20"),
            GymLines = [.. Week],
            Approach = approach,
        };

    private static RebuildResult Rebuild(string? approach, ClientProfile? client = null) =>
        new RebuildEngine(DomainRules.Shipped).Rebuild(Request(approach, client));
}
