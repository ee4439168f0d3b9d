using System.Globalization;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace Ingegno.Core.Programs.Lines;

/// <summary>
/// Identity of a gym line, kept through edits of the text, days that move and files: choices, figures, logs and blocks belong to
/// it. A line of the text is a place and no name. Nobody is shown it.
/// </summary>
/// <param name="Value">1 and up; for a text that is read for the first time the place of the line.</param>
[JsonConverter(typeof(LineKeyConverter))]
public readonly record struct LineKey(int Value)
{
    /// <summary>The number alone, for keys that are put together.</summary>
    public override string ToString() => Value.ToString(CultureInfo.InvariantCulture);
}

/// <summary>Writes a key as its number.</summary>
internal sealed class LineKeyConverter : JsonConverter<LineKey>
{
    public override LineKey Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) => new(reader.GetInt32());

    public override void Write(Utf8JsonWriter writer, LineKey value, JsonSerializerOptions options) => writer.WriteNumberValue(value.Value);
}
