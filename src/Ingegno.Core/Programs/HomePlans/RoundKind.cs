using System.Collections.Immutable;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>How the lines of a group follow one another.</summary>
public enum RoundKind
{
    /// <summary>All sets of one line, then the next.</summary>
    Straight,

    /// <summary>Two lines in turn.</summary>
    Superset,

    /// <summary>Three lines in turn.</summary>
    TriSet,

    /// <summary>Four lines and more in turn.</summary>
    GiantSet,

    /// <summary>The whole day in rounds.</summary>
    Circuit,
}
