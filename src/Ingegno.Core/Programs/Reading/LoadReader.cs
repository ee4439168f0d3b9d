using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>Reads loads: 75 kg, @165lb, 2x20 kg, 2x20s, 20 kg each, +10kg, BW+10, 10RM, heavy, bar only.</summary>
internal static class LoadReader
{
    private const int MostPieces = 4;

    /// <summary>A pair without a unit weighs at least so much: 2x8 may be sets and reps.</summary>
    private const int LeastOfPair = 4;

    public static bool Read(TokenCursor at, LineDraft draft)
    {
        var start = at.At;
        return Said(at, draft) || (at.Back(start) || RepMax(at, draft)) || (at.Back(start) || Weighed(at, draft)) || at.Back(start);
    }

    private static bool Weighed(TokenCursor at, LineDraft draft)
    {
        var signed = at.Now.Is("@");
        var marked = at.TakeAny("@", "with", "w", "using", "at").Length > 0;
        var asked = marked;
        marked |= at.Take("/");
        _ = draft.HasDose && at.Now.Text is "x" or "*" && at.Ahead(1).IsNumber && IsUnit(at.Ahead(2)) && at.TakeAny("x", "*").Length > 0;
        at.TakeAny("a", "the");
        var added = at.Now.Is("+") && at.Ahead(1).IsNumber && at.Take("+");
        var pieces = at.TakePhrase("pair of") || at.TakePhrase("two") ? 2 : 1;
        if (pieces == 1 && at.Now is { IsWhole: true, Value: 2 } && Bells(at.Ahead(1)) && (at.Ahead(2).IsNumber || at.Ahead(3).IsNumber))
        {
            (pieces, at.At) = (2, at.At + 2); // 2 DBs 12 kg
            at.TakeAny("of", "@", "at", ",");
        }

        marked |= pieces > 1;
        var crossed = false;
        if (at.Now.IsWhole && at.Now.Value <= MostPieces && at.Ahead(1).Text is "x" or "*" && at.Ahead(2).IsNumber)
        {
            pieces = (int)at.Now.Value;
            at.At += 2;
            marked = crossed = true;
        }

        if (!added && pieces == 1 && OfEachSet(at, draft))
        {
            return true;
        }

        if (Figures.Range(at) is not { } range)
        {
            return false;
        }

        var per = at.Now.Text switch
        {
            // 24k beside sets and reps; elsewhere it is a distance.
            "k" when !at.Now.Spaced && range.From >= Figures.LeastHeldK && at.Says("x", "*", "sets", "reps") => 1.0,
            "kg" or "kgs" or "kilos" or "kilo" or "kilograms" or "kilogram" or "kilogramm" => 1.0,
            "lb" or "lbs" or "pounds" or "pound" or "#" => Units.KgPerPound,

            // 2x20s: a pair of twenties, of the unit of the gym.
            "s" when marked && !at.Now.Spaced && (pieces > 1 || Twenties(draft, range, signed || (asked && IsNoRest(at, range)))) => draft
                .Habit
                .KgOfUnit,
            _ => 0,
        };
        if (per > 0 && at.Now.Is("s"))
        {
            pieces = Math.Max(2, pieces);
        }

        if (
            per == 0
            && (asked || range.From % 1 > 0)
            && crossed
            && range.From >= LeastOfPair
            && at.Now.Text is not ("x" or "*" or "reps" or "sets" or "%" or "sec")
        )
        {
            return Unitless(at, draft, range, pieces); // 3x40 m @ 2x24, 3x10 2x22.5
        }

        if (per == 0 && signed && !crossed && range.Upper is null && !IsOtherwise(at.Now) && IsNoShare(draft, range.From))
        {
            return Unitless(at, draft, range, pieces); // 4x6 @ 100
        }

        if (per == 0)
        {
            return added
                && pieces == 1
                && !crossed // 3x8 + 1x20 is a set more
                && range.Upper is null
                && at.Now.Text is not ("x" or "*" or "sets" or "%")
                && !IsMoreWork(at.Now)
                && Bare(at, draft, range, pieces);
        }

        at.At++;
        pieces = Hands(at, pieces);
        pieces = Bells(at.Now) && at.Now.Text is not "db" ? Math.Max(2, pieces) : pieces; // (30 kg DBs)
        at.TakeAny("dumbbells", "dbs", "db", "kb", "kbs", "kettlebell", "kettlebells", "bells", "plate", "vest");
        var inAll = pieces == 1 && (at.TakePhrase("in total") || at.TakePhrase("in all"));
        inAll |= at.TakeAny("total", "altogether", "combined").Length > 0 && pieces == 1;
        return Take(at, draft, range, per, pieces, added, inAll);
    }

