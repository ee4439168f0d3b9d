using System.Collections.Immutable;
using System.Text;
using System.Text.Json;
using System.Text.RegularExpressions;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>A figure of the domain rules with its name.</summary>
/// <param name="Name">Name in the data, in words: "usual rests".</param>
/// <param name="Values">Its values, one after the other: "goal muscle, seconds 90".</param>
/// <param name="More">How many values are not shown.</param>
public sealed record BelievedFigure(string Name, ImmutableArray<string> Values, int More);

/// <summary>What is believed, with the figures that it is reckoned with.</summary>
/// <param name="Says">What the figures mean, in sentences.</param>
/// <param name="Source">Where they come from; empty where nobody wrote it.</param>
/// <param name="Figures">The figures.</param>
public sealed record Belief(string Says, string Source, ImmutableArray<BelievedFigure> Figures);

/// <summary>What is believed about one concern.</summary>
/// <param name="Topic">Name of its file, in words: "set fatigue".</param>
/// <param name="Beliefs">The beliefs, in the order of the file.</param>
public sealed record BeliefTopic(string Topic, ImmutableArray<Belief> Beliefs);

/// <summary>
/// What Ingegno believes, made from the data it works with: every figure of the rules with the note above it. Nothing of it is written a
/// second time, so it cannot disagree with what is reckoned.
/// </summary>
public static partial class Beliefs
{
    /// <summary>Values of a figure that are shown; of more the number is told.</summary>
    private const int MostShown = 12;

    /// <summary>Files whose figures a coach may dispute, in the order of the work.</summary>
    private static readonly ImmutableArray<string> Files =
    [
        "dose",
        "set-fatigue",
        "progression",
        "session",
        "blocks",
        "strength",
        "leverage",
        "matching",
        "joints",
        "health",
    ];

    private static readonly Lazy<ImmutableArray<BeliefTopic>> LazyShipped = new(() =>
        [.. Files.Select(f => new BeliefTopic(InWords(f), Read(Resource(f))))]
    );

    /// <summary>The beliefs that ship with the program.</summary>
    public static ImmutableArray<BeliefTopic> Shipped => LazyShipped.Value;

    /// <summary>Reads the beliefs of a file: each note with the figures below it.</summary>
    /// <param name="json">The file: an object whose figures have notes above them.</param>
    /// <exception cref="JsonException">It is no JSON with an object at its root.</exception>
    public static ImmutableArray<Belief> Read(ReadOnlySpan<byte> json)
    {
        var reader = new Utf8JsonReader(
            json,
            new JsonReaderOptions { CommentHandling = JsonCommentHandling.Allow, AllowTrailingCommas = true }
        );
        var (beliefs, figures, note) = (ImmutableArray.CreateBuilder<Belief>(), new List<BelievedFigure>(), new StringBuilder());
        var source = string.Empty;
        while (reader.Read())
        {
            if (reader.TokenType == JsonTokenType.Comment && reader.CurrentDepth <= 1)
            {
                if (figures.Count > 0)
                {
                    Close();
                }

                note.Append(' ').Append(reader.GetComment().Trim());
            }
            else if (reader.TokenType == JsonTokenType.PropertyName && reader.CurrentDepth == 1)
            {
                var name = reader.GetString()!;
                var value = Value(ref reader, json);
                if (name.EndsWith("source", StringComparison.OrdinalIgnoreCase) && value.ValueKind == JsonValueKind.String)
                {
                    source = value.GetString()!;
                }
                else
                {
                    var all = Values(value);
                    figures.Add(new BelievedFigure(InWords(name), [.. all.Take(MostShown)], Math.Max(0, all.Count - MostShown)));
                }
            }
        }

        Close();
        return beliefs.ToImmutable();

        void Close()
        {
            if (figures.Count > 0)
            {
                var said = note.ToString().Trim();
                var own = Tidy(string.Join("; ", Sources().Matches(said).Select(m => m.Groups["source"].Value)));
                var last = Tidy(Trailing().Match(said).Value);
                beliefs.Add(
                    new Belief(
                        Tidy(Sources().Replace(said, string.Empty)),
                        own.Length > 0 ? own
                            : last.Length > 0 ? last
                            : source,
                        [.. figures]
                    )
                );
            }

            figures.Clear();
            note.Clear();
            source = string.Empty;
        }
    }

