using System.Collections.Immutable;
using FluentValidation;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Commands;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Web.Features;

/// <summary>Decisions of a coach about a plan.</summary>
/// <param name="Request">What the plan is built from.</param>
/// <param name="Standing">What stands in it, as the plan says.</param>
/// <param name="Decisions">What is decided, in order.</param>
public sealed record CommandsToHandle(RebuildRequest Request, ImmutableArray<StandingLine> Standing, ImmutableArray<PlanCommand> Decisions)
{
    /// <summary>Lines that the caller has: they come again only when they change.</summary>
    public ImmutableArray<SeenLine> Seen { get; init; } = [];

    /// <summary>Lines that are opened along with the answer.</summary>
    public ImmutableArray<LineKey> Open { get; init; } = [];
}

/// <summary>The plan once decisions are taken.</summary>
/// <param name="Request">What it is built from now.</param>
/// <param name="Result">The plan.</param>
/// <param name="Beside">Lines that no decision is about and that it changes all the same; a coach is told before it is kept.</param>
public sealed record DecidedPlan(RebuildRequest Request, RebuiltWeek Result, ImmutableArray<ChangedLine> Beside)
{
    /// <summary>Figures that a coach had typed and that did not go along to the exercise chosen in place of theirs.</summary>
    public ImmutableArray<DroppedFigures> Dropped { get; init; } = [];
}

public sealed class CommandsToHandleValidator : AbstractValidator<CommandsToHandle>
{
    public CommandsToHandleValidator()
    {
        RuleFor(d => d.Request).NotNull().SetValidator(new RebuildRequestValidator());
        RuleFor(d => d.Standing)
            .Must(s => s is { IsDefault: false, Length: <= Limits.GymLines })
            .WithMessage("More standing lines than a week has.");
        RuleForEach(d => d.Standing)
            .Must(s => s is { Day: not null, GymExerciseId: not null, CandidateId: not null })
            .WithMessage("A standing line names its day, its gym exercise and what stands for it.")
            .When(d => !d.Standing.IsDefault);
        RuleForEach(d => d.Standing).ChildRules(s => s.RuleForEach(l => l.Figures).SetValidator(new HomeEditValidator()));
        RuleFor(d => d.Decisions)
            .Must(d => d is { IsDefaultOrEmpty: false, Length: <= 2 * Limits.GymLines })
            .WithMessage("Name at least one decision, and not more than two for each line.");
        RuleFor(d => d.Seen)
            .Must(s => s is { IsDefault: false, Length: <= Limits.GymLines } && s.All(l => l is { Mark.Length: <= 32 }))
            .WithMessage("More lines seen than a week has, or one without its mark.");
        RuleFor(d => d.Open)
            .Must(o => o is { IsDefault: false, Length: <= Limits.GymLines })
            .WithMessage("More lines to open than a week has.");
        RuleForEach(d => d.Decisions).Must(IsWhole).WithMessage("A part of the decision is missing.").When(d => !d.Decisions.IsDefault);
    }

    private static bool IsWhole(PlanCommand decision) =>
        decision switch
        {
            ChooseCandidate { CandidateId: null }
            or LeaveOutExercise { ExerciseId: null }
            or FollowApproach { Approach: null }
            or AcceptFinding { Key: null }
            or AcceptFinding { Note: null } => false,
            RepeatFigures { Figures: null }
            or RepeatFigures { Lines.IsDefault: true }
            or TakeRemedy { Remedy: null }
            or SetFigures { Edits.IsDefault: true } => false,
            TakeRemedy { Remedy: var r } => !r.Edits.IsDefault && !r.Choices.IsDefault,
            KeepStanding { Lines.IsDefault: true } or AcceptProposals { Proposals.IsDefault: true } or TakeWeek { Cells.IsDefault: true } =>
                false,
            _ => decision is not null,
        };
}

/// <summary>The one verb of a plan: decide. Nothing is stored; saving what came of it is a version of the plan.</summary>
public static class CommandEndpoints
{
    public static void MapDecisions(this IEndpointRouteBuilder api) =>
        api.MapPost("/decisions", Decide).Validate<CommandsToHandle>().WithTags("rebuild").ProducesProblem(StatusCodes.Status400BadRequest);

    /// <summary>The plan that decisions give, with what it is built from.</summary>
    private static Results<Ok<DecidedPlan>, ProblemHttpResult> Decide(CommandsToHandle ask, RebuildEngine engine, DomainRules domain)
    {
        var request = PlanCommandHandler.Handle(ask.Request, ask.Standing, ask.Decisions);

        // What was decided may hold figures that the request did not: they keep to the same limits.
        if (new RebuildRequestValidator().Validate(request) is { IsValid: false } wrong)
        {
            return Problems.Invalid(wrong.Errors[0].PropertyName, wrong.Errors[0].ErrorMessage);
        }

        var result = engine.Rebuild(request);
        if (PlanCommandHandler.Astray(ask.Decisions, result.Keyed) is [_, ..] astray)
        {
            return Problems.Invalid(
                "decisions",
                $"The week has no line {string.Join(", ", astray)}. {Has(result.Keyed.Where(k => !k.Gone))}"
            );
        }

        var beside = PlanChanges.Beside(ask.Standing, ask.Decisions, result.Plan, NameOf);
        return TypedResults.Ok(
            new DecidedPlan(request with { Keyed = result.Keyed }, RebuiltWeek.From(result, ask.Open, ask.Seen), beside)
            {
                Dropped = PlanChanges.Dropped(ask.Request.Edits, ask.Decisions, result.Plan, NameOf),
            }
        );

        string NameOf(string id) => domain.Catalogue.Find(id)?.Name ?? id;
    }

    private static string Has(IEnumerable<KeyedLine> lines) =>
        lines.Any() ? $"It has: {string.Join(", ", lines.Select(k => $"{k.Key} ({k.Text})"))}." : "None of its lines could be read.";
}
