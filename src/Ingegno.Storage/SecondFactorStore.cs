using Dapper;

namespace Ingegno.Storage;

/// <summary>A coach's second factor.</summary>
/// <param name="Secret">The secret, locked.</param>
/// <param name="Confirmed">The coach has shown that the device gives the right codes: from then on it is asked for.</param>
/// <param name="CodesLeft">Recovery codes that were not used.</param>
public sealed record SecondFactor(string Secret, bool Confirmed, int CodesLeft);

/// <summary>Second factors (TOTP, RFC 6238) and their recovery codes.</summary>
public sealed class SecondFactorStore(Database database)
{
    private sealed class Row
    {
        public string Secret { get; init; } = string.Empty;

        public bool Confirmed { get; init; }

        public int CodesLeft { get; init; }
    }

    /// <summary>The factor of a coach; null when none was begun.</summary>
    public SecondFactor? Find(long coachId)
    {
        using var connection = database.Open();
        return
            connection.QuerySingleOrDefault<Row>(
                """
                SELECT secret AS Secret, confirmed AS Confirmed,
                       (SELECT count(*) FROM recovery_code r WHERE r.coach_id = f.coach_id) AS CodesLeft
                FROM second_factor f WHERE coach_id = @coachId
                """,
                new { coachId }
            )
                is { } row
            ? new SecondFactor(row.Secret, row.Confirmed, row.CodesLeft)
            : null;
    }

    /// <summary>Begins anew with a secret that is not confirmed yet; false when a confirmed one stands.</summary>
    public bool Begin(long coachId, string secret)
    {
        using var connection = database.Open();
        return connection.Execute(
                """
                INSERT INTO second_factor (coach_id, secret) VALUES (@coachId, @secret)
                ON CONFLICT (coach_id) DO UPDATE SET secret = excluded.secret, last_step = 0 WHERE confirmed = 0
                """,
                new { coachId, secret }
            ) == 1;
    }

    /// <summary>Confirms it with the step that was shown, and stores the recovery codes.</summary>
    public void Confirm(long coachId, long step, IEnumerable<string> codeHashes)
    {
        using var connection = database.Open();
        using var transaction = connection.BeginTransaction();
        connection.Execute(
            "UPDATE second_factor SET confirmed = 1, last_step = @step WHERE coach_id = @coachId",
            new { coachId, step },
            transaction
        );
        connection.Execute("DELETE FROM recovery_code WHERE coach_id = @coachId", new { coachId }, transaction);
        connection.Execute(
            "INSERT INTO recovery_code (coach_id, hash) VALUES (@coachId, @hash)",
            codeHashes.Select(hash => new { coachId, hash }),
            transaction
        );
        transaction.Commit();
    }

    /// <summary>Uses a step; false when it, or a later one, was used before: a code opens once.</summary>
    public bool UseStep(long coachId, long step)
    {
        using var connection = database.Open();
        return connection.Execute(
                "UPDATE second_factor SET last_step = @step WHERE coach_id = @coachId AND last_step < @step",
                new { coachId, step }
            ) == 1;
    }

    /// <summary>Uses up a recovery code; false when it is none.</summary>
    public bool UseRecoveryCode(long coachId, string hash)
    {
        using var connection = database.Open();
        return connection.Execute("DELETE FROM recovery_code WHERE coach_id = @coachId AND hash = @hash", new { coachId, hash }) == 1;
    }

    /// <summary>Takes the second factor away.</summary>
    public void Remove(long coachId)
    {
        using var connection = database.Open();
        connection.Execute("DELETE FROM second_factor WHERE coach_id = @coachId", new { coachId });
    }
}
