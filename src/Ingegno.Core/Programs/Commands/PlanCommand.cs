using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Commands;

/// <summary>What a coach decides about a home plan. <see cref="PlanDecisions"/> makes a new plan of it.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(ChooseCandidate), "choose-candidate")]
[JsonDerivedType(typeof(LeaveToEngine), "leave-to-engine")]
[JsonDerivedType(typeof(SetRole), "set-role")]
[JsonDerivedType(typeof(LeaveOutExercise), "leave-out-exercise")]
[JsonDerivedType(typeof(SetFigures), "set-figures")]
[JsonDerivedType(typeof(RepeatFigures), "repeat-figures")]
[JsonDerivedType(typeof(TakeRemedy), "take-remedy")]
[JsonDerivedType(typeof(AcceptFinding), "accept-finding")]
[JsonDerivedType(typeof(FollowApproach), "follow-approach")]
[JsonDerivedType(typeof(FitToMinutes), "fit-to-minutes")]
[JsonDerivedType(typeof(Calibrate), "calibrate")]
[JsonDerivedType(typeof(AcceptProposals), "accept-proposals")]
[JsonDerivedType(typeof(TakeWeek), "take-week")]
[JsonDerivedType(typeof(KeepStanding), "keep-standing")]
public abstract record PlanCommand
{
    /// <summary>Keys of the lines that a coach points at; none where a decision is about the plan, or takes what stood in another
    /// one.</summary>
    public virtual ImmutableArray<LineKey> PointsAt() => [];

    /// <summary>Whether it is about a line: what it changes elsewhere is to be told (<see cref="PlanChanges"/>).</summary>
    /// <param name="line">The line as it stands.</param>
    public virtual bool IsAbout(StandingLine line)
    {
        ArgumentNullException.ThrowIfNull(line);
        var lines = PointsAt();
        return lines.IsEmpty || lines.Contains(line.Line);
    }
}

/// <summary>Takes a candidate for a line and keeps it; what was said of its role stays.</summary>
/// <param name="Line">Key of the line.</param>
/// <param name="CandidateId">Key of the candidate.</param>
public sealed record ChooseCandidate(LineKey Line, string CandidateId) : PlanCommand
{
    public override ImmutableArray<LineKey> PointsAt() => [Line];
}

/// <summary>Leaves a line to the engine again; what was said of its role stays.</summary>
/// <param name="Line">Key of the line.</param>
public sealed record LeaveToEngine(LineKey Line) : PlanCommand
{
    public override ImmutableArray<LineKey> PointsAt() => [Line];
}

/// <summary>Says what a line is for; a candidate that was taken stays.</summary>
/// <param name="Line">Key of the line.</param>
/// <param name="Role">The role; null leaves it to be inferred.</param>
public sealed record SetRole(LineKey Line, LineRole? Role) : PlanCommand
{
    public override ImmutableArray<LineKey> PointsAt() => [Line];
}

/// <summary>Drops the choices that have an exercise, alone or in a pair: the client does not do it any more.</summary>
/// <param name="ExerciseId">The exercise.</param>
public sealed record LeaveOutExercise(string ExerciseId) : PlanCommand
{
    public override bool IsAbout(StandingLine line)
    {
        ArgumentNullException.ThrowIfNull(line);
        return line.CandidateId.Split('+').Contains(ExerciseId);
    }
}

/// <summary>Sets figures of home exercises over those set before; what an edit leaves open stays as it was.</summary>
/// <param name="Edits">The figures.</param>
public sealed record SetFigures(ImmutableArray<HomeEdit> Edits) : PlanCommand
{
    public override ImmutableArray<LineKey> PointsAt() => [.. Edits.Select(e => e.Line)];
}

/// <summary>Sets the same figures on other lines. A load belongs to its exercise and does not go along.</summary>
/// <param name="Figures">The figures.</param>
/// <param name="Lines">Keys of the lines that get them, on each of their exercises.</param>
public sealed record RepeatFigures(HomeEdit Figures, ImmutableArray<LineKey> Lines) : PlanCommand
{
    public override ImmutableArray<LineKey> PointsAt() => Lines;
}

/// <summary>Does what a finding proposes.</summary>
/// <param name="Remedy">The remedy.</param>
public sealed record TakeRemedy(Remedy Remedy) : PlanCommand
{
    public override ImmutableArray<LineKey> PointsAt() => [.. Remedy.Edits.Select(e => e.Line), .. Remedy.Choices.Select(c => c.Line)];
}

/// <summary>Lets a finding stand, with the reason; an empty one takes that back.</summary>
/// <param name="Key">Key of the finding.</param>
/// <param name="Note">The reason.</param>
public sealed record AcceptFinding(string Key, string Note) : PlanCommand
{
    public override bool IsAbout(StandingLine line) => false;
}

/// <summary>
/// Follows another approach in the week, or on a day. A day that follows the week's needs none of its own; another approach of the
/// week ends the phase that a block had brought it to.
/// </summary>
/// <param name="Approach">Key of the approach.</param>
/// <param name="Day">Name of the day; null for the week.</param>
public sealed record FollowApproach(string Approach, string? Day = null) : PlanCommand
{
    public override bool IsAbout(StandingLine line)
    {
        ArgumentNullException.ThrowIfNull(line);
        return Day is null || Day == line.Day;
    }
}

/// <summary>Cuts the days to the client's minutes, or lets them take what they take.</summary>
/// <param name="On">Whether they are cut.</param>
public sealed record FitToMinutes(bool On) : PlanCommand;

/// <summary>Opens the last set of what was never logged, so that the log can set the dose, or closes it again.</summary>
/// <param name="On">Whether it is open.</param>
public sealed record Calibrate(bool On) : PlanCommand;

/// <summary>
/// Accepts proposals for the next session. What was trained stays, whatever the engine would choose or prescribe today: lines that
/// nobody decided on to the gram, accepted ones in their set-up; a step to another exercise takes that as it was shown.
/// </summary>
/// <param name="Proposals">What is accepted.</param>
public sealed record AcceptProposals(ImmutableArray<AcceptedProposal> Proposals) : PlanCommand
{
    public override bool IsAbout(StandingLine line)
    {
        ArgumentNullException.ThrowIfNull(line);
        return Proposals.Any(p => p.Line == line.Line);
    }
}

/// <summary>Keeps lines as they stand, to the gram: what is decided on others leaves them alone.</summary>
/// <param name="Lines">Keys of the lines.</param>
public sealed record KeepStanding(ImmutableArray<LineKey> Lines) : PlanCommand
{
    public override ImmutableArray<LineKey> PointsAt() => Lines;

    public override bool IsAbout(StandingLine line) => false;
}

/// <summary>Takes a week of a block: its approach and phase, the exercises as they are, every figure of its cells.</summary>
/// <param name="Approach">Approach of the week; null for that of the plan.</param>
/// <param name="Phase">Phase of that approach; null for the approach as it is.</param>
/// <param name="Cells">Figures of its cells.</param>
public sealed record TakeWeek(string? Approach, string? Phase, ImmutableArray<HomeEdit> Cells) : PlanCommand;
