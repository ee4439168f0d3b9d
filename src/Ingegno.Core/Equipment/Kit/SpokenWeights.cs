using System.Collections.Immutable;
using System.Globalization;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Equipment.Kit;

/// <summary>Reads weights that are called by their figures: adjustable up to 24, a bar with 100 kg of plates, some 5s and 10s.</summary>
internal static class SpokenWeights
{
    /// <summary>Pairs of plates as they are usually bought, kg.</summary>
    private static readonly double[] Plates = [20, 15, 10, 5, 2.5, 1.25];

    /// <summary>Steps of adjustable dumbbells until the coach says otherwise, kg.</summary>
    private const double Step = 2;

    /// <summary>Adjustable dumbbells up to 24 kg: from a light handle in steps.</summary>
    public static KitFind? Adjustable(string phrase, string said)
    {
        var figures = KitQuantity.In(said).Where(q => q.Kind == QuantityKind.Mass).ToList();
        var bare = Bare(said);
        if (
            !(said.Contains("adjustable", StringComparison.OrdinalIgnoreCase) || IsSeries(said))
            || said.Contains("bench", StringComparison.OrdinalIgnoreCase)
            || said.Contains("plate", StringComparison.OrdinalIgnoreCase)
            || (figures.Count == 0 && bare.Count == 0)
        )
        {
            return null;
        }

        var pounds = figures.Exists(f => f.Pounds) ? Units.KgPerPound : 1;
        var most = Math.Round(Math.Max(figures.Select(f => f.Value).DefaultIfEmpty(0).Max(), bare.DefaultIfEmpty(0).Max() * pounds), 2);
        var least =
            bare.Count > 1 || figures.Count > 1
                ? Math.Min(figures.Select(f => f.Value).DefaultIfEmpty(most).Min(), bare.Min() * pounds)
                : Math.Min(4, most / 2);
        if (most is < 3 or > 60 || least <= 0)
        {
            return null;
        }

        var pairs = new List<PlateSet>();
        for (var (left, plate) = ((most - least) / 2, Step / 2); left > 0.01; plate *= 2)
        {
            var mass = Math.Min(plate, left);
            pairs.Add(new PlateSet(Math.Round(mass, 2), 4));
            left -= mass;
        }

        var item = new KitItem
        {
            Id = "new",
            Kind = "adjustable-dumbbell",
            Count = 2,
            Name = string.Create(CultureInfo.InvariantCulture, $"Adjustable dumbbells to {most:0.#} kg"),
            HandleKg = Math.Round(least, 2),
            Plates = [.. pairs],
        };
        return new KitFind(phrase, new KitEntry(item, true, null, 0, []), Reason.Of("kit.ask-steps"));
    }

    /// <summary>Dumbbells up to 25, from 2 to 20: a rack of them is as good as a pair that is set.</summary>
    private static bool IsSeries(string said) =>
        said.Contains("dumbbells", StringComparison.OrdinalIgnoreCase)
        && (said.Contains(" up to ", StringComparison.OrdinalIgnoreCase) || said.Contains(" to ", StringComparison.OrdinalIgnoreCase));

