using System.Collections.Immutable;
using Ingegno.Core.Kit;
using Ingegno.Core.Matching;
using Ingegno.Core.Rebuilding.Choosing;

namespace Ingegno.Core.Rebuilding;

/// <summary>Something that could be bought or borrowed (<c>data/trade/purchases.json</c>).</summary>
/// <param name="Name">Its name, by which a coach sets another price.</param>
/// <param name="Price">Usual price in the coach's currency, above 0.</param>
/// <param name="Item">The thing as it would stand in the kit.</param>
public sealed record Purchase(string Name, double Price, KitItem Item);

/// <summary>A line that a purchase would bring closer to the gym.</summary>
/// <param name="Plan">Which of the plans asked about it belongs to, 0 first.</param>
/// <param name="GymExercise">Exercise of the gym line.</param>
/// <param name="Before">What stands there now.</param>
/// <param name="After">What would stand there.</param>
/// <param name="From">Match now.</param>
/// <param name="To">Match then.</param>
public sealed record ImprovedLine(int Plan, string GymExercise, string Before, string After, double From, double To);

/// <summary>What a purchase would bring.</summary>
/// <param name="Name">The purchase.</param>
/// <param name="Price">Its price.</param>
/// <param name="Gain">Gain in match over all lines, weighed by role as in the choice of a week: 1 is one accessory from nothing to perfect.</param>
/// <param name="GainPer100">Gain for 100 units of money.</param>
/// <param name="Item">The thing as it would stand in the kit.</param>
/// <param name="Lines">Lines it improves, largest gain first.</param>
public sealed record PurchaseGain(string Name, double Price, double Gain, double GainPer100, KitItem Item, ImmutableArray<ImprovedLine> Lines);

/// <summary>Answers what to buy or borrow next: each offer is tried in the plans as they stand (handbook 03).</summary>
public sealed class BuyNext(RebuildEngine engine, WeekRules rules)
{
    /// <summary>A line that gains less than this is not worth naming.</summary>
    private const double Noticeable = 0.01;

    /// <summary>
    /// Offers that bring something within the budget, most gain for the money first. The coach's locks stay as they are.
    /// </summary>
    /// <param name="plans">Gym weeks with their kit and client; one client or several.</param>
    /// <param name="offers">What could be bought.</param>
    /// <param name="budget">Most to spend on one thing; null for no limit.</param>
    public ImmutableArray<PurchaseGain> Rank(IReadOnlyCollection<RebuildRequest> plans, IEnumerable<Purchase> offers, double? budget = null)
    {
        ArgumentNullException.ThrowIfNull(plans);
        ArgumentNullException.ThrowIfNull(offers);
        var before = plans.Select(p => (Request: p, engine.Rebuild(p).Plan.Lines)).ToList();
        return [.. offers
            .Where(o => o.Price > 0 && (budget is null || o.Price <= budget))
            .AsParallel().AsOrdered().Select(o => Gain(o, before))
            .Where(g => g.Lines.Length > 0)
            .OrderByDescending(g => g.GainPer100).ThenBy(g => g.Name, StringComparer.Ordinal)];
    }

    private PurchaseGain Gain(Purchase offer, List<(RebuildRequest Request, ImmutableArray<HomeLine> Lines)> before)
    {
        var gain = 0.0;
        var improved = new List<(ImprovedLine Line, double Gain)>();
        foreach (var (plan, (request, lines)) in before.Index())
        {
            var item = offer.Item with { Id = FreshId(request.Kit) };
            var after = engine.Rebuild(request with { Kit = request.Kit with { Items = request.Kit.Items.Add(item) } }).Plan.Lines;
            foreach (var (old, now) in lines.Zip(after))
            {
                var (from, to) = (old.Chosen?.Match ?? 0, now.Chosen?.Match ?? 0);
                var weight = rules.RoleWeight[old.Role];
                gain += weight * (to - from);
                if (to - from > Noticeable)
                {
                    improved.Add((new ImprovedLine(plan, old.GymExerciseName, old.Chosen?.Name ?? "nothing", now.Chosen?.Name ?? "nothing", from, to), weight * (to - from)));
                }
            }
        }

        gain = Math.Max(0, gain);
        return new PurchaseGain(
            offer.Name, offer.Price, gain, 100 * gain / offer.Price, offer.Item, gain <= 0 ? [] : [.. improved.OrderByDescending(i => i.Gain).Select(i => i.Line)]);
    }

    private static string FreshId(PlaceKit kit)
    {
        var id = "bought";
        while (kit.Items.Any(i => i.Id == id))
        {
            id += "-too";
        }

        return id;
    }
}
