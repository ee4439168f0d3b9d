using System.Collections.Immutable;
using System.Text.RegularExpressions;
using Ingegno.Core.Foundation.Text;

namespace Ingegno.Core.Equipment.Kit;

/// <summary>Words that say what rules a thing out.</summary>
/// <param name="Hazard">The hazard.</param>
/// <param name="Words">Ways to say it, as patterns of whole words.</param>
public sealed record HazardWords(Hazard Hazard, ImmutableArray<string> Words)
{
    /// <summary>Things that these words say it of when they stand before one: an office chair rolls, an office table does not. Empty for all.</summary>
    public ImmutableArray<string> Before { get; init; } = [];
}

/// <summary>
/// Hears hazards in what is typed of things: a glass table is no table to pull under, whatever it could carry. A denial says none; what remains is
/// the thing without these words.
/// </summary>
internal sealed class HazardTalk
{
    private readonly ImmutableArray<(Hazard Hazard, Regex Words)> _all;

    private const RegexOptions How =
        RegexOptions.IgnoreCase | RegexOptions.CultureInvariant | RegexOptions.NonBacktracking | RegexOptions.ExplicitCapture;

    private static readonly Regex Denied = new(
        @"\b(no|not|without|never|nor|isn.?t|doesn.?t|does not|don.?t|aren.?t|cannot|can.?t|won.?t)( [a-z]+){0,2} $",
        How
    );

    /// <summary>What is left of a clause when its hazard was taken: "but it is a … one".</summary>
    private static readonly Regex Filler = new(
        @"\b(but|and|it|its|it.?s|is|are|they|that|which|a|an|the|bit|one|ones|of|made|kind|sort|quite|very|rather|sometimes|little|slightly|has|have|with|on|also|so|does|do|no|not|don.?t|doesn.?t|never|top|itself|when|i|you|sit|stand|lean|pull|wall|floor|away|around|though|only|just)\b",
        How
    );

    public HazardTalk(IEnumerable<HazardWords> words) =>
        _all = [
            .. words.Select(w =>
                (
                    w.Hazard,
                    new Regex(
                        w.Before.IsDefaultOrEmpty
                            ? $@"\b({string.Join('|', w.Words)})\b"
                            : $@"\b(({string.Join('|', w.Words)}) )+(?<of>{string.Join('|', w.Before)})\b",
                        How
                    )
                )
            ),
        ];

    /// <summary>The hazards of a text and the text without them.</summary>
    /// <param name="text">The text.</param>
    /// <returns>Hazards, once each; the words that are left; whether any word of a hazard was said, be it denied.</returns>
    public (ImmutableArray<Hazard> Hazards, string Left, bool Said) Of(string text)
    {
        var (left, found, said) = (PlainText.Normalize(text), new List<Hazard>(), false);
        foreach (var (hazard, words) in _all)
        {
            foreach (var match in words.Matches(left).Reverse())
            {
                said = true;
                if (!Denied.IsMatch(left[..match.Index]))
                {
                    found.Add(hazard);
                }

                left = string.Concat(left.AsSpan(0, match.Index), match.Groups["of"].Value, left.AsSpan(match.Index + match.Length));
            }
        }

        return ([.. found.Distinct().Order()], string.Join(' ', left.Split(' ', StringSplitOptions.RemoveEmptyEntries)), said);
    }

    /// <summary>Nothing but a hazard is said: it is of the thing before.</summary>
    public static bool SaysNoThing(string left) => Filler.Replace(left, " ").All(c => !char.IsAsciiLetterOrDigit(c));
}
