using System.Collections.Immutable;
using Ingegno.Core.Progress.Logs;

namespace Ingegno.Core.Progress.FollowUp;

/// <summary>A logged session with the sets that its day planned.</summary>
public sealed record SessionBesidePlan(LoggedSession Session, int? PlannedSets);
