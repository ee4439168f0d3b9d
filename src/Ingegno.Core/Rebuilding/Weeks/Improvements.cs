using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Candidates;

namespace Ingegno.Core.Rebuilding.Weeks;

/// <summary>What would make a line better: exercises that only lack kit and would match clearly closer.</summary>
public static class Improvements
{
    private const double Clear = 0.06;
    private const double AssumedResistance = 0.85;
    private const int Most = 2;

    /// <summary>At most two sentences, the largest gain first; empty when nothing would clearly help.</summary>
    public static ImmutableArray<Reason> For(HomeLine line, LineToMatch match, LineMatcher matcher, DomainRules domain)
    {
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(matcher);
        ArgumentNullException.ThrowIfNull(domain);
        var now = line.Chosen?.Match ?? 0;
        return
        [
            .. line
                .RuledOut.Where(r => r.Code == "kit" && !domain.Catalogue.Get(r.ExerciseId).IsOnStack) // nobody buys a cable column for a line
                .Select(r => (Row: r, Match: Math.Min(1, matcher.MatchIf(match, domain.Catalogue.Get(r.ExerciseId), AssumedResistance))))
                .Where(r => r.Match > now + Clear)
                .OrderByDescending(r => r.Match)
                .ThenBy(r => r.Row.ExerciseId, StringComparer.Ordinal)
                .DistinctBy(r => r.Row.Reason) // the same thing to buy is said once
                .Take(Most)
                .Select(r =>
                    Reason.Of(
                        "better.with-kit",
                        ("exercise", r.Row.Name),
                        ("then", Quantity.Percent(r.Match)),
                        ("now", Quantity.Percent(now)),
                        ("missing", r.Row.Reason)
                    )
                ),
        ];
    }
}
