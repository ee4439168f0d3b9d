using System.Globalization;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace Ingegno.Web.Tests;

/// <summary>Makes requests that no browser of ours would send, from the description of the API: wrong kinds, wild figures, hostile text.</summary>
internal sealed class HostileRequests(JsonElement api, int seed)
{
    private static readonly string[] Ids = ["1", "2", "0", "-1", "9223372036854775807", "99999999999999999999", "1e3", "٣", "null", "1;2"];

    private static readonly string[] Texts =
    [
        "",
        " ",
        "\n=1+1",
        "٣x٨ squat",
        "squat 3x8 @ 99999999999999999999 kg",
        "squat 3x8 RIR 9999999999",
        "8,8,8 @ 1e400 rir -1",
        "\u0000\u0001\u001f",
        "\ud800 alone",
        "‮squat 3x8‬",
        "<script>alert(1)</script>",
        "'; DROP TABLE client; --",
        "../../etc/passwd",
        "{0}{1}%s%n",
        "9999-12-31",
        "0000-00-00",
        "half-kneeling-press",
        "squat",
        "= Day\nsquat 3x8\n= Day\n= = =\n(((((((((([[[[[[",
    ];

    private static readonly string[] Long =
    [
        new('9', 64_000),
        new(' ', 64_000),
        string.Concat(Enumerable.Repeat("3x8 ", 16_000)),
        string.Concat(Enumerable.Repeat("a, ", 20_000)),
        string.Concat(Enumerable.Repeat("left knee ", 6_000)),
        string.Concat(Enumerable.Repeat("(", 30_000)),
        string.Concat(Enumerable.Repeat("2x10 kg dumbbell and ", 3_000)),
        string.Concat(Enumerable.Repeat("squat 3x8\n", 6_000)),
    ];

    private static readonly string[] Numbers =
    [
        "0",
        "-1",
        "1",
        "1.5",
        "1e308",
        "-1e308",
        "1e400",
        "2147483648",
        "99999999999999999999",
        "0.0000001",
        "\"NaN\"",
        "\"Infinity\"",
        "500",
    ];

    private readonly Random _random = new(seed);

    /// <summary>Every operation in turn, each time with another body, address and header.</summary>
    public IEnumerable<(string Name, HttpRequestMessage Request)> Take(int count)
    {
        var operations = api.GetProperty("paths")
            .EnumerateObject()
            .SelectMany(p => p.Value.EnumerateObject().Select(o => (Path: p.Name, Method: o.Name, o.Value)))
            .Where(o => o.Path != "/api/v1/session" || o.Method != "delete") // Whoever is signed out tries nothing more.
            .Where(o => !o.Path.Contains("signed-in", StringComparison.Ordinal))
            .ToList();
        for (var i = 0; i < count; i++)
        {
            var (path, method, operation) = operations[i % operations.Count];
            var address = Address(path, operation);
            var request = new HttpRequestMessage(new HttpMethod(method.ToUpperInvariant()), new Uri(address, UriKind.Relative));
            var body = string.Empty;
            if (operation.TryGetProperty("requestBody", out var wanted))
            {
                body = Body(wanted.GetProperty("content").EnumerateObject().First().Value.GetProperty("schema"));
                request.Content = new ByteArrayContent(Encoding.UTF8.GetBytes(body));
                request.Content.Headers.TryAddWithoutValidation("Content-Type", Type());
            }

            yield return ($"{i}: {method} {address} {(body.Length > 300 ? body[..300] + "…" : body)}", request);
        }
    }

    private string Type() =>
        _random.Next(20) switch
        {
            0 => "application/json; charset=x-unknown",
            1 => "text/plain",
            2 => "application/json; charset=utf-7",
            3 => "application/json; charset=\"\"",
            4 => "nonsense",
            _ => "application/json",
        };