    private static bool Unitless(TokenCursor at, LineDraft draft, Span range, int pieces)
    {
        draft.Unitless = true;
        return Take(at, draft, range, draft.Habit.KgOfUnit, pieces, added: false);
    }

    /// <summary>
    /// Nobody does six reps at all of a maximum, or plans sets at a fifth of one: such a figure behind an @ is no percentage, and the weight.
    /// Upwards a straight line a little above the usual table of reps and shares (NSCA, from memory); up to ten it may be an effort.
    /// </summary>
    public static bool IsNoShare(double reps, double figure) =>
        figure > Math.Min(MostShare, 103 - (2.5 * reps)) || figure is > MostEffort and < LeastShare;

    private static bool IsNoShare(LineDraft draft, double figure) =>
        draft.Current is { Unit: CountUnit.Reps, Counts: [{ } reps, ..] } && IsNoShare(reps.From, figure);

    /// <summary>Highest and lowest percentage that is planned.</summary>
    private const double MostShare = 110,
        LeastShare = 30;

    /// <summary>Highest effort on the scale of ten.</summary>
    public const double MostEffort = 10;

    /// <summary>A unit of mass.</summary>
    public static bool IsUnit(LineToken token) => token.Text is "kg" or "kgs" or "kilos" or "kilo" or "lb" or "lbs" or "pounds";

    private static bool IsOtherwise(LineToken unit) =>
        unit.Text
            is "%"
                or "x"
                or "*"
                or "reps"
                or "rep"
                or "sets"
                or "set"
                or "s"
                or "sec"
                or "min"
                or "rm"
                or "rir"
                or "/"
                or "-"
                or ":"
                or "percent";

    private static bool Bells(LineToken token) => token.Text is "dumbbells" or "dbs" or "db" or "kettlebells" or "kbs" or "bells";

    /// <summary>With 16s: what one works with, where nobody would rest so long and nothing says rest.</summary>
    private static bool IsNoRest(TokenCursor at, Span seconds) =>
        seconds.From <= PairOfTwenties.HeaviestKg
        && !PairOfTwenties.Rests.Contains(seconds.From)
        && at.Ahead(1).Text is not ("rest" or "rests" or "between" or "break" or "breaks" or "off")
        && !IsHeld(at.Ahead(1));

    /// <summary>With a 5s hold: seconds of the rep.</summary>
    private static bool IsHeld(LineToken next) =>
        next.Text
            is "hold"
                or "holds"
                or "pause"
                or "pauses"
                or "squeeze"
                or "squeezes"
                or "iso"
                or "isometric"
                or "eccentric"
                or "eccentrics"
                or "negative"
                or "negatives"
                or "lowering"
                or "lower"
                or "down"
                or "descent"
                or "up"
                or "at"
                or "top"
                or "bottom";

    /// <summary>3x10 @ 24s: nobody rests at a figure, so it is a pair of them.</summary>
    private static bool Twenties(LineDraft draft, Span range, bool signed) =>
        signed
        && range.Upper is null
        && range.From >= 2
        && draft.Current is { Unit: CountUnit.Reps } group
        && (group.Counts.Count > 0 || group.Open);

