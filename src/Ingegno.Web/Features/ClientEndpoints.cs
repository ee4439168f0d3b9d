using System.Collections.Immutable;
using System.Security.Claims;
using FluentValidation;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Progress.FollowUp;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Web.Features;

/// <summary>A client in the roster.</summary>
/// <param name="Id">Key.</param>
/// <param name="Revision">Revision.</param>
/// <param name="Client">The client.</param>
/// <param name="Places">Places in brief.</param>
/// <param name="Plans">How many plans there are.</param>
/// <param name="PlanId">Newest plan; null when there is none.</param>
/// <param name="LastTrained">Last logged day.</param>
/// <param name="Attention">Why the client needs the coach, the most urgent first.</param>
/// <param name="Sent">When a plan was sent last; null when none was, or when its link has ended.</param>
/// <param name="Opened">When the client opened the link first.</param>
/// <param name="OnPhone">Day of the last session from the phone.</param>
public sealed record RosterRow(
    long Id,
    int Revision,
    ClientRecord Client,
    IReadOnlyList<PlaceInBrief> Places,
    int Plans,
    long? PlanId,
    DateOnly? LastTrained,
    ImmutableArray<AttentionNote> Attention,
    DateTimeOffset? Sent = null,
    DateTimeOffset? Opened = null,
    DateOnly? OnPhone = null
);

/// <summary>A place in the roster.</summary>
public sealed record PlaceInBrief(long Id, string Name, int Items);

public sealed class ClientProfileValidator : AbstractValidator<ClientProfile>
{
    public ClientProfileValidator()
    {
        RuleFor(c => c.BodyMassKg).InclusiveBetween(25, 300).WithMessage("Body mass lies between 25 and 300 kg.");
        RuleFor(c => c.StatureCm).InclusiveBetween(100, 250).WithMessage("Stature lies between 100 and 250 cm.");
        RuleFor(c => c.AgeYears).InclusiveBetween(10, 100).WithMessage("Age lies between 10 and 100 years.");
        RuleFor(c => c.DaysPerWeek).InclusiveBetween(1, 7).WithMessage("A week has 1 to 7 training days.");
        RuleFor(c => c.MinutesPerSession).InclusiveBetween(10, 240).WithMessage("A session takes 10 to 240 minutes.");
        RuleFor(c => c.KnownLifts.Length).LessThanOrEqualTo(20).WithMessage("At most 20 known lifts.");
        RuleFor(c => c.SoreJoints.Length).LessThanOrEqualTo(8).WithMessage("At most 8 sore joints.");
        RuleForEach(c => c.SoreJoints)
            .Must(j => j.Provoked.IsDefault || j.Provoked.Length <= 10)
            .WithMessage("At most 10 answers to what brings a joint's complaint on.");
        RuleFor(c => c.Allows.Length).LessThanOrEqualTo(100).WithMessage("At most 100 exercises switched on.");
        RuleFor(c => c.Screening.Length).LessThanOrEqualTo(40).WithMessage("At most 40 findings of the screening.");
        RuleFor(c => c.Clearance!.By)
            .Must(by => by is { Length: <= 120 } && !string.IsNullOrWhiteSpace(by))
            .WithMessage("Say who gave the clearance, in at most 120 characters.")
            .When(c => c.Clearance is not null);
        RuleFor(c => c.Clearance!.On)
            .Must(on => on <= DateOnly.FromDateTime(TimeProvider.System.GetUtcNow().Date).AddDays(1))
            .WithMessage("A clearance lies in the past: enter the day on which it was given.")
            .When(c => c.Clearance is not null);
        RuleFor(c => c.Clearance!.Limits)
            .Must(l => l is { Length: <= 600 })
            .WithMessage("The limits of a clearance take at most 600 characters.")
            .When(c => c.Clearance is not null);
        RuleFor(c => c.Clearance!.Until)
            .Must((c, until) => until is null || until >= c.Clearance!.On)
            .WithMessage("A clearance ends on or after the day on which it was given.")
            .When(c => c.Clearance is not null);
        RuleFor(c => c.Approach).MaximumLength(60).WithMessage("An approach has a key of at most 60 characters.");
        RuleFor(c => c.Refuses.Length).LessThanOrEqualTo(500).WithMessage("At most 500 refused exercises.");
        RuleFor(c => c.Learned.Length).LessThanOrEqualTo(500).WithMessage("At most 500 learnt lifts.");
        RuleFor(c => c.Costs.Length).LessThanOrEqualTo(50).WithMessage("At most 50 learnt costs.");
        RuleForEach(c => c.Costs)
            .ChildRules(cost =>
            {
                cost.RuleFor(c => c.Of)
                    .NotEmpty()
                    .MaximumLength(60)
                    .WithMessage("A learnt cost says what it is of, in at most 60 characters.");
                cost.RuleFor(c => c.Factor)
                    .InclusiveBetween(LearnedCost.Least, LearnedCost.Greatest)
                    .WithMessage("A learnt cost lies between 0.3 and 2 times the usual one.");
            });
        RuleForEach(c => c.Learned)
            .ChildRules(lift =>
            {
                lift.RuleFor(l => l.OneRepMaxKg)
                    .GreaterThan(0)
                    .LessThanOrEqualTo(1000)
                    .WithMessage("A learnt lift lies above 0 and at most at 1,000 kg.");
                lift.RuleFor(l => l.Spread).GreaterThan(0).LessThanOrEqualTo(1).WithMessage("A spread lies above 0 and at most at 1.");
                lift.RuleFor(l => l.RestsOn)
                    .Must(r => r is not null && r["text"] is not string { Length: > 200 })
                    .WithMessage("What a lift rests on takes at most 200 characters.");
            });
        RuleForEach(c => c.KnownLifts)
            .ChildRules(lift =>
            {
                lift.RuleFor(l => l.LoadKg)
                    .GreaterThan(0)
                    .LessThanOrEqualTo(500)
                    .WithMessage("A known lift lies above 0 and at most at 500 kg.");
                lift.RuleFor(l => l.Reps)
                    .InclusiveBetween(1, 20)
                    .WithMessage("A known lift has 1 to 20 reps; more say little about strength.");
                lift.RuleFor(l => l.Anchor)
                    .Must(a => DomainRules.Shipped.Strength.Find(a) is not null)
                    .WithMessage("That lift is not one of the anchor lifts.");
            });
    }
}

