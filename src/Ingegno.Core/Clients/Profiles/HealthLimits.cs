using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Clients.Profiles;

/// <summary>
/// What answers about health rule out, whether a clinician has cleared the client or not: a clearance lets train, it does not make an eye or
/// a bone another one. Local rules and what the clinician wrote come first.
/// </summary>
public static class HealthLimits
{
    private static HealthRules Rules => DomainRules.Shipped.Health;

    /// <summary>Whether the client avoids something for health.</summary>
    public static bool Avoids(this ClientProfile client, HealthHazard hazard)
    {
        ArgumentNullException.ThrowIfNull(client);
        return (client.HighBloodPressure && hazard is (HealthHazard.HeadDown or HealthHazard.Straining))
            || Answers(client).Any(a => a.Avoid.Contains(hazard));
    }

    /// <summary>Longest hold that the answers leave, s; null for no limit.</summary>
    public static int? LongestHold(this ClientProfile client)
    {
        ArgumentNullException.ThrowIfNull(client);
        var limits = Answers(client).Select(a => a.HoldSeconds).OfType<int>().ToList();
        if (client.HighBloodPressure)
        {
            limits.Add(PressureHoldSeconds);
        }

        return limits.Count == 0 ? null : limits.Min();
    }

    /// <summary>Why an exercise is out for an answer; null when it is not.</summary>
    public static Reason? Why(Exercise exercise, ClientProfile client)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        ArgumentNullException.ThrowIfNull(client);
        foreach (var answer in client.Screening.IsDefault ? [] : client.Screening)
        {
            if (Rules.Of(Term.For(answer).Word) is { } rule && rule.Avoid.Where(h => Rules.Is(exercise, h)).ToList() is [var hazard, ..])
            {
                return Reason.Of("filter.health", ("hazard", Term.For(hazard)), ("answer", Term.For(answer)));
            }
        }

        return null;
    }

    /// <summary>Holds with high blood pressure, s: short, with the breath going (AHA 2007, from memory).</summary>
    private const int PressureHoldSeconds = 30;

    private static IEnumerable<HealthAnswer> Answers(ClientProfile client) =>
        (client.Screening.IsDefault ? [] : client.Screening).Select(a => Rules.Of(Term.For(a).Word)).OfType<HealthAnswer>();
}
