using System.Collections.Immutable;

namespace Ingegno.Core.Auditing;

/// <summary>Checks a plan the way a good coach reads it (handbook 04 and 06): each finding with its evidence, the gravest first.</summary>
public static class PlanCheck
{
    private static readonly ImmutableArray<Func<AuditedPlan, IEnumerable<Finding>>> Checks =
        [SafetyChecks.Find, DoseChecks.Find, BalanceChecks.Find, SessionChecks.Find];

    /// <summary>All findings; those a coach accepted carry the note and come last.</summary>
    /// <param name="plan">The plan.</param>
    /// <param name="accepted">What the coach accepted.</param>
    public static ImmutableArray<Finding> Run(AuditedPlan plan, ImmutableArray<AcceptedFinding> accepted)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return [.. Checks.SelectMany(check => check(plan))
            .Select(f => accepted.LastOrDefault(a => a.Key == f.Key) is { } known ? f with { Accepted = known.Note } : f)
            .OrderBy(f => f.Accepted is not null).ThenByDescending(f => f.Severity).ThenBy(f => f.Line ?? 0).ThenBy(f => f.Key, StringComparer.Ordinal)];
    }

    /// <summary>The verdict on a plan in a sentence.</summary>
    public static string Verdict(ImmutableArray<Finding> findings)
    {
        var open = findings.Where(f => f.Accepted is null).ToList();
        var (serious, warnings) = (open.Count(f => f.Severity == Severity.Serious), open.Count(f => f.Severity == Severity.Warning));
        return (serious, warnings) switch
        {
            ( > 0, _) => $"Not like this: {Count(serious, "thing")} could hurt this client{(warnings > 0 ? $", and {Count(warnings, "more thing")} to change" : string.Empty)}.",
            (_, > 3) => $"Workable, but {warnings} things would make it clearly better.",
            (_, > 0) => $"Good in the main; {Count(warnings, "thing")} to change.",
            _ => open.Count > 0 ? "Sound; a few hints below." : "Sound: nothing to find fault with.",
        };
    }

    private static string Count(int n, string one) => $"{n} {one}{(n == 1 ? string.Empty : "s")}";
}
