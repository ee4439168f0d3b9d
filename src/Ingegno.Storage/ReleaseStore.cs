using System.Text.Json;
using Dapper;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Progress.ClientApp;

namespace Ingegno.Storage;

/// <summary>A release as it was sent.</summary>
/// <param name="Id">Key.</param>
/// <param name="PlanId">Its plan.</param>
/// <param name="PlanVersion">Version of the plan.</param>
/// <param name="Number">Number among the releases of the plan, 1 first.</param>
/// <param name="MadeAt">When it was sent.</param>
/// <param name="Release">What was sent.</param>
public sealed record SentRelease(long Id, long PlanId, int PlanVersion, int Number, DateTimeOffset MadeAt, Release Release);

/// <summary>A release in brief.</summary>
public sealed record ReleaseInBrief(long Id, long ClientId, long PlanId, int PlanVersion, int Number, DateTimeOffset MadeAt);

/// <summary>Releases of plans; once made, one stays as it is.</summary>
public sealed class ReleaseStore(Database database, TimeProvider clock)
{
    private sealed record Row(long Id, long PlanId, long PlanVersion, long Number, string MadeAt, string Document)
    {
        public SentRelease ToRelease() =>
            new(
                Id,
                PlanId,
                (int)PlanVersion,
                (int)Number,
                Timestamps.Read(MadeAt),
                JsonSerializer.Deserialize<Release>(Document, RulesJson.Lenient)!
            );
    }

    private const string Columns =
        "r.id AS Id, r.plan_id AS PlanId, r.plan_version AS PlanVersion, r.number AS Number, r.made_at AS MadeAt, unpacked(r.document) AS Document";

    /// <summary>Adds a release; null when the plan has no such version, or is not this coach's.</summary>
    /// <param name="coachId">The coach.</param>
    /// <param name="planId">The plan.</param>
    /// <param name="planVersion">Its version.</param>
    /// <param name="release">What is sent.</param>
    /// <param name="once">Key of the post: sent again, it gives the release that was made then.</param>
    public SentRelease? Add(long coachId, long planId, int planVersion, Release release, string? once = null)
    {
        using var connection = database.Open();
        using var transaction = connection.BeginTransaction();
        var content = $"release {planId} {planVersion}";
        if (IdempotentWrites.Find(connection, transaction, coachId, once, content) is [var made])
        {
            return Find(coachId, made);
        }

        var id = connection.ExecuteScalar<long?>(
            """
            INSERT INTO plan_release (coach_id, client_id, plan_id, plan_version, number, document, made_at)
            SELECT @coachId, p.client_id, p.id, @planVersion,
                   (SELECT coalesce(max(number), 0) + 1 FROM plan_release WHERE plan_id = p.id), @document, @now
            FROM plan p JOIN plan_version v ON v.plan_id = p.id AND v.number = @planVersion
            WHERE p.id = @planId AND p.coach_id = @coachId
            RETURNING id
            """,
            new
            {
                coachId,
                planId,
                planVersion,
                document = PackedDocuments.Pack(release),
                now = Timestamps.Write(clock.GetUtcNow()),
            },
            transaction
        );
        if (id is not { } added)
        {
            return null;
        }

        IdempotentWrites.Note(connection, transaction, coachId, once, content, [added], clock.GetUtcNow());
        transaction.Commit();
        return Find(coachId, added);
    }

    /// <summary>A release; null when it is not of this coach.</summary>
    public SentRelease? Find(long coachId, long id)
    {
        using var connection = database.Open();
        return connection
            .QuerySingleOrDefault<Row>(
                $"SELECT {Columns} FROM plan_release r WHERE r.coach_id = @coachId AND r.id = @id",
                new { coachId, id }
            )
            ?.ToRelease();
    }

    /// <summary>The last release of each plan of a client, the one sent last first.</summary>
    public IReadOnlyList<SentRelease> Current(long coachId, long clientId)
    {
        using var connection = database.Open();
        return
        [
            .. connection
                .Query<Row>(
                    $"""
                    SELECT {Columns} FROM plan_release r
                    WHERE r.coach_id = @coachId AND r.client_id = @clientId
                      AND r.number = (SELECT max(number) FROM plan_release WHERE plan_id = r.plan_id)
                    ORDER BY r.id DESC
                    """,
                    new { coachId, clientId }
                )
                .Select(r => r.ToRelease()),
        ];
    }

    /// <summary>The release that was sent last to a client; null when none was.</summary>
    public SentRelease? Last(long coachId, long clientId) => Current(coachId, clientId) is [var last, ..] ? last : null;

    /// <summary>The last release of every plan of a coach, without what is in them, the one sent last first.</summary>
    public IReadOnlyList<ReleaseInBrief> InBrief(long coachId)
    {
        using var connection = database.Open();
        return
        [
            .. connection
                .Query<(long Id, long ClientId, long PlanId, long PlanVersion, long Number, string MadeAt)>(
                    """
                    SELECT id, client_id, plan_id, plan_version, number, made_at FROM plan_release r
                    WHERE coach_id = @coachId AND number = (SELECT max(number) FROM plan_release WHERE plan_id = r.plan_id)
                    ORDER BY id DESC
                    """,
                    new { coachId }
                )
                .Select(r => new ReleaseInBrief(r.Id, r.ClientId, r.PlanId, (int)r.PlanVersion, (int)r.Number, Timestamps.Read(r.MadeAt))),
        ];
    }
}
