using System.Collections.Immutable;
using System.Security.Cryptography;
using System.Text.Json;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Web.Features;

/// <summary>A rebuilt week as far as a sheet shows it; what else is known of a line comes when it is opened.</summary>
/// <param name="Plan">The week.</param>
/// <param name="Errors">Lines that could not be read.</param>
public sealed record RebuiltWeek(WeekInBrief Plan, ImmutableArray<ShorthandError> Errors)
{
    /// <summary>Every row of the text as it was understood.</summary>
    public ImmutableArray<ReadRow> Rows { get; init; } = [];

    /// <summary>The lines with their keys, for the next request.</summary>
    public ImmutableArray<KeyedLine> Keyed { get; init; } = [];

    /// <summary>Lines that were asked for, with all that is known of what is taken, their candidates and what was ruled out.</summary>
    public ImmutableArray<OpenedLine> Opened { get; init; } = [];

    /// <summary>Lines that are as the caller has seen them; they are not said again.</summary>
    public ImmutableArray<LineKey> Same { get; init; } = [];

    /// <summary>What a rebuild gives, in brief.</summary>
    /// <param name="result">The rebuild.</param>
    /// <param name="open">Lines that are wanted whole; a line that is not there is left out.</param>
    /// <param name="seen">Lines that the caller has, by their marks.</param>
    public static RebuiltWeek From(RebuildResult result, IReadOnlyCollection<LineKey> open, IReadOnlyCollection<SeenLine> seen)
    {
        ArgumentNullException.ThrowIfNull(result);
        ImmutableArray<LineInBrief> lines = [.. result.Plan.Lines.Select(LineInBrief.From)];
        var known = seen.DistinctBy(s => s.Line).ToDictionary(s => s.Line, s => s.Mark);
        bool IsSame(LineInBrief line) => known.GetValueOrDefault(line.Gym.Key) == line.Mark;
        return new RebuiltWeek(WeekInBrief.From(result.Plan, [.. lines.Where(l => !IsSame(l))]), result.Errors)
        {
            Rows = [.. result.Rows.Select(r => r with { Fields = [] })], // the words are known from the reading of the text
            Keyed = result.Keyed,
            Opened = OpenedLine.Of(result.Plan, open),
            Same = [.. lines.Where(IsSame).Select(l => l.Gym.Key)],
        };
    }
}

/// <summary>A line that a caller has.</summary>
/// <param name="Line">Its key.</param>
/// <param name="Mark">Its mark.</param>
public sealed record SeenLine(LineKey Line, string Mark);

/// <summary>A home plan without what only an opened line shows.</summary>
/// <param name="Lines">Its lines in the order of the text.</param>
/// <param name="HardSets">Hard sets per muscle, gym beside home.</param>
/// <param name="Days">The days of the week.</param>
/// <param name="Kept">Work of the gym week that is kept as written.</param>
/// <param name="Notices">What the coach should know about the whole.</param>
/// <param name="Findings">What the plan check finds.</param>
/// <param name="Standing">What stands, for the next decision.</param>
public sealed record WeekInBrief(
    ImmutableArray<LineInBrief> Lines,
    ImmutableArray<MuscleSets> HardSets,
    ImmutableArray<DayInBrief> Days,
    ImmutableArray<KeptLine> Kept,
    ImmutableArray<PlanNotice> Notices,
    ImmutableArray<Finding> Findings,
    ImmutableArray<StandingLine> Standing
)
{
    internal static WeekInBrief From(HomePlan plan, ImmutableArray<LineInBrief> lines) =>
        new(lines, plan.HardSets, [.. plan.Days.Select(DayInBrief.From)], plan.Kept, plan.Notices, plan.Findings, plan.Standing);
}

/// <summary>A day of the sheet; how to warm up stands on the hand-out.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Minutes">Minutes of its session.</param>
/// <param name="Blocks">What is done with what, in order.</param>
/// <param name="Cut">What was done to fit the client's minutes.</param>
public sealed record DayInBrief(string Name, SessionMinutes Minutes, ImmutableArray<RoundGroup> Blocks, ImmutableArray<Reason> Cut)
{
    internal static DayInBrief From(HomeDay day) => new(day.Name, day.Minutes, day.Groups, day.Cut);
}

/// <summary>A line of the sheet.</summary>
/// <param name="Gym">The gym line.</param>
/// <param name="GymExerciseName">Name of its exercise.</param>
/// <param name="GymDose">Its dose in shorthand.</param>
/// <param name="GymDetails">Effort, load, tempo, rest and method of it in shorthand.</param>
/// <param name="GymSaid">What its name says beyond the exercise.</param>
/// <param name="Role">What it is for.</param>
/// <param name="Chosen">What is taken; null when nothing is.</param>
/// <param name="LeftOut">The client's minutes have no room for it.</param>
/// <param name="Locked">The coach made the choice.</param>
public sealed record LineInBrief(
    GymLineInBrief Gym,
    string GymExerciseName,
    string GymDose,
    string GymDetails,
    ImmutableArray<string> GymSaid,
    LineRole Role,
    CandidateInBrief? Chosen,
    bool LeftOut,
    bool Locked
)
{
    /// <summary>Differs when anything of the line does: by it a caller says what it has.</summary>
    public string Mark { get; init; } = string.Empty;

    internal static LineInBrief From(HomeLine line)
    {
        var brief = new LineInBrief(
            new GymLineInBrief(line.Gym.Key, line.Gym.Line, line.Gym.Day, line.Gym.Label, line.Gym.ExerciseId, line.Gym.Note),
            line.GymExerciseName,
            line.GymDose,
            line.GymDetails,
            line.GymSaid,
            line.Role,
            line.Chosen is { } chosen ? CandidateInBrief.From(chosen) : null,
            line.LeftOut,
            line.Locked
        );
        return brief with { Mark = MarkOf(brief) };
    }

    private static string MarkOf(LineInBrief line) =>
        Convert.ToHexStringLower(SHA256.HashData(JsonSerializer.SerializeToUtf8Bytes(line, RulesJson.Lenient)).AsSpan(0, 8));
}

