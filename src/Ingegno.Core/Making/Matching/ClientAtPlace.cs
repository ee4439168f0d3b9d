using Ingegno.Core.AtHome.Kit;
using Ingegno.Core.Knowledge.Catalogue;
using Ingegno.Core.Knowledge.TradeData;
using Ingegno.Core.Trainee.Clients;
using Ingegno.Core.Trainee.Strength;

namespace Ingegno.Core.Making.Matching;

/// <summary>A client at a place: what is there, what the client can be expected to do, and every way to do an exercise with both.</summary>
public sealed class ClientAtPlace
{
    /// <param name="client">The client.</param>
    /// <param name="place">The kit of the place.</param>
    /// <param name="trade">The trade; rests and techniques count as they cost this client.</param>
    /// <exception cref="ArgumentException">The kit names a kind that does not exist.</exception>
    public ClientAtPlace(ClientProfile client, PlaceKit place, Trade trade)
    {
        ArgumentNullException.ThrowIfNull(client);
        ArgumentNullException.ThrowIfNull(trade);
        Client = client;
        Trade = trade.WithCosts(client.Costs);
        Kit = new KitAtPlace(place, trade.KitKinds);
        Strength = new ClientStrength(client, trade.Strength);
        Ways = new Ways(client, Kit, Strength, Trade);
    }

    public ClientProfile Client { get; }

    /// <summary>The trade, with rests and techniques as they cost this client.</summary>
    public Trade Trade { get; }

    public KitAtPlace Kit { get; }

    public ClientStrength Strength { get; }

    public Ways Ways { get; }

    /// <summary>Nothing rules the exercise out for this client, and it can be set up here.</summary>
    public bool CanDo(Exercise exercise) =>
        CandidateFilter.Why(exercise, Client) is null && Ways.SetupsOf(exercise).Any(s => s.Missing is null);
}
