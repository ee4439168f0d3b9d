using System.Collections.Immutable;
using FluentValidation;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Ingegno.Web.Features;

public sealed class RebuildRequestValidator : AbstractValidator<RebuildRequest>
{
    public RebuildRequestValidator()
    {
        RuleFor(r => r.Client).NotNull().SetValidator(new ClientProfileValidator());
        RuleFor(r => r.Kit).NotNull().SetValidator(new PlaceKitValidator());
        RuleFor(r => r.GymLines.Length).LessThanOrEqualTo(Limits.GymLines).WithMessage($"At most {Limits.GymLines} gym lines at once.");
        RuleFor(r => r.GymLines).Must(l => l.All(line => line is not null)).WithMessage("A gym line is missing.");
        RuleFor(r => r.Keyed.Length)
            .LessThanOrEqualTo(Limits.GymLines + LineKeys.RememberedGone)
            .WithMessage("More lines of before than are remembered.");
        RuleForEach(r => r.Keyed)
            .Must(k => k is { ExerciseId: not null, Day: not null, Text: { Length: <= 2 * ShorthandLimits.LineLength } })
            .WithMessage("A line of before names its exercise, its day and its text.");
        RuleFor(r => r.Choices.Length).LessThanOrEqualTo(Limits.GymLines).WithMessage("More choices than lines.");
        RuleFor(r => r.Edits.Length).LessThanOrEqualTo(2 * Limits.GymLines).WithMessage("More edits than exercises.");
        RuleFor(r => r.Before.Length).LessThanOrEqualTo(2 * Limits.GymLines).WithMessage("More earlier choices than lines.");
        RuleForEach(r => r.Before)
            .Must(b => b is { GymExerciseId: not null, CandidateId: not null })
            .WithMessage("An earlier choice names a gym exercise and what stood for it.");
        RuleFor(r => r.Approach).MaximumLength(60).WithMessage("An approach has a key of at most 60 characters.");
        RuleFor(r => r.Phase).MaximumLength(60).WithMessage("A phase has a name of at most 60 characters.");
        RuleFor(r => r.DayApproaches.Length).LessThanOrEqualTo(Limits.GymLines).WithMessage("More approaches than days.");
        RuleForEach(r => r.DayApproaches)
            .Must(a => a is { Day: not null, Approach: not null })
            .WithMessage("A day with an approach of its own names both.");
        RuleFor(r => r.Accepted.Length).LessThanOrEqualTo(2 * Limits.GymLines).WithMessage("More accepted findings than there can be.");
        RuleForEach(r => r.Accepted)
            .Must(a => a is { Key: not null, Note.Length: <= 300 })
            .WithMessage("An accepted finding has a key, and a note of at most 300 characters.");
        RuleForEach(r => r.Edits).SetValidator(new HomeEditValidator());
        RuleFor(r => r.Stands)
            .Must(s => s is null || IsWhole(s))
            .WithMessage($"What stands names figures, lines in turn and lines left out, of at most {Limits.GymLines} lines.");
        RuleForEach(r => r.Stands!.Figures).SetValidator(new HomeEditValidator()).When(r => r.Stands is { Figures.IsDefault: false });
    }

    private static bool IsWhole(StandingWeek stands) =>
        stands
            is {
                Figures: { IsDefault: false, Length: <= 2 * Limits.GymLines },
                InTurn: { IsDefault: false, Length: <= Limits.GymLines } inTurn,
                LeftOut: { IsDefault: false, Length: <= Limits.GymLines }
            }
        && inTurn.All(group => group is { IsDefault: false, Length: <= Limits.GymLines });
}

public sealed class HomeEditValidator : AbstractValidator<HomeEdit>
{
    public HomeEditValidator()
    {
        RuleFor(e => e.Sets).InclusiveBetween(1, ShorthandLimits.Sets).WithMessage($"Sets lie between 1 and {ShorthandLimits.Sets}.");
        RuleFor(e => e.SetsBefore).InclusiveBetween(1, ShorthandLimits.Sets).WithMessage($"Sets lie between 1 and {ShorthandLimits.Sets}.");
        RuleFor(e => e.Target).Must(Runs).WithMessage("The reps must run from a lower to a higher figure, from 1 up.");
        RuleFor(e => e.Zone).Must(Runs).WithMessage("The zone must run from a lower to a higher figure, from 1 up.");
        RuleFor(e => e.RestSeconds)
            .InclusiveBetween(0, ShorthandLimits.RestSeconds)
            .WithMessage($"A rest lies between 0 and {ShorthandLimits.RestSeconds} s.");
        RuleFor(e => e.SetupId).MaximumLength(100).WithMessage("A set-up has a key of at most 100 characters.");
        RuleFor(e => e.Spots).MaximumLength(1000).WithMessage("What plays the roles of a set-up is named in at most 1,000 characters.");
        RuleFor(e => e.Rir).InclusiveBetween(0, 10).WithMessage("RIR runs from 0 to 10.");
        RuleFor(e => e.ExternalKg)
            .InclusiveBetween(0, ShorthandLimits.LoadKg)
            .WithMessage($"A load lies between 0 and {ShorthandLimits.LoadKg} kg.");
    }

