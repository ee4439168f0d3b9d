using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Kit;
using Ingegno.Core.Loading;
using Ingegno.Core.Strength;

namespace Ingegno.Core.Matching;

/// <summary>What a thing opens.</summary>
/// <param name="ItemId">Kit item.</param>
/// <param name="Used">Exercises in which it can play a part.</param>
/// <param name="Only">Exercises that could not be done without it.</param>
public sealed record ThingValue(string ItemId, int Used, int Only);

/// <summary>What the kit of a place makes possible for a client.</summary>
public sealed record KitPossibilities(int Exercises, int WithNothing, ImmutableArray<ThingValue> Things);

/// <summary>Counts the exercises that a kit opens for a client.</summary>
public sealed class KitValue(Trade trade)
{
    /// <summary>Things past this many are not weighed one by one: nobody has them, and the answer must stay quick.</summary>
    private const int MostThings = 80;

    public KitPossibilities Of(ClientProfile client, PlaceKit place)
    {
        ArgumentNullException.ThrowIfNull(place);
        var all = Possible(client, place);
        var nothing = Possible(client, place with { Items = [] });
        return new KitPossibilities(all.Count, nothing.Count, [.. place.Items.Take(MostThings).Select(item =>
        {
            var without = Possible(client, place with { Items = place.Items.Remove(item) });
            var alone = Possible(client, place with { Items = [item] });
            return new ThingValue(item.Id, Math.Max(alone.Count - nothing.Count, all.Count - without.Count), all.Count - without.Count);
        })]);
    }

    private HashSet<string> Possible(ClientProfile client, PlaceKit place)
    {
        var kit = new KitAtPlace(place, trade.KitKinds);
        var strength = new ClientStrength(client, trade.Strength);
        var resistance = new ResistanceMatch(kit, new ReachableLoads(kit), client, strength, trade);
        return [.. trade.Catalogue.AtHome
            .Where(e => CandidateFilter.Why(e, client) is null && e.Setups.Any(s => kit.Meets(s.Needs).Possible && resistance.CanLoad(s.Load)))
            .Select(e => e.Id)];
    }
}
