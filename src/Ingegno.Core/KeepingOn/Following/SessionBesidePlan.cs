using System.Collections.Immutable;
using Ingegno.Core.KeepingOn.Logs;

namespace Ingegno.Core.KeepingOn.Following;

/// <summary>A logged session with the sets that its day planned.</summary>
public sealed record SessionBesidePlan(LoggedSession Session, int? PlannedSets);
