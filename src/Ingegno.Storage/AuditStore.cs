using Dapper;

namespace Ingegno.Storage;

/// <summary>Something that was done.</summary>
/// <param name="At">When.</param>
/// <param name="What">What: <c>signed-in</c>, <c>sign-in-refused</c>, <c>password-changed</c>, <c>sessions-ended</c>, <c>client-exported</c>, <c>client-imported</c>, <c>client-erased</c>, <c>backup-made</c> …</param>
/// <param name="About">What it was about, without a name: what is erased is not to live on here.</param>
public sealed record Audited(DateTimeOffset At, string What, string About);

/// <summary>The audit trail: written on, never rewritten.</summary>
public sealed class AuditStore(Database database, TimeProvider clock)
{
    private sealed record Row(string At, string What, string About);

    /// <summary>Notes what a coach did.</summary>
    public void Note(long coachId, string what, string about = "")
    {
        using var connection = database.Open();
        connection.Execute(
            "INSERT INTO audit (coach_id, at, what, about) VALUES (@coachId, @at, @what, @about)",
            new
            {
                coachId,
                at = Timestamps.Write(clock.GetUtcNow()),
                what,
                about,
            }
        );
    }

    /// <summary>What a coach did last, newest first.</summary>
    public IReadOnlyList<Audited> List(long coachId, int most = 200)
    {
        using var connection = database.Open();
        return
        [
            .. connection
                .Query<Row>(
                    "SELECT at AS At, what AS What, about AS About FROM audit WHERE coach_id = @coachId ORDER BY id DESC LIMIT @most",
                    new { coachId, most }
                )
                .Select(r => new Audited(Timestamps.Read(r.At), r.What, r.About)),
        ];
    }
}
