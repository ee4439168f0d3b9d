using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>What logs taught of how much a rest or a technique costs this client.</summary>
/// <param name="Of"><see cref="Rests"/>, or the technique, for instance <c>slow-eccentric</c>.</param>
/// <param name="Factor">The client's cost against the usual one: 1 as usual, above it costs more; 0.3–2.</param>
/// <param name="Spread">Standard deviation of the factor, above 0.</param>
/// <param name="Seen">Pairs of sets, or days, that it rests on.</param>
/// <param name="RestsOn">What it rests on, in words.</param>
public sealed record LearnedCost(string Of, double Factor, double Spread, int Seen, Reason RestsOn)
{
    /// <summary>Key of the cost of rests between sets.</summary>
    public const string Rests = "rests";

    /// <summary>Least and greatest factor that is believed.</summary>
    public const double Least = 0.3;

    /// <summary>Greatest factor that is believed.</summary>
    public const double Greatest = 2;

    /// <summary>Share that is left of the reps when the usual share is known.</summary>
    public double Left(double usual) => Math.Clamp(1 - ((1 - usual) * Factor), 0.1, 1);
}
