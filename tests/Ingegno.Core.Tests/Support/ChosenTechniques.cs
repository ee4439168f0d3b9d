using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Tests.Support;

/// <summary>The techniques that would be chosen for one exercise, sets of six to eight with two in reserve.</summary>
internal static class ChosenTechniques
{
    public static readonly SetLimits Usual = new(8, 2, DomainRules.Shipped.Dose.SetSeconds.Usual, DomainRules.Shipped.Dose.SetSeconds.Most);

    public static ImmutableArray<Technique> For(
        string exercise,
        ClientProfile client,
        string? approach,
        double reps,
        double low,
        double high,
        SetLimits? limits = null
    )
    {
        var found = Examples.Exercise(exercise);
        return found.Measure == Measure.Seconds
            ? []
            : TechniqueChoice
                .For(
                    TechniqueChoice.SetsFor(found, client, DomainRules.Shipped.ApproachOf(approach), DomainRules.Shipped.Techniques),
                    reps,
                    low,
                    high,
                    limits ?? Usual
                )
                .Steps;
    }
}
