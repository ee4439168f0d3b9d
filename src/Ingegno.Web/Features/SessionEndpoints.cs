using System.Globalization;
using System.Reflection;
using System.Security.Claims;
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
/// <param name="Version">Which Ingegno this is; null for whoever is not signed in.</param>
public sealed record SessionState(CoachSummary? Coach, bool NeedsFirstCoach, string Token, string? Version = null);

/// <summary>The coach, as far as the interface shows it.</summary>
/// <param name="Name">Name shown.</param>
/// <param name="Email">Address to sign in with.</param>
/// <param name="Key">What a page says it belongs to, see <see cref="PageOwner"/>.</param>
public sealed record CoachSummary(string Name, string Email, string Key);

/// <summary>Sign-in.</summary>
/// <param name="Email">Address.</param>
/// <param name="Password">Password.</param>
/// <param name="Code">Code of the second factor, where the coach has one.</param>
public sealed record SignIn(string Email, string Password, string? Code = null);

/// <summary>The first coach of a new database.</summary>
/// <param name="Name">Name shown.</param>
/// <param name="Email">Address to sign in with.</param>
/// <param name="Password">12 characters at least.</param>
/// <param name="SetupCode">What the server printed at its start.</param>
public sealed record FirstCoach(string Name, string Email, string Password, string? SetupCode);

/// <summary>Another password.</summary>
/// <param name="Present">The one that holds now.</param>
/// <param name="Next">The new one, 12 characters at least.</param>
public sealed record PasswordChange(string Present, string Next);

public sealed class SignInValidator : AbstractValidator<SignIn>
{
    public SignInValidator()
    {
        RuleFor(s => s.Email).NotNull().MaximumLength(200).WithMessage("An address has at most 200 characters.");
        RuleFor(s => s.Password).NotNull().MaximumLength(Passwords.Most).WithMessage("A password has at most 200 characters.");
        RuleFor(s => s.Code).MaximumLength(40).WithMessage("A code has at most 40 characters.");
    }
}

public sealed class PasswordChangeValidator : AbstractValidator<PasswordChange>
{
    public PasswordChangeValidator()
    {
        RuleFor(c => c.Present).NotNull().MaximumLength(Passwords.Most).WithMessage("A password has at most 200 characters.");
        RuleFor(c => c.Next).StrongEnough();
    }
}

public sealed class FirstCoachValidator : AbstractValidator<FirstCoach>
{
    public FirstCoachValidator()
    {
        RuleFor(c => c.Name).NotEmpty().MaximumLength(80).WithMessage("Your name takes 1 to 80 characters.");
        RuleFor(c => c.Email).EmailAddress().MaximumLength(200).WithMessage("That is not an e-mail address.");
        RuleFor(c => c.Password).StrongEnough();
        RuleFor(c => c.SetupCode).MaximumLength(100).WithMessage("A setup code is shorter.");
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
        session
            .MapPost("/", Enter)
            .AllowAnonymous()
            .RequireRateLimiting(RateLimit)
            .Validate<SignIn>()
            .ProducesProblem(StatusCodes.Status401Unauthorized);
        session.MapDelete("/", Leave);
        api.MapGet("/signed-in", List).WithTags("session");
        api.MapDelete("/signed-in/others", EndOthers).WithTags("session");
        api.MapPut("/password", ChangePassword)
            .RequireRateLimiting(RateLimit)
            .Validate<PasswordChange>()
            .WithTags("session")
            .ProducesProblem(StatusCodes.Status400BadRequest);
        api.MapPost("/first-coach", Create)
            .AllowAnonymous()
            .RequireRateLimiting(RateLimit)
            .Validate<FirstCoach>()
            .WithTags("session")
            .ProducesProblem(StatusCodes.Status409Conflict);
        api.MapGet("/audit", Trail).WithTags("session");
    }

    /// <summary>What this coach did that somebody may have to answer for, newest first.</summary>
    private static Ok<IReadOnlyList<Audited>> Trail(ClaimsPrincipal user, AuditStore audit) => TypedResults.Ok(audit.List(user.CoachId()));

    private static readonly string? Version = typeof(SessionEndpoints)
        .Assembly.GetCustomAttribute<AssemblyInformationalVersionAttribute>()
        ?.InformationalVersion;

    private static Ok<SessionState> State(HttpContext context, CoachStore coaches, IAntiforgery antiforgery)
    {
        var known = context.User.Identity is { IsAuthenticated: true } ? coaches.Find(context.User.CoachId()) : null;
        return TypedResults.Ok(
            new SessionState(
                known is null ? null : new CoachSummary(known.Name, known.Email, PageOwner.KeyOf(known.Id)),
                known is null && coaches.IsEmpty(),
                antiforgery.GetAndStoreTokens(context).RequestToken!,
                known is null ? null : Version
            )
        );
    }

