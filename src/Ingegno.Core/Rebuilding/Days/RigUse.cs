using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Programs.HomePlans;

namespace Ingegno.Core.Rebuilding.Days;

/// <summary>Whether two exercises want one thing in two ways at once.</summary>
public static class RigUse
{
    /// <summary>They share a thing, at two loads.</summary>
    public static bool Conflict(HomeExercise one, HomeExercise other)
    {
        ArgumentNullException.ThrowIfNull(one);
        ArgumentNullException.ThrowIfNull(other);
        return RigConflict.Between(one.UsesItems, one.ExternalKg, other.UsesItems, other.ExternalKg);
    }
}
