using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;

namespace Ingegno.Core.Rebuilding.Dosing;

/// <summary>
/// The first session of an exercise at home: its last set is open where that is safe, so that the log can set the dose
/// (docs/domain/progression). What is logged already needs none.
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
    public static (HomeExercise Home, Reason? WhyNot) Open(HomeExercise home, Exercise exercise, ClientProfile client, KitAtPlace kit)
    {
        ArgumentNullException.ThrowIfNull(home);
        ArgumentNullException.ThrowIfNull(exercise);
        ArgumentNullException.ThrowIfNull(client);
        ArgumentNullException.ThrowIfNull(kit);
        return client.Learned.Any(l => l.ExerciseId == exercise.Id)
            ? (home, null) // nothing to find out
            : Again(home, exercise, client, kit);
    }

    /// <summary>The same, whatever was logged: after a long absence that tells little.</summary>
    /// <param name="home">The exercise as prescribed.</param>
    /// <param name="exercise">Its catalogue entry.</param>
    /// <param name="client">The client.</param>
    /// <param name="kit">The kit it is done with.</param>
    public static (HomeExercise Home, Reason? WhyNot) Again(HomeExercise home, Exercise exercise, ClientProfile client, KitAtPlace kit)
    {
        ArgumentNullException.ThrowIfNull(home);
        ArgumentNullException.ThrowIfNull(exercise);
        ArgumentNullException.ThrowIfNull(client);
        ArgumentNullException.ThrowIfNull(kit);
        if (!Measures(home, exercise))
        {
            return (home, null);
        }

        if (WhyNot(home, exercise, client, kit) is { } why)
        {
            return (home, why);
        }

        var how = Reason.Of(client.Level == Level.Beginner ? "instruction.open-beginner" : "instruction.open");
        return (
            home with
            {
                Dose = home.Dose with { LastSetOpen = true, Calibrates = true, Instructions = home.Dose.Instructions.Add(how) },
            },
            null
        );
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

    /// <summary>Why a set near the limit is not safe here (docs/domain/cautions); null when it is.</summary>
    private static Reason? WhyNot(HomeExercise home, Exercise exercise, ClientProfile client, KitAtPlace kit)
    {
        var joint = client
            .SoreJoints.Where(s => exercise.Joints.GetValueOrDefault(s.Joint) > 0)
            .Select(s => (Joint?)s.Joint)
            .FirstOrDefault();
        return client.Avoids(HealthHazard.Straining) ? Reason.Of("not-open.blood-pressure")
            : client.NeedsClearance ? Reason.Of("not-open.clearance")
            : joint is { } sore ? Reason.Of("not-open.joint", ("joint", Term.For(sore)))
            : exercise.Impact > 0 || home.Dose.Techniques.Contains(TechniqueName.Explosive) ? Reason.Of("not-open.speed")
            : exercise.HeadDown || exercise.Skill > MostSkill ? Reason.Of("not-open.skill")
            : kit.Things.Any(t => home.UsesItems.Contains(t.Id) && (t.Kind.Is("loaded-bar") || t.Kind.Is("trap-bar")))
                ? Reason.Of("not-open.bar")
            : home.RepsToFailure < FewestReps ? Reason.Of("not-open.maximum")
            : null;
    }
}
