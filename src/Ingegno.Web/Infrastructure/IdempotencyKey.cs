namespace Ingegno.Web.Infrastructure;

/// <summary>
/// Key of a post that must not be done twice, from the header <c>Idempotency-Key</c> (IETF draft-ietf-httpapi-idempotency-key-header, from
/// memory): sent again with the same key, a post answers with what it made the first time.
/// </summary>
/// <param name="Value">1–100 printable ASCII characters; null when none was sent.</param>
public sealed record IdempotencyKey(string? Value)
{
    public const string Header = "Idempotency-Key";

    /// <summary>Reads the key of a request.</summary>
    /// <exception cref="BadHttpRequestException">It is empty, too long, or not printable ASCII.</exception>
    public static ValueTask<IdempotencyKey> BindAsync(HttpContext context)
    {
        ArgumentNullException.ThrowIfNull(context);
        if (!context.Request.Headers.TryGetValue(Header, out var sent))
        {
            return ValueTask.FromResult(new IdempotencyKey((string?)null));
        }

        var key = sent.ToString();
        return key is { Length: > 0 and <= 100 } && key.All(c => c is > ' ' and <= '~')
            ? ValueTask.FromResult(new IdempotencyKey(key))
            : throw new BadHttpRequestException($"{Header} takes 1 to 100 printable characters.");
    }
}
