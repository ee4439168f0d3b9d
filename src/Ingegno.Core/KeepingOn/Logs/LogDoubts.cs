using System.Collections.Immutable;
using Ingegno.Core.Ground.Reasons;
using Ingegno.Core.Ground.Text;
using Ingegno.Core.Written.Plans;
using Ingegno.Core.Written.Programs;

namespace Ingegno.Core.KeepingOn.Logs;

/// <summary>A logged set that looks like a slip of the pen: asked about, never thrown away.</summary>
/// <param name="Line">Key of the gym line.</param>
/// <param name="ExerciseId">The exercise.</param>
/// <param name="Set">Number of the set, 1 first.</param>
/// <param name="Question">What is odd, as a question.</param>
public sealed record LogDoubt(LineKey Line, string ExerciseId, int Set, Reason Question);

/// <summary>Finds sets that can hardly be meant: reps or loads far past what the plan and the kit allow.</summary>
public static class LogDoubts
{
    /// <summary>Reps past this are asked about unless the plan has as many.</summary>
    private const int ManyReps = 60;

    /// <summary>Times the expected or planned reps from which is asked.</summary>
    private const double FarFromPlan = 2.5;

    /// <summary>Times the prescribed load from which is asked.</summary>
    private const double FarFromLoad = 1.6;

    /// <summary>What to ask about an exercise's sets.</summary>
    /// <param name="home">The exercise as prescribed.</param>
    /// <param name="heaviestKg">Heaviest external load of its set-up here, kg; null when it is not known.</param>
    /// <param name="logged">What was logged.</param>
    public static ImmutableArray<LogDoubt> About(HomeExercise home, double? heaviestKg, LoggedExercise logged)
    {
        ArgumentNullException.ThrowIfNull(home);
        ArgumentNullException.ThrowIfNull(logged);
        return
        [
            .. (logged.Sets.IsDefault ? [] : logged.Sets).SelectMany(
                (set, i) => Questions(home, heaviestKg, set).Select(q => new LogDoubt(logged.Line, logged.ExerciseId, i + 1, q))
            ),
        ];
    }

    private static IEnumerable<Reason> Questions(HomeExercise home, double? heaviestKg, LoggedSet set)
    {
        var planned = home.Dose.Target.IsOpen ? 0 : home.Dose.Target.Max;
        var most = Math.Max(planned, home.Expected?.High ?? 0);
        if (!home.Dose.Timed && set.Reps > Math.Max(ManyReps, planned) && set.Reps > most * FarFromPlan)
        {
            yield return Reason.Of(
                "doubt.reps",
                [("exercise", home.Name), ("reps", set.Reps), home.Expected is { } reps ? ("expected", reps.InWords) : ("planned", planned)]
            );
        }
        else if (home.Dose.Timed && set.Reps > Math.Max(planned, 60) * FarFromPlan)
        {
            yield return Reason.Of("doubt.seconds", ("exercise", home.Name), ("seconds", set.Reps), ("planned", planned));
        }

        var usual = Math.Max(home.ExternalKg, heaviestKg ?? 0);
        if (set.LoadKg is { } kg && kg > (usual * FarFromLoad) + 2)
        {
            yield return Reason.Of(
                "doubt.load",
                [
                    ("exercise", home.Name),
                    ("load", Quantity.Kg(kg)),
                    .. usual > 0 ? [("heaviest", Quantity.Kg(usual))] : Array.Empty<Fact>(),
                ]
            );
        }

        if (set.Reps == 0 && set.Rir > 0)
        {
            yield return Reason.Of("doubt.reserve", ("exercise", home.Name), ("rir", set.Rir!.Value));
        }
    }
}
