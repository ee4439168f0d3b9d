using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Commands;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Rebuilding.Weeks;

namespace Ingegno.Core.Progress.Blocks;

/// <summary>The home plan as each phase of a block starts: the plan itself where it follows that phase already, else rebuilt under
/// it.</summary>
internal sealed class PhaseStarts(RebuildRequest request, HomePlan plan, BlockSetup setup, RebuildEngine engine)
{
    private readonly Dictionary<BlockPhase, HomePlan> _plans = [];

    /// <summary>The plan follows the phase of a week already.</summary>
    public bool InForce(int week)
    {
        var phase = setup.PhaseOf(week);
        return (
                phase.Approach is null
                || phase.Approach == (request.Approach ?? request.Client.Approach ?? Knowledge.Rules.Approach.Default)
            )
            && phase.Phase == request.Phase;
    }

    /// <summary>The plan at the start of the phase of a week.</summary>
    public HomePlan At(int week)
    {
        if (InForce(week))
        {
            return plan;
        }

        var phase = setup.PhaseOf(week);
        if (!_plans.TryGetValue(phase, out var started))
        {
            _plans[phase] = started = engine.Rebuild(Under(request, plan, phase)).Plan;
        }

        return started;
    }

    /// <summary>An exercise at the start of the phase of a week; as it is now when the phase cannot have it.</summary>
    public HomeExercise Exercise(LineKey line, HomeExercise now, int week) =>
        At(week).Lines.FirstOrDefault(l => l.Gym.Key == line)?.Chosen?.Exercises.FirstOrDefault(e => e.ExerciseId == now.ExerciseId) ?? now;

    /// <summary>What the plan is built from under a phase: the exercises stay, their doses are those of the phase.</summary>
    public static RebuildRequest Under(RebuildRequest request, HomePlan plan, BlockPhase phase) =>
        PlanCommandHandler.Handle(request, plan.Standing, new TakeWeek(phase.Approach, phase.Phase, []));
}
