using System.Collections.Immutable;
using CsCheck;
using Google.OrTools.Sat;
using Ingegno.Core.Equipment.Loading.Packing;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Equipment.Loading;

public class LoadBuilderTests
{
    private static readonly Container Rucksack = new("bag", "rucksack", 0.9, 25, 18, false, 1);
    private static readonly Container Cans = new("can", "jerrycan", 0.7, 10, 22, true, 2);
    private static readonly LooseObject Bottle = new("bottle", "bottle of water", 1.53, 1.6, 6);
    private static readonly LooseObject Dictionary = new("dictionary", "blue dictionary", 1.04, 1.9, 1);
    private static readonly Filler Water = new("water", "water", 0.998, 1000, true);
    private static readonly Filler Sand = new("sand", "dry sand", 1.6, 1000, false);

    [Fact]
    public void A_reachable_target_is_met_to_ten_grams_with_the_fewest_pieces()
    {
        var recipe = Build(5, [Rucksack], [Bottle, Dictionary]).Exact;

        recipe.ShouldNotBeNull();
        recipe.MassKg.ShouldBe(0.9 + (2 * 1.53) + 1.04, 1e-9);
        recipe.InWords.ShouldBe("rucksack with 2 × bottle of water and blue dictionary: 5 kg");
    }

    [Fact]
    public void Otherwise_the_nearest_below_and_above_are_offered()
    {
        var answer = Build(5.2, [Rucksack], [Bottle, Dictionary]);

        answer.Exact.ShouldBeNull();
        answer.Below!.MassKg.ShouldBe(5.0, 1e-9);
        answer.Above!.MassKg.ShouldBe(5.49, 1e-9);
    }

    [Fact]
    [Trait("source", "CRC Handbook: water 0.998 kg/L at 20 °C")]
    public void Water_reaches_every_target_in_a_can()
    {
        var recipe = Build(8.2, [Cans], [], [Water]).Exact!;

        recipe.Poured!.Litres.ShouldBe(7.5 / 0.998, 1e-6);
        recipe.InWords.ShouldBe("jerrycan with 7.52 L water: 8.2 kg");
    }

    [Fact]
    public void With_a_filler_the_fewest_pieces_are_packed_and_of_these_the_heaviest()
    {
        var recipe = Build(9, [Rucksack], [Bottle, Dictionary], [Sand with { AvailableL = 3 }]);

        // 8.1 kg of content, at most about 4.8 kg of it sand: three pieces at least, and three bottles are the heaviest three.
        recipe.Exact!.Packed.Pieces.ShouldHaveSingleItem().Count.ShouldBe(3);
        recipe.Exact!.InWords.ShouldContain("3 × bottle of water");
    }

    [Fact]
    public void Where_the_sand_runs_out_all_of_it_is_the_nearest_below()
    {
        var little = Build(9, [Rucksack], [], [Sand with { AvailableL = 3 }]);

        little.Exact.ShouldBeNull();
        little.Below!.MassKg.ShouldBe(0.9 + (3 * 1.6), 0.011);
        little.Above.ShouldBeNull();
        Build(9, [Rucksack], [], [Sand with { AvailableL = 0 }]).Below?.Poured.ShouldBeNull("none is no load");
    }

    [Fact]
    public void What_is_poured_counts_as_one_piece()
    {
        Build(9, [Rucksack], [Bottle], [Sand with { AvailableL = 3 }]).Exact!.PieceCount.ShouldBe(4, "three bottles and the sand");
        Build(5, [Rucksack], [Bottle, Dictionary]).Exact!.PieceCount.ShouldBe(3, "two bottles and a book");
    }

    [Fact]
    public void Water_never_goes_into_a_rucksack_but_sand_may() =>
        (Build(9, [Rucksack], [], [Water]).Exact, Build(9, [Rucksack], [], [Sand]).Exact).ShouldSatisfyAllConditions(
            x => x.Item1.ShouldBeNull(),
            x => x.Item2.ShouldNotBeNull()
        );

