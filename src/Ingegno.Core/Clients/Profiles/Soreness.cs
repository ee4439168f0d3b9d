using System.Collections.Immutable;

namespace Ingegno.Core.Clients.Profiles;

/// <summary>How much a joint must be spared.</summary>
public enum Soreness
{
    /// <summary>Heavy stress is left out, medium stress carries a caution.</summary>
    Sore,

    /// <summary>Medium stress is left out as well.</summary>
    Injured,
}
