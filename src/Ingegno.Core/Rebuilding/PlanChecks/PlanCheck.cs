using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Rebuilding.PlanChecks;

/// <summary>Checks a plan the way a good coach reads it (docs/domain/prescription and 06): each finding with its evidence, the gravest
/// first.</summary>
public static class PlanCheck
{
    private static readonly ImmutableArray<Func<AuditedPlan, IEnumerable<Finding>>> Checks =
    [
        SafetyChecks.Find,
        DoseChecks.Find,
        BalanceChecks.Find,
        SessionChecks.Find,
    ];

    /// <summary>
    /// What the kit, the client or the gym plan itself bring about: on a plan that the engine just wrote it is worth knowing, for had there
    /// been something better here it would stand there. After a coach's hand it is a warning like any other.
    /// </summary>
    private static readonly ImmutableHashSet<string> BeyondTheEngine =
    [
        "light",
        "far-from-failure",
        "reserve",
        "untested",
        "muscle-lost",
        "knee-above-hip",
        "push-above-pull",
    ];

    /// <summary>All findings; those a coach accepted carry the note and come last.</summary>
    /// <param name="plan">The plan.</param>
    /// <param name="accepted">What the coach accepted.</param>
    public static ImmutableArray<Finding> Run(AuditedPlan plan, ImmutableArray<AcceptedFinding> accepted)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return
        [
            .. Checks
                .SelectMany(check => check(plan))
                .Select(f =>
                    plan.IsFresh && f.Severity == Severity.Warning && BeyondTheEngine.Contains(f.Code)
                        ? f with
                        {
                            Severity = Severity.Hint,
                        }
                        : f
                )
                .Select(f => accepted.LastOrDefault(a => a.Key == f.Key) is { } known ? f with { Accepted = known.Note } : f)
                .OrderBy(f => f.Accepted is not null)
                .ThenByDescending(f => f.Severity)
                .ThenBy(f => Place(plan, f.Line))
                .ThenBy(f => f.Key, StringComparer.Ordinal),
        ];
    }

    /// <summary>The verdict on a plan.</summary>
    public static Reason Verdict(ImmutableArray<Finding> findings)
    {
        var open = findings.Where(f => f.Accepted is null).ToList();
        var (serious, warnings) = (open.Count(f => f.Severity == Severity.Serious), open.Count(f => f.Severity == Severity.Warning));
        return (serious, warnings) switch
        {
            (> 0, _) => Reason.Of("verdict.serious", ("serious", serious), ("warnings", warnings)),
            (_, > 3) => Reason.Of("verdict.workable", ("warnings", warnings)),
            (_, > 0) => Reason.Of("verdict.good", ("warnings", warnings)),
            _ => Reason.Of(open.Count > 0 ? "verdict.hints" : "verdict.sound"),
        };
    }

    /// <summary>Place of a line in the plan; what is about a day or the week stands before all lines.</summary>
    private static int Place(AuditedPlan plan, LineKey? line) =>
        line is { } key ? plan.Exercises.TakeWhile(e => e.Line != key).Count() : -1;
}
