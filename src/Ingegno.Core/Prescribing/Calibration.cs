using Ingegno.Core.Catalogue;
using Ingegno.Core.Clients;
using Ingegno.Core.Kit;
using Ingegno.Core.Matching;

namespace Ingegno.Core.Prescribing;

/// <summary>
/// The first session of an exercise at home: its last set is open where that is safe, so that the log can set the dose
/// (handbook 05). What is logged already needs none.
/// </summary>
public static class Calibration
{
    /// <summary>Reps that stay in reserve in the open set: it ends when the next rep would not be clean.</summary>
    public const int Reserve = 1;

    /// <summary>Exercises that take years of practice are no place to look for a limit (skill runs from 1 to 5).</summary>
    private const int MostSkill = 3;

    /// <summary>So few reps to failure are near a maximum: nobody is there to help.</summary>
    private const double FewestReps = 6;

    /// <summary>The exercise with its last set open, or as it is with the reason.</summary>
    /// <param name="home">The exercise as prescribed.</param>
    /// <param name="exercise">Its catalogue entry.</param>
    /// <param name="client">The client.</param>
    /// <param name="kit">The kit it is done with.</param>
    public static (HomeExercise Home, string? WhyNot) Open(HomeExercise home, Exercise exercise, ClientProfile client, KitAtPlace kit)
    {
        ArgumentNullException.ThrowIfNull(home);
        ArgumentNullException.ThrowIfNull(exercise);
        ArgumentNullException.ThrowIfNull(client);
        ArgumentNullException.ThrowIfNull(kit);
        if (!Measures(home, exercise) || client.Learned.Any(l => l.ExerciseId == exercise.Id))
        {
            return (home, null); // nothing to find out
        }

        if (WhyNot(home, exercise, client, kit) is { } why)
        {
            return (home, why);
        }

        var how = client.Level == Level.Beginner
            ? "Last set: as many clean reps as you can, stop with two more in you, and note how many."
            : "Last set: as many clean reps as you can; stop before the first that would not be clean, and note how many.";
        return (home with { Dose = home.Dose with { LastSetOpen = true, Calibrates = true, Instructions = home.Dose.Instructions.Add(how) } }, null);
    }

    /// <summary>The dose once the session is done.</summary>
    public static Dose Close(Dose dose)
    {
        ArgumentNullException.ThrowIfNull(dose);
        return dose.Calibrates ? dose with { Calibrates = false, LastSetOpen = false } : dose;
    }

    private static bool Measures(HomeExercise home, Exercise exercise) =>
        exercise is { Measure: Measure.Reps, Strength: not null }
        && home.Dose is { Timed: false, LastSetOpen: false, Scheme: null, Target.IsOpen: false, Sets: >= 2 }
        && home.SystemLoadKg is > 0;

    /// <summary>Why a set near the limit is not safe here (handbook 06); null when it is.</summary>
    private static string? WhyNot(HomeExercise home, Exercise exercise, ClientProfile client, KitAtPlace kit)
    {
        var joint = client.SoreJoints.Where(s => exercise.Joints.GetValueOrDefault(s.Joint) > 0).Select(s => Words.Of(s.Joint)).FirstOrDefault();
        return client.HighBloodPressure ? "high blood pressure"
            : !client.Screening.IsDefaultOrEmpty && client.Clearance is null ? "no clearance yet"
            : joint is not null ? $"the {joint} is to be spared"
            : exercise.Impact > 0 || home.Dose.Techniques.Contains("explosive") ? "it is done for speed"
            : exercise.HeadDown || exercise.Skill > MostSkill ? "it asks for too much skill"
            : kit.Things.Any(t => home.UsesItems.Contains(t.Id) && t.Kind.Is("loaded-bar")) ? "nobody is there to take the bar"
            : home.RepsToFailure < FewestReps ? "the load is near the maximum"
            : null;
    }
}
