using System.Collections.Immutable;
using System.Globalization;
using System.Text.RegularExpressions;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Programs.HomePlans;

namespace Ingegno.Core.Progress.Logs;

/// <summary>What was read of a logged line.</summary>
/// <param name="Sets">The sets; empty when there is an error.</param>
/// <param name="Error">What could not be read, and how it is written; null when all could.</param>
public sealed record ReadSets(ImmutableArray<LoggedSet> Sets, Reason? Error);

/// <summary>
/// Reads the sets of an exercise as a coach types them: <c>12,11,10 @8kg r1</c>. Reps, or seconds of a hold, one figure a set, or
/// <c>3x12</c>; <c>@8kg</c> after all of them, or after one (<c>12@8,10@6</c>); <c>r1</c> for reps in reserve, of all sets or in turn
/// (<c>r2,1,0</c>, <c>r2,-,0</c> where one was not noted); <c>p3 knee</c> for pain, <c>sharp</c> where it was. A pound figure is written <c>@18lb</c>.
/// </summary>
public static partial class LogShorthand
{
    private const int MostSets = 30;

    [GeneratedRegex(
        @"^(?:(?<n>[0-9]{1,2})\s*[x×]\s*)?(?<reps>[0-9]{1,3})(?:s|sec)?(?:\s*@\s*(?<load>[0-9]+(?:[.,][0-9]+)?)\s*(?<unit>kg|lb)?)?$",
        RegexOptions.IgnoreCase,
        Patterns.TimeoutMs
    )]
    private static partial Regex Set();

    [GeneratedRegex(@"\s@\s*(?<load>[0-9]+(?:\.[0-9]+)?)\s*(?<unit>kg|lb)?(?![0-9.])", RegexOptions.IgnoreCase, Patterns.TimeoutMs)]
    private static partial Regex Load();

    [GeneratedRegex(
        @"\b(?:rir|r)\s*(?<rir>(?:[0-9]{1,2}|-)(?:\s*,\s*(?:[0-9]{1,2}|-))*)(?![0-9a-z])",
        RegexOptions.IgnoreCase,
        Patterns.TimeoutMs
    )]
    private static partial Regex Reserve();

    [GeneratedRegex(
        @"\b(?:pain|p)\s*(?<pain>[0-9]{1,2})(?:\s+(?<joint>wrist|elbow|shoulder|neck|low[ -]?back|back|hip|knee|ankle)s?)?\b",
        RegexOptions.IgnoreCase,
        Patterns.TimeoutMs
    )]
    private static partial Regex Pain();

    [GeneratedRegex(
        @"\b(?:pain|p)\s*\?(?:\s*(?:wrist|elbow|shoulder|neck|low[ -]?back|back|hip|knee|ankle)s?)?",
        RegexOptions.IgnoreCase,
        Patterns.TimeoutMs
    )]
    private static partial Regex PainAsked();

    [GeneratedRegex(@"\bsharp\b", RegexOptions.IgnoreCase, Patterns.TimeoutMs)]
    private static partial Regex Sharp();

    /// <summary>Reads a line; the sets come in their order.</summary>
    public static ReadSets Read(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        var rest = " " + PlainText.Normalize(text).Trim();
        if (PainAsked().IsMatch(rest))
        {
            return new ReadSets([], Reason.Of("log.pain-asked"));
        }

        var pain = Take(ref rest, Pain());
        var sharp = Take(ref rest, Sharp());
        var reserve = Take(ref rest, Reserve());
        var load = Take(ref rest, Load());
        var sets = new List<LoggedSet>();
        foreach (var part in rest.Split([',', ';', ' '], StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries))
        {
            if (Set().Match(part) is not { Success: true } set)
            {
                return Fault(Reason.Of("log.no-set", ("text", part)));
            }

            var times = set.Groups["n"] is { Success: true, Value: var n } ? Number(n) : 1;
            if (sets.Count + times > MostSets)
            {
                return Fault(Reason.Of("log.too-many", ("most", MostSets)));
            }

            sets.AddRange(
                Enumerable.Repeat(
                    new LoggedSet { Reps = Number(set.Groups["reps"].Value), LoadKg = Kg(set) ?? (load is null ? null : Kg(load)) },
                    times
                )
            );
        }

        var rirs = reserve is null
            ? []
            : reserve
                .Groups["rir"]
                .Value.Split(',', StringSplitOptions.TrimEntries)
                .Select(r => r == "-" ? (int?)null : Number(r))
                .ToArray();
        return sets.Count == 0 ? Fault(Reason.Of("log.no-reps"))
            : sets.Any(s => s.Reps > 500) ? Fault(Reason.Of("log.reps-range"))
            : sets.Any(s => s.LoadKg > 500) ? Fault(Reason.Of("log.load-range"))
            : rirs.Any(r => r > 10) ? Fault(Reason.Of("log.rir-range"))
            : rirs.Length > 1 && rirs.Length != sets.Count ? Fault(Reason.Of("log.rir-count", ("given", rirs.Length), ("sets", sets.Count)))
            : pain is not null && Number(pain.Groups["pain"].Value) > 10 ? Fault(Reason.Of("log.pain-range"))
            : new ReadSets(
                [
                    .. sets.Select(
                        (s, i) =>
                            With(
                                s,
                                rirs.Length == 0 ? null : rirs[Math.Min(i, rirs.Length - 1)],
                                i == sets.Count - 1 ? pain : null,
                                sharp is not null && i == sets.Count - 1
                            )
                    ),
                ],
                null
            );
    }

