using System.Globalization;
using System.Text.Json;
using Dapper;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Progress.Blocks;
using Microsoft.Data.Sqlite;

namespace Ingegno.Storage;

/// <summary>A block as it is kept: how the coach wants it, and its weeks as they were planned.</summary>
public sealed record BlockRecord(BlockSetup Setup, Block Block);

/// <summary>A block of a plan in a list.</summary>
/// <param name="Id">Key.</param>
/// <param name="Starts">First day.</param>
/// <param name="Ends">Last day.</param>
public sealed record BlockDates(long Id, DateOnly Starts, DateOnly Ends);

/// <summary>Blocks of plans; the newest of a plan is the one that counts.</summary>
public sealed class BlockStore(Database database, TimeProvider clock)
{
    private sealed record Row(long Id, long Revision, string Document, string UpdatedAt);

    private sealed record DatesRow(long Id, long PlanId, string Starts, string Ends);

    private const string Columns = "id AS Id, revision AS Revision, document AS Document, updated_at AS UpdatedAt";
    private const string Present = "coach_id = @coachId AND removed = 0";

    /// <summary>Blocks of a plan, newest first.</summary>
    public IReadOnlyList<BlockDates> List(long coachId, long planId)
    {
        using var connection = database.Open();
        return
        [
            .. connection
                .Query<DatesRow>(
                    $"SELECT id AS Id, plan_id AS PlanId, starts AS Starts, ends AS Ends FROM block WHERE {Present} AND plan_id = @planId ORDER BY starts DESC, id DESC",
                    new { coachId, planId }
                )
                .Select(r => new BlockDates(r.Id, Day(r.Starts), Day(r.Ends))),
        ];
    }

    /// <summary>Last day of the newest block of each plan of a coach.</summary>
    public IReadOnlyDictionary<long, DateOnly> Ends(long coachId)
    {
        using var connection = database.Open();
        return connection
            .Query<DatesRow>(
                $"SELECT id AS Id, plan_id AS PlanId, starts AS Starts, ends AS Ends FROM block WHERE {Present}",
                new { coachId }
            )
            .GroupBy(r => r.PlanId)
            .ToDictionary(g => g.Key, g => Day(g.OrderBy(r => r.Starts, StringComparer.Ordinal).ThenBy(r => r.Id).Last().Ends));
    }

    /// <summary>A block of a plan; null when it is not this coach's or was taken away.</summary>
    public Saved<BlockRecord>? Find(long coachId, long planId, long id)
    {
        using var connection = database.Open();
        return
            connection.QuerySingleOrDefault<Row>(
                $"SELECT {Columns} FROM block WHERE {Present} AND plan_id = @planId AND id = @id",
                new
                {
                    coachId,
                    planId,
                    id,
                }
            )
                is { } row
            ? ToSaved(row)
            : null;
    }

    /// <summary>The newest block of a plan; null when it has none.</summary>
    public Saved<BlockRecord>? Newest(long coachId, long planId) =>
        List(coachId, planId) is [var newest, ..] ? Find(coachId, planId, newest.Id) : null;

    /// <summary>Adds a block; null when the plan is not this coach's.</summary>
    public Saved<BlockRecord>? Add(long coachId, long planId, BlockRecord block)
    {
        ArgumentNullException.ThrowIfNull(block);
        using var connection = database.Open();
        using var transaction = connection.BeginTransaction();
        var id = Insert(connection, transaction, coachId, planId, block, clock.GetUtcNow());
        transaction.Commit();
        return id is { } added ? Find(coachId, planId, added) : null;
    }

    internal static long? Insert(
        SqliteConnection connection,
        SqliteTransaction transaction,
        long coachId,
        long planId,
        BlockRecord block,
        DateTimeOffset now
    ) =>
        connection.ExecuteScalar<long?>(
            """
            INSERT INTO block (coach_id, plan_id, starts, ends, document, updated_at)
            SELECT @coachId, @planId, @starts, @ends, @document, @now WHERE EXISTS (SELECT 1 FROM plan WHERE id = @planId AND coach_id = @coachId)
            RETURNING id
            """,
            Parameters(coachId, planId, 0, 0, block, now),
            transaction
        );

    /// <summary>Replaces a block as it was seen.</summary>
    public Written<BlockRecord> Update(long coachId, long planId, long id, int revision, BlockRecord block)
    {
        ArgumentNullException.ThrowIfNull(block);
        using var connection = database.Open();
        var changed = connection.Execute(
            $"""
            UPDATE block SET starts = @starts, ends = @ends, document = @document, updated_at = @now, revision = revision + 1
            WHERE {Present} AND plan_id = @planId AND id = @id AND revision = @revision
            """,
            Parameters(coachId, planId, id, revision, block, clock.GetUtcNow())
        );
        var current = Find(coachId, planId, id);
        return new Written<BlockRecord>(
            changed == 1 ? WriteOutcome.Done
                : current is null ? WriteOutcome.NotFound
                : WriteOutcome.Conflict,
            current
        );
    }

    /// <summary>Takes a block away, or brings it back; false when there is none to take away or bring back.</summary>
    public bool Remove(long coachId, long planId, long id, bool bringBack = false)
    {
        using var connection = database.Open();
        return connection.Execute(
                "UPDATE block SET removed = @removed, revision = revision + 1 WHERE coach_id = @coachId AND plan_id = @planId AND id = @id AND removed <> @removed",
                new
                {
                    coachId,
                    planId,
                    id,
                    removed = bringBack ? 0 : 1,
                }
            ) == 1;
    }

    private static object Parameters(long coachId, long planId, long id, int revision, BlockRecord block, DateTimeOffset now) =>
        new
        {
            coachId,
            planId,
            id,
            revision,
            starts = Text(block.Setup.Starts),
            ends = Text(block.Setup.Ends),
            document = JsonSerializer.Serialize(block, RulesJson.Lenient),
            now = Timestamps.Write(now),
        };

    private static string Text(DateOnly day) => day.ToString("O", CultureInfo.InvariantCulture);

    private static DateOnly Day(string text) => DateOnly.ParseExact(text, "O", CultureInfo.InvariantCulture);

    private static Saved<BlockRecord> ToSaved(Row row) =>
        new(
            row.Id,
            (int)row.Revision,
            JsonSerializer.Deserialize<BlockRecord>(row.Document, RulesJson.Lenient)!,
            Timestamps.Read(row.UpdatedAt)
        );
}
