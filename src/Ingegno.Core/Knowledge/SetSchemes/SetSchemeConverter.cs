using System.Text.Json;
using System.Text.Json.Serialization;

namespace Ingegno.Core.Knowledge.SetSchemes;

/// <summary>Writes a scheme as its text.</summary>
internal sealed class SetSchemeConverter : JsonConverter<SetScheme>
{
    public override SetScheme Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        SetScheme.TryParse(reader.GetString(), out var scheme)
            ? scheme
            : throw new JsonException($"There is no such set scheme; there are {string.Join(", ", SetScheme.All.Select(s => s.Key))}.");

    public override void Write(Utf8JsonWriter writer, SetScheme value, JsonSerializerOptions options) =>
        writer.WriteStringValue(value.Text);
}
