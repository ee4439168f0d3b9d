using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Equipment.Loading.Bands;
using Ingegno.Core.Equipment.Loading.Objects;
using Ingegno.Core.Equipment.Loading.Sketches;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Equipment.Loading.Sketches;

/// <summary>What is drawn of a set-up says the same as its words and its sums.</summary>
public class SketchTests
{
    private const string Home =
        "rucksack 25 L; 6 bottles 1.5 L; 4 bricks 2.3 kg; band 104 cm 22 mm; closed door; 2 chairs 45 cm; dining table 74 cm 28 kg";

    private static readonly KitAtPlace Kit = new(Examples.KitOf(Home), DomainRules.Shipped.KitKinds);

    [Fact]
    public void A_bag_weighs_what_its_contents_and_itself_weigh_and_the_heaviest_piece_comes_first()
    {
        foreach (var load in new ReachableLoads(Kit).From([LoadSource.Worn]))
        {
            var bag = load.Bag.ShouldNotBeNull();
            bag.Worn.ShouldBeTrue();
            bag.MassKg.ShouldBe(load.MassKg, 0.011);
            bag.Contents.Sum(c => c.Count * c.MassKg).ShouldBe(bag.ContentKg, 0.05);
            bag.ContentKg.ShouldBeLessThanOrEqualTo(bag.MostKg + 0.01);
            bag.FilledL.ShouldBeLessThanOrEqualTo(bag.VolumeL + 0.05);
            bag.Contents.Select(c => c.MassKg).ShouldBeInOrder(SortDirection.Descending);
            bag.Contents.ShouldAllBe(c => load.InWords.Contains(c.Name));
        }
    }

    [Fact]
    public void A_bag_that_is_held_is_not_drawn_on_a_back() =>
        new ReachableLoads(Kit).From([LoadSource.Held]).ShouldContain(l => l.Bag != null && !l.Bag.Worn);

    [Theory]
    [InlineData("Band row", BandRigKind.StoodOn)]
    [InlineData("Lat pulldown", BandRigKind.Anchored)]
    [InlineData("Band pull-apart", BandRigKind.Between)]
    public void A_band_is_drawn_with_the_measures_of_its_words_and_its_force(string line, BandRigKind kind)
    {
        var home = Line(line + " 3x10").Chosen!.Exercises[0];

        var band = home.Bands.ShouldHaveSingleItem();
        if (kind == BandRigKind.Anchored)
        {
            band.Rig.ShouldBe(kind);
            home.Setup.ShouldContain($"starting {band.StartCm} cm from the anchor");
            band.HeightCm.ShouldNotBeNull().ShouldBeInRange(1, 220);
        }

        home.Setup.ShouldContain($"{Said(band.StartKg)} kg at the start");
        home.Setup.Contains("doubled", StringComparison.Ordinal).ShouldBe(band.Doubled);
        home.Setup.Contains($"gripped {band.ShortenedCm} cm short", StringComparison.Ordinal).ShouldBe(band.ShortenedCm > 0);
    }

    [Fact]
    [Trait("source", "worked by hand: 28 kg × 34 cm over 50 kg × 8 cm")]
    public void The_levers_of_a_table_are_those_of_its_sum()
    {
        var table = Kit.Things.Single(t => t.Kind.Id == "dining-table");

        var lever = ObjectChecks.Tipping(table, 50).Lever.ShouldNotBeNull();

        lever.MassKg.ShouldBe(28);
        lever.Factor.ShouldBe(2.3, "28 · 34 / (50 · 8) = 2.38, told rounded down");
        lever.CounterweightKg.ShouldBe(0);
        ObjectChecks.Tipping(table, 140).Lever!.CounterweightKg.ShouldBeGreaterThan(0, "a table that tips says what would hold it");
    }

    [Fact]
    public void What_is_put_on_a_seat_is_enough()
    {
        var place = Examples.KitOf(Home);
        var chairs = place.Items.Single(i => i.Kind == "chair") with { OverhangCm = 6, LegToCentreCm = 20, MassKg = 5 };
        var chair = new KitAtPlace(place with { Items = [chairs] }, DomainRules.Shipped.KitKinds).Things.First(t => t.Kind.Id == "chair");
        var verdict = ObjectChecks.ChairBack(chair, 120);
        var lever = verdict.Lever.ShouldNotBeNull();

        ((lever.MassKg + lever.CounterweightKg) * lever.ArmCm / (lever.LoadKg * lever.OverhangCm)).ShouldBeGreaterThanOrEqualTo(
            ObjectChecks.RefusedBelow - 0.05
        );
    }

    [Fact]
    public void Another_load_is_drawn_anew()
    {
        var line = Line("Push-up 3x8");
        var home = line.Chosen!.Exercises[0];
        var edited = new RebuildEngine(DomainRules.Shipped)
            .Rebuild(
                Request("Push-up 3x8") with
                {
                    Edits =
                    [
                        new HomeEdit
                        {
                            Line = line.Gym.Key,
                            ExerciseId = home.ExerciseId,
                            ExternalKg = 9,
                        },
                    ],
                }
            )
            .Plan.Lines[0]
            .Chosen!.Exercises[0];

        edited.ExternalKg.ShouldBeInRange(8, 10);
        edited.Bag.ShouldNotBeNull().MassKg.ShouldBe(edited.ExternalKg, 0.011);
    }

    private static string Said(double kg) => kg.ToString("0.#", System.Globalization.CultureInfo.InvariantCulture);

    private static RebuildRequest Request(string line) =>
        new()
        {
            Client = Examples.ClientA,
            Kit = Examples.KitOf(Home),
            GymLines = [line],
        };

    private static HomeLine Line(string line) => new RebuildEngine(DomainRules.Shipped).Rebuild(Request(line)).Plan.Lines.Single();
}
