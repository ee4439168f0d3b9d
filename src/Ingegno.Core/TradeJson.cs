using System.Text.Json;
using System.Text.Json.Serialization;

namespace Ingegno.Core;

/// <summary>
/// The one way the trade's documents (catalogue, kit, clients, plans) are written as JSON: camelCase names,
/// kebab-case enumeration values, unknown members refused so that a typing error in data never passes in silence.
/// </summary>
public static class TradeJson
{
    /// <summary>Options for files that the project ships or a practice edits: strict about unknown members.</summary>
    public static JsonSerializerOptions Strict { get; } = Create(JsonUnmappedMemberHandling.Disallow);

    /// <summary>Options for documents that travel between versions: unknown members are skipped.</summary>
    public static JsonSerializerOptions Lenient { get; } = Create(JsonUnmappedMemberHandling.Skip);

    /// <summary>Applies the trade's naming rules to options owned by somebody else, such as the web host.</summary>
    public static void Apply(JsonSerializerOptions options)
    {
        ArgumentNullException.ThrowIfNull(options);
        options.PropertyNamingPolicy = JsonNamingPolicy.CamelCase;
        options.DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull;
        options.NumberHandling = JsonNumberHandling.Strict;
        options.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.KebabCaseLower, allowIntegerValues: false));
    }

    private static JsonSerializerOptions Create(JsonUnmappedMemberHandling unmapped)
    {
        var options = new JsonSerializerOptions
        {
            UnmappedMemberHandling = unmapped,
            ReadCommentHandling = JsonCommentHandling.Skip,
            AllowTrailingCommas = true,
        };
        Apply(options);
        return options;
    }
}
