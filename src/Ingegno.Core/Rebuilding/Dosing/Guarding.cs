using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Programs.HomePlans;

namespace Ingegno.Core.Rebuilding.Dosing;

/// <summary>
/// A bar over chest or face, or on the back, can pin who trains alone. Without safeties or somebody beside no set of it is open, and where it lies
/// on the floor three reps stay (NSCA on spotting, from memory).
/// </summary>
public static class Guarding
{
    /// <summary>Reps left by who lifts a bar over himself alone.</summary>
    public const int Left = 3;

    private const int FewestReps = 3;

    /// <summary>The exercise as it may be done at this place; itself where nothing pins or somebody guards.</summary>
    public static HomeExercise Guard(HomeExercise home, Exercise exercise, KitAtPlace kit)
    {
        ArgumentNullException.ThrowIfNull(home);
        ArgumentNullException.ThrowIfNull(kit);
        var need = Need(home, exercise);
        if (need == GuardNeed.None || kit.Guarded == true)
        {
            return home;
        }

        var dose = home.Dose with { LastSetOpen = false, Calibrates = false };
        return home with { Dose = need == GuardNeed.Spares ? Spared(dose) : dose };
    }

    /// <summary>What the way it is done asks for.</summary>
    public static GuardNeed Need(HomeExercise home, Exercise exercise)
    {
        ArgumentNullException.ThrowIfNull(home);
        ArgumentNullException.ThrowIfNull(exercise);
        return exercise.Setups.FirstOrDefault(s => s.Id == home.SetupId)?.Guard ?? GuardNeed.None;
    }

    private static Dose Spared(Dose dose)
    {
        var more = Math.Max(0, Left - dose.Rir);
        return dose with
        {
            Rir = Math.Max(dose.Rir, Left),
            Target =
                dose.Target.IsOpen || dose.Timed
                    ? dose.Target
                    : new SetTarget(
                        Math.Max(Math.Min(dose.Target.Min, FewestReps), dose.Target.Min - more),
                        Math.Max(Math.Min(dose.Target.Max, FewestReps), dose.Target.Max - more)
                    ),
        };
    }
}
