using System.Runtime.CompilerServices;
using Ingegno.Core.Foundation.Body;

namespace Ingegno.Core.Rebuilding.Candidates;

/// <summary>Involvement of every muscle in a row, by the order of <see cref="Muscle"/>: a week compares ten thousand pairs of exercises.</summary>
internal static class MuscleVector
{
    private static readonly int Muscles = Enum.GetValues<Muscle>().Max(m => (int)m) + 1;

    private static readonly ConditionalWeakTable<IReadOnlyDictionary<Muscle, double>, double[]> Known = [];

    /// <summary>The involvements, 0 for what is not involved. Remembered as long as the exercise lives.</summary>
    public static double[] FromInvolvement(IReadOnlyDictionary<Muscle, double> involvement) =>
        Known.GetValue(
            involvement,
            known =>
            {
                var vector = new double[Muscles];
                foreach (var (muscle, share) in known)
                {
                    vector[(int)muscle] = share;
                }

                return vector;
            }
        );
}
