using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Programs.Commands;
using Ingegno.Core.Programs.HomePlans;

namespace Ingegno.Core.Progress.Progression;

/// <summary>Sets doses from a calibration session: what the log taught goes through the engine once more.</summary>
public static class AfterCalibration
{
    /// <summary>A plan has exercises whose last set is open to find out what the client can do.</summary>
    public static bool IsDue(HomePlan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return plan.Lines.Any(l => l.Chosen?.Exercises.Any(e => e.Dose.Calibrates) ?? false);
    }

    /// <summary>What a plan is built from, with its exercises kept, and without the figures of what was to be calibrated.</summary>
    public static RebuildRequest Anew(RebuildRequest request, HomePlan plan)
    {
        ArgumentNullException.ThrowIfNull(request);
        ArgumentNullException.ThrowIfNull(plan);
        var open = plan
            .Lines.SelectMany(l => (l.Chosen?.Exercises ?? []).Where(e => e.Dose.Calibrates).Select(e => (l.Gym.Key, e.ExerciseId)))
            .ToHashSet();
        return request with
        {
            Edits = [.. request.Edits.Where(e => !open.Contains((e.Line, e.ExerciseId)))],
            Stands = request.Stands?.Without(line => open.Any(o => o.Key == line)),
            Choices = PlanCommandHandler.Kept(plan.Standing),
        };
    }

    /// <summary>Proposals in which calibrated lines get the dose that the engine prescribes now; pain and a return come first.</summary>
    /// <param name="proposals">What the log proposes.</param>
    /// <param name="before">Lines as they were trained.</param>
    /// <param name="now">The same lines prescribed with what was learnt.</param>
    public static ImmutableArray<Proposal> Set(
        ImmutableArray<Proposal> proposals,
        IReadOnlyCollection<HomeLine> before,
        IReadOnlyCollection<HomeLine> now
    )
    {
        ArgumentNullException.ThrowIfNull(before);
        ArgumentNullException.ThrowIfNull(now);
        return
        [
            .. proposals.Select(p =>
                Find(before, p) is { Dose.Calibrates: true } trained && Find(now, p) is { Dose.Calibrates: false } set
                    ? Of(p, trained, set)
                    : p
            ),
        ];
    }

    private static HomeExercise? Find(IEnumerable<HomeLine> lines, Proposal of) =>
        lines.FirstOrDefault(l => l.Gym.Key == of.Line)?.Chosen?.Exercises.FirstOrDefault(e => e.ExerciseId == of.ExerciseId);

    private static Proposal Of(Proposal said, HomeExercise trained, HomeExercise set)
    {
        if (said.Decision is Decision.Wait or Decision.Swap or Decision.Ease or Decision.EaseIn)
        {
            return said;
        }

        return said with
        {
            Decision = Decision.Calibrated,
            Reason =
                trained.Expected is { } were && set.Expected is { } are
                    ? Reason.Of("calibrated.expected", ("now", are.InWords), ("before", were.InWords))
                    : Reason.Of("calibrated.set"),
            Dose = set.Dose with { DecidedAfter = said.Dose.DecidedAfter, BlockWeek = said.Dose.BlockWeek },
            ExternalKg = set.ExternalKg,
            Load = set.ExternalKg > 0 ? $"{Words.Number(set.ExternalKg)} kg" : string.Empty,
            AsBuilt = set,
            FlagsCoach = false,
            ToExerciseId = null,
        };
    }
}
