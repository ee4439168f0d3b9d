using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Rebuilding.Dosing;

/// <summary>
/// How hard a gym line is meant to be, as reps to failure of its fresh first set: so many that the sets keep the planned reps and, at
/// best, the planned reserve, the last one too (docs/domain/prescription), or more where a percentage of the one-rep maximum allows more.
/// </summary>
/// <param name="Low">Fewest reps to failure that allow the planned reps on average: the first set has some more, the last four fifths.</param>
/// <param name="High">Reps to failure with which every set keeps the planned reps and their reserve: past them the load is light.</param>
/// <param name="Rir">Reps in reserve at the end of a set.</param>
public sealed record WantedEffort(double Low, double High, int Rir)
{
    /// <summary>Reps to failure aimed at: the planned reps with their reserve in every set.</summary>
    public double Aim { get; init; } = Low + Rir;

    /// <summary>Reps to failure below which even the last set would start short of the planned reps (docs/domain/prescription).</summary>
    public double Start { get; init; } = Low;

    /// <summary>Reads the intent of a line.</summary>
    /// <param name="line">The line under its approach.</param>
    /// <param name="exercise">Its exercise.</param>
    /// <param name="client">The client.</param>
    /// <param name="domain">The domain rules, as it costs the client.</param>
    /// <param name="strength">What the client can be expected to do; null where a share of the bar is taken for one of the whole load.</param>
    public static WantedEffort ForLine(
        GymLine line,
        Exercise exercise,
        ClientProfile client,
        DomainRules domain,
        ClientStrength? strength = null
    )
    {
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(exercise);
        ArgumentNullException.ThrowIfNull(client);
        ArgumentNullException.ThrowIfNull(domain);
        var usual = domain.Dose.Unsaid.Rir;
        var rir = line.Reserve ?? usual;
        var atShare = RepsAtShare(line, exercise, strength);
        if (line.Reserve is null && atShare is { } allowed && !line.Target.IsOpen)
        {
            // Triples at 90 % leave one, not two. Of a range the bottom is what the percentage was set for; the top is what is earned.
            rir = Math.Clamp(Spare(allowed, line), Spare(RepsAtShare(line, exercise, null)!.Value, line) >= usual ? 1 : 0, usual);
        }

        if (client.Level == Level.Beginner || client.Avoids(HealthHazard.Straining))
        {
            // Beginners stay at two or three in reserve (docs/domain/prescription), and nobody holds the breath over a last rep who must not
            // (docs/domain/cautions).
            rir = Math.Max(rir, usual);
        }

        var (min, max) = line.Target.IsOpen ? (SetTarget.OpenReps, SetTarget.OpenReps) : (line.Target.Min, line.Target.Max);
        if (line.Timed)
        {
            // Four seconds of hold stand for a rep where a hold is replaced by reps.
            (min, max) = (Math.Max(1, min / 4), Math.Max(1, max / 4));
        }

        var (average, last) = line.Timed || line.Target.IsOpen ? (1, 1) : Left(line, rir, client, domain);
        var (low, high, aim) = (min / average, (max + rir) / last, (min + rir) / last);
        var start = Math.Max(low, ((domain.Dose.Kept.LeastOfPlanned * min) + rir) / last);
        if (atShare is { } reps)
        {
            // Where the last set is open, those before it only lead up to it.
            return new WantedEffort(line.LastSetOpen ? min : low, Math.Max(reps, high), rir) { Aim = Math.Max(reps, aim) };
        }

        return new WantedEffort(low, high, rir) { Aim = aim, Start = start };
    }

    /// <summary>
    /// Reps that a share leaves beside the planned ones. Where a weak bar moves a heavy body less is left than the tables say, which are made for
    /// the bar: who is sent for five at 80 % is not sent to failure.
    /// </summary>
    private static int Spare(double reps, GymLine line) => (int)Math.Round(reps, MidpointRounding.AwayFromZero) - line.Target.Min;

    /// <summary>Reps to failure that the line's share of the maximum allows; null where it names none.</summary>
    private static double? RepsAtShare(GymLine line, Exercise exercise, ClientStrength? strength) =>
        line.WorkingShare is { } share && exercise.Strength is { } relation
            ? RepMaxCurve.RepsAtShare(Math.Min(strength?.ShareOfSystem(exercise, share) ?? share, 1), relation.Curve)
            : null;

    /// <summary>Share of the first set's reps to failure that the planned sets have on average, and the last of them.</summary>
    private static (double Average, double Last) Left(GymLine line, int rir, ClientProfile client, DomainRules domain)
    {
        var rest = line.RestSeconds ?? LineRest.Usual(line, client.Goal, domain.Dose);
        var sets = domain.Fatigue.BySet(1, Math.Max(1, line.LastSetOpen ? line.Sets - 1 : line.Sets), rest, rir);
        return (sets.Average(), sets[^1]);
    }
}
