using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Progression;

namespace Ingegno.Core.Progress.Blocks;

/// <summary>What a block has for the next session of an exercise.</summary>
/// <param name="Week">Week in which that session lies, 1 first.</param>
/// <param name="Kind">What the week is for.</param>
/// <param name="Phase">Phase that starts with it; null when none does.</param>
/// <param name="Cell">What is planned.</param>
public sealed record BlockWord(int Week, WeekKind Kind, string? Phase, BlockCell Cell);

/// <summary>
/// Lets a block have its say in the review. The log rules: pain, a return and what was too heavy come before the block; a lighter
/// week, a new phase and what the coach wrote into a cell come before a step up.
/// </summary>
public sealed class BlockGuide(BlockSetup setup, Block block, int sessionsPerWeek, BlockRules rules) : IProposalGuide
{
    /// <inheritdoc/>
    public Proposal Guide(Proposal said, ProgressionContext context, LineHistory history)
    {
        ArgumentNullException.ThrowIfNull(said);
        return For(said.Line, said.ExerciseId, history) is { } word ? Apply(said, context, word) : said;
    }

    /// <summary>What is planned for the next session of an exercise; null outside the block.</summary>
    /// <param name="line">Key of the gym line.</param>
    /// <param name="exerciseId">The home exercise.</param>
    /// <param name="history">Its log.</param>
    public BlockWord? For(LineKey line, string exerciseId, LineHistory history)
    {
        ArgumentNullException.ThrowIfNull(history);
        if (history.Days.IsEmpty)
        {
            return null;
        }

        var last = setup.WeekOf(history.Days[0].Day);
        var full = history.Days.Count(d => setup.WeekOf(d.Day) == last) >= sessionsPerWeek;
        var week = Math.Max(full ? last + 1 : last, setup.WeekOf(history.Today));
        if (
            week < 1
            || block.Weeks.FirstOrDefault(w => w.Number == week) is not { } planned
            || planned.Cell(line, exerciseId) is not { } cell
        )
        {
            return null;
        }

        return new BlockWord(week, planned.Kind, planned.PhaseStarts && week > last ? planned.Phase : null, cell);
    }

    /// <summary>The proposal as it stands within the block.</summary>
    /// <param name="said">What the log proposes.</param>
    /// <param name="context">The exercise.</param>
    /// <param name="word">What the block has.</param>
    public Proposal Apply(Proposal said, ProgressionContext context, BlockWord word)
    {
        ArgumentNullException.ThrowIfNull(said);
        ArgumentNullException.ThrowIfNull(context);
        ArgumentNullException.ThrowIfNull(word);
        var within = Explained(Shaped(said, context, word), said, word, context);
        return within with { Dose = within.Dose with { BlockWeek = setup.StartOf(word.Week) } };
    }

    /// <summary>The phase that proposals start, said once without the figures of a line; null when none does.</summary>
    public static Reason? PhaseOnce(IEnumerable<Proposal> proposals) =>
        proposals.FirstOrDefault(p => p.Decision == Decision.NewPhase)?.Reason is { } reason
            ? reason with
            {
                Facts = reason.Facts.RemoveAll(f => f.Name == "figures"),
            }
            : null;

    /// <summary>Where the log's own proposal stands, what the block had laid out for this week, and on which side of it the log is.</summary>
    private static Proposal Explained(Proposal within, Proposal said, BlockWord word, ProgressionContext context)
    {
        var (cell, dose) = (word.Cell, said.Dose);
        if (
            !ReferenceEquals(within, said)
            || said.Decision == Decision.Wait
            || (cell.Dose.Figures == dose.Figures && SameLoad.IsSame(cell.ExternalKg, said.ExternalKg))
        )
        {
            return within;
        }

        var side =
            said.ToExerciseId is not null || !SameLoad.IsSame(cell.ExternalKg, said.ExternalKg)
                ? said.ToExerciseId is not null
                    ? 0
                    : said.ExternalKg.CompareTo(cell.ExternalKg)
                : Work(dose, context).CompareTo(Work(cell.Dose, context));
        var code =
            side > 0 ? "block.ahead"
            : side < 0 ? "block.behind"
            : "block.laid-out";
        return within with { Reason = within.Reason.Then(Reason.Of(code, ("planned", InWords(cell)))) };
    }

    /// <summary>Least reps of all sets, as straight ones: what a dose asks for at the same load.</summary>
    private static double Work(Dose dose, ProgressionContext context) =>
        Math.Round(dose.Sets * (dose.Target.IsOpen ? 1 : dose.Target.Min) / context.ShareLeft(dose), 6);

    private static string InWords(BlockCell cell) =>
        cell.Dose.Figures + (cell.ExternalKg > 0 ? $" @ {Words.Number(cell.ExternalKg)} kg" : string.Empty);

    private Proposal Shaped(Proposal said, ProgressionContext context, BlockWord word)
    {
        if (said.Decision is Decision.Wait or Decision.Swap or Decision.Ease or Decision.EaseIn or Decision.CheckForm)
        {
            return said;
        }

        var back = said.Decision is Decision.StepBack or Decision.TechniqueOff;
        var home = context.Home;
        if (word.Phase is { } phase)
        {
            return As(
                Decision.NewPhase,
                Reason.Of("block.new-phase", ("week", word.Week), ("phase", phase), ("figures", word.Cell.Dose.Figures)),
                home.Dose,
                home.ExternalKg
            );
        }

        if (word.Kind != WeekKind.Build)
        {
            // What was too heavy gets lighter all the same; what would have gone up waits for the week after.
            var (dose, kg) = back ? (said.Dose, said.ExternalKg) : (home.Dose with { Zone = said.Dose.Zone }, home.ExternalKg);
            var why = Reason.Of(
                word.Kind == WeekKind.Lighter ? "block.lighter" : "block.to-event",
                ("week", word.Week),
                ("same_load", !back)
            );
            return As(Decision.Deload, back ? said.Reason.Then(why) : why, BlockShape.Shaped(dose, word.Kind, rules), kg);
        }

        if (!word.Cell.SetByCoach)
        {
            return said;
        }

        var planned = InWords(word.Cell);
        return back
            ? said with
            {
                Reason = said.Reason.Then(Reason.Of("block.had", ("planned", planned))),
            }
            : As(
                Decision.AsPlanned,
                Reason.Of("block.you-set", ("planned", planned), ("week", word.Week)),
                word.Cell.Dose,
                word.Cell.ExternalKg
            );

        Proposal As(Decision decision, Reason reason, Dose dose, double kg) =>
            said with
            {
                Decision = decision,
                Reason = reason,
                Dose = dose,
                ExternalKg = kg,
                Load = InWords(context, kg),
                ToExerciseId = null,
            };
    }

    private static string InWords(ProgressionContext context, double kg) =>
        context.Loads.Where(l => SameLoad.IsSame(l.Load.MassKg, kg)).Select(l => l.Load.InWords).FirstOrDefault()
        ?? (kg > 0 ? $"{Words.Number(kg)} kg" : string.Empty);
}
