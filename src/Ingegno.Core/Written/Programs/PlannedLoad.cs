namespace Ingegno.Core.Written.Programs;

/// <summary>External load as planned: mass of one piece in kg and how many pieces (two dumbbells: 2).</summary>
public sealed record PlannedLoad(double Kg, int Pieces = 1)
{
    /// <summary>All pieces together, kg.</summary>
    public double TotalKg => Kg * Pieces;
}
