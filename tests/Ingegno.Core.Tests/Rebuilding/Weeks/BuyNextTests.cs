using CsCheck;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Rebuilding.Weeks;

public class BuyNextTests
{
    private static readonly BuyNext Advice = new(new RebuildEngine(DomainRules.Shipped), DomainRules.Shipped.Match.Week);

    [Fact]
    [Trait("source", "common practice: for pulls without anything to hang from, a bar or a band comes first")]
    public void A_plan_of_pulls_asks_for_something_to_pull_on()
    {
        var ranked = Advice.Rank([Plan("Pull-up 4x8", "Lat pulldown 3x12", "Cable face pull 3x15")], DomainRules.Shipped.Purchases);

        ranked
            .Take(4)
            .ShouldContain(g =>
                g.Name.Contains("band", StringComparison.OrdinalIgnoreCase) || g.Name.Contains("bar", StringComparison.OrdinalIgnoreCase)
            );
        ranked.Select(g => g.GainPer100).ShouldBeInOrder(SortDirection.Descending);
    }

    [Fact]
    public void Each_gain_names_the_lines_it_improves_and_what_would_change()
    {
        var gain = Advice
            .Rank([Plan("Cable face pull 3x15") with { Kit = Examples.Kit("banister") }], DomainRules.Shipped.Purchases)
            .First(g => g.Name == "Loop band 13 mm");

        var line = gain.Lines.ShouldHaveSingleItem();
        line.GymExercise.ShouldBe("Cable face pull");
        line.After.ShouldNotBe(line.Before);
        line.To.ShouldBeGreaterThan(line.From);
    }

    [Fact]
    public void The_budget_and_the_coachs_prices_decide()
    {
        var plans = new[] { Plan("Deadlift 3x5", "Bench press 4x6") };

        Advice.Rank(plans, DomainRules.Shipped.Purchases, budget: 50).ShouldAllBe(g => g.Price <= 50);
        var dear = DomainRules.Shipped.Purchases.Select(p => p.Name.StartsWith("Barbell") ? p with { Price = 5 } : p);
        Advice.Rank(plans, dear)[0].Name.ShouldStartWith("Barbell");
    }

    [Fact]
    public void It_gives_up_when_it_is_told_to_stop()
    {
        using var stop = new CancellationTokenSource();
        var advice = new BuyNext(new RebuildEngine(DomainRules.Shipped, stop.Token), DomainRules.Shipped.Match.Week);
        var tried = 0;
        var offers = DomainRules.Shipped.Purchases.Select(offer =>
        {
            if (++tried == 3)
            {
                stop.Cancel();
            }

            return offer;
        });

        Should.Throw<OperationCanceledException>(() => advice.Rank([Plan("Deadlift 3x5")], offers));
        Should.Throw<OperationCanceledException>(() => advice.Rank([Plan("Deadlift 3x5")], []));
    }

    [Fact]
    public void Who_has_it_all_needs_nothing_more_of_it()
    {
        var full = new RebuildRequest
        {
            Client = Examples.ClientA,
            Kit = Examples.Kit("band-loop", "banister"),
            GymLines = ["Cable face pull 3x15"],
        };

        var anchor = DomainRules.Shipped.Purchases.Where(p => p.Name == "Door anchor strap").ToList();

        Advice.Rank([full], anchor).ShouldBeEmpty();
        Advice.Rank([full with { Kit = Examples.Kit("band-loop") }], anchor).ShouldHaveSingleItem("without an anchor it does help");
    }

    /// <summary>The property that the advice rests on.</summary>
    [Fact]
    public void Adding_kit_never_lowers_the_total_match() =>
        Gen.Select(
                Gen.OneOfConst([.. DomainRules.Shipped.Purchases]),
                Gen.OneOfConst("", "band-loop", "dumbbell 8 x2", "rucksack;bottle x4", "chair 45;dining-table 75")
            )
            .Sample(
                (offer, kit) =>
                {
                    var plan = Plan("Back squat 4x6", "Bench press 4x8", "Seated cable row 3x10", "Lying leg curl 3x12") with
                    {
                        Kit = Examples.Kit(kit.Split(';', StringSplitOptions.RemoveEmptyEntries)),
                    };
                    var engine = new RebuildEngine(DomainRules.Shipped);
                    double Total(RebuildRequest r) => engine.Rebuild(r).Plan.Lines.Sum(l => l.Chosen?.Match ?? 0);

                    // A harder rung that comes within reach costs its easier neighbour .03: that and no more.
                    Total(plan with { Kit = plan.Kit with { Items = plan.Kit.Items.Add(offer.Item) } })
                        .ShouldBeGreaterThanOrEqualTo(Total(plan) - 0.03 - 1e-9, $"{offer.Name} beside {kit}");
                },
                iter: 40
            );

    private static RebuildRequest Plan(params string[] lines) =>
        new()
        {
            Client = Examples.ClientA,
            Kit = Examples.Kit(),
            GymLines = [.. lines],
        };
}
