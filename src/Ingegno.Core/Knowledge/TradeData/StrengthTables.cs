using System.Collections.Immutable;
using Ingegno.Core.Ground.Body;

namespace Ingegno.Core.Knowledge.TradeData;

/// <summary>
/// Starting values for strength (<c>data/trade/strength.json</c>): one-rep maximum by level and sex as a share of
/// body mass, for each anchor lift.
/// </summary>
public sealed record StrengthTables(ImmutableArray<AnchorLift> Anchors)
{
    public AnchorLift? Find(string id) => Anchors.FirstOrDefault(a => a.Id == id);
}

/// <summary>An anchor lift to which the exercises of related families are compared.</summary>
public sealed record AnchorLift
{
    public required string Id { get; init; }

    public required string Label { get; init; }

    /// <summary>Share of body mass that moves with the bar, men and women: added to the bar for the system load.</summary>
    public required double BodyShareMale { get; init; }

    public required double BodyShareFemale { get; init; }

    /// <summary>One-rep maximum (external load) over body mass, one value per level from beginner to advanced.</summary>
    public required ImmutableArray<double> Male { get; init; }

    public required ImmutableArray<double> Female { get; init; }

    public required string Source { get; init; }

    public double BodyShare(Sex sex) => BySex(sex, BodyShareMale, BodyShareFemale);

    public double ExternalShare(Level level, Sex sex) => BySex(sex, Male[(int)level], Female[(int)level]);

    private static double BySex(Sex sex, double male, double female) =>
        sex switch
        {
            Sex.Male => male,
            Sex.Female => female,
            _ => (male + female) / 2,
        };
}
