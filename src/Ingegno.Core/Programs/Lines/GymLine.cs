using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Knowledge.SetSchemes;

namespace Ingegno.Core.Programs.Lines;

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

    /// <summary>What each set aims at; where sets differ, from the least to the most of them.</summary>
    public required SetTarget Target { get; init; }

    /// <summary>The sets one by one; empty when all are alike.</summary>
    public ImmutableArray<PlannedSet> Each { get; init; } = [];

    /// <summary>How the sets run; null for straight sets.</summary>
    public SetMethod? Method { get; init; }

    /// <summary>The method's own figures as written: 2+2+2 of a cluster, minutes of a density block; null when none.</summary>
    public string? MethodFigures { get; init; }

    /// <summary>Counted in seconds instead of reps.</summary>
    public bool Timed { get; init; }

    /// <summary>Distance of a set in metres as it was written; <see cref="Target"/> is then what it comes to. Null when not a distance.</summary>
    public SetTarget? Metres { get; init; }

    /// <summary>The last set is as many reps as possible.</summary>
    public bool LastSetOpen { get; init; }

    public bool PerSide { get; init; }

    public PlannedLoad? Load { get; init; }

    /// <summary>A load in a word; null when none.</summary>
    public LoadWord? LoadWord { get; init; }

    /// <summary>Most reps that the load allows, 1–30: 10RM; null when not given so.</summary>
    public int? RepMax { get; init; }

    /// <summary>Share of the one-rep maximum, 0–1.1; the lower end of a range.</summary>
    public double? ShareOfMax { get; init; }

    /// <summary>Upper end of a range of shares; null for one figure.</summary>
    public double? ShareOfMaxTo { get; init; }

    /// <summary>Share that the line is worked out with: the middle of a range, the mean of its sets.</summary>
    [JsonIgnore]
    public double? WorkingShare => ShareOfMaxTo is { } to ? (ShareOfMax + to) / 2 : ShareOfMax ?? Each.Average(s => s.ShareOfMax);

    /// <summary>Sets of so many reps and fewer are meant for strength (docs/domain/prescription: 2–5, to 6).</summary>
    public const int HeavyReps = 6;

    /// <summary>The line is meant for strength: a count of few reps, not open and not timed.</summary>
    [JsonIgnore]
    public bool IsHeavy => this is { Timed: false, Target: { IsOpen: false, Max: <= HeavyReps } };

    /// <summary>Rating of perceived exertion, 1–10; the lower end of a range.</summary>
    public double? Rpe { get; init; }

    /// <summary>Upper end of a range; null for one figure.</summary>
    public double? RpeTo { get; init; }

    /// <summary>Reps in reserve, 0–10; the lower end of a range.</summary>
    public int? Rir { get; init; }

    /// <summary>Upper end of a range; null for one figure.</summary>
    public int? RirTo { get; init; }

    /// <summary>
    /// Reps in reserve that the line asks for in any notation, the hard end of a range; null when it names none. A load of which ten are
    /// the most, taken for eight, leaves two.
    /// </summary>
    [JsonIgnore]
    public int? Reserve =>
        Each.Select(s => s.Rir ?? (s.Rpe is { } rpe ? Effort.RirOf(rpe) : (int?)null)).Min()
        ?? Rir
        ?? (
            (RpeTo ?? Rpe) is { } rpe ? Effort.RirOf(rpe)
            : RepMax is { } most && !Timed && !Target.IsOpen ? Math.Clamp(most - Target.Max, 0, 10)
            : null
        );

    public Tempo? Tempo { get; init; }

    /// <summary>Rest after a set in seconds, 0–900; the lower end of a range.</summary>
    public int? RestSeconds { get; init; }

    /// <summary>Upper end of a range; null for one figure.</summary>
    public int? RestTo { get; init; }

    /// <summary>What the name says beyond the exercise: paused, wide, from a deficit.</summary>
    public ImmutableArray<NameModifier> Modifiers { get; init; } = [];

    /// <summary>Free note.</summary>
    public string? Note { get; init; }

    /// <summary>Lines are alike when all they say is, lists included.</summary>
    public bool Equals(GymLine? other) =>
        other is not null
        && Each.AsSpan().SequenceEqual(other.Each.AsSpan())
        && Modifiers.AsSpan().SequenceEqual(other.Modifiers.AsSpan())
        && Flat.Equals(other.Flat);

    public override int GetHashCode() => HashCode.Combine(Line, ExerciseId, Sets, Target);

    /// <summary>All that is not a list.</summary>
    private (object?, object?, object?, object?, object?, object?, object?) Flat =>
        (
            (Line, Key, Day, Label, ExerciseId, Name),
            (Sets, Target, Method, MethodFigures, Timed, Metres, LastSetOpen),
            (PerSide, Load, LoadWord, RepMax),
            (ShareOfMax, ShareOfMaxTo, Rpe, RpeTo),
            (Rir, RirTo, Tempo),
            (RestSeconds, RestTo),
            Note
        );

    /// <summary>The superset letter of the label: A of A1; null when the line stands alone.</summary>
    public char? SupersetLetter => Label is { Length: > 1 } ? char.ToUpperInvariant(Label[0]) : null;
}
