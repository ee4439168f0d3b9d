using Ingegno.Core.Foundation.Quantities;

namespace Ingegno.Core.Clients.Profiles;

/// <summary>How slow a joint that hurts lets reps be (common practice).</summary>
/// <param name="LoweringSeconds">Longest lowering, s.</param>
/// <param name="PauseSeconds">Longest pause, s.</param>
public sealed record SlowestReps(int LoweringSeconds, int PauseSeconds)
{
    /// <summary>No limit of its own.</summary>
    public static SlowestReps Any { get; } = new(Tempo.LongestPhase, Tempo.LongestPhase);

    /// <summary>Sore: short of four seconds down and three held.</summary>
    public static SlowestReps OfSore { get; } = new(3, 2);

    /// <summary>Injured: no lowering of three seconds, no pause.</summary>
    public static SlowestReps OfInjured { get; } = new(2, 0);

    /// <summary>The tempo within the limits.</summary>
    public Tempo Within(Tempo tempo) =>
        tempo with
        {
            Eccentric = Math.Min(tempo.Eccentric, LoweringSeconds),
            PauseStretched = Math.Min(tempo.PauseStretched, PauseSeconds),
            PauseShortened = Math.Min(tempo.PauseShortened, PauseSeconds),
        };
}
