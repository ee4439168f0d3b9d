using System.Collections.Immutable;
using System.Globalization;
using System.Text.Json;
using System.Text.Json.Serialization;
using Dapper;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Logs;
using Microsoft.Data.Sqlite;

namespace Ingegno.Storage;

/// <summary>How a session came in.</summary>
public static class SessionSource
{
    /// <summary>A coach typed it.</summary>
    public const string Typed = "typed";

    /// <summary>From a file.</summary>
    public const string File = "file";

    /// <summary>From the client's phone.</summary>
    public const string Client = "client";
}

/// <summary>A session as the client did it.</summary>
/// <param name="PlanVersion">Version of the plan that was trained.</param>
/// <param name="PerformedOn">Day of the session.</param>
/// <param name="Exercises">What was done.</param>
/// <param name="Effort">Effort of the whole session, 1–10.</param>
/// <param name="Minutes">How long it took.</param>
/// <param name="Note">Remark.</param>
/// <param name="PlannedSets">Sets that its day planned; null when not known.</param>
/// <param name="Source">How it came in: see <see cref="SessionSource"/>.</param>
public sealed record SessionRecord(
    int PlanVersion,
    DateOnly PerformedOn,
    ImmutableArray<LoggedExercise> Exercises,
    int? Effort = null,
    int? Minutes = null,
    string? Note = null,
    int? PlannedSets = null,
    string Source = SessionSource.Typed
)
{
    /// <summary>The session as the core reads it.</summary>
    [JsonIgnore]
    public LoggedSession AsLogged => new(PerformedOn, Exercises, Effort);
}

/// <summary>Logged sessions of a plan; sets are rows of their own so that trends can be asked of them.</summary>
public sealed class LogStore(Database database, TimeProvider clock)
{
    private sealed record SessionRow(
        long Id,
        long Revision,
        long PlanVersion,
        string PerformedOn,
        long? Effort,
        long? Minutes,
        string? Note,
        long? PlannedSets,
        string Source
    );

    private sealed record SetRow(
        long SessionId,
        long Line,
        string ExerciseId,
        long Reps,
        double? LoadKg,
        long? Rir,
        long? Pain,
        string? PainJoint,
        long Sharp,
        long Hurts,
        double? SystemKg,
        double StraightShare,
        long? PlannedReps,
        long? PlannedRir,
        long? PlannedRest,
        string? Technique
    );

    private const string SessionColumns =
        "l.id AS Id, l.revision AS Revision, l.plan_version AS PlanVersion, l.performed_on AS PerformedOn, l.effort AS Effort, l.minutes AS Minutes, l.note AS Note, l.planned_sets AS PlannedSets, l.source AS Source";

    private const string SetColumns =
        "s.session_id AS SessionId, s.line AS Line, s.exercise_id AS ExerciseId, s.reps AS Reps, s.load_kg AS LoadKg, s.rir AS Rir, s.pain AS Pain, s.pain_joint AS PainJoint, s.sharp AS Sharp, s.hurts AS Hurts, s.system_kg AS SystemKg, s.straight_share AS StraightShare, s.planned_reps AS PlannedReps, s.planned_rir AS PlannedRir, s.planned_rest AS PlannedRest, s.technique AS Technique";

    /// <summary>Adds a session; null when the plan is not this coach's.</summary>
    public long? Add(long coachId, long planId, SessionRecord session, string? once = null) =>
        AddAll(coachId, planId, [session], once) is [var id] ? id : null;

    /// <summary>Adds sessions, all or none; null when the plan is not this coach's.</summary>
    /// <param name="coachId">The coach.</param>
    /// <param name="planId">Plan that was trained.</param>
    /// <param name="sessions">The sessions.</param>
    /// <param name="once">Key of the post: sent again, it gives what was stored then.</param>
    public IReadOnlyList<long>? AddAll(long coachId, long planId, IEnumerable<SessionRecord> sessions, string? once = null)
    {
        ArgumentNullException.ThrowIfNull(sessions);
        var rows = sessions.ToList();
        var content = $"log {planId} {JsonSerializer.Serialize(rows, RulesJson.Lenient)}";
        using var connection = database.Open();
        using var transaction = connection.BeginTransaction();
        if (IdempotentWrites.Find(connection, transaction, coachId, once, content) is { } made)
        {
            return made;
        }

        var ids = new List<long>();
        foreach (var session in rows)
        {
            if (Insert(connection, transaction, coachId, planId, session) is not { } id)
            {
                return null;
            }

            ids.Add(id);
        }

        IdempotentWrites.Note(connection, transaction, coachId, once, content, ids, clock.GetUtcNow());
        transaction.Commit();
        return ids;
    }

