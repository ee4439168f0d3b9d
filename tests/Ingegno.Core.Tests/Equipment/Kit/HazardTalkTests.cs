using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Tests.Equipment.Kit;

/// <summary>A hazard that is said is a hazard: of glass, on wheels, folding, wobbly. Written before any was read; common practice.</summary>
public sealed class HazardTalkTests
{
    private static readonly KitParagraph Reader = new(new KitShorthand(DomainRules.Shipped.KitKinds, DomainRules.Shipped.ReadyItems));

    [Theory]
    [InlineData("glass table", "dining-table glass")]
    [InlineData("a glass coffee table 42 cm", "coffee-table glass")]
    [InlineData("dining table with a glass top", "dining-table glass")]
    [InlineData("kitchen table, wobbly", "dining-table moves")]
    [InlineData("office chair on wheels", "chair wheels")]
    [InlineData("desk chair that swivels", "chair wheels")]
    [InlineData("swivel chair", "chair wheels")]
    [InlineData("two folding chairs", "chair folds")]
    [InlineData("a chair but it is a folding one", "chair folds")]
    [InlineData("camping chair", "chair folds")]
    [InlineData("fold-up table", "dining-table folds")]
    [InlineData("plastic garden chair", "chair moves")]
    [InlineData("rickety old stool", "stool moves")]
    [InlineData("sofa on castors", "sofa wheels")]
    [InlineData("bench, a bit shaky", "bench moves")]
    [InlineData("solid oak table, no wheels", "dining-table")]
    [InlineData("sturdy kitchen chair, does not fold", "chair")]
    [InlineData("bed on wheels that rolls", "bed wheels")]
    [InlineData("an ab wheel", "ab-wheel")]
    [InlineData("foam roller", "foam-roller")]
    [InlineData("ottoman on rollers", "ottoman wheels")]
    [InlineData("chair with a broken leg", "chair moves")]
    [InlineData("a rucksack; a chair; it wobbles", "rucksack; chair moves")]
    [InlineData("rings on a door frame", "rings-straps?")]
    [InlineData("suspension straps over the bathroom door", "rings-straps?")]
    public void What_is_said_against_a_thing(string text, string expected) =>
        string.Join(
                "; ",
                Reader
                    .Read(text)
                    .Select(f =>
                        string.Join(' ', [f.Entry.Item?.Kind ?? "unknown", .. (f.Entry.Item?.Hazards ?? []).Select(h => Term.For(h).Word)])
                        + (f.Ask is null ? string.Empty : "?")
                    )
            )
            .ShouldBe(expected);

    /// <summary>A radiator is no band, and what is not known is asked.</summary>
    [Fact]
    public void What_a_band_is_tied_to_is_no_band() =>
        Reader.Read("radiator to tie the band to").ShouldHaveSingleItem().Entry.Item.ShouldBeNull();
}
