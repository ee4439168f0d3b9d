using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>
/// Tells whether a load without a unit can be kilograms: what only the strongest of a club would lift is likelier pounds (bench 185,
/// deadlift 405), and then so are the other loads of the same text that have no unit.
/// </summary>
internal static class LoadWithoutUnit
{
    /// <summary>Whether it is more than a strong member lifts.</summary>
    public static bool IsBeyond(Exercise exercise, PlannedLoad? load, SpokenLoads spoken) =>
        load is { Pounds: false }
        && exercise.Strength is { } relation
        && spoken.StrongKg.TryGetValue(relation.Anchor, out var strong)
        && (load.ToKg ?? load.Kg) > strong * relation.Ratio;

    /// <summary>The line with the same figures in the other unit.</summary>
    public static GymLine InTheOtherUnit(GymLine line) =>
        line with
        {
            Load = Other(line.Load),
            Each = [.. line.Each.Select(s => s with { Load = Other(s.Load) })],
        };

    private static PlannedLoad? Other(PlannedLoad? load)
    {
        if (load is null)
        {
            return null;
        }

        var by = load.Pounds ? 1 / Foundation.Quantities.Units.KgPerPound : Foundation.Quantities.Units.KgPerPound;
        var digits = load.Pounds ? 1 : 3;
        return load with
        {
            Kg = Math.Round(load.Kg * by, digits),
            ToKg = load.ToKg is { } to ? Math.Round(to * by, digits) : null,
            Pounds = !load.Pounds,
        };
    }
}
