using System.Collections.Immutable;
using Ingegno.Core.Kit;
using Ingegno.Core.Loading;
using Ingegno.Core.Prescribing;
using Ingegno.Core.Strength;

namespace Ingegno.Core.Matching;

/// <summary>The resistance part of a match in words.</summary>
internal static class ResistanceWords
{
    /// <summary>Expected against wanted reps, with what brings them there.</summary>
    public static string Reason(RepRange reps, WantedEffort effort, double high, ImmutableArray<Technique> techniques)
    {
        var wanted = effort.Low >= effort.High - 0.5
            ? Words.Number(effort.Low, 0)
            : $"{Words.Number(effort.Low, 0)}–{Words.Number(effort.High, 0)}";
        var with = techniques.Length == 0 ? string.Empty : " with " + Words.Join([.. techniques.Select(t => t.Label)]);
        var verdict = reps.Mid < effort.Low ? ": too hard for the planned reps" : reps.Mid > high ? ": lighter than planned" : string.Empty;
        return $"{reps.InWords} reps to failure expected{with}, {wanted} wanted{verdict}.";
    }

    /// <summary>What a load could come from.</summary>
    public static string Sources(IEnumerable<LoadSource> sources) => string.Join(" or ", sources.Distinct().Select(s => s switch
    {
        LoadSource.Pair => "two equal hand weights",
        LoadSource.Mixed => "two hand weights",
        LoadSource.One => "a hand weight",
        LoadSource.Worn => "a packed rucksack or vest",
        LoadSource.Held => "a bag or jug to fill and hold",
        _ => "a loaded bar",
    }));
}
