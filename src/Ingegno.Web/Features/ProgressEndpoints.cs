using System.Collections.Immutable;
using System.Security.Claims;
using FluentValidation;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;
using Ingegno.Core.Progress.FollowUp;
using Ingegno.Core.Progress.Ladders;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Rebuilding.Dosing;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Web.Features;

/// <summary>Asks for the ladder of an exercise's family.</summary>
/// <param name="ExerciseId">The exercise that is done.</param>
/// <param name="Client">The client.</param>
/// <param name="Kit">The kit of the place.</param>
/// <param name="SystemKg">System load at which it is done, kg.</param>
/// <param name="Technique">Technique step with which it is done.</param>
/// <param name="WantedReps">Reps wanted on the next rung.</param>
/// <param name="GymLines">The gym week in shorthand: what it says of the client's strength counts.</param>
public sealed record LadderQuestion(
    string ExerciseId,
    ClientProfile Client,
    PlaceKit Kit,
    double? SystemKg = null,
    string? Technique = null,
    int WantedReps = 8,
    ImmutableArray<string>? GymLines = null
);

/// <summary>A ladder, or why there is none.</summary>
public sealed record LadderAnswer(FamilyLadder? Ladder, Reason? Why);

/// <summary>Asks for the road ahead of a line.</summary>
/// <param name="Client">The client.</param>
/// <param name="Kit">The kit of the place.</param>
/// <param name="SetupId">Set-up of the exercise.</param>
/// <param name="Spots">What plays its roles, as the plan says it.</param>
/// <param name="SystemKg">System load, kg; null where load is not the measure.</param>
/// <param name="Figures">Exercise and dose.</param>
/// <param name="GymLines">The gym week in shorthand: what it says of the client's strength counts.</param>
public sealed record RoadQuestion(
    ClientProfile Client,
    PlaceKit Kit,
    string SetupId,
    string Spots,
    double? SystemKg,
    HomeEdit Figures,
    ImmutableArray<string>? GymLines = null
);

/// <summary>Asks for the reps that earn a jump in load.</summary>
/// <param name="FromKg">System load now, kg.</param>
/// <param name="ToKg">System load wanted, kg.</param>
/// <param name="WantedReps">Reps wanted there.</param>
/// <param name="Curve">Kind of lift.</param>
/// <param name="Formula">A published formula in its place; null for the curve.</param>
public sealed record JumpQuestion(double FromKg, double ToKg, int WantedReps, CurveKind Curve = CurveKind.Middle, string? Formula = null);

/// <summary>Asks for the way back to the gym.</summary>
/// <param name="Text">The gym week as it was, in shorthand.</param>
/// <param name="WeeksAway">Weeks since the last gym session.</param>
public sealed record ReturnQuestion(string Text, int WeeksAway);

/// <summary>What logs teach of a client.</summary>
public sealed record ClientStrengthNow(ImmutableArray<LearnedLift> Lifts, ImmutableArray<LearnedCost> Costs);

public sealed class LadderQuestionValidator : AbstractValidator<LadderQuestion>
{
    public LadderQuestionValidator()
    {
        RuleFor(q => q.Client).NotNull().SetValidator(new ClientProfileValidator());
        RuleFor(q => q.Kit).NotNull().SetValidator(new PlaceKitValidator());
        RuleFor(q => q.SystemKg).InclusiveBetween(0, 1000).WithMessage("A system load lies between 0 and 1,000 kg.");
        RuleFor(q => q.WantedReps).InclusiveBetween(1, 30).WithMessage("Wanted reps lie between 1 and 30.");
        RuleFor(q => q.GymLines)
            .Must(l => l is not { IsDefault: false } lines || lines.Sum(t => (t?.Length ?? 0) + 1) <= ShorthandLimits.TextLength)
            .WithMessage("The gym week is too long.");
    }
}

