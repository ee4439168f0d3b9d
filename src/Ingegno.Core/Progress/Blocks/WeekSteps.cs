using System.Collections.Immutable;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Rebuilding.Dosing;
using Ingegno.Core.Rebuilding.Weeks;

namespace Ingegno.Core.Progress.Blocks;

/// <summary>How an exercise stands in a week before the week is shaped.</summary>
/// <param name="Home">The exercise with its full sets.</param>
/// <param name="Step">How it came from the week before.</param>
/// <param name="Reason">Why.</param>
internal sealed record WeekState(HomeExercise Home, Decision? Step, Reason Reason);

/// <summary>The steps of an exercise from week to week, when every set is done as written.</summary>
internal sealed class WeekSteps
{
    private readonly DomainRules _domain;
    private readonly PhaseStarts _phases;
    private readonly NextSession _next;
    private readonly RebuildRequest _request;
    private readonly HomeEdits _edits;
    private readonly Dictionary<HomePlan, ImmutableArray<(LineKey Line, ProgressionContext Context)>> _contexts = [];

    public WeekSteps(DomainRules domain, RebuildRequest request, PhaseStarts phases, NextSession next)
    {
        (_domain, _request, _phases, _next) = (domain, request, phases, next);
        _edits = new HomeEdits([], new ClientAtPlace(request.Client, request.Kit, domain));
    }

    /// <summary>The first week that is laid out.</summary>
    public WeekState First(LineKey line, HomeExercise now, BlockSetup setup, int week, bool taken) =>
        taken || _phases.InForce(week)
            ? new WeekState(now with { Dose = LighterWeek.Full(now.Dose) }, null, Reason.Of("week.as-plan"))
            : Start(line, now, setup, week);

    /// <summary>A week after another.</summary>
    public WeekState After(WeekState before, LineKey line, BlockSetup setup, int week)
    {
        if (setup.PhaseOf(week) != setup.PhaseOf(week - 1))
        {
            return Closed(Start(line, before.Home, setup, week));
        }

        if (BlockShape.KindOf(setup, week) != WeekKind.Build)
        {
            return before with { Step = Decision.Deload, Reason = Reason.Of("week.same-load") };
        }

        if (BlockShape.KindOf(setup, week - 1) != WeekKind.Build)
        {
            return before with { Step = Decision.Resume, Reason = Reason.Of("week.on") };
        }

        return Closed(Advance(before, line, week));
    }

    /// <summary>A calibration is done once, in the first week.</summary>
    private static WeekState Closed(WeekState state) => state with { Home = state.Home with { Dose = Calibration.Close(state.Home.Dose) } };

    /// <summary>The cell of a week, and how the exercise goes on from it.</summary>
    public (BlockCell Cell, WeekState GoesOn) Cell(
        WeekState state,
        HomeExercise now,
        LineKey line,
        int week,
        BlockSetup setup,
        BlockEdit? edit,
        bool taken
    )
    {
        var kind = BlockShape.KindOf(setup, week);
        var light = kind != WeekKind.Build;
        var shown = state.Home with { Dose = taken ? now.Dose : BlockShape.Shaped(state.Home.Dose, kind, _domain.Blocks) };
        var goesOn = state;
        if (edit is not null)
        {
            shown = _edits.Apply(shown, Kept(edit.Figures, shown), Gym(line, week));
            goesOn = light || edit.OnlyThisWeek ? state : state with { Home = shown };
        }

        var cell = new BlockCell
        {
            Line = line,
            ExerciseId = shown.ExerciseId,
            Name = shown.Name,
            Dose = shown.Dose with { BlockWeek = null, DecidedAfter = null, Reason = Reason.None, Instructions = [] },
            ExternalKg = shown.ExternalKg,
            Step = state.Step,
            Reason = edit is null ? state.Reason : Reason.Of(edit.OnlyThisWeek || light ? "week.this-alone" : "week.from-here"),
            SetByCoach = edit is not null,
            Reserve = Reserve(shown),
            Asks = Asks(shown),
        };
        return (cell, goesOn);
    }

    private WeekState Start(LineKey line, HomeExercise now, BlockSetup setup, int week)
    {
        var start = _phases.Exercise(line, now, week);
        return new WeekState(
            start with
            {
                Dose = LighterWeek.Full(start.Dose),
            },
            null,
            Reason.Of("week.phase-starts", ("phase", setup.PhaseOf(week).Name))
        );
    }

