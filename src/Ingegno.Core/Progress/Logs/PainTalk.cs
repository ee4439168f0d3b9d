using System.Collections.Immutable;
using Ingegno.Core.Clients.Health;
using Ingegno.Core.Foundation.Body;

namespace Ingegno.Core.Progress.Logs;

/// <summary>
/// Takes what is said of pain out of a message before sets are read in it: a figure belongs to pain only where it is tied to its words, so
/// that no rep becomes a score and no score a rep. Words of clients: common practice; a strong word counts seven until it is answered.
/// </summary>
internal static class PainTalk
{
    /// <summary>Stands in the text where pain was said: this and as many more.</summary>
    private const char FirstMark = '\uE000';

    private const int MostSaid = 60;

    /// <summary>What a strong word counts until it is answered.</summary>
    private const int StrongScore = 7;

    /// <summary>Words between a word of pain and its joint or figure at most.</summary>
    private const int Near = 4;

    /// <summary>What is said of pain, and the text without it; a mark stands where it was.</summary>
    public static (string Text, ImmutableArray<PainSaid> Said) TakeOut(string text)
    {
        var words = SaidWord.All(text);
        var said = new List<PainSaid>();
        var plain = text.ToCharArray();
        for (var at = 0; at < words.Count && said.Count < MostSaid; )
        {
            if (Mention(words, at) is not { } found)
            {
                at++;
                continue;
            }

            var (from, to) = (words[found.From].Start, words[found.To].End);
            for (var i = from; i < to; i++)
            {
                plain[i] = ' ';
            }

            plain[from] = (char)(FirstMark + said.Count);
            said.Add(found.Pain with { Words = text[from..to].Trim() });
            at = found.To + 1;
        }

        return (new string(plain), [.. said]);
    }

    /// <summary>The pains whose marks stand in a piece, and the piece without marks.</summary>
    public static (string Piece, ImmutableArray<PainSaid> Said) In(string piece, ImmutableArray<PainSaid> all) =>
        (
            new string([.. piece.Select(c => IsMark(c) ? ' ' : c)]).Trim(),
            [.. piece.Where(IsMark).Select(c => c - FirstMark).Where(i => i < all.Length).Select(i => all[i])]
        );

    /// <summary>A piece as it was written, with what was said of pain.</summary>
    public static string Whole(string piece, ImmutableArray<PainSaid> all) =>
        string.Join(
            ' ',
            string.Concat(piece.Select(c => IsMark(c) && c - FirstMark < all.Length ? $" {all[c - FirstMark].Words} " : c.ToString()))
                .Split(' ', StringSplitOptions.RemoveEmptyEntries)
        );

    private static bool IsMark(char c) => c is >= FirstMark and < (char)(FirstMark + MostSaid);

    private readonly record struct Found(int From, int To, PainSaid Pain);

    /// <summary>What is said from a word on; the first word of pain, or a joint with a figure of ten.</summary>
    private static Found? Mention(List<SaidWord> words, int at)
    {
        var hurts = PainVocabulary.Pain.Contains(words[at].Text);
        var joint = JointAt(words, at);
        if (!hurts && joint is null)
        {
            return null;
        }

        var (from, to) = (at, at + (joint?.Length ?? 1) - 1);
        var where = joint?.Joint;
        if (!hurts)
        {
            // A joint: with pain behind it, or a figure of ten.
            if (Behind(words, to, w => PainVocabulary.Pain.Contains(w)) is { } pain)
            {
                (hurts, to) = (true, pain);
            }
            else
            {
                return ScoreBehind(words, to, true) is { } bare
                    ? new Found(Start(words, from), bare.To, new PainSaid(string.Empty, where, bare.Score, false, false))
                    : null;
            }
        }
        else if (JointBehind(words, to) is { } behind)
        {
            (where, to) = (behind.Joint, behind.At + behind.Length - 1);
        }

        // Further words of pain go with it: "sharp shoulder pain", "knee sore and painful".
        while (to + 1 < words.Count && PainVocabulary.Pain.Contains(words[to + 1].Text))
        {
            to++;
        }

        if (where is null && PainVocabulary.OnlyWithJoint.Contains(words[at].Text))
        {
            return null;
        }

        var score = ScoreBehind(words, to, false) ?? ScoreBefore(words, from);
        if (score is { To: var last } && last > to)
        {
            to = last;
            if (where is null && JointBehind(words, to) is { } late)
            {
                (where, to) = (late.Joint, late.At + late.Length - 1); // pain 3 knee
            }
        }

        if (score is { From: var first } && first < from)
        {
            from = first;
        }

        // Further words of pain go with it: "sharp pain in the wrist, really painful".
        while (
            to + 1 < words.Count
            && (PainVocabulary.Pain.Contains(words[to + 1].Text) || words[to + 1].Text is "10" && words[to].Text is "/")
        )
        {
            to++;
        }

        var start = Start(words, from);
        var span = words.GetRange(start, to - start + 1);
        var denied = IsDenied(words, start, to);
        var value = denied ? 0 : score?.Score;
        var strong = !denied && value is null && span.Exists(w => PainVocabulary.Strong.Contains(w.Text));
        return new Found(
            denied ? DeniedFrom(words, start) : start,
            denied && to + 1 < words.Count && words[to + 1].Text is "free" or "none" ? to + 1 : to,
            new PainSaid(
                string.Empty,
                where,
                strong ? StrongScore : value,
                !denied && span.Exists(w => w.Text is "sharp" or "stabbing" or "stabbed" or "stab"),
                strong
            )
        );
    }

    /// <summary>The words before that belong to it: "a bit of", "my left".</summary>
    private static int Start(List<SaidWord> words, int from)
    {
        while (
            from > 0
            && PainVocabulary.Filler.Contains(words[from - 1].Text)
            && words[from - 1].Text is not ("-" or ":" or "=" or "to" or "at" or "up")
        )
        {
            from--;
        }

        return from;
    }

