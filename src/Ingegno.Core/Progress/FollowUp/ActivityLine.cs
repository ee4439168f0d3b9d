using System.Collections.Immutable;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Progress.Progression;

namespace Ingegno.Core.Progress.FollowUp;

/// <summary>What is proposed of one exercise.</summary>
/// <param name="Name">The exercise.</param>
/// <param name="Decision">What is proposed.</param>
/// <param name="Reason">Why.</param>
/// <param name="Pain">Worst pain of its last day; null for none.</param>
/// <param name="PainJoint">Where.</param>
/// <param name="Stalled">Flat for three sessions.</param>
public sealed record ActivityLine(
    string Name,
    Decision Decision,
    Reason Reason,
    int? Pain = null,
    Joint? PainJoint = null,
    bool Stalled = false
);
