using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>A self-contained request: the client, the kit of the place, the gym week in shorthand, the coach's choices.</summary>
public sealed record RebuildRequest
{
    public required ClientProfile Client { get; init; }

    public required PlaceKit Kit { get; init; }

    /// <summary>Gym week in shorthand, one line per exercise, with headings for its days.</summary>
    public required ImmutableArray<string> GymLines { get; init; }

    /// <summary>
    /// The lines as they were last read, as a rebuild gives them: by them lines keep their keys when the text is edited. Empty for a
    /// text that is read for the first time; its lines get their places for keys.
    /// </summary>
    public ImmutableArray<KeyedLine> Keyed { get; init; } = [];

    /// <summary>Choices of the coach that the engine keeps.</summary>
    public ImmutableArray<CoachChoice> Choices { get; init; } = [];

    /// <summary>Figures of home lines that the coach set.</summary>
    public ImmutableArray<HomeEdit> Edits { get; init; } = [];

    /// <summary>What stands though nobody decided on it, under the coach's figures; null where the engine has every line.</summary>
    public StandingWeek? Stands { get; init; }

    /// <summary>Approach that the week follows; null for the client's.</summary>
    public string? Approach { get; init; }

    /// <summary>Phase of the week's approach in a block; null outside one. Days with an approach of their own stay out of it.</summary>
    public string? Phase { get; init; }

    /// <summary>Days that follow another approach than the week.</summary>
    public ImmutableArray<DayApproach> DayApproaches { get; init; } = [];

    /// <summary>
    /// What stood in the plan before, for instance with another kit or in the week before: it gets a small head start,
    /// so that only what must change does.
    /// </summary>
    public ImmutableArray<StoodBefore> Before { get; init; } = [];

    /// <summary>Days are cut to the client's minutes, and each cut is said; otherwise they take what they take.</summary>
    public bool FitToMinutes { get; init; } = true;

    /// <summary>The last set of what was never logged is open where that is safe, so that the log can set the dose.</summary>
    public bool Calibrate { get; init; }

    /// <summary>Exercises that hurt and rest, one a line.</summary>
    public ImmutableArray<RestingExercise> Resting { get; init; } = [];

    /// <summary>Findings of the plan check that the coach accepts, with the reason.</summary>
    public ImmutableArray<AcceptedFinding> Accepted { get; init; } = [];

    /// <summary>Key of the approach that a day follows: its own, the week's, or the client's.</summary>
    public string? ApproachOn(string day) => OwnApproachOf(day) ?? Approach ?? Client.Approach;

    /// <summary>The approach that a day follows, in the phase of its week.</summary>
    public Knowledge.Rules.Approach ApproachOn(string day, DomainRules domain)
    {
        ArgumentNullException.ThrowIfNull(domain);
        return domain.ApproachOf(ApproachOn(day)).InPhase(OwnApproachOf(day) is null ? Phase : null);
    }

    private string? OwnApproachOf(string day) => DayApproaches.LastOrDefault(a => a.Day == day)?.Approach;
}
