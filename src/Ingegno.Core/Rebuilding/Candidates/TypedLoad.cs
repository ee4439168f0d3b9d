using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Rebuilding.Candidates;

/// <summary>Reads a load as coaches write it.</summary>
public static class TypedLoad
{
    /// <summary>
    /// All that is lifted, kg: the middle of a range, times the pieces. One figure beside a lift with two dumbbells is what one hand
    /// holds (common practice), unless it was said to be all.
    /// </summary>
    public static double TotalKg(PlannedLoad load, Exercise exercise)
    {
        ArgumentNullException.ThrowIfNull(load);
        ArgumentNullException.ThrowIfNull(exercise);
        var pieces = load is { Pieces: 1, Added: false, InAll: false } && IsWithAPair(exercise) ? 2 : load.Pieces;
        return (load.ToKg is { } to ? (load.Kg + to) / 2 : load.Kg) * pieces;
    }

    private static bool IsWithAPair(Exercise exercise) =>
        exercise is { Sides: Sides.Bilateral, Setups: [{ Load.External: { From: [LoadSource.Pair, ..] } }, ..] }
        || exercise is { Sides: Sides.Bilateral, GymLoad: LoadSource.Pair };
}
