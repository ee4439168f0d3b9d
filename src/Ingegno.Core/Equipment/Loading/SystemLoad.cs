using System.Collections.Immutable;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Equipment.Loading;

/// <summary>What the working limbs move: body, weight and band together.</summary>
/// <param name="Range">Resistance over the rep in kg.</param>
/// <param name="Estimated">The body's part is an estimate.</param>
/// <param name="Basis">What the body's part rests on.</param>
/// <param name="Peak">How much the hardest point counts beside the mean, 0–1.</param>
public sealed record SystemLoad(ResistanceRange Range, bool Estimated, Reason Basis, double Peak = 0)
{
    /// <summary>What strength is compared with, in kg: the mean over the rep, moved toward the hardest point by
    /// <see cref="Peak"/>.</summary>
    public double Kg => Range.Mean + (Peak * (Range.Most - Range.Mean));
}

/// <summary>Adds up the system load of set-ups for one client.</summary>
public sealed class SystemLoads(BodyShares shares, double bodyMassKg)
{
    /// <summary>The system load of a set-up with an external load or band.</summary>
    public SystemLoad Of(LoadModel model, ImmutableArray<Binding> bindings, ReachableLoad external)
    {
        ArgumentNullException.ThrowIfNull(model);
        ArgumentNullException.ThrowIfNull(external);
        var share = shares.Of(model, bindings);
        var body = share.Of(bodyMassKg);
        var range = body.Plus(ResistanceRange.Even(external.WeightKg), (model.External?.Share ?? 1) * shares.OfWeight(model, bindings));
        if (external.Band is { } band)
        {
            range = range.Plus(band, model.Band is { Assists: true } ? -1 : 1);
        }

        return new SystemLoad(range, share.Estimated, share.Basis, external.Band is null ? 0 : model.Band?.Peak ?? 0);
    }
}
