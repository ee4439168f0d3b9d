namespace Ingegno.Core.Programs.Lines;

/// <summary>External load as planned: mass of one piece in kg and how many pieces (two dumbbells: 2).</summary>
/// <param name="Kg">Mass of a piece, kg.</param>
/// <param name="Pieces">How many.</param>
/// <param name="Added">On top of the body's weight.</param>
/// <param name="ToKg">Upper end of a range, kg; null for one figure.</param>
/// <param name="InAll">Said to be all that is lifted: not what each hand holds.</param>
public sealed record PlannedLoad(double Kg, int Pieces = 1, bool Added = false, double? ToKg = null, bool InAll = false)
{
    /// <summary>It was written in pounds, and is written back so.</summary>
    public bool Pounds { get; init; }

    /// <summary>All pieces together, kg.</summary>
    public double TotalKg => Kg * Pieces;
}
