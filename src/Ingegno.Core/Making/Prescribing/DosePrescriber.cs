using System.Collections.Immutable;
using Ingegno.Core.Ground.Quantities;
using Ingegno.Core.Ground.Reasons;
using Ingegno.Core.Ground.Text;
using Ingegno.Core.Knowledge.Catalogue;
using Ingegno.Core.Knowledge.TradeData;
using Ingegno.Core.Trainee.Clients;
using Ingegno.Core.Trainee.Strength;
using Ingegno.Core.Written.Plans;
using Ingegno.Core.Written.Programs;

namespace Ingegno.Core.Making.Prescribing;

/// <summary>Sets the dose of a home exercise from the gym line's intent and the reps to be expected.</summary>
public static class DosePrescriber
{
    /// <summary>Past this many reps a set does less for muscle and strength (docs/trade/prescription).</summary>
    public const int MostUsefulReps = 30;

    /// <summary>Sets of so many reps and fewer are meant for strength (docs/trade/prescription: 2–5, to 6).</summary>
    public const int HeavyReps = 6;

    /// <summary>Prescribes one exercise.</summary>
    /// <param name="asked">What for.</param>
    /// <param name="client">The client.</param>
    /// <param name="trade">The trade, as it costs the client.</param>
    public static Dose Prescribe(DoseQuestion asked, ClientProfile client, Trade trade)
    {
        ArgumentNullException.ThrowIfNull(asked);
        ArgumentNullException.ThrowIfNull(client);
        ArgumentNullException.ThrowIfNull(trade);
        var (line, home, effort, expected, techniques, approach) = asked;
        var repsToFailure = expected?.Mid;
        var standard = home.Measure == Measure.Reps && !line.Target.IsOpen ? approach.Standard(home.Rung) : null;
        var explosive = IsExplosive(line, home, client, effort, repsToFailure, trade.Dose);
        var (wanted, reason) =
            explosive ? (line.Target, Reason.Of("dose.explosive"))
            : standard is { } reps ? Milestone(reps, effort, repsToFailure)
            : Target(line, home, effort, repsToFailure, trade.Dose);
        var timed = home.Measure == Measure.Seconds;
        var rest = line.RestSeconds ?? trade.Dose.UsualRest(client.Goal, line.Target);
        var unchanged = home.Id == line.ExerciseId && wanted == line.Target; // what the client does already
        var target =
            timed || explosive || unchanged || expected is null
                ? wanted
                : KeptTarget.Of(wanted, expected, WorkingSets(line), rest, effort.Rir, trade.Fatigue);
        var zone = timed || explosive || line.Timed || wanted.Max > line.Target.Max || line.Target.IsOpen ? null : line.Target;
        var perSide = home.Sides == Sides.Unilateral;
        techniques = explosive ? [.. techniques, trade.Techniques.First(t => t.Explosive)] : techniques;
        var tempo = techniques.Aggregate(home.Tempo ?? line.Tempo ?? Tempo.Usual, (t, technique) => technique.ApplyTo(t, home.Profile));
        return new Dose
        {
            Sets = line.Sets,
            Target = target,
            Zone = zone == target || standard is not null ? null : zone,
            Standard = standard,
            Timed = timed,
            LastSetOpen = line.LastSetOpen && !timed && !target.IsOpen,
            PerSide = perSide,
            Tempo = tempo,
            RestSeconds = rest,
            Rir = effort.Rir,
            Techniques = [.. techniques.Select(t => t.Id)],
            Instructions =
            [
                .. techniques.Select(t => Reason.Text(t.How)),
                .. techniques.Select(t => t.Caution).OfType<string>().Select(Reason.Text),
            ],
            Reason = target == wanted ? reason : reason.Then(Kept(target, wanted)),
        };
    }

    /// <summary>Sets with a figure to keep: an open last one has none.</summary>
    private static int WorkingSets(GymLine line) => Math.Max(1, line.LastSetOpen ? line.Sets - 1 : line.Sets);

    private static Reason Kept(SetTarget target, SetTarget wanted) =>
        Reason.Of("dose.kept", ("bottom", target.Min), ("wanted", wanted.Min), ("and_more", wanted.Min != wanted.Max));

    /// <summary>
    /// A heavy line for a client whose goal is strength, with a load far too light for it and nothing that stands against
    /// speed: beginners, sore joints that the exercise loads, and exercises with a tempo of their own go without.
    /// </summary>
    private static bool IsExplosive(
        GymLine line,
        Exercise home,
        ClientProfile client,
        WantedEffort effort,
        double? repsToFailure,
        DoseRules rules
    ) =>
        client is { Goal: Goal.Strength, Level: > Level.Beginner }
        && line is { Timed: false, Target: { IsOpen: false, Max: <= HeavyReps } }
        && home is { Measure: Measure.Reps, Tempo: null }
        && repsToFailure > rules.FarTooLight * effort.High
        && !client.SoreJoints.Any(j => home.Joints.GetValueOrDefault(j.Joint) > 0);

    private static (SetTarget Target, Reason Reason) Milestone(int standard, WantedEffort effort, double? repsToFailure)
    {
        var able = repsToFailure is { } reps ? Math.Max(1, (int)Math.Floor(reps) - effort.Rir) : standard;
        return able >= standard
            ? (new SetTarget(standard, standard), Reason.Of("dose.standard", ("standard", standard)))
            : (new SetTarget(able, standard), Reason.Of("dose.to-standard", ("standard", standard)));
    }

    private static (SetTarget Target, Reason Reason) Target(
        GymLine line,
        Exercise home,
        WantedEffort effort,
        double? repsToFailure,
        DoseRules rules
    )
    {
        if (home.Measure == Measure.Seconds)
        {
            return line.Timed
                ? (line.Target, Reason.Of("dose.time"))
                : (new SetTarget(rules.HoldSeconds.Min, rules.HoldSeconds.Max), Reason.Of("dose.hold"));
        }

        if (line.Timed)
        {
            var reps = new SetTarget(Math.Max(1, (int)effort.Low), Math.Max(1, (int)(effort.High - effort.Rir)));
            return (reps, Reason.Of("dose.reps-for-time"));
        }

        if (line.Target.IsOpen || repsToFailure is not { } toFailure)
        {
            return (line.Target, Reason.Of("dose.as-planned"));
        }

        var reserve = Math.Max(0, (int)Math.Floor(toFailure) - effort.Rir);
        if (reserve < line.Target.Min)
        {
            var most = Math.Max(1, reserve);
            return (
                new SetTarget(most, most),
                Reason.Of("dose.fewer", ("planned", line.Target.InWords), ("able", Math.Floor(toFailure)), ("rir", effort.Rir))
            );
        }

        if (toFailure > effort.High * rules.TooEasy)
        {
            var top = Math.Min(MostUsefulReps, reserve);
            var bottom = Math.Min(top, Math.Max(line.Target.Max, (int)Math.Round(top * 0.8)));
            Fact[] limit = reserve > MostUsefulReps ? [("limit", MostUsefulReps)] : [];
            return (new SetTarget(bottom, top), Reason.Of("dose.more", [("planned", line.Target.InWords), .. limit]));
        }

        return (line.Target, Reason.Of("dose.as-planned"));
    }
}
