using System.Collections.Immutable;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Exercises;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>
/// Starting values for strength (<c>data/rules/strength.json</c>): one-rep maximum by level and sex as a share of
/// body mass, for each anchor lift.
/// </summary>
public sealed record StrengthTables(ImmutableArray<AnchorLift> Anchors, EvidenceRules Evidence, LiftingMass Mass, RelatedLifts Related)
{
    public AnchorLift? Find(string id) => Anchors.FirstOrDefault(a => a.Id == id);
}

/// <summary>
/// How much of a body lifts. Strength grows with about mass^⅔ (Jaric 2002, from memory), and not with fat: above a body mass index only a part
/// of what is more counts (common practice).
/// </summary>
/// <param name="Exponent">Power of the mass with which strength grows.</param>
/// <param name="ReferenceMale">Mass for which the table of men holds as it stands, kg.</param>
/// <param name="ReferenceFemale">The same for women, kg.</param>
/// <param name="FullUpToIndex">Body mass index up to which all of the mass counts, kg/m².</param>
/// <param name="ShareAbove">Share of what is above that counts, 0–1.</param>
public sealed record LiftingMass(double Exponent, double ReferenceMale, double ReferenceFemale, double FullUpToIndex, double ShareAbove)
{
    /// <summary>Body mass that the shares of the table are taken of, kg.</summary>
    /// <param name="massKg">The whole mass, kg, above 0.</param>
    /// <param name="statureCm">The stature, cm, above 0.</param>
    /// <param name="sex">Whose table it is.</param>
    public double Of(double massKg, double statureCm, Sex sex)
    {
        var full = FullUpToIndex * statureCm * statureCm / 10_000;
        var lifts = massKg <= full ? massKg : full + (ShareAbove * (massKg - full));
        var reference = AnchorLift.BySex(sex, ReferenceMale, ReferenceFemale);
        return reference * Math.Pow(lifts / reference, Exponent);
    }
}

/// <summary>What known lifts say of others. Those of one region move each other wholly; across regions less is believed.</summary>
/// <param name="Across">Power with which what is known of one region moves another, 0–1.</param>
/// <param name="MostAcross">Farthest that one region moves another, as a share.</param>
/// <param name="WithBody">Power with which a lift that is the body moves: its mass does not change with strength.</param>
/// <param name="SpreadAcross">Relative spread of what follows across regions.</param>
public sealed record RelatedLifts(double Across, double MostAcross, double WithBody, double SpreadAcross);

/// <summary>Part of the body whose lifts go together.</summary>
public enum LiftRegion
{
    Push,
    Pull,
    Legs,
}

/// <summary>What lines of a gym plan tell of strength.</summary>
/// <param name="LeastRatio">Machines count their stacks each in their own way: only lifts of so much of their anchor tell something.</param>
/// <param name="AsGoodAs">How far from the anchor a lift's ratio may be to count as the anchor itself.</param>
/// <param name="MostReps">Past so many reps a load says little of the maximum.</param>
/// <param name="Contradicts">A line that asks for so many times what is typed is asked about; one that asks for less may be meant light.</param>
/// <param name="MostSpreads">So many spreads above what level and body mass say, a figure is not believed: a pull-up may have been assisted.</param>
/// <param name="StatedReserve">Effort counts as named from so few reps in reserve on: only such a line makes an estimate lower.</param>
/// <param name="LeastHung">Share of body mass that "weighted" stands for where no load is named: the lightest that anybody hangs on.</param>
public sealed record EvidenceRules(
    double LeastRatio,
    double AsGoodAs,
    int MostReps,
    double Contradicts,
    double MostSpreads,
    int StatedReserve,
    double LeastHung
);

/// <summary>An anchor lift to which the exercises of related families are compared.</summary>
public sealed record AnchorLift
{
    public required string Id { get; init; }

    public required string Label { get; init; }

    /// <summary>Lifts of the same region go together.</summary>
    public required LiftRegion Region { get; init; }

    /// <summary>Rep-maximum curve of the lift itself.</summary>
    public required CurveKind Curve { get; init; }

    /// <summary>The body itself is what is lifted, and the figures below hold it.</summary>
    public bool BodyIncluded { get; init; }

    /// <summary>Share of body mass that moves with the bar, men and women: added to the bar for the system load.</summary>
    public required double BodyShareMale { get; init; }

    public required double BodyShareFemale { get; init; }

    /// <summary>One-rep maximum (external load) over body mass, one value per level from beginner to advanced.</summary>
    public required ImmutableArray<double> Male { get; init; }

    public required ImmutableArray<double> Female { get; init; }

    public required string Source { get; init; }

    public double BodyShare(Sex sex) => BySex(sex, BodyShareMale, BodyShareFemale);

    public double ExternalShare(Level level, Sex sex) => BySex(sex, Male[(int)level], Female[(int)level]);

    internal static double BySex(Sex sex, double male, double female) =>
        sex switch
        {
            Sex.Male => male,
            Sex.Female => female,
            _ => (male + female) / 2,
        };
}
