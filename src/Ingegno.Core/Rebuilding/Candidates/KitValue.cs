using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Rebuilding.Candidates;

/// <summary>What a thing opens.</summary>
/// <param name="ItemId">Kit item.</param>
/// <param name="Used">Exercises in which it can play a part.</param>
/// <param name="Only">Exercises that could not be done without it.</param>
/// <param name="Estimated">A measure that its kind is described by was not entered.</param>
public sealed record ThingValue(string ItemId, int Used, int Only, bool Estimated);

/// <summary>What the kit of a place makes possible for a client.</summary>
public sealed record KitPossibilities(int Exercises, int WithNothing, ImmutableArray<ThingValue> Things);

/// <summary>Counts the exercises that a kit opens for a client.</summary>
public sealed class KitValue(DomainRules domain)
{
    /// <summary>Things past this many are not weighed one by one: nobody has them, and the answer must stay quick.</summary>
    private const int MostThings = 80;

    public KitPossibilities Of(ClientProfile client, PlaceKit place)
    {
        ArgumentNullException.ThrowIfNull(place);
        var all = Possible(client, place);
        var nothing = Possible(client, place with { Items = [] });
        var estimated = new KitAtPlace(place, domain.KitKinds).Things.Where(t => t.Estimated).Select(t => t.Id).ToHashSet();
        return new KitPossibilities(
            all.Count,
            nothing.Count,
            [
                .. place
                    .Items.Take(MostThings)
                    .Select(item =>
                    {
                        var without = Possible(client, place with { Items = place.Items.Remove(item) });
                        var alone = Possible(client, place with { Items = [item] });
                        return new ThingValue(
                            item.Id,
                            Math.Max(alone.Count - nothing.Count, all.Count - without.Count),
                            all.Count - without.Count,
                            estimated.Contains(item.Id)
                        );
                    }),
            ]
        );
    }

    private HashSet<string> Possible(ClientProfile client, PlaceKit place)
    {
        var at = new ClientAtPlace(client, place, domain);
        return [.. domain.Catalogue.AtHome.Where(e => CandidateFilter.Why(e, client) is null && at.Ways.Any(e)).Select(e => e.Id)];
    }
}
