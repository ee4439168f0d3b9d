using System.Collections.Immutable;
using Ingegno.Core.Foundation.Text;

namespace Ingegno.Core.Knowledge.Naming;

/// <summary>
/// Understands names by their parts: words are spelt out, known words and phrases become features, features that make up a movement are
/// joined whatever their order, and what goes without saying is dropped. Names of the catalogue go the same way, so that two names are
/// alike when they say the same.
/// </summary>
public sealed class NamingLexicon
{
    private const int LongestForm = 4;

    /// <summary>Shortest word that is looked for among those spelt nearly so.</summary>
    private const int LeastCorrected = 4;

    /// <summary>Shortest joined word that a misspelt one may stand for.</summary>
    private const int LeastJoined = 7;

    private readonly ImmutableHashSet<string> _fillers;
    private readonly Dictionary<string, NameFeature> _forms = new(StringComparer.Ordinal);
    private readonly Dictionary<string, NameFeatureKind> _kinds = new(StringComparer.Ordinal);
    private readonly ImmutableArray<(string Movement, ImmutableArray<string> Of)> _compounds;
    private readonly Dictionary<string, ImmutableHashSet<string>> _implied;
    private readonly HashSet<string> _vocabulary = new(StringComparer.Ordinal);
    private readonly ImmutableArray<string> _spelt;
    private readonly ImmutableArray<string> _whole;

    /// <param name="document">The data file.</param>
    /// <exception cref="InvalidOperationException">A compound or an implied feature names a concept that there is not.</exception>
    public NamingLexicon(NamingDocument document)
    {
        ArgumentNullException.ThrowIfNull(document);
        Document = document;
        _fillers = [.. document.Fillers];
        foreach (var concept in document.Concepts)
        {
            _kinds[concept.Id] = concept.Kind;
            foreach (var form in concept.Forms)
            {
                var words = NameWords.Split(form, document.Words);
                _vocabulary.UnionWith(words);
                _forms.TryAdd(string.Join(' ', words), new NameFeature(concept.Kind, concept.Id));
            }
        }

        // Usual misspellings are known, but nobody means one; words that are often joined (pulldown) are meant joined.
        _spelt =
        [
            .. _vocabulary
                .Concat(
                    document
                        .Words.Where(w => w.Key.Length >= LeastJoined && w.Value.Contains(' ', StringComparison.Ordinal))
                        .Select(w => w.Key)
                )
                .Distinct(),
        ];
        _whole =
        [
            .. _spelt
                .Concat(document.Names.Where(n => !n.Names.IsDefault).SelectMany(n => n.Names).SelectMany(n => n.Split(' ')))
                .Distinct(),
        ];
        foreach (var spelt in document.Words)
        {
            _vocabulary.Add(spelt.Key);
        }

        var named = document.Compounds.SelectMany(c => c.Of.SelectMany(f => f)).Concat(document.Implied.SelectMany(i => i.Says));
        if (named.FirstOrDefault(f => !_kinds.ContainsKey(f)) is { } unknown)
        {
            throw new InvalidOperationException($"The names speak of \"{unknown}\", and no concept is called so.");
        }

        _compounds = [.. document.Compounds.SelectMany(c => c.Of.Select(of => (c.Movement, Of: of))).OrderByDescending(c => c.Of.Length)];
        _implied = document.Implied.ToDictionary(i => i.Movement, i => i.Says.ToImmutableHashSet(), StringComparer.Ordinal);
    }

    public NamingDocument Document { get; }

    /// <summary>Shortest beginning of a word that is completed.</summary>
    private const int LeastStub = 3;

    private const int MostCompletions = 6;

    /// <summary>Known words that begin like one that was cut short, the shortest first.</summary>
    public IEnumerable<string> Completions(string stub)
    {
        ArgumentNullException.ThrowIfNull(stub);
        return stub.Length < LeastStub
            ? []
            : _whole
                .Where(w => w.Length > stub.Length + 1 && w.StartsWith(stub, StringComparison.OrdinalIgnoreCase))
                .OrderBy(w => w.Length)
                .ThenBy(w => w, StringComparer.Ordinal)
                .Take(MostCompletions);
    }

    /// <summary>The words of a name as they are compared, joined by spaces.</summary>
    public string Plain(string name) => string.Join(' ', NameWords.Split(name, Document.Words));

    /// <summary>The concept that a word or phrase names; null when none does.</summary>
    public NameFeature? FeatureOf(string words) => _forms.TryGetValue(Plain(words), out var feature) ? feature : null;

    /// <summary>Understands a name.</summary>
    /// <param name="name">As it was written.</param>
    /// <param name="correct">Words spelt nearly like a known one are taken for it.</param>
    public NamePhrase Read(string name, bool correct = true)
    {
        ArgumentNullException.ThrowIfNull(name);
        var words = NameWords.Split(name, Document.Words);
        var corrected = correct && Correct(words);
        return Phrase(Features(words), corrected);
    }

