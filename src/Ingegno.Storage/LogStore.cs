using System.Collections.Immutable;
using System.Globalization;
using System.Text.Json;
using Dapper;
using Ingegno.Core.Catalogue;
using Ingegno.Core.Progressing;

namespace Ingegno.Storage;

/// <summary>A session as the client did it.</summary>
/// <param name="PlanVersion">Version of the plan that was trained.</param>
/// <param name="PerformedOn">Day of the session.</param>
/// <param name="Exercises">What was done.</param>
/// <param name="Effort">Effort of the whole session, 1–10.</param>
/// <param name="Minutes">How long it took.</param>
/// <param name="Note">Remark.</param>
public sealed record SessionRecord(
    int PlanVersion, DateOnly PerformedOn, ImmutableArray<LoggedExercise> Exercises, int? Effort = null, int? Minutes = null, string? Note = null);

/// <summary>Logged sessions of a plan; sets are rows of their own so that trends can be asked of them.</summary>
public sealed class LogStore(Database database, TimeProvider clock)
{
    private sealed record SessionRow(long Id, long PlanVersion, string PerformedOn, long? Effort, long? Minutes, string? Note);

    private sealed record SetRow(
        long SessionId, long Line, string ExerciseId, long Reps, double? LoadKg, long? Rir, long? Pain, string? PainJoint);

    /// <summary>Adds a session; null when the plan is not this coach's.</summary>
    public long? Add(long coachId, long planId, SessionRecord session)
    {
        ArgumentNullException.ThrowIfNull(session);
        using var connection = database.Open();
        using var transaction = connection.BeginTransaction();
        var id = connection.ExecuteScalar<long?>(
            """
            INSERT INTO session_log (coach_id, plan_id, plan_version, performed_on, effort, minutes, note, created_at)
            SELECT @coachId, @planId, @PlanVersion, @performedOn, @Effort, @Minutes, @Note, @now
            WHERE EXISTS (SELECT 1 FROM plan_version WHERE plan_id = @planId AND coach_id = @coachId AND number = @PlanVersion)
            RETURNING id
            """,
            new
            {
                coachId,
                planId,
                session.PlanVersion,
                performedOn = session.PerformedOn.ToString("O", CultureInfo.InvariantCulture),
                session.Effort,
                session.Minutes,
                session.Note,
                now = Timestamps.Write(clock.GetUtcNow()),
            },
            transaction);
        if (id is null)
        {
            return null;
        }

        foreach (var exercise in session.Exercises)
        {
            connection.Execute(
                """
                INSERT INTO logged_set (coach_id, session_id, line, exercise_id, set_number, reps, load_kg, rir, pain, pain_joint)
                VALUES (@coachId, @id, @Line, @ExerciseId, @number, @Reps, @LoadKg, @Rir, @Pain, @joint)
                """,
                exercise.Sets.Select((s, i) => new
                {
                    coachId,
                    id,
                    exercise.Line,
                    exercise.ExerciseId,
                    number = i + 1,
                    s.Reps,
                    s.LoadKg,
                    s.Rir,
                    s.Pain,
                    joint = s.PainJoint is { } joint ? JsonNamingPolicy.KebabCaseLower.ConvertName(joint.ToString()) : null,
                }),
                transaction);
        }

        transaction.Commit();
        return id;
    }

    /// <summary>Sessions of a plan, newest first.</summary>
    public IReadOnlyList<Saved<SessionRecord>> List(long coachId, long planId)
    {
        using var connection = database.Open();
        var sessions = connection.Query<SessionRow>(
            """
            SELECT id AS Id, plan_version AS PlanVersion, performed_on AS PerformedOn, effort AS Effort, minutes AS Minutes, note AS Note
            FROM session_log WHERE coach_id = @coachId AND plan_id = @planId ORDER BY performed_on DESC, id DESC
            """,
            new { coachId, planId }).ToList();
        var sets = connection.Query<SetRow>(
            """
            SELECT s.session_id AS SessionId, s.line AS Line, s.exercise_id AS ExerciseId, s.reps AS Reps, s.load_kg AS LoadKg, s.rir AS Rir, s.pain AS Pain, s.pain_joint AS PainJoint
            FROM logged_set s JOIN session_log l ON l.id = s.session_id
            WHERE l.coach_id = @coachId AND l.plan_id = @planId ORDER BY s.session_id, s.id
            """,
            new { coachId, planId }).ToLookup(s => s.SessionId);
        return [.. sessions.Select(s => new Saved<SessionRecord>(s.Id, 1, ToRecord(s, sets[s.Id]), Day(s.PerformedOn)))];
    }

    /// <summary>Deletes a session, for instance one that was entered twice.</summary>
    public bool Delete(long coachId, long planId, long sessionId)
    {
        using var connection = database.Open();
        return connection.Execute(
            "DELETE FROM session_log WHERE coach_id = @coachId AND plan_id = @planId AND id = @sessionId", new { coachId, planId, sessionId }) == 1;
    }

    private static DateTimeOffset Day(string text) =>
        new(DateOnly.ParseExact(text, "O", CultureInfo.InvariantCulture).ToDateTime(TimeOnly.MinValue), TimeSpan.Zero);

    private static SessionRecord ToRecord(SessionRow row, IEnumerable<SetRow> sets) => new(
        (int)row.PlanVersion,
        DateOnly.ParseExact(row.PerformedOn, "O", CultureInfo.InvariantCulture),
        [.. sets.GroupBy(s => (s.Line, s.ExerciseId)).Select(g => new LoggedExercise((int)g.Key.Line, g.Key.ExerciseId, [.. g.Select(ToSet)]))],
        (int?)row.Effort,
        (int?)row.Minutes,
        row.Note);

    private static LoggedSet ToSet(SetRow row) => new()
    {
        Reps = (int)row.Reps,
        LoadKg = row.LoadKg,
        Rir = (int?)row.Rir,
        Pain = (int?)row.Pain,
        PainJoint = row.PainJoint is { } joint ? Enum.Parse<Joint>(joint.Replace("-", string.Empty, StringComparison.Ordinal), ignoreCase: true) : null,
    };
}
