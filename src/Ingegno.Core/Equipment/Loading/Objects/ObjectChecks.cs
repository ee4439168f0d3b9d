using System.Collections.Immutable;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;

namespace Ingegno.Core.Equipment.Loading.Objects;

/// <summary>What is checked of an object.</summary>
public enum CheckKind
{
    /// <summary>A table tips when it is pulled outside the line of its legs.</summary>
    Tipping,

    /// <summary>It carries what the maker says or the coach judged.</summary>
    Rated,

    /// <summary>Two chair backs: each takes half, behind its rear legs.</summary>
    ChairBack,

    /// <summary>Its height suits the client.</summary>
    HeightFits,

    /// <summary>It can be lifted to where it is needed.</summary>
    Lifted,

    /// <summary>Somebody sits, steps, lies or leans on it: what the maker says it carries holds a margin already.</summary>
    Bears,
}

/// <summary>A check that a set-up asks for.</summary>
/// <param name="Role">Role of the object.</param>
/// <param name="Kind">What is checked.</param>
/// <param name="Share">Share of the system load that it carries, where <paramref name="Body"/> is not given.</param>
/// <param name="LowShare">Height: lowest that suits, as a share of stature.</param>
/// <param name="HighShare">Height: highest that suits, as a share of stature.</param>
/// <param name="Body">
/// How much of the whole body it carries, whatever helps: 1 for a bar that one hangs from, for a foot may slip and a band hangs from the same
/// bar; 1.2 for a seat or a step, which is come down upon; .57 for the edge of a thrust (statics).
/// </param>
/// <param name="Load">How much of the weight in hand or on the body it carries with it.</param>
public sealed record SetupCheck(
    string Role,
    CheckKind Kind,
    double Share = 1,
    double LowShare = 0,
    double HighShare = 1,
    double? Body = null,
    double Load = 0
)
{
    /// <summary>What it carries, kg.</summary>
    /// <param name="systemKg">What the limbs move.</param>
    /// <param name="bodyKg">The whole body.</param>
    /// <param name="weightKg">Weight in hand or on the body.</param>
    public double ReactionKg(double systemKg, double bodyKg, double weightKg) =>
        Body is { } body ? (body * bodyKg) + (Load * weightKg) : Share * systemKg;
}

/// <summary>How a check ends.</summary>
public enum Verdict
{
    Fine,
    Care,
    Refused,
}

/// <summary>The outcome of a check, with the sum behind it.</summary>
/// <param name="Thing">The object in words.</param>
/// <param name="Kind">What was checked.</param>
/// <param name="Verdict">How it ended.</param>
/// <param name="Factor">Safety factor reached; null where none applies.</param>
/// <param name="Sum">The sum behind it.</param>
/// <param name="Advice">What to do; empty when nothing.</param>
public sealed record ObjectVerdict(string Thing, CheckKind Kind, Verdict Verdict, double? Factor, Reason Sum, Reason Advice)
{
    /// <summary>What is drawn of a sum of levers; null for the others.</summary>
    public Lever? Lever { get; init; }
}

/// <summary>A pull outside the legs against the weight within: what tips, and what holds.</summary>
/// <param name="LoadKg">Pull at the edge, kg.</param>
/// <param name="OverhangCm">From the legs out to the edge, cm.</param>
/// <param name="MassKg">Mass of the thing, kg.</param>
/// <param name="ArmCm">From the legs in to its middle, cm.</param>
/// <param name="HeightCm">Its height, cm; 0 where it is not known.</param>
/// <param name="Factor">What holds over what tips.</param>
/// <param name="CounterweightKg">What is to be put on it, kg; 0 for nothing.</param>
public sealed record Lever(
    double LoadKg,
    double OverhangCm,
    double MassKg,
    double ArmCm,
    double HeightCm,
    double Factor,
    double CounterweightKg
);

/// <summary>
/// Quasi-static checks of furniture and bars: aids to judgement, no certificates. Below a safety factor of 1.5 a set-up is
/// refused, below 2 it carries a caution (a decision of ours, docs/domain/kit-and-loads).
/// </summary>
public static class ObjectChecks
{
    public const double RefusedBelow = 1.5;
    public const double CareBelow = 2;

