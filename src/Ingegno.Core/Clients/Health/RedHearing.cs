using System.Collections.Immutable;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Clients.Health;

/// <summary>A sign of danger that somebody told of.</summary>
/// <param name="Sign">The sign.</param>
/// <param name="Where">The joint; null for the whole body, or where none was named.</param>
/// <param name="Words">The words, as they were written.</param>
public sealed record HeardSign(RedSign Sign, Joint? Where, string Words);

/// <summary>A sign as it was told.</summary>
/// <param name="Heard">The sign.</param>
/// <param name="Denied">It is said not to be there.</param>
/// <param name="OfAnother">It is of another person.</param>
public sealed record ToldSign(HeardSign Heard, bool Denied, bool OfAnother);

/// <summary>
/// Hears signs of danger in what a client says, before anything else is read in it. What is denied, and what is said of another person, is
/// none. It hears rather too much than too little: an alert is answered with a word, a sign that nobody heard is not. Ingegno is no
/// clinician; what is said to the client defers to one.
/// </summary>
public sealed class RedHearing
{
    /// <summary>Longest text, characters; what is longer is heard up to there.</summary>
    public const int Longest = 20_000;

    private readonly RedSigns _signs;
    private readonly ImmutableArray<(RedSign Sign, ImmutableArray<ImmutableArray<SaidPhrase>> Groups)> _ways;
    private readonly ImmutableDictionary<string, ImmutableArray<SaidPhrase>> _unless;
    private readonly ImmutableArray<SaidPhrase> _no;
    private readonly ImmutableHashSet<string> _through;
    private readonly ImmutableHashSet<string> _ends;
    private readonly ImmutableHashSet<string> _others;
    private readonly ImmutableHashSet<string> _own;
    private readonly ImmutableArray<(SaidPhrase Phrase, Joint Joint)> _joints;

    /// <param name="signs">The signs, and the words around them.</param>
    public RedHearing(RedSigns signs)
    {
        ArgumentNullException.ThrowIfNull(signs);
        _signs = signs;
        _ways =
        [
            .. from sign in signs.Signs
            from way in sign.Words
            select (sign, ImmutableArray.CreateRange(way.Split(" + ").Select(g => Group(g)))),
        ];
        _unless = signs.Signs.ToImmutableDictionary(s => s.Id, s => Phrases(s.Unless));
        _no = Phrases(signs.No);
        (_through, _ends) = ([.. signs.Through], [.. signs.Ends]);
        (_others, _own) = ([.. signs.Others], [.. signs.Own]);
        _joints = [.. signs.Joints.OrderBy(j => j.Key).SelectMany(j => j.Value.Select(w => (new SaidPhrase(w), j.Key)))];
    }

    /// <summary>The signs that it hears.</summary>
    public RedSigns Signs => _signs;

    /// <summary>The signs in a text, the most urgent first; each once for a joint.</summary>
    public ImmutableArray<HeardSign> Hear(string text) =>
        [
            .. Told(text)
                .Where(t => !t.Denied && !t.OfAnother)
                .Select(t => t.Heard)
                .OrderBy(h => h.Sign.Urgency)
                .DistinctBy(h => (h.Sign.Id, h.Where)),
        ];

    /// <summary>All that is told of signs, also what is denied and what is of another person, in the order of the text.</summary>
    public ImmutableArray<ToldSign> Told(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        var said = text.Length > Longest ? text[..Longest] : text;
        return [.. Clauses(SaidWord.All(said)).SelectMany(c => GraverAlone([.. InClause(c, said)])).Select(f => f.Told)];
    }

    /// <summary>What the words of a graver sign say is not told again as a lesser one.</summary>
    private static IEnumerable<FoundSign> GraverAlone(List<FoundSign> found) =>
        found.Where(f =>
            !found.Exists(g =>
                g.Told is { Denied: false, OfAnother: false }
                && g.Told.Heard.Sign.Urgency < f.Told.Heard.Sign.Urgency
                && g.Places.Intersect(f.Places).Any()
            )
        );

    private IEnumerable<FoundSign> InClause(SaidClause clause, string text)
    {
        var words = clause.Words;
        foreach (var (sign, groups) in _ways)
        {
            FoundSign? told = null;
            foreach (var found in Found(words, groups))
            {
                if (_unless[sign.Id].Any(u => Covers(words, u, found)))
                {
                    continue;
                }

                var denied = found.Any(f => IsDenied(words, f.At)) || IsDeniedAfter(clause, found);

                var (from, to) = (found.Min(f => f.At), found.Max(f => f.At + f.Length) - 1);
                var next = new FoundSign(
                    new ToldSign(
                        new HeardSign(sign, sign.OfLimb ? JointIn(words, from, to) : null, text[words[from].Start..words[to].End]),
                        denied,
                        IsOfAnother(words, found)
                    ),
                    [.. found.SelectMany(f => Enumerable.Range(f.At, f.Length))]
                );

                // What holds goes before what is denied: "no chest pain on Monday and chest pain today".
                told = told is null || (!next.Told.Denied && !next.Told.OfAnother) ? next : told;
                if (!told.Told.Denied && !told.Told.OfAnother)
                {
                    break;
                }
            }

            if (told is not null)
            {
                yield return told;
            }
        }
    }

