using Ingegno.Core.Ground.Body;
using Ingegno.Core.Ground.Reasons;
using Ingegno.Core.Ground.Text;
using Ingegno.Core.Knowledge.Catalogue;
using Ingegno.Core.Knowledge.TradeData;

namespace Ingegno.Core.Trainee.Clients;

/// <summary>What is let through, but loads a joint that hurts: kinder exercises come first (docs/trade/cautions).</summary>
public static class JointSparing
{
    private const int MediumStress = 2;

    /// <summary>What an exercise loses of its match for this client's joints, 0 or more.</summary>
    public static double Cost(Exercise exercise, ClientProfile client, SparingRules rules)
    {
        ArgumentNullException.ThrowIfNull(rules);
        return Loaded(exercise, client).Sum(j => j.Severity == Soreness.Injured ? rules.Injured : rules.Sore);
    }

    /// <summary>Why it stands further down, a reason for each joint.</summary>
    public static IEnumerable<Reason> Why(Exercise exercise, ClientProfile client) =>
        Loaded(exercise, client)
            .Select(j => Reason.Of("why.loads-joint", ("joint", Term.For(j.Joint)), ("soreness", Term.For(j.Severity))));

    /// <summary>Whether long lowering and long pauses are to be left out: they load the sore joint longer. A back that hurts
    /// is spared them in all that bends or holds it (docs/trade/cautions).</summary>
    public static bool RulesOutSlow(Exercise exercise, ClientProfile client) =>
        Loaded(exercise, client).Any()
        || (exercise.Joints.GetValueOrDefault(Joint.LowBack) > 0 && client.SoreJoints.Any(j => j.Joint == Joint.LowBack));

    private static IEnumerable<SoreJoint> Loaded(Exercise exercise, ClientProfile client)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        ArgumentNullException.ThrowIfNull(client);
        return client.SoreJoints.Where(j =>
            exercise.Joints.GetValueOrDefault(j.Joint) >= (j.Severity == Soreness.Injured ? 1 : MediumStress)
        );
    }
}
