using System.Collections.Immutable;
using FluentValidation;
using Ingegno.Core;
using Ingegno.Core.Rebuilding;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Web.Features;

/// <summary>Plans for which something could be bought.</summary>
/// <param name="Plans">Gym weeks with client and kit, 1–12.</param>
/// <param name="Budget">Most to spend on one thing; null for no limit.</param>
public sealed record BuyNextQuestion(ImmutableArray<RebuildRequest> Plans, double? Budget = null)
{
    /// <summary>The coach's own prices by name of the purchase.</summary>
    public ImmutableArray<OwnPrice> Prices { get; init; } = [];
}

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
        RuleForEach(q => q.Prices).Must(p => p.Price is > 0 and <= 1_000_000).WithMessage("A price lies above 0.");
    }
}

/// <summary>What to buy or borrow next.</summary>
public static class BuyNextEndpoints
{
    public static void MapBuyNext(this IEndpointRouteBuilder api) =>
        api.MapPost("/buy-next", Ask).Validate<BuyNextQuestion>().WithTags("buy next").ProducesProblem(StatusCodes.Status400BadRequest);

    private static Ok<ImmutableArray<PurchaseGain>> Ask(BuyNextQuestion question, Trade trade, BuyNext advice)
    {
        var own = question.Prices.GroupBy(p => p.Name).ToDictionary(g => g.Key, g => g.Last().Price);
        var offers = trade.Purchases.Select(p => own.TryGetValue(p.Name, out var price) ? p with { Price = price } : p);
        return TypedResults.Ok(advice.Rank(question.Plans, offers, question.Budget));
    }
}
