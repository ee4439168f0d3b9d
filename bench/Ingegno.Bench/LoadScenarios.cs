using System.Collections.Immutable;
using Google.OrTools.Sat;
using Ingegno.Core.Equipment.Loading.Packing;

namespace Ingegno.Bench;

/// <summary>The load builder on thirty item types, beside a constraint solver on the same problem.</summary>
internal static class LoadScenarios
{
    private const double TargetKg = 17.31;

    private static readonly ImmutableArray<LooseObject> Thirty =
    [
        .. Enumerable
            .Range(0, 30)
            .Select(i => new LooseObject($"o{i}", $"thing {i}", Math.Round(0.31 + (i * 0.17), 2), 0.4 + (i * 0.15), 1 + (i % 4))),
    ];

    private static readonly Container Rucksack = new("bag", "rucksack", 0.9, 25, 30, false, 1);

    public static IEnumerable<Scenario> All
    {
        get
        {
            yield return new Scenario(
                "load builder, 30 item types with counts, room short",
                100,
                () => new LoadBuilder([Rucksack], Thirty, []).Build(new LoadWish(TargetKg))
            );
            yield return new Scenario("the same problem for CP-SAT, one worker", 20, () => Solve());
            yield return new Scenario("load builder, 60 kinds in 20 containers", 20, () => Crowded(60));
            yield return new Scenario("load builder, 500 kinds in 20 containers, 999 of each", 3, () => Crowded(500));
        }
    }

    /// <summary>More things than any home has: every mass and volume another, in containers of every size, with sand and water.</summary>
    private static LoadAnswer Crowded(int kinds)
    {
        var containers = Enumerable
            .Range(0, 20)
            .Select(i => new Container($"c{i}", $"container {i}", 0.5, 5 + (4 * i), 100, i % 2 == 0, 2));
        var objects = Enumerable
            .Range(0, kinds)
            .Select(i => new LooseObject(
                $"o{i}",
                $"thing {i}",
                Math.Round(0.11 + (i * 0.037), 2),
                Math.Round(0.2 + (i * 17 % 41 * 0.13), 3),
                kinds > 100 ? 999 : 1 + (i % 6)
            ));
        var fillers = Enumerable.Range(0, 20).Select(i => new Filler($"f{i}", $"filler {i}", 0.6 + (i * 0.05), 30, false));
        return new LoadBuilder([.. containers], [.. objects], [.. fillers]).Build(new LoadWish(TargetKg, 2));
    }

    private static double Solve()
    {
        var model = new CpModel();
        var counts = Thirty.Select(o => model.NewIntVar(0, o.Count, o.Id)).ToArray();
        model.Add(
            LinearExpr.WeightedSum(counts, Thirty.Select(o => (long)PackingTable.ToUnits(o.MassKg)))
                == PackingTable.ToUnits(TargetKg - Rucksack.TareKg)
        );
        model.Add(
            LinearExpr.WeightedSum(counts, Thirty.Select(o => (long)Math.Round(o.VolumeL * 1000))) <= (long)(Rucksack.VolumeL * 1000)
        );
        model.Minimize(LinearExpr.Sum(counts));
        var solver = new CpSolver { StringParameters = "num_workers:1" };
        solver.Solve(model);
        return solver.ObjectiveValue;
    }
}
