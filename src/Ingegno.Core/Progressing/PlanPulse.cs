using System.Collections.Immutable;
using Ingegno.Core.Catalogue;

namespace Ingegno.Core.Progressing;

/// <summary>What the log of a plan says at a glance, kept so that a roster of sixty need not read every log.</summary>
/// <param name="PlanVersion">Version for which it was worked out: a later one has decided already.</param>
/// <param name="LastTrained">Last logged day; null when nothing is logged.</param>
/// <param name="Sessions">Sessions logged.</param>
/// <param name="Lines">What is proposed of each exercise.</param>
public sealed record PlanPulse(int PlanVersion, DateOnly? LastTrained, int Sessions, ImmutableArray<PulseLine> Lines);

/// <summary>What is proposed of one exercise.</summary>
/// <param name="Name">The exercise.</param>
/// <param name="Decision">What is proposed.</param>
/// <param name="Reason">Why.</param>
/// <param name="Pain">Worst pain of its last day; null for none.</param>
/// <param name="PainJoint">Where.</param>
/// <param name="Stalled">Flat for three sessions.</param>
public sealed record PulseLine(string Name, Decision Decision, string Reason, int? Pain = null, Joint? PainJoint = null, bool Stalled = false);

/// <summary>Why a client needs the coach.</summary>
public enum AttentionKind
{
    /// <summary>Something hurts.</summary>
    Pain,

    /// <summary>No gain for three sessions.</summary>
    Stall,

    /// <summary>A week or more without training.</summary>
    Away,

    /// <summary>A session that should have been there is not.</summary>
    Missed,

    /// <summary>The form, or whether it was too easy, wants a look.</summary>
    CheckForm,

    /// <summary>A block comes to its end.</summary>
    BlockEnding,

    /// <summary>Ready for a step.</summary>
    Ready,

    /// <summary>Nothing was logged yet.</summary>
    NotStarted,
}

/// <summary>A reason to look at a client today.</summary>
/// <param name="Kind">Kind of reason; the first is the most urgent.</param>
/// <param name="Text">The reason in a sentence.</param>
public sealed record AttentionNote(AttentionKind Kind, string Text);

/// <summary>Tells who needs the coach today, and why.</summary>
public static class Attention
{
    /// <summary>Days before the end of a block on which it is said.</summary>
    private const int DaysBeforeEnd = 7;

    /// <summary>Days after which a plan that nobody logged is named.</summary>
    private const int DaysToStart = 4;

    /// <summary>Reasons to look at the client of a plan, the most urgent first.</summary>
    /// <param name="pulse">What its log says; null when nothing was ever logged.</param>
    /// <param name="planVersion">Version that is current.</param>
    /// <param name="planned">Day on which the plan was last changed.</param>
    /// <param name="daysPerWeek">Training days a week.</param>
    /// <param name="blockEnds">Last day of its block; null when it has none.</param>
    /// <param name="today">The day for which it is asked.</param>
    public static ImmutableArray<AttentionNote> Of(PlanPulse? pulse, int planVersion, DateOnly planned, int daysPerWeek, DateOnly? blockEnds, DateOnly today)
    {
        return [.. All().OrderBy(n => n.Kind)];

        IEnumerable<AttentionNote> All()
        {
            if (blockEnds is { } end && end >= today && end.DayNumber - today.DayNumber <= DaysBeforeEnd)
            {
                yield return new AttentionNote(AttentionKind.BlockEnding, end == today ? "The block ends today." : $"The block ends in {Words.Count(end.DayNumber - today.DayNumber, "day")}.");
            }

            if (pulse?.LastTrained is not { } last)
            {
                if (today.DayNumber - planned.DayNumber >= DaysToStart)
                {
                    yield return new AttentionNote(AttentionKind.NotStarted, $"Nothing logged since the plan was made {today.DayNumber - planned.DayNumber} days ago.");
                }

                yield break;
            }

            var away = today.DayNumber - last.DayNumber;
            if (away >= LineHistory.DaysOfMissedWeek)
            {
                yield return new AttentionNote(AttentionKind.Away, $"{away} days without a session: ask, and let the week be repeated a little lighter.");
            }
            else if (away > (2 * 7.0 / Math.Max(1, daysPerWeek)) + 1)
            {
                yield return new AttentionNote(AttentionKind.Missed, $"{away} days since the last session: shift the missed one.");
            }

            if (pulse.PlanVersion < planVersion)
            {
                yield break; // A newer version has decided what the log asked.
            }

            foreach (var line in pulse.Lines.Where(l => l.Pain > DoubleProgression.TolerablePain || l.Decision is Decision.Swap or Decision.Ease))
            {
                yield return new AttentionNote(AttentionKind.Pain, $"{line.Name}: {(line.Decision == Decision.Wait ? $"pain {line.Pain} of 10 last time, and what was decided then is not trained yet." : line.Reason)}");
            }

            // What waits to be trained has its answer already.
            foreach (var same in pulse.Lines.Where(l => l.Stalled && l.Decision is not (Decision.Swap or Decision.Ease or Decision.Wait)).GroupBy(l => l.Reason))
            {
                yield return new AttentionNote(AttentionKind.Stall, $"{Words.Join([.. same.Select(l => l.Name)])}: {same.Key}");
            }

            foreach (var line in pulse.Lines.Where(l => l.Decision == Decision.CheckForm))
            {
                yield return new AttentionNote(AttentionKind.CheckForm, $"{line.Name}: {line.Reason}");
            }

            var ready = pulse.Lines.Where(l => !l.Stalled && l.Decision is Decision.MoreLoad or Decision.NextRung or Decision.MoreSets or Decision.TechniqueOn).Select(l => l.Name).ToList();
            if (ready.Count > 0)
            {
                yield return new AttentionNote(AttentionKind.Ready, $"Ready for a step: {Words.Join(ready)}.");
            }
        }
    }
}
