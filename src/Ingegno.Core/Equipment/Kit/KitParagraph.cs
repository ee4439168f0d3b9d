using System.Collections.Immutable;
using System.Globalization;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;

namespace Ingegno.Core.Equipment.Kit;

/// <summary>
/// Reads kit as people say it: "she has loop bands, a chair 45 cm, some 5s and 10s, adjustable up to 24, barbell with 100 kg of plates, rack
/// and bench". Each thing stands by itself; nothing is merged in silence. Common practice.
/// </summary>
public sealed class KitParagraph(KitShorthand shorthand)
{
    /// <summary>Longest paragraph.</summary>
    public const int Longest = 2_000;

    private const int MostThings = 60;

    private static readonly ImmutableHashSet<string> Weights =
    [
        "dumbbell",
        "kettlebell",
        "medicine-ball",
        "plates",
        "weight-vest",
        "ankle-weight",
        "wrist-weight",
        "barbell",
    ];

    private static readonly ImmutableHashSet<string> Colours =
    [
        "green",
        "red",
        "blue",
        "yellow",
        "black",
        "purple",
        "orange",
        "grey",
        "gray",
        "pink",
        "light",
        "medium",
        "heavy",
        "strong",
        "thick",
        "thin",
    ];

    /// <summary>The things of a paragraph, in its order.</summary>
    public ImmutableArray<KitFind> Read(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        if (text.Length > Longest)
        {
            return [new KitFind(text[..60], new KitEntry(null, false, Reason.Of("kit.too-much", ("most", Longest)), 1, []), null)];
        }

        var finds = ImmutableArray.CreateBuilder<KitFind>();
        var (noun, before) = ((string?)null, (KitItem?)null);
        foreach (var phrase in KitPhrases.Split(KitLists.WrittenOut(PlainText.Normalize(text.ReplaceLineEndings(";")))).Take(MostThings))
        {
            if (LastThing(finds) is var at and >= 0 && shorthand.Also(finds[at].Entry.Item!, phrase) is { } also)
            {
                var last = finds[at];
                finds[at] = last with { Source = $"{last.Source}, {phrase}", Entry = last.Entry with { Item = also } };
                continue;
            }

            if (OfEach(phrase) is { } each && finds.Count > 0)
            {
                CountEach(finds, each);
                continue;
            }

            foreach (var find in All(phrase, noun))
            {
                // A figure behind a thing that is no weight may be said of that thing.
                var unclear = find.Ask is null && noun is null && before is not null && IsFigure(phrase);
                finds.Add(unclear ? find with { Ask = Reason.Of("kit.ask-what", ("thing", find.Source)) } : find);
                before = find.Entry.Item;
                noun = find.Entry.Item is { Kind: "dumbbell" or "kettlebell" or "plates" or "band-loop" } item ? item.Kind : noun;
            }
        }

        ShareNoun(finds);
        return finds.ToImmutable();
    }

    /// <summary>"One of each", "a pair of each": how many there are of the weights before; null for other phrases.</summary>
    private static int? OfEach(string phrase)
    {
        var words = phrase.ToLowerInvariant().Split(' ', StringSplitOptions.RemoveEmptyEntries);
        return words is not [.., "of", "each"] and not [.., "each"] ? null
            : words is ["one" or "1" or "single", ..] or ["just" or "only", "one" or "1", ..] ? 1
            : words is ["two" or "2" or "pair", ..] or ["a", "pair", ..] ? 2
            : null;
    }

    private static void CountEach(ImmutableArray<KitFind>.Builder finds, int each)
    {
        var kind = finds[^1].Entry.Item?.Kind;
        for (var i = finds.Count - 1; i >= 0 && finds[i].Entry.Item is { } item && item.Kind == kind; i--)
        {
            finds[i] = finds[i] with { Entry = finds[i].Entry with { Item = item with { Count = each } } };
        }
    }

