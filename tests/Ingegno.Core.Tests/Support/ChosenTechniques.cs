using System.Collections.Immutable;
using Ingegno.Core.Knowledge.Catalogue;
using Ingegno.Core.Knowledge.TradeData;
using Ingegno.Core.Making.Prescribing;
using Ingegno.Core.Trainee.Clients;

namespace Ingegno.Core.Tests.Support;

/// <summary>The techniques that would be chosen for one exercise, sets of six to eight with two in reserve.</summary>
internal static class ChosenTechniques
{
    public static readonly SetLimits Usual = new(8, 2, Trade.Shipped.Dose.SetSeconds.Usual, Trade.Shipped.Dose.SetSeconds.Most);

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
                    TechniqueChoice.SetsFor(found, client, Trade.Shipped.ApproachOf(approach), Trade.Shipped.Techniques),
                    reps,
                    low,
                    high,
                    limits ?? Usual
                )
                .Steps;
    }
}