    [Fact]
    public void Two_hands_get_the_same_and_share_what_there_is()
    {
        var pair = Build(3.76, [Cans], [Bottle], hands: 2).Exact!;

        pair.Packed.Pieces.ShouldHaveSingleItem().Count.ShouldBe(2);
        pair.TotalKg.ShouldBe(7.52, 1e-9);
        pair.InWords.ShouldBe("in each hand a jerrycan with 2 × bottle of water: 3.76 kg, 7.52 kg together");
        Build(0.9, [Rucksack], [Bottle]).Exact!.InWords.ShouldBe("rucksack, empty: 0.9 kg");
        Build(7, [Cans], [Bottle], hands: 2).Below!.Packed.PieceCount.ShouldBe(3, "six bottles, three a hand");
        Build(5, [Rucksack], [Bottle], hands: 2).Limit!.Said().ShouldContain("Two equal containers");
    }

    [Fact]
    public void What_it_may_carry_and_what_it_holds_are_never_exceeded()
    {
        var weak = Rucksack with { ContentLimitKg = 4 };
        Build(9, [weak], [Bottle])
            .ShouldSatisfyAllConditions(
                a => a.Below!.MassKg.ShouldBe(0.9 + 3.06, 1e-9),
                a => a.Limit!.Said().ShouldContain("may carry 4 kg")
            );

        var small = Rucksack with { VolumeL = 3.5 };
        Build(9, [small], [Bottle])
            .ShouldSatisfyAllConditions(a => a.Below!.Packed.PieceCount.ShouldBe(2), a => a.Limit!.Said().ShouldContain("no room"));
    }

    [Fact]
    public void Heavier_and_smaller_pieces_are_found_when_room_is_short()
    {
        var loaf = new LooseObject("loaf", "pillow", 2, 12, 4);
        var brick = new LooseObject("brick", "brick", 1, 0.6, 10);

        // Two pillows would be the fewest pieces, but only one fits.
        Build(4.9, [Rucksack with { VolumeL = 14 }], [loaf, brick]).Exact!.InWords.ShouldBe("rucksack with 2 × brick and pillow: 4.9 kg");
    }

    [Theory]
    [InlineData(0, 1)]
    [InlineData(-3, 1)]
    [InlineData(double.NaN, 1)]
    [InlineData(101, 1)]
    [InlineData(5, 3)]
    public void An_impossible_wish_is_refused(double target, int hands) =>
        Should.Throw<ArgumentOutOfRangeException>(() => Build(target, [Rucksack], [Bottle], hands: hands));

    [Fact]
    public void It_never_overshoots_below_and_never_undershoots_above() =>
        Gen.Select(Objects, Gen.Double[0.5, 20], Gen.Double[3, 30], Gen.Double[2, 20])
            .Sample(
                (objects, target, volume, limit) =>
                {
                    var container = Rucksack with { VolumeL = volume, ContentLimitKg = limit };
                    var answer = Build(Math.Round(target, 2), [container], objects);
                    foreach (var recipe in new[] { answer.Exact, answer.Below, answer.Above }.OfType<LoadRecipe>())
                    {
                        recipe.Packed.VolumeL.ShouldBeLessThanOrEqualTo(volume + 1e-6);
                        recipe.Packed.MassKg.ShouldBeLessThanOrEqualTo(limit + 0.006);
                        recipe.Packed.Pieces.ShouldAllBe(p => p.Count <= p.Piece.Count);
                    }

                    (answer.Below?.MassKg ?? 0).ShouldBeLessThanOrEqualTo(target);
                    (answer.Above?.MassKg ?? 100).ShouldBeGreaterThanOrEqualTo(target - 0.006);
                }
            );

    /// <summary>The same problem for CP-SAT: reach the mass with the fewest pieces within room and load.</summary>
    [Fact]
    [Trait("source", "Google.OrTools CP-SAT on the same problem")]
    public void It_finds_what_a_constraint_solver_finds() =>
        Gen.Select(Objects, Gen.Int[100, 1500], Gen.Double[2, 14])
            .Sample(
                (objects, units, volume) =>
                {
                    var table = new PackingTable(objects, 15, volume);
                    var reference = Reference(objects, units, volume);
                    (table.Reaches(units) ? table.PiecesAt(units) : -1).ShouldBe(reference);
                },
                iter: 60
            );