public sealed class ClientRecordValidator : AbstractValidator<ClientRecord>
{
    public ClientRecordValidator()
    {
        RuleFor(c => c.Name).Must(n => !string.IsNullOrWhiteSpace(n)).WithMessage("The client needs a name.");
        RuleFor(c => c.Name).OneLine("A name");
        RuleFor(c => c.Name).MaximumLength(80).WithMessage("A name takes at most 80 characters.");
        RuleFor(c => c.Note).MaximumLength(2000).WithMessage("A note takes at most 2,000 characters.");
        RuleFor(c => c.Profile).NotNull().SetValidator(new ClientProfileValidator());
    }
}

public sealed class ClientChangeValidator : AbstractValidator<Change<ClientRecord>>
{
    public ClientChangeValidator() => RuleFor(c => c.Value).SetValidator(new ClientRecordValidator());
}

/// <summary>An intake as a coach jots it down.</summary>
public sealed record IntakeText(string Text);

/// <summary>The roster and its clients.</summary>
public static class ClientEndpoints
{
    public static void MapClients(this IEndpointRouteBuilder api)
    {
        var clients = api.MapGroup("/clients").WithTags("clients");
        clients.MapGet("/", List);
        clients.MapPost("/", Add).Validate<ClientRecord>().ProducesProblem(StatusCodes.Status400BadRequest);
        clients.MapStored<ClientStore, ClientRecord>(string.Empty, "client", erases: false);
        clients.MapClientKeeping();
        clients.MapClientTable();
        api.MapPost("/intake", ReadIntake).WithTags("clients");
    }