    /// <summary>A barbell, or a trap bar, and 100 kg of plates: the usual pairs that come to it.</summary>
    public static KitFind? BarWithPlates(string phrase, string said)
    {
        var lower = said.ToLowerInvariant();
        var spoken = SpokenBar.Read(lower);
        var (trap, curl) = (spoken.Trap, spoken.Curl);
        var bar =
            trap
            || lower.Contains("barbell", StringComparison.Ordinal)
            || lower.StartsWith("bar ", StringComparison.Ordinal)
            || lower.Contains("olympic bar", StringComparison.Ordinal);
        var masses = KitQuantity.In(said).Where(q => q.Kind == QuantityKind.Mass).ToList();
        if (
            !(bar || curl)
            || !(lower.Contains("plate", StringComparison.Ordinal) || IsSet(lower))
            || masses.Count == 0
            || masses.Exists(q => q.Times > 1)
        )
        {
            return null;
        }

        var handle = masses.Count > 1 ? masses[0].Value : spoken.HandleKg;
        var left = masses.Count == 1 && IsSet(lower) ? masses[0].Value - handle : masses[^1].Value;
        if (left <= 0)
        {
            return null; // a set that weighs no more than a bar is none
        }

        var plates = ImmutableArray.CreateBuilder<PlateSet>();
        foreach (var plate in Plates)
        {
            if (left >= 2 * plate)
            {
                plates.Add(new PlateSet(plate, 2));
                left -= 2 * plate;
            }
        }

        for (var i = 0; i < plates.Count; i++)
        {
            var more = (int)(left / (2 * plates[i].MassKg));
            plates[i] = plates[i] with { Count = plates[i].Count + (2 * more) };
            left -= 2 * more * plates[i].MassKg;
        }

        var item = new KitItem
        {
            Id = "new",
            Kind = trap ? "trap-bar" : "adjustable-barbell",
            Name =
                trap ? "Trap bar with plates"
                : curl ? "Curl bar with plates"
                : "Barbell with plates",
            HandleKg = handle,
            Plates = plates.ToImmutable(),
        };
        return new KitFind(phrase, new KitEntry(item, true, null, 0, []), Reason.Of("kit.ask-plates"));
    }

    /// <summary>A 60 kg barbell set weighs that with its bar.</summary>
    private static bool IsSet(string lower) => lower.Contains("barbell set", StringComparison.Ordinal);

    /// <summary>5s, 10s, a pair of 20s: pairs of dumbbells, or of what was spoken of.</summary>
    public static KitFind? Twenties(string phrase, string said, int? count, string? noun)
    {
        var pounds =
            said.EndsWith("lb", StringComparison.OrdinalIgnoreCase)
            || said.EndsWith("lbs", StringComparison.OrdinalIgnoreCase)
            || said.EndsWith("pounds", StringComparison.OrdinalIgnoreCase);
        var figure = said.Split(' ')[0];
        var alone = said.Split(' ') is [_] or [_, "kg" or "kgs" or "kilos" or "lb" or "lbs" or "pounds"];
        var text = figure.TrimEnd('s', 'S', 'k', 'g', 'l', 'b');
        if (
            !alone
            || text.Length == 0
            || !double.TryParse(text.Replace(',', '.'), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var mass)
            || mass is <= 0 or > 100
        )
        {
            return null;
        }

        // Fives and tens are dumbbells whatever was spoken of before; a bare figure goes on with that.
        var kind = figure.EndsWith('s') && noun is not "plates" ? "dumbbell" : noun ?? "dumbbell";
        var item = new KitItem
        {
            Id = "new",
            Kind = kind,
            Count = count ?? (kind == "dumbbell" || figure.EndsWith('s') ? 2 : 1),
            MassKg = Math.Round(mass * (pounds ? Units.KgPerPound : 1), 4),
            Printed = pounds ? MassUnit.Lb : MassUnit.Kg,
        };
        return new KitFind(
            phrase,
            new KitEntry(item, false, null, 0, []),
            pounds || said.Contains('k', StringComparison.OrdinalIgnoreCase) ? null : Reason.Of("kit.ask-unit")
        );
    }

    private static List<double> Bare(string said) =>
        [
            .. said.Split([' ', '-', '/'], StringSplitOptions.RemoveEmptyEntries)
                .Select(w => w.TrimEnd('k', 'g', 'l', 'b', 's', 'K', 'G'))
                .Where(w =>
                    w.Length is > 0 and < 6
                    && w.All(c => char.IsAsciiDigit(c) || c == '.')
                    && char.IsAsciiDigit(w[0])
                    && char.IsAsciiDigit(w[^1])
                )
                .Select(w => double.TryParse(w, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var n) ? n : 0)
                .Where(n => n > 0),
        ];
}
