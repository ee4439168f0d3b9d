namespace Ingegno.Core.Foundation.Quantities;

/// <summary>What one set aims at: a rep range, seconds, or as many reps as possible.</summary>
/// <param name="Min">Lower end, reps or seconds; 0 for an open set.</param>
/// <param name="Max">Upper end; equal to <paramref name="Min"/> for a single figure, 0 for an open set.</param>
public sealed record SetTarget(int Min, int Max)
{
    /// <summary>As many as possible.</summary>
    public static SetTarget Open { get; } = new(0, 0);

    /// <summary>Reps that an open set is counted as where nothing is known of the client (own estimate).</summary>
    public const int OpenReps = 12;

    public bool IsOpen => Max == 0;

    /// <summary>As a line is written: <c>8</c>, <c>8-12</c>, <c>AMRAP</c>.</summary>
    public string Written => IsOpen ? "AMRAP" : Range("-");

    /// <summary>As it stands in a sentence: <c>8</c>, <c>8–12</c>.</summary>
    public string InWords => Range("–");

    private string Range(string to) => Min == Max ? $"{Min}" : $"{Min}{to}{Max}";
}
