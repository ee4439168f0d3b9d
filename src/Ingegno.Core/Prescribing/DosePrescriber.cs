using System.Collections.Immutable;
using Ingegno.Core.Catalogue;
using Ingegno.Core.Clients;
using Ingegno.Core.Programs;
using Ingegno.Core.Strength;

namespace Ingegno.Core.Prescribing;

/// <summary>Sets the dose of a home exercise from the gym line's intent and the reps to be expected.</summary>
public static class DosePrescriber
{
    /// <summary>Past this many reps a set does less for muscle and strength (handbook 04).</summary>
    public const int MostUsefulReps = 30;

    /// <summary>Sets of so many reps and fewer are meant for strength (handbook 04: 2–5, to 6).</summary>
    public const int HeavyReps = 6;

    /// <summary>A load this many times too light for a heavy line is moved fast instead of often.</summary>
    private const double FarTooLight = 2;

    private const int UsualHoldSeconds = 30;

    /// <summary>Prescribes one exercise.</summary>
    /// <param name="line">The gym line.</param>
    /// <param name="home">The exercise that takes its place.</param>
    /// <param name="client">The client.</param>
    /// <param name="effort">How hard the line is meant.</param>
    /// <param name="expected">Expected reps to failure with <paramref name="techniques"/>; null when reps are not the measure.</param>
    /// <param name="techniques">Techniques taken.</param>
    /// <param name="approach">The school that the line follows.</param>
    /// <param name="fatigue">What a set costs the next.</param>
    public static Dose Prescribe(
        GymLine line, Exercise home, ClientProfile client, WantedEffort effort, RepRange? expected, ImmutableArray<Technique> techniques, Approach approach, SetFatigue fatigue)
    {
        ArgumentNullException.ThrowIfNull(approach);
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(home);
        ArgumentNullException.ThrowIfNull(client);
        ArgumentNullException.ThrowIfNull(effort);
        var repsToFailure = expected?.Mid;
        var standard = home.Measure == Measure.Reps && !line.Target.IsOpen ? approach.Standard(home.Rung) : null;
        var explosive = IsExplosive(line, home, client, effort, repsToFailure);
        var (wanted, reason) = explosive
            ? (line.Target, "Too light for maximal strength here: moved as fast as possible, the intent is kept; the heavy load is lost.")
            : standard is { } reps
                ? Milestone(reps, effort, repsToFailure)
                : Target(line, home, effort, repsToFailure);
        var timed = home.Measure == Measure.Seconds;
        var rest = line.RestSeconds ?? UsualRest(client.Goal, line.Target);
        var unchanged = home.Id == line.ExerciseId && wanted == line.Target; // what the client does already
        var target = timed || explosive || unchanged || expected is null ? wanted : KeptTarget.Of(wanted, expected, WorkingSets(line), rest, effort.Rir, fatigue);
        var zone = timed || explosive || line.Timed || wanted.Max > line.Target.Max || line.Target.IsOpen ? null : line.Target;
        var perSide = home.Sides == Sides.Unilateral;
        var tempo = techniques.Aggregate(Tempo(line, home), (t, technique) => technique.ApplyTo(t, home.Profile));
        tempo = explosive ? tempo with { Concentric = 0, Explosive = true } : tempo;
        ImmutableArray<string> fast = explosive ? ["Come up as fast as you can on every rep; stop the set when the speed falls."] : [];
        return new Dose
        {
            Sets = line.Sets,
            Target = target,
            Zone = zone == target || standard is not null ? null : zone,
            Standard = standard,
            Timed = timed,
            LastSetOpen = line.LastSetOpen && !timed && !target.IsOpen,
            PerSide = perSide,
            Tempo = tempo.ToString(),
            RestSeconds = rest,
            Rir = effort.Rir,
            Techniques = [.. techniques.Select(t => t.Id), .. explosive ? ["explosive"] : Enumerable.Empty<string>()],
            Instructions = [.. techniques.Select(t => t.How), .. fast, .. techniques.Select(t => t.Caution).OfType<string>()],
            Reason = target == wanted ? reason : $"{reason} {Kept(target, wanted)}",
        };
    }

