using System.Collections.Immutable;
using Ingegno.Core.Foundation.Quantities;

namespace Ingegno.Core.Equipment.Loading;

/// <summary>Two exercises that want one thing at two loads: it would have to be packed anew between them.</summary>
public static class RigConflict
{
    /// <summary>Whether two rigs share a thing and are not loaded alike. Plain loops: the choice of a week asks this some ten thousand
    /// times.</summary>
    /// <param name="items">Ids of the things of the one.</param>
    /// <param name="kg">Its load, kg.</param>
    /// <param name="others">Ids of the things of the other.</param>
    /// <param name="otherKg">Its load, kg.</param>
    public static bool Between(ImmutableArray<string> items, double kg, ImmutableArray<string> others, double otherKg)
    {
        if (SameLoad.IsSame(kg, otherKg))
        {
            return false;
        }

        foreach (var item in items)
        {
            foreach (var other in others)
            {
                if (string.Equals(item, other, StringComparison.Ordinal))
                {
                    return true;
                }
            }
        }

        return false;
    }
}