    /// <summary>A maker's greatest mass of a user holds a margin already: refused below what is asked, with care near it (common practice).</summary>
    public const double MakersRefusedBelow = 1;
    public const double MakersCareBelow = 1.2;

    /// <summary>Runs a check.</summary>
    /// <param name="check">The check.</param>
    /// <param name="thing">What is checked.</param>
    /// <param name="loadKg">What it carries, kg (<see cref="SetupCheck.ReactionKg"/>).</param>
    /// <param name="statureCm">Stature of the client, cm.</param>
    public static ObjectVerdict Run(SetupCheck check, Thing thing, double loadKg, double statureCm)
    {
        ArgumentNullException.ThrowIfNull(check);
        ArgumentNullException.ThrowIfNull(thing);
        var load = loadKg;
        return check.Kind switch
        {
            CheckKind.Bears => Bears(thing, load),
            CheckKind.Tipping => Tipping(thing, load),
            CheckKind.Rated => Rated(thing, load),
            CheckKind.ChairBack => ChairBack(thing, load),
            _ => Height(check, thing, statureCm),
        };
    }

    /// <summary>Pull at the edge × overhang against own mass × distance from the legs to the middle.</summary>
    public static ObjectVerdict Tipping(Thing thing, double loadKg)
    {
        ArgumentNullException.ThrowIfNull(thing);
        if (thing.OverhangCm <= 0)
        {
            return new ObjectVerdict(thing.InWords, CheckKind.Tipping, Verdict.Fine, null, Reason.Of("check.no-overhang"), Reason.None);
        }

        var factor = thing.MassKg * thing.LegToCentreCm / (loadKg * thing.OverhangCm);
        var needed = RefusedBelow * loadKg * thing.OverhangCm / thing.LegToCentreCm;
        var sum = Reason.Of(
            "check.tipping",
            ("load", Quantity.Kg(loadKg, 0)),
            ("overhang", Quantity.Cm(thing.OverhangCm)),
            ("mass", Quantity.Kg(thing.MassKg)),
            ("arm", Quantity.Cm(thing.LegToCentreCm)),
            ("factor", Told(factor))
        );
        var more = Math.Max(1, Math.Ceiling(needed - thing.MassKg));
        return Judge(thing, CheckKind.Tipping, factor, sum, Reason.Of("check.tipping-advice", ("load", Quantity.Kg(more, 0)))) with
        {
            Lever = LeverOf(thing, loadKg, factor, factor < RefusedBelow ? more : 0),
        };
    }

    /// <summary>
    /// What sits, steps, lies or leans on it against what its maker says it carries. What is only usual for its kind is nothing that was
    /// measured: it never refuses, and asks for a test where it is near.
    /// </summary>
    public static ObjectVerdict Bears(Thing thing, double loadKg)
    {
        ArgumentNullException.ThrowIfNull(thing);
        if (double.IsPositiveInfinity(thing.MaxLoadKg) || loadKg <= 0)
        {
            return new ObjectVerdict(thing.InWords, CheckKind.Bears, Verdict.Fine, null, Reason.Of("check.not-entered"), Reason.None);
        }

        var entered = thing.Item.MaxLoadKg is not null;
        var factor = thing.MaxLoadKg / loadKg;
        var verdict =
            entered && factor < MakersRefusedBelow ? Verdict.Refused
            : factor < (entered ? MakersCareBelow : MakersRefusedBelow) ? Verdict.Care
            : Verdict.Fine;
        var advice = verdict == Verdict.Fine ? Reason.None : Reason.Of(entered ? "check.rated-advice" : "check.test-first");
        return new ObjectVerdict(thing.InWords, CheckKind.Bears, verdict, factor, RatedSum(thing, loadKg, factor), advice);
    }

    private static Reason RatedSum(Thing thing, double loadKg, double factor) =>
        Reason.Of(
            "check.rated",
            ("carries", Quantity.Kg(thing.MaxLoadKg, 0)),
            ("entered", thing.Item.MaxLoadKg is not null),
            ("load", Quantity.Kg(loadKg, 0)),
            ("factor", Told(factor))
        );

