using System.Collections.Immutable;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Equipment.Loading;

/// <summary>Published points of push-up leverage (<c>data/rules/leverage.json</c>).</summary>
public sealed record LeverageTables
{
    /// <summary>
    /// (height of the feet − height of the hands) over stature against the share of body mass on the hands. The published
    /// points lie between <see cref="PublishedFrom"/> and <see cref="PublishedTo"/>; those outside are estimates.
    /// </summary>
    public required ImmutableArray<ImmutableArray<double>> PushUp { get; init; }

    public required double PublishedFrom { get; init; }

    public required double PublishedTo { get; init; }

    /// <summary>Share from the knees over the share from the feet.</summary>
    public required double FromTheKnees { get; init; }

    /// <summary>Share at the bottom, in the middle and at the top, over the mean of bottom and top.</summary>
    public required ImmutableArray<double> PushUpOverRange { get; init; }

    /// <summary>What bent knees and feet that help leave of a row.</summary>
    public required double RowKneesBent { get; init; }

    /// <summary>
    /// Height of a step over stature against what it asks of the leg, 1 where the thigh comes to the horizontal: over a part of the range a
    /// leg lifts more, so a low step counts as a lighter load.
    /// </summary>
    public required ImmutableArray<ImmutableArray<double>> Step { get; init; }

    /// <summary>Where <see cref="Step"/> comes from.</summary>
    public required string StepSource { get; init; }

    public required string Source { get; init; }
}

/// <summary>A share of body mass over the rep.</summary>
/// <param name="Mean">Share at constant angle, 0–1.</param>
/// <param name="Start">Share where the muscle is long.</param>
/// <param name="End">Share where it is short.</param>
/// <param name="Estimated">It rests on statics or lies outside the published points.</param>
/// <param name="Basis">What it rests on, in words.</param>
public sealed record BodyShareOverRep(double Mean, double Start, double End, bool Estimated, Reason Basis)
{
    /// <summary>The same share everywhere.</summary>
    public static BodyShareOverRep Even(double share, bool estimated, Reason basis) => new(share, share, share, estimated, basis);

    /// <summary>The resistance of a body of that mass.</summary>
    public ResistanceRange Of(double bodyMassKg) => new(Start * bodyMassKg, Mean * bodyMassKg, End * bodyMassKg);
}

/// <summary>Which share of the body a set-up moves: published points where there are any, else statics.</summary>
public sealed class BodyShares(BodySegments segments, double statureCm, LeverageTables tables)
{
    /// <summary>The share of a set-up with the things that play its roles.</summary>
    public BodyShareOverRep Of(LoadModel model, ImmutableArray<Binding> bindings)
    {
        ArgumentNullException.ThrowIfNull(model);
        if (model.Leverage is { } leverage)
        {
            return Scale(Leverage(leverage, bindings), leverage.Factor * (1 - model.AssistedShare));
        }

        if (model.BodyShareByHeight is { } byHeight && HeightOf(byHeight.Role, bindings) is { } height)
        {
            var (share, inside) = byHeight.At(height);
            return BodyShareOverRep.Even(share, byHeight.Estimated || !inside, Reason.Text(byHeight.Source));
        }

        return BodyShareOverRep.Even(model.BodyShare, model.BodyShare > 0, Reason.Of("basis.statics"));
    }

    /// <summary>
    /// What a weight in hand or on the back counts for: on a step as much as the body, for over a part of the range a leg lifts more of both; 1
    /// anywhere else.
    /// </summary>
    public double OfWeight(LoadModel model, ImmutableArray<Binding> bindings)
    {
        ArgumentNullException.ThrowIfNull(model);
        return model.Leverage is { Model: LeverageKind.AboveTheKnees, Step: { } role } && HeightOf(role, bindings) is { } step
            ? Interpolation.Linear(tables.Step, step).Value
            : 1;
    }

    private BodyShareOverRep Leverage(BodyLeverage leverage, ImmutableArray<Binding> bindings) =>
        leverage.Model switch
        {
            LeverageKind.PushUp => PushUp(leverage, bindings),
            LeverageKind.Row => Row(leverage, bindings),
            LeverageKind.AboveTheKnees when HeightOf(leverage.Step, bindings) is { } step => BodyShareOverRep.Even(
                segments.AboveTheKnees * Interpolation.Linear(tables.Step, step).Value,
                true,
                Reason.Of("basis.step", ("source", tables.StepSource))
            ),
            LeverageKind.AboveTheKnees => BodyShareOverRep.Even(segments.AboveTheKnees, false, Reason.Of("basis.above-the-knees")),
            _ => BodyShareOverRep.Even(segments.LessForearms, false, Reason.Of("basis.less-forearms")),
        };

    private BodyShareOverRep PushUp(BodyLeverage leverage, ImmutableArray<Binding> bindings)
    {
        var difference = (HeightOf(leverage.Feet, bindings) ?? 0) - (HeightOf(leverage.Hands, bindings) ?? 0);
        var (share, inside) = Interpolation.Linear(tables.PushUp, difference);
        share *= leverage.Knees ? tables.FromTheKnees : 1;
        var published = inside && difference >= tables.PublishedFrom - 1e-9 && difference <= tables.PublishedTo + 1e-9;
        var range = tables.PushUpOverRange;
        return new BodyShareOverRep(share * range[1], share * range[0], share * range[2], !published, Reason.Text(tables.Source));
    }

    /// <summary>From arms straight to the chest at the grip; the body turns about the heels.</summary>
    private BodyShareOverRep Row(BodyLeverage leverage, ImmutableArray<Binding> bindings)
    {
        var grip = HeightOf(leverage.Grip, bindings) ?? (BodyLengths.ArmToGrip + 0.12);
        var feet = HeightOf(leverage.Feet, bindings) ?? 0;
        var knees = leverage.Knees ? tables.RowKneesBent : 1;
        double At(double shoulder) =>
            knees
            * Statics.RowShare(
                segments,
                Math.Clamp(Math.Asin(Math.Clamp((shoulder - feet) / BodyLengths.ShoulderHeight, 0, 1)) * 180 / Math.PI, 0, 90)
            );
        var (bottom, top) = (grip - BodyLengths.ArmToGrip, grip - 0.04);
        return new BodyShareOverRep(At((bottom + top) / 2), At(bottom), At(top), true, Reason.Of("basis.row"));
    }

    /// <summary>Height of the support over stature; null when the role is not played.</summary>
    private double? HeightOf(string? role, ImmutableArray<Binding> bindings) =>
        role is null ? null : bindings.FirstOrDefault(b => b.Role == role)?.Thing.HeightCm / statureCm;

    private static BodyShareOverRep Scale(BodyShareOverRep share, double factor) =>
        share with
        {
            Mean = share.Mean * factor,
            Start = share.Start * factor,
            End = share.End * factor,
        };
}
