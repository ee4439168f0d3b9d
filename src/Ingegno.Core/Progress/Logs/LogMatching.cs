using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Programs.HomePlans;

namespace Ingegno.Core.Progress.Logs;

/// <summary>A logged exercise that no line of the plan answers to now; it stays in the log and in the trends.</summary>
/// <param name="Day">The day.</param>
/// <param name="ExerciseId">What was done.</param>
/// <param name="Reason">Why it decides nothing, in a sentence.</param>
public sealed record SetAside(DateOnly Day, string ExerciseId, Reason Reason);

/// <summary>Logs of a plan as its current version has the lines.</summary>
/// <param name="Sessions">Sessions with their lines as they are now.</param>
/// <param name="Aside">What no line answers to.</param>
public sealed record MatchedLogs(ImmutableArray<LoggedSession> Sessions, ImmutableArray<SetAside> Aside)
{
    /// <summary>
    /// Matches logs of any version: an exercise belongs to its line when that has it still, else to the one other line that
    /// has it; what is left is set aside.
    /// </summary>
    public static MatchedLogs Of(IEnumerable<HomeLine> lines, IEnumerable<LoggedSession> sessions)
    {
        ArgumentNullException.ThrowIfNull(lines);
        ArgumentNullException.ThrowIfNull(sessions);
        var now = lines.SelectMany(l => (l.Chosen?.Exercises ?? []).Select(e => (l.Gym.Key, e.ExerciseId))).ToHashSet();
        var aside = ImmutableArray.CreateBuilder<SetAside>();
        var matched = sessions
            .Select(session =>
                session with
                {
                    Exercises = [.. session.Exercises.Select(e => Place(session.Day, e)).OfType<LoggedExercise>()],
                }
            )
            .ToImmutableArray();
        return new MatchedLogs(matched, aside.ToImmutable());

        LoggedExercise? Place(DateOnly day, LoggedExercise logged)
        {
            if (now.Contains((logged.Line, logged.ExerciseId)))
            {
                return logged;
            }

            var elsewhere = now.Where(n => n.ExerciseId == logged.ExerciseId).ToList();
            if (elsewhere.Count == 1)
            {
                return logged with { Line = elsewhere[0].Key };
            }

            aside.Add(new SetAside(day, logged.ExerciseId, Reason.Of(elsewhere.Count == 0 ? "aside.gone" : "aside.several")));
            return null;
        }
    }
}