    /// <summary>Places of the groups in a clause that lie near each other, between two commas.</summary>
    private IEnumerable<ImmutableArray<(int At, int Length)>> Found(List<SaidWord> words, ImmutableArray<ImmutableArray<SaidPhrase>> groups)
    {
        var places = groups.Select(g => Places(words, g).ToList()).ToList();
        if (places.Exists(p => p.Count == 0))
        {
            yield break;
        }

        if (places.Count == 1)
        {
            foreach (var only in places[0])
            {
                yield return [only];
            }

            yield break;
        }

        foreach (var first in places[0])
        {
            var chosen = new List<(int At, int Length)> { first };
            foreach (var others in places.Skip(1))
            {
                var near = others
                    .Where(o => o.At + o.Length <= first.At || o.At >= first.At + first.Length)
                    .Where(o => IsNear(words, first, o))
                    .OrderBy(o => Math.Abs(o.At - first.At))
                    .Select(o => ((int At, int Length)?)o)
                    .FirstOrDefault();
                if (near is not { } place)
                {
                    break;
                }

                chosen.Add(place);
            }

            if (chosen.Count == places.Count)
            {
                yield return [.. chosen];
            }
        }
    }

    private bool IsNear(List<SaidWord> words, (int At, int Length) a, (int At, int Length) b)
    {
        var (from, to) = a.At < b.At ? (a.At + a.Length, b.At) : (b.At + b.Length, a.At);
        return to - from < _signs.Window && !Enumerable.Range(from, to - from).Any(i => words[i].Text == "," && !GoesOn(words, i + 1));
    }

    /// <summary>"my calf, it's hot": what stands behind the comma is of what stood before it.</summary>
    private static bool GoesOn(List<SaidWord> words, int at) =>
        at < words.Count && words[at].Text is "it" or "its" or "they" or "theyre" or "which" or "that" or "thats";

    private static IEnumerable<(int At, int Length)> Places(List<SaidWord> words, ImmutableArray<SaidPhrase> group)
    {
        for (var at = 0; at < words.Count; at++)
        {
            foreach (var phrase in group)
            {
                if (phrase.StandsAt(words, at))
                {
                    yield return (at, phrase.Length);
                    break;
                }
            }
        }
    }

    /// <summary>A phrase that means something else stands over one of the places.</summary>
    private static bool Covers(List<SaidWord> words, SaidPhrase unless, ImmutableArray<(int At, int Length)> found)
    {
        for (var at = 0; at < words.Count; at++)
        {
            if (unless.StandsAt(words, at) && found.Any(f => f.At < at + unless.Length && f.At + f.Length > at))
            {
                return true;
            }
        }

        return false;
    }

    /// <summary>
    /// "no chest pain", "never had any chest pain", "no fainting, dizziness or chest pain": a denial reaches through small words and other
    /// signs, and over commas only along a list with "or".
    /// </summary>
    private bool IsDenied(List<SaidWord> words, int place)
    {
        var listed =
            place + 1 < words.Count && words.Skip(place + 1).Take(4).Any(w => w.Text is "or" or "nor" or "oder" or "o" or "ou" or "/");
        for (var at = place - 1; at >= 0; at--)
        {
            var no = _no.FirstOrDefault(n => n.StandsAt(words, at));
            if (no is not null)
            {
                return !(
                    words[at].Text is "not" or "no"
                    && at + 1 < words.Count
                    && words[at + 1].Text is "," or "sure" or "only" or "just" or "idea"
                );
            }

            var word = words[at].Text;
            if (word is "or" or "nor" or "oder" or "o" or "ou" or "/")
            {
                listed = true;
            }
            else if (!(word == "," ? listed || place - at < 3 && Lists(words, at) : _through.Contains(word) || BelongsToASign(words, at)))
            {
                return false;
            }
        }

        return false;
    }

    /// <summary>The comma stands in a list that ends with "or".</summary>
    private static bool Lists(List<SaidWord> words, int comma) => words.Skip(comma + 1).Take(8).Any(w => w.Text is "or" or "nor");

    private bool BelongsToASign(List<SaidWord> words, int at) =>
        _ways.Any(w =>
            w.Groups.Any(g =>
                g.Any(p => Enumerable.Range(Math.Max(0, at - p.Length + 1), p.Length).Any(s => s <= at && p.StandsAt(words, s)))
            )
        );

