using System.Collections.Immutable;
using System.Security.Claims;
using FluentValidation;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Web.Features;

/// <summary>Plans for which something could be bought.</summary>
/// <param name="Plans">Gym weeks with client and kit, 1–12.</param>
/// <param name="Budget">Most to spend on one thing; null for no limit.</param>
public sealed record BuyNextQuestion(ImmutableArray<RebuildRequest> Plans, double? Budget = null);

/// <summary>A price that the coach set.</summary>
public sealed record OwnPrice(string Name, double Price);

public sealed class BuyNextQuestionValidator : AbstractValidator<BuyNextQuestion>
{
    private const int MostPlans = 12;

    public BuyNextQuestionValidator()
    {
        RuleFor(q => q.Plans.Length).InclusiveBetween(1, MostPlans).WithMessage($"Ask for 1 to {MostPlans} gym weeks at once.");
        RuleForEach(q => q.Plans).SetValidator(new RebuildRequestValidator()).When(q => q.Plans.Length <= MostPlans);
        RuleFor(q => q.Budget).GreaterThan(0).LessThanOrEqualTo(1_000_000).WithMessage("The budget lies above 0.");
    }
}

public sealed class OwnPriceValidator : AbstractValidator<OwnPrice>
{
    public OwnPriceValidator()
    {
        RuleFor(p => p.Price).GreaterThan(0).LessThanOrEqualTo(1_000_000).WithMessage("A price lies above 0 and up to 1,000,000.");
        RuleFor(p => p.Name)
            .Must(n => DomainRules.Shipped.Purchases.Any(p => p.Name == n))
            .WithMessage("That is not one of the things on offer.");
    }
}

/// <summary>What to buy or borrow next.</summary>
public static class BuyNextEndpoints
{
    public static void MapBuyNext(this IEndpointRouteBuilder api)
    {
        var buying = api.MapGroup("").WithTags("buy next");
        buying.MapPost("/buy-next", Ask).Validate<BuyNextQuestion>().ProducesProblem(StatusCodes.Status400BadRequest);
        buying.MapGet("/prices", Prices);
        buying.MapPut("/prices", SetPrice).Validate<OwnPrice>().ProducesProblem(StatusCodes.Status400BadRequest);
        buying.MapDelete("/prices", ClearPrices);
    }

    private static Ok<ImmutableArray<PurchaseGain>> Ask(
        BuyNextQuestion question,
        ClaimsPrincipal user,
        DomainRules domain,
        BuyNext advice,
        PriceStore prices
    )
    {
        var own = prices.All(user.CoachId());
        var offers = domain.Purchases.Select(p => own.TryGetValue(p.Name, out var price) ? p with { Price = price } : p);
        return TypedResults.Ok(advice.Rank(question.Plans, offers, question.Budget));
    }

    /// <summary>The prices that the coach set.</summary>
    private static Ok<ImmutableArray<OwnPrice>> Prices(ClaimsPrincipal user, PriceStore prices) =>
        TypedResults.Ok<ImmutableArray<OwnPrice>>([.. prices.All(user.CoachId()).Select(p => new OwnPrice(p.Key, p.Value))]);

    private static NoContent SetPrice(OwnPrice price, ClaimsPrincipal user, PriceStore prices)
    {
        prices.Set(user.CoachId(), price.Name, price.Price);
        return TypedResults.NoContent();
    }

    private static NoContent ClearPrices(ClaimsPrincipal user, PriceStore prices)
    {
        prices.Clear(user.CoachId());
        return TypedResults.NoContent();
    }
}
