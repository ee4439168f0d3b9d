using System.Collections.Immutable;
using System.Text.Json;

namespace Ingegno.Language;

/// <summary>The words of a language.</summary>
/// <param name="Messages">A Liquid template for each code of a reason.</param>
/// <param name="Terms">Words of the trade by vocabulary, where they are not simply the key with spaces.</param>
/// <param name="ListAnd">Between the last two of a list.</param>
public sealed record MessageFile(
    ImmutableDictionary<string, string> Messages,
    ImmutableDictionary<string, ImmutableDictionary<string, string>> Terms,
    string ListAnd
)
{
    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web) { ReadCommentHandling = JsonCommentHandling.Skip };

    /// <summary>The file of a language that ships, for instance <c>en</c>.</summary>
    /// <exception cref="InvalidOperationException">There is no such file, or it cannot be read.</exception>
    public static MessageFile Read(string language)
    {
        using var stream =
            typeof(MessageFile).Assembly.GetManifestResourceStream($"words/{language}.json")
            ?? throw new InvalidOperationException($"There are no words for the language {language}.");
        return JsonSerializer.Deserialize<MessageFile>(stream, Json)
            ?? throw new InvalidOperationException($"The words of {language} are empty.");
    }

    /// <summary>Every message between two marks, for tests: what stands outside them was said elsewhere.</summary>
    public MessageFile Marked(string before, string after) =>
        this with
        {
            Messages = Messages.ToImmutableDictionary(m => m.Key, m => before + m.Value + after),
        };

    /// <summary>A word of the domain rules.</summary>
    public string Word(string vocabulary, string key) =>
        Terms.GetValueOrDefault(vocabulary)?.GetValueOrDefault(key) ?? key.Replace('-', ' ');
}
