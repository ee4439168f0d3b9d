using Ingegno.Core.Catalogue;
using Ingegno.Core.Clients;

namespace Ingegno.Core.Matching;

/// <summary>Reasons for which a candidate is out whatever its match: refusals, joints, level, impact, cautions.</summary>
public static class CandidateFilter
{
    private const int HeavyStress = 3;
    private const int MediumStress = 2;

    /// <summary>Highest skill a level is trusted with, 1–5. Common practice.</summary>
    public static int SkillCeiling(Level level) => level switch
    {
        Level.Beginner => 2,
        Level.Novice => 3,
        Level.Intermediate => 4,
        _ => 5,
    };

    /// <summary>Why the exercise is out for this client, or null when it is not.</summary>
    public static (string Code, string Reason)? Why(Exercise exercise, ClientProfile client)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        ArgumentNullException.ThrowIfNull(client);
        if (client.Refuses.Contains(exercise.Id))
        {
            return ("refused", "Left out for this client: refused or banned.");
        }

        if (exercise.OffByDefault is { } off && !client.Allows.Contains(exercise.Id))
        {
            return ("off-by-default", off);
        }

        foreach (var sore in client.SoreJoints.OrderBy(j => j.Joint))
        {
            var limit = sore.Severity == Soreness.Injured ? MediumStress : HeavyStress;
            if (exercise.Joints.GetValueOrDefault(sore.Joint) >= limit)
            {
                return ("joint", $"Loads the {Words.Of(sore.Joint)} {(exercise.Joints[sore.Joint] >= HeavyStress ? "heavily" : "noticeably")}, which is {Words.Of(sore.Severity)}.");
            }
        }

        if (client.HighBloodPressure && exercise.HeadDown)
        {
            return ("blood-pressure", "The head is below the hips: not with high blood pressure.");
        }

        if (exercise.Impact >= 2 && (client.Level == Level.Beginner || client.SoreJoints.Any(j => j.Joint is Joint.Knee or Joint.Ankle)))
        {
            return ("impact", client.Level == Level.Beginner ? "Hard landings are not for beginners." : "Hard landings are not for sore knees or ankles.");
        }

        if (exercise.Skill > SkillCeiling(client.Level))
        {
            return ("level", $"Asks for more skill ({exercise.Skill} of 5) than a client at {Words.Of(client.Level)} level is trusted with.");
        }

        return null;
    }

    /// <summary>Cautions that the client's joints add to an exercise that is let through.</summary>
    public static IEnumerable<string> Cautions(Exercise exercise, ClientProfile client) =>
        (from sore in client.SoreJoints
         where sore.Severity == Soreness.Sore && exercise.Joints.GetValueOrDefault(sore.Joint) == MediumStress
         select $"Spare the {Words.Of(sore.Joint)}: shorten the range or stop when it complains.")
        .Concat(exercise.OffByDefault is { } off ? ["Switched on by the coach, though: " + char.ToLowerInvariant(off[0]) + off[1..]] : []);
}
