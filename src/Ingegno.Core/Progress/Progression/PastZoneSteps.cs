using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Progress.Progression;

/// <summary>What is left once the zone is full and neither load, sets, variation nor tempo lead on: reps past it, shorter rests, another exercise.</summary>
internal sealed class PastZoneSteps(ProposalWriter say)
{
    /// <summary>Reps past a full zone come by so many.</summary>
    public const int Step = 2;

    /// <summary>Rests are cut to here and no further: below it sets become conditioning (docs/domain/prescription: muscle 1–2
    /// min).</summary>
    private const int ShortestRest = 60;

    private readonly TempoSteps _tempo = new(say);

    /// <summary>
    /// Nothing can be made harder by load, variation or tempo: reps past the zone, up to where more stop helping. Where they do not fit
    /// the minutes or help no longer, sets with much to spare get a shorter rest, or are done one fewer: hard sets count, not many sets.
    /// </summary>
    public Proposal MoreThanZone(int reps, double over)
    {
        if (ShortPastZone(reps) is { } again)
        {
            return again;
        }

        var bearable = Math.Max(say.Dose.Target.Max, Math.Min(say.MostReps, _tempo.Longest(say.Dose)) - Step);
        var more = say.Dose with { Target = PastZone(Math.Min(reps, bearable), Math.Min(reps, bearable) + Step) };
        var longer = reps < say.MostReps && !say.Dose.Timed && say.Context.Bears(more);
        if (longer && say.Context.Fits(more))
        {
            return say.Make(Decision.MoreReps, Reason.Of("past-zone.reps"), more);
        }

        if (!longer && _tempo.Faster(reps) is { } faster)
        {
            return faster;
        }

        return FarTooEasy(over) && !say.Dose.Timed
            ? say.Make(Decision.Change, Reason.Of("past-zone.change"), say.Dose, flag: true) with
            {
                Otherwise = WithoutChange(more, longer, over),
            }
            : WithoutChange(more, longer, over);
    }

    /// <summary>What is left where no other exercise serves: a shorter rest, or one set fewer with more reps.</summary>
    private Proposal WithoutChange(Dose more, bool longer, double over)
    {
        if (FarTooEasy(over) && !say.OwnsItsRest && say.Dose.RestSeconds - ProposalWriter.RestStep >= ShortestRest)
        {
            var rest = say.Dose.RestSeconds - ProposalWriter.RestStep;
            return say.Make(
                Decision.ShorterRest,
                Reason.Of("past-zone.rest", ("rest", Quantity.Seconds(rest))),
                say.Dose with
                {
                    RestSeconds = rest,
                }
            );
        }

        if (FarTooEasy(over) && longer)
        {
            return _tempo.Within(more) is { } fewer
                ? say.Make(Decision.MoreReps, Reason.Of("past-zone.set-less"), fewer)
                : say.Make(Decision.MoreReps, Reason.Of("past-zone.anyway"), more, flag: true);
        }

        return say.Make(Decision.Repeat, Reason.Of(longer ? "past-zone.no-time" : "past-zone.kit-ends"), say.Dose, flag: true);
    }

    /// <summary>Short of reps that were tried past the zone: once more; null when they were there.</summary>
    public Proposal? ShortPastZone(int reps) =>
        reps < say.Dose.Target.Min ? say.Keep(Decision.Repeat, Reason.Of("past-zone.short", ("reps", say.Dose.Target.Min))) : null;

    /// <summary>From the reps that every set has now to a few more.</summary>
    public SetTarget PastZone(int reps, int top)
    {
        var now = Math.Max(reps, say.Dose.Zone!.Max);
        var most = Math.Min(Math.Max(top, now + 1), Math.Max(say.MostReps, now));
        return new SetTarget(say.IsOneFigure ? most : now, most);
    }

    /// <summary>Half a minute less rest, where the sets are not meant heavy, there is rest to give and reps were left over; null otherwise.</summary>
    /// <param name="over">Reps in reserve beyond what was planned.</param>
    public Proposal? Denser(double over) =>
        over >= DenserFrom
        && !FarTooEasy(over)
        && !say.OwnsItsRest
        && say.Dose is { Timed: false, Zone: { IsOpen: false, Max: > GymLine.HeavyReps } }
        && say.Dose.RestSeconds - ProposalWriter.RestStep >= ShortestRest
            ? say.Make(
                Decision.ShorterRest,
                Reason.Of("harder.denser", ("rest", Quantity.Seconds(say.Dose.RestSeconds - ProposalWriter.RestStep))),
                say.Dose with
                {
                    RestSeconds = say.Dose.RestSeconds - ProposalWriter.RestStep,
                    Target = say.Dose.Target.Max > say.Dose.Zone.Max ? say.Dose.Target : say.Dose.Zone,
                }
            )
            : null;

    private bool FarTooEasy(double over) => over >= say.Context.Rules.FarOff.Over;

    /// <summary>Reps in reserve beyond those planned from which rests may shorten: who has just what was asked needs them.</summary>
    private const double DenserFrom = 0.5;
}
