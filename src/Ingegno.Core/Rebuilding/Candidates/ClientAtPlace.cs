using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Rebuilding.Candidates;

/// <summary>A client at a place: what is there, what the client can be expected to do, and every way to do an exercise with both.</summary>
public sealed class ClientAtPlace
{
    /// <param name="client">The client.</param>
    /// <param name="place">The kit of the place.</param>
    /// <param name="domain">The domain rules; rests and techniques count as they cost this client.</param>
    /// <exception cref="ArgumentException">The kit names a kind that does not exist.</exception>
    public ClientAtPlace(ClientProfile client, PlaceKit place, DomainRules domain)
    {
        ArgumentNullException.ThrowIfNull(client);
        ArgumentNullException.ThrowIfNull(domain);
        Client = client;
        DomainRules = domain.WithCosts(client.Costs);
        Kit = new KitAtPlace(place, domain.KitKinds);
        Strength = new ClientStrength(client, domain.Strength);
        Ways = new Ways(client, Kit, Strength, DomainRules);
    }

    public ClientProfile Client { get; }

    /// <summary>The domain rules, with rests and techniques as they cost this client.</summary>
    public DomainRules DomainRules { get; }

    public KitAtPlace Kit { get; }

    public ClientStrength Strength { get; }

    public Ways Ways { get; }

    /// <summary>Nothing rules the exercise out for this client, and it can be set up here.</summary>
    public bool CanDo(Exercise exercise) =>
        CandidateFilter.Why(exercise, Client) is null && Ways.SetupsOf(exercise).Any(s => s.Missing is null);
}
