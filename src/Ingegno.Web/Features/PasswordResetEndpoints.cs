using FluentValidation;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Identity;
using Microsoft.Extensions.Options;

namespace Ingegno.Web.Features;

/// <summary>A coach who forgot the password.</summary>
public sealed record ForgottenPassword(string Email);

/// <summary>What happens now.</summary>
/// <param name="ByMail">A mail goes to the address if somebody signs in with it; otherwise this installation sends none, and whoever runs it
/// prints a link.</param>
public sealed record ResetAsked(bool ByMail);

/// <summary>Another password by a link.</summary>
/// <param name="Secret">Secret of the link.</param>
/// <param name="Next">The new password, 12 characters at least.</param>
public sealed record PasswordByLink(string Secret, string Next);

public sealed class ForgottenPasswordValidator : AbstractValidator<ForgottenPassword>
{
    public ForgottenPasswordValidator() =>
        RuleFor(f => f.Email).EmailAddress().MaximumLength(200).WithMessage("That is not an e-mail address.");
}

public sealed class PasswordByLinkValidator : AbstractValidator<PasswordByLink>
{
    public PasswordByLinkValidator()
    {
        RuleFor(p => p.Secret).NotEmpty().MaximumLength(100).WithMessage("Open the link whole.");
        RuleFor(p => p.Next).StrongEnough();
    }
}

/// <summary>Sets a password that was forgotten anew, by a link that works once.</summary>
public static class PasswordResetEndpoints
{
    private const string Account = "password reset";

    public static void MapPasswordReset(this IEndpointRouteBuilder api)
    {
        api.MapPost("/password-reset", Ask)
            .AllowAnonymous()
            .RequireRateLimiting(SessionEndpoints.RateLimit)
            .Validate<ForgottenPassword>()
            .WithTags("session")
            .ProducesProblem(StatusCodes.Status429TooManyRequests);
        api.MapPost("/password-reset/use", Use)
            .AllowAnonymous()
            .RequireRateLimiting(SessionEndpoints.RateLimit)
            .Validate<PasswordByLink>()
            .WithTags("session")
            .ProducesProblem(StatusCodes.Status400BadRequest);
    }

    /// <summary>The answer is the same whether somebody signs in with the address or not.</summary>
    private static Results<Ok<ResetAsked>, ProblemHttpResult> Ask(
        ForgottenPassword forgotten,
        HttpContext context,
        PasswordResetMails resets,
        MailWorker postman,
        IOptions<IngegnoOptions> options,
        SignInGuard guard
    )
    {
        var address = SessionEndpoints.AddressOf(context);
        if (guard.Wait(Account, address) is { Ticks: > 0 } wait)
        {
            return SessionEndpoints.TooMany(context, wait);
        }

        guard.Wrong(Account, address); // Each mail counts as a try, so that nobody's box is filled.
        var mails = postman.Leaves && options.Value.PublicAddress is not null;
        if (mails)
        {
            // Written later, so that the answer takes as long for an address that nobody signs in with.
            resets.Ask(forgotten.Email.Trim());
        }

        return TypedResults.Ok(new ResetAsked(mails));
    }

    private static Results<NoContent, ProblemHttpResult> Use(
        PasswordByLink chosen,
        HttpContext context,
        CoachStore coaches,
        PasswordResetStore resets,
        SignedInStore signedIn,
        IPasswordHasher<Coach> hasher,
        SignInGuard guard,
        AuditStore audit
    )
    {
        // A right secret is never shut out by somebody else's tries, for 256 random bits are not guessed.
        var address = SessionEndpoints.AddressOf(context);
        if (resets.Use(chosen.Secret) is not { } id || coaches.Find(id) is not { } coach)
        {
            if (guard.Wait(Account, address) is { Ticks: > 0 } wait)
            {
                return SessionEndpoints.TooMany(context, wait);
            }

            guard.Wrong(Account, address);
            return Problems.Make(
                StatusCodes.Status400BadRequest,
                "link-used",
                "This link works no more",
                "It works once, for an hour. Ask for another one."
            );
        }

        coaches.SetPasswordHash(coach.Id, hasher.HashPassword(coach, chosen.Next));
        signedIn.EndAll(coach.Id);
        audit.Note(coach.Id, "password-reset");
        return TypedResults.NoContent();
    }
}
