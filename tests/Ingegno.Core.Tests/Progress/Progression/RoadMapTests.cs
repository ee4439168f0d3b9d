using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.Progression;

/// <summary>The road ahead is what the progression would propose, stop by stop.</summary>
[Trait("source", "docs/domain/progression, common practice: load, reps, sets, variation, five down, pause, density")]
public class RoadMapTests
{
    private static readonly RoadMap Roads = new(DomainRules.Shipped);

    [Fact]
    public void Without_load_it_goes_by_sets_variations_tempo_and_pause_to_its_end()
    {
        var road = Ahead("", "Push-up 3x8-12");

        road.Stops.Length.ShouldBeGreaterThan(3);
        road.Stops[0].Decision.ShouldBe(Decision.MoreSets);
        road.Stops.ShouldAllBe(s => s.Earned.Said().Length > 0 && s.Reason.Said().Length > 0);
        var kinds = road.Stops.Select(s => s.Decision).ToList();
        kinds.ShouldContain(Decision.TechniqueOn);
        road.Stops.Count(s => s.Tempo.StartsWith("5-", StringComparison.Ordinal)).ShouldBeGreaterThan(0, "five down is the standard step");
    }

    [Fact]
    public void With_loads_it_goes_by_them_first()
    {
        var road = Ahead("2x 8 kg dumbbell; 2x 10 kg dumbbell; 2x 12 kg dumbbell", "Dumbbell curl 3x8-12 @ 2x8 kg");

        road.Stops.First(s => s.Decision is Decision.MoreLoad).Load.ShouldContain("10 kg");
    }

    [Fact]
    public void Where_it_ends_it_says_what_would_lead_on()
    {
        var road = Ahead("2x 6 kg dumbbell", "Dumbbell curl 3x8-12");

        road.Ends.ShouldBeTrue();
        road.Longer.ShouldNotBeEmpty();
        road.Longer[0].Said().ShouldContain("about");

        Ahead("2x 8 kg dumbbell; 2x 10 kg dumbbell; 2x 12 kg dumbbell", "Dumbbell curl 3x8-12 @ 2x8 kg")
            .Stops.Length.ShouldBeLessThanOrEqualTo(8);
    }

    /// <summary>A coach's figures on the bench lead the same road as the plan's: what is missing is usual, what is no exercise leads nowhere.</summary>
    [Fact]
    public void From_figures_it_is_the_road_of_the_exercise()
    {
        var client = Examples.ClientA;
        var place = Examples.KitOf("2x 8 kg dumbbell; 2x 10 kg dumbbell; 2x 12 kg dumbbell");
        var home = Examples.Rebuild(client, place, "Dumbbell curl 3x8-12 @ 2x8 kg").Plan.Lines[0].Chosen!.Exercises[0];
        HomeEdit figures = new()
        {
            Line = new LineKey(1),
            ExerciseId = home.ExerciseId,
            ExternalKg = home.ExternalKg,
            Sets = home.Dose.Sets,
            Target = home.Dose.Target,
            Tempo = home.Dose.Tempo,
            RestSeconds = home.Dose.RestSeconds,
            Rir = home.Dose.Rir,
        };
        Road Of(HomeEdit edit) => Roads.Ahead(edit, home.SetupId, home.Spots, home.SystemLoadKg, client, place);

        Of(figures).Stops.Select(s => s.Decision).ShouldBe(Roads.Ahead(home, client, place).Stops.Select(s => s.Decision));
        var usual = Of(
            new HomeEdit
            {
                Line = new LineKey(1),
                ExerciseId = home.ExerciseId,
                ExternalKg = home.ExternalKg,
            }
        );
        usual.Stops.First(s => s.Decision == Decision.MoreLoad).Load.ShouldContain("10 kg");
        Of(figures with { ExerciseId = "no-such" }).ShouldBeEquivalentTo(new Road([], true, []));
    }

    /// <summary>No stop lasts past what a set may come to, in no kit and for no client.</summary>
    [Fact]
    public void No_stop_lasts_too_long()
    {
        foreach (
            var kit in new[]
            {
                "",
                "2x 8 kg dumbbell; chair 45 cm",
                "band 104 cm 22 mm; closed door",
                "pull-up bar; chair 45 cm; rucksack 25 L; 6 bottles 1.5 L",
            }
        )
        {
            foreach (var client in new[] { Examples.ClientA, Examples.ClientB })
            {
                var plan = Examples
                    .Rebuild(
                        client,
                        Examples.KitOf(kit),
                        "Back squat 3x8-12",
                        "Bench press 3x8-12",
                        "Pull-up 3x6-8",
                        "Barbell curl 3x10-12"
                    )
                    .Plan;
                foreach (var home in plan.Lines.Select(l => l.Chosen!.Exercises[0]))
                {
                    foreach (var stop in Roads.Ahead(home, client, Examples.KitOf(kit)).Stops)
                    {
                        stop.Figures.ShouldNotBeNullOrEmpty();
                        stop.Reason.Said().ShouldNotBeNullOrEmpty();
                    }
                }
            }
        }
    }

    /// <summary>A road leads on: no stop is one that was left behind.</summary>
    [Theory]
    [InlineData("2x 8 kg dumbbell; band 104 cm 13 mm", "Bench press 3x6-10")]
    [InlineData("", "Push-up 3x8-12")]
    [InlineData("chair 45 cm; rucksack 25 L", "Back squat 3x6-10")]
    [InlineData("2x 6 kg dumbbell", "Barbell curl 3x10-12")]
    public void No_stop_comes_twice(string kit, string line) =>
        Ahead(kit, line)
            .Stops.Select(s => $"{s.Name} {s.Figures} {s.Tempo} {s.RestSeconds} {s.Load} {string.Join(", ", s.Techniques)}")
            .ShouldBeUnique();

    private static Road Ahead(string kit, string line)
    {
        var place = Examples.KitOf(kit);
        HomePlan plan = Examples.Rebuild(Examples.ClientA, place, line).Plan;
        return Roads.Ahead(plan.Lines[0].Chosen!.Exercises[0], Examples.ClientA, place);
    }
}
