using System.Collections.Immutable;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.SetSchemes;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>
/// One step of an intensity technique that changes the tempo: how it changes it, and which share of the straight-set
/// reps is left. Data: <c>data/rules/techniques.json</c>.
/// </summary>
public sealed record Technique
{
    /// <summary>Key of this step, for instance <c>slow-eccentric-5</c>.</summary>
    public required string Id { get; init; }

    /// <summary>The technique it belongs to; a line takes one step of a technique at most.</summary>
    public required string Of { get; init; }

    public required string Label { get; init; }

    /// <summary>What the client does, in a sentence.</summary>
    public required string How { get; init; }

    /// <summary>Share of straight-set reps left, above 0, at most 1.</summary>
    public required double RepsLeft { get; init; }

    /// <summary>How gladly a coach takes it, 1 first.</summary>
    public required int Order { get; init; }

    /// <summary>Eccentric in seconds, when the technique sets it.</summary>
    public int? Eccentric { get; init; }

    /// <summary>Pause in seconds at the point where the exercise is hard, when the technique sets it.</summary>
    public int? Pause { get; init; }

    /// <summary>Concentric in seconds, when the technique sets it.</summary>
    public int? Concentric { get; init; }

    /// <summary>How many times as long a rep lasts beside what the tempo says: a rep and a half 1.5.</summary>
    public double TimesAsLong { get; init; } = 1;

    /// <summary>The concentric is done as fast as possible.</summary>
    public bool Explosive { get; init; }

    /// <summary>Techniques that an exercise must name for this one to fit; empty when its own name decides.</summary>
    public ImmutableArray<string> Requires { get; init; } = [];

    /// <summary>How the sets run, when the technique changes that and not the rep.</summary>
    public SetScheme? Scheme { get; init; }

    /// <summary>What must be at the place; null when nothing is needed.</summary>
    public Requirement? Needs { get; init; }

    /// <summary>It fits exercises that do not name it, within the limits below.</summary>
    public bool Everywhere { get; init; }

    /// <summary>Only this structure; null for any.</summary>
    public ExerciseStructure? Structure { get; init; }

    /// <summary>Only this half of the body; null for both.</summary>
    public BodyRegion? Region { get; init; }

    /// <summary>Lowest level that is trusted with it.</summary>
    public Level From { get; init; }

    /// <summary>Taken only where the approach prefers it, or a coach does.</summary>
    public bool ByChoice { get; init; }

    /// <summary>Left out with high blood pressure.</summary>
    public bool NotWithHighBloodPressure { get; init; }

    /// <summary>What to take care of, in a sentence.</summary>
    public string? Caution { get; init; }

    /// <summary>The tempo with this technique applied.</summary>
    /// <param name="tempo">As it is without.</param>
    /// <param name="pausedAt">The end of the range at which the exercise is held.</param>
    public Tempo ApplyTo(Tempo tempo, Profile pausedAt)
    {
        var changed = tempo with
        {
            Eccentric = Math.Max(tempo.Eccentric, Eccentric ?? 0),
            Concentric = tempo.Explosive || Explosive ? 0 : Math.Max(tempo.Concentric, Concentric ?? 0),
            Explosive = tempo.Explosive || Explosive,
        };
        if (Pause is not { } pause)
        {
            return changed;
        }

        return pausedAt == Profile.Shortened
            ? changed with
            {
                PauseShortened = Math.Max(tempo.PauseShortened, pause),
            }
            : changed with
            {
                PauseStretched = Math.Max(tempo.PauseStretched, pause),
            };
    }
}
