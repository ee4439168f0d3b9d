using System.Collections.Immutable;
using Ingegno.Core.Clients.Health;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Progress.Progression;

namespace Ingegno.Core.Progress.FollowUp;

/// <summary>Tells who needs the coach today, and why.</summary>
public static class Attention
{
    /// <summary>Days before the end of a block on which it is said.</summary>
    private const int DaysBeforeEnd = 7;

    /// <summary>Days after which a plan that nobody logged is named.</summary>
    private const int DaysToStart = 4;

    /// <summary>Signs of danger of a client that nobody has answered, one note each.</summary>
    public static IEnumerable<AttentionNote> Alerts(IEnumerable<SafetyAlert> open) =>
        open.Select(a => new AttentionNote(AttentionKind.Alert, Reason.Of("attention.alert", ("alert", AlertWords.InBrief(a)))));

    /// <summary>Days before the end of a clearance on which it is said: time to see the clinician again.</summary>
    private const int DaysToSeeClinician = 14;

    /// <summary>What a clearance that ends, or has ended, asks of the coach.</summary>
    /// <param name="client">The client as typed.</param>
    /// <param name="today">The day for which it is asked.</param>
    public static IEnumerable<AttentionNote> Clearance(ClientProfile client, DateOnly today)
    {
        ArgumentNullException.ThrowIfNull(client);
        if (client.Screening.IsDefaultOrEmpty || client.Clearance is not { } clearance)
        {
            yield break;
        }

        var left = clearance.Ends(client.Screening).DayNumber - today.DayNumber;
        if (left <= DaysToSeeClinician)
        {
            yield return new AttentionNote(
                AttentionKind.Clearance,
                left < 0
                    ? Reason.Of("attention.clearance-ended", ("by", clearance.By))
                    : Reason.Of("attention.clearance-ends", ("by", clearance.By), ("days", left))
            );
        }
    }

    /// <summary>Reasons to look at the client of a plan, the most urgent first.</summary>
    /// <param name="pulse">What its log says; null when nothing was ever logged.</param>
    /// <param name="planVersion">Version that is current.</param>
    /// <param name="planned">Day on which the plan was last changed.</param>
    /// <param name="daysPerWeek">Training days a week.</param>
    /// <param name="blockEnds">Last day of its block; null when it has none.</param>
    /// <param name="today">The day for which it is asked.</param>
    /// <param name="drift">What has changed since the plan was made.</param>
    /// <param name="news">What the client's phone has.</param>
    public static ImmutableArray<AttentionNote> Notes(
        ActivitySummary? pulse,
        int planVersion,
        DateOnly planned,
        int daysPerWeek,
        DateOnly? blockEnds,
        DateOnly today,
        ImmutableArray<Drift> drift = default,
        ClientAppNews? news = null
    )
    {
        return [.. All().Concat(news?.Notes(today) ?? []).OrderBy(n => n.Kind)];

        IEnumerable<AttentionNote> All()
        {
            if (PlanDrift.InWords(drift) is { } changed)
            {
                yield return new AttentionNote(AttentionKind.Changed, changed);
            }

            if (blockEnds is { } end && end >= today && end.DayNumber - today.DayNumber <= DaysBeforeEnd)
            {
                yield return new AttentionNote(
                    AttentionKind.BlockEnding,
                    end == today
                        ? Reason.Of("attention.block-today")
                        : Reason.Of("attention.block", ("days", end.DayNumber - today.DayNumber))
                );
            }

            if (pulse?.LastTrained is not { } last)
            {
                if (today.DayNumber - planned.DayNumber >= DaysToStart)
                {
                    yield return new AttentionNote(
                        AttentionKind.NotStarted,
                        Reason.Of("attention.not-started", ("days", today.DayNumber - planned.DayNumber))
                    );
                }

                yield break;
            }

            var away = today.DayNumber - last.DayNumber;
            if (away >= DomainRules.Shipped.Progression.Away[0].FromDays)
            {
                yield return new AttentionNote(AttentionKind.Away, Reason.Of("attention.away", ("days", away)));
            }
            else if (away > (2 * 7.0 / Math.Max(1, daysPerWeek)) + 1)
            {
                yield return new AttentionNote(AttentionKind.Missed, Reason.Of("attention.missed", ("days", away)));
            }

            if (pulse.PlanVersion < planVersion)
            {
                yield break; // A newer version has decided what the log asked.
            }

            // One exercise on several days is named once: where it hurt.
            foreach (
                var line in pulse.Lines.Where(l =>
                    (l.Pain > DoubleProgression.TolerablePain || l.Decision is Decision.Swap or Decision.Ease)
                    && !HurtOnAnotherDay.Is(l.Reason)
                )
            )
            {
                yield return new AttentionNote(
                    AttentionKind.Pain,
                    line.Decision == Decision.Wait
                        ? Reason.Of("attention.pain-waits", ("exercise", line.Name), ("pain", line.Pain ?? 0))
                        : Said([line.Name], line.Reason)
                );
            }

            // What waits to be trained has its answer already, and who was away is not stuck.
            foreach (
                var same in pulse
                    .Lines.Where(l => l.Stalled && l.Decision is not (Decision.Swap or Decision.Ease or Decision.Wait or Decision.EaseIn))
                    .GroupBy(l => l.Reason)
            )
            {
                yield return new AttentionNote(AttentionKind.Stall, Said(same.Select(l => l.Name), same.Key));
            }

            foreach (var line in pulse.Lines.Where(l => l.Decision == Decision.CheckForm))
            {
                yield return new AttentionNote(AttentionKind.CheckForm, Said([line.Name], line.Reason));
            }

            var ready = pulse
                .Lines.Where(l =>
                    !l.Stalled && l.Decision is Decision.MoreLoad or Decision.NextRung or Decision.MoreSets or Decision.TechniqueOn
                )
                .Select(l => l.Name)
                .ToList();
            if (ready.Count > 0)
            {
                yield return new AttentionNote(AttentionKind.Ready, Reason.Of("attention.ready", ("exercises", FactList.Of(ready))));
            }
        }
    }

    /// <summary>Place of a client in the roster, the most urgent first; who needs nobody comes last.</summary>
    public static int Urgency(ImmutableArray<AttentionNote> notes) => notes.IsDefaultOrEmpty ? int.MaxValue : notes.Min(n => (int)n.Kind);

    private static Reason Said(IEnumerable<string> exercises, Reason reason) =>
        Reason.Of("attention.line", ("exercises", FactList.Of(exercises)), ("reason", reason));
}
