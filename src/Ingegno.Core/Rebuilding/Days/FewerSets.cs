using System.Collections.Immutable;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Rebuilding.Days;

/// <summary>
/// Sets that go for the minutes. What is left is no longer tired from them, so where the last set would keep more in reserve than planned,
/// all of them may get reps in their place (common practice: less to do is done harder).
/// </summary>
public static class FewerSets
{
    /// <summary>Reps beyond the planned reserve that the last set may keep (own decision).</summary>
    private const int Slack = 2;

    /// <summary>The dose with a set less, at least one.</summary>
    public static Dose Of(Dose dose)
    {
        ArgumentNullException.ThrowIfNull(dose);
        var sets = Math.Max(1, dose.Sets - 1);

        // Where one is left there is none to lead up to an open one.
        return sets > 1 ? dose with { Sets = sets } : dose with { Sets = sets, LastSetOpen = false, Calibrates = false };
    }

    /// <summary>The dose with the reps that the sets which are left can take; null where they stay as they are.</summary>
    /// <param name="home">The exercise with the sets that are left.</param>
    /// <param name="gone">Sets that went.</param>
    /// <param name="line">Its gym line: a method that counts its reps keeps them.</param>
    /// <param name="domain">The domain rules, as it costs the client.</param>
    public static Dose? Nearer(HomeExercise home, int gone, GymLine line, DomainRules domain)
    {
        ArgumentNullException.ThrowIfNull(home);
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(domain);
        var (dose, exercise) = (home.Dose, domain.Catalogue.Get(home.ExerciseId));
        var counted =
            line is { Method: null, Each.IsEmpty: true }
            && dose is { Timed: false, LastSetOpen: false, Scheme: null, Standard: null, Target.IsOpen: false, Tempo.Explosive: false }
            && !exercise.IsForPower;
        if (!counted || home.Expected is not { } able || DosePrescriber.IsRough(able))
        {
            return null;
        }

        var last = Last(able, dose, domain);
        var before = Last(able, dose with { Sets = dose.Sets + gone }, domain);
        var taken = domain.Techniques.Where(t => dose.Techniques.Contains(t.Id)).ToImmutableArray();
        var most = Math.Min(DosePrescriber.MostReps(line, exercise, taken, domain.Dose), last - dose.Rir);
        return
            before - dose.Target.Max > DosePrescriber.FarFromFailure // light on purpose, as the line says
            || last - dose.Target.Max <= dose.Rir + Slack
            || most <= dose.Target.Max
            ? null
            : dose with
            {
                Target = KeptTarget.Narrow(new SetTarget(dose.Target.Max, most), domain.Dose.Kept),
                Zone = null,
                Reason = Reason.Of("dose.nearer", ("planned", dose.Target.InWords)),
            };
    }

    /// <summary>Reps to failure of the last set.</summary>
    private static int Last(RepRange able, Dose dose, DomainRules domain) =>
        (int)Math.Floor(domain.Fatigue.BySet(able.Mid, dose.Sets, dose.RestSeconds, dose.Rir)[^1]);
}
