using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Rebuilding.Candidates;

namespace Ingegno.Core.Rebuilding.PlanChecks;

/// <summary>Writes remedies: as edits of our own plan, or as lines of a pasted one.</summary>
internal static class Remedies
{
    /// <summary>Sets figures of lines; null when none of them can be changed.</summary>
    public static Remedy? Figures(IEnumerable<AuditedExercise> lines, Reason label, Func<AuditedExercise, HomeEdit, HomeEdit> change)
    {
        var edits = lines.Select(at => (At: at, Edit: change(at, new HomeEdit { Line = at.Line, ExerciseId = at.Exercise.Id }))).ToList();
        return edits.Count == 0
            ? null
            : new Remedy(label, [.. edits.Where(e => e.At.Home is not null).Select(e => e.Edit)], [])
            {
                Lines =
                [
                    .. edits
                        .Where(e => e.At.Gym is not null)
                        .Select(e => new RewrittenLine(e.At.Gym!.Line, Shorthand.Write(Apply(e.At.Gym!, e.Edit)))),
                ],
            };
    }

    /// <summary>Sets figures of one line.</summary>
    public static Remedy? Figures(AuditedExercise at, Reason label, Func<HomeEdit, HomeEdit> change) =>
        Figures([at], label, (_, edit) => change(edit));

    /// <summary>Rewrites lines of a pasted plan; null for a plan of ours.</summary>
    public static Remedy? Text(IEnumerable<AuditedExercise> lines, Reason label, Func<GymLine, GymLine> change)
    {
        var pasted = lines.Where(at => at.Gym is not null).ToList();
        return pasted.Count == 0
            ? null
            : new Remedy(label, [], [])
            {
                Lines = [.. pasted.Select(at => new RewrittenLine(at.Gym!.Line, Shorthand.Write(change(at.Gym!))))],
            };
    }

    /// <summary>
    /// Another exercise that the client may do: the best candidate of a line of ours; for a pasted plan the next easier one,
    /// else the one of the nearest muscles and pattern.
    /// </summary>
    public static Remedy? Other(AuditedPlan plan, AuditedExercise at)
    {
        if (at.Gym is { } gym)
        {
            return Easier(plan, at.Exercise) is { } easier
                ? new Remedy(Reason.Of("remedy.take", ("exercise", easier.Name)), [], [])
                {
                    Lines =
                    [
                        new RewrittenLine(gym.Line, Shorthand.Write(gym with { Name = easier.Name, ExerciseId = easier.Id, Load = null })),
                    ],
                }
                : null;
        }

        var other = plan
            .Lines.FirstOrDefault(l => l.Gym.Key == at.Line)
            ?.Candidates.FirstOrDefault(c => c.Exercises.All(e => e.ExerciseId != at.Exercise.Id));
        return other is null
            ? null
            : new Remedy(Reason.Of("remedy.take", ("exercise", other.Name)), [], [new CoachChoice(at.Line, other.Id)]);
    }

    private static Exercise? Easier(AuditedPlan plan, Exercise exercise)
    {
        if (plan.Catalogue is not { } catalogue)
        {
            return null;
        }

        bool May(Exercise e) => CandidateFilter.Why(e, plan.Client with { Refuses = [] }) is null;
        var seen = new HashSet<string>();
        for (var next = exercise; next.Easier is { } id && seen.Add(id) && catalogue.Find(id) is { } easier; next = easier)
        {
            if (May(easier) && easier.Measure == exercise.Measure)
            {
                return easier;
            }
        }

        return catalogue
            .AtHome.Where(e => e.Id != exercise.Id && e.Measure == exercise.Measure && e.Sides == exercise.Sides && e.Impact <= 1 && May(e))
            .OrderByDescending(e =>
                PartMatches.MuscleScore(exercise.Muscles, e.Muscles, plan.Parts) + (e.Pattern == exercise.Pattern ? 0.3 : 0)
            )
            .ThenBy(e => e.Skill)
            .ThenBy(e => e.Id, StringComparer.Ordinal)
            .FirstOrDefault();
    }

    private static GymLine Apply(GymLine line, HomeEdit edit) =>
        line with
        {
            Sets = edit.Sets ?? line.Sets,
            Target = edit.Target ?? line.Target,
            RestSeconds = edit.RestSeconds ?? line.RestSeconds,
            Rir = edit.Rir ?? line.Rir,
            Rpe = edit.Rir is null ? line.Rpe : null,
        };
}
