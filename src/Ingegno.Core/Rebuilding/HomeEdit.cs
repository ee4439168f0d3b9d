using System.Collections.Immutable;
using Ingegno.Core.Prescribing;
using Ingegno.Core.Programs;

namespace Ingegno.Core.Rebuilding;

/// <summary>
/// A figure of a home line that the coach set, or accepted from a proposal. What is null stays as the engine
/// prescribes it.
/// </summary>
public sealed record HomeEdit
{
    /// <summary>Line of the gym text.</summary>
    public required int Line { get; init; }

    /// <summary>Home exercise the edit belongs to; an edit of an exercise that is no longer taken rests.</summary>
    public required string ExerciseId { get; init; }

    public int? Sets { get; init; }

    public SetTarget? Target { get; init; }

    /// <summary>Zone in which the target moves; null when the target is the zone.</summary>
    public SetTarget? Zone { get; init; }

    /// <summary>Logged day on which the figures were decided; null when a log did not decide them.</summary>
    public DateOnly? DecidedAfter { get; init; }

    /// <summary>Sets before a lighter week halved them; null outside one.</summary>
    public int? SetsBefore { get; init; }

    /// <summary>First day of the week of a block for which the figures were decided; null outside a block.</summary>
    public DateOnly? BlockWeek { get; init; }

    /// <summary>Tempo in the form 3-1-X-0.</summary>
    public string? Tempo { get; init; }

    /// <summary>Ids of technique steps in place of those prescribed; empty for straight sets, null to leave them.</summary>
    public ImmutableArray<string>? Techniques { get; init; }

    public int? RestSeconds { get; init; }

    public int? Rir { get; init; }

    /// <summary>External load in kg; the nearest that can be reached here is taken.</summary>
    public double? ExternalKg { get; init; }

    /// <summary>All figures of a dose, so that they stand whatever the engine would prescribe.</summary>
    /// <param name="line">Line of the gym text.</param>
    /// <param name="exerciseId">The home exercise.</param>
    /// <param name="dose">The figures.</param>
    /// <param name="externalKg">External load, kg.</param>
    public static HomeEdit Of(int line, string exerciseId, Dose dose, double externalKg)
    {
        ArgumentNullException.ThrowIfNull(dose);
        return new HomeEdit
        {
            Line = line,
            ExerciseId = exerciseId,
            Sets = dose.Sets,
            Target = dose.Target,
            Zone = dose.Zone,
            SetsBefore = dose.SetsBefore,
            DecidedAfter = dose.DecidedAfter,
            BlockWeek = dose.BlockWeek,
            Tempo = dose.Tempo,
            Techniques = dose.Techniques,
            RestSeconds = dose.RestSeconds,
            Rir = dose.Rir,
            ExternalKg = externalKg,
        };
    }
}
