using System.Collections.Immutable;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Ladders;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Progress.Progression;

/// <summary>
/// Double progression inside the rep zone, in the order of the trade (docs/domain/progression, common practice): more load if
/// there is a next one, else a rep more, else a set more, else a harder variation, else a slower tempo. Pain comes
/// before everything.
/// </summary>
public static class DoubleProgression
{
    /// <summary>Pain up to here goes on as planned.</summary>
    public const int TolerablePain = 2;

    /// <summary>Pain from here on stops the exercise.</summary>
    public const int StoppingPain = 5;

    /// <summary>More in reserve than planned from which a line was too easy.</summary>
    private const double TooMuchInReserve = 1.5;

    /// <summary>Reps above what was expected from which somebody should look, as a factor.</summary>
    private const double FarAboveExpected = 1.4;

    private const int ZoneWidth = 4;

    /// <summary>The proposal for the next session after one logged session.</summary>
    public static Proposal Next(LineKey line, ProgressionContext context, ImmutableArray<LoggedSet> sets) =>
        Next(line, context, new LineHistory(sets.IsDefaultOrEmpty ? [] : [new LineDay(default, sets, null)], default, null));

    /// <summary>The proposal for the next session from all that was logged.</summary>
    public static Proposal Next(LineKey line, ProgressionContext context, LineHistory history)
    {
        ArgumentNullException.ThrowIfNull(context);
        ArgumentNullException.ThrowIfNull(history);
        var sets = history.Days.IsEmpty ? [] : history.Days[0].Sets;
        var say = new ProposalWriter(line, context, sets);
        if (sets.IsEmpty)
        {
            return say.Keep(Decision.Wait, Reason.Of("next.wait"));
        }

        if (context.Home.Dose.DecidedAfter is { } decided && history.Days[0].Day <= decided)
        {
            return say.Keep(Decision.Wait, Reason.Of("next.decided"));
        }

        return Pain(say, context, history)
            ?? LeftOutForPain(say, sets)
            ?? Away(say, context, history)
            ?? new HarderSteps(say).Resume()
            ?? Form(say, context, history)
            ?? Eased(Asked(Effort(say, context, history, sets), say), say);
    }

    /// <summary>Half the sets at the same load, for the given reason.</summary>
    public static Proposal Deload(LineKey line, ProgressionContext context, LineHistory history, Reason reason)
    {
        ArgumentNullException.ThrowIfNull(context);
        ArgumentNullException.ThrowIfNull(history);
        return new EasierSteps(new ProposalWriter(line, context, history.Days.IsEmpty ? [] : history.Days[0].Sets)).Deload(reason);
    }

    /// <summary>What hurt on a day, how much and where.</summary>
    internal static Reason PainOf(LineDay day)
    {
        var worst = day.Worst;
        List<Fact> facts = [("sharp", worst?.Sharp == true)];
        if (worst?.Pain is { } pain)
        {
            facts.Add(("pain", pain));
        }

        if (worst?.PainJoint is { } joint)
        {
            facts.Add(("joint", Term.For(joint)));
        }

        return new Reason("pain.what", [.. facts]);
    }

    private static Proposal? Pain(ProposalWriter say, ProgressionContext context, LineHistory history)
    {
        if (history.Days[0].Worst is not { } worst || (worst.PainCounted is not > TolerablePain && !worst.Sharp))
        {
            return null;
        }

        var what = PainOf(history.Days[0]);
        var twice = history.HurtTwice is { } again ? Reason.Of("pain.twice", ("joint", Term.For(again))) : null;
        if (worst.Pain >= StoppingPain || worst.Sharp || history.PainRises)
        {
            return say.Keep(
                Decision.Swap,
                Reason.Of("pain.stop", ("what", what), ("rising", history.PainRises)).Then(twice ?? Reason.Of("pain.if-back")),
                flag: true
            ) with
            {
                Joint = worst.PainJoint,
            };
        }

        Fact[] easier = context.Easier is { } e ? [("easier", e.Name)] : [];
        var ease = Reason.Of("pain.ease", [("what", what), .. easier, ("limit", TolerablePain + 1)]);
        return new EasierSteps(say).Lighter(Decision.Ease, ease.Then(twice), flag: true);
    }

