using System.Collections.Immutable;
using Ingegno.Core.Equipment.Loading.Bands;
using Ingegno.Core.Foundation.Quantities;

namespace Ingegno.Core.Equipment.Loading;

/// <summary>
/// What the working limbs move in a set-up: a share of body mass, plus external load where it acts, plus or minus
/// a band. All loads are given as system load in kg.
/// </summary>
public sealed record LoadModel
{
    /// <summary>Share of body mass, 0–1, at constant angle and speed.</summary>
    public double BodyShare { get; init; }

    /// <summary>Share that depends on the height of a support; takes the place of <see cref="BodyShare"/>.</summary>
    public ShareByHeight? BodyShareByHeight { get; init; }

    /// <summary>Share that follows from body segments and supports; takes the place of both.</summary>
    public BodyLeverage? Leverage { get; init; }

    /// <summary>Share of body mass that a band, tied as assistance, takes off; 0 for none.</summary>
    public double AssistedShare { get; init; }

    /// <summary>External load that can be added.</summary>
    public ExternalLoad? External { get; init; }

    /// <summary>Band that adds to the load or takes off it.</summary>
    public BandLoad? Band { get; init; }

    /// <summary>
    /// Most that hands and arms bear at the chest, the pull of a band included, as a share of body mass (common practice: about .4); null where
    /// the load lies elsewhere.
    /// </summary>
    public double? BearableShare { get; init; }

    /// <summary>Nothing but a band resists: neither body nor weight is lifted.</summary>
    public bool IsBandAlone => Band is not null && External is null && Leverage is null && BodyShareByHeight is null && BodyShare == 0;
}

/// <summary>
/// Share of body mass against support height over stature. Between the points it is interpolated linearly, outside
/// them the nearest point is kept and the share counts as estimated.
/// </summary>
/// <param name="Role">Role of the thing whose height counts.</param>
/// <param name="Points">Pairs of height over stature (0–1) and share of body mass (0–1), heights rising.</param>
/// <param name="Source">Where the points come from.</param>
/// <param name="Estimated">The points themselves are an estimate.</param>
public sealed record ShareByHeight(string Role, ImmutableArray<ImmutableArray<double>> Points, string Source, bool Estimated = false)
{
    /// <summary>The share at a support height over stature, and whether it lies between the points.</summary>
    public (double Share, bool Inside) At(double heightOverStature) => Interpolation.Linear(Points, heightOverStature);
}

/// <summary>Which model of the body gives the share.</summary>
public enum LeverageKind
{
    /// <summary>Push-up by the heights of hands and feet.</summary>
    PushUp,

    /// <summary>Straight body on its heels under a grip.</summary>
    Row,

    /// <summary>All above the knees, as in squats.</summary>
    AboveTheKnees,

    /// <summary>All but hands and forearms, as in hanging and dips.</summary>
    LessForearms,
}

/// <summary>A body share computed from segments and supports.</summary>
/// <param name="Model">Which model.</param>
/// <param name="Factor">Part of it that the working limbs take, for instance 0.75 for the front leg of a split squat.</param>
/// <param name="Hands">Role of the support under the hands, null for the floor.</param>
/// <param name="Feet">Role of the support under the feet, null for the floor.</param>
/// <param name="Grip">Role of what is gripped from below, null for shoulder height when hanging from straps.</param>
/// <param name="Step">Role of what is stepped onto or off: the lower it is, the less the knee bends and the more a leg lifts.</param>
/// <param name="Knees">Push-up: from the knees. Row: knees bent, feet flat.</param>
public sealed record BodyLeverage(
    LeverageKind Model,
    double Factor = 1,
    string? Hands = null,
    string? Feet = null,
    string? Grip = null,
    string? Step = null,
    bool Knees = false
);

/// <summary>Where an external load may come from.</summary>
public enum LoadSource
{
    /// <summary>Two equal hand weights, one in each hand.</summary>
    Pair,

    /// <summary>One hand weight.</summary>
    One,

    /// <summary>Two unequal hand weights, swapped from set to set.</summary>
    Mixed,

    /// <summary>A container or vest worn on the trunk.</summary>
    Worn,

    /// <summary>A container held in the hands, filled as needed.</summary>
    Held,

    /// <summary>A loaded bar.</summary>
    Bar,

    /// <summary>A bar to stand in, with its plates.</summary>
    TrapBar,

    /// <summary>The stack of a cable column.</summary>
    Stack,
}

/// <summary>External load of a set-up.</summary>
/// <param name="From">Sources that the set-up can use.</param>
/// <param name="Share">Share of the external mass that the working limbs move, above 0, at most 1.</param>
/// <param name="Required">True when the exercise makes no sense without it.</param>
/// <param name="Lifted">How it comes to where it is needed, where nothing holds it there; null when it need not be lifted.</param>
public sealed record ExternalLoad(ImmutableArray<LoadSource> From, double Share = 1, bool Required = false, LiftedInto? Lifted = null);

/// <summary>A load that has to be lifted into place before the first rep.</summary>
/// <param name="Anchor">Key of the anchor lift that it is like.</param>
/// <param name="Share">Share of that lift's one-rep maximum, in external kg, that can be brought there safely, above 0, at most 1.</param>
public sealed record LiftedInto(string Anchor, double Share);