    /// <summary>Sessions of a plan, newest first.</summary>
    public IReadOnlyList<Saved<SessionRecord>> List(long coachId, long planId) =>
        Read("l.coach_id = @coachId AND l.plan_id = @owner", coachId, planId, null);

    /// <summary>Sessions of all plans of a client from a day on, newest first.</summary>
    public IReadOnlyList<Saved<SessionRecord>> OfClient(long coachId, long clientId, DateOnly since) =>
        Read(
            "l.coach_id = @coachId AND l.plan_id IN (SELECT id FROM plan WHERE client_id = @owner AND coach_id = @coachId) AND l.performed_on >= @since",
            coachId,
            clientId,
            since
        );

    /// <summary>Replaces what a session holds.</summary>
    public Written<SessionRecord> Update(long coachId, long planId, long sessionId, int revision, SessionRecord session)
    {
        ArgumentNullException.ThrowIfNull(session);
        using (var connection = database.Open())
        using (var transaction = connection.BeginTransaction())
        {
            if (
                Owns(connection, transaction, coachId, planId, sessionId)
                && Replace(connection, transaction, coachId, sessionId, revision, session) is not null
            )
            {
                transaction.Commit();
            }
            else
            {
                transaction.Rollback();
                var stands = List(coachId, planId).FirstOrDefault(s => s.Id == sessionId);
                return new Written<SessionRecord>(stands is null ? WriteOutcome.NotFound : WriteOutcome.Conflict, stands);
            }
        }

        return new Written<SessionRecord>(WriteOutcome.Done, List(coachId, planId).First(s => s.Id == sessionId));
    }

    /// <summary>Deletes a session, for instance one that was entered twice.</summary>
    public bool Delete(long coachId, long planId, long sessionId)
    {
        using var connection = database.Open();
        return connection.Execute(
                "DELETE FROM session_log WHERE coach_id = @coachId AND plan_id = @planId AND id = @sessionId",
                new
                {
                    coachId,
                    planId,
                    sessionId,
                }
            ) == 1;
    }

    /// <summary>Replaces what a session holds within a transaction; its new revision, or null when it is not at the one that was seen.</summary>
    internal static int? Replace(
        SqliteConnection connection,
        SqliteTransaction transaction,
        long coachId,
        long sessionId,
        int revision,
        SessionRecord session
    )
    {
        var now = connection.ExecuteScalar<int?>(
            """
            UPDATE session_log SET performed_on = @performedOn, effort = @Effort, minutes = @Minutes, note = @Note, revision = revision + 1
            WHERE id = @sessionId AND coach_id = @coachId AND revision = @revision
            RETURNING revision
            """,
            new
            {
                sessionId,
                coachId,
                revision,
                performedOn = Text(session.PerformedOn),
                session.Effort,
                session.Minutes,
                session.Note,
            },
            transaction
        );
        if (now is not null)
        {
            connection.Execute(
                "DELETE FROM logged_set WHERE session_id = @sessionId AND coach_id = @coachId",
                new { sessionId, coachId },
                transaction
            );
            InsertSets(connection, transaction, coachId, sessionId, session.Exercises);
        }

        return now;
    }

    internal long? Insert(SqliteConnection connection, SqliteTransaction transaction, long coachId, long planId, SessionRecord session)
    {
        ArgumentNullException.ThrowIfNull(session);
        var id = connection.ExecuteScalar<long?>(
            """
            INSERT INTO session_log (coach_id, plan_id, plan_version, performed_on, effort, minutes, note, planned_sets, source, created_at)
            SELECT @coachId, @planId, @PlanVersion, @performedOn, @Effort, @Minutes, @Note, @PlannedSets, @Source, @now
            WHERE EXISTS (SELECT 1 FROM plan_version WHERE plan_id = @planId AND coach_id = @coachId AND number = @PlanVersion)
            RETURNING id
            """,
            new
            {
                coachId,
                planId,
                session.PlanVersion,
                performedOn = Text(session.PerformedOn),
                session.Effort,
                session.Minutes,
                session.Note,
                session.PlannedSets,
                session.Source,
                now = Timestamps.Write(clock.GetUtcNow()),
            },
            transaction
        );
        if (id is { } added)
        {
            InsertSets(connection, transaction, coachId, added, session.Exercises);
        }

        return id;
    }