    /// <summary>60/65/70 kg: a load for each set; without a unit where there are as many as sets, and asked.</summary>
    private static bool OfEachSet(TokenCursor at, LineDraft draft)
    {
        var (start, from) = (at.At, at.Now.Start);
        var loads = new List<double>();
        while (Figures.Number(at) is { } kg && loads.Count < ShorthandLimits.Sets)
        {
            loads.Add(kg);
            if (!(at.Now.Text is "/" or "," or "-" && at.Ahead(1).IsNumber))
            {
                break;
            }

            at.At++;
        }

        var per =
            at.TakeAny("kg", "kgs", "kilos").Length > 0 ? 1.0
            : at.TakeAny("lb", "lbs").Length > 0 ? Units.KgPerPound
            : 0;
        if (per == 0 && loads.Count > 2 && loads.Count == draft.Current?.Sets && AreLoads(at, draft.Current, loads))
        {
            draft.Doubt(from, at.Before.End - from, "shorthand.loads-assumed", ("figures", string.Join('/', loads)));
            per = draft.Habit.KgOfUnit;
        }

        if (loads.Count < 3 || per == 0)
        {
            return at.Back(start);
        }

        var pounds = per is not 1;
        draft.Loads.AddRange(loads.Select(l => new PlannedLoad(Kg(l, per)) { Pounds = pounds }));
        draft.Load ??= new PlannedLoad(Kg(loads.Min(), per), ToKg: loads.Max() > loads.Min() ? Kg(loads.Max(), per) : null)
        {
            Pounds = pounds,
        };
        return true;
    }

    /// <summary>A list beside reps that are known is of loads: it has parts of a kilogram, or is more than anybody plans in a set.</summary>
    private static bool AreLoads(TokenCursor at, SetGroup sets, List<double> figures) =>
        sets is { Unit: CountUnit.Reps, Counts: [_], Load: null }
        && !IsOtherwise(at.Now)
        && figures.TrueForAll(f => f >= LeastOfPair)
        && (figures.Exists(f => f % 1 > 0) || figures.TrueForAll(f => f >= LeastShare));

    /// <summary>15 + 10 partials, 3x8 + 2 min: what follows is done after the set and lifts nothing.</summary>
    private static bool IsMoreWork(LineToken token) =>
        token.Text
            is "partials"
                or "partial"
                or "negatives"
                or "negative"
                or "pulses"
                or "pulse"
                or "halves"
                or "half"
                or "drop"
                or "drops"
                or "dropset"
                or "dropsets"
                or "rounds"
                or "reps"
                or "rep"
                or "sec"
                or "secs"
                or "s"
                or "min"
                or "mins"
                or "minutes"
                or "minute";

    /// <summary>+10 without a unit is added in kilograms.</summary>
    private static bool Bare(TokenCursor at, LineDraft draft, Span range, int pieces) =>
        draft.HasDose && Take(at, draft, range, draft.Habit.KgOfUnit, pieces, added: true);

    private static int Hands(TokenCursor at, int pieces)
    {
        var start = at.At;
        at.TakeAny("/", "per", "in", "a");
        if (at.At > start && at.TakeAny("hand", "hands", "db", "dumbbell", "arm", "dbs").Length > 0)
        {
            return Math.Max(2, pieces);
        }

        at.At = start;
        if (at.TakeAny("each", "ea", "apiece").Length > 0)
        {
            at.TakeAny("hand", "db", "dumbbell", "arm");
            return Math.Max(2, pieces);
        }

        if (at.TakePhrase("per hand") || at.TakePhrase("in each hand"))
        {
            return Math.Max(2, pieces);
        }

        return pieces;
    }

