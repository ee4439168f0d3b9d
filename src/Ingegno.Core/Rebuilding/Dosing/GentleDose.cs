using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Rebuilding.Dosing;

/// <summary>
/// What is asked of a client for whom the screening wants a clearance that is not there yet (docs/domain/cautions): few sets that stay far
/// from failure, no technique, nothing heavy and nothing to the limit. Local rules and licensed practice come before it.
/// </summary>
public static class GentleDose
{
    /// <summary>The line as it may be done until then; itself for everybody else.</summary>
    public static GymLine Soften(GymLine line, ClientProfile client, DoseRules rules)
    {
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(client);
        ArgumentNullException.ThrowIfNull(rules);
        line = Held(line, client);
        if (!client.NeedsClearance)
        {
            return line;
        }

        var gentle = rules.Gentle;
        var reps = line.Timed ? line.Target.Max : gentle.Reps;
        return line with
        {
            Sets = Math.Min(line.Sets, gentle.Sets),
            Target =
                line.Timed ? new SetTarget(Math.Min(line.Target.Min, gentle.HoldSeconds), Math.Min(reps, gentle.HoldSeconds))
                : line.Target.IsOpen || line.Target.Max < reps ? new SetTarget(reps, reps)
                : line.Target,
            Rir = Math.Max(line.Rir ?? 0, gentle.Rir),
            Rpe = null,
            RpeTo = null,
            RirTo = null,
            RepMax = null,
            Load = null,
            LoadWord = null,
            ShareOfMax = null,
            ShareOfMaxTo = null,
            Each = [],
            Method = null,
            LastSetOpen = false,
        };
    }

    /// <summary>What stays after a clearance: short holds, and nothing to the limit for who must not strain.</summary>
    private static GymLine Held(GymLine line, ClientProfile client)
    {
        if (line.Timed && client.LongestHold() is { } most && (line.Target.IsOpen || line.Target.Max > most))
        {
            line = line with
            {
                Target = line.Target.IsOpen ? new SetTarget(most / 2, most) : new SetTarget(Math.Min(line.Target.Min, most), most),
            };
        }

        line = Young(line, client);
        return client.Avoids(HealthHazard.Straining)
            ? line with
            {
                LastSetOpen = false,
                Rir = line.Rir < SpareOfWhoMustNotStrain ? SpareOfWhoMustNotStrain : line.Rir,
            }
            : line;
    }

    /// <summary>Under 18 nobody lifts to the limit, whatever level was typed: technique before load (Lloyd 2014, from memory).</summary>
    private static GymLine Young(GymLine line, ClientProfile client)
    {
        if (!client.IsMinor())
        {
            return line;
        }

        var heavy = line is { Timed: false, Target: { IsOpen: false, Max: < FewestOfYoung } };
        return line with
        {
            LastSetOpen = false,
            RepMax = heavy ? null : line.RepMax,
            Load = heavy ? null : line.Load,
            ShareOfMax = heavy ? null : line.ShareOfMax,
            ShareOfMaxTo = heavy ? null : line.ShareOfMaxTo,
            Rpe = line.Rpe > HardestOfYoung ? HardestOfYoung : line.Rpe,
            RpeTo = line.RpeTo > HardestOfYoung ? HardestOfYoung : line.RpeTo,
            Target = heavy ? new SetTarget(FewestOfYoung, FewestOfYoung) : line.Target,
            Rir = line.Rir < SpareOfWhoMustNotStrain ? SpareOfWhoMustNotStrain : line.Rir,
        };
    }

    private const int FewestOfYoung = 6;
    private const int HardestOfYoung = 8;

    /// <summary>Reps left by who must not hold the breath over a last one.</summary>
    private const int SpareOfWhoMustNotStrain = 2;
}
