using Ingegno.Core.Prescribing;

namespace Ingegno.Core.Progressing.Blocks;

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
public sealed class BlockGuide(BlockSetup setup, Block block, int sessionsPerWeek, BlockRules rules)
{
    /// <summary>What is planned for the next session of an exercise; null outside the block.</summary>
    /// <param name="line">Line of the gym text.</param>
    /// <param name="exerciseId">The home exercise.</param>
    /// <param name="history">Its log.</param>
    public BlockWord? For(int line, string exerciseId, LineHistory history)
    {
        ArgumentNullException.ThrowIfNull(history);
        if (history.Days.IsEmpty)
        {
            return null;
        }

        var last = setup.WeekOf(history.Days[0].Day);
        var full = history.Days.Count(d => setup.WeekOf(d.Day) == last) >= sessionsPerWeek;
        var week = Math.Max(full ? last + 1 : last, setup.WeekOf(history.Today));
        if (week < 1 || block.Weeks.FirstOrDefault(w => w.Number == week) is not { } planned || planned.Cell(line, exerciseId) is not { } cell)
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
        var within = Shaped(said, context, word);
        return within with { Dose = within.Dose with { BlockWeek = setup.StartOf(word.Week) } };
    }

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
            return As(Decision.NewPhase, $"Week {word.Week} starts {phase}: {word.Cell.Dose.Figures}. Take the week in the block when all of this one is trained.", home.Dose, home.ExternalKg);
        }

        if (word.Kind != WeekKind.Build)
        {
            // What was too heavy gets lighter all the same; what would have gone up waits for the week after.
            var (dose, kg) = back ? (said.Dose, said.ExternalKg) : (home.Dose with { Zone = said.Dose.Zone }, home.ExternalKg);
            var why = word.Kind == WeekKind.Lighter ? $"Week {word.Week} of the block is a lighter one: half the sets" : $"Week {word.Week} leads up to the event: fewer sets, nothing to failure";
            return As(Decision.Deload, back ? $"{said.Reason} {why}." : $"{why}, the same load.", BlockShape.Shaped(dose, word.Kind, rules), kg);
        }

        if (!word.Cell.SetByCoach)
        {
            return said;
        }

        var planned = word.Cell.Dose.Figures + (word.Cell.ExternalKg > 0 ? $" @ {Words.Number(word.Cell.ExternalKg)} kg" : string.Empty);
        return back
            ? said with { Reason = $"{said.Reason} The block had {planned}." }
            : As(Decision.AsPlanned, $"You set {planned} for week {word.Week} of the block.", word.Cell.Dose, word.Cell.ExternalKg);

        Proposal As(Decision decision, string reason, Dose dose, double kg) =>
            said with { Decision = decision, Reason = reason, Dose = dose, ExternalKg = kg, Load = InWords(context, kg), ToExerciseId = null };
    }

    private static string InWords(ProgressionContext context, double kg) =>
        context.Loads.Where(l => Math.Abs(l.Load.MassKg - kg) < 0.15).Select(l => l.Load.InWords).FirstOrDefault() ?? (kg > 0 ? $"{Words.Number(kg)} kg" : string.Empty);
}
