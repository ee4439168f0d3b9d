using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Progress.Logs;

/// <summary>A logged set that looks like a slip of the pen: asked about, never thrown away.</summary>
/// <param name="Line">Key of the gym line.</param>
/// <param name="ExerciseId">The exercise.</param>
/// <param name="Set">Number of the set, 1 first.</param>
/// <param name="Question">What is odd, as a question.</param>
public sealed record LogDoubt(LineKey Line, string ExerciseId, int Set, Reason Question);

/// <summary>Figures above which is asked whether they are meant.</summary>
/// <param name="MostReps">Reps, or seconds of a timed exercise.</param>
/// <param name="MostKg">External load, kg.</param>
public sealed record DoubtLimits(int MostReps, double MostKg);

/// <summary>Finds sets that can hardly be meant: reps or loads far past what the plan and the kit allow.</summary>
public static class LogDoubts
{
    /// <summary>Reps past this are asked about unless the plan has as many.</summary>
    private const int ManyReps = 60;

    /// <summary>Times the expected or planned reps from which is asked.</summary>
    private const double FarFromPlan = 2.5;

    /// <summary>Seconds of a hold that nobody wonders about.</summary>
    private const int ManySeconds = 60;

    /// <summary>Times the prescribed load from which is asked.</summary>
    private const double FarFromLoad = 1.6;

    /// <summary>What a light load may be off by, kg.</summary>
    private const double SlackKg = 2;

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

    /// <summary>Figures of an exercise above which is asked.</summary>
    /// <param name="home">The exercise as prescribed.</param>
    /// <param name="heaviestKg">Heaviest external load of its set-up here, kg; null when it is not known.</param>
    public static DoubtLimits LimitsOf(HomeExercise home, double? heaviestKg)
    {
        ArgumentNullException.ThrowIfNull(home);
        var planned = Planned(home);
        var reps = home.Dose.Timed
            ? Math.Max(planned, ManySeconds) * FarFromPlan
            : Math.Max(Math.Max(ManyReps, planned), Math.Max(planned, home.Expected?.High ?? 0) * FarFromPlan);
        return new DoubtLimits((int)Math.Floor(reps), (Math.Max(home.ExternalKg, heaviestKg ?? 0) * FarFromLoad) + SlackKg);
    }

    private static int Planned(HomeExercise home) => home.Dose.Target.IsOpen ? 0 : home.Dose.Target.Max;

    private static IEnumerable<Reason> Questions(HomeExercise home, double? heaviestKg, LoggedSet set)
    {
        var (planned, limits) = (Planned(home), LimitsOf(home, heaviestKg));
        if (!home.Dose.Timed && set.Reps > limits.MostReps)
        {
            yield return Reason.Of(
                "doubt.reps",
                [("exercise", home.Name), ("reps", set.Reps), home.Expected is { } reps ? ("expected", reps.InWords) : ("planned", planned)]
            );
        }
        else if (home.Dose.Timed && set.Reps > limits.MostReps)
        {
            yield return Reason.Of("doubt.seconds", ("exercise", home.Name), ("seconds", set.Reps), ("planned", planned));
        }

        var usual = Math.Max(home.ExternalKg, heaviestKg ?? 0);
        if (set.LoadKg is { } kg && kg > limits.MostKg)
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
