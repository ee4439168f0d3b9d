using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Rebuilding.Dosing;

/// <summary>How long a set of a line may last (docs/domain/prescription).</summary>
/// <param name="Reps">Reps of a set at most, as planned.</param>
/// <param name="Rir">Reps in reserve at its end.</param>
/// <param name="Seconds">Longest time under tension that a technique may make of it, s.</param>
/// <param name="Most">Longest where the approach itself asks for the technique, s.</param>
public readonly record struct SetLimits(int Reps, int Rir, double Seconds, double Most)
{
    /// <summary>What the line's own tempo adds to a rep beside its lowering, s.</summary>
    public int OwnSeconds { get; init; }

    /// <summary>A lowering of so many seconds and more is for sets of <see cref="MostReps"/> reps at most.</summary>
    private const int VeryLong = 8;

    private const int MostReps = 6;

    /// <summary>The limits of a line.</summary>
    public static SetLimits ForLine(GymLine line, int rir, DoseRules rules)
    {
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(rules);
        var heavy = line.IsHeavy;
        return new SetLimits(
            line.Timed || line.Target.IsOpen ? int.MaxValue : line.Target.Max,
            rir,
            heavy ? rules.SetSeconds.Heavy : rules.SetSeconds.Usual,
            heavy ? rules.SetSeconds.Heavy : rules.SetSeconds.Most
        )
        {
            OwnSeconds = line.Tempo is { } own ? own.PauseStretched + own.PauseShortened + Math.Max(0, own.Concentric - 1) : 0,
        };
    }

    /// <summary>From this degree on, keeping the balance is half of the work.</summary>
    private const int InBalance = 2;

    /// <summary>
    /// Strength work: what is too light is moved fast and not slowly. Beginners, sore joints that the exercise loads, exercises with a
    /// tempo of their own and whatever is done on one leg in balance go without: there a slow lowering is the means.
    /// </summary>
    public static bool IsForSpeed(GymLine line, Exercise home, ClientProfile client)
    {
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(home);
        ArgumentNullException.ThrowIfNull(client);
        return client is { Goal: Goal.Strength, Level: > Level.Beginner }
            && line.IsHeavy
            && home is { Measure: Measure.Reps, Tempo: null, Stability: < InBalance }
            && !client.SoreJoints.Any(j => home.Joints.GetValueOrDefault(j.Joint) > 0);
    }

    /// <summary>Whether a set in that manner stays within them.</summary>
    /// <param name="set">The techniques.</param>
    /// <param name="left">Reps to failure with them.</param>
    public bool Allow(TechniqueSet set, double left)
    {
        ArgumentNullException.ThrowIfNull(set);
        var done = Math.Max(1, Math.Min(left - Rir, Reps));
        return done * (set.SecondsPerRep + OwnSeconds) <= (set.Asked ? Most : Seconds)
            && !(done > MostReps && set.Steps.Any(t => t.Eccentric >= VeryLong));
    }
}