    /// <summary>The value behind the name at which the reader stands, whatever notes it has within.</summary>
    private static JsonElement Value(ref Utf8JsonReader reader, ReadOnlySpan<byte> json)
    {
        do
        {
            reader.Read();
        } while (reader.TokenType == JsonTokenType.Comment);

        var start = (int)reader.TokenStartIndex;
        reader.Skip();
        var plain = new JsonDocumentOptions { CommentHandling = JsonCommentHandling.Skip, AllowTrailingCommas = true };
        using var document = JsonDocument.Parse(json[start..(int)reader.BytesConsumed].ToArray(), plain);
        return document.RootElement.Clone();
    }

    private static List<string> Values(JsonElement value) =>
        value.ValueKind switch
        {
            JsonValueKind.Array when value.EnumerateArray().All(v => v.ValueKind is not (JsonValueKind.Array or JsonValueKind.Object)) =>
            [
                string.Join(", ", value.EnumerateArray().Select(Short)),
            ],
            JsonValueKind.Array => [.. value.EnumerateArray().Select(Short)],
            JsonValueKind.Object => [.. value.EnumerateObject().Select(p => $"{InWords(p.Name)} {Short(p.Value)}")],
            _ => [Short(value)],
        };

    private static string Short(JsonElement value) =>
        value.ValueKind switch
        {
            JsonValueKind.Array => string.Join(", ", value.EnumerateArray().Select(Short)),
            JsonValueKind.Object => Entry(value),
            JsonValueKind.String => Tidy(value.GetString()!),
            JsonValueKind.True => "yes",
            JsonValueKind.False => "no",
            JsonValueKind.Null => "none",
            _ => value.GetRawText(),
        };

    /// <summary>An entry of a list: its label first, and nothing that only a reader of text needs.</summary>
    private static string Entry(JsonElement entry)
    {
        var label = entry.TryGetProperty("label", out var named) ? Short(named) + ": " : string.Empty;
        var parts = entry
            .EnumerateObject()
            .Where(p => p.Name is not ("words" or "label" or "unless") && !(label.Length > 0 && p.Name == "id"))
            .Select(p => $"{InWords(p.Name)} {Short(p.Value)}");
        return label + string.Join(", ", parts);
    }

    /// <summary>A name of the data in words: <c>usualRests</c> and <c>set-fatigue</c> as "usual rests" and "set fatigue".</summary>
    private static string InWords(string name) => Humps().Replace(name, " $0").ToLowerInvariant().Replace('-', ' ');

    private static string Tidy(string text) =>
        Loose().Replace(Spaces().Replace(Pages().Replace(text, string.Empty), " "), "$1").Trim(' ', ';', ',', ':');

    private static byte[] Resource(string file)
    {
        using var stream = typeof(Beliefs).Assembly.GetManifestResourceStream($"rules/{file}.json")!;
        using var copy = new MemoryStream();
        stream.CopyTo(copy);
        return copy.ToArray();
    }

    /// <summary>A bracket that names where something comes from.</summary>
    [GeneratedRegex(
        @"\((?<source>[^()]*(?:\([^()]*\)[^()]*)*(?:common practice|own decision|own estimate|from memory|position stand|docs/domain|care|et al)[^()]*(?:\([^()]*\)[^()]*)*)\)",
        RegexOptions.IgnoreCase | RegexOptions.CultureInvariant,
        1000
    )]
    private static partial Regex Sources();

    /// <summary>A sentence at the end that names where something comes from.</summary>
    [GeneratedRegex(
        @"[^.]*(?:common practice|own estimate|own decision|from memory)[^.]*\.?$",
        RegexOptions.IgnoreCase | RegexOptions.CultureInvariant,
        1000
    )]
    private static partial Regex Trailing();

    [GeneratedRegex(@"(?<=[a-z])[A-Z]", RegexOptions.None, 1000)]
    private static partial Regex Humps();

    [GeneratedRegex(@" ?\(docs/domain/[a-z-]+\)|docs/domain/[a-z-]+:? ?", RegexOptions.None, 1000)]
    private static partial Regex Pages();

    /// <summary>A sign that a bracket before it left alone.</summary>
    [GeneratedRegex(@" ([.;:,])(?= |$)", RegexOptions.None, 1000)]
    private static partial Regex Loose();

    [GeneratedRegex(@"\s+", RegexOptions.None, 1000)]
    private static partial Regex Spaces();
}
