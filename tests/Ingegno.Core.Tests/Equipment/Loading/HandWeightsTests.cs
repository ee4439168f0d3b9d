using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Tests.Equipment.Loading;

public class HandWeightsTests
{
    [Fact]
    [Trait("source", "common practice: small plates are held for raises, big ones are not")]
    public void Plates_of_a_bar_lie_in_the_hand_up_to_what_fingers_hold()
    {
        var bar = Support.Examples.KitOf("barbell 20 kg with 140 kg of plates");
        var loads = new ReachableLoads(new KitAtPlace(bar, DomainRules.Shipped.KitKinds));

        var pairs = loads.From([LoadSource.Pair]);
        pairs.Select(l => l.MassKg / 2).ShouldBe([1.25, 2.5, 5]);
        pairs[2].InWords.ShouldBe("2 × plate 5 kg of the bar");
        loads.From([LoadSource.One]).Select(l => l.MassKg).Max().ShouldBe(20);
    }

    [Theory]
    [InlineData(5, true)]
    [InlineData(10, false)]
    public void Loose_plates_are_a_pair_by_the_same_rule(double kg, bool pair) =>
        HandWeights.Pair(Weight("plates", 2, kg: kg)).Any().ShouldBe(pair);

    [Fact]
    [Trait("source", "common practice: a full canister goes into the rucksack")]
    public void A_canister_full_of_water_is_packed_into_a_bag()
    {
        var place = new KitAtPlace(Support.Examples.KitOf("rucksack 30 L; jerrycan 5 L"), DomainRules.Shipped.KitKinds);

        new ReachableLoads(place).From([LoadSource.Worn]).Max(l => l.MassKg).ShouldBeGreaterThan(5.5, "5 L of water, the can and the bag");
        new ReachableLoads(place)
            .From([LoadSource.Held])
            .Where(l => l.InWords.StartsWith("jerrycan", StringComparison.Ordinal))
            .ShouldAllBe(l => l.MassKg < 6, "it does not go into itself");
    }

    [Fact]
    public void A_fixed_pair_has_one_load_and_a_single_one_has_no_pair()
    {
        HandWeights.Pair(Weight("dumbbell", 2, kg: 8)).ShouldHaveSingleItem().MassKg.ShouldBe(16);
        HandWeights.Pair(Weight("dumbbell", 1, kg: 8)).ShouldBeEmpty();
    }

    [Fact]
    public void Pounds_stay_pounds_in_words_and_are_kilograms_inside()
    {
        var load = HandWeights
            .One(
                new Thing(
                    new KitItem
                    {
                        Id = "a",
                        Kind = "dumbbell",
                        MassKg = 20 * Units.KgPerPound,
                        Printed = MassUnit.Lb,
                    },
                    Kind("dumbbell")
                )
            )
            .Single();

        load.InWords.ShouldBe("dumbbell 20 lb");
        load.MassKg.ShouldBe(9.0718, 0.0001, "NIST SP 811: 1 lb = 0.45359237 kg");
    }

    /// <summary>By hand: handle 2 kg, four plates of 1.25 and four of 2.5: on one handle two of each a side, for a pair one.</summary>
    [Fact]
    [Trait("source", "worked by hand")]
    public void Adjustable_dumbbells_load_both_sides_alike_and_share_the_plates_of_a_pair()
    {
        var thing = new Thing(
            new KitItem
            {
                Id = "a",
                Kind = "adjustable-dumbbell",
                Count = 2,
                HandleKg = 2,
                Plates = [new(1.25, 4), new(2.5, 4)],
            },
            Kind("adjustable-dumbbell")
        );

        HandWeights.Pair(thing).Select(l => l.MassKg / 2).ShouldBe([2, 4.5, 7, 9.5], 1e-9);
        HandWeights.One(thing).Select(l => l.MassKg).ShouldBe([2, 4.5, 7, 9.5, 12, 14.5, 17], 1e-9);
        HandWeights.Pair(thing).Last().InWords.ShouldContain("1.25 kg and 2.5 kg on each side: 9.5 kg");
    }

    [Fact]
    [Trait("source", "common practice: plates of a stack weigh about five kilograms")]
    public void A_cable_column_has_the_plates_of_its_stack()
    {
        HandWeights.Stack(Weight("cable-column", 1, 23)).Select(l => l.MassKg).ShouldBe([5, 10, 15, 20]);
        HandWeights.Stack(Weight("cable-column", 1, 1e9)).Count().ShouldBe(40, "no stack is heavier than 200 kg, whatever is typed");
    }

    [Fact]
    [Trait("source", "common practice: nobody curls a trap bar; its plates are held like any others")]
    public void A_trap_bar_serves_what_is_lifted_standing_in_it()
    {
        var loads = new ReachableLoads(
            new KitAtPlace(Support.Examples.KitOf("trap bar 25 kg with 120 kg of plates"), DomainRules.Shipped.KitKinds)
        );

        loads.From([LoadSource.Bar]).ShouldBeEmpty();
        loads.From([LoadSource.TrapBar]).Select(l => l.MassKg).Min().ShouldBe(25);
        loads.From([LoadSource.TrapBar]).Select(l => l.MassKg).Max().ShouldBeGreaterThanOrEqualTo(140);
        loads.Any([LoadSource.One]).ShouldBeTrue();

        // One that is known by its whole mass alone weighs that.
        HandWeights.One(Weight("trap-bar", 1, 65)).ShouldHaveSingleItem().MassKg.ShouldBe(65);
    }

    [Fact]
    [Trait("source", "common practice: a sandbag is hugged as it is")]
    public void A_bag_of_sand_is_held_whole() =>
        new ReachableLoads(new KitAtPlace(Support.Examples.KitOf("20 kg sandbag"), DomainRules.Shipped.KitKinds))
            .From([LoadSource.Held])
            .ShouldHaveSingleItem()
            .MassKg.ShouldBe(20);

    [Fact]
    public void Two_unequal_kettlebells_can_be_mixed()
    {
        var mixed = HandWeights.Mixed([Weight("kettlebell", 1, 12, "a"), Weight("kettlebell", 1, 16, "b")]).ShouldHaveSingleItem();

        mixed.MassKg.ShouldBe(28);
        mixed.InWords.ShouldContain("swapped every set");
    }

    private static Thing Weight(string kind, int count, double kg, string id = "a") =>
        new(
            new KitItem
            {
                Id = id,
                Kind = kind,
                Count = count,
                MassKg = kg,
            },
            Kind(kind)
        );

    private static KitKind Kind(string id) => DomainRules.Shipped.KitKinds.Find(id)!;
}