    /// <summary>"2x5 kg, 2x8 kg, 1x12 kg dumbbells": figures without a noun share the one that comes behind them.</summary>
    private void ShareNoun(ImmutableArray<KitFind>.Builder finds)
    {
        for (var i = finds.Count - 2; i >= 0; i--)
        {
            if (
                finds[i].Entry is { Item: null }
                && KitQuantity.In(finds[i].Source).Any()
                && !KitQuantity.Without(finds[i].Source).Any(c => char.IsLetter(c) && c is not ('x' or 'X'))
                && finds[i + 1].Entry.Item is { MassKg: not null, Kind: "dumbbell" or "kettlebell" or "plates" or "medicine-ball" } behind
            )
            {
                finds[i] = Named(finds[i].Source, $"{finds[i].Source} {behind.Kind}", null, null);
            }
        }
    }

    /// <summary>The things of a phrase: what is said to come with the first is one of its own ("rack with a pull-up bar").</summary>
    private IEnumerable<KitFind> All(string phrase, string? noun)
    {
        if (One(phrase, noun) is not { } first)
        {
            yield break;
        }

        // Bands of several pulls in one breath: (20 lb, 30 lb, 40 lb).
        if (
            first.Entry.Item is { ForceKg: not null } band
            && KitQuantity.In(phrase).Where(q => q.Kind == QuantityKind.Mass).ToList() is [_, _, ..] pulls
        )
        {
            foreach (var pull in pulls)
            {
                yield return first with
                {
                    Entry = first.Entry with { Item = band with { ForceKg = pull.Value } },
                };
            }

            yield break;
        }

        yield return first;
        var at = phrase.IndexOf(" with ", StringComparison.OrdinalIgnoreCase);
        if (
            first.Entry.Item is { } item
            && at > 0
            && KitLead.Of(phrase[(at + " with ".Length)..]) is var (count, second)
            && !shorthand.IsPartOf(second)
            && shorthand.Read(second).Item is { } also
            && also.Kind != item.Kind
        )
        {
            yield return new KitFind(
                phrase,
                new KitEntry(also with { Id = "new", Count = count ?? also.Count }, true, null, 0, []),
                Ask(also, second)
            );
        }
    }

    private static int LastThing(ImmutableArray<KitFind>.Builder finds)
    {
        var at = finds.Count - 1;
        while (at >= 0 && finds[at].Entry.Item is null)
        {
            at--;
        }

        return at;
    }

    private static bool IsFigure(string phrase) =>
        KitQuantity.In(phrase).Any() && !KitQuantity.Without(phrase).Split(' ').Any(w => w.Length > 1 && w.Any(char.IsLetter));

    private KitFind? One(string phrase, string? noun)
    {
        var (count, said) = KitLead.Of(phrase);
        if (said.Length == 0 || said.StartsWith("no ", StringComparison.OrdinalIgnoreCase) || KitLead.IsEverywhere(said))
        {
            return null;
        }

        return SpokenWeights.Adjustable(phrase, said)
            ?? SpokenWeights.BarWithPlates(phrase, said)
            ?? SpokenWeights.Twenties(phrase, said, count, noun)
            ?? Named(phrase, said, count, noun);
    }

    private KitFind Named(string phrase, string said, int? count, string? noun)
    {
        var head = Without(said);
        var entry = shorthand.Read(WithUnit(head));
        if (entry.Item is null && noun == "band-loop" && head.ToLowerInvariant().Split(' ').All(w => Colours.Contains(w)))
        {
            entry = shorthand.Read($"{head} band");
        }

        if (entry.Item is null && (shorthand.Within(head) ?? (TiesTo(said) || Denies(said) ? null : shorthand.Within(said))) is { } within)
        {
            entry = within;
        }

        var misspelt = entry.Item is null ? shorthand.Misspelt(WithUnit(head)) : null;
        entry = misspelt ?? entry;

        if (entry.Item is null && noun is not null && KitQuantity.In(said).Any() && KitQuantity.Without(said).Trim().Length < 2)
        {
            entry = shorthand.Read($"{said} {noun}");
        }

        if (entry.Item is { Kind: "band-loop" } loop && said.Contains("handle", StringComparison.OrdinalIgnoreCase))
        {
            entry = entry with { Item = loop with { Kind = "band-tube" } };
        }

        if (entry.Item is { } item)
        {
            var pair = count ?? (item.Count == 1 && Paired(item, said) ? 2 : null);
            entry = entry with { Item = shorthand.Ruled(item, said) with { Id = "new", Count = pair ?? item.Count } };
        }

        return new KitFind(
            phrase,
            entry,
            Ask(entry.Item, said)
                ?? (misspelt is { Item: { } meant } ? Reason.Of("kit.ask-spelling", ("kind", shorthand.LabelOf(meant.Kind))) : null)
        );
    }

