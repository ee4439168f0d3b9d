namespace Ingegno.Web.Devices;

/// <summary>What a hanging scale shows at a moment.</summary>
/// <param name="ForceKg">Force in kg, as the scale rounds it.</param>
/// <param name="Steady">The last readings agree: it may be taken.</param>
public sealed record ScaleReading(double ForceKg, bool Steady);

/// <summary>A hanging scale between a hand and a band: a stream of readings until the caller stops listening.</summary>
public interface IHangingScale
{
    IAsyncEnumerable<ScaleReading> Readings(CancellationToken cancellation);
}

/// <summary>Finds the scale for a pull. A real device ignores the pull: the client's arm is its own truth.</summary>
public interface IHangingScales
{
    /// <summary>True when what it shows is simulated; the interface says so.</summary>
    bool Simulated { get; }

    IHangingScale ForPull(SimulatedPull pull);
}

/// <summary>How far the simulated arm pulls which band.</summary>
/// <param name="FlatCm">Rest length end to end, in cm.</param>
/// <param name="WidthMm">Width in mm.</param>
/// <param name="ThicknessMm">Thickness in mm.</param>
/// <param name="Strands">2 for a loop, 1 for tube and strip.</param>
/// <param name="LengthCm">Length it is pulled to, in cm.</param>
public sealed record SimulatedPull(double FlatCm, double WidthMm, double ThicknessMm, int Strands, double LengthCm);
