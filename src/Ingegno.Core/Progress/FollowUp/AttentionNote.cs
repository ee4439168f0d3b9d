using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Progress.FollowUp;

/// <summary>A reason to look at a client today.</summary>
/// <param name="Kind">Kind of reason; the first is the most urgent.</param>
/// <param name="Text">The reason in a sentence.</param>
public sealed record AttentionNote(AttentionKind Kind, Reason Text);
