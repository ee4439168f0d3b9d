using System.Globalization;
using System.Security.Cryptography;
using System.Text;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Ingegno.Storage;

/// <summary>The key of a post was used for another content.</summary>
public sealed class KeyReusedException() : Exception("The key of this post was used for another content.");

/// <summary>
/// Posts that must not be done twice: whoever sends one gives it a key, and what was made is noted under it in the transaction that made
/// it. Sent again, because its answer was lost, it answers with what was made then.
/// </summary>
internal static class IdempotentWrites
{
    /// <summary>After so long nobody waits for an answer any more.</summary>
    private static readonly TimeSpan Remembered = TimeSpan.FromDays(60);

    /// <summary>Keys of the rows that a post made; null when it was not done yet.</summary>
    /// <exception cref="KeyReusedException">The key stands for another content.</exception>
    public static long[]? Find(SqliteConnection connection, SqliteTransaction transaction, long coachId, string? key, string content)
    {
        if (key is null)
        {
            return null;
        }

        var done = connection.QuerySingleOrDefault<(string Digest, string Made)?>(
            "SELECT digest, made FROM done_once WHERE coach_id = @coachId AND key = @key",
            new { coachId, key },
            transaction
        );
        if (done is not { } found)
        {
            return null;
        }

        return found.Digest == Digest(content)
            ? [.. found.Made.Split(',').Select(i => long.Parse(i, CultureInfo.InvariantCulture))]
            : throw new KeyReusedException();
    }

    /// <summary>Notes what a post made, and forgets what is long past.</summary>
    public static void Note(
        SqliteConnection connection,
        SqliteTransaction transaction,
        long coachId,
        string? key,
        string content,
        IEnumerable<long> made,
        DateTimeOffset now
    )
    {
        if (key is null)
        {
            return;
        }

        connection.Execute(
            """
            DELETE FROM done_once WHERE coach_id = @coachId AND at < @past;
            INSERT INTO done_once (coach_id, key, digest, made, at) VALUES (@coachId, @key, @digest, @made, @at);
            """,
            new
            {
                coachId,
                key,
                digest = Digest(content),
                made = string.Join(',', made),
                at = Timestamps.Write(now),
                past = Timestamps.Write(now - Remembered),
            },
            transaction
        );
    }

    /// <summary>Forgets that these rows were made: they are gone again.</summary>
    public static void Forget(SqliteConnection connection, SqliteTransaction transaction, long coachId, IEnumerable<long> made) =>
        connection.Execute(
            "DELETE FROM done_once WHERE coach_id = @coachId AND made = @made",
            new { coachId, made = string.Join(',', made) },
            transaction
        );

    private static string Digest(string content) => Convert.ToHexString(SHA256.HashData(Encoding.UTF8.GetBytes(content)));
}
