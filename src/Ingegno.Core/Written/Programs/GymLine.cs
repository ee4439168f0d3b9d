using System.Text.Json.Serialization;
using Ingegno.Core.Ground.Quantities;

namespace Ingegno.Core.Written.Programs;

/// <summary>One line of a gym week, as the shorthand gives it.</summary>
public sealed record GymLine
{
    private readonly LineKey? _key;

    /// <summary>Line of the text it stands on, 1 first: a place, which changes when the text does.</summary>
    public required int Line { get; init; }

    /// <summary>What it is known by, whatever becomes of the text; its place when nothing else was given.</summary>
    public LineKey Key
    {
        get => _key ?? new LineKey(Line);
        init => _key = value;
    }

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

    /// <summary>Reps in reserve that the line asks for in either notation; null when it names neither.</summary>
    [JsonIgnore]
    public int? Reserve => Rir ?? (Rpe is { } rpe ? Effort.RirOf(rpe) : null);

    public Tempo? Tempo { get; init; }

    /// <summary>Rest after a set in seconds, 0–900.</summary>
    public int? RestSeconds { get; init; }

    /// <summary>Free note.</summary>
    public string? Note { get; init; }

    /// <summary>The superset letter of the label: A of A1; null when the line stands alone.</summary>
    public char? SupersetLetter => Label is { Length: > 1 } ? char.ToUpperInvariant(Label[0]) : null;
}
