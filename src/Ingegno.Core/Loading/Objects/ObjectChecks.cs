using System.Collections.Immutable;
using Ingegno.Core.Kit;

namespace Ingegno.Core.Loading.Objects;

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
}

/// <summary>A check that a set-up asks for.</summary>
/// <param name="Role">Role of the object.</param>
/// <param name="Kind">What is checked.</param>
/// <param name="Share">Share of the system load that it carries.</param>
/// <param name="LowShare">Height: lowest that suits, as a share of stature.</param>
/// <param name="HighShare">Height: highest that suits, as a share of stature.</param>
public sealed record SetupCheck(string Role, CheckKind Kind, double Share = 1, double LowShare = 0, double HighShare = 1);

/// <summary>How a check ends.</summary>
public enum Verdict { Fine, Care, Refused }

/// <summary>The outcome of a check, with the sum behind it.</summary>
/// <param name="Thing">The object in words.</param>
/// <param name="Kind">What was checked.</param>
/// <param name="Verdict">How it ended.</param>
/// <param name="Factor">Safety factor reached; null where none applies.</param>
/// <param name="Sum">The sum behind it.</param>
/// <param name="Advice">What to do; empty when nothing.</param>
public sealed record ObjectVerdict(string Thing, CheckKind Kind, Verdict Verdict, double? Factor, string Sum, string Advice);

/// <summary>
/// Quasi-static checks of furniture and bars: aids to judgement, no certificates. Below a safety factor of 1.5 a set-up is
/// refused, below 2 it carries a caution (a decision of ours, handbook 02).
/// </summary>
public static class ObjectChecks
{
    public const double RefusedBelow = 1.5;
    public const double CareBelow = 2;

    /// <summary>Runs a check for a system load in kg and a stature in cm.</summary>
    public static ObjectVerdict Run(SetupCheck check, Thing thing, double systemKg, double statureCm)
    {
        ArgumentNullException.ThrowIfNull(check);
        ArgumentNullException.ThrowIfNull(thing);
        var load = check.Share * systemKg;
        return check.Kind switch
        {
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
            return new ObjectVerdict(thing.InWords, CheckKind.Tipping, Verdict.Fine, null, "The edge does not hang over the legs: a pull straight down cannot tip it.", string.Empty);
        }

        var factor = thing.MassKg * thing.LegToCentreCm / (loadKg * thing.OverhangCm);
        var needed = RefusedBelow * loadKg * thing.OverhangCm / thing.LegToCentreCm;
        var sum = $"{Words.Number(loadKg, 0)} kg at the edge × {Words.Number(thing.OverhangCm)} cm over the legs, against {Words.Number(thing.MassKg)} kg × {Words.Number(thing.LegToCentreCm)} cm: factor {Words.Number(factor)}";
        return Judge(thing, CheckKind.Tipping, factor, sum, $"Load its far side with {Words.Number(Math.Max(1, Math.Ceiling(needed - thing.MassKg)), 0)} kg, grip nearer to the legs, or bend the knees.");
    }

    /// <summary>What it carries over what hangs or stands on it.</summary>
    public static ObjectVerdict Rated(Thing thing, double loadKg)
    {
        ArgumentNullException.ThrowIfNull(thing);
        if (double.IsPositiveInfinity(thing.MaxLoadKg))
        {
            return new ObjectVerdict(thing.InWords, CheckKind.Rated, Verdict.Fine, null, "What it carries was not entered; it is taken as built in or solid.", string.Empty);
        }

        var factor = thing.MaxLoadKg / loadKg;
        var said = thing.Item.MaxLoadKg is null ? "usual for its kind" : "entered";
        var sum = $"carries {Words.Number(thing.MaxLoadKg, 0)} kg ({said}), {Words.Number(loadKg, 0)} kg on it: factor {Words.Number(factor)}";
        return Judge(thing, CheckKind.Rated, factor, sum, "Enter what the maker says it carries, or use something stronger.");
    }

    /// <summary>Half the load at the back edge of each of two chairs; gives the counterweight for each seat.</summary>
    public static ObjectVerdict ChairBack(Thing thing, double loadKg)
    {
        ArgumentNullException.ThrowIfNull(thing);
        var half = loadKg / 2;
        if (thing.OverhangCm <= 0)
        {
            return new ObjectVerdict(thing.InWords, CheckKind.ChairBack, Verdict.Fine, null, "The hands press within the legs: nothing tips.", string.Empty);
        }

        var factor = thing.MassKg * thing.LegToCentreCm / (half * thing.OverhangCm);
        var counterweight = Counterweight(half, thing.OverhangCm, thing.MassKg, thing.LegToCentreCm);
        var sum = $"each takes {Words.Number(half, 0)} kg, {Words.Number(thing.OverhangCm)} cm behind the rear legs, against {Words.Number(thing.MassKg)} kg × {Words.Number(thing.LegToCentreCm)} cm: factor {Words.Number(factor)}";
        return counterweight > 0
            ? new ObjectVerdict(thing.InWords, CheckKind.ChairBack, Verdict.Care, factor, sum, $"Put at least {Words.Number(Math.Ceiling(counterweight), 0)} kg on each seat, or have somebody sit there.")
            : Judge(thing, CheckKind.ChairBack, factor, sum, string.Empty);
    }

    /// <summary>Mass in kg to put on the seat so that the factor is reached; at most 0 when none is needed.</summary>
    public static double Counterweight(double loadKg, double overhangCm, double massKg, double legToCentreCm) =>
        ((RefusedBelow * loadKg * overhangCm) - (massKg * legToCentreCm)) / legToCentreCm;

    private static ObjectVerdict Height(SetupCheck check, Thing thing, double statureCm)
    {
        var (low, high) = (check.LowShare * statureCm, check.HighShare * statureCm);
        var sum = $"{Words.Number(thing.HeightCm, 0)} cm high, {Words.Number(low, 0)}–{Words.Number(high, 0)} cm suit {Words.Number(statureCm, 0)} cm of stature";
        return thing.HeightCm > high
            ? new ObjectVerdict(thing.InWords, check.Kind, Verdict.Care, null, sum, "High for this client: hold on to something, or take a lower one.")
            : thing.HeightCm < low
                ? new ObjectVerdict(thing.InWords, check.Kind, Verdict.Care, null, sum, "Low for this client: the range grows and gets harder.")
                : new ObjectVerdict(thing.InWords, check.Kind, Verdict.Fine, null, sum, string.Empty);
    }

    private static ObjectVerdict Judge(Thing thing, CheckKind kind, double factor, string sum, string advice)
    {
        var verdict = factor < RefusedBelow ? Verdict.Refused : factor < CareBelow ? Verdict.Care : Verdict.Fine;
        return new ObjectVerdict(thing.InWords, kind, verdict, factor, sum, verdict == Verdict.Fine ? string.Empty : advice);
    }
}