    /// <summary>Writes sets so that <see cref="Read"/> reads the same: pain goes with the last set.</summary>
    public static string Write(ImmutableArray<LoggedSet> sets)
    {
        if (sets.IsDefaultOrEmpty)
        {
            return string.Empty;
        }

        var sameLoad = sets.Select(s => s.LoadKg).Distinct().Count() == 1;
        var reps = string.Join(
            ',',
            sets.Select(s => sameLoad || s.LoadKg is null ? $"{s.Reps}" : $"{s.Reps}@{Words.Number(s.LoadKg.Value, 2)}")
        );
        var load = sameLoad && sets[0].LoadKg is { } kg ? $" @{Words.Number(kg, 2)}kg" : string.Empty;
        var rirs = sets.Select(s => s.Rir).ToList();
        var reserve =
            rirs.TrueForAll(r => r is null) ? string.Empty
            : rirs.Distinct().Count() == 1 ? $" r{rirs[0]}"
            : $" r{string.Join(',', rirs.Select(r => r?.ToString(CultureInfo.InvariantCulture) ?? "-"))}";
        var worst = sets.Where(s => s.PainCounted is > 0).MaxBy(s => s.PainCounted);
        var pain =
            worst is null ? string.Empty
            : worst.Pain is null ? $" {AsksPain(worst.PainJoint)}{(worst.Sharp ? " sharp" : string.Empty)}"
            : $" p{worst.Pain}{(worst.PainJoint is { } joint ? $" {Words.Of(joint)}" : string.Empty)}{(worst.Sharp ? " sharp" : string.Empty)}";
        return reps + load + reserve + pain;
    }

    /// <summary>Pain without a figure, as it is written until the client was asked: it cannot be logged like that.</summary>
    public static string AsksPain(Joint? where) => $"p?{(where is { } joint ? $" {Words.Of(joint)}" : string.Empty)}";

    /// <summary>What doing an exercise as planned would read.</summary>
    public static string AsPlanned(HomeExercise home)
    {
        ArgumentNullException.ThrowIfNull(home);
        var (dose, kg) = (home.Dose, home.ExternalKg);
        var set = new LoggedSet
        {
            Reps = dose.Target.IsOpen ? SetTarget.OpenReps : dose.Target.Min,
            LoadKg = kg > 0 ? kg : null,
            Rir = dose.Rir,
        };
        return Write([.. Enumerable.Repeat(set, dose.Sets)]);
    }

    private static LoggedSet With(LoggedSet set, int? rir, Match? pain, bool sharp) =>
        set with
        {
            Rir = rir,
            Pain = pain is null ? null : Number(pain.Groups["pain"].Value),
            PainJoint = pain?.Groups["joint"] is { Success: true, Value: var where } ? JointOf(where) : null,
            Sharp = sharp,
        };

    private static Joint JointOf(string word) =>
        Enum.TryParse<Joint>(
            word.Replace("-", string.Empty, StringComparison.Ordinal).Replace(" ", string.Empty, StringComparison.Ordinal),
            true,
            out var joint
        )
            ? joint
            : Joint.LowBack;

    private static double? Kg(Match match)
    {
        if (match.Groups["load"] is not { Success: true, Value: var text })
        {
            return null;
        }

        var value = double.Parse(text.Replace(',', '.'), CultureInfo.InvariantCulture);
        return match.Groups["unit"].Value.Equals("lb", StringComparison.OrdinalIgnoreCase)
            ? Math.Round(value * Units.KgPerPound, 2)
            : value;
    }

    private static Match? Take(ref string text, Regex what)
    {
        var match = what.Match(text);
        if (!match.Success)
        {
            return null;
        }

        text = text.Remove(match.Index, match.Length).Insert(match.Index, " ");
        return match;
    }

    private static int Number(string text) => int.Parse(text, CultureInfo.InvariantCulture);

    private static ReadSets Fault(Reason what) => new([], what.Then(Reason.Of("log.example")));
}
