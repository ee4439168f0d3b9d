using System.Collections.Concurrent;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Clients.Strength;

/// <summary>A one-rep maximum as system load, with its spread and what it rests on.</summary>
/// <param name="OneRepMaxKg">Best estimate in kg.</param>
/// <param name="Spread">Relative spread, for instance 0.15 for ±15 %.</param>
/// <param name="RestsOn">Where it comes from, in words.</param>
public sealed record StrengthEstimate(double OneRepMaxKg, double Spread, Reason RestsOn);

/// <summary>Expected reps to failure as a range.</summary>
public sealed record RepRange(double Low, double Mid, double High)
{
    /// <summary>The range with every figure times a factor.</summary>
    public RepRange Times(double factor) => new(Low * factor, Mid * factor, High * factor);

    /// <summary>"9–12", "50 or more" or "0".</summary>
    public string InWords
    {
        get
        {
            var (low, high) = ((int)Math.Floor(Low + 1e-9), (int)Math.Ceiling(High - 1e-9));
            if (low >= 50)
            {
                return "50 or more";
            }

            return low >= high ? $"{low}"
                : high >= 100 ? $"{low} or more"
                : $"{low}–{high}";
        }
    }
}

/// <summary>
/// What a client can be expected to do: strength per anchor lift from known lifts, else from level, sex and body
/// mass, scaled by what is known of other lifts.
/// </summary>
public sealed class ClientStrength
{
    /// <summary>Spread of a lift that follows from other known lifts, as a share (docs/domain/strength-relations, common
    /// practice).</summary>
    public const double SpreadRelated = 0.25;

    // Spreads of docs/domain/strength-relations, common practice.
    private const double SpreadKnown = 0.15;
    private const double SpreadLevel = 0.35;

    private readonly ClientProfile _client;
    private readonly StrengthTables _tables;

    /// <summary>Known over expected, as the mean of logarithms, for each region of which something is known.</summary>
    private readonly Dictionary<LiftRegion, double> _known;

    /// <summary>Asked for every exercise by every line of a week.</summary>
    private readonly ConcurrentDictionary<Exercise, StrengthEstimate?> _estimates = new(ReferenceEqualityComparer.Instance);

    public ClientStrength(ClientProfile client, StrengthTables tables)
    {
        ArgumentNullException.ThrowIfNull(client);
        ArgumentNullException.ThrowIfNull(tables);
        _client = client;
        _tables = tables;
        _known = KnownOverExpected();
    }

    public double BodyMassKg => _client.BodyMassKg ?? AssumedBody.MassKg;

    public double StatureCm => _client.StatureCm ?? AssumedBody.StatureCm;

