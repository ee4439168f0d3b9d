using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Rebuilding.Candidates;

public class ReachableSetupsTests
{
    private static readonly ReachableSetups Setups = new(DomainRules.Shipped);

    [Fact]
    public void Set_ups_run_from_light_to_heavy_with_their_steps()
    {
        var range = Setups.For(Examples.Exercise("split-squat"), Examples.ClientA, Examples.Kit("dumbbell 8 x2", "rucksack", "bottle x4"));

        range.Setups.Length.ShouldBeGreaterThan(4);
        range.Setups.Select(s => s.SystemKg).ShouldBeInOrder(SortDirection.Ascending);
        range.Setups[0].Step.ShouldBeNull();
        range.Setups.Skip(1).ShouldAllBe(s => s.Step > 0.015);
        range
            .Setups.Zip(range.Setups.Skip(1))
            .ShouldAllBe(p => Math.Abs((p.Second.SystemKg / p.First.SystemKg) - 1 - p.Second.Step!.Value) < 1e-9);
    }

    [Fact]
    public void The_largest_gap_is_named_with_what_fills_it_and_the_fill_is_true()
    {
        var kit = Examples.Kit("dumbbell 4 x2", "dumbbell 12 x2");
        var range = Setups.For(Examples.Exercise("dumbbell-floor-press"), Examples.ClientA, kit);

        range.Gap!.Step.ShouldBe(2, 1e-9, "8 to 24 kg");
        range.Gap.Fill.ShouldNotBeEmpty();
        range.Gap.Fill[^1].Said().ShouldContain("three seconds down");
    }

    [Fact]
    public void A_bottle_more_in_the_rucksack_fills_a_gap()
    {
        var kit = Examples.Kit("rucksack", "brick 9");
        var range = Setups.For(Examples.Exercise("push-up"), Examples.ClientA, kit);

        range.Gap!.Fill.ShouldContain(f => f.Said().Contains("bottle") || f.Said().Contains("rice"));
    }

    [Fact]
    public void What_is_missing_is_said()
    {
        var range = Setups.For(Examples.Exercise("chin-up"), Examples.ClientA, Examples.Kit());

        range.Setups.ShouldBeEmpty();
        range.Missing.ShouldHaveSingleItem().Said().ShouldContain("something to hang from");
    }

    [Fact]
    public void A_thing_is_worth_the_exercises_it_opens()
    {
        var value = new KitValue(DomainRules.Shipped).Of(Examples.ClientA, Examples.Kit("band-loop", "mat", "pull-up-bar 150"));

        value.Exercises.ShouldBeGreaterThan(value.WithNothing);
        var things = value.Things.ToDictionary(t => t.ItemId);
        things["k1"].Only.ShouldBeGreaterThan(5, "bands open much");
        things["k2"].ShouldBe(new ThingValue("k2", 0, 0, false), "a mat opens nothing by itself");
        things["k3"].Used.ShouldBeGreaterThan(1);
    }
}
