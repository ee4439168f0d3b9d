using System.Collections.Concurrent;
using System.Collections.Immutable;
using Ingegno.Core.Knowledge.Exercises;

namespace Ingegno.Core.Knowledge.Naming;

/// <summary>
/// Reads the names that coaches write. A name that is an exercise's own, or that was taught, is taken at once; any other is compared with
/// all names of its movement by what each says, and the nearest is taken: surely when nothing stands against it, else with alternatives.
/// </summary>
public sealed class ExerciseNames
{
    private const int Offered = 5;

    /// <summary>Readings that are remembered.</summary>
    private const int Remembered = 5_000;

    private readonly ConcurrentDictionary<(string Name, string? Usual), NameReading> _read = new();

    private readonly NamingLexicon _lexicon;
    private readonly Dictionary<string, Exercise> _byName = new(StringComparer.Ordinal);
    private readonly Dictionary<string, Exercise> _taught = new(StringComparer.Ordinal);
    private readonly Dictionary<string, OtherWork> _other = new(StringComparer.Ordinal);
    private readonly Dictionary<string, List<KnownName>> _byMovement = new(StringComparer.Ordinal);
    private readonly Dictionary<string, HashSet<NameFeature>> _own = new(StringComparer.Ordinal);
    private readonly Dictionary<string, string?> _movements = new(StringComparer.Ordinal);
    private readonly Dictionary<string, HashSet<string>> _implements = new(StringComparer.Ordinal);
    private static readonly ConcurrentDictionary<(NamingLexicon Lexicon, string Name), NamePhrase> Shipped = new();

    /// <param name="lexicon">How names are understood.</param>
    /// <param name="exercises">The catalogue.</param>
    /// <param name="taught">Names that the practice taught.</param>
    public ExerciseNames(NamingLexicon lexicon, IEnumerable<Exercise> exercises, ImmutableArray<TaughtName> taught = default)
    {
        ArgumentNullException.ThrowIfNull(lexicon);
        ArgumentNullException.ThrowIfNull(exercises);
        _lexicon = lexicon;
        var all = exercises.ToImmutableArray();
        Any = all[0].Name;
        var byId = all.ToDictionary(e => e.Id, StringComparer.Ordinal);
        // An exercise is called as it is called; what the crowd means by a name comes before what it may also stand for.
        foreach (var exercise in all)
        {
            Own(exercise.Name, exercise);
            _movements[exercise.Id] = Shipped.GetOrAdd((lexicon, exercise.Name), k => k.Lexicon.Read(k.Name, correct: false)).Movement;
        }

        foreach (var known in lexicon.Document.Names)
        {
            if (byId.TryGetValue(known.Exercise, out var exercise))
            {
                AddAll(known.Names, exercise, nearest: false);
                AddAll(known.Nearest, exercise, nearest: true);
            }
        }

        foreach (var exercise in all)
        {
            foreach (var name in exercise.Synonyms)
            {
                Own(name, exercise);
            }
        }

        foreach (var other in lexicon.Document.Other)
        {
            foreach (var name in other.Names)
            {
                _other.TryAdd(lexicon.Plain(name), other.Kind);
            }
        }

        foreach (var own in taught.IsDefault ? [] : taught)
        {
            if (byId.TryGetValue(own.ExerciseId, out var exercise))
            {
                _taught[lexicon.Plain(own.Name)] = exercise;
            }
        }
    }

    /// <summary>Some name that is known.</summary>
    public string Any { get; }

    /// <summary>How names are understood.</summary>
    public NamingLexicon Lexicon => _lexicon;

    /// <summary>The exercise of that very name, whatever the spelling of spaces, hyphens, case and plurals; null when none is called so.</summary>
    public Exercise? Find(string name)
    {
        var plain = _lexicon.Plain(name);
        return _taught.GetValueOrDefault(plain) ?? _byName.GetValueOrDefault(plain);
    }

    /// <summary>At most <paramref name="count"/> exercises that a name could mean, likeliest first.</summary>
    public ImmutableArray<string> Nearest(string name, int count = 3)
    {
        var read = Read(name);
        return [.. read.Alternatives.Prepend(read.Exercise).OfType<Exercise>().Select(e => e.Name).Distinct().Take(count)];
    }

    /// <summary>The implement that a name says, for instance <c>barbell</c>; null when it says none.</summary>
    public string? ImplementOf(string name) =>
        _lexicon.Read(name, correct: false).Features.FirstOrDefault(f => f.Kind == NameFeatureKind.Implement).Id;

