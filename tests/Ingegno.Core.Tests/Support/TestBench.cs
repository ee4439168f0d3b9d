using Ingegno.Core.Catalogue;
using Ingegno.Core.Clients;
using Ingegno.Core.Kit;
using Ingegno.Core.Loading;
using Ingegno.Core.Matching;
using Ingegno.Core.Strength;

namespace Ingegno.Core.Tests.Support;

/// <summary>A client at a place, with the parts of the engine between them.</summary>
internal sealed class TestBench
{
    public TestBench(ClientProfile client, PlaceKit place)
    {
        Kit = new KitAtPlace(place, Trade.Shipped.KitKinds);
        Strength = new ClientStrength(client, Trade.Shipped.Strength);
        Resistance = new ResistanceMatch(Kit, new ReachableLoads(Kit), client, Strength, Trade.Shipped);
    }

    public KitAtPlace Kit { get; }

    public ClientStrength Strength { get; }

    public ResistanceMatch Resistance { get; }

    /// <summary>Expected straight-set reps to failure at the heaviest load the exercise can have here; 0 when it cannot be done.</summary>
    public double RepsAtHeaviest(Exercise exercise)
    {
        var heaviest =
            from setup in exercise.Setups
            let fit = Kit.Meets(setup.Needs)
            where fit.Possible
            from load in Resistance.Options(setup.Load)
            select Resistance.SystemLoad(setup.Load, fit.Bindings, load).Kg;
        return ClientStrength.RepsAt(Strength.For(exercise)!, heaviest.Max(), exercise.Strength!.Curve).Mid;
    }
}