    /// <summary>It was left out because something hurt a little: once more, lighter.</summary>
    private static Proposal? LeftOutForPain(ProposalWriter say, ImmutableArray<LoggedSet> sets) =>
        sets.All(s => s.Reps == 0) && sets.Any(s => s.Pain > 0)
            ? new EasierSteps(say).Lighter(Decision.Ease, Reason.Of("next.left-out-pain"), flag: true)
            : null;

    /// <summary>Back after a week or more: no guilt, the week again lighter by the time that passed.</summary>
    private static Proposal? Away(ProposalWriter say, ProgressionContext context, LineHistory history) =>
        context.Rules.After(history.DaysAway) is { } away
            ? new EasierSteps(say).EaseIn(
                away,
                Reason.Of(
                    "next.ease-in",
                    ("days", history.DaysAway),
                    ("share", Quantity.Percent(away.Share)),
                    ("sets_less", away.SetsLess),
                    ("anew", away.Calibrate && context.MayFindAnew)
                )
            )
            : null;

    /// <summary>Far more reps than anybody expected, for the first time: either it was too easy, or the form slipped.</summary>
    private static Proposal? Form(ProposalWriter say, ProgressionContext context, LineHistory history)
    {
        if (context.Home.Expected is not { } expected || context.Home.Dose.Timed || history.Days.Length > 1)
        {
            return null;
        }

        var most = history.Days[0].Sets.Max(s => s.Reps);
        return most > expected.High * FarAboveExpected && most > Zone(context.Home.Dose).Top + 3
            ? say.Keep(Decision.CheckForm, Reason.Of("next.check-form", ("reps", most), ("expected", expected.InWords)), flag: true)
            : null;
    }

    /// <summary>
    /// Too hard is solved by easing, not by shrinking: where the best set has less than half of what the line wants and nothing here is
    /// lighter, another exercise is asked for. What the log would propose stands where none serves.
    /// </summary>
    private static Proposal Eased(Proposal said, ProposalWriter say) =>
        say.Dose is { Timed: false, Zone: { IsOpen: false } zone }
        && say.Sets.Max(s => s.Reps) * 2 < zone.Min
        && said.ToExerciseId is null
        && said.Decision is not (Decision.TechniqueOff or Decision.MoreLoad)
        && SameLoad.IsSame(said.ExternalKg, say.Here.Load.MassKg)
            ? say.Make(
                Decision.Change,
                Reason.Of("ease.change", ("most", say.Count(say.Sets.Max(s => s.Reps))), ("wanted", zone.Min)),
                say.Dose,
                flag: true
            ) with
            {
                Eases = true,
                Otherwise = said,
            }
            : said;

    /// <summary>Where nobody noted how hard it was, what is raised says that it was not asked.</summary>
    private static Proposal Asked(Proposal said, ProposalWriter say) =>
        say.EffortNoted
        || say.Dose.Rir == 0
        || said.Decision is not (Decision.MoreLoad or Decision.MoreSets or Decision.NextRung or Decision.TechniqueOn)
            ? said
            : said with
            {
                Reason = said.Reason.Then(Reason.Of("next.effort-not-noted")),
            };

