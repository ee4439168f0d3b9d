using System.Collections.Immutable;
using System.Text.Json;
using Dapper;
using Ingegno.Core.Clients.Health;
using Ingegno.Core.Foundation.Text;
using Microsoft.Data.Sqlite;

namespace Ingegno.Storage;

/// <summary>An alert that is kept.</summary>
/// <param name="Id">Key.</param>
/// <param name="ClientId">Whose.</param>
/// <param name="Key">Told twice under one key it is one.</param>
/// <param name="Alert">The alert.</param>
/// <param name="MadeAt">When it came in.</param>
/// <param name="AnsweredAt">When the coach answered; null while it stands.</param>
/// <param name="Answer">The answer.</param>
public sealed record KeptAlert(
    long Id,
    long ClientId,
    string Key,
    SafetyAlert Alert,
    DateTimeOffset MadeAt,
    DateTimeOffset? AnsweredAt,
    string? Answer
);

/// <summary>Signs of danger that clients told of. None goes by itself: each stands until the coach has answered it.</summary>
public sealed class AlertStore(Database database, TimeProvider clock)
{
    private sealed record Row(long Id, long ClientId, string Key, string Document, string MadeAt, string? AnsweredAt, string? Answer)
    {
        public KeptAlert ToAlert() =>
            new(
                Id,
                ClientId,
                Key,
                JsonSerializer.Deserialize<SafetyAlert>(Document, RulesJson.Lenient)!,
                Timestamps.Read(MadeAt),
                AnsweredAt is null ? null : Timestamps.Read(AnsweredAt),
                Answer
            );
    }

    private const string Columns =
        "id AS Id, client_id AS ClientId, key AS Key, document AS Document, made_at AS MadeAt, answered_at AS AnsweredAt, answer AS Answer";

    /// <summary>
    /// Keeps an alert; one of a key that is there already stays as it is. Where so many stand already it is not kept and the newest of them
    /// is given: training is held as it is. Null when the client is not this coach's.
    /// </summary>
    public KeptAlert? Add(long coachId, long clientId, string key, SafetyAlert alert, int mostOpen)
    {
        using var connection = database.Open();
        connection.Execute(
            """
            INSERT INTO alert (coach_id, client_id, key, document, made_at)
            SELECT @coachId, @clientId, @key, @document, @now
            WHERE EXISTS (SELECT 1 FROM client WHERE id = @clientId AND coach_id = @coachId)
              AND (SELECT count(*) FROM alert WHERE client_id = @clientId AND answered_at IS NULL) < @mostOpen
            ON CONFLICT (client_id, key) DO NOTHING
            """,
            new
            {
                coachId,
                clientId,
                key,
                document = JsonSerializer.Serialize(alert, RulesJson.Lenient),
                mostOpen,
                now = Timestamps.Write(clock.GetUtcNow()),
            }
        );
        return Read(
                    connection,
                    "coach_id = @coachId AND client_id = @clientId AND key = @key",
                    new
                    {
                        coachId,
                        clientId,
                        key,
                    }
                )
                .SingleOrDefault()
            ?? Read(connection, "coach_id = @coachId AND client_id = @clientId AND answered_at IS NULL", new { coachId, clientId })
                .LastOrDefault();
    }

    /// <summary>Alerts of a coach's clients that stand, oldest first.</summary>
    public IReadOnlyList<KeptAlert> Open(long coachId)
    {
        using var connection = database.Open();
        return Read(connection, "coach_id = @coachId AND answered_at IS NULL", new { coachId });
    }

    /// <summary>All alerts of a client, oldest first.</summary>
    public IReadOnlyList<KeptAlert> OfClient(long coachId, long clientId)
    {
        using var connection = database.Open();
        return Read(connection, "coach_id = @coachId AND client_id = @clientId", new { coachId, clientId });
    }

    /// <summary>Answers an alert: it stands no longer. Null when there is none of this coach's.</summary>
    /// <returns>The alert, and whether this answer was taken: one that was given before stays.</returns>
    public (KeptAlert Alert, bool Taken)? Answer(long coachId, long id, string answer)
    {
        using var connection = database.Open();
        var taken = connection.Execute(
            "UPDATE alert SET answered_at = @now, answer = @answer WHERE coach_id = @coachId AND id = @id AND answered_at IS NULL",
            new
            {
                coachId,
                id,
                answer,
                now = Timestamps.Write(clock.GetUtcNow()),
            }
        );
        return Read(connection, "coach_id = @coachId AND id = @id", new { coachId, id }).SingleOrDefault() is { } alert
            ? (alert, taken > 0)
            : null;
    }

    /// <summary>All alerts of a client for a file, oldest first.</summary>
    internal static ImmutableArray<AlertInFile> InFile(SqliteConnection connection, long clientId) =>
        [
            .. Read(connection, "client_id = @clientId", new { clientId })
                .Select(a => new AlertInFile(a.Key, a.Alert, a.MadeAt, a.AnsweredAt, a.Answer)),
        ];

    /// <summary>Brings in alerts of a file.</summary>
    internal static void Add(RowsIn into, long clientId, IEnumerable<AlertInFile> alerts)
    {
        foreach (var alert in alerts)
        {
            into.Connection.Execute(
                """
                INSERT INTO alert (coach_id, client_id, key, document, made_at, answered_at, answer)
                VALUES (@Coach, @clientId, @Key, @document, @made, @answered, @Answer)
                """,
                new
                {
                    into.Coach,
                    clientId,
                    alert.Key,
                    document = JsonSerializer.Serialize(alert.Alert, RulesJson.Lenient),
                    made = Timestamps.Write(alert.MadeAt),
                    answered = alert.AnsweredAt is { } at ? Timestamps.Write(at) : null,
                    alert.Answer,
                },
                into.Transaction
            );
        }
    }

    private static List<KeptAlert> Read(SqliteConnection connection, string which, object asked) =>
        [.. connection.Query<Row>($"SELECT {Columns} FROM alert WHERE {which} ORDER BY id", asked).Select(r => r.ToAlert())];
}
