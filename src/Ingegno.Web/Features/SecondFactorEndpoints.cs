using System.Collections.Immutable;
using System.Security.Claims;
using FluentValidation;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Identity;

namespace Ingegno.Web.Features;

/// <summary>How it stands with the second factor.</summary>
/// <param name="On">It is asked for at sign-in.</param>
/// <param name="CodesLeft">Recovery codes that were not used.</param>
public sealed record SecondFactorState(bool On, int CodesLeft);

/// <summary>A code of the device.</summary>
public sealed record DeviceCode(string Code);

/// <summary>The recovery codes, told once.</summary>
public sealed record RecoveryCodes(ImmutableArray<string> Codes);

/// <summary>The password, to begin with a second factor or to take it away.</summary>
public sealed record ByPassword(string Password);

public sealed class DeviceCodeValidator : AbstractValidator<DeviceCode>
{
    public DeviceCodeValidator() => RuleFor(c => c.Code).NotNull().MaximumLength(40).WithMessage("A code has at most 40 characters.");
}

public sealed class ByPasswordValidator : AbstractValidator<ByPassword>
{
    public ByPasswordValidator() =>
        RuleFor(p => p.Password).NotNull().MaximumLength(Passwords.Most).WithMessage("A password has at most 200 characters.");
}

/// <summary>The second factor of the signed-in coach.</summary>
public static class SecondFactorEndpoints
{
    public static void MapSecondFactor(this IEndpointRouteBuilder api)
    {
        var factor = api.MapGroup("/second-factor").WithTags("session");
        factor.MapGet("", State);
        factor
            .MapPost("", Begin)
            .RequireRateLimiting(SessionEndpoints.RateLimit)
            .Validate<ByPassword>()
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .ProducesProblem(StatusCodes.Status409Conflict);
        factor
            .MapPost("/confirm", Confirm)
            .RequireRateLimiting(SessionEndpoints.RateLimit)
            .Validate<DeviceCode>()
            .ProducesProblem(StatusCodes.Status400BadRequest);
        factor
            .MapPost("/off", Off)
            .RequireRateLimiting(SessionEndpoints.RateLimit)
            .Validate<ByPassword>()
            .ProducesProblem(StatusCodes.Status400BadRequest);
    }

    private static Ok<SecondFactorState> State(ClaimsPrincipal user, SecondFactorStore store) =>
        TypedResults.Ok(
            store.Find(user.CoachId()) is { Confirmed: true } factor
                ? new SecondFactorState(true, factor.CodesLeft)
                : new SecondFactorState(false, 0)
        );

    /// <summary>Asks for the password: whoever finds an open screen must not lock its coach out with a device of their own.</summary>
    private static Results<Ok<SecondFactorSecret>, ProblemHttpResult> Begin(
        ByPassword by,
        HttpContext context,
        CoachStore coaches,
        SecondFactors factors,
        IPasswordHasher<Coach> hasher,
        SignInGuard guard
    )
    {
        var coach = coaches.Find(context.User.CoachId())!;
        if (Refused(by, coach, context, hasher, guard) is { } refused)
        {
            return refused;
        }

        return factors.Begin(coach) is { } secret
            ? TypedResults.Ok(secret)
            : Problems.Make(
                StatusCodes.Status409Conflict,
                "second-factor-on",
                "The second factor is on already",
                "Take it away first, with your password; then begin anew."
            );
    }

    /// <summary>Why a password does not serve; null when it does.</summary>
    private static ProblemHttpResult? Refused(
        ByPassword by,
        Coach coach,
        HttpContext context,
        IPasswordHasher<Coach> hasher,
        SignInGuard guard
    )
    {
        var address = SessionEndpoints.AddressOf(context);
        if (guard.Wait(coach.Email, address) is { Ticks: > 0 } wait)
        {
            return SessionEndpoints.TooMany(context, wait);
        }

        if (hasher.VerifyHashedPassword(coach, coach.PasswordHash, by.Password) == PasswordVerificationResult.Failed)
        {
            guard.Wrong(coach.Email, address);
            return Problems.Invalid("password", "The password is wrong. Nothing was changed.");
        }

        return null;
    }

    private static Results<Ok<RecoveryCodes>, ProblemHttpResult> Confirm(
        DeviceCode code,
        HttpContext context,
        SecondFactors factors,
        SignInGuard guard,
        AuditStore audit
    )
    {
        var coach = context.User.CoachId();
        var (account, address) = ($"second-factor {coach}", SessionEndpoints.AddressOf(context));
        if (guard.Wait(account, address) is { Ticks: > 0 } wait)
        {
            return SessionEndpoints.TooMany(context, wait);
        }

        if (factors.Confirm(coach, code.Code) is not { } codes)
        {
            guard.Wrong(account, address);
            return Problems.Invalid("code", "That is not the code that the device shows now. Look at its clock, and type the next one.");
        }

        audit.Note(coach, "second-factor-on");
        return TypedResults.Ok(new RecoveryCodes(codes));
    }

    private static Results<NoContent, ProblemHttpResult> Off(
        ByPassword by,
        HttpContext context,
        CoachStore coaches,
        SecondFactorStore store,
        IPasswordHasher<Coach> hasher,
        SignInGuard guard,
        AuditStore audit
    )
    {
        var coach = coaches.Find(context.User.CoachId())!;
        if (Refused(by, coach, context, hasher, guard) is { } refused)
        {
            return refused;
        }

        store.Remove(coach.Id);
        audit.Note(coach.Id, "second-factor-off");
        return TypedResults.NoContent();
    }
}