    /// <summary>The movement that an exercise is, whatever its implement: a dumbbell row and a barbell row are rows; null when its name
    /// says none.</summary>
    public string? MovementOf(Exercise exercise)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        return _movements.GetValueOrDefault(exercise.Id);
    }

    /// <summary>Reads a name; what was read once is remembered, for a text is read anew with every key.</summary>
    /// <param name="name">As it was written.</param>
    /// <param name="usual">Implement that the program uses where it names none, for instance <c>dumbbell</c>; null for a gym's.</param>
    public NameReading Read(string name, string? usual = null)
    {
        ArgumentNullException.ThrowIfNull(name);
        if (_read.TryGetValue((name, usual), out var known))
        {
            return known;
        }

        if (_read.Count >= Remembered)
        {
            _read.Clear();
        }

        return _read[(name, usual)] = ReadAnew(name, usual);
    }

    private NameReading ReadAnew(string name, string? usual)
    {
        var plain = _lexicon.Plain(name);
        if (plain.Length == 0)
        {
            return new NameReading(null, OtherWork.Unknown, Certainty.Unknown, [], []);
        }

        if (_taught.TryGetValue(plain, out var taught))
        {
            return new NameReading(taught, null, Certainty.Sure, [], Others(name, taught));
        }

        if (_other.TryGetValue(plain, out var other))
        {
            return new NameReading(null, other, Certainty.Sure, [], []);
        }

        var phrase = _lexicon.Read(name, correct: !_byName.ContainsKey(plain));
        var ranked = Rank(phrase, usual);
        if (_byName.TryGetValue(plain, out var own) && (usual is null || phrase.Features.Any(f => f.Kind == NameFeatureKind.Implement)))
        {
            return Reading(phrase, [(own, new KnownName(phrase, own, false), 0), .. ranked.Where(r => r.Exercise != own)]);
        }

        if (ranked.Count > 0 && ranked[0].Distance <= _lexicon.Document.Costs.OfferedUpTo)
        {
            return Reading(phrase, ranked);
        }

        if (Contained(plain) is { } within)
        {
            return new NameReading(null, within, Certainty.Probable, [], [.. ranked.Take(Offered).Select(r => r.Exercise)]);
        }

        return ranked.Count > 0
            ? Reading(phrase, ranked) with
            {
                Certainty = Certainty.Probable,
            }
            : new NameReading(null, OtherWork.Unknown, Certainty.Unknown, [], []);
    }

    private NameReading Reading(NamePhrase phrase, List<(Exercise Exercise, KnownName Name, double Distance)> ranked)
    {
        var (costs, best) = (_lexicon.Document.Costs, ranked[0]);
        var clear = best.Distance == 0 || ranked.Count == 1 || ranked[1].Distance - best.Distance >= costs.ClearBy;
        // Words that share a limb or an implement and name no movement are alike, and no more: a single-leg stand is no single-leg squat.
        var movement = phrase.Movement is not null || best.Distance == 0;
        var asSpelt =
            best.Distance <= costs.SureUpTo
            && clear
            && movement
            && !best.Name.Nearest
            && phrase.Unread.All(w => best.Name.Phrase.Unread.Contains(w));
        var sure = asSpelt && !phrase.Corrected;
        return new NameReading(
            best.Exercise,
            null,
            sure ? Certainty.Sure : Certainty.Probable,
            [
                .. phrase
                    .Features.Where(f => Says(f, best.Exercise, best.Name))
                    .OrderBy(f => f.Kind)
                    .ThenBy(f => f.Id, StringComparer.Ordinal)
                    .Select(f => new NameModifier(f.Kind, f.Id)),
            ],
            [.. ranked.Skip(1).Where(r => r.Distance <= costs.OfferedUpTo).Take(Offered).Select(r => r.Exercise)]
        )
        {
            OnlySpelling = asSpelt && phrase.Corrected && best.Distance == 0,
        };
    }

    /// <summary>What the written name says that the exercise's own names do not.</summary>
    private bool Says(NameFeature feature, Exercise exercise, KnownName read) =>
        feature.Kind switch
        {
            NameFeatureKind.Manner => true,
            NameFeatureKind.Movement => false,
            NameFeatureKind.Implement when _implements.TryGetValue(exercise.Id, out var with) && with.Contains(feature.Id) => false,
            NameFeatureKind.Style or NameFeatureKind.Body or NameFeatureKind.Direction or NameFeatureKind.Word =>
                !read.Phrase.Features.Contains(feature),
            _ => !_own.GetValueOrDefault(exercise.Id, []).Contains(feature),
        };

    private ImmutableArray<Exercise> Others(string name, Exercise but) =>
        [.. Rank(_lexicon.Read(name), null).Select(r => r.Exercise).Where(e => e != but).Take(Offered)];

    /// <summary>Every exercise of the movement with its nearest name, nearest first.</summary>
    private List<(Exercise Exercise, KnownName Name, double Distance)> Rank(NamePhrase phrase, string? usual)
    {
        if (!_byMovement.TryGetValue(phrase.Movement ?? string.Empty, out var names))
        {
            return [];
        }

        var wanted =
            usual is not null && !phrase.Features.Any(f => f.Kind == NameFeatureKind.Implement)
                ? new NameFeature(NameFeatureKind.Implement, usual)
                : (NameFeature?)null;
        return
        [
            .. names
                .Select(n => (n.Exercise, Name: n, Distance: Distance(phrase.Features, n, wanted)))
                .Where(n => phrase.Movement is not null || Alike(phrase, n.Name, n.Distance))
                .GroupBy(n => n.Exercise.Id)
                .Select(g => g.MinBy(n => n.Distance))
                .OrderBy(n => n.Distance)
                .ThenBy(n => n.Exercise.Venues.Contains(Venue.Gym) ? 0 : 1)
                .ThenBy(n => n.Exercise.Id, StringComparer.Ordinal),
        ];
    }

    /// <summary>Without a movement two names are alike when they share what they say.</summary>
    private bool Alike(NamePhrase phrase, KnownName name, double distance) =>
        distance <= _lexicon.Document.Costs.SureUpTo && name.Phrase.Features.Any(f => phrase.Features.Contains(f));

    private double Distance(ImmutableArray<NameFeature> said, KnownName name, NameFeature? usual)
    {
        var (costs, own, exercise) = (_lexicon.Document.Costs, name.Phrase.Features, name.Exercise);
        var implements = _implements.GetValueOrDefault(exercise.Id);
        var sum = name.Nearest ? costs.Nearest : 0;
        foreach (var feature in said)
        {
            if (!own.Contains(feature))
            {
                sum += Missing(feature, exercise, implements);
            }
        }

        foreach (var feature in own)
        {
            if (!said.Contains(feature) && feature != usual)
            {
                sum += costs.Extra[feature.Kind];
            }
        }

        // A program of dumbbells means dumbbells where it says nothing; a name that says them is nearer than one that says nothing.
        if (usual is { } implied && !own.Contains(implied))
        {
            sum += implements is not null && implements.Contains(implied.Id) ? 0 : costs.Missing[NameFeatureKind.Implement];
        }

        return sum > 0 && !exercise.Venues.Contains(Venue.Gym) ? sum + costs.AtHomeOnly : sum;
    }

    private double Missing(NameFeature feature, Exercise exercise, HashSet<string>? implements)
    {
        var costs = _lexicon.Document.Costs;
        return feature.Kind switch
        {
            NameFeatureKind.Implement when Free(feature.Id) => costs.Missing[NameFeatureKind.Manner],
            NameFeatureKind.Implement when implements is null => costs.Missing[NameFeatureKind.Implement],
            NameFeatureKind.Implement => implements.Contains(feature.Id) ? 0 : costs.OtherImplement,
            NameFeatureKind.Limbs when exercise.Sides == Sides.Unilateral || !feature.Id.StartsWith("one", StringComparison.Ordinal) =>
                costs.SideOfOneSided,
            var kind => costs.Missing[kind],
        };
    }

    /// <summary>Says how much, not with what.</summary>
    private static bool Free(string implement) => implement is "weighted" or "bodyweight" or "chains" or "vest";

    private OtherWork? Contained(string plain)
    {
        var words = plain.Split(' ');
        for (var length = Math.Min(4, words.Length); length > 0; length--)
        {
            for (var at = 0; at + length <= words.Length; at++)
            {
                if (_other.TryGetValue(string.Join(' ', words[at..(at + length)]), out var other))
                {
                    return other;
                }
            }
        }

        return null;
    }

    private void Own(string name, Exercise exercise)
    {
        var phrase = Add(name, exercise, nearest: false);
        (_own.TryGetValue(exercise.Id, out var own) ? own : _own[exercise.Id] = []).UnionWith(phrase.Features);
    }

    private void AddAll(ImmutableArray<string> names, Exercise exercise, bool nearest)
    {
        foreach (var name in names.IsDefault ? [] : names)
        {
            Add(name, exercise, nearest);
        }
    }

    private NamePhrase Add(string name, Exercise exercise, bool nearest)
    {
        var phrase = Shipped.GetOrAdd((_lexicon, name), key => key.Lexicon.Read(key.Name, correct: false));
        if (!nearest)
        {
            _byName.TryAdd(_lexicon.Plain(name), exercise);
            foreach (var implement in phrase.Features.Where(f => f.Kind == NameFeatureKind.Implement && !Free(f.Id)))
            {
                (_implements.TryGetValue(exercise.Id, out var known) ? known : _implements[exercise.Id] = []).Add(implement.Id);
            }
        }

        var key = phrase.Movement ?? string.Empty;
        (_byMovement.TryGetValue(key, out var list) ? list : _byMovement[key] = []).Add(new KnownName(phrase, exercise, nearest));
        return phrase;
    }

    private sealed record KnownName(NamePhrase Phrase, Exercise Exercise, bool Nearest);
}
