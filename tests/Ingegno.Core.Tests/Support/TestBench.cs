using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Rebuilding.Candidates;

namespace Ingegno.Core.Tests.Support;

/// <summary>A client at a place, with the parts of the engine between them.</summary>
internal sealed class TestBench(ClientProfile client, PlaceKit place)
{
    private readonly ClientAtPlace _at = new(client, place, DomainRules.Shipped);

    public KitAtPlace Kit => _at.Kit;

    public ClientStrength Strength => _at.Strength;

    public ResistanceMatch Resistance => new(_at);

    /// <summary>Loads of the first set-up of an exercise.</summary>
    public ImmutableArray<ReachableLoad> Options(string exerciseId) =>
        [.. _at.Ways.SetupsOf(Examples.Exercise(exerciseId)).First().Ways.Select(w => w.Load)];

    /// <summary>A set-up that can be loaded here.</summary>
    public bool CanLoad(Exercise exercise, Setup setup) => !_at.Ways.SetupsOf(exercise).First(s => s.Setup == setup).Ways.IsEmpty;

    /// <summary>System load of the first set-up of an exercise with a load that need not be here.</summary>
    public SystemLoad SystemLoad(string exerciseId, ReachableLoad load) =>
        new SystemLoads(
            new BodyShares(BodySegments.ForSex(client.Sex), Strength.StatureCm, DomainRules.Shipped.Leverage),
            Strength.BodyMassKg
        ).Of(Examples.Exercise(exerciseId).Setups[0].Load, [], load);

    /// <summary>Expected straight-set reps to failure at the heaviest load the exercise can have here; 0 when it cannot be done.</summary>
    public double RepsAtHeaviest(Exercise exercise) =>
        ClientStrength
            .RepsAt(
                Strength.For(exercise)!,
                _at.Ways.SetupsOf(exercise).SelectMany(s => s.Ways).Max(w => w.System.Kg),
                exercise.Strength!.Curve
            )
            .Mid;
}
