using System.Security.Cryptography;
using Dapper;

namespace Ingegno.Storage;

/// <summary>A place where a coach is signed in.</summary>
/// <param name="BeganAt">When the coach signed in.</param>
/// <param name="SeenAt">When it was used last, to the hour.</param>
/// <param name="Device">What the browser says that it is.</param>
/// <param name="Here">The session that asks.</param>
public sealed record SignedIn(DateTimeOffset BeganAt, DateTimeOffset SeenAt, string Device, bool Here);

/// <summary>Who is signed in where. A session ends here, not in the cookie.</summary>
public sealed class SignedInStore(Database database, TimeProvider clock)
{
    private static readonly TimeSpan Noted = TimeSpan.FromHours(1);

    private sealed record Row(string KeyHash, string BeganAt, string SeenAt, string Device)
    {
        public SignedIn ToSession(string? here = null) => new(Timestamps.Read(BeganAt), Timestamps.Read(SeenAt), Device, KeyHash == here);
    }

    /// <summary>Begins a session; its key is told once and stored hashed.</summary>
    public string Begin(long coachId, string device)
    {
        var key = Convert.ToBase64String(RandomNumberGenerator.GetBytes(32));
        var now = Timestamps.Write(clock.GetUtcNow());
        using var connection = database.Open();
        connection.Execute(
            "INSERT INTO signed_in (key_hash, coach_id, began_at, seen_at, device) VALUES (@hash, @coachId, @now, @now, @device)",
            new
            {
                hash = Hash(key),
                coachId,
                now,
                device = device.Length > 200 ? device[..200] : device,
            }
        );
        return key;
    }

    /// <summary>Whether a session still runs; its use is noted once an hour.</summary>
    /// <param name="key">The key that the cookie carries.</param>
    /// <param name="coachId">The coach that it names.</param>
    /// <param name="idle">Unused for so long it is over.</param>
    /// <param name="longest">After so long it is over however much it is used.</param>
    public bool Runs(string key, long coachId, TimeSpan idle, TimeSpan longest)
    {
        ArgumentNullException.ThrowIfNull(key);
        var (hash, now) = (Hash(key), clock.GetUtcNow());
        using var connection = database.Open();
        var row = connection.QuerySingleOrDefault<Row>(
            "SELECT key_hash AS KeyHash, began_at AS BeganAt, seen_at AS SeenAt, device AS Device FROM signed_in WHERE key_hash = @hash AND coach_id = @coachId",
            new { hash, coachId }
        );
        if (row?.ToSession() is not { } session)
        {
            return false;
        }

        if (now - session.SeenAt > idle || now - session.BeganAt > longest)
        {
            End(key);
            return false;
        }

        if (now - session.SeenAt > Noted)
        {
            connection.Execute("UPDATE signed_in SET seen_at = @seen WHERE key_hash = @hash", new { hash, seen = Timestamps.Write(now) });
        }

        return true;
    }

    /// <summary>Sessions of a coach, the one used last first.</summary>
    /// <param name="coachId">The coach.</param>
    /// <param name="here">Key of the session that asks.</param>
    public IReadOnlyList<SignedIn> List(long coachId, string? here = null)
    {
        var asking = here is null ? null : Hash(here);
        using var connection = database.Open();
        return
        [
            .. connection
                .Query<Row>(
                    "SELECT key_hash AS KeyHash, began_at AS BeganAt, seen_at AS SeenAt, device AS Device FROM signed_in WHERE coach_id = @coachId ORDER BY seen_at DESC, key_hash",
                    new { coachId }
                )
                .Select(r => r.ToSession(asking)),
        ];
    }

    /// <summary>Ends a session.</summary>
    public void End(string key)
    {
        ArgumentNullException.ThrowIfNull(key);
        using var connection = database.Open();
        connection.Execute("DELETE FROM signed_in WHERE key_hash = @hash", new { hash = Hash(key) });
    }

    /// <summary>Ends all sessions of a coach but one; how many that were.</summary>
    /// <param name="coachId">The coach.</param>
    /// <param name="but">Key of the one that stays; null to end all.</param>
    public int EndAll(long coachId, string? but = null)
    {
        using var connection = database.Open();
        return connection.Execute(
            "DELETE FROM signed_in WHERE coach_id = @coachId AND key_hash <> @but",
            new { coachId, but = but is null ? string.Empty : Hash(but) }
        );
    }

    /// <summary>A hash is enough: the key has 256 random bits, so nobody guesses it from there.</summary>
    private static string Hash(string key) => Convert.ToHexString(SHA256.HashData(System.Text.Encoding.UTF8.GetBytes(key)));
}
