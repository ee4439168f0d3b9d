using System.Collections.Immutable;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>What to do: sets, reps or seconds, tempo, rest, effort.</summary>
public sealed record Dose
{
    public required int Sets { get; init; }

    public required SetTarget Target { get; init; }

    /// <summary>Zone in which double progression moves the target; null when the target is the zone.</summary>
    public SetTarget? Zone { get; init; }

    /// <summary>Reps that end the work on this exercise when every set has them, then comes the next step; null where the approach has no
    /// such standards.</summary>
    public int? Standard { get; init; }

    /// <summary>Logged day on which the dose was decided: until a later one it waits to be trained; null when nothing was
    /// decided.</summary>
    public DateOnly? DecidedAfter { get; init; }

    /// <summary>
    /// Logged day on which the exercise, its rung or its load was changed: sessions up to it belong to what it was and decide nothing
    /// more; null when all of them count.
    /// </summary>
    public DateOnly? CountsAfter { get; init; }

    /// <summary>First day of the week of a block for which the dose was decided; null outside a block.</summary>
    public DateOnly? BlockWeek { get; init; }

    /// <summary>Sets before a lighter week took some away; null outside one.</summary>
    public int? SetsBefore { get; init; }

    public bool Timed { get; init; }

    public bool LastSetOpen { get; init; }

    /// <summary>The open last set is there to find out what the client can do.</summary>
    public bool Calibrates { get; init; }

    public bool PerSide { get; init; }

    /// <summary>Tempo in the form 3-1-X-0.</summary>
    public required Tempo Tempo { get; init; }

    public required int RestSeconds { get; init; }

    /// <summary>Reps in reserve to stop with.</summary>
    public required int Rir { get; init; }

    /// <summary>How the sets run; null for straight sets.</summary>
    public SetScheme? Scheme { get; init; }

    /// <summary>Hard sets that the dose counts for: one rest-pause set stands for three.</summary>
    public int HardSets => Scheme == SetScheme.RestPause ? RestPause.StandsForSets * Sets : Sets;

    /// <summary>Ids of technique steps.</summary>
    public ImmutableArray<string> Techniques { get; init; } = [];

    /// <summary>What the client does differently, one sentence per technique.</summary>
    public ImmutableArray<Reason> Instructions { get; init; } = [];

    /// <summary>Why the dose is as it is.</summary>
    public Reason Reason { get; init; } = Reason.None;

    /// <summary>Sets and reps in shorthand: <c>3x6 + AMRAP</c>.</summary>
    public string Figures
    {
        get
        {
            var sets = LastSetOpen ? Sets - 1 : Sets;
            var then = Scheme switch
            {
                SetScheme.RestPause => $" + {Target.Max} in small sets",
                SetScheme.Drop or SetScheme.MechanicalDrop => " + drop",
                _ => string.Empty,
            };
            return sets == 0
                ? $"1xAMRAP{(PerSide ? "/side" : string.Empty)}{then}"
                : $"{sets}x{Target.Written}{(Timed ? " s" : string.Empty)}{(PerSide ? "/side" : string.Empty)}{(LastSetOpen ? " + AMRAP" : string.Empty)}{then}";
        }
    }

    /// <summary>Seconds under tension in one set of one side: reps × seconds per rep, at the middle of the range.</summary>
    public double SecondsUnderTension
    {
        get
        {
            var perRep = Math.Max(1, Tempo.SecondsPerRep);
            var reps = Target.IsOpen ? SetTarget.OpenReps : (Target.Min + Target.Max) / 2.0;
            return reps * (Timed ? 1 : perRep);
        }
    }

    /// <summary>Seconds of work in all sets, both sides counted; the small sets of a rest-pause with their rests.</summary>
    public double WorkSeconds()
    {
        var seconds = Sets * SecondsUnderTension * (PerSide ? 2 : 1);
        return Scheme switch
        {
            SetScheme.RestPause when !Target.IsOpen => (2 * seconds)
                + (Sets * RestPause.RestSeconds * RestPause.MiniSets(Target.Max).Length),
            SetScheme.Drop or SetScheme.MechanicalDrop => seconds + (SecondsUnderTension * (PerSide ? 2 : 1)),
            _ => seconds,
        };
    }

    /// <summary>Minutes of all sets with their rests.</summary>
    public double Minutes => (WorkSeconds() + (Sets * RestSeconds)) / 60;
}