    /// <summary>Reads an intake in a sentence; nothing is kept before a coach has looked at each field.</summary>
    private static Ok<Intake> ReadIntake(IntakeText text) => TypedResults.Ok(IntakeSentence.Read(text.Text));

    private static Ok<IReadOnlyList<RosterRow>> List(
        ClaimsPrincipal user,
        ClientStore clients,
        PlaceStore places,
        PlanStore plans,
        ActivityStore pulses,
        BlockStore blocks,
        GymWeekStore weeks,
        ClientLog log,
        ClientAppOverview desk,
        AlertStore alerts
    )
    {
        var coach = user.CoachId();
        log.RenewDuePulses(coach);
        var phones = desk.Of(coach);
        var planned = plans.List(coach).ToLookup(p => p.ClientId);
        var here = places.AtAGlance(coach);
        var pulse = pulses.All(coach);
        var ends = blocks.Ends(coach);
        var alarms = alerts.Open(coach).ToLookup(a => a.ClientId, a => a.Alert);
        return TypedResults.Ok<IReadOnlyList<RosterRow>>([
            .. clients
                .List(coach)
                .Select(Row)
                .OrderBy(r => Attention.Urgency(r.Attention))
                .ThenBy(r => r.Client.Name, StringComparer.OrdinalIgnoreCase),
        ]);

        RosterRow Row(Saved<ClientRecord> client)
        {
            var own = planned[client.Id].ToList();
            var newest = own.FirstOrDefault(); // The list begins with the one worked on last.
            var phone = phones.GetValueOrDefault(client.Id);
            var notes = newest is null
                ? []
                : Attention.Notes(
                    pulse.GetValueOrDefault(newest.Id),
                    newest.Version,
                    DateOnly.FromDateTime(newest.UpdatedAt.Date),
                    client.Value.Profile.DaysPerWeek ?? 3,
                    ends.TryGetValue(newest.Id, out var end) ? end : null,
                    log.Today,
                    DriftOf(client, newest),
                    phone?.News
                );
            return new RosterRow(
                client.Id,
                client.Revision,
                client.Value,
                [.. here[client.Id].Select(p => new PlaceInBrief(p.Id, p.Name, (int)p.Items))],
                own.Count,
                newest?.Id,
                newest is null ? null : pulse.GetValueOrDefault(newest.Id)?.LastTrained,
                [
                    .. Attention
                        .Alerts(alarms[client.Id])
                        .Concat(Attention.Clearance(client.Value.Profile, log.Today))
                        .Concat(notes)
                        .OrderBy(n => n.Kind),
                ],
                phone?.Sent,
                phone?.Opened,
                phone?.Trained
            );
        }

        // Plans are large: one is read only where something that it rests on was written after it. Strength is left to its workbench.
        ImmutableArray<Drift> DriftOf(Saved<ClientRecord> client, PlanSummary newest)
        {
            var kit = newest.PlaceId is { } place ? places.Find(coach, place) : null;
            var week = newest.GymWeekId is { } text ? weeks.Find(coach, text) : null;
            var written = new[] { client.UpdatedAt, kit?.UpdatedAt, week?.UpdatedAt }.Max();
            return written > newest.UpdatedAt && plans.Find(coach, newest.Id) is { } plan
                ? PlanDrift.Compare(plan.Value.Document.Request, client.Value.Profile, kit?.Value, week?.Value.Text)
                : [];
        }
    }

    private static Results<Created<Saved<ClientRecord>>, ProblemHttpResult> Add(
        ClientRecord client,
        ClaimsPrincipal user,
        ClientStore clients,
        IdempotencyKey once
    ) =>
        clients.Add(user.CoachId(), client, once.Value) is { } added
            ? TypedResults.Created($"/api/v1/clients/{added.Id}", added)
            : Problems.NotFound("client");
}
