using System.Collections.Immutable;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Progression;

namespace Ingegno.Core.Progress.Blocks;

/// <summary>What a week of a block is for.</summary>
public enum WeekKind
{
    /// <summary>It goes on from the week before.</summary>
    Build,

    /// <summary>Half the sets at the same load.</summary>
    Lighter,

    /// <summary>The week before that of an event.</summary>
    Taper,

    /// <summary>The week of an event.</summary>
    Event,
}

/// <summary>A block, week by week.</summary>
/// <param name="Weeks">Its weeks in order.</param>
/// <param name="Notices">What the coach should know of the whole, in sentences.</param>
public sealed record Block(ImmutableArray<BlockWeek> Weeks, ImmutableArray<Reason> Notices);

/// <summary>A week of a block.</summary>
/// <param name="Number">Number, 1 first.</param>
/// <param name="Starts">First day.</param>
/// <param name="Kind">What it is for.</param>
/// <param name="Phase">Name of its phase.</param>
/// <param name="PhaseStarts">It is the first of its phase, after another one.</param>
/// <param name="Idea">What it is about, in a sentence.</param>
/// <param name="Cells">One per exercise, in the order of the plan.</param>
/// <param name="Days">Minutes of its training days.</param>
public sealed record BlockWeek(
    int Number,
    DateOnly Starts,
    WeekKind Kind,
    string Phase,
    bool PhaseStarts,
    Reason Idea,
    ImmutableArray<BlockCell> Cells,
    ImmutableArray<BlockDay> Days
)
{
    /// <summary>Hard sets of the week.</summary>
    public int HardSets => Cells.Sum(c => c.Dose.HardSets);

    /// <summary>It is shaped by less work and not by progress.</summary>
    public bool IsLight => Kind != WeekKind.Build;

    /// <summary>The cell of an exercise; null when the week does not have it.</summary>
    public BlockCell? Cell(LineKey line, string exerciseId) => Cells.FirstOrDefault(c => c.Line == line && c.ExerciseId == exerciseId);
}

/// <summary>A training day of a week.</summary>
/// <param name="Name">Name of the day.</param>
/// <param name="Minutes">Minutes of its session.</param>
public sealed record BlockDay(string Name, int Minutes);

/// <summary>What is planned for an exercise in a week.</summary>
public sealed record BlockCell
{
    public required LineKey Line { get; init; }

    public required string ExerciseId { get; init; }

    public required string Name { get; init; }

    public required Dose Dose { get; init; }

    /// <summary>External load, kg.</summary>
    public required double ExternalKg { get; init; }

    /// <summary>How it comes from the week before; null for the first week and the first of a phase.</summary>
    public Decision? Step { get; init; }

    /// <summary>Why, in a sentence.</summary>
    public required Reason Reason { get; init; }

    /// <summary>The coach set it.</summary>
    public bool SetByCoach { get; init; }

    /// <summary>Reps left at the top of the range in the first set with the strength of today; below 0 when it cannot be reached yet;
    /// null where reps are not the measure.</summary>
    public int? Reserve { get; init; }

    /// <summary>
    /// Strength that the first set asks for against what is estimated today: 1 for the same, 1.05 for a twentieth more; null where load
    /// is not the measure.
    /// </summary>
    public double? Asks { get; init; }

    /// <summary>The dose with its load as it is typed into a cell.</summary>
    public string DoseAsTyped => Dose.AsTyped(ExternalKg);

    /// <summary>The same figures as an edit of a plan.</summary>
    public HomeEdit AsEdit() => HomeEdit.From(Line, ExerciseId, Dose, ExternalKg);

    /// <summary>An exercise has the figures of the cell.</summary>
    public bool SameAs(HomeExercise home)
    {
        ArgumentNullException.ThrowIfNull(home);
        var (mine, theirs) = (Dose, home.Dose);
        return (mine.Sets, mine.Target, mine.Tempo, mine.RestSeconds, mine.Rir)
                == (theirs.Sets, theirs.Target, theirs.Tempo, theirs.RestSeconds, theirs.Rir)
            && mine.Techniques.SequenceEqual(theirs.Techniques)
            && SameLoad.IsSame(ExternalKg, home.ExternalKg);
    }
}
