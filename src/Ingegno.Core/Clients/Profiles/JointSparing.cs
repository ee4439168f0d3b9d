using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Clients.Profiles;

/// <summary>
/// What a joint that hurts rules out, and what it lets through further down (docs/domain/cautions). Sore: heavy stress is out, medium stress comes
/// last. Injured: whatever loads it is out; what hardly touches it comes last, with no weight added and nothing slow. What brings the
/// complaint on is out for both.
/// </summary>
public static class JointSparing
{
    private const int HeavyStress = 3;
    private const int MediumStress = 2;
    private const int LightStress = 1;

    /// <summary>Why an exercise is out for a joint; null when it is not.</summary>
    public static Reason? Why(Exercise exercise, ClientProfile client)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        ArgumentNullException.ThrowIfNull(client);
        foreach (var sore in client.SoreJoints.OrderBy(j => j.Joint))
        {
            if (exercise.Joints.GetValueOrDefault(sore.Joint) >= Limit(sore))
            {
                return Loads(sore, exercise.Joints[sore.Joint]);
            }

            if (sore is { Joint: Joint.Wrist, Spared: Soreness.Injured } && exercise.Strains.Contains(JointStrain.WristFlat))
            {
                return Reason.Of("filter.provoked", ("joint", Term.For(sore.Joint)), ("provoked", Term.For(Provocation.WristFlat)));
            }

            if (sore.Rules.FirstOrDefault(r => r.LeavesOut.Intersect(exercise.Strains).Any()) is { } provoked)
            {
                return Reason.Of("filter.provoked", ("joint", Term.For(sore.Joint)), ("provoked", Term.For(provoked.Id)));
            }
        }

        return null;
    }

    /// <summary>Why a way to do an exercise is out, which as such is not; null when it is not.</summary>
    public static Reason? Why(Setup setup, ClientProfile client)
    {
        ArgumentNullException.ThrowIfNull(setup);
        ArgumentNullException.ThrowIfNull(client);
        return client
            .SoreJoints.OrderBy(j => j.Joint)
            .Where(j => setup.Joints.GetValueOrDefault(j.Joint) >= Limit(j))
            .Select(j => Loads(j, setup.Joints[j.Joint]))
            .FirstOrDefault();
    }

    /// <summary>Whether the exercise is done with the body's own weight alone: no weight or band goes through an injured joint, nor onto a flat
    /// hand whose wrist hurts.</summary>
    public static bool TakesNoLoad(Exercise exercise, ClientProfile client)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        ArgumentNullException.ThrowIfNull(client);
        return client.SoreJoints.Any(j =>
            (j.Spared == Soreness.Injured && exercise.Joints.GetValueOrDefault(j.Joint) >= LightStress)
            || (j.Joint == Joint.Wrist && exercise.Strains.Contains(JointStrain.WristFlat))
        );
    }

    /// <summary>The injured joint that an exercise still touches; null for none.</summary>
    public static Joint? TouchesInjured(Exercise exercise, ClientProfile client) =>
        Loaded(exercise, client).FirstOrDefault(j => j.Spared == Soreness.Injured)?.Joint;

    /// <summary>What an exercise loses of its match for this client's joints, 0 or more.</summary>
    public static double Cost(Exercise exercise, ClientProfile client, SparingRules rules)
    {
        ArgumentNullException.ThrowIfNull(rules);
        return Loaded(exercise, client).Sum(j => j.Spared == Soreness.Injured ? rules.Injured : rules.Sore);
    }

    /// <summary>Why it stands further down, a reason for each joint.</summary>
    public static IEnumerable<Reason> Down(Exercise exercise, ClientProfile client) =>
        Loaded(exercise, client).Select(j => Reason.Of("why.loads-joint", ("joint", Term.For(j.Joint)), ("soreness", Term.For(j.Spared))));

    /// <summary>How slow reps may be: a slow lowering and a pause load the joint longer. A back that hurts is spared them in all that bends or holds
    /// it (docs/domain/cautions).</summary>
    public static SlowestReps Slowest(Exercise exercise, ClientProfile client)
    {
        var loaded = Loaded(exercise, client).ToList();
        return loaded.Exists(j => j.Spared == Soreness.Injured) ? SlowestReps.OfInjured
            : loaded.Count > 0
            || (exercise.Joints.GetValueOrDefault(Joint.LowBack) > 0 && client.SoreJoints.Any(j => j.Joint == Joint.LowBack))
                ? SlowestReps.OfSore
            : SlowestReps.Any;
    }

    /// <summary>What is said beside an exercise that is let through.</summary>
    public static IEnumerable<Reason> Cautions(Exercise exercise, ClientProfile client)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        ArgumentNullException.ThrowIfNull(client);
        foreach (var sore in client.SoreJoints)
        {
            var (stress, flat) = (
                exercise.Joints.GetValueOrDefault(sore.Joint),
                sore.Joint == Joint.Wrist && exercise.Strains.Contains(JointStrain.WristFlat)
            );
            if (flat)
            {
                yield return Reason.Of("caution.wrist");
            }
            else if (sore.Spared == Soreness.Sore ? stress == MediumStress : stress >= LightStress)
            {
                yield return Reason.Of(
                    "caution.spare-joint",
                    [
                        ("joint", Term.For(sore.Joint)),
                        .. sore.Side is { } side and not BodySide.Both ? [("side", Term.For(side))] : Array.Empty<Fact>(),
                    ]
                );
            }
        }
    }

    private static int Limit(SoreJoint sore) => sore.Spared == Soreness.Injured ? MediumStress : HeavyStress;

    private static Reason Loads(SoreJoint sore, int stress) =>
        Reason.Of("filter.joint", ("joint", Term.For(sore.Joint)), ("heavily", stress >= HeavyStress), ("soreness", Term.For(sore.Spared)));

    private static IEnumerable<SoreJoint> Loaded(Exercise exercise, ClientProfile client)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        ArgumentNullException.ThrowIfNull(client);
        return client.SoreJoints.Where(j =>
            exercise.Joints.GetValueOrDefault(j.Joint) >= (j.Spared == Soreness.Injured ? LightStress : MediumStress)
        );
    }
}
