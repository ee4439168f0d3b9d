using System.Text.Json;
using System.Text.Json.Serialization;
using Ingegno.Core.Foundation.Text;

namespace Ingegno.Core.Foundation.Quantities;

/// <summary>Writes a tempo as a coach does: <c>3-1-X-0</c>. Plans of before, in which a gym line's stood figure by figure, are read
/// too.</summary>
internal sealed class TempoConverter : JsonConverter<Tempo>
{
    public override Tempo Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
    {
        if (reader.TokenType == JsonTokenType.StartObject)
        {
            using var document = JsonDocument.ParseValue(ref reader);
            return FromFigures(document.RootElement);
        }

        return reader.TokenType == JsonTokenType.String && Tempo.TryParse(reader.GetString(), out var tempo)
            ? tempo
            : throw new UnreadableValueException(Tempo.Form);
    }

    public override void Write(Utf8JsonWriter writer, Tempo value, JsonSerializerOptions options) =>
        writer.WriteStringValue(value.ToString());

    private static Tempo FromFigures(JsonElement figures)
    {
        int Figure(string name) =>
            figures.TryGetProperty(name, out var figure)
            && figure.ValueKind == JsonValueKind.Number
            && figure.TryGetInt32(out var seconds)
            && seconds is >= 0 and <= Tempo.LongestPhase
                ? seconds
                : throw new UnreadableValueException(Tempo.Form);
        var explosive = figures.TryGetProperty("explosive", out var fast) && fast.ValueKind == JsonValueKind.True;
        return new Tempo(Figure("eccentric"), Figure("pauseStretched"), Figure("concentric"), Figure("pauseShortened"), explosive);
    }
}