    private static bool Runs(SetTarget? target) =>
        target is null || target.IsOpen || (target.Min >= 1 && target.Max >= target.Min && target.Max <= ShorthandLimits.HoldSeconds);
}

/// <summary>Lines of a week that are wanted whole.</summary>
/// <param name="Request">What the week is built from.</param>
/// <param name="Lines">Keys of the lines.</param>
public sealed record LinesToOpen(RebuildRequest Request, ImmutableArray<LineKey> Lines);

public sealed class LinesToOpenValidator : AbstractValidator<LinesToOpen>
{
    public LinesToOpenValidator()
    {
        RuleFor(o => o.Request).NotNull().SetValidator(new RebuildRequestValidator());
        RuleFor(o => o.Lines)
            .Must(l => l is { IsDefaultOrEmpty: false, Length: <= Limits.GymLines })
            .WithMessage("Name at least one line, and not more than a week has.");
    }
}

/// <summary>The stateless heart: a self-contained document in, the home plan out.</summary>
public static class RebuildEndpoints
{
    public static void MapRebuild(this IEndpointRouteBuilder api)
    {
        var rebuild = api.MapGroup("").WithTags("rebuild");
        rebuild.MapPost("/rebuild", Rebuild).Validate<RebuildRequest>().ProducesProblem(StatusCodes.Status400BadRequest);
        rebuild.MapPost("/rebuild/brief", Brief).Validate<RebuildRequest>().ProducesProblem(StatusCodes.Status400BadRequest);
        rebuild.MapPost("/rebuild/lines", Open).Validate<LinesToOpen>().ProducesProblem(StatusCodes.Status400BadRequest);
        rebuild.MapPost("/rebuild/candidates", Candidates).Validate<LinesToOpen>().ProducesProblem(StatusCodes.Status400BadRequest);
    }

    /// <summary>Rebuilds a gym week for a place, with all that is known of every line. Nothing is stored; the same document gives the same plan.</summary>
    private static Ok<RebuildResult> Rebuild(RebuildRequest request, RebuildEngine engine) => TypedResults.Ok(engine.Rebuild(request));

    /// <summary>The same as a sheet shows it: about a twentieth of the size.</summary>
    /// <param name="request">What it is built from.</param>
    /// <param name="engine">The engine with the rules of the practice.</param>
    /// <param name="open">Keys of lines that are opened along with it.</param>
    private static Ok<RebuiltWeek> Brief(RebuildRequest request, RebuildEngine engine, [FromQuery] int[]? open) =>
        TypedResults.Ok(RebuiltWeek.From(engine.Rebuild(request), [.. (open ?? []).Select(key => new LineKey(key))], []));

    /// <summary>What is known of some lines of the week that a request gives: what is taken and why, candidates, what was ruled out.</summary>
    private static Ok<ImmutableArray<OpenedLine>> Open(LinesToOpen asked, RebuildEngine engine) =>
        TypedResults.Ok(OpenedLine.Of(engine.Rebuild(asked.Request).Plan, asked.Lines));

    /// <summary>The candidates of lines, each with its set-up, dose, losses and the reasons of its match: for setting two side by side.</summary>
    private static Ok<ImmutableArray<CandidatesOfLine>> Candidates(LinesToOpen asked, RebuildEngine engine) =>
        TypedResults.Ok<ImmutableArray<CandidatesOfLine>>([
            .. from line in engine.Rebuild(asked.Request).Plan.Lines
            where asked.Lines.Contains(line.Gym.Key)
            select new CandidatesOfLine(line.Gym.Key, line.Candidates),
        ]);
}

/// <summary>The candidates of a line.</summary>
/// <param name="Line">Its key.</param>
/// <param name="Candidates">All of them, best first.</param>
public sealed record CandidatesOfLine(LineKey Line, ImmutableArray<Candidate> Candidates);