    /// <summary>Double progression after a week in which every set was done as written.</summary>
    private WeekState Advance(WeekState before, LineKey line, int week)
    {
        var home = before.Home with { Dose = before.Home.Dose with { DecidedAfter = null, SetsBefore = null } };
        if (Context(line, home.ExerciseId, week) is not { } context)
        {
            return before with { Step = Decision.Repeat, Reason = Reason.Of("week.again") };
        }

        var day = new LineDay(default, AsWritten(home), null);
        var said = DoubleProgression.Next(line, context with { Home = home }, new LineHistory([day, day], default, null));
        var figures = new HomeEdit
        {
            Line = line,
            ExerciseId = home.ExerciseId,
            Sets = said.Dose.Sets,
            Target = said.Dose.Target,
            Zone = said.Dose.Zone,
            Tempo = said.Dose.Tempo,
            RestSeconds = said.Dose.RestSeconds,
            Rir = said.Dose.Rir,
            ExternalKg = SameLoad.IsSame(said.ExternalKg, home.ExternalKg) ? null : said.ExternalKg,
        };
        return new WeekState(_edits.Apply(home, figures, Gym(line, week)), said.Decision, said.Reason);
    }

    private ImmutableArray<LoggedSet> AsWritten(HomeExercise home)
    {
        // Nothing in reserve is what was asked for; a note of it would read as a set that went wrong.
        var rir = home.Dose.Rir > 0 ? home.Dose.Rir : (int?)null;
        return [.. Reps(home).Select(reps => new LoggedSet { Reps = reps, Rir = rir })];
    }

    /// <summary>
    /// Reps of each set when it is done as written: the bottom of the target, or past a full zone its top. A bottom that was lowered
    /// out of care is no prediction: there the sets have what is expected of them, up to the goal.
    /// </summary>
    private IEnumerable<int> Reps(HomeExercise home)
    {
        var (dose, target, zone) = (home.Dose, home.Dose.Target, home.Dose.Zone);
        if (target.IsOpen)
        {
            return Enumerable.Repeat(Math.Max(1, (int)(home.RepsToFailure ?? SetTarget.OpenReps) - dose.Rir), dose.Sets);
        }

        if (zone is { IsOpen: false } && target.Min < zone.Min && home.RepsToFailure is > 0 and var able)
        {
            var most = Math.Min(target.Max, zone.Min);
            return _domain
                .Fatigue.BySet(able, dose.Sets, dose.RestSeconds, dose.Rir)
                .Select(r => Math.Clamp((int)r - dose.Rir, target.Min, Math.Max(most, target.Min)));
        }

        var pastZone = zone is { IsOpen: false } && zone.Max > zone.Min && target.Min >= zone.Max;
        return Enumerable.Repeat(pastZone ? target.Max : target.Min, dose.Sets);
    }

    /// <summary>A target that was typed inside the zone moves in it; one outside is a zone of its own.</summary>
    private static HomeEdit Kept(HomeEdit typed, HomeExercise at)
    {
        var zone = at.Dose.Zone ?? at.Dose.Target;
        var inside = typed.Target is null || (!zone.IsOpen && typed.Target.Min >= zone.Min && typed.Target.Max <= zone.Max);
        return typed with { Zone = typed.Zone ?? (inside ? zone : null), SetsBefore = at.Dose.SetsBefore };
    }

    private GymLine Gym(LineKey line, int week) => _phases.At(week).Lines.First(l => l.Gym.Key == line).Gym;

    private ProgressionContext? Context(LineKey line, string exerciseId, int week)
    {
        var plan = _phases.At(week);
        if (!_contexts.TryGetValue(plan, out var contexts))
        {
            _contexts[plan] = contexts = _next.Contexts(_request.Client, _request.Kit, plan.Lines);
        }

        return contexts.FirstOrDefault(c => c.Line == line && c.Context.Home.ExerciseId == exerciseId).Context;
    }

    private static int? Reserve(HomeExercise home) =>
        home.RepsToFailure is { } reps && home.Dose is { Timed: false, Target.IsOpen: false } dose
            ? (int)Math.Floor(reps + 1e-9) - dose.Target.Min
            : null;

    /// <summary>Strength that so many reps with so many in reserve stand for, against that of the reps expected today.</summary>
    private double? Asks(HomeExercise home)
    {
        if (
            home.SystemLoadKg is not > 0
            || home.RepsToFailure is not { } able
            || home.Dose is { Timed: true } or { Target.IsOpen: true }
            || _domain.Catalogue.Find(home.ExerciseId)?.Strength is not { } strength
        )
        {
            return null;
        }

        var share = StraightSets.ShareLeft(home.Dose, _domain);
        double Max(double reps) =>
            RepMaxCurve.OneRepMax(home.SystemLoadKg.Value, Math.Clamp(reps / share, 1, RepMaxCurve.MostReps), strength.Curve);
        return Math.Round(Max(home.Dose.Target.Min + home.Dose.Rir) / Max(able), 3);
    }
}