    /// <summary>True when the words say only how something is done: paused, single arm, with dumbbells.</summary>
    public bool SaysHow(string words)
    {
        ArgumentNullException.ThrowIfNull(words);
        var features = Features(NameWords.Split(words, Document.Words));
        return features.Count > 0
            && features.TrueForAll(f =>
                f.Kind
                    is NameFeatureKind.Implement
                        or NameFeatureKind.Position
                        or NameFeatureKind.Angle
                        or NameFeatureKind.Grip
                        or NameFeatureKind.Stance
                        or NameFeatureKind.Limbs
                        or NameFeatureKind.Manner
            );
    }

    /// <summary>What the modifiers of a name change of its line.</summary>
    public IEnumerable<ModifierEffect> EffectsOf(string name, ImmutableArray<NameModifier> modifiers)
    {
        if (modifiers.IsDefaultOrEmpty)
        {
            return [];
        }

        var movement = Read(name).Movement;
        return Document.Effects.Where(e =>
            modifiers.Any(m => m.Id == e.Modifier) && (e.On.IsDefaultOrEmpty || (movement is not null && e.On.Contains(movement)))
        );
    }

    private List<NameFeature> Features(List<string> words)
    {
        var features = new List<NameFeature>();
        for (var i = 0; i < words.Count; )
        {
            var taken = 0;
            for (var length = Math.Min(LongestForm, words.Count - i); length > 0 && taken == 0; length--)
            {
                if (_forms.TryGetValue(string.Join(' ', words.GetRange(i, length)), out var feature))
                {
                    features.Add(feature);
                    taken = length;
                }
            }

            if (taken == 0 && !_fillers.Contains(words[i]))
            {
                features.Add(new NameFeature(NameFeatureKind.Word, words[i]));
            }

            i += Math.Max(1, taken);
        }

        return features;
    }

    private NamePhrase Phrase(List<NameFeature> features, bool corrected)
    {
        var ids = features.Where(f => f.Kind != NameFeatureKind.Word).Select(f => f.Id).ToHashSet(StringComparer.Ordinal);
        foreach (var (movement, of) in _compounds)
        {
            if (of.All(ids.Contains))
            {
                var implied = _implied.GetValueOrDefault(movement, []);
                var left = features.Where(f => !(of.Contains(f.Id) && Joins(f.Kind)) && !implied.Contains(f.Id));
                return new NamePhrase(movement, [.. left.Distinct()], corrected);
            }
        }

        return new NamePhrase(null, [.. features.Distinct()], corrected);
    }

    /// <summary>What goes into a movement; an implement, position or grip that helps to tell it stays said.</summary>
    private static bool Joins(NameFeatureKind kind) =>
        kind is NameFeatureKind.Movement or NameFeatureKind.Body or NameFeatureKind.Direction;

    /// <summary>Takes unknown words apart that are two known ones, and for the one that is spelt nearly so.</summary>
    private bool Correct(List<string> words)
    {
        var corrected = false;
        for (var i = 0; i < words.Count; i++)
        {
            var word = words[i];
            if (_vocabulary.Contains(word) || _fillers.Contains(word) || word.Length < LeastCorrected || char.IsAsciiDigit(word[0]))
            {
                continue;
            }

            if (Apart(word) is { } two)
            {
                words.RemoveAt(i);
                words.InsertRange(i, two);
                i += two.Count - 1;
            }
            else if ((Begun(word) ?? Spelling.Nearest(word, _spelt)) is { } meant)
            {
                words.RemoveAt(i);
                var spelt = Document.Words.GetValueOrDefault(meant, meant).Split(' ');
                words.InsertRange(i, spelt);
                i += spelt.Length - 1;
                corrected = true;
            }
        }

        return corrected;
    }

    /// <summary>The one known word that an unknown one begins: incl, ext, kettleb; null when several do.</summary>
    private string? Begun(string word)
    {
        var meant = _spelt
            .Where(w => w.Length > word.Length + 1 && w.StartsWith(word, StringComparison.Ordinal))
            .Select(w => (Word: w, Stem: w[..(word.Length + 2)]))
            .DistinctBy(w => w.Stem)
            .Take(2)
            .ToList();
        return meant is [var one] ? one.Word : null;
    }

    private List<string>? Apart(string word)
    {
        for (var at = 3; at <= word.Length - 3; at++)
        {
            var (first, second) = (word[..at], NameWords.Singular(word[at..]));
            if (_vocabulary.Contains(first) && _vocabulary.Contains(second))
            {
                return [.. Spelt(first), .. Spelt(second)];
            }
        }

        return null;
    }

    private string[] Spelt(string word) => Document.Words.GetValueOrDefault(word, word).Split(' ');
}
