namespace Ingegno.Core.Equipment.Kit;

/// <summary>Takes what people say of their kit apart into phrases that hold a thing each.</summary>
internal static class KitPhrases
{
    /// <summary>The phrases of a text, in its order: each may be a thing.</summary>
    public static IEnumerable<string> Split(string text)
    {
        var (start, depth) = (0, 0);
        for (var i = 0; i <= text.Length; i++)
        {
            depth +=
                i == text.Length ? 0
                : text[i] is '(' ? 1
                : text[i] is ')' && depth > 0 ? -1
                : 0;
            var (end, skip) =
                i == text.Length ? (true, 0)
                : depth > 0 ? (false, 0)
                : Ends(text, i);
            if (!end)
            {
                continue;
            }

            var phrase = text[start..i].Trim(' ', '\t', '-', '•', '*', ':', '(', ')', '.', ',', '!', '?', '"');
            if (phrase.Length > 0)
            {
                yield return phrase;
            }

            start = Math.Min(text.Length, i + skip);
            i = Math.Max(i, start - 1);
        }
    }

    /// <summary>Where a thing ends: a comma, a full stop, "and" – but 2,5 kg is one figure, and plates belong to their bar.</summary>
    private static (bool Ends, int Skip) Ends(string text, int at)
    {
        var c = text[at];
        var digits = at > 0 && at + 1 < text.Length && char.IsAsciiDigit(text[at - 1]) && char.IsAsciiDigit(text[at + 1]);
        if (c is '\n' or '\r' or ';' or '!' or '?' || (c is ',' or '.' && !digits))
        {
            return (true, 1);
        }

        foreach (var joint in new[] { " and ", " & ", " plus ", " + ", " as well as ", " but ", " or " })
        {
            if (
                at + joint.Length <= text.Length
                && string.Compare(text, at, joint, 0, joint.Length, StringComparison.OrdinalIgnoreCase) == 0
            )
            {
                return (!PlatesFollow(text, at + joint.Length), joint.Length);
            }
        }

        return (false, 0);
    }

    private static bool PlatesFollow(string text, int at)
    {
        var next = text.AsSpan(at, Math.Min(24, text.Length - at));
        var stop = next.IndexOfAny(",;.");
        return char.IsAsciiDigit(next.IsEmpty ? ' ' : next[0])
            && (stop < 0 ? next : next[..stop]).Contains("plate", StringComparison.OrdinalIgnoreCase);
    }
}
