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
    private readonly double? _scale;

    /// <summary>Asked for every exercise by every line of a week.</summary>
    private readonly ConcurrentDictionary<Exercise, StrengthEstimate?> _known = new(ReferenceEqualityComparer.Instance);

    public ClientStrength(ClientProfile client, StrengthTables tables)
    {
        ArgumentNullException.ThrowIfNull(client);
        ArgumentNullException.ThrowIfNull(tables);
        _client = client;
        _tables = tables;
        _scale = ScaleFromKnownLifts();
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
        return _known.GetOrAdd(exercise, Estimated);
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
        var ratio = _client.Level == Level.Beginner ? relation.BeginnerRatio ?? relation.Ratio : relation.Ratio;
        return basis with { OneRepMaxKg = basis.OneRepMaxKg * ratio };
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
            var curve = anchor.BodyShareMale > 0.5 ? CurveKind.Lower : CurveKind.Middle;
            var external = RepMaxCurve.OneRepMax(known.LoadKg + body, known.Reps, curve);
            return new StrengthEstimate(
                external,
                SpreadKnown,
                known.Line is { } line
                    ? Reason.Of("strength.gym-line", ("line", line))
                    : Reason.Of("strength.known-lift", ("lift", anchor.Label), ("load", Quantity.Kg(known.LoadKg)), ("reps", known.Reps))
            );
        }

        var byLevel = (anchor.ExternalShare(_client.Level, _client.Sex) * BodyMassKg * AgeFactor()) + body;
        return _scale is { } scale
            ? new StrengthEstimate(byLevel * scale, SpreadRelated, Reason.Of("strength.related-lifts"))
            : new StrengthEstimate(byLevel, SpreadLevel, Reason.Of(_client.BodyMassKg is null ? "strength.level-alone" : "strength.level"));
    }

    /// <summary>About 1 % less a year past 40 (docs/domain/strength-relations, common practice), never below half.</summary>
    private double AgeFactor() => Math.Max(0.5, 1 - (0.01 * Math.Max(0, (_client.AgeYears ?? 0) - 40)));

    /// <summary>Geometric mean of known over expected lifts: how this client compares with the table.</summary>
    private double? ScaleFromKnownLifts()
    {
        var ratios = new List<double>();
        foreach (var known in _client.KnownLifts)
        {
            if (_tables.Find(known.Anchor) is { } anchor)
            {
                var expected = anchor.ExternalShare(_client.Level, _client.Sex) * BodyMassKg * AgeFactor();
                ratios.Add(RepMaxCurve.OneRepMax(known.LoadKg, known.Reps, CurveKind.Middle) / expected);
            }
        }

        return ratios.Count == 0 ? null : Math.Clamp(Math.Exp(ratios.Average(Math.Log)), 0.4, 2.5);
    }
}
