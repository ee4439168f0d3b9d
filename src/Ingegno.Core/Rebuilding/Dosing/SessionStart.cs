using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Rebuilding.Dosing;

/// <summary>
/// What somebody who trains alone at home sees to before the first exercise: the room, and what his health asks to have at hand. Who trains
/// under a clinician does as that clinician says.
/// </summary>
public static class SessionStart
{
    /// <summary>The room first, then the client.</summary>
    public static IEnumerable<Reason> Checklist(IEnumerable<Exercise> day, ClientProfile client)
    {
        ArgumentNullException.ThrowIfNull(day);
        ArgumentNullException.ThrowIfNull(client);
        var exercises = day.ToList();
        yield return Reason.Of("start.room");
        if (exercises.Exists(e => e.Impact > 0))
        {
            yield return Reason.Of("start.landings");
        }

        if (client.IsMinor())
        {
            yield return Reason.Of("start.young");
        }

        if (client.IsOlder())
        {
            yield return Reason.Of("start.older");
        }

        if (client.Avoids(HealthHazard.Straining))
        {
            yield return Reason.Of("start.breath");
        }

        foreach (var answer in (client.Screening.IsDefault ? [] : client.Screening).Distinct().Order())
        {
            if (AtHand(answer) is { } code)
            {
                yield return Reason.Of(code);
            }
        }
    }

    private static string? AtHand(ScreeningAnswer answer) =>
        answer switch
        {
            ScreeningAnswer.HeartOrVascular => "start.heart-or-vascular",
            ScreeningAnswer.UncontrolledBloodPressure => "start.uncontrolled-blood-pressure",
            ScreeningAnswer.Insulin => "start.insulin",
            ScreeningAnswer.Asthma => "start.asthma",
            ScreeningAnswer.PregnancyOrRecentBirth => "start.pregnancy-or-recent-birth",
            ScreeningAnswer.Epilepsy => "start.epilepsy",
            ScreeningAnswer.BloodThinners => "start.blood-thinners",
            ScreeningAnswer.ThinBones => "start.thin-bones",
            _ => null,
        };
}