    private static void InsertSets(
        SqliteConnection connection,
        SqliteTransaction transaction,
        long coachId,
        long id,
        ImmutableArray<LoggedExercise> exercises
    )
    {
        foreach (var exercise in exercises)
        {
            connection.Execute(
                """
                INSERT INTO logged_set (coach_id, session_id, line, exercise_id, set_number, reps, load_kg, rir, pain, pain_joint, sharp, hurts, system_kg, straight_share, planned_reps, planned_rir, planned_rest, technique)
                VALUES (@coachId, @id, @Line, @ExerciseId, @number, @Reps, @LoadKg, @Rir, @Pain, @joint, @Sharp, @Hurts, @SystemKg, @share, @PlannedReps, @PlannedRir, @RestSeconds, @Technique)
                """,
                exercise.Sets.Select(
                    (s, i) =>
                        new
                        {
                            coachId,
                            id,
                            Line = exercise.Line.Value,
                            exercise.ExerciseId,
                            number = i + 1,
                            s.Reps,
                            s.LoadKg,
                            s.Rir,
                            s.Pain,
                            joint = s.PainJoint is { } joint ? JsonNamingPolicy.KebabCaseLower.ConvertName(joint.ToString()) : null,
                            s.Sharp,
                            s.Hurts,
                            s.Stamp?.SystemKg,
                            share = s.Stamp?.StraightShare ?? 1,
                            s.Stamp?.PlannedReps,
                            s.Stamp?.PlannedRir,
                            s.Stamp?.RestSeconds,
                            s.Stamp?.Technique,
                        }
                ),
                transaction
            );
        }
    }

    private List<Saved<SessionRecord>> Read(string which, long coachId, long owner, DateOnly? since)
    {
        using var connection = database.Open();
        var asked = new
        {
            coachId,
            owner,
            since = since is { } day ? Text(day) : null,
        };
        var sessions = connection
            .Query<SessionRow>($"SELECT {SessionColumns} FROM session_log l WHERE {which} ORDER BY l.performed_on DESC, l.id DESC", asked)
            .ToList();
        var sets = connection
            .Query<SetRow>(
                $"SELECT {SetColumns} FROM logged_set s JOIN session_log l ON l.id = s.session_id WHERE {which} ORDER BY s.session_id, s.id",
                asked
            )
            .ToLookup(s => s.SessionId);
        return [.. sessions.Select(s => new Saved<SessionRecord>(s.Id, (int)s.Revision, ToRecord(s, sets[s.Id]), At(s.PerformedOn)))];
    }

    private static bool Owns(SqliteConnection connection, SqliteTransaction transaction, long coachId, long planId, long sessionId) =>
        connection.ExecuteScalar<long>(
            "SELECT count(*) FROM session_log WHERE id = @sessionId AND coach_id = @coachId AND plan_id = @planId",
            new
            {
                sessionId,
                coachId,
                planId,
            },
            transaction
        ) == 1;

    private static string Text(DateOnly day) => day.ToString("O", CultureInfo.InvariantCulture);

    private static DateTimeOffset At(string text) =>
        new(DateOnly.ParseExact(text, "O", CultureInfo.InvariantCulture).ToDateTime(TimeOnly.MinValue), TimeSpan.Zero);

    private static SessionRecord ToRecord(SessionRow row, IEnumerable<SetRow> sets) =>
        new(
            (int)row.PlanVersion,
            DateOnly.ParseExact(row.PerformedOn, "O", CultureInfo.InvariantCulture),
            [
                .. sets.GroupBy(s => (s.Line, s.ExerciseId))
                    .Select(g => new LoggedExercise(new LineKey((int)g.Key.Line), g.Key.ExerciseId, [.. g.Select(ToSet)])),
            ],
            (int?)row.Effort,
            (int?)row.Minutes,
            row.Note,
            (int?)row.PlannedSets,
            row.Source
        );

    private static LoggedSet ToSet(SetRow row) =>
        new()
        {
            Reps = (int)row.Reps,
            LoadKg = row.LoadKg,
            Rir = (int?)row.Rir,
            Pain = (int?)row.Pain,
            PainJoint = row.PainJoint is { } joint
                ? Enum.Parse<Joint>(joint.Replace("-", string.Empty, StringComparison.Ordinal), ignoreCase: true)
                : null,
            Sharp = row.Sharp != 0,
            Hurts = row.Hurts != 0,
            Stamp = row is { SystemKg: null, PlannedReps: null, PlannedRir: null }
                ? null
                : new SetStamp(row.SystemKg, row.StraightShare, (int?)row.PlannedReps, (int?)row.PlannedRir)
                {
                    RestSeconds = (int?)row.PlannedRest,
                    Technique = row.Technique,
                },
        };
}
