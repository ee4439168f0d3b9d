using System.Collections.Immutable;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>What stands in a plan for a gym line.</summary>
/// <param name="Line">Key of the line.</param>
/// <param name="Day">Name of its day.</param>
/// <param name="GymExerciseId">Exercise of the gym line.</param>
/// <param name="CandidateId">What was taken for it; empty when the minutes had no room for it.</param>
/// <param name="Role">What the line is for.</param>
public sealed record StandingLine(LineKey Line, string Day, string GymExerciseId, string CandidateId, LineRole Role)
{
    /// <summary>Its exercises with set-up, load and dose, to the gram; empty when nothing stands for it.</summary>
    public ImmutableArray<HomeEdit> Figures { get; init; } = [];

    /// <summary>Lines that it is done in turn with, itself among them, in their order; empty for a line on its own.</summary>
    public ImmutableArray<LineKey> InTurn { get; init; } = [];

    /// <summary>The client's minutes had no room for it.</summary>
    public bool LeftOut { get; init; }

    /// <summary>The same as what stood before, so that another rebuild changes only what it must.</summary>
    public StoodBefore AsBefore() => new(GymExerciseId, CandidateId, Day.Length == 0 ? null : Day);

    /// <summary>The same as a choice of the coach: it stays, whatever the engine would choose.</summary>
    public CoachChoice AsChoice() => new(Line, CandidateId, Role);

    /// <summary>Asks the same of the client as another line does: exercises, set-ups, loads and doses.</summary>
    /// <param name="other">The other line.</param>
    public bool AsksTheSameAs(StandingLine other)
    {
        ArgumentNullException.ThrowIfNull(other);
        return CandidateId == other.CandidateId
            && Figures.Length == other.Figures.Length
            && Figures.Zip(other.Figures).All(pair => pair.First.AsksTheSameAs(pair.Second));
    }
}