    /// <summary>"Chest pain: none", "chest pain? no", "chest pain 0/10".</summary>
    private static bool IsDeniedAfter(SaidClause clause, ImmutableArray<(int At, int Length)> found)
    {
        var after = found.Max(f => f.At + f.Length);
        var rest = clause.Words.Skip(after).Select(w => w.Text).Where(t => t is not (":" or "-" or "=" or "(")).Take(2).ToList();
        return rest
                is ["0", ..]
                    or ["none" or "no" or "nil" or "never" or "negative" or "nope"]
                    or ["none" or "no" or "nil" or "never", "," or "/" or ")"]
            || (rest.Count == 0 && clause.Asks && clause.Next is "no" or "none" or "nope" or "never" or "nil" or "not");
    }

    /// <summary>"my father had a heart attack"; "my wife says I fainted" is of the client.</summary>
    private bool IsOfAnother(List<SaidWord> words, ImmutableArray<(int At, int Length)> found)
    {
        var first = found.Min(f => f.At);
        var last = found.Max(f => f.At + f.Length);
        if (RunsInTheFamily(words, first, last))
        {
            return true;
        }

        var from = words.FindLastIndex(Math.Max(0, first - 1), first, w => w.Text == ",") + 1;
        var other = Enumerable.Range(from, first - from).LastOrDefault(i => IsOther(words, i, first), -1);
        return other >= 0
            && !words
                .Take(first + 1)
                .Skip(other + 1)
                .Any(w => _own.Contains(w.Text) || w.Text is "my" or "mein" or "meine" or "mi" or "mon" or "ma");
    }

    /// <summary>"high blood pressure in the family", "family history of heart attacks".</summary>
    private static bool RunsInTheFamily(List<SaidWord> words, int first, int last)
    {
        var (before, after) = (
            string.Join(' ', words.Take(first).TakeLast(4).Select(w => w.Text)),
            string.Join(' ', words.Skip(last).Take(5).Select(w => w.Text))
        );
        return before.Contains("family history", StringComparison.Ordinal)
            || after.StartsWith("in the family", StringComparison.Ordinal)
            || after.StartsWith("in my family", StringComparison.Ordinal)
            || after.Contains("runs in ", StringComparison.Ordinal);
    }

    /// <summary>"my father", "wife's", "dad had": who is spoken of; "mother of two" is the client herself.</summary>
    private bool IsOther(List<SaidWord> words, int at, int sign) =>
        _others.Contains(words[at].Text)
        && (
            at + 1 == sign
            || words[at].Text.EndsWith('s')
            || (at > 0 && words[at - 1].Text is "my" or "his" or "her" or "their" or "our" or "mein" or "meine" or "mi" or "mon" or "ma")
            || (
                at + 1 < words.Count
                && words[at + 1].Text is "is" or "was" or "has" or "had" or "got" or "with" or "suffers" or "suffered" or "died" or "and"
            )
        );

    private Joint? JointIn(List<SaidWord> words, int first, int last)
    {
        var found =
            from joint in _joints
            from at in Enumerable.Range(0, words.Count)
            where joint.Phrase.StandsAt(words, at)
            let apart = Math.Max(Math.Max(first - at, at - last), 0)
            orderby apart, joint.Phrase.Length descending
            select (Joint?)joint.Joint;
        return found.FirstOrDefault();
    }

    private IEnumerable<SaidClause> Clauses(List<SaidWord> words)
    {
        var clause = new List<SaidWord>();
        for (var i = 0; i <= words.Count; i++)
        {
            if (i < words.Count && !words[i].EndsSentence && !_ends.Contains(words[i].Text))
            {
                clause.Add(words[i]);
                continue;
            }

            if (clause.Count > 0)
            {
                yield return new SaidClause(
                    clause,
                    i < words.Count && words[i].Text == "?",
                    i + 1 < words.Count ? words[i + 1].Text : null
                );
            }

            clause = [];
        }
    }

    private ImmutableArray<SaidPhrase> Group(string group) =>
        Phrases(group.Split('|').SelectMany(a => a.Trim() == "{joint}" ? _signs.JointNames : [a.Trim()]));

    private static ImmutableArray<SaidPhrase> Phrases(IEnumerable<string> said) =>
        [.. said.Select(s => new SaidPhrase(s)).OrderByDescending(p => p.Length)];

    /// <param name="Told">The sign.</param>
    /// <param name="Places">Places of its words in the clause.</param>
    private sealed record FoundSign(ToldSign Told, ImmutableArray<int> Places);

    /// <param name="Words">Words between two ends.</param>
    /// <param name="Asks">A question mark ends it.</param>
    /// <param name="Next">The word behind that.</param>
    private sealed record SaidClause(List<SaidWord> Words, bool Asks, string? Next);
}
