using System.Collections.Immutable;
using Ingegno.Core.Matching;
using Ingegno.Core.Prescribing;
using Ingegno.Core.Rebuilding;

namespace Ingegno.Core.Sessions;

/// <summary>A day while it is laid out.</summary>
internal sealed class SessionDraft
{
    private readonly List<(ImmutableArray<int> Lines, string? Why)> _joined = [];

    public SessionDraft(ImmutableArray<HomeLine> lines, Trade trade)
    {
        (Lines, Trade) = (lines, trade);
        foreach (var group in lines.Where(l => l.Gym.SupersetLetter is not null).GroupBy(l => l.Gym.SupersetLetter))
        {
            _joined.Add(([.. group.Select(l => l.Gym.Line)], group.Count() > 1 ? "In turn, as in the gym plan." : null));
        }
    }

    public Trade Trade { get; }

    /// <summary>The lines in the order of the gym text.</summary>
    public ImmutableArray<HomeLine> Lines { get; private set; }

    /// <summary>Lines with a substitute that stand on their own so far.</summary>
    public IEnumerable<HomeLine> Free => Lines.Where(l => l.Chosen is not null && !_joined.Any(j => j.Lines.Contains(l.Gym.Line)));

    public void Replace(HomeLine line) => Lines = [.. Lines.Select(l => l.Gym.Line == line.Gym.Line ? line : l)];

    /// <summary>Puts lines together, in this order.</summary>
    public void Join(IEnumerable<HomeLine> lines, string why) => _joined.Add(([.. lines.Select(l => l.Gym.Line)], why));

    /// <summary>The lines by their number.</summary>
    public Dictionary<int, HomeLine> ByNumber() => Lines.ToDictionary(l => l.Gym.Line);

    /// <summary>The blocks of the day in the order of the approach.</summary>
    public ImmutableArray<SessionBlock> Blocks(Approach approach)
    {
        var ordered = LineOrder.Sort([.. Lines.Where(l => l.Chosen is not null)], approach.Order, Trade.Catalogue);
        if (approach.Pairing == PairingRule.Circuit && ordered.Length > 1)
        {
            return [Block(ordered, 0, "All lines in turn, round by round.") with { Kind = BlockKind.Circuit }];
        }

        var (blocks, done) = (ImmutableArray.CreateBuilder<SessionBlock>(), new HashSet<int>());
        foreach (var line in ordered.Where(l => !done.Contains(l.Gym.Line)))
        {
            var joined = _joined.FirstOrDefault(j => j.Lines.Contains(line.Gym.Line));
            var lines = joined.Lines.IsDefaultOrEmpty ? [line] : joined.Lines.Select(n => ordered.FirstOrDefault(l => l.Gym.Line == n)).OfType<HomeLine>().ToImmutableArray();
            done.UnionWith(lines.Select(l => l.Gym.Line));
            blocks.Add(Block(lines, blocks.Count, lines.Length > 1 ? joined.Why : null));
        }

        return blocks.ToImmutable();
    }

    private static SessionBlock Block(ImmutableArray<HomeLine> lines, int index, string? why)
    {
        var doses = lines.Select(l => l.Chosen!.Exercises[^1].Dose).ToList();
        return new SessionBlock(
            SessionBlock.KindOf(lines.Length), Label(index), [.. lines.Select(l => l.Gym.Line)], doses.Max(d => d.Sets), doses[^1].RestSeconds, why);
    }

    private static string Label(int index) => index < 26 ? ((char)('A' + index)).ToString() : $"Z{index - 25}";

    /// <summary>Minutes as they stand.</summary>
    public int Minutes(Approach approach) => SessionTime.Minutes(Blocks(approach), ByNumber());

    /// <summary>Changes the dose of a line on its own; the last of a pair carries its rest.</summary>
    public void Dose(HomeLine line, Func<Dose, Dose> change) =>
        Replace(line with { Chosen = line.Chosen! with { Exercises = [.. line.Chosen.Exercises.Select(e => e with { Dose = change(e.Dose) })] } });
}
