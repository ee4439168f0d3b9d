using System.Collections.Immutable;

namespace Ingegno.Core.Loading;

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

    /// <summary>External load that can be added.</summary>
    public ExternalLoad? External { get; init; }

    /// <summary>Band that adds to the load or takes off it.</summary>
    public BandLoad? Band { get; init; }
}

/// <summary>
/// Share of body mass against support height over stature. Between the points it is interpolated linearly, outside
/// them the nearest point is kept.
/// </summary>
/// <param name="Role">Role of the thing whose height counts.</param>
/// <param name="Points">Pairs of height over stature (0–1) and share of body mass (0–1), heights rising.</param>
/// <param name="Source">Where the points come from.</param>
public sealed record ShareByHeight(string Role, ImmutableArray<ImmutableArray<double>> Points, string Source)
{
    /// <summary>The share at a support height over stature.</summary>
    public double At(double heightOverStature)
    {
        var before = Points[0];
        foreach (var point in Points)
        {
            if (point[0] >= heightOverStature)
            {
                var span = point[0] - before[0];
                return span <= 0 ? point[1] : before[1] + ((point[1] - before[1]) * (heightOverStature - before[0]) / span);
            }

            before = point;
        }

        return before[1];
    }
}

/// <summary>Where an external load may come from.</summary>
public enum LoadSource
{
    /// <summary>Two equal hand weights, one in each hand.</summary>
    Pair,

    /// <summary>One hand weight.</summary>
    One,

    /// <summary>A container or vest worn on the trunk.</summary>
    Worn,

    /// <summary>A container held in the hands, filled as needed.</summary>
    Held,

    /// <summary>A loaded bar.</summary>
    Bar,
}

/// <summary>External load of a set-up.</summary>
/// <param name="From">Sources that the set-up can use.</param>
/// <param name="Share">Share of the external mass that the working limbs move, above 0, at most 1.</param>
/// <param name="Required">True when the exercise makes no sense without it.</param>
public sealed record ExternalLoad(ImmutableArray<LoadSource> From, double Share = 1, bool Required = false);

/// <summary>Band of a set-up.</summary>
/// <param name="Factor">Mean of the force over the rep, as a multiple of one band's nominal force.</param>
/// <param name="Required">True when the exercise makes no sense without a band.</param>
/// <param name="Assists">True when the band takes load off instead of adding it.</param>
public sealed record BandLoad(double Factor = 0.8, bool Required = false, bool Assists = false);
