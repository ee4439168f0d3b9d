using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Clients.Profiles;

/// <summary>Reasons for which a candidate is out whatever its match: refusals, joints, level, impact, cautions.</summary>
public static class CandidateFilter
{
    /// <summary>Highest skill before a clearance that the screening wants.</summary>
    private const int GentleSkill = 3;

    /// <summary>Highest skill a level is trusted with, 1–5. Common practice.</summary>
    public static int SkillCeiling(Level level) =>
        level switch
        {
            Level.Beginner => 2,
            Level.Novice => 3,
            Level.Intermediate => 4,
            _ => 5,
        };

    /// <summary>Why the exercise is out for this client, or null when it is not.</summary>
    /// <param name="exercise">The exercise.</param>
    /// <param name="client">The client.</param>
    /// <param name="inGym">The exercise of the gym line: what is done there under the coach's eyes needs no more skill here.</param>
    public static (string Code, Reason Reason)? Why(Exercise exercise, ClientProfile client, string? inGym = null)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        ArgumentNullException.ThrowIfNull(client);
        if (client.Refuses.Contains(exercise.Id))
        {
            return ("refused", Reason.Of("filter.refused"));
        }

        if (exercise.OffByDefault is { } off && !client.Allows.Contains(exercise.Id))
        {
            return ("off-by-default", Reason.Text(off));
        }

        if (JointSparing.Why(exercise, client) is { } joint)
        {
            return ("joint", joint);
        }

        if (client.NeedsClearance && (exercise.HeadDown || exercise.Impact > 0 || exercise.Skill > GentleSkill))
        {
            return ("clearance", Reason.Of("filter.clearance"));
        }

        if (HealthLimits.Why(exercise, client) is { } health)
        {
            return ("health", health);
        }

        if (client.HighBloodPressure && exercise.HeadDown)
        {
            return ("blood-pressure", Reason.Of("filter.blood-pressure"));
        }

        if (exercise.Impact >= 2 && (client.Level == Level.Beginner || client.SoreJoints.Any(j => j.Joint is Joint.Knee or Joint.Ankle)))
        {
            return ("impact", Reason.Of(client.Level == Level.Beginner ? "filter.impact-beginner" : "filter.impact-sore"));
        }

        if (exercise.Impact > 0 && client.IsOlder() && exercise.Id != inGym)
        {
            return ("impact", Reason.Of("filter.impact-older"));
        }

        if (exercise.Id != inGym && exercise.Skill > SkillCeiling(client.Level))
        {
            return ("level", Reason.Of("filter.level", ("skill", exercise.Skill), ("level", Term.For(client.Level))));
        }

        return null;
    }

    /// <summary>Cautions that the client's joints add to an exercise that is let through.</summary>
    public static IEnumerable<Reason> Cautions(Exercise exercise, ClientProfile client) =>
        JointSparing
            .Cautions(exercise, client)
            .Concat(exercise.OffByDefault is { } off ? [Reason.Of("caution.switched-on", ("why", off))] : Array.Empty<Reason>());
}
