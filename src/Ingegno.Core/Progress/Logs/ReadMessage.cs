using System.Collections.Immutable;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Progress.Logs;

/// <summary>What a message says of one exercise of the plan.</summary>
/// <param name="Source">The words.</param>
/// <param name="Line">Line of the plan it was read as; null when it has no place there.</param>
/// <param name="PlannedId">Exercise planned there.</param>
/// <param name="ExerciseId">Exercise done: the same, or what was taken instead.</param>
/// <param name="Text">The sets in the shorthand of the log; empty when it was skipped.</param>
/// <param name="Skipped">It was left out.</param>
/// <param name="Sure">The name says it; else it is the likeliest.</param>
public sealed record MessagePart(string Source, LineKey? Line, string? PlannedId, string? ExerciseId, string Text, bool Skipped, bool Sure);

/// <summary>What was read of a message.</summary>
/// <param name="Parts">Exercise by exercise, in the order of the message.</param>
/// <param name="Effort">Effort of the whole session, 1–10; null when not said.</param>
/// <param name="Note">What has no place elsewhere, as it was written.</param>
public sealed record ReadMessage(ImmutableArray<MessagePart> Parts, int? Effort, string Note)
{
    /// <summary>What was said to hurt; where nothing does, nothing.</summary>
    public ImmutableArray<MessagePain> Pains { get; init; } = [];
}

/// <summary>Pain in a message.</summary>
/// <param name="Words">The words.</param>
/// <param name="Where">The joint; null where none was named.</param>
/// <param name="Score">1–10; null where no figure was said.</param>
/// <param name="Asks">How much is to be asked: no figure was said, or a strong word stands for one.</param>
/// <param name="ExerciseId">Exercise it goes with; null where it has no place: then it stands apart until the coach has placed it.</param>
public sealed record MessagePain(string Words, Joint? Where, int? Score, bool Asks, string? ExerciseId);
