using Dapper;

namespace Ingegno.Storage;

/// <summary>A coach who can sign in.</summary>
public sealed record Coach(long Id, string Email, string Name, string PasswordHash);

/// <summary>The coaches.</summary>
public sealed class CoachStore(Database database, TimeProvider clock)
{
    private const string Columns = "id AS Id, email AS Email, name AS Name, password_hash AS PasswordHash";

    /// <summary>True when nobody can sign in yet: the first start asks to create the coach.</summary>
    public bool IsEmpty()
    {
        using var connection = database.Open();
        return connection.ExecuteScalar<long>("SELECT count(*) FROM coach") == 0;
    }

    /// <summary>The coach with that address, whatever its case.</summary>
    public Coach? Find(string email)
    {
        using var connection = database.Open();
        return connection.QuerySingleOrDefault<Coach>($"SELECT {Columns} FROM coach WHERE email = @email", new { email });
    }

    public Coach? Find(long id)
    {
        using var connection = database.Open();
        return connection.QuerySingleOrDefault<Coach>($"SELECT {Columns} FROM coach WHERE id = @id", new { id });
    }

    /// <summary>Adds the first coach; null when there is one already, however many ask at once.</summary>
    public Coach? AddFirst(string email, string name, string passwordHash)
    {
        using var connection = database.Open();
        var id = connection.ExecuteScalar<long?>(
            """
            INSERT INTO coach (email, name, password_hash, created_at)
            SELECT @email, @name, @passwordHash, @now WHERE NOT EXISTS (SELECT 1 FROM coach)
            RETURNING id
            """,
            new
            {
                email,
                name,
                passwordHash,
                now = Timestamps.Write(clock.GetUtcNow()),
            }
        );
        return id is { } added ? Find(added) : null;
    }

    /// <summary>Replaces the hash, for instance when the framework asks for a stronger one.</summary>
    public void SetPasswordHash(long id, string passwordHash)
    {
        using var connection = database.Open();
        connection.Execute("UPDATE coach SET password_hash = @passwordHash WHERE id = @id", new { id, passwordHash });
    }
}
