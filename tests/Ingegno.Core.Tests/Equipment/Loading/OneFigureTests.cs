using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;

namespace Ingegno.Core.Tests.Equipment.Loading;

/// <summary>Figures that several rules need stand once; each is held on both of its sides.</summary>
public class OneFigureTests
{
    [Theory]
    [InlineData(8, 8.14, true)]
    [InlineData(8, 8.16, false)]
    [InlineData(8.16, 8, false)]
    public void Loads_are_one_to_a_client_within_150_grams(double one, double other, bool same) =>
        SameLoad.IsSame(one, other).ShouldBe(same);

    [Theory]
    [InlineData("bag", 10, "bag", 12, true)]
    [InlineData("bag", 10, "bag", 10.1, false)]
    [InlineData("bag", 10, "band", 12, false)]
    public void One_thing_at_two_loads_is_a_conflict(string item, double kg, string other, double otherKg, bool conflict) =>
        RigConflict.Between(["chair", item], kg, [other], otherKg).ShouldBe(conflict);

    [Theory]
    [Trait("source", "docs/domain/prescription: RPE 10 is nothing in reserve, common practice")]
    [InlineData("Bench press 3x8 @ RPE 8", 2)]
    [InlineData("Bench press 3x8 @ RPE 8.5", 2)]
    [InlineData("Bench press 3x8 @ RPE 10", 0)]
    [InlineData("Bench press 3x8 RIR 3", 3)]
    [InlineData("Bench press 3x8", null)]
    public void Effort_is_one_figure_in_either_notation(string line, int? reserve) =>
        new ShorthandParser(DomainRules.Shipped.Names).Parse(line).Lines.Single().Reserve.ShouldBe(reserve);
}