/// <summary>Where a gym line stands and what it is called there.</summary>
/// <param name="Key">What it is known by.</param>
/// <param name="Line">Row of the text, 1 first.</param>
/// <param name="Day">Day of the week, 0 first.</param>
/// <param name="Label">Superset label; null when none.</param>
/// <param name="ExerciseId">Exercise of the catalogue.</param>
/// <param name="Note">Free note; null when none.</param>
public sealed record GymLineInBrief(LineKey Key, int Line, int Day, string? Label, string ExerciseId, string? Note);

/// <summary>What is taken for a line, as the sheet shows it.</summary>
/// <param name="Id">Key by which it is chosen.</param>
/// <param name="Name">Name.</param>
/// <param name="Match">Weighted match, 0–1.</param>
/// <param name="Parts">Its parts, for the joint.</param>
/// <param name="Exercises">One exercise, or the two halves of a pair.</param>
public sealed record CandidateInBrief(
    string Id,
    string Name,
    double Match,
    ImmutableArray<PartInBrief> Parts,
    ImmutableArray<ExerciseInBrief> Exercises
)
{
    internal static CandidateInBrief From(Candidate chosen) =>
        new(
            chosen.Id,
            chosen.Name,
            Math.Round(chosen.Match, 4),
            [.. chosen.Parts.Select(p => new PartInBrief(p.Part, Math.Round(p.Score, 3)))],
            [.. chosen.Exercises.Select(ExerciseInBrief.From)]
        );
}

/// <summary>A line with what is known of it.</summary>
/// <param name="Line">Its key.</param>
/// <param name="Chosen">What is taken; null when nothing is.</param>
/// <param name="Candidates">All proposals in brief, best first.</param>
/// <param name="RuledOut">Relevant exercises that cannot be used here, with reasons.</param>
/// <param name="Better">What would make the line better.</param>
public sealed record OpenedLine(
    LineKey Line,
    Candidate? Chosen,
    ImmutableArray<CandidateInBrief> Candidates,
    ImmutableArray<RuledOut> RuledOut,
    ImmutableArray<Reason> Better
)
{
    /// <summary>The lines of a plan that are opened; one that is not there is left out.</summary>
    internal static ImmutableArray<OpenedLine> Of(HomePlan plan, IReadOnlyCollection<LineKey> lines) =>
        [
            .. from line in plan.Lines
            where lines.Contains(line.Gym.Key)
            select new OpenedLine(
                line.Gym.Key,
                line.Chosen,
                [.. line.Candidates.Select(CandidateInBrief.From)],
                line.RuledOut,
                line.Better
            ),
        ];
}

/// <summary>A part of a match.</summary>
/// <param name="Part">Which part.</param>
/// <param name="Score">0 nothing kept, 1 fully kept.</param>
public sealed record PartInBrief(MatchPart Part, double Score);

/// <summary>A home exercise with its set-up in words and its dose.</summary>
/// <param name="ExerciseId">The exercise.</param>
/// <param name="Name">Its name.</param>
/// <param name="SetupId">Its set-up.</param>
/// <param name="DrawnWith">Things with which its figure is drawn; null without any.</param>
/// <param name="Setup">The set-up in words.</param>
/// <param name="ExternalKg">External load, kg.</param>
/// <param name="ExpectedReps">Expected reps to failure in words; null where reps are not the measure.</param>
/// <param name="EditedByCoach">A coach set figures of it.</param>
/// <param name="Dose">What to do.</param>
/// <param name="Effect">What the dose comes to.</param>
public sealed record ExerciseInBrief(
    string ExerciseId,
    string Name,
    string SetupId,
    string? DrawnWith,
    string Setup,
    double ExternalKg,
    string? ExpectedReps,
    bool EditedByCoach,
    DoseInBrief Dose,
    DoseEffect? Effect
)
{
    internal static ExerciseInBrief From(HomeExercise home) =>
        new(
            home.ExerciseId,
            home.Name,
            home.SetupId,
            home.DrawnWith,
            home.Setup,
            home.ExternalKg,
            home.ExpectedReps,
            home.EditedByCoach,
            DoseInBrief.From(home),
            home.Effect
        );
}

/// <summary>A dose in figures as they are read and typed.</summary>
/// <param name="Figures">Sets and reps.</param>
/// <param name="Typed">All of it as it is typed into a cell.</param>
/// <param name="Timed">Counted in seconds.</param>
/// <param name="Tempo">Tempo.</param>
/// <param name="RestSeconds">Rest after a set.</param>
/// <param name="Rir">Reps in reserve.</param>
public sealed record DoseInBrief(string Figures, string Typed, bool Timed, Tempo Tempo, int RestSeconds, int Rir)
{
    internal static DoseInBrief From(HomeExercise home) =>
        new(home.Dose.Figures, home.DoseAsTyped, home.Dose.Timed, home.Dose.Tempo, home.Dose.RestSeconds, home.Dose.Rir);
}
