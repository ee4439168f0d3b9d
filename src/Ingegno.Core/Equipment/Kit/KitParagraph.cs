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

            if (One(phrase, noun) is { } find)
            {
                // A figure behind a thing that is no weight may be said of that thing.
                var unclear = find.Ask is null && noun is null && before is not null && IsFigure(phrase);
                finds.Add(unclear ? find with { Ask = Reason.Of("kit.ask-what", ("thing", find.Source)) } : find);
                before = find.Entry.Item;
                noun = find.Entry.Item is { Kind: "dumbbell" or "kettlebell" or "plates" or "band-loop" } item ? item.Kind : noun;
            }
        }

        return finds.ToImmutable();
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
        KitQuantity.In(phrase).Any() && !KitQuantity.Without(phrase).Split(' ').Any(w => w.Length > 5);

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
        var entry = shorthand.Read(WithUnit(Without(said)));
        if (entry.Item is null && (shorthand.Within(Without(said)) ?? (TiesTo(said) ? null : shorthand.Within(said))) is { } within)
        {
            entry = within;
        }

        if (entry.Item is null && noun == "band-loop" && said.ToLowerInvariant().Split(' ').All(w => Colours.Contains(w)))
        {
            entry = shorthand.Read($"{said} band");
        }

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

        return new KitFind(phrase, entry, Ask(entry.Item, said));
    }

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
            }
        )
        {
            var at = said.IndexOf(joint, StringComparison.OrdinalIgnoreCase);
            var rest = at < 0 ? string.Empty : said[at..];
            if (
                at > 0
                && !rest.Any(char.IsAsciiDigit)
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
            && item.WidthMm is null
        )
            ? Reason.Of("kit.ask-band")
        : null;
}