    /// <summary>What it carries over what hangs or stands on it.</summary>
    public static ObjectVerdict Rated(Thing thing, double loadKg)
    {
        ArgumentNullException.ThrowIfNull(thing);
        if (double.IsPositiveInfinity(thing.MaxLoadKg))
        {
            return new ObjectVerdict(thing.InWords, CheckKind.Rated, Verdict.Fine, null, Reason.Of("check.not-entered"), Reason.None);
        }

        var factor = thing.MaxLoadKg / loadKg;
        return Judge(thing, CheckKind.Rated, factor, RatedSum(thing, loadKg, factor), Reason.Of("check.rated-advice"));
    }

    /// <summary>Half the load at the back edge of each of two chairs; gives the counterweight for each seat.</summary>
    public static ObjectVerdict ChairBack(Thing thing, double loadKg)
    {
        ArgumentNullException.ThrowIfNull(thing);
        var half = loadKg / 2;
        if (thing.OverhangCm <= 0)
        {
            return new ObjectVerdict(thing.InWords, CheckKind.ChairBack, Verdict.Fine, null, Reason.Of("check.within-legs"), Reason.None);
        }

        var factor = thing.MassKg * thing.LegToCentreCm / (half * thing.OverhangCm);
        var counterweight = Counterweight(half, thing.OverhangCm, thing.MassKg, thing.LegToCentreCm);
        var sum = Reason.Of(
            "check.chair-back",
            ("load", Quantity.Kg(half, 0)),
            ("overhang", Quantity.Cm(thing.OverhangCm)),
            ("mass", Quantity.Kg(thing.MassKg)),
            ("arm", Quantity.Cm(thing.LegToCentreCm)),
            ("factor", Told(factor))
        );
        var verdict =
            counterweight > 0
                ? new ObjectVerdict(
                    thing.InWords,
                    CheckKind.ChairBack,
                    Verdict.Care,
                    factor,
                    sum,
                    Reason.Of("check.counterweight", ("load", Quantity.Kg(Math.Ceiling(counterweight), 0)))
                )
                : Judge(thing, CheckKind.ChairBack, factor, sum, Reason.None);
        return verdict with { Lever = LeverOf(thing, half, factor, Math.Max(0, Math.Ceiling(counterweight))) };
    }

    private static Lever LeverOf(Thing thing, double loadKg, double factor, double counterweightKg) =>
        new(
            Math.Round(loadKg, 1),
            Math.Round(thing.OverhangCm, 1),
            Math.Round(thing.MassKg, 1),
            Math.Round(thing.LegToCentreCm, 1),
            Math.Round(thing.HeightCm),
            Told(factor),
            counterweightKg
        );

    /// <summary>Mass in kg to put on the seat so that the factor is reached; at most 0 when none is needed.</summary>
    public static double Counterweight(double loadKg, double overhangCm, double massKg, double legToCentreCm) =>
        ((RefusedBelow * loadKg * overhangCm) - (massKg * legToCentreCm)) / legToCentreCm;

    private static ObjectVerdict Height(SetupCheck check, Thing thing, double statureCm)
    {
        var (low, high) = (check.LowShare * statureCm, check.HighShare * statureCm);
        var sum = Reason.Of(
            "check.height",
            ("height", Quantity.Cm(thing.HeightCm, 0)),
            ("low", Quantity.Cm(low, 0).Value),
            ("high", Quantity.Cm(high, 0)),
            ("stature", Quantity.Cm(statureCm, 0))
        );
        return thing.HeightCm > high ? new ObjectVerdict(thing.InWords, check.Kind, Verdict.Care, null, sum, Reason.Of("check.too-high"))
            : thing.HeightCm < low ? new ObjectVerdict(thing.InWords, check.Kind, Verdict.Care, null, sum, Reason.Of("check.too-low"))
            : new ObjectVerdict(thing.InWords, check.Kind, Verdict.Fine, null, sum, Reason.None);
    }

    /// <summary>A safety factor as it is told, to a tenth and rounded down: what is refused just below 1.5 must not read as 1.5.</summary>
    private static double Told(double factor) => Math.Floor((factor * 10) + 1e-9) / 10;

    private static ObjectVerdict Judge(Thing thing, CheckKind kind, double factor, Reason sum, Reason advice)
    {
        var verdict =
            factor < RefusedBelow ? Verdict.Refused
            : factor < CareBelow ? Verdict.Care
            : Verdict.Fine;
        return new ObjectVerdict(thing.InWords, kind, verdict, factor, sum, verdict == Verdict.Fine ? Reason.None : advice);
    }
}
