using System.Collections.Immutable;
using Ingegno.Core;
using Ingegno.Core.Matching;
using Ingegno.Core.Prescribing;
using Ingegno.Core.Programs;
using Ingegno.Core.Progressing;
using Ingegno.Core.Rebuilding;

namespace Ingegno.Simulation;

/// <summary>How a plan goes on from week to week.</summary>
public interface IProgressionPolicy
{
    /// <summary>What it is called.</summary>
    string Name { get; }

    /// <summary>The exercises of the next week.</summary>
    ImmutableArray<PlannedExercise> NextWeek(ImmutableArray<PlannedExercise> plan, IReadOnlyList<LoggedSession> log, DateOnly today);
}

/// <summary>An exercise of a simulated plan: its line, and what the progression knows of it.</summary>
public sealed record PlannedExercise(int Line, ProgressionContext Context)
{
    /// <summary>The exercise as prescribed.</summary>
    public HomeExercise Home => Context.Home;

    /// <summary>The same with another dose and load.</summary>
    public PlannedExercise With(Dose dose, double externalKg) => this with { Context = Context with { Home = Home with { Dose = dose, ExternalKg = externalKg } } };

    /// <summary>A dose with so many reps more; an open or timed one stays.</summary>
    public static Dose Longer(Dose dose, int reps)
    {
        ArgumentNullException.ThrowIfNull(dose);
        return dose.Target.IsOpen || dose.Timed ? dose : dose with { Target = new SetTarget(dose.Target.Min + reps, dose.Target.Max + reps) };
    }

    /// <summary>System load at its external load, kg; null where load is not the measure.</summary>
    public double? SystemKg => Home.SystemLoadKg is null ? null
        : Context.Loads.IsEmpty ? Home.SystemLoadKg
        : Context.Loads.MinBy(l => Math.Abs(l.Load.MassKg - Home.ExternalKg)).SystemKg;
}

/// <summary>Accepts every proposal of the engine.</summary>
public sealed class EngineAccepted(NextSession engine, Func<PlannedExercise, string, PlannedExercise?> stepTo, HomePlan? within = null) : IProgressionPolicy
{
    public string Name => "Engine";

    public ImmutableArray<PlannedExercise> NextWeek(ImmutableArray<PlannedExercise> plan, IReadOnlyList<LoggedSession> log, DateOnly today)
    {
        var proposals = engine.Decide([.. plan.Select(p => (p.Line, p.Context))], log, today, room: Room(plan));
        if (within is not null && Room(plan) is { } room)
        {
            proposals = DayTrim.Apply(proposals, [.. plan.Select(p => (p.Line, p.Home))], line => within.Lines.First(l => l.Gym.Line == line).Role, room);
        }

        return [.. plan.Zip(proposals, (planned, proposal) =>
            proposal.ToExerciseId is not { } other ? planned.With(proposal.Dose, proposal.ExternalKg)
            : stepTo(planned, other) ?? planned)];
    }

    /// <summary>Minutes that the days have left by now, from those of the plan at the start.</summary>
    private DayRoom? Room(ImmutableArray<PlannedExercise> plan)
    {
        if (within is null || DayRoom.Of(within.Lines, within.Days) is not { } room)
        {
            return null;
        }

        foreach (var line in plan.GroupBy(p => p.Line))
        {
            var atStart = within.Lines.First(l => l.Gym.Line == line.Key).Chosen?.Exercises.Sum(e => e.Dose.Minutes) ?? 0;
            room.Take(line.Key, line.Sum(p => p.Home.Dose.Minutes) - atStart);
        }

        return room;
    }
}

/// <summary>The usual home plan: a rep more every week at the same load, whatever was done.</summary>
public sealed class OneRepMoreEachWeek : IProgressionPolicy
{
    public string Name => "One rep more each week";

    public ImmutableArray<PlannedExercise> NextWeek(ImmutableArray<PlannedExercise> plan, IReadOnlyList<LoggedSession> log, DateOnly today) =>
        [.. plan.Select(p => p.With(PlannedExercise.Longer(p.Home.Dose, 1), p.Home.ExternalKg))];
}