    private static int? Behind(List<SaidWord> words, int to, Func<string, bool> what)
    {
        for (var i = to + 1; i < words.Count && i <= to + Near; i++)
        {
            if (what(words[i].Text))
            {
                return i;
            }

            if (
                !PainVocabulary.Filler.Contains(words[i].Text)
                && !PainVocabulary.Negation.Contains(words[i].Text)
                && !PainVocabulary.Strong.Contains(words[i].Text)
            )
            {
                return null;
            }
        }

        return null;
    }

    private static (int At, int Length, Joint Joint)? JointBehind(List<SaidWord> words, int to)
    {
        for (var i = to + 1; i < words.Count && i <= to + Near; i++)
        {
            if (JointAt(words, i) is { } found)
            {
                return (i, found.Length, found.Joint);
            }

            if (!PainVocabulary.Filler.Contains(words[i].Text) || words[i].Text is "on" or "with" or "at" or "to")
            {
                return null;
            }
        }

        return null;
    }

    private static (int Length, Joint Joint)? JointAt(List<SaidWord> words, int at)
    {
        foreach (var (name, joint) in LogVocabulary.Joints)
        {
            var parts = name.Split(' ');
            if (
                at + parts.Length <= words.Count
                && parts.Select((p, i) => words[at + i].Text == p || words[at + i].Text == p + "s").All(same => same)
            )
            {
                return (parts.Length, joint);
            }
        }

        return null;
    }

    /// <summary>A figure tied to it behind: "4/10", "was 4 out of 10", "6" where no other figure follows.</summary>
    private static (int From, int To, int Score)? ScoreBehind(List<SaidWord> words, int to, bool ofTenOnly)
    {
        for (var i = to + 1; i < words.Count && i <= to + Near; i++)
        {
            if (Figure(words[i].Text) is { } figure)
            {
                return OfTenEnds(words, i) is { } end ? (i, end, figure)
                    : !ofTenOnly && figure <= 10 && StandsAlone(words, i) ? (i, i, figure)
                    : null;
            }

            if (!PainVocabulary.Filler.Contains(words[i].Text))
            {
                return null;
            }
        }

        return null;
    }

    /// <summary>"4/10 pain", "a 3 out of 10 in my knee".</summary>
    private static (int From, int To, int Score)? ScoreBefore(List<SaidWord> words, int from)
    {
        var at = from - 1;
        while (at >= 0 && PainVocabulary.Filler.Contains(words[at].Text))
        {
            at--;
        }

        if (at < 2 || words[at].Text != "10")
        {
            return null;
        }

        var figure =
            words[at - 1].Text == "/" ? at - 2
            : words[at - 1].Text == "of" ? (at >= 3 && words[at - 2].Text == "out" ? at - 3 : at - 2)
            : -1;
        return figure >= 0 && Figure(words[figure].Text) is { } score && score <= 10 && !(figure > 0 && words[figure - 1].Text is "/")
            ? (figure, from, score)
            : null;
    }

    private static int? OfTenEnds(List<SaidWord> words, int figure)
    {
        var rest = words.Skip(figure + 1).Take(3).Select(w => w.Text).ToList();
        return rest is ["/", "10", ..] && !(words.Count > figure + 3 && words[figure + 3].Text == "/") ? figure + 2
            : rest is ["of", "10", ..] ? figure + 2
            : rest is ["out", "of", "10"] ? figure + 3
            : null;
    }

    /// <summary>No other figure goes on from it: it is no first rep of several.</summary>
    private static bool StandsAlone(List<SaidWord> words, int figure)
    {
        var next = words.Skip(figure + 1).Take(2).Select(w => w.Text).ToList();
        return next.Count == 0
            || !(
                PainVocabulary.Units.Contains(next[0])
                || char.IsAsciiDigit(next[0][0])
                || (next[0] is "," or "/" or "x" or "-" or "@" or "+" && next.Count > 1 && char.IsAsciiDigit(next[1][0]))
            );
    }

    private static bool IsDenied(List<SaidWord> words, int start, int to) =>
        DeniedFrom(words, start) < start
        || words.GetRange(start, to - start + 1).Exists(w => PainVocabulary.Negation.Contains(w.Text))
        || (to + 1 < words.Count && words[to + 1].Text is "free" or "none" or "nil" or "no" or "gone" && EndsAfter(words, to + 1))
        || words.Skip(to + 1).Take(2).Select(w => w.Text).ToList() is ["-", "free"]
        || words.Skip(to + 1).Take(2).Select(w => w.Text).ToList() is [":" or "-" or "=", "none" or "no" or "nil"];

    private static bool EndsAfter(List<SaidWord> words, int at) => at + 1 >= words.Count || words[at + 1].IsSign;

    private static int DeniedFrom(List<SaidWord> words, int start)
    {
        for (var i = start - 1; i >= 0 && i >= start - Near; i--)
        {
            if (PainVocabulary.Negation.Contains(words[i].Text))
            {
                return words[i].Text is "no" or "not" && i + 1 < words.Count && words[i + 1].Text is "," or "sure" ? start : i;
            }

            if (
                !PainVocabulary.AfterNegation.Contains(words[i].Text)
                && !PainVocabulary.Filler.Contains(words[i].Text)
                && !PainVocabulary.BodyParts.Contains(words[i].Text)
            )
            {
                return start;
            }
        }

        return start;
    }

    private static int? Figure(string word) =>
        word.Length is > 0 and < 3 && word.All(char.IsAsciiDigit)
            ? int.Parse(word, System.Globalization.CultureInfo.InvariantCulture)
            : null;
}
