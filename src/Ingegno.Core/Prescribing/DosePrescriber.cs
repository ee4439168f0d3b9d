using System.Collections.Immutable;
using Ingegno.Core.Catalogue;
using Ingegno.Core.Clients;
using Ingegno.Core.Programs;

namespace Ingegno.Core.Prescribing;

/// <summary>Sets the dose of a home exercise from the gym line's intent and the reps to be expected.</summary>
public static class DosePrescriber
{
    /// <summary>Past this many reps a set does less for muscle and strength (handbook 04).</summary>
    public const int MostUsefulReps = 30;

    private const int UsualHoldSeconds = 30;

    /// <summary>Prescribes one exercise.</summary>
    /// <param name="line">The gym line.</param>
    /// <param name="home">The exercise that takes its place.</param>
    /// <param name="client">The client.</param>
    /// <param name="effort">How hard the line is meant.</param>
    /// <param name="repsToFailure">Expected reps to failure with <paramref name="techniques"/>; null when reps are not the measure.</param>
    /// <param name="techniques">Techniques taken.</param>
    public static Dose Prescribe(
        GymLine line, Exercise home, ClientProfile client, WantedEffort effort, double? repsToFailure, ImmutableArray<Technique> techniques)
    {
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(home);
        ArgumentNullException.ThrowIfNull(client);
        ArgumentNullException.ThrowIfNull(effort);
        var (target, reason) = Target(line, home, effort, repsToFailure);
        var timed = home.Measure == Measure.Seconds;
        var perSide = home.Sides == Sides.Unilateral;
        var tempo = techniques.Aggregate(Tempo(line, home), (t, technique) => technique.ApplyTo(t, home.Profile));
        return new Dose
        {
            Sets = line.Sets,
            Target = target,
            Timed = timed,
            LastSetOpen = line.LastSetOpen && !timed && !target.IsOpen,
            PerSide = perSide,
            Tempo = tempo.ToString(),
            RestSeconds = line.RestSeconds ?? UsualRest(client.Goal, line),
            Rir = effort.Rir,
            Techniques = [.. techniques.Select(t => t.Id)],
            Instructions = [.. techniques.Select(t => t.How)],
            Reason = reason,
        };
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
            return (new SetTarget(most, most), $"Fewer reps than the gym plan's {Figures(line.Target)}: about {Words.Number(Math.Floor(toFailure), 0)} to failure are expected here, {effort.Rir} stay in reserve.");
        }

        if (toFailure > effort.High * 1.25)
        {
            var top = Math.Min(MostUsefulReps, reserve);
            var bottom = Math.Min(top, Math.Max(line.Target.Max, (int)Math.Round(top * 0.8)));
            var limit = reserve > MostUsefulReps ? $" {MostUsefulReps} is where more stops helping; it stays easier than planned." : string.Empty;
            return (new SetTarget(bottom, top), $"More reps than the gym plan's {Figures(line.Target)}, so that the set still ends near failure.{limit}");
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

    /// <summary>Usual rest by goal and reps (handbook 04), seconds.</summary>
    private static int UsualRest(Goal goal, GymLine line) => goal switch
    {
        Goal.Strength => line.Target.Max is > 0 and <= 6 ? 180 : 120,
        Goal.Muscle => 90,
        Goal.Endurance => 45,
        _ => 60,
    };

    private static string Figures(SetTarget target) =>
        target.Min == target.Max ? $"{target.Min}" : $"{target.Min}–{target.Max}";
}
