using System.Collections.Immutable;
using Ingegno.Core.Auditing;
using Ingegno.Core.Catalogue;
using Ingegno.Core.Clients;
using Ingegno.Core.Kit;
using Ingegno.Core.Matching;
using Ingegno.Core.Programs;
using Ingegno.Core.Sessions;

namespace Ingegno.Core.Rebuilding;

/// <summary>A self-contained request: the client, the kit of the place, the gym week in shorthand, the coach's choices.</summary>
public sealed record RebuildRequest
{
    public required ClientProfile Client { get; init; }

    public required PlaceKit Kit { get; init; }

    /// <summary>Gym week in shorthand, one line per exercise, with headings for its days.</summary>
    public required ImmutableArray<string> GymLines { get; init; }

    /// <summary>Choices of the coach that the engine keeps.</summary>
    public ImmutableArray<CoachChoice> Choices { get; init; } = [];

    /// <summary>Figures of home lines that the coach set.</summary>
    public ImmutableArray<HomeEdit> Edits { get; init; } = [];

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

    /// <summary>Findings of the plan check that the coach accepts, with the reason.</summary>
    public ImmutableArray<AcceptedFinding> Accepted { get; init; } = [];

    /// <summary>Key of the approach that a day follows: its own, the week's, or the client's.</summary>
    public string? ApproachOn(string day) => OwnApproachOf(day) ?? Approach ?? Client.Approach;

    /// <summary>The approach that a day follows, in the phase of its week.</summary>
    public Prescribing.Approach ApproachOn(string day, Trade trade)
    {
        ArgumentNullException.ThrowIfNull(trade);
        return trade.ApproachOf(ApproachOn(day)).InPhase(OwnApproachOf(day) is null ? Phase : null);
    }

    private string? OwnApproachOf(string day) => DayApproaches.LastOrDefault(a => a.Day == day)?.Approach;
}

/// <summary>A day that follows an approach of its own.</summary>
public sealed record DayApproach(string Day, string Approach);

/// <summary>What stood for a gym exercise before.</summary>
/// <param name="GymExerciseId">Exercise of the gym line.</param>
/// <param name="CandidateId">What was taken for it.</param>
/// <param name="Day">Name of its day; null for any.</param>
public sealed record StoodBefore(string GymExerciseId, string CandidateId, string? Day = null);

/// <summary>A choice of the coach for the gym line on a line of the text.</summary>
/// <param name="Line">Line of the text, 1 first.</param>
/// <param name="CandidateId">Candidate taken, for instance <c>band-face-pull</c> or two ids joined by a plus sign; null to leave it to the engine.</param>
/// <param name="Role">Role set by the coach; null to infer it.</param>
public sealed record CoachChoice(int Line, string? CandidateId = null, LineRole? Role = null);

/// <summary>The home plan of a week; a text without headings is one day without a name.</summary>
public sealed record HomePlan
{
    public required ImmutableArray<HomeLine> Lines { get; init; }

    /// <summary>Hard sets per muscle, gym beside home: prime mover 1, synergist ½ a set.</summary>
    public required ImmutableArray<MuscleSets> HardSets { get; init; }

    /// <summary>The days of the week in their order.</summary>
    public ImmutableArray<HomeDay> Days { get; init; } = [];

    /// <summary>What the coach should know about the whole: missing kit, estimates, choices that could not be kept.</summary>
    public required ImmutableArray<PlanNotice> Notices { get; init; }

    /// <summary>What the plan check finds, the gravest first.</summary>
    public ImmutableArray<Finding> Findings { get; init; } = [];
}

/// <summary>A day of the home plan.</summary>
/// <param name="Name">Name of the day, empty when the text has no headings.</param>
/// <param name="Minutes">Minutes of its session.</param>
public sealed record HomeDay(string Name, SessionMinutes Minutes)
{
    /// <summary>What is done with what, in order.</summary>
    public ImmutableArray<SessionBlock> Blocks { get; init; } = [];

    /// <summary>What was done to fit the client's minutes, in sentences; empty when nothing had to give way.</summary>
    public ImmutableArray<string> Cut { get; init; } = [];

    /// <summary>Warm-up fitted to the day, in order.</summary>
    public ImmutableArray<string> WarmUp { get; init; } = [];

    /// <summary>Cool-down fitted to the day, in order.</summary>
    public ImmutableArray<string> CoolDown { get; init; } = [];
}

/// <summary>One gym line and what takes its place.</summary>
public sealed record HomeLine
{
    public required GymLine Gym { get; init; }

    public required string GymExerciseName { get; init; }

    /// <summary>The gym line's dose in shorthand.</summary>
    public required string GymDose { get; init; }

    public required LineRole Role { get; init; }

    /// <summary>What is taken; null when nothing in the catalogue serves.</summary>
    public Candidate? Chosen { get; init; }

    /// <summary>True when the coach made the choice.</summary>
    public bool Locked { get; init; }

    /// <summary>All proposals, best first, the chosen one among them.</summary>
    public ImmutableArray<Candidate> Candidates { get; init; } = [];

    /// <summary>Relevant exercises that cannot be used here, with reasons.</summary>
    public ImmutableArray<RuledOut> RuledOut { get; init; } = [];

    /// <summary>What would make the line better.</summary>
    public ImmutableArray<string> Better { get; init; } = [];
}

/// <summary>Hard sets of one muscle.</summary>
public sealed record MuscleSets(Muscle Muscle, double Gym, double Home);

/// <summary>Minutes of the session at home, warm-up and cool-down included.</summary>
/// <param name="Total">Estimated minutes.</param>
/// <param name="Limit">The client's minutes, null when not set.</param>
public sealed record SessionMinutes(int Total, int? Limit = null);

/// <summary>How much a notice matters.</summary>
public enum NoticeLevel { Info, Warning }

/// <summary>A remark about the whole plan.</summary>
public sealed record PlanNotice(string Code, NoticeLevel Level, string Text);

/// <summary>What a rebuild gives: the plan of the lines that could be read, and what is wrong with the others.</summary>
public sealed record RebuildResult(HomePlan Plan, ImmutableArray<ShorthandError> Errors);
