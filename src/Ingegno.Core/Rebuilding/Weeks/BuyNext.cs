using System.Collections.Immutable;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;

namespace Ingegno.Core.Rebuilding.Weeks;

/// <summary>Answers what to buy or borrow next: each offer is tried in the plans as they stand (docs/domain/substitution).</summary>
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
        return
        [
            .. offers
                .Where(o => o.Price > 0 && (budget is null || o.Price <= budget))
                .AsParallel()
                .AsOrdered()
                .WithCancellation(engine.Stop)
                .Select(o => Gain(o, before))
                .Where(g => g.Lines.Length > 0)
                .OrderByDescending(g => g.GainPer100)
                .ThenBy(g => g.Name, StringComparer.Ordinal),
        ];
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
                    improved.Add(
                        (
                            new ImprovedLine(
                                plan,
                                old.GymExerciseName,
                                old.Chosen?.Name ?? "nothing",
                                now.Chosen?.Name ?? "nothing",
                                from,
                                to
                            ),
                            weight * (to - from)
                        )
                    );
                }
            }
        }

        gain = Math.Max(0, gain);
        return new PurchaseGain(
            offer.Name,
            offer.Price,
            gain,
            100 * gain / offer.Price,
            offer.Item,
            gain <= 0 ? [] : [.. improved.OrderByDescending(i => i.Gain).Select(i => i.Line)]
        );
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
