using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Progress.Progression;

namespace Ingegno.Core.Progress.Blocks;

/// <summary>Proposes the weeks of a block, and tells what each is for.</summary>
public static class BlockShape
{
    /// <summary>
    /// A block as the approach has it: its phases by their shares, the last week lighter. With an event it ends with the week of the
    /// event where that is possible, and those weeks take the place of the lighter one.
    /// </summary>
    /// <param name="approach">Approach of the plan.</param>
    /// <param name="rules">How blocks are shaped.</param>
    /// <param name="starts">First day.</param>
    /// <param name="weeks">Weeks; null to take what is usual.</param>
    /// <param name="eventOn">Day of an event; null for none.</param>
    public static BlockSetup Propose(Approach approach, BlockRules rules, DateOnly starts, int? weeks = null, DateOnly? eventOn = null)
    {
        ArgumentNullException.ThrowIfNull(approach);
        ArgumentNullException.ThrowIfNull(rules);
        var toEvent = eventOn is { } day && day >= starts ? 1 + ((day.DayNumber - starts.DayNumber) / 7) : (int?)null;
        var length = rules.Weeks.Clamp(weeks ?? toEvent ?? rules.UsualWeeks);
        var shaped = toEvent <= length + 1;
        return new BlockSetup
        {
            Starts = starts,
            Phases = Phases(approach, length, light: shaped ? 0 : 1),
            LighterWeeks = shaped ? [] : [length],
            EventOn = eventOn,
        };
    }

    /// <summary>Weeks of each phase by its share, largest remainder first; the lighter week at the end belongs to the last.</summary>
    private static ImmutableArray<BlockPhase> Phases(Approach approach, int weeks, int light)
    {
        if (approach.Phases.IsDefaultOrEmpty)
        {
            return [new BlockPhase(approach.Name, weeks, approach.Id)];
        }

        var phases = approach.Phases;
        var (work, sum) = (weeks - light, phases.Sum(p => p.Share));
        var due = phases.Select(p => work * p.Share / sum).ToList();
        var given = due.Select(d => (int)Math.Floor(d)).ToArray();
        foreach (
            var at in Enumerable.Range(0, given.Length).OrderByDescending(i => due[i] - given[i]).ThenBy(i => i).Take(work - given.Sum())
        )
        {
            given[at]++;
        }

        given[^1] += light;
        return [.. phases.Select((p, i) => new BlockPhase(p.Name, given[i], approach.Id, p.Name)).Where(p => p.Weeks > 0)];
    }

    /// <summary>What a week is for: the weeks up to an event first, then those the coach made lighter, and the one after an
    /// event.</summary>
    public static WeekKind KindOf(BlockSetup setup, int week)
    {
        ArgumentNullException.ThrowIfNull(setup);
        return WeeksToEvent(setup, week) switch
        {
            0 => WeekKind.Event,
            1 => WeekKind.Taper,
            -1 => WeekKind.Lighter,
            _ => setup.LighterWeeks.Contains(week) ? WeekKind.Lighter : WeekKind.Build,
        };
    }

    /// <summary>Whole weeks from a week to that of the event, below 0 after it; null without one.</summary>
    public static int? WeeksToEvent(BlockSetup setup, int week)
    {
        ArgumentNullException.ThrowIfNull(setup);
        return setup.EventOn is { } day ? setup.WeekOf(day) - week : null;
    }

    /// <summary>The dose as a week of that kind has it.</summary>
    public static Dose Shaped(Dose dose, WeekKind kind, BlockRules rules)
    {
        ArgumentNullException.ThrowIfNull(rules);
        return kind switch
        {
            WeekKind.Lighter => LighterWeek.Half(dose),
            WeekKind.Taper => LighterWeek.Lighten(dose, rules.Taper.First(t => t.WeeksBefore == 1)),
            WeekKind.Event => LighterWeek.Lighten(dose, rules.Taper.First(t => t.WeeksBefore == 0)),
            _ => dose,
        };
    }

