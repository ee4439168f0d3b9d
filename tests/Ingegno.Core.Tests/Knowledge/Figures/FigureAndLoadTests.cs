using System.Collections.Immutable;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Equipment.Loading.Bands;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Figures;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Tests.Knowledge.Figures;

/// <summary>What is drawn and what is reckoned with are the same body: drawing and loads agree where both know a figure.</summary>
public class FigureAndLoadTests
{
    private static ImmutableArray<SolvedPose> Frames(string exercise, string? setup = null, params (string Role, double Cm)[] heights) =>
        FigureMotion.Frames(
            FigureBook.Shipped.Find(exercise, setup)!,
            FigureScene.Usual with
            {
                HeightsCm = heights.ToImmutableDictionary(h => h.Role, h => h.Cm),
            }
        );

    [Theory]
    [InlineData(70)]
    [InlineData(78)]
    [InlineData(90)]
    [InlineData(105)]
    public void A_row_under_a_table_hangs_at_the_angle_that_its_load_is_reckoned_with(double cm)
    {
        // Loads: the shoulders hang a straight arm below the grip, the body turns about the heels (BodyShares).
        var start = Frames("table-row", null, ("table", cm))[0];
        var shoulder = (cm / AssumedBody.StatureCm) - BodyLengths.ArmToGrip;
        var reckoned = Math.Asin(Math.Clamp(shoulder / BodyLengths.ShoulderHeight, 0, 1)) * 180 / Math.PI;
        var heel = start.NearLeg.Heel;
        var drawn = Math.Atan2(start.Neck.Y - 0, Math.Abs(start.Neck.X - heel.X)) * 180 / Math.PI;

        drawn.ShouldBe(reckoned, 1.5);
        Statics
            .RowShare(BodySegments.ForSex(Sex.Unknown), Math.Max(0, drawn))
            .ShouldBe(Statics.RowShare(BodySegments.ForSex(Sex.Unknown), reckoned), 0.01);
    }

    /// <summary>Bands that are stood on: hands, or shoulders, at the heights that the band model takes.</summary>
    public static TheoryData<string> StoodOn =>
        [
            .. from exercise in DomainRules.Shipped.Catalogue.AtHome
            from setup in exercise.Setups
            where
                setup.Load.Band is { Rig: BandRigKind.StoodOn, Required: true }
                && FigureBook.Shipped.Find(exercise.Id, setup.Id)!.Bands.Any(b => b is { From: "feet" or "nearFoot" or "farFoot" })
                && FigureBook.Shipped.Find(exercise.Id, setup.Id)!.Poses.All(p => p.Root is StandingRoot)
            select $"{exercise.Id}/{setup.Id}",
        ];

    [Theory]
    [MemberData(nameof(StoodOn))]
    public void A_band_that_is_stood_on_is_as_long_as_its_force_is_reckoned_with(string key)
    {
        var (exercise, setup) = (key.Split('/')[0], key.Split('/')[1]);
        var figure = FigureBook.Shipped.Find(exercise, setup)!;
        var band = DomainRules.Shipped.Catalogue.Get(exercise).Setups.First(s => s.Id == setup).Load.Band!;
        var frames = FigureMotion.Frames(figure, FigureScene.Usual);
        var held = figure.Bands[0].To;

        Height(frames[0]).ShouldBe(band.Start, 0.17);
        Height(frames[^1]).ShouldBe(band.End, 0.17);

        double Height(SolvedPose pose) => held is "shoulders" ? pose.Neck.Y : FigureMotion.PointOf(held, pose)!.Value.Y;
    }

    /// <summary>Bands from an anchor, but for those that hold still.</summary>
    public static TheoryData<string> Anchored =>
        [
            .. from exercise in DomainRules.Shipped.Catalogue.AtHome
            from setup in exercise.Setups
            let figure = FigureBook.Shipped.Find(exercise.Id, setup.Id)
            where
                setup.Load.Band is { Rig: BandRigKind.Anchored, Required: true }
                && !figure.Holds
                && figure.Bands.Any(b => b.From == "anchor")
            select $"{exercise.Id}/{setup.Id}",
        ];

    [Theory]
    [MemberData(nameof(Anchored))]
    public void A_band_from_an_anchor_grows_about_as_far_as_its_force_is_reckoned_with(string key)
    {
        var (exercise, setup) = (key.Split('/')[0], key.Split('/')[1]);
        var figure = FigureBook.Shipped.Find(exercise, setup)!;
        var band = DomainRules.Shipped.Catalogue.Get(exercise).Setups.First(s => s.Id == setup).Load.Band!;
        var frames = FigureMotion.Frames(figure, FigureScene.Usual);
        var drawn = figure.Bands[0];
        var grows =
            FigureMotion.LengthOf(drawn, figure, FigureScene.Usual, frames[0], frames[^1])
            - FigureMotion.LengthOf(drawn, figure, FigureScene.Usual, frames[0], frames[0]);

        grows.ShouldBeInRange(0, band.Travel + 0.25);
    }
}
