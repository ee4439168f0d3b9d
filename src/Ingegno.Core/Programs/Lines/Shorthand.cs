using System.Collections.Immutable;
using System.Text;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.SetSchemes;

namespace Ingegno.Core.Programs.Lines;

/// <summary>Writes lines in Ingegno's own form, which <c>ShorthandParser</c> reads as the same.</summary>
public static class Shorthand
{
    /// <summary>The line in shorthand; reading it back gives the same line.</summary>
    public static string Write(GymLine line)
    {
        ArgumentNullException.ThrowIfNull(line);
        var text = new StringBuilder();
        if (line.Label is not null)
        {
            text.Append(line.Label).Append(line.Label.Length == 1 ? ". " : " ");
        }

        text.Append(line.Name).Append(' ').Append(Dose(line));
        foreach (var part in Parts(line))
        {
            text.Append(' ').Append(part);
        }

        if (line.Note is { Length: > 0 } note)
        {
            text.Append(" # ").Append(note);
        }

        return text.ToString();
    }

    /// <summary>Sets and reps alone, for instance <c>3x6 + AMRAP</c>, <c>3x10/8/6</c>, <c>1x5 @ RPE 8, 3x5 -10%</c>.</summary>
    public static string Dose(GymLine line)
    {
        ArgumentNullException.ThrowIfNull(line);
        if (line.Method == SetMethod.FiveThreeOne)
        {
            return "5/3/1"
                + (
                    line.MethodFigures is { } week ? " " + week
                    : line.LastSetOpen ? "+"
                    : string.Empty
                )
                + Wave(line.Each);
        }

        var side = line.PerSide ? "/side" : string.Empty;
        if (!line.Each.IsEmpty)
        {
            return EachSet(line, side);
        }

        if (line.Method is SetMethod.Cluster or SetMethod.RestPause && line.MethodFigures is { } small)
        {
            return $"{line.Sets}x{small}{side}";
        }

        if (line is { LastSetOpen: true, Sets: 1 })
        {
            return $"1x{Target(line)}{side}+"; // five, and more if they are there
        }

        var sets = line.LastSetOpen ? line.Sets - 1 : line.Sets;
        return $"{sets}x{Target(line)}{side}{(line.LastSetOpen ? " + AMRAP" : string.Empty)}";
    }

    /// <summary>What belongs to each set of a wave, one after the other: <c> @ 75/85/95%</c>, <c> @ 100/120/140 kg</c>, <c> @ RPE 7/8/9</c>.</summary>
    private static string Wave(ImmutableArray<PlannedSet> each)
    {
        string Each(Func<PlannedSet, double?> figure, int digits) =>
            string.Join('/', each.Select(s => Words.Number(figure(s) ?? 0, digits)));
        return each.Any(s => s.ShareOfMax is not null) ? $" @ {Each(s => s.ShareOfMax * 100, 2)}%"
            : !each.IsEmpty && each.All(s => s.Load is { Pounds: true }) ? $" @ {Each(s => s.Load?.Kg / Units.KgPerPound, 1)} lb"
            : each.Any(s => s.Load is not null) ? $" @ {Each(s => s.Load?.Kg, 3)} kg"
            : each.Any(s => s.Rpe is not null) ? $" @ RPE {Each(s => s.Rpe, 2)}"
            : each.Any(s => s.Rir is not null) ? $" RIR {Each(s => s.Rir, 0)}"
            : string.Empty;
    }

    /// <summary>All that stands behind the dose: effort, load, tempo, rest, method.</summary>
    public static string Details(GymLine line)
    {
        ArgumentNullException.ThrowIfNull(line);
        return string.Join(' ', Parts(line));
    }

    /// <summary>The load as written: <c>2x10 kg</c>.</summary>
    public static string LoadInWords(PlannedLoad load)
    {
        ArgumentNullException.ThrowIfNull(load);
        string Figure(double kg) => load.Pounds ? Words.Number(kg / Units.KgPerPound, 1) : Words.Number(kg, 3);
        return (load.Added ? "+" : string.Empty)
            + (load.Pieces > 1 ? load.Pieces + "x" : string.Empty)
            + Figure(load.Kg)
            + (load.ToKg is { } to ? "-" + Figure(to) : string.Empty)
            + (load.Pounds ? " lb" : " kg")
            + (load.InAll ? " total" : string.Empty);
    }

    /// <summary>A range or figure of effort: <c>7-8</c>.</summary>
    public static string Span(double from, double? to) =>
        Words.Number(from, 2) + (to is { } upper ? "-" + Words.Number(upper, 2) : string.Empty);

    private static IEnumerable<string> Parts(GymLine line) => PartsOf(line).Select(p => p.Text);

