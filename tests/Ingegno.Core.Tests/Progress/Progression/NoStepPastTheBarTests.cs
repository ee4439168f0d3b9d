using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.Progression;

/// <summary>The next session asks the objects too: a load that a bar does not carry is no next load.</summary>
public class NoStepPastTheBarTests
{
    private static readonly PlaceKit Attic = new()
    {
        Name = "Attic",
        Items =
        [
            new KitItem
            {
                Id = "bar",
                Kind = "pull-up-bar",
                HeightCm = 215,
                MaxLoadKg = 150,
            },
            new KitItem
            {
                Id = "bag",
                Kind = "rucksack",
                MassKg = 1,
                VolumeL = 40,
                MaxLoadKg = 60,
            },
            new KitItem
            {
                Id = "iron",
                Kind = "dumbbell",
                MassKg = 10,
                Count = 5,
            },
        ],
    };

    [Fact]
    [Trait("source", "docs/domain/kit-and-loads: refused below a safety factor of 1.5, own decision")]
    public void A_load_that_the_bar_refuses_is_left_out_of_what_comes_next()
    {
        var request = new RebuildRequest
        {
            Client = Examples.ClientA,
            Kit = Attic,
            GymLines = ["Pull-up 3x5"],
        };
        var engine = new RebuildEngine(DomainRules.Shipped);
        var first = engine.Rebuild(request).Plan.Lines[0];
        var plan = engine.Rebuild(request with { Choices = [new CoachChoice(first.Gym.Key, "pull-up")] }).Plan;
        var home = plan.Lines[0].Chosen!.Exercises[0];
        var all = new ClientAtPlace(Examples.ClientA, Attic, DomainRules.Shipped).Ways.Of(home)!;
        all.Ways.ShouldContain(w => w.Refused != null, "fifty kilograms in the bag are there, and too much for the bar");

        var context = new NextSession(DomainRules.Shipped).Contexts(request.Client, request.Kit, plan.Lines).Single().Context;

        context.Loads.Length.ShouldBe(all.Safe.Count());
        context
            .Loads.Max(l => l.SystemKg)
            .ShouldBeLessThanOrEqualTo(150 / 1.5 / 1.05 + 1e-9, "1.05 of the system hangs on a bar of 150 kg");
        context.Loads.ShouldContain(l => l.Load.MassKg >= 10, "some weight it does carry");
    }
}