    /// <summary>What is said not to be there is no thing: a bench without a rack.</summary>
    private static bool Denies(string said) => Denials.Any(d => said.Contains(d, StringComparison.OrdinalIgnoreCase));

    private static readonly ImmutableArray<string> Denials = [" no ", " not ", " without ", " minus ", " but no "];

    /// <summary>What something is tied to is not what is tied: a radiator for the band is no band.</summary>
    private static bool TiesTo(string said) =>
        said.Contains(" to tie ", StringComparison.OrdinalIgnoreCase)
        || said.Contains(" to attach ", StringComparison.OrdinalIgnoreCase)
        || said.Contains(" to anchor ", StringComparison.OrdinalIgnoreCase)
        || said.Contains(" to hook ", StringComparison.OrdinalIgnoreCase);

    /// <summary>What a thing has on it or in it is not the thing: half rack with pull-up bar, backpack to fill with books.</summary>
    private static string Without(string said)
    {
        foreach (
            var joint in new[]
            {
                " but no ",
                " without ",
                " minus ",
                " no ",
                " not ",
                " to fill",
                " with ",
                " in the ",
                " on the ",
                " under the ",
                " behind the ",
                " at the ",
                " on a ",
                " over the ",
                " over a ",
                " from the ",
                " from a ",
                " hung ",
                " hanging ",
                " to tie ",
                " to attach ",
                " to anchor ",
                " to hook ",
                " where ",
                " in ",
                " on ",
                " near ",
                " by ",
            }
        )
        {
            var at = said.IndexOf(joint, StringComparison.OrdinalIgnoreCase);
            var rest = at < 0 ? string.Empty : said[at..];
            if (
                at > 0
                && (!rest.Any(char.IsAsciiDigit) || Denials.Contains(joint))
                && !rest.Contains("handle", StringComparison.OrdinalIgnoreCase)
                && !rest.Contains("plate", StringComparison.OrdinalIgnoreCase)
                && !rest.Contains("strap", StringComparison.OrdinalIgnoreCase)
            )
            {
                return said[..at];
            }
        }

        return said;
    }

    /// <summary>A figure behind a surface from which it is its height and no count, cm.</summary>
    private const double LeastHeightCm = 10;

    /// <summary>"Kettlebells 12": the figure behind a weight is kilograms; "box 60": that behind a surface is centimetres.</summary>
    private string WithUnit(string said)
    {
        var words = said.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        return
            words.Length > 1
            && words[^1].All(c => char.IsAsciiDigit(c) || c == '.')
            && shorthand.Read(string.Join(' ', words[..^1])).Item is { } item
            ? Weights.Contains(item.Kind)
                ? said + " kg"
                : shorthand.HasHeight(item.Kind)
                && double.TryParse(words[^1], CultureInfo.InvariantCulture, out var cm)
                && cm >= LeastHeightCm
                    ? said + " cm"
                    : said
            : said;
    }

    /// <summary>Dumbbells come in pairs when several are spoken of.</summary>
    private static bool Paired(KitItem item, string said) =>
        item.Kind is "dumbbell" or "wrist-weight" or "ankle-weight"
        && (
            said.Contains("dumbbells", StringComparison.OrdinalIgnoreCase)
            || said.Contains("dbs", StringComparison.OrdinalIgnoreCase)
            || said.Contains("weights", StringComparison.OrdinalIgnoreCase)
        );

    /// <summary>A band without a measure, known by its colour perhaps.</summary>
    private static Reason? Ask(KitItem? item, string said) =>
        item is { Kind: "rings-straps" } && said.Contains("door", StringComparison.OrdinalIgnoreCase) ? Reason.Of("kit.ask-hang")
        : item is { Kind: "band-loop" or "band-tube" or "band-flat" or "band-mini", ForceKg: null, WidthMm: null }
        || (
            item?.Kind.StartsWith("band", StringComparison.Ordinal) == true
            && said.Split(' ').Any(w => Colours.Contains(w.ToLowerInvariant()))
            && item.ForceKg is null
            && !said.Any(char.IsAsciiDigit)
        )
            ? Reason.Of("kit.ask-band")
        : null;
}
