using FluentValidation;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.Authentication.Cookies;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Identity;

namespace Ingegno.Web.Features;

/// <summary>Who is signed in, and the token that changes need.</summary>
/// <param name="Coach">The coach, null when nobody is signed in.</param>
/// <param name="NeedsFirstCoach">True when no coach exists yet: the first start asks to create one.</param>
/// <param name="Token">Antiforgery token for the header of changing requests.</param>
public sealed record SessionState(CoachSummary? Coach, bool NeedsFirstCoach, string Token);

/// <summary>The coach, as far as the interface shows it.</summary>
public sealed record CoachSummary(string Name, string Email);

/// <summary>Sign-in.</summary>
public sealed record SignIn(string Email, string Password);

/// <summary>The first coach of a new database.</summary>
public sealed record FirstCoach(string Name, string Email, string Password);

public sealed class FirstCoachValidator : AbstractValidator<FirstCoach>
{
    public FirstCoachValidator()
    {
        RuleFor(c => c.Name).NotEmpty().MaximumLength(80).WithMessage("Your name takes 1 to 80 characters.");
        RuleFor(c => c.Email).EmailAddress().MaximumLength(200).WithMessage("That is not an e-mail address.");
        RuleFor(c => c.Password).MinimumLength(12).MaximumLength(200).WithMessage("The password takes at least 12 characters.");
    }
}

/// <summary>Sign-in, sign-out, and the first start.</summary>
public static class SessionEndpoints
{
    /// <summary>Name of the rate limit on sign-in.</summary>
    public const string RateLimit = "sign-in";

    public static void MapSession(this IEndpointRouteBuilder api)
    {
        var session = api.MapGroup("/session").WithTags("session");
        session.MapGet("/", State).AllowAnonymous();
        session.MapPost("/", Enter).AllowAnonymous().RequireRateLimiting(RateLimit).ProducesProblem(StatusCodes.Status401Unauthorized);
        session.MapDelete("/", Leave);
        api.MapPost("/first-coach", Create)
            .AllowAnonymous()
            .RequireRateLimiting(RateLimit)
            .Validate<FirstCoach>()
            .WithTags("session")
            .ProducesProblem(StatusCodes.Status409Conflict);
    }

    private static Ok<SessionState> State(HttpContext context, CoachStore coaches, IAntiforgery antiforgery)
    {
        var known = context.User.Identity is { IsAuthenticated: true } ? coaches.Find(context.User.CoachId()) : null;
        return TypedResults.Ok(
            new SessionState(
                known is null ? null : new CoachSummary(known.Name, known.Email),
                known is null && coaches.IsEmpty(),
                antiforgery.GetAndStoreTokens(context).RequestToken!
            )
        );
    }

    private static async Task<Results<NoContent, ProblemHttpResult>> Enter(
        SignIn signIn,
        HttpContext context,
        CoachStore coaches,
        IPasswordHasher<Coach> hasher
    )
    {
        var coach = coaches.Find(signIn.Email.Trim());

        // An unknown address costs as much time as a wrong password, so that nobody learns who has an account.
        var hash = coach?.PasswordHash ?? DecoyHash.Value;
        var verdict = hasher.VerifyHashedPassword(coach!, hash, signIn.Password);
        if (coach is null || verdict == PasswordVerificationResult.Failed)
        {
            return Problems.Make(
                StatusCodes.Status401Unauthorized,
                "wrong-password",
                "Address or password is wrong",
                "Check both and try again."
            );
        }

        if (verdict == PasswordVerificationResult.SuccessRehashNeeded)
        {
            coaches.SetPasswordHash(coach.Id, hasher.HashPassword(coach, signIn.Password));
        }

        await context.SignInAsync(
            CookieAuthenticationDefaults.AuthenticationScheme,
            CoachIdentity.PrincipalOf(coach),
            new AuthenticationProperties { IsPersistent = true }
        );
        return TypedResults.NoContent();
    }

    private static SignOutHttpResult Leave() =>
        TypedResults.SignOut(authenticationSchemes: [CookieAuthenticationDefaults.AuthenticationScheme]);

    private static async Task<Results<NoContent, ProblemHttpResult>> Create(
        FirstCoach first,
        HttpContext context,
        CoachStore coaches,
        IPasswordHasher<Coach> hasher
    )
    {
        var coach = coaches.AddFirst(first.Email.Trim(), first.Name.Trim(), hasher.HashPassword(null!, first.Password));
        if (coach is null)
        {
            return Problems.Make(
                StatusCodes.Status409Conflict,
                "coach-exists",
                "There is a coach already",
                "Sign in with the address that was entered at the first start."
            );
        }

        await context.SignInAsync(
            CookieAuthenticationDefaults.AuthenticationScheme,
            CoachIdentity.PrincipalOf(coach),
            new AuthenticationProperties { IsPersistent = true }
        );
        return TypedResults.NoContent();
    }

    private static readonly Lazy<string> DecoyHash = new(() => new PasswordHasher<Coach>().HashPassword(null!, "nobody has this password"));
}
