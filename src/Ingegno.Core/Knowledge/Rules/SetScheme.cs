using System.Collections.Immutable;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>How the sets of an exercise run when not straight.</summary>
public enum SetScheme
{
    /// <summary>One set near failure, then short rests and small sets until as many reps again are done.</summary>
    RestPause,

    /// <summary>The last set goes on with less load.</summary>
    Drop,

    /// <summary>The last set goes on with an easier version.</summary>
    MechanicalDrop,

    /// <summary>An isolation exercise of the same muscle right before.</summary>
    PreExhaust,
}
