using System.Collections.Immutable;
using Ingegno.Core.Equipment.Loading.Sketches;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Progress.ClientApp;

/// <summary>An exercise of a release with its dose.</summary>
public sealed record ReleaseExercise
{
    /// <summary>Key within the release: line and exercise.</summary>
    public required string Key { get; init; }

    public required LineKey Line { get; init; }

    public required string ExerciseId { get; init; }

    public required string Name { get; init; }

    public required string Setup { get; init; }

    /// <summary>Key of the set-up; empty in older releases.</summary>
    public string SetupId { get; init; } = string.Empty;

    /// <summary>Things and load with which its figure is drawn; null in older releases.</summary>
    public string? DrawnWith { get; init; }

    /// <summary>What is packed for it; null where nothing is.</summary>
    public PackedBag? Bag { get; init; }

    /// <summary>Bands as they are rigged; empty without one.</summary>
    public ImmutableArray<RiggedBand> Bands { get; init; } = [];

    public ImmutableArray<string> Steps { get; init; } = [];

    public string? How { get; init; }

    public ImmutableArray<string> Cues { get; init; } = [];

    /// <summary>What it is for; nothing for an alternative.</summary>
    public Reason Why { get; init; } = Reason.None;

    public ImmutableArray<Reason> Cautions { get; init; } = [];

    /// <summary>What is done differently, for instance after the last rep of a drop set.</summary>
    public ImmutableArray<Reason> Instructions { get; init; } = [];

    /// <summary>The dose as a coach writes it.</summary>
    public required string Figures { get; init; }

    /// <summary>The dose as a client reads it.</summary>
    public required Reason Dose { get; init; }

    public bool Timed { get; init; }

    public bool PerSide { get; init; }

    /// <summary>Phases of a rep in the order in which they are counted; empty for holds.</summary>
    public required ImmutableArray<RepPhase> Phases { get; init; }

    /// <summary>The tempo in words: "down 3, hold 2, up".</summary>
    public required Reason Tempo { get; init; }

    /// <summary>Reps to leave in reserve.</summary>
    public required int Rir { get; init; }

    /// <summary>External load, kg; 0 for none.</summary>
    public required double ExternalKg { get; init; }

    /// <summary>What each set is made of; a course that has fewer sets takes the first ones.</summary>
    public required ImmutableArray<ReleaseSet> Sets { get; init; }

    /// <summary>Seconds from the start of a set to the start of the next, where the sets run by the clock; null where a rest is taken.</summary>
    public int? EverySeconds { get; init; }

    /// <summary>Figures from which the client is asked whether they are meant.</summary>
    public required FigureDoubt Doubt { get; init; }

    /// <summary>The same exercise, lighter or shorter: what is offered first where it hurts. Null for an alternative and in older releases.</summary>
    public Alternative? Lighter { get; init; }

    /// <summary>Joints that it loads; empty in older releases.</summary>
    public ImmutableArray<Joint> Loads { get; init; } = [];

    /// <summary>Exercises that may be taken in its place, best first.</summary>
    public ImmutableArray<Alternative> Alternatives { get; init; } = [];
}

/// <summary>One phase of a rep.</summary>
/// <param name="Word">What it is called, for instance "down".</param>
/// <param name="Seconds">How long, s.</param>
/// <param name="Way">Where the movement goes.</param>
/// <param name="Fast">As fast as possible.</param>
public sealed record RepPhase(string Word, double Seconds, RepWay Way, bool Fast = false);

/// <summary>Where a phase of a rep goes.</summary>
public enum RepWay
{
    /// <summary>Against the load.</summary>
    Work,

    /// <summary>With the load.</summary>
    Return,

    /// <summary>Still, muscle long.</summary>
    HoldLong,

    /// <summary>Still, muscle short.</summary>
    HoldShort,
}

/// <summary>A set: its parts one after the other.</summary>
/// <param name="Parts">A set of one side after the other, with small sets after it, or going on with less.</param>
public sealed record ReleaseSet(ImmutableArray<SetPart> Parts);

/// <summary>Part of a set.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Side">Which side; null for both at once.</param>
/// <param name="Target">Reps or seconds; open for as many as possible.</param>
/// <param name="RestBeforeSeconds">Rest before it, s.</param>
public sealed record SetPart(SetPartKind Kind, BodySide? Side, SetTarget Target, int RestBeforeSeconds)
{
    /// <summary>Reps, or seconds, that are noted where the client says nothing else: what the log takes as planned.</summary>
    public int AsPlanned => Target.IsOpen ? SetTarget.OpenReps : Target.Min;
}

/// <summary>A side of the body.</summary>
public enum BodySide
{
    Left,
    Right,
}

/// <summary>From where a typed figure is doubted.</summary>
/// <param name="MostReps">Reps, or seconds, above which is asked.</param>
/// <param name="MostKg">Load above which is asked, kg.</param>
/// <param name="Reps">What is asked of reps.</param>
/// <param name="Kg">What is asked of a load.</param>
public sealed record FigureDoubt(int MostReps, double MostKg, Reason Reps, Reason Kg);

/// <summary>Why a client takes another exercise.</summary>
public enum SwapReason
{
    TooHard,
    TooEasy,
    Hurts,
    NotHere,
    Dull,
}

/// <summary>An exercise that may be taken in place of another.</summary>
/// <param name="Exercise">It, with a dose for as many sets.</param>
/// <param name="Helps">Reasons for which it is offered.</param>
/// <param name="Spares">Joints that it loads less than what it replaces.</param>
public sealed record Alternative(ReleaseExercise Exercise, ImmutableArray<SwapReason> Helps, ImmutableArray<Joint> Spares);

/// <summary>What pain does on the spot.</summary>
/// <param name="EaseFrom">Pain of 10 from which the exercise is eased.</param>
/// <param name="StopFrom">Pain of 10 from which it is stopped, as it is when sharp.</param>
/// <param name="Ease">What to do then.</param>
/// <param name="Stop">What to do then.</param>
/// <param name="StopSigns">When training ends at once.</param>
public sealed record PainOnTheSpot(int EaseFrom, int StopFrom, Reason Ease, Reason Stop, Reason StopSigns);

/// <summary>How a client is today.</summary>
/// <param name="Id">Key, for instance <c>slept-badly</c>.</param>
/// <param name="Label">As a client says it.</param>
/// <param name="Advice">What follows for today.</param>
/// <param name="RepsLess">How many reps, or times five seconds of a hold, each target is lower today.</param>
public sealed record DayForm(string Id, Reason Label, Reason Advice, int RepsLess = 0);