public sealed class RoadQuestionValidator : AbstractValidator<RoadQuestion>
{
    public RoadQuestionValidator()
    {
        RuleFor(q => q.Client).NotNull().SetValidator(new ClientProfileValidator());
        RuleFor(q => q.Kit).NotNull().SetValidator(new PlaceKitValidator());
        RuleFor(q => q.SetupId).NotNull().MaximumLength(100);
        RuleFor(q => q.Spots).NotNull().MaximumLength(1000);
        RuleFor(q => q.SystemKg).InclusiveBetween(0, 2000).WithMessage("A system load lies between 0 and 2,000 kg.");
        RuleFor(q => q.Figures).NotNull();
        RuleFor(q => q.Figures)
            .Must(f =>
                f
                    is {
                        Sets: >= 1 and <= 20,
                        Rir: >= 0 and <= 10,
                        RestSeconds: >= 0 and <= 900,
                        Target: { Min: >= 0, Max: <= 600 },
                        Tempo: not null,
                        ExternalKg: null or (>= 0 and <= 1000)
                    }
            )
            .When(q => q.Figures is not null)
            .WithMessage("Sets, target, tempo, rest and reserve of the exercise are needed, each as it can be trained.");
        RuleFor(q => q.GymLines)
            .Must(l => l is not { IsDefault: false } lines || lines.Sum(t => (t?.Length ?? 0) + 1) <= ShorthandLimits.TextLength)
            .WithMessage("The gym week is too long.");
    }
}

public sealed class JumpQuestionValidator : AbstractValidator<JumpQuestion>
{
    public JumpQuestionValidator()
    {
        RuleFor(q => q.FromKg).GreaterThan(0).LessThanOrEqualTo(1000).WithMessage("The load of now lies above 0 and at most at 1,000 kg.");
        RuleFor(q => q.ToKg).GreaterThan(0).LessThanOrEqualTo(1000).WithMessage("The wanted load lies above 0 and at most at 1,000 kg.");
        RuleFor(q => q.WantedReps).InclusiveBetween(1, 30).WithMessage("Wanted reps lie between 1 and 30.");
        RuleFor(q => q.Formula).Must(f => f is null || RepMaxFormula.Find(f) is not null).WithMessage("There is no formula of that key.");
    }
}

public sealed class ReturnQuestionValidator : AbstractValidator<ReturnQuestion>
{
    public ReturnQuestionValidator()
    {
        RuleFor(q => q.Text).NotNull().MaximumLength(ShorthandLimits.TextLength).WithMessage("The gym week is too long.");
        RuleFor(q => q.WeeksAway).InclusiveBetween(0, 520).WithMessage("Weeks away lie between 0 and 520.");
    }
}

/// <summary>Strength, trends, ladders, jumps, and the way back to the gym.</summary>
public static class ProgressEndpoints
{
    /// <summary>Weeks that trends show.</summary>
    private const int WeeksShown = 26;

    public static void MapProgress(this IEndpointRouteBuilder api)
    {
        var progress = api.MapGroup("").WithTags("progress");
        progress.MapGet("/rep-max-formulas", () => TypedResults.Ok(RepMaxFormula.All));
        progress.MapPost("/ladder", Ladder).Validate<LadderQuestion>();
        progress.MapPost("/road", Ahead).Validate<RoadQuestion>();
        progress.MapPost("/jump", JumpBetween).Validate<JumpQuestion>();
        progress
            .MapPost("/clients/{clientId:long}/back-to-gym", Back)
            .Validate<ReturnQuestion>()
            .ProducesProblem(StatusCodes.Status404NotFound);
        progress.MapGet("/clients/{clientId:long}/strength", Strength).ProducesProblem(StatusCodes.Status404NotFound);
        progress.MapGet("/clients/{clientId:long}/trends", OfClient).ProducesProblem(StatusCodes.Status400BadRequest);
    }

    private static Ok<LadderAnswer> Ladder(LadderQuestion asked, LadderBuilder ladders, ShorthandParser parser, DomainRules domain) =>
        TypedResults.Ok(
            ladders.Of(
                asked.ExerciseId,
                WithEvidence(asked.Client, asked.GymLines, parser, domain),
                asked.Kit,
                asked.SystemKg,
                asked.Technique,
                asked.WantedReps
            )
                is { } ladder
                ? new LadderAnswer(ladder, null)
                : new LadderAnswer(null, Reason.Of("ladder.none"))
        );

