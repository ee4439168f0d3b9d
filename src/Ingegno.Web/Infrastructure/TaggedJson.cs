using System.Security.Cryptography;
using System.Text.Json;
using Microsoft.Net.Http.Headers;

namespace Ingegno.Web.Infrastructure;

/// <summary>An answer with a tag of its content (RFC 9110, ETag): who has it already is told so in a line.</summary>
public static class TaggedJson
{
    /// <summary>The content, or 304 where the caller names its tag.</summary>
    /// <param name="context">The request.</param>
    /// <param name="content">The content.</param>
    /// <param name="options">How it is written.</param>
    public static IResult Of<T>(HttpContext context, T content, JsonSerializerOptions options)
    {
        ArgumentNullException.ThrowIfNull(context);
        var bytes = JsonSerializer.SerializeToUtf8Bytes(content, options);
        var tag = new EntityTagHeaderValue($"\"{Convert.ToHexString(SHA256.HashData(bytes).AsSpan(0, 16))}\"");
        context.Response.GetTypedHeaders().ETag = tag;
        return context.Request.GetTypedHeaders().IfNoneMatch.Any(asked => asked.Compare(tag, useStrongComparison: false))
            ? Results.StatusCode(StatusCodes.Status304NotModified)
            : Results.Bytes(bytes, "application/json; charset=utf-8");
    }
}
