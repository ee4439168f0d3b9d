namespace Ingegno.Core.Ground.Quantities;

/// <summary>What one set aims at: a rep range, seconds, or as many reps as possible.</summary>
/// <param name="Min">Lower end, reps or seconds; 0 for an open set.</param>
/// <param name="Max">Upper end; equal to <paramref name="Min"/> for a single figure, 0 for an open set.</param>
public sealed record SetTarget(int Min, int Max)
{
    /// <summary>As many as possible.</summary>
    public static SetTarget Open { get; } = new(0, 0);

    public bool IsOpen => Max == 0;
}