    private static Ok<Road> Ahead(RoadQuestion asked, RoadMap roads, ShorthandParser parser, DomainRules domain) =>
        TypedResults.Ok(
            roads.Ahead(
                asked.Figures,
                asked.SetupId,
                asked.Spots,
                asked.SystemKg,
                WithEvidence(asked.Client, asked.GymLines, parser, domain),
                asked.Kit
            )
        );

    private static ClientProfile WithEvidence(
        ClientProfile client,
        ImmutableArray<string>? gymLines,
        ShorthandParser parser,
        DomainRules domain
    ) =>
        gymLines is { IsDefaultOrEmpty: false } lines
            ? LineEvidence.Join(parser.Parse(string.Join('\n', lines)).Lines, client, domain).Client
            : client;

    private static Ok<Jump> JumpBetween(JumpQuestion asked) =>
        TypedResults.Ok(Jump.Between(asked.FromKg, asked.ToKg, asked.WantedReps, asked.Curve, RepMaxFormula.Find(asked.Formula)));

    private static Results<Ok<ClientStrengthNow>, ProblemHttpResult> Strength(
        long clientId,
        ClaimsPrincipal user,
        ClientStore clients,
        ClientLog log
    ) =>
        clients.Find(user.CoachId(), clientId) is { } client
            ? TypedResults.Ok(Now(log.Taught(user.CoachId(), clientId, client.Value.Profile)))
            : Problems.NotFound("client");

    private static ClientStrengthNow Now(ClientProfile taught) => new(taught.Learned, taught.Costs);

    private static Results<Ok<ClientTrends>, ProblemHttpResult> OfClient(
        long clientId,
        string? formula,
        ClaimsPrincipal user,
        ClientStore clients,
        LogStore logs,
        Trends trends,
        ClientLog log
    )
    {
        if (clients.Find(user.CoachId(), clientId) is not { } client)
        {
            return Problems.NotFound("client");
        }

        if (formula is not null && RepMaxFormula.Find(formula) is null)
        {
            return Problems.Invalid("formula", $"There is no formula \"{formula}\".");
        }

        return TypedResults.Ok(
            trends.Of(
                client.Value.Profile,
                Sessions(user.CoachId(), clientId, logs, log.Today.AddDays(-7 * WeeksShown)),
                log.Today,
                RepMaxFormula.Find(formula)
            )
        );
    }

    private static Results<Ok<GymReturn>, ProblemHttpResult> Back(
        long clientId,
        ReturnQuestion asked,
        ClaimsPrincipal user,
        ClientStore clients,
        LogStore logs,
        Trends trends,
        DomainRules domain,
        ClientLog log
    )
    {
        if (clients.Find(user.CoachId(), clientId) is not { } client)
        {
            return Problems.NotFound("client");
        }

        var since = log.Today.AddDays(-7 * Math.Clamp(asked.WeeksAway, 1, WeeksShown));
        var seen = trends.Of(client.Value.Profile, Sessions(user.CoachId(), clientId, logs, since), log.Today);
        var change = seen
            .Lifts.GroupBy(l => domain.Catalogue.Find(l.ExerciseId)?.Strength?.Anchor ?? string.Empty)
            .ToImmutableDictionary(g => g.Key, g => g.Average(l => l.Change));
        return TypedResults.Ok(
            new BackToGym(domain).Plan(
                asked.Text,
                new TimeAtHome(asked.WeeksAway, seen.Adherence, change),
                log.Taught(user.CoachId(), clientId, client.Value.Profile)
            )
        );
    }

    private static ImmutableArray<SessionBesidePlan> Sessions(long coach, long clientId, LogStore logs, DateOnly since) =>
        [
            .. logs.OfClient(coach, clientId, since)
                .Select(s => new SessionBesidePlan(
                    new LoggedSession(s.Value.PerformedOn, s.Value.Exercises, s.Value.Effort),
                    s.Value.PlannedSets
                )),
        ];
}
