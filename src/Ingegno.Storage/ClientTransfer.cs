using System.Collections.Immutable;
using System.Text.Json;
using Dapper;
using Ingegno.Core.Ground.Text;
using Microsoft.Data.Sqlite;

namespace Ingegno.Storage;

/// <summary>Takes a client out with everything that is kept of them, and brings one in, all or nothing.</summary>
public sealed class ClientTransfer(
    Database database,
    TimeProvider clock,
    ClientStore clients,
    PlaceStore places,
    GymWeekStore weeks,
    PlanStore plans,
    BlockStore blocks,
    LogStore logs,
    OwnExerciseStore exercises,
    OwnApproachStore approaches,
    TaughtNameStore names
)
{
    /// <summary>The client as a file; null when it is not this coach's.</summary>
    public ClientFile? Export(long coachId, long clientId)
    {
        if (clients.Find(coachId, clientId) is not { } client)
        {
            return null;
        }

        var (at, on) = (places.List(coachId, clientId), weeks.List(coachId, clientId));
        var made = plans.List(coachId, clientId);
        ImmutableArray<PlanInFile> planned = [.. made.Select(p => Plan(coachId, p, at, on))];

        // An exercise of the practice's own that nothing names stays at home.
        var said = Write(planned) + Write(client.Value);
        var program = string.Join('\n', on.Select(w => w.Value.Text));
        return new ClientFile(
            ClientFile.Name,
            ClientFile.Written,
            clock.GetUtcNow(),
            client.Value,
            [.. at.Select(p => p.Value)],
            [.. on.Select(w => w.Value)],
            planned,
            [
                .. exercises
                    .List(coachId)
                    .Select(e => e.Value)
                    .Where(e =>
                        said.Contains($"\"{e.Id}\"", StringComparison.Ordinal)
                        || program.Contains(e.Name, StringComparison.OrdinalIgnoreCase)
                    ),
            ],
            [.. approaches.List(coachId).Select(a => a.Value).Where(a => said.Contains($"\"{a.Id}\"", StringComparison.Ordinal))],
            [.. names.List(coachId).Select(n => n.Value).Where(n => program.Contains(n.Name, StringComparison.OrdinalIgnoreCase))]
        );
    }

    /// <summary>How much hangs on a client: places, gym weeks, plans, versions of them, logged sessions; null when it is not this coach's.</summary>
    public (int Places, int GymWeeks, int Plans, int Versions, int Sessions)? Counts(long coachId, long clientId)
    {
        if (clients.Find(coachId, clientId) is null)
        {
            return null;
        }

        const string OfPlans = "WHERE plan_id IN (SELECT id FROM plan WHERE client_id = @clientId)";
        using var connection = database.Open();
        int Count(string rows) => connection.ExecuteScalar<int>($"SELECT count(*) FROM {rows}", new { clientId });
        return (
            Count("place WHERE client_id = @clientId"),
            Count("gym_week WHERE client_id = @clientId"),
            Count("plan WHERE client_id = @clientId"),
            Count($"plan_version {OfPlans}"),
            Count($"session_log {OfPlans}")
        );
    }

    /// <summary>Brings a client in with a new key; what the practice has of its own under the same key or name stays as it is.</summary>
    /// <param name="coachId">The coach.</param>
    /// <param name="file">The client.</param>
    /// <param name="once">Key of the post: sent again, it gives what was brought in then.</param>
    /// <returns>Key of the client and of the plans in the order of the file, and whether they came in just now.</returns>
    public (long Client, ImmutableArray<long> Plans, bool JustNow) Import(long coachId, ClientFile file, string? once = null)
    {
        ArgumentNullException.ThrowIfNull(file);
        using var connection = database.Open();
        using var transaction = connection.BeginTransaction();
        var content = once is null ? string.Empty : $"import {Write(file)}";
        if (DoneOnce.Find(connection, transaction, coachId, once, content) is [var before, .. var theirs])
        {
            return (before, [.. theirs], false);
        }

        var into = new RowsIn(connection, transaction, coachId, Timestamps.Write(clock.GetUtcNow()));
        into.Missing("own_exercise", file.OwnExercises.Select(e => (e.Name, "$.id", e.Id, Write(e))));
        into.Missing("own_approach", file.OwnApproaches.Select(a => (a.Name, "$.id", a.Id, Write(a))));
        into.Missing("taught_name", file.TaughtNames.Select(n => (n.Name, "$.name", n.Name, Write(n))));
        var client = into.Document("client", null, file.Client.Name.Trim(), Write(file.Client));
        var at = file.Places.Select(p => into.Document("place", client, p.Name, Write(p))).ToList();
        var on = file.GymWeeks.Select(w => into.Document("gym_week", client, w.Name, Write(w))).ToList();

        // The last first: whatever is brought in last was worked on last.
        var made = file.Plans.Reverse().Select(p => into.Plan(client, p, Of(at, p.Place), Of(on, p.GymWeek))).Reverse().ToImmutableArray();
        foreach (var (plan, id) in file.Plans.Zip(made))
        {
            foreach (var block in plan.Blocks)
            {
                BlockStore.Insert(connection, transaction, coachId, id, block, clock.GetUtcNow());
            }

            foreach (var session in plan.Sessions)
            {
                logs.Insert(connection, transaction, coachId, id, session);
            }
        }

        DoneOnce.Note(connection, transaction, coachId, once, content, [client, .. made], clock.GetUtcNow());
        transaction.Commit();
        return (client, made, true);
    }

    private static long? Of(List<long> keys, int? at) => at is { } i && i >= 0 && i < keys.Count ? keys[i] : null;

    private PlanInFile Plan(
        long coachId,
        PlanSummary plan,
        IReadOnlyList<Saved<Core.AtHome.Kit.PlaceKit>> at,
        IReadOnlyList<Saved<GymWeek>> on
    ) =>
        new(
            plan.Title,
            At(at.Select(p => p.Id), plan.PlaceId),
            At(on.Select(w => w.Id), plan.GymWeekId),
            plan.Version,
            [.. plans.Versions(coachId, plan.Id)],
            [.. blocks.List(coachId, plan.Id).Reverse().Select(b => blocks.Find(coachId, plan.Id, b.Id)!.Value)],
            [.. logs.List(coachId, plan.Id).Reverse().Select(s => s.Value)]
        );

    private static int? At(IEnumerable<long> keys, long? key) => keys.ToList().IndexOf(key ?? -1) is var i and >= 0 ? i : null;

    private static string Write<T>(T value) => JsonSerializer.Serialize(value, TradeJson.Lenient);

    /// <summary>The rows of one client on their way in.</summary>
    private sealed record RowsIn(SqliteConnection Connection, SqliteTransaction Transaction, long Coach, string Now)
    {
        public void Missing(string table, IEnumerable<(string Name, string Path, string Key, string Document)> rows)
        {
            foreach (var (name, path, key, document) in rows)
            {
                Connection.Execute(
                    $"""
                    INSERT INTO {table} (coach_id, revision, name, document, updated_at)
                    SELECT @Coach, 1, @name, @document, @Now
                    WHERE NOT EXISTS (SELECT 1 FROM {table} WHERE coach_id = @Coach AND json_extract(document, @path) = @key COLLATE NOCASE)
                    """,
                    new
                    {
                        Coach,
                        name,
                        document,
                        Now,
                        path,
                        key,
                    },
                    Transaction
                );
            }
        }

        public long Document(string table, long? client, string name, string document) =>
            Connection.ExecuteScalar<long>(
                $"""
                INSERT INTO {table} (coach_id, {(client is null ? string.Empty : "client_id,")} revision, name, document, updated_at)
                VALUES (@Coach, {(client is null ? string.Empty : "@client,")} 1, @name, @document, @Now)
                RETURNING id
                """,
                new
                {
                    Coach,
                    client,
                    name,
                    document,
                    Now,
                },
                Transaction
            );

        public long Plan(long client, PlanInFile plan, long? place, long? week)
        {
            var id = Connection.ExecuteScalar<long>(
                """
                INSERT INTO plan (coach_id, client_id, place_id, gym_week_id, title, revision, head, created_at, updated_at, touched)
                VALUES (@Coach, @client, @place, @week, @Title, 1, @Head, @Now, @Now, (SELECT coalesce(max(touched), 0) + 1 FROM plan))
                RETURNING id
                """,
                new
                {
                    Coach,
                    client,
                    place,
                    week,
                    plan.Title,
                    plan.Head,
                    Now,
                },
                Transaction
            );
            foreach (var version in plan.Versions)
            {
                PlanStore.AddVersion(
                    Connection,
                    Transaction,
                    Coach,
                    id,
                    version.Number,
                    version.Parent,
                    version.Note,
                    version.Document,
                    Now
                );
            }

            return id;
        }
    }
}
