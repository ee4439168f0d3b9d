using System.Collections.Immutable;
using Ingegno.Core.Foundation.Body;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>
/// Starting values for strength (<c>data/rules/strength.json</c>): one-rep maximum by level and sex as a share of
/// body mass, for each anchor lift.
/// </summary>
public sealed record StrengthTables(ImmutableArray<AnchorLift> Anchors, EvidenceRules Evidence)
{
    public AnchorLift? Find(string id) => Anchors.FirstOrDefault(a => a.Id == id);
}

/// <summary>What lines of a gym plan tell of strength.</summary>
/// <param name="LeastRatio">Machines count their stacks each in their own way: only lifts of so much of their anchor tell something.</param>
/// <param name="AsGoodAs">How far from the anchor a lift's ratio may be to count as the anchor itself.</param>
/// <param name="MostReps">Past so many reps a load says little of the maximum.</param>
/// <param name="Contradicts">A line that asks for so many times what is typed is asked about; one that asks for less may be meant light.</param>
/// <param name="MostSpreads">So many spreads above what level and body mass say, a figure is not believed: a pull-up may have been assisted.</param>
/// <param name="LeastHung">Share of body mass that "weighted" stands for where no load is named: the lightest that anybody hangs on.</param>
public sealed record EvidenceRules(
    double LeastRatio,
    double AsGoodAs,
    int MostReps,
    double Contradicts,
    double MostSpreads,
    double LeastHung
);

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
