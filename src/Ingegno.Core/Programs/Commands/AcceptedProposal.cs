using System.Collections.Immutable;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Commands;

/// <summary>A proposal that a coach accepts, as it was made or with figures of the coach's own.</summary>
/// <param name="Line">Key of the line.</param>
/// <param name="ExerciseId">Exercise that it is about.</param>
/// <param name="Figures">Figures that it sets; null where the engine prescribes anew.</param>
/// <param name="ToExerciseId">Exercise to step to; null when the exercise stays.</param>
public sealed record AcceptedProposal(LineKey Line, string ExerciseId, HomeEdit? Figures, string? ToExerciseId = null)
{
    /// <summary>Candidate that takes the place of the line's; null when the exercise stays, or steps.</summary>
    public string? ToCandidateId { get; init; }

    /// <summary>Figures of the other half, where a pair takes the place of the line's; empty otherwise.</summary>
    public ImmutableArray<HomeEdit> Others { get; init; } = [];

    /// <summary>What rests because it hurt; null when nothing does.</summary>
    public RestingExercise? Rests { get; init; }

    /// <summary>What the coach typed in place of it: it goes before every figure that was proposed, and before the step.</summary>
    public HomeEdit? Typed { get; init; }
}
