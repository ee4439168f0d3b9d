namespace Ingegno.Core.Programs;

/// <summary>External load as planned: mass of one piece in kg and how many pieces (two dumbbells: 2).</summary>
public sealed record PlannedLoad(double Kg, int Pieces = 1)
{
    /// <summary>All pieces together, kg.</summary>
    public double TotalKg => Kg * Pieces;
}

/// <summary>What one set aims at: a rep range, seconds, or as many reps as possible.</summary>
/// <param name="Min">Lower end, reps or seconds; 0 for an open set.</param>
/// <param name="Max">Upper end; equal to <paramref name="Min"/> for a single figure, 0 for an open set.</param>
public sealed record SetTarget(int Min, int Max)
{
    /// <summary>As many as possible.</summary>
    public static SetTarget Open { get; } = new(0, 0);

    public bool IsOpen => Max == 0;
}

/// <summary>One line of a gym week, as the shorthand gives it.</summary>
public sealed record GymLine
{
    /// <summary>Line of the text it stands on, 1 first.</summary>
    public required int Line { get; init; }

    /// <summary>Day of the week it belongs to, 0 first (<see cref="ShorthandResult.Days"/>).</summary>
    public int Day { get; init; }

    /// <summary>Superset label such as A1; null when none.</summary>
    public string? Label { get; init; }

    /// <summary>Exercise of the catalogue.</summary>
    public required string ExerciseId { get; init; }

    /// <summary>Its name as written by the coach.</summary>
    public required string Name { get; init; }

    /// <summary>Number of sets including an open last one, 1–20.</summary>
    public required int Sets { get; init; }

    public required SetTarget Target { get; init; }

    /// <summary>Counted in seconds instead of reps.</summary>
    public bool Timed { get; init; }

    /// <summary>The last set is as many reps as possible.</summary>
    public bool LastSetOpen { get; init; }

    public bool PerSide { get; init; }

    public PlannedLoad? Load { get; init; }

    /// <summary>Share of the one-rep maximum, 0–1.</summary>
    public double? ShareOfMax { get; init; }

    /// <summary>Rating of perceived exertion, 1–10.</summary>
    public double? Rpe { get; init; }

    /// <summary>Reps in reserve, 0–10.</summary>
    public int? Rir { get; init; }

    public Tempo? Tempo { get; init; }

    /// <summary>Rest after a set in seconds, 0–900.</summary>
    public int? RestSeconds { get; init; }

    /// <summary>Free note.</summary>
    public string? Note { get; init; }

    /// <summary>The superset letter of the label: A of A1; null when the line stands alone.</summary>
    public char? SupersetLetter => Label is { Length: > 1 } ? char.ToUpperInvariant(Label[0]) : null;
}
