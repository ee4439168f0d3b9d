using System.Collections.Immutable;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>How much a finding matters.</summary>
public enum Severity
{
    /// <summary>Worth knowing.</summary>
    Hint,

    /// <summary>A good coach would change it or say why not.</summary>
    Warning,

    /// <summary>Somebody may be hurt.</summary>
    Serious,
}
