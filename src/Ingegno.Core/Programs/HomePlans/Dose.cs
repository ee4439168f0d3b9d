using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.SetSchemes;

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
    public int HardSets => Sets * (Scheme?.StandsForSets ?? 1);

    /// <summary>Ids of technique steps.</summary>
    public ImmutableArray<string> Techniques { get; init; } = [];

    /// <summary>What the client does differently, one sentence per technique.</summary>
    public ImmutableArray<Reason> Instructions { get; init; } = [];

    /// <summary>Why the dose is as it is.</summary>
    public Reason Reason { get; init; } = Reason.None;

    /// <summary>Sets and reps in shorthand: <c>3x6 + AMRAP</c>, <c>4x2+2+2</c>.</summary>
    public string Figures => SetsAndReps + (Scheme?.Behind(Target) ?? string.Empty);

    /// <summary>Sets and reps without what the scheme has behind them: what a table writes beside its method.</summary>
    [JsonIgnore]
    public string SetsAndReps
    {
        get
        {
            var sets = LastSetOpen ? Sets - 1 : Sets;
            var side = PerSide ? "/side" : string.Empty;
            return sets == 0
                ? $"1xAMRAP{side}"
                : $"{sets}x{Scheme?.Reps(Target) ?? Target.Written}{(Timed ? " s" : string.Empty)}{side}{(LastSetOpen ? " + AMRAP" : string.Empty)}";
        }
    }

    /// <summary>Decimals of a kilogram that is typed: rounder, a dose that is typed again would be set to another load.</summary>
    private const int Grams = 3;

    /// <summary>The dose as it is typed into a cell: <c>3x8-12 @ 20 kg 3-0-1-0 90 s RIR 2</c>.</summary>
    /// <param name="externalKg">Load, kg; 0 for none, which is not written.</param>
    public string AsTyped(double externalKg) =>
        string.Join(
            ' ',
            new[]
            {
                Scheme is null ? Figures : $"{Sets}x{Target.Max}",
                externalKg > 0 ? $"@ {Words.Number(externalKg, Grams)} kg" : null,
                Timed ? null : Tempo.ToString(),
                $"{RestSeconds} s",
                Timed ? null : $"RIR {Rir}",
            }.OfType<string>()
        );

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

    /// <summary>Seconds of work in all sets, both sides counted; small sets and rests within sets too.</summary>
    public double WorkSeconds()
    {
        var each = SecondsUnderTension * (PerSide ? 2 : 1);
        return (Sets * each) + (Scheme?.SecondsBeside(Sets, Target, each) ?? 0);
    }

    /// <summary>Minutes of all sets with their rests.</summary>
    public double Minutes => (WorkSeconds() + (Sets * RestSeconds)) / 60;
}
