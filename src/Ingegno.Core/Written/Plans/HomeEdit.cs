using System.Collections.Immutable;
using Ingegno.Core.Ground.Quantities;
using Ingegno.Core.Written.Programs;

namespace Ingegno.Core.Written.Plans;

/// <summary>
/// A figure of a home line that the coach set, or accepted from a proposal. What is null stays as the engine
/// prescribes it.
/// </summary>
public sealed record HomeEdit
{
    /// <summary>Key of the gym line.</summary>
    public required LineKey Line { get; init; }

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

    public Tempo? Tempo { get; init; }

    /// <summary>Ids of technique steps in place of those prescribed; empty for straight sets, null to leave them.</summary>
    public ImmutableArray<string>? Techniques { get; init; }

    public int? RestSeconds { get; init; }

    public int? Rir { get; init; }

    /// <summary>External load in kg; the nearest that can be reached here is taken.</summary>
    public double? ExternalKg { get; init; }

    /// <summary>The last set is open where that is safe, so that the log sets the dose anew: after a long absence what was logged tells little.</summary>
    public bool FindAnew { get; init; }

    /// <summary>Belongs to that exercise of that line.</summary>
    public bool IsOf(LineKey line, string exerciseId) => Line == line && ExerciseId == exerciseId;

    /// <summary>
    /// These figures over those set before; what is null stays as it was. Techniques bring a tempo of their own, so that one typed
    /// before gives way to them.
    /// </summary>
    /// <param name="before">What was set before.</param>
    public HomeEdit Over(HomeEdit before)
    {
        ArgumentNullException.ThrowIfNull(before);
        return Replacing(Techniques is null ? before : before with { Tempo = null });
    }

    /// <summary>These figures in place of others, figure by figure; what is null is taken from the others.</summary>
    /// <param name="others">The others.</param>
    public HomeEdit Replacing(HomeEdit others)
    {
        ArgumentNullException.ThrowIfNull(others);
        return this with
        {
            Sets = Sets ?? others.Sets,
            Target = Target ?? others.Target,
            Zone = Zone ?? others.Zone,
            DecidedAfter = DecidedAfter ?? others.DecidedAfter,
            SetsBefore = SetsBefore ?? others.SetsBefore,
            BlockWeek = BlockWeek ?? others.BlockWeek,
            Tempo = Tempo ?? others.Tempo,
            Techniques = Techniques ?? others.Techniques,
            RestSeconds = RestSeconds ?? others.RestSeconds,
            Rir = Rir ?? others.Rir,
            ExternalKg = ExternalKg ?? others.ExternalKg,
        };
    }

    /// <summary>All figures of a dose, so that they stand whatever the engine would prescribe.</summary>
    /// <param name="line">Key of the gym line.</param>
    /// <param name="exerciseId">The home exercise.</param>
    /// <param name="dose">The figures.</param>
    /// <param name="externalKg">External load, kg.</param>
    public static HomeEdit Of(LineKey line, string exerciseId, Dose dose, double externalKg)
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
