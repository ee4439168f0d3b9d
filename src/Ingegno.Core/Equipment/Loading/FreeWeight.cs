namespace Ingegno.Core.Equipment.Loading;

/// <summary>What a system load is in the hands: weight that the body's own part is taken off, a piece.</summary>
/// <param name="From">Where the weight is held.</param>
/// <param name="BodyKg">The body's part of the system load, kg.</param>
/// <param name="Share">Share of the weight that the working limbs move.</param>
public sealed record FreeWeight(LoadSource From, double BodyKg, double Share)
{
    /// <summary>Pieces that the weight is in.</summary>
    public int Pieces => From == LoadSource.Pair ? 2 : 1;

    /// <summary>Kilograms of one piece at a system load; not above zero where the body alone weighs more.</summary>
    public double PieceKg(double systemKg) => (systemKg - BodyKg) / (Pieces * Share);

    /// <summary>
    /// How an exercise is loaded that makes no sense without a bar or hand weights. Null for all others: bands and bodies at heights
    /// have no one figure for the hand.
    /// </summary>
    /// <param name="ways">Load models of the exercise's set-ups, the usual one first.</param>
    /// <param name="shares">Body shares of the client.</param>
    /// <param name="bodyMassKg">Body mass, kg.</param>
    public static FreeWeight? Find(IEnumerable<LoadModel> ways, BodyShares shares, double bodyMassKg)
    {
        ArgumentNullException.ThrowIfNull(ways);
        ArgumentNullException.ThrowIfNull(shares);
        var model = ways.FirstOrDefault(l => l.External is not null); // the usual way: a hinge on one leg may be done with a bar, and seldom is
        return model is { External: { Required: true, From: [LoadSource.Bar or LoadSource.Pair or LoadSource.One, ..] } external }
            ? new FreeWeight(external.From[0], shares.Of(model, []).Mean * bodyMassKg, external.Share)
            : null;
    }
}
