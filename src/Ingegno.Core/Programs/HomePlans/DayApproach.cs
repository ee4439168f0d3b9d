using System.Collections.Immutable;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>A day that follows an approach of its own.</summary>
public sealed record DayApproach(string Day, string Approach);
