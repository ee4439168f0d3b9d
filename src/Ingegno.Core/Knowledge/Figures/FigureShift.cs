namespace Ingegno.Core.Knowledge.Figures;

/// <summary>How far something is moved, in shares of stature.</summary>
/// <param name="Ahead">Ahead.</param>
/// <param name="Up">Up.</param>
public sealed record Shift(double Ahead, double Up);

/// <summary>How a practice changes a key pose of a figure; null where a part stays.</summary>
public sealed record PoseShift
{
    public Shift? Hips { get; init; }

    public Shift? NearHand { get; init; }

    public Shift? FarHand { get; init; }

    public Shift? NearFoot { get; init; }

    public Shift? FarFoot { get; init; }

    /// <summary>Degrees by which the trunk leans further forward.</summary>
    public double Trunk { get; init; }

    /// <summary>All parts that are moved.</summary>
    public IEnumerable<Shift> Moved => ((Shift?[])[Hips, NearHand, FarHand, NearFoot, FarFoot]).OfType<Shift>();
}

/// <summary>How a practice changes the figure that its exercise takes.</summary>
/// <param name="Start">At the start of the rep.</param>
/// <param name="End">At its far end; that of a hold counts for nothing.</param>
public sealed record FigureShift(PoseShift Start, PoseShift End)
{
    /// <summary>Half-way, where the rep bends on its way; null where it goes straight from the start to the end.</summary>
    public PoseShift? Middle { get; init; }

    /// <summary>Farthest that a part is moved, in shares of stature.</summary>
    public const double Farthest = 0.8;

    /// <summary>Most degrees by which the trunk is leaned.</summary>
    public const double MostTrunk = 120;

    /// <summary>All figures lie within the limits.</summary>
    public bool WithinLimits =>
        ((PoseShift[])[Start, Middle ?? new PoseShift(), End]).All(p =>
            Math.Abs(p.Trunk) <= MostTrunk && p.Moved.All(m => Math.Abs(m.Ahead) <= Farthest && Math.Abs(m.Up) <= Farthest)
        );
}
