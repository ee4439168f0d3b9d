using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Nodes;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Storage;

/// <summary>What kind of thing of a practice's own a client's file brings along.</summary>
public enum AdditionKind
{
    Exercise,
    Approach,
    TaughtName,
}

/// <summary>Something of a practice's own in a client's file.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Name">What it is called, or would be called here.</param>
/// <param name="Means">Exercise that a taught name stands for; empty for what is none.</param>
public sealed record Addition(AdditionKind Kind, string Name, string Means = "");

/// <summary>A client's file as it may come in.</summary>
/// <param name="File">The file, its additions under keys of their own.</param>
/// <param name="Comes">What the practice gets with it.</param>
/// <param name="StaysOut">What is not taken: the words mean something here already.</param>
public sealed record FileToTake(ClientFile File, ImmutableArray<Addition> Comes, ImmutableArray<Addition> StaysOut);

/// <summary>
/// A client's file never takes the place of what ships, nor of what the practice has: its exercises and approaches come under keys of their own
/// where theirs are taken, everything in the file that names them follows, and a name that means something here already stays out.
/// </summary>
public static class FileAdditions
{
    /// <summary>The file as it may come in.</summary>
    /// <param name="file">The file.</param>
    /// <param name="shipped">The trade that ships.</param>
    /// <param name="exercises">The practice's own exercises.</param>
    /// <param name="approaches">The practice's own approaches.</param>
    /// <param name="names">Names that the practice taught.</param>
    public static FileToTake Apart(
        ClientFile file,
        DomainRules shipped,
        IReadOnlyCollection<Exercise> exercises,
        IReadOnlyCollection<Approach> approaches,
        IReadOnlyCollection<TaughtName> names
    )
    {
        ArgumentNullException.ThrowIfNull(file);
        ArgumentNullException.ThrowIfNull(shipped);
        var (keys, of) = (new Dictionary<string, string>(StringComparer.Ordinal), file.Client.Name.Trim());
        var (own, ways) = (ImmutableArray.CreateBuilder<Exercise>(), ImmutableArray.CreateBuilder<Approach>());
        var taken = shipped.Catalogue.All.Concat(exercises).Select(e => e.Id).ToHashSet(StringComparer.OrdinalIgnoreCase);
        var known = shipped
            .Catalogue.All.Concat(exercises)
            .SelectMany(e => e.Synonyms.Prepend(e.Name))
            .Select(Words.Normalise)
            .ToHashSet(StringComparer.Ordinal);
        foreach (var exercise in file.OwnExercises)
        {
            if (exercises.Any(e => Same(e, exercise)))
            {
                continue; // The practice has it, to the letter.
            }

            var (key, name) = (Free(exercise.Id, taken), exercise.Name);
            if (known.Contains(Words.Normalise(name)))
            {
                name = $"{name} ({of})";
            }

            keys[exercise.Id] = key;
            own.Add(
                exercise with
                {
                    Id = key,
                    Name = name,
                    Synonyms = [.. exercise.Synonyms.Where(s => !known.Contains(Words.Normalise(s)))],
                }
            );
        }

        for (var i = 0; i < own.Count; i++)
        {
            own[i] = own[i] with { Easier = Here(own[i].Easier), Harder = Here(own[i].Harder) };
        }

        string? Here(string? neighbour) => neighbour is null ? null : keys.GetValueOrDefault(neighbour, neighbour);

        var schools = shipped.Approaches.Select(a => a.Id).Concat(approaches.Select(a => a.Id)).ToHashSet(StringComparer.OrdinalIgnoreCase);
        foreach (var approach in file.OwnApproaches.Where(a => !approaches.Any(p => Same(p, a))))
        {
            var key = Free(approach.Id, schools);
            keys[approach.Id] = key;
            ways.Add(approach with { Id = key, Name = key == approach.Id ? approach.Name : $"{approach.Name} ({of})" });
        }

        var lexicon = shipped.Lexicon;
        var meant = names.Select(n => lexicon.Plain(n.Name)).Concat(known).ToHashSet(StringComparer.Ordinal);
        var taught = file.TaughtNames.ToLookup(n => meant.Contains(lexicon.Plain(n.Name)) || known.Contains(Words.Normalise(n.Name)));
        var renamed = Renamed(file with { OwnExercises = [.. own], OwnApproaches = [.. ways], TaughtNames = [.. taught[false]] }, keys);
        string Means(TaughtName name) =>
            own.FirstOrDefault(e => e.Id == name.ExerciseId)?.Name ?? shipped.Catalogue.Find(name.ExerciseId)?.Name ?? name.ExerciseId;
        return new FileToTake(
            renamed,
            [
                .. renamed.OwnExercises.Select(e => new Addition(AdditionKind.Exercise, e.Name)),
                .. renamed.OwnApproaches.Select(a => new Addition(AdditionKind.Approach, a.Name)),
                .. renamed.TaughtNames.Select(n => new Addition(AdditionKind.TaughtName, n.Name, Means(n))),
            ],
            [
                .. taught[true]
                    .Where(n => !names.Any(p => lexicon.Plain(p.Name) == lexicon.Plain(n.Name) && p.ExerciseId == n.ExerciseId))
                    .Select(n => new Addition(AdditionKind.TaughtName, n.Name, Means(n))),
            ]
        );
    }

    /// <summary>The key, or the first one behind it that is free; it is taken from then on.</summary>
    private static string Free(string key, HashSet<string> taken)
    {
        for (var n = 1; ; n++)
        {
            var tried = n == 1 ? key : $"{key}-{n}";
            if (taken.Add(tried))
            {
                return tried;
            }
        }
    }

    /// <summary>Everything in the file that names what has another key now, alone or in a pair.</summary>
    private static ClientFile Renamed(ClientFile file, Dictionary<string, string> keys)
    {
        var changed = keys.Where(k => k.Key != k.Value).ToDictionary(StringComparer.Ordinal);
        if (changed.Count == 0)
        {
            return file;
        }

        // Its own additions have their keys already.
        var bare = file with
        {
            OwnExercises = [],
            OwnApproaches = [],
        };
        var node = JsonNode.Parse(JsonSerializer.SerializeToUtf8Bytes(bare, RulesJson.Lenient));
        return Walked(node).Deserialize<ClientFile>(RulesJson.Lenient)! with
        {
            OwnExercises = file.OwnExercises,
            OwnApproaches = file.OwnApproaches,
        };

        JsonNode? Walked(JsonNode? at) =>
            at switch
            {
                JsonObject o => new JsonObject(o.Select(p => KeyValuePair.Create(Key(p.Key), Walked(p.Value)))),
                JsonArray a => new JsonArray([.. a.Select(Walked)]),
                JsonValue v when v.TryGetValue<string>(out var text) => JsonValue.Create(Key(text)),
                _ => at?.DeepClone(),
            };

        string Key(string text) =>
            changed.TryGetValue(text, out var other) ? other
            : text.Contains('+', StringComparison.Ordinal) && text.Split('+') is var halves && halves.Any(changed.ContainsKey)
                ? string.Join('+', halves.Select(h => changed.GetValueOrDefault(h, h)))
            : text;
    }

    private static bool Same<T>(T one, T other) =>
        JsonSerializer
            .SerializeToUtf8Bytes(one, RulesJson.Lenient)
            .AsSpan()
            .SequenceEqual(JsonSerializer.SerializeToUtf8Bytes(other, RulesJson.Lenient));
}
