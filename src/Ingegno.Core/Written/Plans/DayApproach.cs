using System.Collections.Immutable;

namespace Ingegno.Core.Written.Plans;

/// <summary>A day that follows an approach of its own.</summary>
public sealed record DayApproach(string Day, string Approach);
