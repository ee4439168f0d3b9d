using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>A column of a gym program in a table.</summary>
public enum ProgramField
{
    Week,
    Day,
    Label,
    Exercise,
    Dose,
    Sets,
    Reps,
    Load,
    Percent,
    Rpe,
    Rir,
    Tempo,
    Rest,
    Method,
    Note,
}
