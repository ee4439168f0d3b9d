using Ingegno.Core.Knowledge.TradeData;
using Ingegno.Core.Written.Programs;

namespace Ingegno.Core.Written.Plans;

/// <summary>What stands in a plan for a gym line.</summary>
/// <param name="Line">Key of the line.</param>
/// <param name="Day">Name of its day.</param>
/// <param name="GymExerciseId">Exercise of the gym line.</param>
/// <param name="CandidateId">What was taken for it.</param>
/// <param name="Role">What the line is for.</param>
public sealed record StandingLine(LineKey Line, string Day, string GymExerciseId, string CandidateId, LineRole Role)
{
    /// <summary>The same as what stood before, so that another rebuild changes only what it must.</summary>
    public StoodBefore AsBefore() => new(GymExerciseId, CandidateId, Day.Length == 0 ? null : Day);

    /// <summary>The same as a choice of the coach: it stays, whatever the engine would choose.</summary>
    public CoachChoice AsChoice() => new(Line, CandidateId, Role);
}
