using FluentValidation;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Web.Features;

/// <summary>Text to read as shorthand.</summary>
public sealed record ShorthandText(string Text);

/// <summary>What was typed into the cell of a home line.</summary>
/// <param name="Text">Shorthand, whole or in part.</param>
/// <param name="Line">Line of the gym text.</param>
/// <param name="ExerciseId">Home exercise of the cell.</param>
public sealed record DoseText(string Text, LineKey Line, string ExerciseId);

public sealed class DoseTextValidator : AbstractValidator<DoseText>
{
    public DoseTextValidator()
    {
        RuleFor(d => d.Text)
            .NotNull()
            .MaximumLength(ShorthandLimits.LineLength)
            .WithMessage($"A dose takes at most {ShorthandLimits.LineLength} characters.");
        RuleFor(d => d.ExerciseId).NotNull();
    }
}

public sealed class GymWeekValidator : AbstractValidator<GymWeek>
{
    public GymWeekValidator()
    {
        RuleFor(d => d.Name).Must(n => !string.IsNullOrWhiteSpace(n)).WithMessage("The week needs a name.");
        RuleFor(d => d.Name).OneLine("The name of a week");
        RuleFor(d => d.Name).MaximumLength(60).WithMessage("The name of a week takes at most 60 characters.");
        RuleFor(d => d.Text)
            .NotNull()
            .MaximumLength(ShorthandLimits.TextLength)
            .WithMessage($"A gym week takes at most {ShorthandLimits.TextLength:N0} characters.");
    }
}

public sealed class GymWeekChangeValidator : AbstractValidator<Change<GymWeek>>
{
    public GymWeekChangeValidator() => RuleFor(c => c.Value).SetValidator(new GymWeekValidator());
}

/// <summary>Gym weeks and their shorthand.</summary>
public static class GymWeekEndpoints
{
    public static void MapGymWeeks(this IEndpointRouteBuilder api)
    {
        var weeks = api.MapGroup("").WithTags("gym weeks");
        weeks.MapPost("/shorthand", Read);
        weeks.MapPost("/shorthand/dose", ReadDose).Validate<DoseText>();
        weeks.MapOfClient<GymWeekStore, GymWeek>("gym-weeks", "gym week");
    }

    private static Ok<ShorthandResult> Read(ShorthandText shorthand, ShorthandParser parser) =>
        TypedResults.Ok(parser.Parse(shorthand.Text ?? string.Empty));

    /// <summary>Reads what a coach typed into the cell of a home line, whole or in part.</summary>
    private static Results<Ok<ReadDose>, ProblemHttpResult> ReadDose(DoseText dose, DomainRules domain) =>
        domain.Catalogue.Find(dose.ExerciseId) is { } exercise
            ? TypedResults.Ok(new DoseShorthand(domain.Names).Read(dose.Text, dose.Line, exercise.Id, exercise.Name))
            : Problems.NotFound("exercise");
}
