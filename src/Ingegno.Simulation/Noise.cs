namespace Ingegno.Simulation;

/// <summary>Noise from a seed: the same seed gives the same trainee, whatever else runs.</summary>
public sealed class Noise(int seed)
{
    private const ulong Step = 0x9E3779B97F4A7C15UL;

    // Stirred once: else the numbers of a seed are those of its neighbour, one further on.
    private ulong _state = Stirred(((ulong)(uint)seed * Step) + 0xD1B54A32D192ED03UL);

    /// <summary>Uniform in [0, 1).</summary>
    public double Next()
    {
        _state += Step;
        return (Stirred(_state) >> 11) * (1.0 / (1UL << 53));
    }

    /// <summary>Normal with mean 0 and the given standard deviation (Box and Muller 1958).</summary>
    public double Normal(double sd) => sd * Math.Sqrt(-2 * Math.Log(1 - Next())) * Math.Cos(2 * Math.PI * Next());

    /// <summary>True with the given chance.</summary>
    public bool Chance(double share) => Next() < share;

    /// <summary>One of them.</summary>
    public T Of<T>(IReadOnlyList<T> values)
    {
        ArgumentNullException.ThrowIfNull(values);
        return values[(int)(Next() * values.Count)];
    }

    /// <summary>SplitMix64 (Steele, Lea and Flood 2014): small, and the same on every machine and runtime.</summary>
    private static ulong Stirred(ulong z)
    {
        z = (z ^ (z >> 30)) * 0xBF58476D1CE4E5B9UL;
        z = (z ^ (z >> 27)) * 0x94D049BB133111EBUL;
        return z ^ (z >> 31);
    }
}
