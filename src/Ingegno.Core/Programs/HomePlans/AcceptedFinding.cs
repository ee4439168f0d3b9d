using System.Collections.Immutable;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>A finding that a coach accepts, with the reason.</summary>
public sealed record AcceptedFinding(string Key, string Note);
