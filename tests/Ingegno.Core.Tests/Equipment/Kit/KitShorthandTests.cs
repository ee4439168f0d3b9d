using CsCheck;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Equipment.Kit;

public class KitShorthandTests
{
    private static readonly KitShorthand Reader = new(DomainRules.Shipped.KitKinds, DomainRules.Shipped.ReadyItems);

    [Fact]
    public void The_examples_of_the_trade_are_read()
    {
        Item("2x 8 kg dumbbell")
            .ShouldSatisfyAllConditions(i => i.Kind.ShouldBe("dumbbell"), i => i.Count.ShouldBe(2), i => i.MassKg.ShouldBe(8));
        Item("rucksack 25 L").ShouldSatisfyAllConditions(i => i.Kind.ShouldBe("rucksack"), i => i.VolumeL.ShouldBe(25));
        Item("sofa 44 cm").ShouldSatisfyAllConditions(i => i.Kind.ShouldBe("sofa"), i => i.HeightCm.ShouldBe(44));
        Item("band 104 cm 13 mm")
            .ShouldSatisfyAllConditions(i => i.Kind.ShouldBe("band-loop"), i => i.RestLengthCm.ShouldBe(104), i => i.WidthMm.ShouldBe(13));
    }

    [Theory]
    [Trait("source", "NIST SP 811: 1 lb = 0.45359237 kg, 1 US gal = 3.785411784 L, 1 in = 2.54 cm")]
    [InlineData("pair of 20 lb dumbbells", "dumbbell", 2, 9.0718474)]
    [InlineData("dumbbell 20lbs", "dumbbell", 1, 9.0718474)]
    [InlineData("kettlebell 12,5 kg", "kettlebell", 1, 12.5)]
    [InlineData("3 bricks 2300 g", "brick", 3, 2.3)]
    [InlineData("kb 16kg x2", "kettlebell", 2, 16)]
    public void Masses_are_understood_in_every_unit(string text, string kind, int count, double kg)
    {
        var item = Item(text);

        (item.Kind, item.Count).ShouldBe((kind, count));
        item.MassKg!.Value.ShouldBe(kg, 1e-6);
    }

    [Fact]
    public void Volumes_and_lengths_are_understood_in_every_unit()
    {
        Item("jug 1 gal").VolumeL!.Value.ShouldBe(3.785411784, 1e-9);
        Item("step 12 in").HeightCm!.Value.ShouldBe(30.48, 1e-9);
        Item("plyo box 18\"").HeightCm!.Value.ShouldBe(45.72, 1e-9);
        Item("loop band 13 x 4.5 mm").ShouldSatisfyAllConditions(i => i.WidthMm.ShouldBe(13), i => i.ThicknessMm.ShouldBe(4.5));
        Item("6 bottles 1.5 L")
            .ShouldSatisfyAllConditions(i => i.Count.ShouldBe(6), i => i.MassKg!.Value.ShouldBe((1.5 * 0.998) + 0.03, 0.001));
        Item("pull-up bar carries 130 kg").MaxLoadKg.ShouldBe(130);
    }

    [Fact]
    public void An_adjustable_weight_takes_its_handle_and_plates()
    {
        var item = Item("2x adjustable dumbbell 2 kg handle 4x1.25 kg 4x2.5 kg");

        item.Count.ShouldBe(2);
        item.HandleKg.ShouldBe(2);
        item.Plates.ShouldBe([new PlateSet(1.25, 4), new PlateSet(2.5, 4)]);
    }

    [Fact]
    public void What_is_missing_is_usual_and_marked_estimated()
    {
        Reader.Read("rucksack").Estimated.ShouldBeTrue();
        Reader.Read("2x 8 kg dumbbell").Estimated.ShouldBeFalse();
    }

    [Fact]
    public void A_name_of_ones_own_is_kept_before_the_kind() =>
        Item("blue dictionary 1.4 kg").ShouldSatisfyAllConditions(i => i.Kind.ShouldBe("book"), i => i.Name.ShouldBe("Blue dictionary"));

    [Theory]
    [InlineData("green hovercraft", "no thing known here")]
    [InlineData("sofa 44 kg", "says nothing about a sofa")]
    [InlineData("dumbbell -8 kg dumbbell 0 kg", "above 0")]
    [InlineData("dumbbell 900 kg", "at most at 500 kg")]
    [InlineData("500x dumbbell 8 kg", "between 1 and 100")]
    [InlineData("8 kg", "What is it?")]
    [InlineData("", "What is it?")]
    public void What_cannot_be_says_why(string text, string said)
    {
        var entry = Reader.Read(text);

        entry.Item.ShouldBeNull();
        entry.Error!.Said().ShouldContain(said);
    }

    [Fact]
    public void An_unknown_thing_gets_the_nearest_names() => Reader.Read("dumbell 8 kg").Suggestions.ShouldContain("Dumbbell");

    [Fact]
    public void Whatever_is_typed_it_answers() =>
        Gen.String[Gen.Char["abx ×2,.5kglcm\"'<>&%é"], 0, 50]
            .Sample(text =>
            {
                var entry = Reader.Read(text);
                (entry.Item is null).ShouldBe(entry.Error is not null);
            });

    [Fact]
    public void At_least_sixty_ready_things_are_known_each_with_its_source()
    {
        var ready = DomainRules.Shipped.ReadyItems;

        ready.Length.ShouldBeGreaterThanOrEqualTo(60);
        ready.Select(r => r.Name).ShouldBeUnique();
        ready.ShouldAllBe(r => r.Source.Length > 5 && DomainRules.Shipped.KitKinds.Find(r.Item.Kind) != null);
        foreach (var item in ready)
        {
            Reader.Read(item.Name).Item.ShouldNotBeNull(item.Name);
        }
    }

    [Fact]
    public void Templates_hold_known_things_under_keys_of_their_own()
    {
        foreach (var template in DomainRules.Shipped.KitTemplates)
        {
            template.Items.Select(i => i.Id).ShouldBeUnique(template.Name);
            template.Items.ShouldAllBe(i => DomainRules.Shipped.KitKinds.Find(i.Kind) != null);
        }
    }

    private static KitItem Item(string text)
    {
        var entry = Reader.Read(text);
        entry.Error.ShouldBeNull();
        return entry.Item!;
    }
}
