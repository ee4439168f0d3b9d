using System.Collections.Immutable;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Progress.ClientApp;
using Ingegno.Core.Progress.Logs;

namespace Ingegno.Simulation;

/// <summary>What happens to a made-up client on the floor.</summary>
/// <param name="Opened">The link was opened.</param>
/// <param name="Sessions">Sessions that were trained on the phone in this week.</param>
/// <param name="Hurts">Joint that hurts in the first exercise of the last of them.</param>
/// <param name="Pain">How much, 0–10.</param>
/// <param name="Swaps">Why another exercise is taken for the second; null for none.</param>
/// <param name="Form">How the client feels, see <see cref="Release.Forms"/>.</param>
/// <param name="Note">What is written to the coach at the end.</param>
/// <param name="Word">Word of the coach that went out with the plan.</param>
public sealed record PhoneStory(
    bool Opened,
    int Sessions = 0,
    Joint? Hurts = null,
    int Pain = 0,
    SwapReason? Swaps = null,
    string? Form = null,
    string Note = "",
    string Word = ""
);

/// <summary>A phone in the machine: trains a release as it was sent and answers as its story says. Draws nothing by lot.</summary>
public static class SimulatedPhone
{
    private const int Minutes = 4; // a set with its rest

    /// <summary>A session of a release.</summary>
    /// <param name="release">Key of the release.</param>
    /// <param name="sent">What was sent.</param>
    /// <param name="day">Place of the day.</param>
    /// <param name="startedAt">When it begins.</param>
    /// <param name="story">What happens.</param>
    /// <param name="key">Key of the session.</param>
    public static ClientAppSession Train(long release, Release sent, int day, Moment startedAt, PhoneStory story, string key)
    {
        ArgumentNullException.ThrowIfNull(sent);
        ArgumentNullException.ThrowIfNull(story);
        var at = sent.Days[day];
        var order = at.Courses[0].Turns.Select(t => t.Exercise).Distinct().Select(k => at.Exercises.First(e => e.Key == k)).ToList();
        var done = order.Select((exercise, i) => Do(exercise, i, sent, story)).ToImmutableArray();
        return new ClientAppSession
        {
            Key = key,
            Revision = 1,
            Release = release,
            Day = day,
            StartedAt = startedAt,
            SentAt = startedAt.Plus(TimeSpan.FromMinutes(Minutes * at.Courses[0].Turns.Length)),
            Finished = true,
            Exercises = done,
            Form = story.Form,
            Effort = story.Pain > 0 ? 8 : 7,
            Minutes = Math.Clamp(Minutes * at.Courses[0].Turns.Length, 10, 120),
            Note = story.Note,
        };
    }

    private static ClientAppExercise Do(ReleaseExercise planned, int place, Release sent, PhoneStory story)
    {
        var swapped = place == 1 && story.Swaps is { } why ? planned.Alternatives.FirstOrDefault(a => a.Helps.Contains(why)) : null;
        var exercise = swapped?.Exercise ?? planned;
        var hurts = place == 0 && story.Hurts is not null && story.Pain > 0;
        var stops = hurts && story.Pain >= sent.Pain.StopFrom;
        var sets = exercise.Sets.Take(stops ? 1 : exercise.Sets.Length).Select((set, i) => Set(set, exercise, i));
        return new ClientAppExercise(
            exercise.Line,
            exercise.ExerciseId,
            [.. sets.Select(s => hurts ? s with { Pain = story.Pain, PainJoint = story.Hurts } : s)]
        )
        {
            InPlaceOf = swapped is null ? null : planned.ExerciseId,
            Why = swapped is null ? null : story.Swaps,
            Stopped = stops,
        };
    }

    /// <summary>As planned, the first set one rep better where there is room.</summary>
    private static LoggedSet Set(ReleaseSet set, ReleaseExercise exercise, int place)
    {
        var part = set.Parts[0];
        var more = place == 0 && part.Target.Max > part.Target.Min ? 1 : 0;
        return new LoggedSet
        {
            Reps = part.AsPlanned + more,
            Rir = exercise.Timed ? null : Math.Max(0, exercise.Rir - (place > 1 ? 1 : 0)),
        };
    }
}
