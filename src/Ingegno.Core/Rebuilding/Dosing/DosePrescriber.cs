using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Rebuilding.Dosing;

/// <summary>Sets the dose of a home exercise from the gym line's intent and the reps to be expected.</summary>
public static class DosePrescriber
{
    /// <summary>Past this many reps a set does less for muscle and strength (docs/domain/prescription).</summary>
    public const int MostUsefulReps = 30;

    /// <summary>More reps than these in reserve are far from failure: the last five or so carry the stimulus (docs/domain/prescription).</summary>
    public const int FarFromFailure = 5;

    /// <summary>Prescribes one exercise.</summary>
    /// <param name="asked">What for.</param>
    /// <param name="client">The client.</param>
    /// <param name="domain">The domain rules, as it costs the client.</param>
    public static Dose Prescribe(DoseQuestion asked, ClientProfile client, DomainRules domain)
    {
        ArgumentNullException.ThrowIfNull(asked);
        ArgumentNullException.ThrowIfNull(client);
        ArgumentNullException.ThrowIfNull(domain);
        var (line, home, effort, expected, techniques, approach) = asked;
        var rest = line.RestSeconds ?? LineRest.Usual(line, client.Goal, domain.Dose);
        var repsToFailure = expected?.Mid;
        var standard = home.Measure == Measure.Reps && !line.Target.IsOpen && !asked.Loaded ? approach.Standard(home.Rung) : null;
        var power = home.IsForPower && domain.Catalogue.Find(line.ExerciseId) is { IsForPower: true };
        var explosive = !power && IsExplosive(line, home, client, effort, repsToFailure, domain.Dose);
        var (wanted, reason) =
            explosive ? (line.Target, Reason.Of("dose.explosive"))
            : power ? Power(line, home)
            : asked.AsNamed ? (line.Target, Reason.Of("dose.as-planned"))
            : standard is { } reps ? Milestone(reps, effort, repsToFailure)
            : Target(
                new Asked(line, home, effort, WorkingSets(line), rest, client.LongestHold()),
                repsToFailure,
                SecondsPerRep(line, home, techniques),
                domain
            );
        var timed = home.Measure == Measure.Seconds;
        var unchanged = home.Id == line.ExerciseId && wanted == line.Target; // what the client does already
        var target =
            timed || explosive || power || unchanged || expected is null
                ? wanted
                : KeptTarget.Fit(wanted, expected, WorkingSets(line), rest, effort.Rir, domain);
        target = target == line.Target || timed ? target : KeptTarget.Narrow(target, domain.Dose.Kept);
        var zone = timed || explosive || power || line.Timed || wanted.Max > line.Target.Max || line.Target.IsOpen ? null : line.Target;
        var perSide = home.Sides == Sides.Unilateral;
        techniques = explosive ? [.. techniques, domain.Techniques.First(t => t.Explosive)] : techniques;
        var plain = JointSparing
            .Slowest(home, client)
            .Within(home.Tempo ?? line.Tempo ?? (!timed && !target.IsOpen && target.Max > SteadyFrom ? Steady : Tempo.Usual));
        var tempo = techniques.Aggregate(plain, (t, technique) => technique.ApplyTo(t, home.PausedAt));
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
            Instructions = Manner.Told(techniques),
            Reason = Said(reason, target, wanted, expected, rest, asked, domain),
        };
    }

    /// <summary>Sets with a figure to keep: an open last one has none.</summary>
    private static int WorkingSets(GymLine line) => Math.Max(1, line.LastSetOpen ? line.Sets - 1 : line.Sets);

    /// <summary>With thin knowledge the first time is a guess, and the dose says so: where to start, and what to build to.</summary>
    private static Reason Said(
        Reason reason,
        SetTarget target,
        SetTarget wanted,
        RepRange? expected,
        int rest,
        DoseQuestion asked,
        DomainRules domain
    )
    {
        if (target.IsOpen || asked.Home.Measure == Measure.Seconds || expected is null || asked.Home.Id == asked.Line.ExerciseId)
        {
            return reason;
        }

        // However little is known, nobody begins a set of ten with one: half of it shows as much, and can be put down.
        var careful = KeptTarget.CarefulLast(expected, WorkingSets(asked.Line), rest, asked.Effort.Rir, domain) - asked.Effort.Rir;
        var start = (int)Math.Max(Math.Ceiling(target.Min / 2.0), careful);
        return start <= target.Min * NearlyThere && IsRough(expected)
                ? reason.Then(Reason.Of("dose.rough-guess", ("start", start), ("build", target.Max)))
            : target.Min >= wanted.Min ? reason
            : reason.Then(Reason.Of("dose.kept", ("bottom", target.Min), ("wanted", wanted.Min), ("and_more", wanted.Min != wanted.Max)));
    }

    /// <summary>From this share of the bottom on, a start is the bottom: nobody is told to start at fourteen beside 15-18.</summary>
    private const double NearlyThere = 0.9;

    /// <summary>Expected reps whose high end lies this many times above the middle are a guess.</summary>
    private const double RoughFrom = 1.35;

    /// <summary>So little is known that the reps are a guess.</summary>
    public static bool IsRough(RepRange expected)
    {
        ArgumentNullException.ThrowIfNull(expected);
        return expected.High > expected.Mid * RoughFrom;
    }

    /// <summary>Past so many reps nobody lowers for two seconds: one down and one up.</summary>
    private const int SteadyFrom = 20;

    private static readonly Tempo Steady = new(1, 0, 1, 0);

    private static double SecondsPerRep(GymLine line, Exercise home, ImmutableArray<Technique> techniques) =>
        techniques.Aggregate(home.Tempo ?? line.Tempo ?? Tempo.Usual, (t, step) => step.ApplyTo(t, home.PausedAt)).SecondsPerRep
        * techniques.Aggregate(1.0, (times, t) => times * t.TimesAsLong);

    /// <summary>Most reps that a set of a light load is given in this manner: more would help no longer, or last too long.</summary>
    public static int MostReps(GymLine line, Exercise home, ImmutableArray<Technique> techniques, DoseRules rules)
    {
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(home);
        ArgumentNullException.ThrowIfNull(rules);
        return MostReps(SecondsPerRep(line, home, techniques), rules);
    }

    private static int MostReps(double secondsPerRep, DoseRules rules) =>
        secondsPerRep <= Tempo.Usual.SecondsPerRep ? MostUsefulReps : Math.Min(MostUsefulReps, Longest(secondsPerRep, rules));

    private static int Longest(double secondsPerRep, DoseRules rules) => (int)Math.Floor(rules.SetSeconds.Most / secondsPerRep);

    /// <summary>A heavy line for strength with a load far too light for it; one that could be moved thirty times is a toy however fast it
    /// goes.</summary>
    private static bool IsExplosive(
        GymLine line,
        Exercise home,
        ClientProfile client,
        WantedEffort effort,
        double? repsToFailure,
        DoseRules rules
    ) =>
        !client.NeedsClearance
        && SetLimits.IsForSpeed(line, home, client)
        && repsToFailure > rules.FarTooLight * effort.High
        && repsToFailure <= MostUsefulReps;

    /// <summary>Jumps and throws as many as planned; a swing comes to speed only after a few, so it stands for no triple.</summary>
    private static (SetTarget Target, Reason Reason) Power(GymLine line, Exercise home) =>
        home.Swung && home.Id != line.ExerciseId && !line.Target.IsOpen && line.Target.Max < LeastSwings.Min
            ? (LeastSwings, Reason.Of("dose.power-swings", ("planned", line.Target.InWords)))
            : (line.Target, Reason.Of("dose.power"));

    /// <summary>Fewest swings of a set (common practice).</summary>
    private static readonly SetTarget LeastSwings = new(8, 10);

    private static (SetTarget Target, Reason Reason) Milestone(int standard, WantedEffort effort, double? repsToFailure)
    {
        var able = repsToFailure is { } reps ? Math.Max(1, (int)Math.Floor(reps) - effort.Rir) : standard;
        return able >= standard
            ? (new SetTarget(standard, standard), Reason.Of("dose.standard", ("standard", standard)))
            : (new SetTarget(able, able), Reason.Of("dose.to-standard", ("standard", standard)));
    }

    /// <summary>What the target is worked out from.</summary>
    private sealed record Asked(GymLine Line, Exercise Home, WantedEffort Effort, int Sets, int Rest, int? LongestHold);

    /// <summary>A hold as long as the client's health lets it be.</summary>
    private static SetTarget Within(SetTarget hold, int? longest) =>
        longest is { } most && most < hold.Max ? new SetTarget(Math.Min(hold.Min, most * 2 / 3), most) : new SetTarget(hold.Min, hold.Max);

    private static (SetTarget Target, Reason Reason) Target(Asked asked, double? repsToFailure, double secondsPerRep, DomainRules domain)
    {
        var (line, home, effort, rules) = (asked.Line, asked.Home, asked.Effort, domain.Dose);
        if (home.Measure == Measure.Seconds)
        {
            return line.Timed
                ? (line.Target, Reason.Of("dose.time"))
                : (Within(rules.HoldSeconds, asked.LongestHold), Reason.Of("dose.hold"));
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

        var last = domain.Fatigue.BySet(toFailure, asked.Sets, asked.Rest, effort.Rir)[^1];
        var tooEasy = toFailure > effort.High * rules.TooEasy;
        var ownBody =
            line.Load is null && home.Setups.Any(s => s.Load.External is not { Required: true } && s.Load.Band is not { Required: true });
        if (
            home.Id == line.ExerciseId
            && (
                ownBody
                    ? last >= rules.Kept.LeastBelieved * line.Target.Min
                    : last >= rules.Kept.LeastOfPlanned * line.Target.Min && !tooEasy
            )
        )
        {
            return (line.Target, Reason.Of("dose.as-planned")); // what the client does already
        }

        if (last < line.Target.Min)
        {
            // Somewhat short of it, the bottom goes down to what the last set has (KeptTarget); far short, the reps are what can be done.
            var able = Math.Max(1, (int)Math.Floor(last));
            return last >= rules.Kept.LeastOfPlanned * line.Target.Min
                ? (line.Target, Reason.Of("dose.as-planned"))
                : (
                    new SetTarget(Math.Max(1, able - 1), able),
                    Reason.Of("dose.fewer", ("planned", line.Target.InWords), ("able", Math.Floor(toFailure)), ("rir", effort.Rir))
                );
        }

        var longest = Longest(secondsPerRep, rules);
        var reserve = Math.Max(0, (int)Math.Floor(last) - effort.Rir);
        if (tooEasy && Math.Min(reserve, longest) > line.Target.Max)
        {
            var most = MostReps(secondsPerRep, rules);
            var top = Math.Min(most, reserve);
            var bottom = Math.Min(top, Math.Max(line.Target.Max, (int)Math.Round(top * rules.Kept.LeastOfPlanned)));
            Fact[] limit = reserve > most ? [("limit", most)] : [];
            return (new SetTarget(bottom, top), Reason.Of("dose.more", [("planned", line.Target.InWords), .. limit]));
        }

        return (line.Target, Reason.Of("dose.as-planned"));
    }
}
