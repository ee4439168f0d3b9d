using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>Reads tempo in figures (3-1-1-0, 3110, 31X0, 3/1/1/0, 3-1-1); in words it is <see cref="TempoWords"/>.</summary>
internal static class TempoReader
{
    public static bool Read(TokenCursor at, LineDraft draft)
    {
        var start = at.At;
        var named = at.TakeAny("tempo", "t").Length > 0;
        if (named && at.Before.Is("t") && !at.Now.Is(":"))
        {
            return at.Back(start);
        }

        at.TakeAny(":", "=", "of");
        at.TakeAny("@");
        var bracket = at.Take("(");
        if (draft.Tempo is null && (named || !draft.Groups.Exists(g => g.LoadFirst)) && Phases(at, named, draft.HasDose) is { } tempo)
        {
            draft.Tempo = tempo;
            at.TakeAny("tempo");
            _ = bracket && at.Take(")");
            return true;
        }

        return at.Back(start) || TempoWords.Read(at, draft);
    }

    private static Tempo? Phases(TokenCursor at, bool named, bool afterDose)
    {
        var start = at.At;
        if (Joined(at, named, afterDose) is { } joined)
        {
            return joined;
        }

        at.At = start;
        var separator = at.Ahead(1).Text;
        if (separator is not ("-" or "/" or "." or ":" or ","))
        {
            return null;
        }

        var phases = new List<int?>();
        while (Phase(at, out var phase))
        {
            phases.Add(phase);
            if (phases.Count == 4 || !at.Now.Is(separator))
            {
                break;
            }

            at.At++;
        }

        var runsOn = at.Now.Is(separator) && at.Ahead(1).IsNumber;
        var three = phases.Count == 3 && (named || (afterDose && separator == "-" && phases.All(p => p is null or <= 6)));
        var four = phases.Count == 4 && (named || separator != ",") && (named || afterDose || phases.Exists(p => p is null or 0));
        return !runsOn && (three || four) ? Of(phases) : null;
    }

    private static bool Phase(TokenCursor at, out int? phase)
    {
        phase = at.Now.IsWhole ? (int)Math.Min(at.Now.Value, 1000) : null;
        if (!at.Now.IsWhole && !at.Now.Is("x"))
        {
            return false;
        }

        at.At++;
        return true;
    }

    /// <summary>3110, 31X0, 301: figures that stand together.</summary>
    private static Tempo? Joined(TokenCursor at, bool named, bool afterDose)
    {
        var text = string.Empty;
        var start = at.At;
        while (text.Length < 5 && (at.Now.IsWhole || at.Now.Is("x")) && (at.At == start || !at.Now.Spaced))
        {
            text += at.Now.Text;
            at.At++;
        }

        var crossed = text.Contains('x', StringComparison.Ordinal);
        var ends = at.Now.Kind != TokenKind.Word || at.Now.Spaced;
        var unit = at.Now.Text is "%" or "kg" or "lb" or "lbs" or "m" or "g" or "s";
        var fits = text.Length == 4 && (named || crossed || afterDose) || (text.Length == 3 && named);
        if (!fits || !ends || unit || (!named && crossed && text[0] == 'x') || text[0] == 'x' && !named)
        {
            return null;
        }

        // 30x1 would be thirty sets of one; nobody writes that. 10x10 is sets and reps.
        if (
            !named && crossed && text.IndexOf('x', StringComparison.Ordinal) != 2
            || (!named && crossed && text[0] is '1' or '0' && text.EndsWith("10", StringComparison.Ordinal))
        )
        {
            return null;
        }

        if (!named && crossed && text.Length == 4 && !afterDose)
        {
            return null;
        }

        return Of([.. text.Select(c => c == 'x' ? (int?)null : c - '0')]);
    }

    private static Tempo? Of(List<int?> phases)
    {
        if (phases.Exists(p => p > Tempo.LongestPhase))
        {
            return null;
        }

        var explosive = phases[2] is null;
        return new Tempo(phases[0] ?? 1, phases[1] ?? 0, phases[2] ?? 0, phases.Count > 3 ? phases[3] ?? 0 : 0, explosive);
    }
}