    [Fact]
    public void One_table_answers_for_rooms_of_every_size() =>
        Gen.Select(Objects, Gen.Int[100, 1500], Gen.Double[2, 14], Gen.Double[15, 40])
            .Sample(
                (objects, units, small, large) =>
                {
                    var shared = new PackingTable(objects, 15, large, small);
                    var own = new PackingTable(objects, 15, small);
                    (shared.Reaches(units, small) ? shared.PiecesAt(units, small) : -1).ShouldBe(
                        own.Reaches(units) ? own.PiecesAt(units) : -1
                    );
                },
                iter: 200
            );

    [Fact]
    public void Things_that_weigh_the_same_are_one_kind_to_pack_and_the_smaller_ones_go_in_first()
    {
        var soft = new LooseObject("a-soft", "bag of rice", 1, 2, 3);
        var hard = new LooseObject("b-hard", "brick", 1, 0.5, 3);
        var twin = hard with { Id = "c-hard", Name = "stone" };

        Build(6.9, [Rucksack], [soft, hard, twin]).Exact!.InWords.ShouldBe("rucksack with 3 × brick and 3 × stone: 6.9 kg");
        Build(8.9, [Rucksack], [soft, hard, twin]).Exact!.Packed.Pieces.Single(p => p.Piece == soft).Count.ShouldBe(2);
    }

    [Fact]
    public void More_things_than_any_home_has_are_answered_with_the_nearest_found_and_that_is_said()
    {
        ImmutableArray<LooseObject> objects =
        [
            .. Enumerable
                .Range(0, 500)
                .Select(i => new LooseObject($"o{i}", $"thing {i}", 0.11 + (i * 0.04), 0.2 + (i * 17 % 41 * 0.13), 999)),
        ];
        ImmutableArray<Container> containers =
        [
            .. Enumerable.Range(0, 20).Select(i => Rucksack with { Id = $"c{i}", VolumeL = 5 + (4 * i), ContentLimitKg = 100, Count = 2 }),
        ];

        var answer = Build(40, containers, objects, [Sand], hands: 2);

        answer.Complete.ShouldBeFalse();
        answer.Exact!.MassKg.ShouldBe(40, 0.006);
        answer.Exact.Packed.VolumeL.ShouldBeLessThanOrEqualTo(answer.Exact.Container.VolumeL + 1e-6);
        Build(5, [Rucksack], [Bottle, Dictionary]).Complete.ShouldBeTrue();
    }

    private static readonly Gen<ImmutableArray<LooseObject>> Objects = Gen.Select(Gen.Int[10, 400], Gen.Int[1, 40], Gen.Int[1, 4])
        .Array[1, 8]
        .Select(o =>
            o.Select((x, i) => new LooseObject($"o{i}", $"thing {i}", x.Item1 / 100.0, x.Item2 / 10.0, x.Item3)).ToImmutableArray()
        );

    private static int Reference(ImmutableArray<LooseObject> objects, int units, double volume)
    {
        var model = new CpModel();
        var counts = objects.Select(o => model.NewIntVar(0, o.Count, o.Id)).ToArray();
        model.Add(LinearExpr.WeightedSum(counts, objects.Select(o => (long)PackingTable.ToUnits(o.MassKg))) == units);
        model.Add(
            LinearExpr.WeightedSum(counts, objects.Select(o => (long)Math.Round(o.VolumeL * 1000)))
                <= (long)Math.Floor((volume * 1000) + 1e-6)
        );
        model.Minimize(LinearExpr.Sum(counts));
        var solver = new CpSolver { StringParameters = "num_workers:1" };
        return solver.Solve(model) is CpSolverStatus.Optimal ? (int)Math.Round(solver.ObjectiveValue) : -1;
    }

    private static LoadAnswer Build(
        double target,
        ImmutableArray<Container> containers,
        ImmutableArray<LooseObject> objects,
        ImmutableArray<Filler>? fillers = null,
        int hands = 1
    ) => new LoadBuilder(containers, objects, fillers ?? []).Build(new LoadWish(target, hands));
}