    private string Address(string path, JsonElement operation)
    {
        var address = System.Text.RegularExpressions.Regex.Replace(path, @"\{[^}]+\}", _ => _random.Next(3) > 0 ? "1" : Pick(Ids));
        if (!operation.TryGetProperty("parameters", out var parameters))
        {
            return address;
        }

        var query = parameters
            .EnumerateArray()
            .Where(p => p.GetProperty("in").GetString() == "query")
            .Select(p =>
                $"{p.GetProperty("name").GetString()}={Uri.EscapeDataString(Well(Pick(Texts)).Replace("\0", string.Empty, StringComparison.Ordinal))}"
            );
        return string.Join('&', query) is { Length: > 0 } asked ? $"{address}?{asked}" : address;
    }

    private string Body(JsonElement schema)
    {
        switch (_random.Next(24))
        {
            case 0:
                return string.Concat(Enumerable.Repeat("[", 5_000));
            case 1:
                return "null";
            case 2:
                return Pick(Texts);
            case 3:
                return "{\"a\":{\"b\":[1,2,3]}}";
            default:
                return Value(schema, 0);
        }
    }

    /// <summary>A value of about the right kind: mostly what the schema asks for, now and then something else.</summary>
    private string Value(JsonElement schema, int depth)
    {
        if (schema.TryGetProperty("$ref", out var named))
        {
            schema = api.GetProperty("components").GetProperty("schemas").GetProperty(named.GetString()!.Split('/')[^1]);
        }

        if (schema.TryGetProperty("oneOf", out var choices) || schema.TryGetProperty("anyOf", out choices))
        {
            return Value(choices[_random.Next(choices.GetArrayLength())], depth);
        }

        if (depth > 12 || _random.Next(40) == 0)
        {
            return _random.Next(3) switch
            {
                0 => "null",
                1 => Pick(Numbers),
                _ => Text(),
            };
        }

        if (schema.TryGetProperty("enum", out var words) && _random.Next(4) > 0)
        {
            return words[_random.Next(words.GetArrayLength())].GetRawText();
        }

        var kind = schema.TryGetProperty("type", out var type)
            ? type.ValueKind == JsonValueKind.Array
                ? type[_random.Next(type.GetArrayLength())].GetString()
                : type.GetString()
            : "object";
        return kind switch
        {
            "null" => "null",
            "boolean" => _random.Next(2) == 0 ? "true" : "false",
            "integer" or "number" => _random.Next(2) == 0 ? _random.Next(1, 13).ToString(CultureInfo.InvariantCulture) : Pick(Numbers),
            "array" => Many(schema, depth),
            "string" => schema.TryGetProperty("format", out var format) && format.GetString() == "date" && _random.Next(3) > 0
                ? Pick(["\"2031-03-01\"", "\"9999-12-31\"", "\"0001-01-01\"", "\"2031-02-30\""])
                : Text(),
            _ => Members(schema, depth),
        };
    }

    private string Many(JsonElement schema, int depth)
    {
        var count = _random.Next(30) == 0 && depth < 3 ? 600 : _random.Next(4);
        var item = schema.TryGetProperty("items", out var items) ? Value(items, depth + 1) : "1";
        return $"[{string.Join(',', Enumerable.Range(0, count).Select(i => i < 3 && schema.TryGetProperty("items", out items) ? Value(items, depth + 1) : item))}]";
    }

    private string Members(JsonElement schema, int depth)
    {
        if (!schema.TryGetProperty("properties", out var properties))
        {
            return "{}";
        }

        var members = properties
            .EnumerateObject()
            .Where(_ => _random.Next(15) > 0)
            .Select(p => $"{JsonSerializer.Serialize(p.Name)}:{Value(p.Value, depth + 1)}");
        return $"{{{string.Join(',', members)}}}";
    }

    private string Text() => JsonSerializer.Serialize(JsonValue.Create(Well(_random.Next(25) == 0 ? Pick(Long) : Pick(Texts))));

    /// <summary>Lone surrogates cannot be written; they are sent escaped elsewhere.</summary>
    private static string Well(string text) => text.Replace("\ud800", "�", StringComparison.Ordinal);

    private T Pick<T>(T[] from) => from[_random.Next(from.Length)];
}
