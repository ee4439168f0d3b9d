using System.Collections.Immutable;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>Minutes of the session at home, warm-up and cool-down included.</summary>
/// <param name="Total">Estimated minutes.</param>
/// <param name="Limit">The client's minutes, null when not set.</param>
public sealed record SessionMinutes(int Total, int? Limit = null);