    /// <summary>What stands behind the dose, part by part, with the field that each is.</summary>
    internal static IEnumerable<(LineField Field, string Text)> PartsOf(GymLine line)
    {
        if (line.ShareOfMax is { } share)
        {
            yield return (LineField.Effort, $"@ {Span(share * 100, line.ShareOfMaxTo * 100)}%");
        }

        if (line.Rpe is { } rpe)
        {
            yield return (LineField.Effort, $"@ RPE {Span(rpe, line.RpeTo)}");
        }

        if (line.Rir is { } rir)
        {
            yield return (LineField.Effort, $"RIR {Span(rir, line.RirTo)}");
        }

        if (line.RepMax is { } most)
        {
            yield return (LineField.Load, $"{most}RM");
        }

        if (line.Load is { } load)
        {
            yield return (LineField.Load, (load.Added ? string.Empty : "@ ") + LoadInWords(load));
        }

        if (line.LoadWord is { } word)
        {
            yield return (LineField.Load, InWords(word));
        }

        if (line.Tempo is { } tempo)
        {
            yield return (LineField.Tempo, tempo.ToString());
        }

        if (line.RestSeconds is { } rest)
        {
            yield return (LineField.Rest, $"{Span(rest, line.RestTo)} s rest");
        }

        if (line.Method is { } method && InWords(method, line.MethodFigures) is { } named)
        {
            yield return (LineField.Method, named);
        }
    }

    /// <summary>A load in a word, as it is written and read.</summary>
    public static string InWords(LoadWord word) =>
        word switch
        {
            LoadWord.BodyWeight => "bodyweight",
            LoadWord.BarOnly => "bar only",
            _ => Words.Of(word),
        };

    /// <summary>The method as it is written and read; null where the sets say it.</summary>
    public static string? InWords(SetMethod method, string? figures) =>
        method switch
        {
            SetMethod.FiveThreeOne or SetMethod.TwentyOnes => null,
            SetMethod.TopSet => "top set",
            SetMethod.DropSet => "drop set",
            SetMethod.RestPause => "rest-pause",
            SetMethod.MyoReps => "myo-reps",
            SetMethod.Emom => figures is null ? "EMOM" : $"every {figures}",
            SetMethod.Density => figures is null ? "density"
            : figures.EndsWith("reps", StringComparison.Ordinal) ? figures.Replace("reps", "total reps", StringComparison.Ordinal)
            : $"density {figures}",
            _ => Words.Of(method),
        };

    private static string EachSet(GymLine line, string side)
    {
        var plain =
            line.Each.Zip(line.Each.Skip(1)).All(p => p.First != p.Second)
            && line.Each.All(s =>
                s with { Target = line.Each[0].Target } == new PlannedSet(line.Each[0].Target)
                && s.Target.Min == s.Target.Max
                && !s.Target.IsOpen
            );
        if (plain)
        {
            return $"{line.Sets}x{string.Join('/', line.Each.Select(s => s.Target.Min))}{(line.LastSetOpen ? "+" : string.Empty)}{(line.Timed ? " s" : string.Empty)}{side}";
        }

        // Sets that are alike stand together.
        var groups = new List<(PlannedSet Set, int Count)>();
        foreach (var set in line.Each)
        {
            if (groups.Count > 0 && groups[^1].Set == set)
            {
                groups[^1] = (set, groups[^1].Count + 1);
            }
            else
            {
                groups.Add((set, 1));
            }
        }

        return string.Join(
            ", ",
            groups.Select(
                (g, i) =>
                    $"{g.Count}x{Target(g.Set.Target, line)}{(line.LastSetOpen && i == groups.Count - 1 ? "+" : string.Empty)}{side}{Own(g.Set)}"
            )
        );
    }

    private static string Own(PlannedSet set) =>
        (set.ShareOfMax is { } share ? $" @ {Words.Number(share * 100, 2)}%" : string.Empty)
        + (set.ShareOfTop is { } left ? $" -{Words.Number((1 - left) * 100, 2)}%" : string.Empty)
        + (set.Rpe is { } rpe ? $" @ RPE {Words.Number(rpe, 2)}" : string.Empty)
        + (set.Rir is { } rir ? $" RIR {rir}" : string.Empty)
        + (set.Load is { } load ? $" @ {LoadInWords(load)}" : string.Empty);

    private static string Target(GymLine line) =>
        line.Metres is { } metres && !line.Target.IsOpen ? metres.Written + " m" : Target(line.Target, line);

    private static string Target(SetTarget target, GymLine line) => line.Timed && !target.IsOpen ? target.Written + " s" : target.Written;
}
