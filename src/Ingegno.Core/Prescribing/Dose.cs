using System.Collections.Immutable;
using Ingegno.Core.Programs;

namespace Ingegno.Core.Prescribing;

/// <summary>What to do: sets, reps or seconds, tempo, rest, effort.</summary>
public sealed record Dose
{
    public required int Sets { get; init; }

    public required SetTarget Target { get; init; }

    public bool Timed { get; init; }

    public bool LastSetOpen { get; init; }

    public bool PerSide { get; init; }

    /// <summary>Tempo in the form 3-1-X-0.</summary>
    public required string Tempo { get; init; }

    public required int RestSeconds { get; init; }

    /// <summary>Reps in reserve to stop with.</summary>
    public required int Rir { get; init; }

    /// <summary>Ids of technique steps.</summary>
    public ImmutableArray<string> Techniques { get; init; } = [];

    /// <summary>What the client does differently, one sentence per technique.</summary>
    public ImmutableArray<string> Instructions { get; init; } = [];

    /// <summary>Why the dose is as it is.</summary>
    public string Reason { get; init; } = string.Empty;

    /// <summary>Sets and reps in shorthand: <c>3x6 + AMRAP</c>.</summary>
    public string Figures
    {
        get
        {
            var sets = LastSetOpen ? Sets - 1 : Sets;
            var target = Target.IsOpen ? "AMRAP" : Target.Min == Target.Max ? $"{Target.Min}" : $"{Target.Min}-{Target.Max}";
            return $"{sets}x{target}{(Timed ? " s" : string.Empty)}{(PerSide ? "/side" : string.Empty)}{(LastSetOpen ? " + AMRAP" : string.Empty)}";
        }
    }

    /// <summary>Seconds of work in all sets, both sides counted.</summary>
    public double WorkSeconds()
    {
        var perRep = Programs.Tempo.TryParse(Tempo, out var tempo) ? Math.Max(1, tempo.SecondsPerRep) : 3;
        var reps = Target.IsOpen ? 12 : (Target.Min + Target.Max) / 2.0;
        return Sets * reps * (Timed ? 1 : perRep) * (PerSide ? 2 : 1);
    }
}
