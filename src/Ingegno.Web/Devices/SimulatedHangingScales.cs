using System.Runtime.CompilerServices;
using Ingegno.Core.Equipment.Loading.Bands;
using Ingegno.Core.Foundation.Quantities;

namespace Ingegno.Web.Devices;

/// <summary>Scales that pull on a made-up band: a little softer than the law says, with a hand that trembles.</summary>
public sealed class SimulatedHangingScales(TimeProvider clock) : IHangingScales
{
    public bool Simulated => true;

    public IHangingScale ForPull(SimulatedPull pull) => new SimulatedHangingScale(pull, clock);
}

/// <summary>The pull overshoots, settles within two seconds and then trembles by a few grams.</summary>
public sealed class SimulatedHangingScale(SimulatedPull pull, TimeProvider clock) : IHangingScale
{
    private const double C1Mpa = 0.15;
    private const double C2Mpa = 0.06;
    private const double ResolutionKg = 0.05;
    private const int ReadingsUntilSteady = 12;
    private const int MostReadings = 80;
    private static readonly TimeSpan Interval = TimeSpan.FromMilliseconds(150);

    /// <summary>The force the band of the simulation truly has, in kg.</summary>
    public double TrueForceKg
    {
        get
        {
            ArgumentNullException.ThrowIfNull(pull);
            var stretch = Math.Clamp(pull.LengthCm / pull.FlatCm, 1, 4);
            return Units.ToKg(RubberLaw.MooneyRivlin(pull.WidthMm * pull.ThicknessMm * pull.Strands, C1Mpa, C2Mpa, stretch));
        }
    }

    public async IAsyncEnumerable<ScaleReading> Readings([EnumeratorCancellation] CancellationToken cancellation)
    {
        // The same pull trembles the same way, so that what a test or a demo shows can be shown again.
        var hand = new Random(((int)pull.LengthCm * 397) + (int)pull.WidthMm);
        using var timer = new PeriodicTimer(Interval, clock);
        for (var i = 0; i < MostReadings; i++)
        {
            var settling = Math.Exp(-i / 2.0) * Math.Cos(i * 1.1);
            var tremble = (hand.NextDouble() - 0.5) * 0.04;
            var force = TrueForceKg * (1 - settling) * (1 + (tremble * (i < ReadingsUntilSteady ? 1 : 0.15)));
            yield return new ScaleReading(Math.Round(Math.Max(0, force) / ResolutionKg) * ResolutionKg, i >= ReadingsUntilSteady);
            if (!await timer.WaitForNextTickAsync(cancellation))
            {
                yield break;
            }
        }
    }
}
