using System.Security.Cryptography;
using System.Text;
using Dapper;

namespace Ingegno.Storage;

/// <summary>A client's key to their releases and log.</summary>
/// <param name="Id">Key of the row.</param>
/// <param name="CoachId">The coach.</param>
/// <param name="ClientId">The client.</param>
/// <param name="Sealed">The secret, sealed.</param>
/// <param name="MadeAt">When it was made.</param>
/// <param name="ExpiresAt">When it ends by itself; null for never.</param>
/// <param name="RevokedAt">When the coach ended it; null while it runs.</param>
/// <param name="OpenedAt">When it was opened first.</param>
/// <param name="SeenAt">When the phone was in touch last, to the minute.</param>
public sealed record ClientLink(
    long Id,
    long CoachId,
    long ClientId,
    string Sealed,
    DateTimeOffset MadeAt,
    DateTimeOffset? ExpiresAt,
    DateTimeOffset? RevokedAt,
    DateTimeOffset? OpenedAt,
    DateTimeOffset? SeenAt
)
{
    /// <summary>Whether it opens something.</summary>
    public bool RunsAt(DateTimeOffset now) => RevokedAt is null && !(ExpiresAt <= now);

    /// <summary>Days after its end in which it still takes what was trained (own decision: a holiday without a net is over by then).</summary>
    public const int DaysOfDelivery = 30;

    /// <summary>Whether it still takes what was trained while it ran; it shows nothing any more.</summary>
    public bool DeliversAt(DateTimeOffset now) =>
        RunsAt(now) || new[] { RevokedAt, ExpiresAt }.OfType<DateTimeOffset>().Min() is var ended && now < ended.AddDays(DaysOfDelivery);
}

/// <summary>Links of clients. Of a client the last one made runs at most.</summary>
public sealed class ClientLinkStore(Database database, TimeProvider clock)
{
    /// <summary>Random bytes of a secret.</summary>
    public const int SecretBytes = 32;

    private const string Columns =
        "id AS Id, coach_id AS CoachId, client_id AS ClientId, secret_hash AS SecretHash, sealed AS Sealed, made_at AS MadeAt, expires_at AS ExpiresAt, revoked_at AS RevokedAt, opened_at AS OpenedAt, seen_at AS SeenAt";

    private static readonly TimeSpan Noted = TimeSpan.FromMinutes(1);

    private sealed class Row
    {
        public long Id { get; init; }

        public long CoachId { get; init; }

        public long ClientId { get; init; }

        public string SecretHash { get; init; } = string.Empty;

        public string Sealed { get; init; } = string.Empty;

        public string MadeAt { get; init; } = string.Empty;

        public string? ExpiresAt { get; init; }

        public string? RevokedAt { get; init; }

        public string? OpenedAt { get; init; }

        public string? SeenAt { get; init; }

        public ClientLink ToLink() =>
            new(Id, CoachId, ClientId, Sealed, Timestamps.Read(MadeAt), At(ExpiresAt), At(RevokedAt), At(OpenedAt), At(SeenAt));

        private static DateTimeOffset? At(string? text) => text is null ? null : Timestamps.Read(text);
    }

    /// <summary>Makes a link in place of the one before, which ends; null when the client is not this coach's.</summary>
    /// <param name="coachId">The coach.</param>
    /// <param name="clientId">The client.</param>
    /// <param name="secret">Its secret.</param>
    /// <param name="seal">The secret, sealed.</param>
    /// <param name="expiresAt">When it ends by itself; null for never.</param>
    public ClientLink? Renew(long coachId, long clientId, string secret, string seal, DateTimeOffset? expiresAt)
    {
        using (var connection = database.Open())
        using (var transaction = connection.BeginTransaction())
        {
            var now = Timestamps.Write(clock.GetUtcNow());
            Revoke(connection, transaction, coachId, clientId, now);
            connection.Execute(
                """
                INSERT INTO client_link (coach_id, client_id, secret_hash, sealed, made_at, expires_at)
                SELECT @coachId, @clientId, @hash, @seal, @now, @expires
                WHERE EXISTS (SELECT 1 FROM client WHERE id = @clientId AND coach_id = @coachId)
                """,
                new
                {
                    coachId,
                    clientId,
                    hash = Hash(secret),
                    seal,
                    now,
                    expires = expiresAt is { } at ? Timestamps.Write(at) : null,
                },
                transaction
            );
            transaction.Commit();
        }

        return Last(coachId, clientId);
    }

    /// <summary>Ends the link of a client; false when none ran.</summary>
    public bool Revoke(long coachId, long clientId)
    {
        using var connection = database.Open();
        return Revoke(connection, null, coachId, clientId, Timestamps.Write(clock.GetUtcNow())) > 0;
    }

    /// <summary>The link made last; null when there never was one.</summary>
    public ClientLink? Last(long coachId, long clientId)
    {
        using var connection = database.Open();
        return connection
            .QueryFirstOrDefault<Row>(
                $"SELECT {Columns} FROM client_link WHERE coach_id = @coachId AND client_id = @clientId ORDER BY id DESC LIMIT 1",
                new { coachId, clientId }
            )
            ?.ToLink();
    }

    /// <summary>The links that were made last, of all clients of a coach, by client.</summary>
    public IReadOnlyDictionary<long, ClientLink> OfCoach(long coachId)
    {
        using var connection = database.Open();
        return connection
            .Query<Row>(
                $"SELECT {Columns} FROM client_link WHERE id IN (SELECT max(id) FROM client_link WHERE coach_id = @coachId GROUP BY client_id)",
                new { coachId }
            )
            .ToDictionary(r => r.ClientId, r => r.ToLink());
    }

    /// <summary>The link of a secret, whether it runs or not; null when there never was one.</summary>
    public ClientLink? Find(string secret)
    {
        ArgumentNullException.ThrowIfNull(secret);
        var hash = Hash(secret);
        using var connection = database.Open();
        var row = connection.QuerySingleOrDefault<Row>($"SELECT {Columns} FROM client_link WHERE secret_hash = @hash", new { hash });
        return
            row is not null
            && CryptographicOperations.FixedTimeEquals(Encoding.ASCII.GetBytes(row.SecretHash), Encoding.ASCII.GetBytes(hash))
            ? row.ToLink()
            : null;
    }

    /// <summary>Notes that the phone was in touch, once a minute.</summary>
    public void Seen(ClientLink link)
    {
        ArgumentNullException.ThrowIfNull(link);
        var now = clock.GetUtcNow();
        if (link.SeenAt is { } seen && now - seen < Noted)
        {
            return;
        }

        using var connection = database.Open();
        connection.Execute(
            "UPDATE client_link SET opened_at = coalesce(opened_at, @now), seen_at = @now WHERE id = @Id",
            new { link.Id, now = Timestamps.Write(now) }
        );
    }

    private static int Revoke(
        Microsoft.Data.Sqlite.SqliteConnection connection,
        Microsoft.Data.Sqlite.SqliteTransaction? transaction,
        long coachId,
        long clientId,
        string now
    ) =>
        connection.Execute(
            "UPDATE client_link SET revoked_at = @now WHERE coach_id = @coachId AND client_id = @clientId AND revoked_at IS NULL",
            new
            {
                coachId,
                clientId,
                now,
            },
            transaction
        );

    /// <summary>A hash is enough: the secret has 256 random bits, so nobody guesses it from there.</summary>
    internal static string Hash(string secret) => Convert.ToHexString(SHA256.HashData(Encoding.UTF8.GetBytes(secret)));
}
