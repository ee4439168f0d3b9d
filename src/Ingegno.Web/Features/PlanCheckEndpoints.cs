using System.Collections.Immutable;
using FluentValidation;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;
using Ingegno.Core.Rebuilding.PlanChecks;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Web.Features;

/// <summary>A plan of anybody's to check.</summary>
/// <param name="Client">For whom it is meant.</param>
/// <param name="Text">The plan in shorthand.</param>
public sealed record PlanToCheck(ClientProfile Client, string Text);

/// <summary>What the check says.</summary>
/// <param name="Verdict">The verdict in a sentence.</param>
/// <param name="Findings">What was found, the gravest first.</param>
/// <param name="Errors">Lines that could not be read.</param>
/// <param name="Lines">Lines that were checked.</param>
/// <param name="Exercises">What each of them is, for its figure.</param>
/// <param name="OnlyFirst">The text holds several weeks, of which the first was checked; null for one week.</param>
public sealed record CheckedPlan(
    Reason Verdict,
    ImmutableArray<Finding> Findings,
    ImmutableArray<ShorthandError> Errors,
    int Lines,
    ImmutableArray<CheckedLine> Exercises,
    Reason? OnlyFirst
);

/// <summary>A line of a checked plan.</summary>
/// <param name="Line">Line of the text, 1 first.</param>
/// <param name="ExerciseId">Its exercise.</param>
/// <param name="JoinedLines">Further lines of the text that it was read from: they go when it is written anew.</param>
public sealed record CheckedLine(int Line, string ExerciseId, ImmutableArray<int> JoinedLines);

public sealed class PlanToCheckValidator : AbstractValidator<PlanToCheck>
{
    public PlanToCheckValidator()
    {
        RuleFor(p => p.Client).NotNull().SetValidator(new ClientProfileValidator());
        RuleFor(p => p.Text)
            .NotNull()
            .MaximumLength(ShorthandLimits.TextLength)
            .WithMessage($"A plan takes at most {ShorthandLimits.TextLength:N0} characters.");
    }
}

/// <summary>Is this home plan any good? Stateless, nothing is stored.</summary>
public static class PlanCheckEndpoints
{
    public static void MapPlanCheck(this IEndpointRouteBuilder api) =>
        api.MapPost("/plan-check", Check).Validate<PlanToCheck>().WithTags("plan check").ProducesProblem(StatusCodes.Status400BadRequest);

    private static Ok<CheckedPlan> Check(PlanToCheck plan, ShorthandParser parser, DomainRules domain)
    {
        var read = parser.Parse(plan.Text);
        var findings = PlanCheck.Run(AuditedPlan.From(plan.Client, read, domain), []);
        findings = read.InColumns ? [.. findings.Select(f => f with { Remedy = null })] : findings;
        var joined = read.Rows.GroupBy(r => r.Line).ToDictionary(g => g.Key, g => g.First().JoinedLines);
        var verdict = read.Lines.IsEmpty ? Reason.Of("verdict.nothing-read") : PlanCheck.Verdict(findings);
        return TypedResults.Ok(
            new CheckedPlan(
                verdict,
                findings,
                read.Errors,
                read.Lines.Length,
                [.. read.Lines.Select(l => new CheckedLine(l.Line, l.ExerciseId, joined.GetValueOrDefault(l.Line, [])))],
                read.OnlyFirst
            )
        );
    }
}
