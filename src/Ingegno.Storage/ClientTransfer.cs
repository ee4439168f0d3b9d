using System.Collections.Immutable;
using System.Text.Json;
using Dapper;
using Ingegno.Core.Foundation.Text;
using Microsoft.Data.Sqlite;

namespace Ingegno.Storage;

/// <summary>What came in with a file.</summary>
/// <param name="Client">Key of the client.</param>
/// <param name="Plans">Keys of the plans in the order of the file.</param>
/// <param name="Own">What the practice did not have of its own before.</param>
/// <param name="JustNow">False when it had come in before, by the same post.</param>
public sealed record BroughtIn(long Client, ImmutableArray<long> Plans, ImmutableArray<OwnRow> Own, bool JustNow);

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
        using var connection = database.Open();
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
        )
        {
            Notes = ClientAppTransfer.Notes(connection, clientId),
            Alerts = AlertStore.InFile(connection, clientId),
        };
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

    /// <summary>A file as it may come in to a practice: nothing in it takes the place of what is there.</summary>
    /// <param name="coachId">The coach.</param>
    /// <param name="file">The file.</param>
    public FileToTake ToTake(long coachId, ClientFile file) =>
        FileAdditions.Apart(
            file,
            Core.Knowledge.Rules.DomainRules.Shipped,
            [.. exercises.List(coachId).Select(e => e.Value)],
            [.. approaches.List(coachId).Select(a => a.Value)],
            [.. names.List(coachId).Select(n => n.Value)]
        );

    /// <summary>Brings a client in with a new key; what the practice has of its own under the same key or name stays as it is.</summary>
    /// <param name="coachId">The coach.</param>
    /// <param name="file">The client.</param>
    /// <param name="once">Key of the post: sent again, it gives what was brought in then.</param>
    /// <param name="upload">What was sent, where that is more than the file; the same post is known by it.</param>
    public BroughtIn Import(long coachId, ClientFile file, string? once = null, string? upload = null)
    {
        ArgumentNullException.ThrowIfNull(file);
        using var connection = database.Open();
        using var transaction = connection.BeginTransaction();
        var content = once is null ? string.Empty : $"import {upload ?? Write(file)}";
        if (IdempotentWrites.Find(connection, transaction, coachId, once, content) is [var before, .. var theirs])
        {
            return new BroughtIn(before, [.. theirs], [], false);
        }

        var into = new RowsIn(connection, transaction, coachId, Timestamps.Write(clock.GetUtcNow()));
        ImmutableArray<OwnRow> own =
        [
            .. into.Missing("own_exercise", file.OwnExercises.Select(e => (e.Name, "$.id", e.Id, Write(e)))),
            .. into.Missing("own_approach", file.OwnApproaches.Select(a => (a.Name, "$.id", a.Id, Write(a)))),
            .. into.Missing("taught_name", file.TaughtNames.Select(n => (n.Name, "$.name", n.Name, Write(n)))),
        ];
        var client = into.Document("client", null, file.Client.Name.Trim(), Write(file.Client));
        connection.Execute(
            "INSERT INTO brought_with_client (client_id, coach_id, kind, row_id) VALUES (@client, @coachId, @Table, @Id)",
            own.Select(o => new
            {
                client,
                coachId,
                o.Table,
                o.Id,
            }),
            transaction
        );
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

            var logged = plan.Sessions.Select(s => logs.Insert(connection, transaction, coachId, id, s) ?? 0).ToList();
            ClientAppTransfer.Add(into, client, id, plan, logged);
        }

        ClientAppTransfer.Add(into, client, file.Notes);
        AlertStore.Add(into, client, file.Alerts);

        IdempotentWrites.Note(connection, transaction, coachId, once, content, [client, .. made], clock.GetUtcNow());
        transaction.Commit();
        return new BroughtIn(client, made, own, true);
    }

    /// <summary>Takes back what was brought in, as if it had never come.</summary>
    public void TakeBack(long coachId, BroughtIn brought)
    {
        ArgumentNullException.ThrowIfNull(brought);
        using var connection = database.Open();
        using var transaction = connection.BeginTransaction();
        foreach (var own in brought.Own)
        {
            connection.Execute($"DELETE FROM {own.Table} WHERE coach_id = @coachId AND id = @Id", new { coachId, own.Id }, transaction);
        }

        connection.Execute("DELETE FROM client WHERE coach_id = @coachId AND id = @Client", new { coachId, brought.Client }, transaction);
        IdempotentWrites.Forget(connection, transaction, coachId, [brought.Client, .. brought.Plans]);
        transaction.Commit();
    }

    /// <summary>
    /// Erases a client, and with it what came in with its file and no other client's program or plan names; false when it is not this
    /// coach's. What was erased of the practice's own is to be forgotten by whoever keeps the domain rules.
    /// </summary>
    public bool Erase(long coachId, long clientId)
    {
        using var connection = database.Open();
        using var transaction = connection.BeginTransaction();
        var brought = connection
            .Query<(string Table, long Id)>(
                "SELECT kind, row_id FROM brought_with_client WHERE coach_id = @coachId AND client_id = @clientId",
                new { coachId, clientId },
                transaction
            )
            .ToList();
        if (
            connection.Execute("DELETE FROM client WHERE coach_id = @coachId AND id = @clientId", new { coachId, clientId }, transaction)
            == 0
        )
        {
            return false;
        }

        foreach (var (table, id) in brought.Where(b => OwnTables.Contains(b.Table) && !IsUsed(connection, transaction, coachId, b)))
        {
            connection.Execute($"DELETE FROM {table} WHERE coach_id = @coachId AND id = @id", new { coachId, id }, transaction);
        }

        transaction.Commit();
        return true;
    }

    private static readonly string[] OwnTables = ["own_exercise", "own_approach", "taught_name"];

    /// <summary>Another client's plan, program or profile names it, or came in with it, too.</summary>
    private static bool IsUsed(SqliteConnection connection, SqliteTransaction transaction, long coachId, (string Table, long Id) row) =>
        connection.ExecuteScalar<bool>(
            $"""
            WITH own AS (SELECT name, coalesce(json_extract(document, '$.id'), name) AS key FROM {row.Table} WHERE coach_id = @coachId AND id = @Id)
            SELECT EXISTS (SELECT 1 FROM brought_with_client WHERE coach_id = @coachId AND kind = @Table AND row_id = @Id)
                OR EXISTS (SELECT 1 FROM own, plan_version v WHERE v.coach_id = @coachId AND instr(unpacked(v.document), '"' || own.key || '"') > 0)
                OR EXISTS (SELECT 1 FROM own, client c WHERE c.coach_id = @coachId AND instr(c.document, '"' || own.key || '"') > 0)
                OR EXISTS (SELECT 1 FROM own, gym_week w WHERE w.coach_id = @coachId AND instr(lower(w.document), lower(own.name)) > 0)
            """,
            new
            {
                coachId,
                row.Table,
                row.Id,
            },
            transaction
        );

    private static long? Of(List<long> keys, int? at) => at is { } i && i >= 0 && i < keys.Count ? keys[i] : null;

    private PlanInFile Plan(
        long coachId,
        PlanSummary plan,
        IReadOnlyList<Saved<Core.Equipment.Kit.PlaceKit>> at,
        IReadOnlyList<Saved<GymWeek>> on
    )
    {
        using var connection = database.Open();
        var log = logs.List(coachId, plan.Id).Reverse().ToList();
        return new PlanInFile(
            plan.Title,
            At(at.Select(p => p.Id), plan.PlaceId),
            At(on.Select(w => w.Id), plan.GymWeekId),
            plan.Version,
            [.. plans.Versions(coachId, plan.Id)],
            [.. blocks.List(coachId, plan.Id).Reverse().Select(b => blocks.Find(coachId, plan.Id, b.Id)!.Value)],
            [.. log.Select(s => s.Value)]
        )
        {
            Releases = ClientAppTransfer.Releases(connection, plan.Id),
            PhoneSessions = ClientAppTransfer.Sessions(connection, plan.Id, [.. log.Select(s => s.Id)]),
        };
    }

    private static int? At(IEnumerable<long> keys, long? key) => keys.ToList().IndexOf(key ?? -1) is var i and >= 0 ? i : null;

    private static string Write<T>(T value) => JsonSerializer.Serialize(value, RulesJson.Lenient);
}
