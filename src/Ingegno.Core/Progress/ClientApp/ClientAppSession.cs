using System.Collections.Immutable;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Logs;

namespace Ingegno.Core.Progress.ClientApp;

/// <summary>A session as a phone keeps it while it is trained, and sends it.</summary>
public sealed record ClientAppSession
{
    /// <summary>Made by the phone once: sent again, it is the same session.</summary>
    public required string Key { get; init; }

    /// <summary>Counts what the phone changed, 1 first: of two states of a session the later one counts.</summary>
    public required int Revision { get; init; }

    /// <summary>Key of the release that is trained.</summary>
    public required long Release { get; init; }

    /// <summary>Place of the day in the release, 0 first.</summary>
    public required int Day { get; init; }

    /// <summary>Place of the way through the day that was taken, 0 for the full one.</summary>
    public int Course { get; init; }

    /// <summary>When it was begun, by the phone's clock with its offset.</summary>
    public required Moment StartedAt { get; init; }

    /// <summary>When it is sent, by the same clock.</summary>
    public required Moment SentAt { get; init; }

    /// <summary>Ended by the client; otherwise it still runs, or was left.</summary>
    public bool Finished { get; init; }

    public required ImmutableArray<ClientAppExercise> Exercises { get; init; }

    /// <summary>How the client felt, see <see cref="Release.Forms"/>; null when that was skipped.</summary>
    public string? Form { get; init; }

    /// <summary>What hurt before it began.</summary>
    public Joint? Hurts { get; init; }

    /// <summary>Effort of the whole, 1–10.</summary>
    public int? Effort { get; init; }

    /// <summary>How long it took, min.</summary>
    public int? Minutes { get; init; }

    /// <summary>A word of the client; empty for none.</summary>
    public string Note { get; init; } = string.Empty;

    /// <summary>How many sets were done.</summary>
    public int SetsDone => Exercises.Sum(e => e.Sets.Length);

    /// <summary>
    /// The day on which it was trained, where the client was. A phone whose clock is off by half a day and more is put right by the
    /// server's: what counts is how long ago it was begun.
    /// </summary>
    /// <param name="now">The server's clock when the session came in.</param>
    /// <returns>The day, and whether the phone's clock was off.</returns>
    public (DateOnly Day, bool ClockWasOff) TrainedOn(Moment now)
    {
        var off = now.Since(SentAt);
        return off.Duration() < FarOff ? (StartedAt.Day, false) : (StartedAt.Plus(off).Day, true);
    }

    /// <summary>Half a day: no travel and no bad clock of a phone that sets itself comes near it.</summary>
    private static readonly TimeSpan FarOff = TimeSpan.FromHours(12);

    /// <summary>What was done, as the log has it; exercises without a set are left out.</summary>
    public ImmutableArray<LoggedExercise> Logged() =>
        [.. Exercises.Where(e => !e.Sets.IsEmpty).Select(e => new LoggedExercise(e.Line, e.ExerciseId, e.Sets))];
}

/// <summary>An exercise as it was done on the floor.</summary>
/// <param name="Line">Key of its gym line.</param>
/// <param name="ExerciseId">What was done.</param>
/// <param name="Sets">Its sets; empty when it was skipped.</param>
public sealed record ClientAppExercise(LineKey Line, string ExerciseId, ImmutableArray<LoggedSet> Sets)
{
    /// <summary>Exercise of the plan that it took the place of; null when it is that itself.</summary>
    public string? InPlaceOf { get; init; }

    /// <summary>Why another was taken.</summary>
    public SwapReason? Why { get; init; }

    /// <summary>It was stopped before its sets were done: it hurt.</summary>
    public bool Stopped { get; init; }

    /// <summary>It was left out by the client's own choice.</summary>
    public bool Skipped { get; init; }

    /// <summary>Numbers of the sets that were asked about and meant, 1 first.</summary>
    public ImmutableArray<int> Meant { get; init; } = [];
}
