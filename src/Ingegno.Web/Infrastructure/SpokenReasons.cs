using System.Text.Json;
using System.Text.Json.Serialization;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Language;

namespace Ingegno.Web.Infrastructure;

/// <summary>
/// Answers carry words where documents carry facts: the one place at which reasons become sentences on their way to a reader.
/// </summary>
/// <param name="phrasebook">The reader's language.</param>
public sealed class SpokenReasons(Phrasebook phrasebook) : JsonConverter<Reason>
{
    /// <summary>What comes from outside is a text: facts are the server's own.</summary>
    public override Reason Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        reader.TokenType == JsonTokenType.String ? Reason.Text(reader.GetString()!) : throw new JsonException("A reason is a text.");

    /// <inheritdoc/>
    public override void Write(Utf8JsonWriter writer, Reason value, JsonSerializerOptions options)
    {
        ArgumentNullException.ThrowIfNull(writer);
        writer.WriteStringValue(phrasebook.Say(value));
    }
}
