using Ingegno.Core.Matching;

namespace Ingegno.Core.Sessions;

/// <summary>Whether two exercises want one thing in two ways at once.</summary>
public static class RigUse
{
    private const double SameLoadKg = 0.2;

    /// <summary>They share a thing, at two loads.</summary>
    public static bool Conflict(HomeExercise one, HomeExercise other)
    {
        ArgumentNullException.ThrowIfNull(one);
        ArgumentNullException.ThrowIfNull(other);
        return Math.Abs(one.ExternalKg - other.ExternalKg) > SameLoadKg && one.UsesItems.Intersect(other.UsesItems).Any();
    }
}
