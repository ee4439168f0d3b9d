using Dapper;

namespace Ingegno.Storage;

/// <summary>A mail of the outbox.</summary>
/// <param name="Id">Key.</param>
/// <param name="ClientId">Client it is for; null for one to the coach.</param>
/// <param name="Address">Where it goes.</param>
/// <param name="Subject">Its subject.</param>
/// <param name="Message">The whole of it, the bytes that RFC 5322 writes; once it is handed over without what is secret in it.</param>
/// <param name="MadeAt">When it was made.</param>
/// <param name="SentAt">When it was handed over; null before.</param>
/// <param name="Tries">How often it was tried.</param>
/// <param name="Fault">Why the last try failed; null when none did.</param>
public sealed record OutboxMail(
    long Id,
    long? ClientId,
    string Address,
    string Subject,
    ReadOnlyMemory<byte> Message,
    DateTimeOffset MadeAt,
    DateTimeOffset? SentAt,
    int Tries,
    string? Fault
);

/// <summary>Mail on its way out. It is written in full before anything is sent, so that a server that ends loses none.</summary>
public sealed class OutboxStore(Database database, TimeProvider clock)
{
    private sealed class Row
    {
        public long Id { get; init; }

        public long? ClientId { get; init; }

        public string Address { get; init; } = string.Empty;

        public string Subject { get; init; } = string.Empty;

        public byte[] Message { get; init; } = [];

        public string MadeAt { get; init; } = string.Empty;

        public string? SentAt { get; init; }

        public long Tries { get; init; }

        public string? Fault { get; init; }

        public OutboxMail ToMail() =>
            new(
                Id,
                ClientId,
                Address,
                Subject,
                Message,
                Timestamps.Read(MadeAt),
                SentAt is null ? null : Timestamps.Read(SentAt),
                (int)Tries,
                Fault
            );
    }

    private const string Columns =
        "id AS Id, client_id AS ClientId, address AS Address, subject AS Subject, CAST(message AS BLOB) AS Message, made_at AS MadeAt, sent_at AS SentAt, tries AS Tries, fault AS Fault";

    /// <summary>Adds a mail; null when the client is not this coach's.</summary>
    public OutboxMail? Add(long coachId, long clientId, string address, string subject, byte[] message, string? once = null)
    {
        using var connection = database.Open();
        using var transaction = connection.BeginTransaction();
        var content = $"mail {clientId} {address} {subject}";
        if (IdempotentWrites.Find(connection, transaction, coachId, once, content) is [var made])
        {
            return List(coachId).FirstOrDefault(m => m.Id == made);
        }

        var now = Timestamps.Write(clock.GetUtcNow());
        var id = connection.ExecuteScalar<long?>(
            """
            INSERT INTO outbox (coach_id, client_id, address, subject, message, made_at, next_try_at)
            SELECT @coachId, @clientId, @address, @subject, @message, @now, @now
            WHERE EXISTS (SELECT 1 FROM client WHERE id = @clientId AND coach_id = @coachId)
            RETURNING id
            """,
            new
            {
                coachId,
                clientId,
                address,
                subject,
                message,
                now,
            },
            transaction
        );
        if (id is not { } added)
        {
            return null;
        }

        IdempotentWrites.Note(connection, transaction, coachId, once, content, [added], clock.GetUtcNow());
        transaction.Commit();
        return List(coachId).First(m => m.Id == added);
    }

    /// <summary>Adds a mail to the coach, for instance with a link to set a password.</summary>
    public void AddToCoach(long coachId, string address, string subject, byte[] message)
    {
        using var connection = database.Open();
        connection.Execute(
            "INSERT INTO outbox (coach_id, client_id, address, subject, message, made_at, next_try_at) VALUES (@coachId, NULL, @address, @subject, @message, @now, @now)",
            new
            {
                coachId,
                address,
                subject,
                message,
                now = Timestamps.Write(clock.GetUtcNow()),
            }
        );
    }

    /// <summary>Mails of a coach to clients, newest first, at most two hundred.</summary>
    public IReadOnlyList<OutboxMail> List(long coachId)
    {
        using var connection = database.Open();
        return
        [
            .. connection
                .Query<Row>(
                    $"SELECT {Columns} FROM outbox WHERE coach_id = @coachId AND client_id IS NOT NULL ORDER BY id DESC LIMIT 200",
                    new { coachId }
                )
                .Select(r => r.ToMail()),
        ];
    }

    /// <summary>Mails that are to be tried now, oldest first.</summary>
    public IReadOnlyList<OutboxMail> Due()
    {
        using var connection = database.Open();
        return
        [
            .. connection
                .Query<Row>(
                    $"SELECT {Columns} FROM outbox WHERE sent_at IS NULL AND next_try_at <= @now ORDER BY id LIMIT 20",
                    new { now = Timestamps.Write(clock.GetUtcNow()) }
                )
                .Select(r => r.ToMail()),
        ];
    }

    /// <summary>
    /// Takes a mail up before it is handed over. Where this cannot be written down nothing is handed over: a mail that leaves while nobody can
    /// note it would leave again at every look.
    /// </summary>
    /// <param name="id">The mail.</param>
    /// <param name="again">When it is due again unless it is noted as sent.</param>
    public void TakeUp(long id, TimeSpan again)
    {
        using var connection = database.Open();
        connection.Execute(
            "UPDATE outbox SET tries = tries + 1, next_try_at = @next WHERE id = @id",
            new { id, next = Timestamps.Write(clock.GetUtcNow() + again) }
        );
    }

    /// <summary>It was handed over: what stays of it holds no secret.</summary>
    /// <param name="id">The mail.</param>
    /// <param name="stays">What stays of it.</param>
    public void Sent(long id, byte[] stays)
    {
        using var connection = database.Open();
        connection.Execute(
            "UPDATE outbox SET sent_at = @now, fault = NULL, message = @stays WHERE id = @id",
            new
            {
                id,
                stays,
                now = Timestamps.Write(clock.GetUtcNow()),
            }
        );
    }

    /// <summary>It could not be handed over; it is due again when it was said on taking it up.</summary>
    public void Failed(long id, string fault)
    {
        using var connection = database.Open();
        connection.Execute("UPDATE outbox SET fault = @fault WHERE id = @id", new { id, fault });
    }
}
