using System.Collections.Immutable;
using System.Security.Claims;
using FluentValidation;
using Ingegno.Exchange;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;
using MimeKit;

namespace Ingegno.Web.Features;

/// <summary>A mail with a plan.</summary>
/// <param name="Address">Where it goes.</param>
/// <param name="Subject">Its subject.</param>
/// <param name="Text">Its text, with the link.</param>
/// <param name="Calendar">Whether the calendar is put in.</param>
public sealed record PlanMail(string Address, string Subject, string Text, bool Calendar = true);

/// <summary>The outbox.</summary>
/// <param name="Leaves">Whether mail leaves this machine; otherwise it can be read here and goes nowhere.</param>
/// <param name="Mails">Its mails, newest first.</param>
public sealed record Outbox(bool Leaves, ImmutableArray<MailInOutbox> Mails);

/// <summary>A mail as it is read in the outbox.</summary>
/// <param name="Id">Key.</param>
/// <param name="ClientId">Client it is for.</param>
/// <param name="Address">Where it goes.</param>
/// <param name="Subject">Its subject.</param>
/// <param name="Text">Its text.</param>
/// <param name="MadeAt">When it was written.</param>
/// <param name="SentAt">When it was handed over; null before.</param>
/// <param name="Tries">How often it was tried.</param>
/// <param name="Fault">Why the last try failed.</param>
public sealed record MailInOutbox(
    long Id,
    long ClientId,
    string Address,
    string Subject,
    string Text,
    DateTimeOffset MadeAt,
    DateTimeOffset? SentAt,
    int Tries,
    string? Fault
);

public sealed class PlanMailValidator : AbstractValidator<PlanMail>
{
    public PlanMailValidator()
    {
        RuleFor(m => m.Address)
            .Must(a => a is { Length: <= 200 } && MailboxAddress.TryParse(a, out _))
            .WithMessage("That is not an e-mail address.");
        RuleFor(m => m.Address).EmailAddress().WithMessage("That is not an e-mail address.");
        RuleFor(m => m.Address).OneLine("An address");
        RuleFor(m => m.Subject).NotEmpty().MaximumLength(120).WithMessage("A subject takes 1 to 120 characters.");
        RuleFor(m => m.Subject).OneLine("A subject");
        RuleFor(m => m.Text).NotEmpty().MaximumLength(5000).WithMessage("A mail takes 1 to 5,000 characters.");
    }
}

/// <summary>Mail to clients.</summary>
public static class OutboxEndpoints
{
    public static void MapOutbox(this IEndpointRouteBuilder api)
    {
        var mail = api.MapGroup("").WithTags("clients' phones");
        mail.MapPost("/clients/{id:long}/mail", Write).Validate<PlanMail>().ProducesProblem(StatusCodes.Status404NotFound);
        mail.MapGet("/outbox", List);
    }

    private static Results<Ok<MailInOutbox>, ProblemHttpResult> Write(
        long id,
        PlanMail mail,
        ClaimsPrincipal user,
        CoachStore coaches,
        MailWorker postman,
        ClientCalendars calendars,
        ClientLinkStore links,
        IdempotencyKey once
    )
    {
        var coach = coaches.Find(user.CoachId())!;
        var calendar =
            mail.Calendar && links.Last(coach.Id, id) is { } link && calendars.Of(coach.Id, id, link.Id) is { } of
                ? TrainingCalendar.Write(of)
                : null;
        return postman.Write(coach, id, mail.Address, mail.Subject, mail.Text, calendar, once.Value) is { } written
            ? TypedResults.Ok(Read(written))
            : Problems.NotFound("client");
    }

    private static Ok<Outbox> List(ClaimsPrincipal user, OutboxStore outbox, IMailCarrier carrier) =>
        TypedResults.Ok(new Outbox(carrier.Leaves, [.. outbox.List(user.CoachId()).Select(Read)]));

    private static MailInOutbox Read(OutboxMail mail)
    {
        using var source = new MemoryStream(mail.Message.ToArray());
        var text = mail.Message.IsEmpty ? string.Empty : MimeMessage.Load(source).TextBody ?? string.Empty;
        return new MailInOutbox(
            mail.Id,
            mail.ClientId ?? 0,
            mail.Address,
            mail.Subject,
            text,
            mail.MadeAt,
            mail.SentAt,
            mail.Tries,
            mail.Fault
        );
    }
}
