using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Tests.Foundation.Body;

public class BodySegmentsTests
{
    [Theory]
    [Trait("source", "de Leva 1996, J Biomech 29(9), from memory: limb segments count twice, the sum is 1")]
    [InlineData(Sex.Male)]
    [InlineData(Sex.Female)]
    [InlineData(Sex.Unknown)]
    public void Segments_add_up_to_the_whole_body(Sex sex)
    {
        var s = BodySegments.ForSex(sex);

        (s.Head + s.Trunk + s.Arms + s.Legs).ShouldBe(1, 0.001);
    }

    [Theory]
    [Trait("source", "docs/domain/strength-relations: about .886 of a man's body, .878 of a woman's")]
    [InlineData(Sex.Male, 0.886)]
    [InlineData(Sex.Female, 0.878)]
    public void A_squat_lifts_all_above_the_knees(Sex sex, double share) => BodySegments.ForSex(sex).AboveTheKnees.ShouldBe(share, 0.001);

    [Fact]
    [Trait("source", "Drillis and Contini 1966, as given in Winter, from memory")]
    public void Lengths_of_the_arm_and_leg_agree_with_standing_heights()
    {
        (BodyLengths.ShoulderHeight - BodyLengths.UpperArm).ShouldBe(BodyLengths.ElbowHeight, 0.003);
        (BodyLengths.ElbowHeight - BodyLengths.Forearm).ShouldBe(BodyLengths.WristHeight, 0.002);
        (BodyLengths.HipHeight - BodyLengths.Thigh).ShouldBe(BodyLengths.KneeHeight, 0.001);
        (BodyLengths.KneeHeight - BodyLengths.Shank).ShouldBe(BodyLengths.AnkleHeight, 0.001);
    }

    [Fact]
    [Trait("source", "common practice: the centre of mass lies at about 55–57 % of stature")]
    public void The_centre_of_mass_lies_where_it_should()
    {
        Statics.CentreOfMass(BodySegments.ForSex(Sex.Male)).ShouldBeInRange(0.55, 0.58);
        Statics.CentreOfMass(BodySegments.ForSex(Sex.Female)).ShouldBeLessThan(Statics.CentreOfMass(BodySegments.ForSex(Sex.Male)));
    }

    [Theory]
    [Trait("source", "statics, against the shares of docs/domain/strength-relations and 02")]
    [InlineData(15, 0.60, 0.70)]
    [InlineData(45, 0.45, 0.52)]
    [InlineData(90, 0, 0.001)]
    public void A_row_gets_lighter_the_more_upright_the_body(double angle, double low, double high) =>
        Statics.RowShare(BodySegments.ForSex(Sex.Male), angle).ShouldBeInRange(low, high);

    [Fact]
    public void Bridges_and_leg_raises_of_the_catalogue_agree_with_statics()
    {
        var body = BodySegments.ForSex(Sex.Male);

        Share("glute-bridge").ShouldBe(Statics.BridgeShare(body), 0.06);
        Share("lying-leg-raise").ShouldBe(Statics.LegRaiseShare(body), 0.03);
        Should.Throw<ArgumentOutOfRangeException>(() => Statics.RowShare(body, 91));
    }

    private static double Share(string id) => DomainRules.Shipped.Catalogue.Get(id).Setups[0].Load.BodyShare;
}
