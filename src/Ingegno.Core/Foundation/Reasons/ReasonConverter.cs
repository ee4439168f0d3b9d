using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace Ingegno.Core.Foundation.Reasons;

/// <summary>
/// Writes reasons as facts: <c>{ "code": "…", "facts": { … } }</c>, a quantity as <c>{ "kg": 12 }</c>, a word as <c>{ "muscle": "lats"
/// }</c>. A plain
/// text, as documents of before have it, is read as a text that is said as it stands.
/// </summary>
public sealed class ReasonConverter : JsonConverter<Reason>
{
    private static readonly Dictionary<string, Unit> Units = Enum.GetValues<Unit>().ToDictionary(NameOf);

    public override Reason Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
    {
        if (reader.TokenType == JsonTokenType.String)
        {
            return reader.GetString() is { Length: > 0 } text ? Reason.Text(text) : Reason.None;
        }

        using var document = JsonDocument.ParseValue(ref reader);
        return ReasonOf(document.RootElement);
    }

    public override void Write(Utf8JsonWriter writer, Reason value, JsonSerializerOptions options)
    {
        ArgumentNullException.ThrowIfNull(writer);
        ArgumentNullException.ThrowIfNull(value);
        writer.WriteStartObject();
        writer.WriteString("code", value.Code);
        if (!value.Facts.IsEmpty && value.Code == Reason.RowCode)
        {
            writer.WriteStartArray("parts");
            foreach (var part in value.Parts)
            {
                Write(writer, part, options);
            }

            writer.WriteEndArray();
        }
        else if (!value.Facts.IsEmpty)
        {
            writer.WriteStartObject("facts");
            foreach (var fact in value.Facts)
            {
                writer.WritePropertyName(fact.Name);
                WriteValue(writer, fact.Value, options);
            }

            writer.WriteEndObject();
        }

        writer.WriteEndObject();
    }

    private void WriteValue(Utf8JsonWriter writer, object value, JsonSerializerOptions options)
    {
        switch (value)
        {
            case double number:
                writer.WriteNumberValue(number);
                break;
            case string name:
                writer.WriteStringValue(name);
                break;
            case bool yes:
                writer.WriteBooleanValue(yes);
                break;
            case Reason reason:
                Write(writer, reason, options);
                break;
            case Quantity { Value: var figure, Unit: var unit }:
                writer.WriteStartObject();
                writer.WriteNumber(NameOf(unit), figure);
                writer.WriteEndObject();
                break;
            case Term term:
                writer.WriteStartObject();
                writer.WriteString(term.Of, term.Word);
                writer.WriteEndObject();
                break;
            case FactList list:
                writer.WriteStartArray();
                foreach (var item in list.Items)
                {
                    WriteValue(writer, item, options);
                }

                writer.WriteEndArray();
                break;
            default:
                throw new JsonException($"A fact cannot be a {value.GetType().Name}.");
        }
    }

    private static Reason ReasonOf(JsonElement element)
    {
        if (element.ValueKind == JsonValueKind.String)
        {
            return Reason.Text(element.GetString()!);
        }

        if (
            element.ValueKind != JsonValueKind.Object
            || !element.TryGetProperty("code", out var code)
            || code.ValueKind != JsonValueKind.String
        )
        {
            throw new JsonException("A reason is a text, or has a code.");
        }

        return element.TryGetProperty("parts", out var parts) && parts.ValueKind == JsonValueKind.Array
                ? Reason.Row(parts.EnumerateArray().Select(ReasonOf))
            : element.TryGetProperty("facts", out var facts) && facts.ValueKind == JsonValueKind.Object
                ? new Reason(code.GetString()!, [.. facts.EnumerateObject().Select(f => new Fact(f.Name, ValueOf(f.Value)))])
            : new Reason(code.GetString()!, []);
    }

    private static object ValueOf(JsonElement element) =>
        element.ValueKind switch
        {
            JsonValueKind.Number => element.GetDouble(),
            JsonValueKind.String => element.GetString()!,
            JsonValueKind.True => true,
            JsonValueKind.False => false,
            JsonValueKind.Array => new FactList([.. element.EnumerateArray().Select(ValueOf)]),
            JsonValueKind.Object when element.TryGetProperty("code", out _) => ReasonOf(element),
            JsonValueKind.Object => Single(element),
            _ => throw new JsonException("A fact has a value."),
        };

    private static object Single(JsonElement element)
    {
        foreach (var member in element.EnumerateObject())
        {
            return member.Value.ValueKind switch
            {
                JsonValueKind.Number when Units.TryGetValue(member.Name, out var unit) => new Quantity(member.Value.GetDouble(), unit),
                JsonValueKind.String => new Term(member.Name, member.Value.GetString()!),
                _ => throw new JsonException($"\"{member.Name}\" is no unit and no vocabulary."),
            };
        }

        throw new JsonException("A fact has a value.");
    }

    private static string NameOf(Unit unit) => JsonNamingPolicy.KebabCaseLower.ConvertName(unit.ToString());
}