    /// <summary>Sets with a figure to keep: an open last one has none.</summary>
    private static int WorkingSets(GymLine line) => Math.Max(1, line.LastSetOpen ? line.Sets - 1 : line.Sets);

    private static string Kept(SetTarget target, SetTarget wanted) =>
        $"{target.Min} is what the last set has on a careful reckoning: start there, {(wanted.Min == wanted.Max ? $"{wanted.Min}" : $"{wanted.Min} and more")} in every set is the goal.";

    /// <summary>
    /// A heavy line for a client whose goal is strength, with a load far too light for it and nothing that stands against
    /// speed: beginners, sore joints that the exercise loads, and exercises with a tempo of their own go without.
    /// </summary>
    private static bool IsExplosive(GymLine line, Exercise home, ClientProfile client, WantedEffort effort, double? repsToFailure) =>
        client is { Goal: Goal.Strength, Level: > Level.Beginner }
        && line is { Timed: false, Target: { IsOpen: false, Max: <= HeavyReps } }
        && home is { Measure: Measure.Reps, Tempo: null }
        && repsToFailure > FarTooLight * effort.High
        && !client.SoreJoints.Any(j => home.Joints.GetValueOrDefault(j.Joint) > 0);

    private static (SetTarget Target, string Reason) Milestone(int standard, WantedEffort effort, double? repsToFailure)
    {
        var able = repsToFailure is { } reps ? Math.Max(1, (int)Math.Floor(reps) - effort.Rir) : standard;
        return able >= standard
            ? (new SetTarget(standard, standard), $"The standard of this step is {standard}: when every set meets it in good form and without pain, take the next step.")
            : (new SetTarget(able, standard), $"On the way to this step's standard of {standard} reps.");
    }

    private static (SetTarget Target, string Reason) Target(GymLine line, Exercise home, WantedEffort effort, double? repsToFailure)
    {
        if (home.Measure == Measure.Seconds)
        {
            return line.Timed
                ? (line.Target, "Time as in the gym plan.")
                : (new SetTarget(UsualHoldSeconds, UsualHoldSeconds + 15), "A hold in place of reps: end it when the position slips.");
        }

        if (line.Timed)
        {
            var reps = new SetTarget(Math.Max(1, (int)effort.Low), Math.Max(1, (int)(effort.High - effort.Rir)));
            return (reps, "Reps in place of time: about four seconds each.");
        }

        if (line.Target.IsOpen || repsToFailure is not { } toFailure)
        {
            return (line.Target, "Reps as in the gym plan.");
        }

        var reserve = Math.Max(0, (int)Math.Floor(toFailure) - effort.Rir);
        if (reserve < line.Target.Min)
        {
            var most = Math.Max(1, reserve);
            return (new SetTarget(most, most), $"Fewer reps than the planned {Figures(line.Target)}: about {Words.Number(Math.Floor(toFailure), 0)} to failure are expected here, {effort.Rir} stay in reserve.");
        }

        if (toFailure > effort.High * 1.25)
        {
            var top = Math.Min(MostUsefulReps, reserve);
            var bottom = Math.Min(top, Math.Max(line.Target.Max, (int)Math.Round(top * 0.8)));
            var limit = reserve > MostUsefulReps ? $" {MostUsefulReps} is where more stops helping; it stays easier than planned." : string.Empty;
            return (new SetTarget(bottom, top), $"More reps than the planned {Figures(line.Target)}, so that the set still ends near failure.{limit}");
        }

        return (line.Target, "Reps as in the gym plan.");
    }

    private static Tempo Tempo(GymLine line, Exercise home)
    {
        if (Programs.Tempo.TryParse(home.Tempo, out var own))
        {
            return own;
        }

        return line.Tempo ?? Programs.Tempo.Usual;
    }

    /// <summary>Usual rest by goal and reps (handbook 04), s.</summary>
    public static int UsualRest(Goal goal, SetTarget target) => goal switch
    {
        Goal.Strength => target.Max is > 0 and <= HeavyReps ? 180 : 120,
        Goal.Muscle => 90,
        Goal.Endurance => 45,
        _ => 60,
    };

    private static string Figures(SetTarget target) =>
        target.Min == target.Max ? $"{target.Min}" : $"{target.Min}–{target.Max}";
}
