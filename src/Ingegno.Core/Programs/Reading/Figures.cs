using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>Reads figures, ranges and durations as they are written beside exercises.</summary>
internal static class Figures
{
    /// <summary>A number, with a comma for its decimals only where a unit follows: 82,5% but 10,8,6.</summary>
    public static double? Number(TokenCursor at)
    {
        if (!at.Now.IsNumber)
        {
            return null;
        }

        var value = at.Now.Value;
        var (whole, comma, part, unit) = (at.Now, at.Ahead(1), at.Ahead(2), at.Ahead(3));
        at.At++;
        if (
            whole.IsWhole
            && comma.Is(",")
            && !comma.Spaced
            && part is { IsWhole: true, Spaced: false, Text: "5" or "25" or "75" or "50" }
            && IsUnit(unit)
        )
        {
            at.At += 2;
            return value + (part.Value / (part.Text.Length == 1 ? 10 : 100));
        }

        if (whole.IsWhole && at.Now is { Kind: TokenKind.Sign, Text: "½" or "¼" or "¾", Spaced: false })
        {
            value += at.Now.Text switch
            {
                "½" => 0.5,
                "¼" => 0.25,
                _ => 0.75,
            };
            at.At++;
        }

        return value;
    }

    private static bool IsUnit(LineToken token) =>
        token.Is("%") || token.Text is "kg" or "kgs" or "kilos" or "lb" or "lbs" or "rpe" or "min";

    /// <summary>A figure or a range such as 8-12, 8 - 12, 8 to 12. The far end of a range is no start of other figures (3-1-1-0).</summary>
    public static Span? Range(TokenCursor at)
    {
        var start = at.At;
        if (Number(at) is not { } from)
        {
            return null;
        }

        var back = at.At;
        var apart = at.Now is { Text: "-", Spaced: true };
        if (apart && at.Ahead(1) is { IsNumber: true, Spaced: false } && at.Ahead(2).Is("%"))
        {
            return new Span(from, from); // less ten percent
        }

        if (
            !(at.Now is { Text: "~", Spaced: true }) // 4x4 ~80%: about
            && at.TakeAny("-", "to", "~").Length > 0
            && Number(at) is { } to
            && !(at.Now.Is("-") && at.Ahead(1).IsNumber)
            && !(apart && (to < from || Another(at, from, to)))
        )
        {
            return new Span(from, to);
        }

        at.At = back;
        return at.At == start ? null : new Span(from, from);
    }

    /// <summary>A dash that stands apart leads to another figure: 3x10 - 90 s, 10 - 60 s rest.</summary>
    private static bool Another(TokenCursor at, double from, double to) =>
        (at.Now is { Text: ":", Spaced: false } && at.Ahead(1) is { IsWhole: true, Spaced: false }) // RPE 7 - 2:00
        || (at.Now.Is("%") && from <= MostRepsOfShare && to > from + MostRepsOfShare) // 6 - 75 %
        || at.Now.Text is "s" or "sec" or "secs" or "seconds" or "min" or "mins" or "\"" or "'"
            && (to > 4 * from || at.Ahead(1).Text is "rest");

    /// <summary>Reps that stand before a percentage, and no lower end of it.</summary>
    private const int MostRepsOfShare = 20;

    /// <summary>
    /// A time in seconds: 90s, 90", 2 min, 2', 2-3 min, 2:30, 1'30". Null when there is none, or it has no unit and needs one.
    /// </summary>
    /// <param name="at">Where it begins.</param>
    /// <param name="unitNeeded">A bare figure is none.</param>
    /// <param name="metres">A bare m is metres and not minutes.</param>
    public static Span? Time(TokenCursor at, bool unitNeeded, bool metres = false)
    {
        var start = at.At;
        if (at.Now.Is(":") && at.Ahead(1) is { IsWhole: true, Spaced: false, Text.Length: 2 } only)
        {
            at.At += 2;
            return new Span(only.Value, only.Value);
        }

        if (
            at.Now.IsWhole
            && at.Ahead(1) is { Spaced: false, Text: ":" or "'" }
            && at.Ahead(2) is { IsWhole: true, Spaced: false, Text.Length: 2 } seconds
        )
        {
            var time = (at.Now.Value * 60) + seconds.Value;
            at.At += 3;
            at.TakeAny("\"", "min", "mins");
            return new Span(time, time);
        }

        if (Range(at) is not { } range)
        {
            return null;
        }

        if (Unit(at, metres) is { } unit)
        {
            // 1 min 30 s, 1min30
            var named = at.Ahead(1).Text is "s" or "sec" or "secs" or "seconds";
            if (
                unit == 60
                && range.Upper is null
                && at.Now is { IsWhole: true, Value: < 60 }
                && (named || at.Now is { Spaced: false, Text.Length: 2 })
            )
            {
                var more = at.Now.Value;
                at.At += named ? 2 : 1;
                return new Span((range.From * 60) + more, (range.From * 60) + more);
            }

            return new Span(range.From * unit, range.To * unit);
        }

        if (unitNeeded)
        {
            at.At = start;
            return null;
        }

        // After "rest" a small figure is minutes, another seconds.
        var by = range.To <= 10 ? 60 : 1;
        return new Span(range.From * by, range.To * by);
    }

    private static int? Unit(TokenCursor at, bool metres)
    {
        var token = at.Now;
        var unit = token.Text switch
        {
            "s" or "sec" or "secs" or "second" or "seconds" or "scs" => 1,
            "\"" when !token.Spaced => 1,
            "min" or "mins" or "minute" or "minutes" or "mn" => 60,
            "m" when !metres => 60,
            "'" when !token.Spaced => 60,
            "hour" or "hours" or "h" or "hr" => 3600,
            _ => (int?)null,
        };
        if (unit is null)
        {
            return null;
        }

        at.At++;
        if (token.Is("'") && at.Now is { Text: "'", Spaced: false })
        {
            at.At++;
            return 1;
        }

        at.Take(".");
        return unit;
    }

    /// <summary>"3x10 feet elevated": where they are put, and no distance.</summary>
    private static bool IsOfTheBody(LineToken next) =>
        next.Text
            is "elevated"
                or "raised"
                or "up"
                or "on"
                or "together"
                or "wide"
                or "apart"
                or "forward"
                or "flat"
                or "high"
                or "low"
                or "in"
                or "out"
                or "turned"
                or "against"
                or "anchored";

    /// <summary>From so many on a "k" beside sets and reps is kilograms; less is a distance: 2k x 3 is rowed.</summary>
    public const double LeastHeldK = 8;

    /// <summary>A unit of length, in metres; null when none stands here.</summary>
    public static double? Length(TokenCursor at, bool bareM = true)
    {
        double? unit = at.Now.Text switch
        {
            "m" when bareM => 1,
            "meter" or "meters" or "metre" or "metres" or "mtr" or "mtrs" => 1,
            "km" or "kms" => 1000,
            "k" when at.Before.Value < LeastHeldK || !at.Says("x", "*", "sets", "reps") => 1000, // 24k beside sets and reps is a weight
            "yd" or "yds" or "yard" or "yards" => 0.9144,
            "ft" or "feet" or "foot" when !IsOfTheBody(at.Ahead(1)) => 0.3048,
            "mile" or "miles" or "mi" => 1609.344,
            "lap" or "laps" or "length" or "lengths" => 25,
            _ => null,
        };
        at.At += unit is null ? 0 : 1;
        return unit;
    }
}
