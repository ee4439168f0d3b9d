using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace Ingegno.Core.Knowledge.Figures;

/// <summary>The figures of the catalogue, by exercise and set-up.</summary>
public sealed class FigureBook
{
    private static readonly JsonDocumentOptions Options = new() { CommentHandling = JsonCommentHandling.Skip, AllowTrailingCommas = true };

    private readonly ImmutableDictionary<string, Figure> _figures;

    private FigureBook(ImmutableDictionary<string, Figure> figures) => _figures = figures;

    private static readonly Lazy<FigureBook> LazyShipped = new(ReadShipped);

    /// <summary>The figures that ship with the program.</summary>
    public static FigureBook Shipped => LazyShipped.Value;

    /// <summary>Keys of all figures: exercise, or exercise/set-up where one looks different.</summary>
    public IEnumerable<string> Keys => _figures.Keys.Order(StringComparer.Ordinal);

    /// <summary>The figure of an exercise in a set-up; null where it has none.</summary>
    public Figure? Find(string exercise, string? setup = null) =>
        (setup is null ? null : _figures.GetValueOrDefault($"{exercise}/{setup}")) ?? _figures.GetValueOrDefault(exercise);

    /// <summary>Reads documents of figures: families of poses to take from, and figures of exercises.</summary>
    /// <exception cref="FormatException">One cannot be read; the message says which and why.</exception>
    public static FigureBook Read(IEnumerable<string> documents)
    {
        var all = new Dictionary<string, JsonObject>(StringComparer.Ordinal);
        var named = new List<string>();
        foreach (var document in documents)
        {
            var root = (JsonObject)JsonNode.Parse(document, documentOptions: Options)!;
            foreach (var (part, isExercise) in ((string, bool)[])[("families", false), ("exercises", true)])
            {
                foreach (var (id, figure) in root[part] as JsonObject ?? [])
                {
                    if (!all.TryAdd(id, (JsonObject)figure!))
                    {
                        throw new FormatException($"There are two figures \"{id}\".");
                    }

                    if (isExercise)
                    {
                        named.Add(id);
                    }
                }
            }
        }

        var figures = ImmutableDictionary.CreateBuilder<string, Figure>(StringComparer.Ordinal);
        foreach (var id in named)
        {
            var resolved = FigureInheritance.Resolve(id, all);
            figures.Add(id, FigureJson.Read(id, resolved));
            foreach (var (setup, own) in all[id]["setups"] as JsonObject ?? [])
            {
                var key = $"{id}/{setup}";
                var patch = (JsonObject)own!;
                var from = patch["from"] is { } other ? FigureInheritance.Resolve(other.GetValue<string>(), all) : resolved;
                figures.Add(key, FigureJson.Read(key, FigureInheritance.Over(from, patch)));
            }
        }

        return new FigureBook(figures.ToImmutable());
    }

    private static FigureBook ReadShipped()
    {
        var assembly = typeof(FigureBook).Assembly;
        return Read(
            assembly
                .GetManifestResourceNames()
                .Where(n => n.StartsWith("figures/", StringComparison.Ordinal) && !n.EndsWith(".schema.json", StringComparison.Ordinal))
                .Order(StringComparer.Ordinal)
                .Select(n =>
                {
                    using var reader = new StreamReader(assembly.GetManifestResourceStream(n)!);
                    return reader.ReadToEnd();
                })
        );
    }
}