    /// <summary>What is wrong with a set-up, in sentences; empty when nothing is.</summary>
    public static ImmutableArray<Reason> Faults(BlockSetup setup, BlockRules rules, DomainRules domain)
    {
        ArgumentNullException.ThrowIfNull(setup);
        ArgumentNullException.ThrowIfNull(rules);
        ArgumentNullException.ThrowIfNull(domain);
        return [.. All()];

        IEnumerable<Reason> All()
        {
            if (setup.Phases.IsDefaultOrEmpty || setup.Phases.Any(p => p is not { Name.Length: > 0 and <= 60, Weeks: >= 1 }))
            {
                yield return Reason.Of("block.bad-phases");
                yield break;
            }

            if (setup.Weeks < rules.Weeks.Min || setup.Weeks > rules.Weeks.Max)
            {
                yield return Reason.Of("block.weeks", ("least", rules.Weeks.Min), ("most", rules.Weeks.Max), ("weeks", setup.Weeks));
            }

            foreach (var phase in setup.Phases.Where(p => p.Approach is not null))
            {
                if (domain.Approaches.FirstOrDefault(a => a.Id == phase.Approach) is not { } approach)
                {
                    yield return Reason.Of("block.no-approach", ("approach", phase.Approach!));
                }
                else if (phase.Phase is not null && approach.Phases.All(p => p.Name != phase.Phase))
                {
                    yield return Reason.Of("block.no-phase", ("approach", approach.Name), ("phase", phase.Phase));
                }
            }

            if (setup.LighterWeeks.IsDefault || setup.LighterWeeks.Any(w => w < 1 || w > setup.Weeks))
            {
                yield return Reason.Of("block.lighter-weeks", ("weeks", setup.Weeks));
            }

            if (setup.EventOn < setup.Starts)
            {
                yield return Reason.Of("block.event-before");
            }

            if (setup.EventName is { Length: > 60 })
            {
                yield return Reason.Of("block.event-name");
            }

            if (
                setup.Edits.IsDefault
                || setup.Edits.Length > 500
                || setup.Edits.Any(e => e?.Figures is null || e.Week < 1 || e.Week > rules.Weeks.Max)
            )
            {
                yield return Reason.Of("block.edits", ("weeks", rules.Weeks.Max));
            }
        }
    }

    /// <summary>Farthest start ahead, days.</summary>
    private const int FarthestStart = 366;

    /// <summary>What is wrong with a block that is to be kept, and in which part; null when nothing is.</summary>
    /// <param name="setup">The block.</param>
    /// <param name="before">The block as it stands; null for a new one. What is past cannot be moved.</param>
    /// <param name="today">The day for which it is asked.</param>
    /// <param name="rules">How blocks are shaped.</param>
    /// <param name="domain">The domain rules, for its approaches.</param>
    public static (string Part, Reason Fault)? Fault(
        BlockSetup setup,
        BlockSetup? before,
        DateOnly today,
        BlockRules rules,
        DomainRules domain
    )
    {
        ArgumentNullException.ThrowIfNull(setup);
        var begun = before is not null && before.Starts <= today ? before : null;
        return begun is null && setup.Starts.DayNumber - today.DayNumber is <= -7 or > FarthestStart ? ("starts", Reason.Of("block.starts"))
            : begun is not null && setup.Starts != begun.Starts ? ("starts", Reason.Of("block.has-begun"))
            : Faults(setup, rules, domain) is [var first, ..] ? ("setup", first)
            : begun is not null && setup.Weeks < Math.Min(begun.WeekOf(today), begun.Weeks)
                ? ("phases", Reason.Of("block.week-runs", ("week", begun.WeekOf(today))))
            : null;
    }

    /// <summary>The block with other phases: a lighter week that was the last one stays the last one.</summary>
    public static BlockSetup WithPhases(BlockSetup setup, ImmutableArray<BlockPhase> phases)
    {
        ArgumentNullException.ThrowIfNull(setup);
        var changed = setup with { Phases = phases };
        return changed with
        {
            LighterWeeks =
            [
                .. setup.LighterWeeks.Select(w => w == setup.Weeks ? changed.Weeks : w).Where(w => w <= changed.Weeks).Distinct(),
            ],
        };
    }
}
