using System.Collections.Immutable;
using Google.OrTools.Sat;
using Ingegno.Core.AtHome.Loading.Packing;

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
            var builder = new LoadBuilder([Rucksack], Thirty, []);
            yield return new Scenario(
                "load builder, 30 item types with counts, room short",
                100,
                () => builder.Build(new LoadWish(TargetKg))
            );
            yield return new Scenario("the same problem for CP-SAT, one worker", 20, () => Solve());
        }
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