    /// <summary>
    /// Estimate for an exercise, best evidence first: its own logs, logs of its family, known lifts, level; null when its
    /// strength is not the measure.
    /// </summary>
    public StrengthEstimate? For(Exercise exercise)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        return _estimates.GetOrAdd(exercise, Estimated);
    }

    private StrengthEstimate? Estimated(Exercise exercise)
    {
        if (exercise.Strength is not { } relation || _tables.Find(relation.Anchor) is not { } anchor)
        {
            return null;
        }

        if (_client.Learned.FirstOrDefault(l => l.ExerciseId == exercise.Id) is { } own)
        {
            return new StrengthEstimate(own.OneRepMaxKg, own.Spread, own.RestsOn);
        }

        var basis = _client.Learned.FirstOrDefault(l => l.ExerciseId is null && l.Anchor == anchor.Id) is { } family
            ? new StrengthEstimate(family.OneRepMaxKg, Math.Max(family.Spread, SpreadKnown), family.RestsOn)
            : ForAnchor(anchor);
        return basis with { OneRepMaxKg = basis.OneRepMaxKg * relation.At(_client.Level) };
    }

    /// <summary>
    /// A share of the bar's one-rep maximum as a share of the whole load: at 80 % of the bar a squat moves more than 80 % of bar and body.
    /// </summary>
    /// <param name="exercise">A lift whose anchor counts a part of the body.</param>
    /// <param name="share">Share of the bar, 0–1.1.</param>
    public double ShareOfSystem(Exercise exercise, double share)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        return For(exercise) is { } estimate && exercise.Strength is { } relation && _tables.Find(relation.Anchor) is { } anchor
            ? BarAt(estimate.OneRepMaxKg, anchor.BodyShare(_client.Sex) * BodyMassKg, share) / estimate.OneRepMaxKg
            : share;
    }

    /// <summary>Most external load of an anchor lift, kg: without the share of the body that moves with it; null when there is none of that
    /// key.</summary>
    public double? ExternalMaxKg(string anchorId) =>
        _tables.Find(anchorId) is { } anchor
            ? Math.Max(0, ForAnchor(anchor).OneRepMaxKg - (anchor.BodyShare(_client.Sex) * BodyMassKg))
            : null;

    private static double BarAt(double systemMaxKg, double bodyKg, double share) =>
        bodyKg < systemMaxKg ? (share * (systemMaxKg - bodyKg)) + bodyKg : share * systemMaxKg;

    /// <summary>Expected reps to failure at a system load in kg.</summary>
    public static RepRange RepsAt(StrengthEstimate estimate, double systemLoadKg, CurveKind curve)
    {
        ArgumentNullException.ThrowIfNull(estimate);
        double Reps(double factor) => RepMaxCurve.RepsAt(systemLoadKg, estimate.OneRepMaxKg * factor, curve);

        // Half the spread on either side: the range in which most days of this client should fall.
        return new RepRange(Reps(1 - (estimate.Spread / 2)), Reps(1), Reps(1 + (estimate.Spread / 2)));
    }

    /// <summary>Estimate of an anchor lift itself, null when there is none of that key.</summary>
    public StrengthEstimate? ForAnchor(string id) => _tables.Find(id) is { } anchor ? ForAnchor(anchor) : null;

    private StrengthEstimate ForAnchor(AnchorLift anchor)
    {
        var body = anchor.BodyShare(_client.Sex) * BodyMassKg;
        if (_client.KnownLifts.LastOrDefault(k => k.Anchor == anchor.Id) is { } known)
        {
            return new StrengthEstimate(
                ExternalOf(known, anchor) + body,
                SpreadKnown,
                known.Line is { } line
                    ? Reason.Of("strength.gym-line", ("line", line))
                    : Reason.Of("strength.known-lift", ("lift", anchor.Label), ("load", Quantity.Kg(known.LoadKg)), ("reps", known.Reps))
            );
        }

        // The body is as heavy as before: it is added to what is scaled.
        var external = Expected(anchor);
        var power = anchor.BodyIncluded ? _tables.Related.WithBody : 1;
        if (_known.TryGetValue(anchor.Region, out var own))
        {
            var times = Math.Clamp(Math.Exp(own * power), LeastScale, MostScale);
            return new StrengthEstimate((external * times) + body, SpreadRelated, Reason.Of("strength.related-lifts"));
        }

        if (_known.Count > 0)
        {
            var most = _tables.Related.MostAcross;
            var across = Math.Clamp(Math.Exp(_known.Values.Average() * _tables.Related.Across * power), 1 - most, 1 + most);
            return new StrengthEstimate((external * across) + body, _tables.Related.SpreadAcross, Reason.Of("strength.related-lifts"));
        }

        var why = _client.BodyMassKg is null ? "strength.level-alone" : "strength.level";
        return new StrengthEstimate(external + body, SpreadLevel, Reason.Of(why));
    }

    /// <summary>Farthest that known lifts of a region move its others, down and up.</summary>
    private const double LeastScale = 0.4;
    private const double MostScale = 2.5;

    /// <summary>What the table says of an anchor's external load, kg.</summary>
    private double Expected(AnchorLift anchor) =>
        anchor.ExternalShare(_client.Level, _client.Sex) * _tables.Mass.Of(BodyMassKg, StatureCm, _client.Sex) * AgeFactor();

    /// <summary>What a known lift says of its anchor's external one-rep maximum, kg.</summary>
    private double ExternalOf(KnownLift known, AnchorLift anchor)
    {
        var body = anchor.BodyShare(_client.Sex) * BodyMassKg;
        return RepMaxCurve.OneRepMax(known.LoadKg + body, known.Reps, anchor.Curve) - body;
    }

    /// <summary>About 1 % less a year past 40 (docs/domain/strength-relations, common practice), never below half.</summary>
    private double AgeFactor() => Math.Max(0.5, 1 - (0.01 * Math.Max(0, (_client.AgeYears ?? 0) - 40)));

    /// <summary>How this client compares with the table, region by region.</summary>
    private Dictionary<LiftRegion, double> KnownOverExpected() =>
        _client
            .KnownLifts.Select(known => (Known: known, Anchor: _tables.Find(known.Anchor)))
            .Where(k => k.Anchor is not null)
            .GroupBy(k => k.Anchor!.Region)
            .ToDictionary(
                region => region.Key,
                region => region.Average(k => Math.Log(ExternalOf(k.Known, k.Anchor!) / Expected(k.Anchor!)))
            );
}
