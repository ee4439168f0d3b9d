namespace Ingegno.Storage;

/// <summary>Something stored, with the revision by which two writers notice each other.</summary>
public sealed record Saved<T>(long Id, int Revision, T Value, DateTimeOffset UpdatedAt)
    where T : class;

/// <summary>How a write ended.</summary>
public enum WriteOutcome
{
    Done,
    NotFound,
    Conflict,
}

/// <summary>
/// Outcome of a write: when somebody else wrote first, <see cref="Current"/> is what stands now, so that both versions
/// can be offered.
/// </summary>
public sealed record Written<T>(WriteOutcome Outcome, Saved<T>? Current)
    where T : class;
