using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Rebuilding.Candidates;

/// <summary>Cautions that follow from how a thing is done at home, by rule and not exercise by exercise (docs/domain/cautions).</summary>
internal static class AtHomeCautions
{
    public static IEnumerable<Reason> Find(Exercise exercise, Way way, ClientProfile client)
    {
        if (client.Avoids(HealthHazard.Straining) && exercise.Measure != Measure.Seconds)
        {
            yield return Reason.Of("caution.breath");
        }

        if (way.Load.MassKg > 0 && way.Load.Rigged.IsEmpty && DomainRules.Shipped.Health.Is(exercise, HealthHazard.OverFace))
        {
            yield return Reason.Of("caution.over-face");
        }

        if (!way.Load.Rigged.IsEmpty && way.Bindings.Any(b => b.Thing.Kind.Id == "closed-door"))
        {
            yield return Reason.Of("caution.band-door");
        }
        else if (!way.Load.Rigged.IsEmpty && way.Bindings.Any(b => b.Thing.Is("anchor")))
        {
            yield return Reason.Of("caution.band-eyes");
        }

        if (way.Load.MassKg > 0 && way.Bindings.Any(b => b.Thing.Kind.Id == "stairs"))
        {
            yield return Reason.Of("caution.stairs");
        }
    }
}
