using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Rebuilding.Days;

/// <summary>A day while it is laid out.</summary>
internal sealed class SessionDraft
{
    private readonly List<(ImmutableArray<LineKey> Lines, Reason? Why)> _joined = [];

    private readonly int? _limit;

    public SessionDraft(ImmutableArray<HomeLine> lines, DomainRules domain, int? limit)
    {
        (Lines, DomainRules, _limit) = (lines, domain, limit);
        foreach (var group in lines.Where(l => l.Gym.SupersetLetter is not null).GroupBy(l => l.Gym.SupersetLetter))
        {
            _joined.Add(([.. group.Select(l => l.Gym.Key)], group.Count() > 1 ? Reason.Of("group.gym") : null));
        }
    }

    public DomainRules DomainRules { get; }

    /// <summary>The lines in the order of the gym text.</summary>
    public ImmutableArray<HomeLine> Lines { get; private set; }

    /// <summary>Lines with a substitute that stand on their own so far.</summary>
    public IEnumerable<HomeLine> Free => Lines.Where(l => l.Chosen is not null && !_joined.Any(j => j.Lines.Contains(l.Gym.Key)));

    public void Replace(HomeLine line) => Lines = [.. Lines.Select(l => l.Gym.Key == line.Gym.Key ? line : l)];

    /// <summary>Puts lines together, in this order.</summary>
    public void Join(IEnumerable<HomeLine> lines, Reason why) => _joined.Add(([.. lines.Select(l => l.Gym.Key)], why));

    /// <summary>The lines by their key.</summary>
    public Dictionary<LineKey, HomeLine> ByKey() => Lines.ToDictionary(l => l.Gym.Key);

    /// <summary>The groups of the day in the order of the approach.</summary>
    public ImmutableArray<RoundGroup> Groups(Approach approach)
    {
        var ordered = LineOrder.Sort([.. Lines.Where(l => l.Chosen is not null)], approach.Order, DomainRules.Catalogue);
        if (approach.Pairing == PairingRule.Circuit && ordered.Length > 1)
        {
            return [Group(ordered, 0, Reason.Of("group.circuit")) with { Kind = RoundKind.Circuit }];
        }

        var (groups, done) = (ImmutableArray.CreateBuilder<RoundGroup>(), new HashSet<LineKey>());
        foreach (var line in ordered.Where(l => !done.Contains(l.Gym.Key)))
        {
            var joined = _joined.FirstOrDefault(j => j.Lines.Contains(line.Gym.Key));
            var lines = joined.Lines.IsDefaultOrEmpty
                ? [line]
                : joined.Lines.Select(n => ordered.FirstOrDefault(l => l.Gym.Key == n)).OfType<HomeLine>().ToImmutableArray();
            done.UnionWith(lines.Select(l => l.Gym.Key));
            groups.Add(Group(lines, groups.Count, lines.Length > 1 ? joined.Why : null));
        }

        return groups.ToImmutable();
    }

    private static RoundGroup Group(ImmutableArray<HomeLine> lines, int index, Reason? why)
    {
        var doses = lines.Select(l => l.Chosen!.Exercises[^1].Dose).ToList();
        return new RoundGroup(
            RoundGroup.KindOf(lines.Length),
            Label(index),
            [.. lines.Select(l => l.Gym.Key)],
            doses.Max(d => d.Sets),
            doses[^1].RestSeconds,
            why
        );
    }

    private static string Label(int index) => index < 26 ? ((char)('A' + index)).ToString() : $"Z{index - 25}";

    /// <summary>Minutes as they stand.</summary>
    public int Minutes(Approach approach) => new SessionTime(DomainRules.Session).Minutes(Groups(approach), ByKey(), _limit);

    /// <summary>Changes the dose of a line on its own; the last of a pair carries its rest.</summary>
    public void Dose(HomeLine line, Func<Dose, Dose> change) => Dose(line, home => change(home.Dose));

    /// <summary>Changes the dose of a line by what is known of each of its exercises.</summary>
    public void Dose(HomeLine line, Func<HomeExercise, Dose> change) =>
        Replace(
            line with
            {
                Chosen = line.Chosen! with { Exercises = [.. line.Chosen.Exercises.Select(e => e with { Dose = change(e) })] },
            }
        );
}
