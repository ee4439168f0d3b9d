using System.Collections.Immutable;

namespace Ingegno.Core.Progress.FollowUp;

/// <summary>Why a client needs the coach.</summary>
public enum AttentionKind
{
    /// <summary>A sign of danger that nobody has answered.</summary>
    Alert,

    /// <summary>Something hurts.</summary>
    Pain,

    /// <summary>A clearance ends, or has ended.</summary>
    Clearance,

    /// <summary>The client asks or writes.</summary>
    Asks,

    /// <summary>No gain for three sessions.</summary>
    Stall,

    /// <summary>A week or more without training.</summary>
    Away,

    /// <summary>A session that should have been there is not.</summary>
    Missed,

    /// <summary>The form, or whether it was too easy, wants a look.</summary>
    CheckForm,

    /// <summary>A block comes to its end.</summary>
    BlockEnding,

    /// <summary>Kit, client or gym week are not those of the plan any more.</summary>
    Changed,

    /// <summary>Sessions came in that nobody looked at.</summary>
    CameIn,

    /// <summary>Ready for a step.</summary>
    Ready,

    /// <summary>Sent, and not opened yet.</summary>
    NotOpened,

    /// <summary>Nothing was logged yet.</summary>
    NotStarted,
}