    private static bool Take(TokenCursor at, LineDraft draft, Span range, double per, int pieces, bool added, bool inAll = false)
    {
        var load = new PlannedLoad(Kg(range.From, per), pieces, added, range.Upper is { } to ? Kg(to, per) : null, inAll)
        {
            Pounds = per is not 1,
        };
        var first = draft.Load;
        draft.Load ??= load;
        if (at.Now.Text is "x" or "*" && at.Ahead(1).IsNumber)
        {
            draft.LeadLoad = load;
        }
        else if (draft.Current is not { } group)
        {
            draft.LoadLed = true;
        }
        else if (draft.LoadLed && first is not null && at.Now.IsWhole && at.Ahead(1).Text is "x" or "*" or "sets")
        {
            // 100 kg 3x3, 90 kg 3x6: every load stands before its sets.
            group.Load ??= first;
            draft.NextLoad = load;
        }
        else
        {
            group.Load ??= load;
        }

        return true;
    }

    private static double Kg(double figure, double per) => Math.Round(figure * per, 3);

    private static bool RepMax(TokenCursor at, LineDraft draft)
    {
        var signed = at.TakeAny("@", "at", "with").Length > 0;
        at.TakeAny("~", "a", "the", "your");
        if (draft.HasDose && at.Now.Is("rm") && at.Ahead(1) is { IsWhole: true, Value: >= 2 and <= 30 })
        {
            draft.RepMax = (int)at.Ahead(1).Value; // 4x8, RM 10
            at.At += 2;
            return true;
        }

        if (!at.Now.IsWhole || at.Ahead(1) is not { Text: "rm" } || at.Now.Value is < 2 or > 30)
        {
            return false;
        }

        draft.RepMax = (int)at.Now.Value;
        at.At += 2;
        at.TakeAny("load", "weight");
        if (!signed && !draft.HasDose && at.Now.Text is "then" or "+")
        {
            // 3RM, then 3x5: it is found out first, and the rest is less.
            draft.Groups.Add(SetGroup.OfMaximum(draft.RepMax.Value));
            draft.Method = SetMethod.TopSet;
        }

        return true;
    }

    private static bool Said(TokenCursor at, LineDraft draft)
    {
        var start = at.At;
        at.TakeAny("@", "with", "at");
        if (at.TakeAny("bw", "bodyweight").Length > 0 || at.TakePhrase("body weight"))
        {
            // Bodyweight squat is a name; a load only beside or after sets and reps.
            if (at.At == start + 1 && !draft.HasDose && at.Now.Kind == TokenKind.Word)
            {
                return false;
            }

            draft.LoadWord ??= LoadWord.BodyWeight;
            if (at.Now.Is("+") && at.Ahead(1).IsNumber)
            {
                at.At++;
                return Figures.Range(at) is { } more && Added(at, draft, more);
            }

            at.TakeAny("only");
            return true;
        }

        if (at.TakeAnyPhrase("bar only", "empty bar", "just the bar", "just bar", "empty barbell", "the bar"))
        {
            draft.LoadWord ??= LoadWord.BarOnly;
            return true;
        }

        if (!draft.HasDose && at.At == start && start == 0)
        {
            return false;
        }

        if (at.TakePhrase("as heavy as possible"))
        {
            draft.LoadWord ??= LoadWord.Heavy;
            return true;
        }

        var word = at.Now.Text switch
        {
            "light" or "easy" or "lite" => LoadWord.Light,
            "moderate" or "medium" or "mod" or "moderately" => LoadWord.Moderate,
            "heavy" or "hard" or "heavyish" => LoadWord.Heavy,
            _ => (LoadWord?)null,
        };
        if (
            word is null
            || at.Ahead(1).Text is "band" or "bands" or "kb" or "db" or "dbs" or "bag" or "chain"
            || (!draft.HasDose && at.Ahead(1).Kind == TokenKind.Word)
        )
        {
            return false;
        }

        draft.LoadWord ??= word;
        at.At++;
        at.TakeAny("weight", "load", "day");
        return true;
    }

    private static bool Added(TokenCursor at, LineDraft draft, Span more)
    {
        var per = at.TakeAny("lb", "lbs", "pounds").Length > 0 ? Units.KgPerPound : 1;
        at.TakeAny("kg", "kgs", "kilos");
        draft.LoadWord = null;
        return Take(at, draft, more, per, 1, added: true);
    }
}
