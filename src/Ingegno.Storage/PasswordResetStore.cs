using System.Buffers.Text;
using System.Security.Cryptography;
using Dapper;

namespace Ingegno.Storage;

/// <summary>Links with which a coach who forgot the password sets another one: each works once, for an hour.</summary>
public sealed class PasswordResetStore(Database database, TimeProvider clock)
{
    /// <summary>How long a link works.</summary>
    public static readonly TimeSpan Lasts = TimeSpan.FromHours(1);

    /// <summary>Makes a link; its secret is told once. One that was made before works no more.</summary>
    public string Begin(long coachId)
    {
        var secret = Base64Url.EncodeToString(RandomNumberGenerator.GetBytes(32));
        using var connection = database.Open();
        connection.Execute(
            """
            DELETE FROM password_reset WHERE coach_id = @coachId;
            INSERT INTO password_reset (secret_hash, coach_id, ends_at) VALUES (@hash, @coachId, @ends);
            """,
            new
            {
                coachId,
                hash = ClientLinkStore.Hash(secret),
                ends = Timestamps.Write(clock.GetUtcNow() + Lasts),
            }
        );
        return secret;
    }

    /// <summary>Uses a link up; the coach it belongs to, or null when it works no more.</summary>
    public long? Use(string secret)
    {
        ArgumentNullException.ThrowIfNull(secret);
        using var connection = database.Open();
        return connection.ExecuteScalar<long?>(
            "DELETE FROM password_reset WHERE secret_hash = @hash AND ends_at > @now RETURNING coach_id",
            new { hash = ClientLinkStore.Hash(secret), now = Timestamps.Write(clock.GetUtcNow()) }
        );
    }
}