    private static async Task<Results<NoContent, ProblemHttpResult>> Enter(
        SignIn signIn,
        HttpContext context,
        CoachStore coaches,
        SignedInStore signedIn,
        IPasswordHasher<Coach> hasher,
        SignInGuard guard,
        SecondFactors factors,
        AuditStore audit
    )
    {
        var (account, address) = (signIn.Email.Trim(), AddressOf(context));
        if (guard.Wait(account, address) is { Ticks: > 0 } wait)
        {
            return TooMany(context, wait);
        }

        var coach = coaches.Find(account);

        // An unknown address costs as much time as a wrong password, so that nobody learns who has an account.
        var hash = coach?.PasswordHash ?? DecoyHash.Value;
        var verdict = hasher.VerifyHashedPassword(coach!, hash, signIn.Password);
        if (coach is null || verdict == PasswordVerificationResult.Failed)
        {
            guard.Wrong(account, address);
            if (coach is not null)
            {
                audit.Note(coach.Id, "sign-in-refused");
            }

            return Problems.Make(
                StatusCodes.Status401Unauthorized,
                "wrong-password",
                "Address or password is wrong",
                "Check both and try again."
            );
        }

        if (factors.IsOn(coach.Id))
        {
            if (string.IsNullOrWhiteSpace(signIn.Code))
            {
                return Problems.Make(
                    StatusCodes.Status401Unauthorized,
                    "code-needed",
                    "A code is needed",
                    "Type the code that your device shows, or one of the recovery codes."
                );
            }

            if (!factors.Opens(coach.Id, signIn.Code))
            {
                guard.Wrong(account, address);
                audit.Note(coach.Id, "sign-in-refused");
                return Problems.Make(
                    StatusCodes.Status401Unauthorized,
                    "wrong-code",
                    "That code does not open",
                    "Each opens once. Wait for the next one, or take a recovery code."
                );
            }
        }

        if (verdict == PasswordVerificationResult.SuccessRehashNeeded)
        {
            coaches.SetPasswordHash(coach.Id, hasher.HashPassword(coach, signIn.Password));
        }

        guard.Right(account, address);
        audit.Note(coach.Id, "signed-in");
        await Begin(context, coach, signedIn);
        return TypedResults.NoContent();
    }

    internal static string AddressOf(HttpContext context) => context.Connection.RemoteIpAddress?.ToString() ?? "unknown";

    internal static ProblemHttpResult TooMany(HttpContext context, TimeSpan wait)
    {
        var seconds = (int)Math.Ceiling(wait.TotalSeconds);
        context.Response.Headers.RetryAfter = seconds.ToString(CultureInfo.InvariantCulture);
        return Problems.Make(
            StatusCodes.Status429TooManyRequests,
            "too-many-tries",
            "Too many tries",
            $"Wait {(seconds < 90 ? $"{seconds} seconds" : $"{Math.Ceiling(seconds / 60.0)} minutes")}, then try again."
        );
    }

    private static Task Begin(HttpContext context, Coach coach, SignedInStore signedIn) =>
        context.SignInAsync(
            CookieAuthenticationDefaults.AuthenticationScheme,
            CoachIdentity.PrincipalOf(coach, signedIn.Begin(coach.Id, context.Request.Headers.UserAgent.ToString())),
            new AuthenticationProperties { IsPersistent = true }
        );

    private static SignOutHttpResult Leave(ClaimsPrincipal user, SignedInStore signedIn)
    {
        if (user.SessionKey() is { } key)
        {
            signedIn.End(key);
        }

        return TypedResults.SignOut(authenticationSchemes: [CookieAuthenticationDefaults.AuthenticationScheme]);
    }

    private static Ok<IReadOnlyList<SignedIn>> List(ClaimsPrincipal user, SignedInStore signedIn) =>
        TypedResults.Ok(signedIn.List(user.CoachId(), user.SessionKey()));

    private static NoContent EndOthers(ClaimsPrincipal user, SignedInStore signedIn, AuditStore audit)
    {
        signedIn.EndAll(user.CoachId(), user.SessionKey());
        audit.Note(user.CoachId(), "sessions-ended");
        return TypedResults.NoContent();
    }

    /// <summary>Another password ends all sessions but this one: whoever had the old one is out.</summary>
    private static Results<NoContent, ProblemHttpResult> ChangePassword(
        PasswordChange change,
        HttpContext context,
        CoachStore coaches,
        SignedInStore signedIn,
        IPasswordHasher<Coach> hasher,
        SignInGuard guard,
        AuditStore audit
    )
    {
        var user = context.User;
        var coach = coaches.Find(user.CoachId())!;
        if (guard.Wait(coach.Email, AddressOf(context)) is { Ticks: > 0 } wait)
        {
            return TooMany(context, wait);
        }

        if (hasher.VerifyHashedPassword(coach, coach.PasswordHash, change.Present) == PasswordVerificationResult.Failed)
        {
            guard.Wrong(coach.Email, AddressOf(context));
            return Problems.Make(
                StatusCodes.Status400BadRequest,
                "wrong-password",
                "The present password is wrong",
                "Nothing was changed."
            );
        }

        coaches.SetPasswordHash(coach.Id, hasher.HashPassword(coach, change.Next));
        signedIn.EndAll(coach.Id, user.SessionKey());
        audit.Note(coach.Id, "password-changed");
        return TypedResults.NoContent();
    }

    private static async Task<Results<NoContent, ProblemHttpResult>> Create(
        FirstCoach first,
        HttpContext context,
        CoachStore coaches,
        SignedInStore signedIn,
        IPasswordHasher<Coach> hasher,
        SetupCode code,
        SignInGuard guard
    )
    {
        const string Setup = "setup";
        if (guard.Wait(Setup, AddressOf(context)) is { Ticks: > 0 } wait)
        {
            return TooMany(context, wait);
        }

        if (!code.Is(first.SetupCode) && coaches.IsEmpty())
        {
            guard.Wrong(Setup, AddressOf(context));
            return Problems.Invalid("setupCode", "That is not the setup code. The server printed it where it was started.");
        }

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

        await Begin(context, coach, signedIn);
        return TypedResults.NoContent();
    }

    private static readonly Lazy<string> DecoyHash = new(() => new PasswordHasher<Coach>().HashPassword(null!, "nobody has this password"));
}