    private static Proposal Effort(ProposalWriter say, ProgressionContext context, LineHistory history, ImmutableArray<LoggedSet> sets)
    {
        var (easier, harder) = (new EasierSteps(say), new HarderSteps(say));
        var dose = context.Home.Dose;
        var (bottom, top) = Zone(dose);
        if (sets.Length < dose.Sets)
        {
            return say.Keep(Decision.Repeat, Reason.Of("next.finish-sets", ("done", sets.Length), ("sets", dose.Sets)));
        }

        // The open last set is a test, not part of the zone.
        var working = dose.LastSetOpen ? sets.RemoveAt(sets.Length - 1) : sets;
        var reps = working.Select(s => s.Reps).DefaultIfEmpty(sets[0].Reps).ToList();
        var (fewest, most) = (reps.Min(), reps.Max());

        // The last sets always come closer to failure than the first: the mean tells how hard the line was.
        var reserve = working.Where(s => s.Rir is not null).Select(s => (double)s.Rir!.Value).DefaultIfEmpty(dose.Rir).Average();

        // Reps clearly left over count as done in part: too easy is as much a finding as too hard, but a guess of many is a poor one, and what
        // the first set had left the last has not.
        var over = reserve - dose.Rir;
        int WithSpare(LoggedSet set) => set.Reps + (int)(Math.Max(0, (set.Rir ?? dose.Rir) - dose.Rir) * context.Rules.FarOff.Trust);
        var able = over >= TooMuchInReserve ? working.Select(WithSpare).DefaultIfEmpty(fewest).Min() : fewest;
        if (able < bottom && most < bottom && bottom - fewest >= 2)
        {
            return easier.TechniqueOff(most, fewest)
                ?? easier.TooHeavy(most, fewest, Reason.Of("next.too-heavy", ("most", say.Count(most)), ("wanted", bottom)));
        }

        if (fewest < bottom && able >= bottom && able < top)
        {
            return say.Keep(
                Decision.Repeat,
                Reason.Of("next.stopped-early", ("fewest", say.Count(fewest)), ("left", working.Min(s => s.Rir ?? 0)), ("wanted", bottom))
            );
        }

        if (fewest < bottom && able < bottom)
        {
            var short_ = Reason.Of("short.hardest", ("fewest", say.Count(fewest)), ("wanted", bottom));
            var fellOff = bottom - fewest >= 2;
            return history.Stalled
                ? easier.TooHeavy(most, fewest, Reason.Of("next.stalled", ("sessions", LineHistory.SessionsOfStall), ("short", short_)))
                : (fellOff ? easier.LongerRest(fewest, short_) : null) ?? easier.Again(fewest, short_, fellOff, history.ShortAgain);
        }

        if (reserve + 1 < dose.Rir)
        {
            return harder.Unstick(history, Reason.Of("done.nothing-to-spare"))
                ?? say.Keep(
                    Decision.Repeat,
                    Reason.Of("next.until-easier", ("reserve", Math.Round(reserve, 1, MidpointRounding.AwayFromZero)), ("rir", dose.Rir))
                );
        }

        var spare = working.All(s => s.Rir is null || s.Rir >= Math.Max(1, dose.Rir));
        return able >= top
            ? harder.Raise(able, over)
            : harder.Unstick(history, Reason.Of("done.all")) ?? harder.Reps(Math.Min(able + 1, top), most, spare);
    }

    /// <summary>The rep zone: up to the standard of the step where there is one; the prescribed range, or four reps up from a single
    /// figure; for the bottom of a moved target, the target.</summary>
    private static (int Bottom, int Top) Zone(Dose dose) =>
        dose is { Standard: { } standard, Target.IsOpen: false } ? (Math.Min(dose.Target.Min, standard), standard)
        : dose.Zone is { IsOpen: false } zone && !dose.Target.IsOpen
            ? (Math.Min(dose.Target.Min, Wide(dose, zone).Top), Wide(dose, zone).Top)
        : Wide(dose, dose.Target);

    /// <summary>Reps of every set that fill the zone.</summary>
    internal static int Top(Dose dose) => Zone(dose).Top;

    /// <summary>More than a scheme has time for is no goal.</summary>
    private static int WithinScheme(Dose dose, int top) =>
        dose.Scheme?.MostReps(SetSchemeChoice.SecondsPerRep(dose)) is { } most ? Math.Max(dose.Target.Max, Math.Min(top, most)) : top;

    private static (int Bottom, int Top) Wide(Dose dose, SetTarget target) =>
        target switch
        {
            { IsOpen: true } => (1, DosePrescriber.MostUsefulReps),
            var t when dose.Timed => (t.Min, Math.Max(t.Max, 60)),
            var t when t.Max > t.Min => (t.Min, t.Max),
            var t => (t.Min, WithinScheme(dose, Math.Max(t.Max, Math.Min(t.Min + ZoneWidth, DosePrescriber.MostUsefulReps)))), // past thirty more stop helping
        };
}
