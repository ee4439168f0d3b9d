namespace Ingegno.Core.Foundation.Quantities;

/// <summary>Effort of a set in its two notations.</summary>
public static class Effort
{
    /// <summary>Rating of a set to failure (docs/domain/prescription, common practice: RPE 10 is nothing in reserve).</summary>
    private const double ToFailure = 10;

    /// <summary>Reps in reserve that a rating of perceived exertion stands for: RPE 8 leaves two; half a rating counts as the easier
    /// one.</summary>
    /// <param name="rpe">The rating, 1–10.</param>
    public static int RirOf(double rpe) => (int)Math.Round(ToFailure - rpe, MidpointRounding.AwayFromZero);
}
