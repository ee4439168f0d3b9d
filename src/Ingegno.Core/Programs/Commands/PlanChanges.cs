using System.Collections.Immutable;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Commands;

/// <summary>A line that a decision about others changed.</summary>
/// <param name="Line">Key of the line.</param>
/// <param name="Gym">Its gym exercise.</param>
/// <param name="Before">Exercise, set-up and dose as they stood; empty when nothing stood.</param>
/// <param name="After">The same as they would be; empty when nothing would stand.</param>
public sealed record ChangedLine(LineKey Line, string Gym, string Before, string After);

/// <summary>Figures that a coach had typed and that did not go along to the exercise chosen in place of theirs.</summary>
/// <param name="Line">Key of the line.</param>
/// <param name="Figures">The figures as they are typed.</param>
/// <param name="From">Exercise that they were typed for.</param>
public sealed record DroppedFigures(LineKey Line, string Figures, string From);

/// <summary>What decisions change beside what they are about: a coach is told before it is kept.</summary>
public static class PlanChanges
{
    /// <summary>Lines that no decision is about and that ask something else of the client than before, in the order of the plan.</summary>
    /// <param name="before">What stood.</param>
    /// <param name="decisions">The decisions.</param>
    /// <param name="after">The plan that they gave.</param>
    /// <param name="nameOf">Name of an exercise.</param>
    public static ImmutableArray<ChangedLine> Beside(
        ImmutableArray<StandingLine> before,
        IReadOnlyCollection<PlanCommand> decisions,
        HomePlan after,
        Func<string, string> nameOf
    )
    {
        ArgumentNullException.ThrowIfNull(decisions);
        ArgumentNullException.ThrowIfNull(after);
        ArgumentNullException.ThrowIfNull(nameOf);
        var now = after.Standing.ToDictionary(s => s.Line);
        return
        [
            .. from stood in before
            where !decisions.Any(d => d.IsAbout(stood))
            let stands = now.GetValueOrDefault(stood.Line)
            where stood.Figures.Length > 0 || stood.LeftOut // an answer of before has no figures to compare with
            where stands is null || !stood.AsksTheSameAs(stands)
            select new ChangedLine(
                stood.Line,
                nameOf(stood.GymExerciseId),
                Written(stood, nameOf),
                stands is null ? string.Empty : Written(stands, nameOf)
            ),
        ];
    }

    /// <summary>What a coach had typed for exercises that others are chosen in place of, and what does not go along.</summary>
    /// <param name="edits">What was typed before.</param>
    /// <param name="decisions">The decisions.</param>
    /// <param name="after">The plan that they gave.</param>
    /// <param name="nameOf">Name of an exercise.</param>
    public static ImmutableArray<DroppedFigures> Dropped(
        ImmutableArray<HomeEdit> edits,
        IReadOnlyCollection<PlanCommand> decisions,
        HomePlan after,
        Func<string, string> nameOf
    )
    {
        ArgumentNullException.ThrowIfNull(decisions);
        ArgumentNullException.ThrowIfNull(after);
        ArgumentNullException.ThrowIfNull(nameOf);
        return
        [
            .. from choose in decisions.OfType<ChooseCandidate>()
            let comes = choose.CandidateId.Split('+')
            let typed = edits.LastOrDefault(e => e.Line == choose.Line && e.IsTyped && !comes.Contains(e.ExerciseId))
            where typed is not null
            let home = after.Lines.FirstOrDefault(l => l.Gym.Key == choose.Line)?.Chosen?.Exercises[0]
            where home is not null
            let lost = Lost(typed, home)
            where lost.InShorthand.Length > 0 || lost.Techniques is not null
            select new DroppedFigures(
                choose.Line,
                string.Join(' ', new[] { lost.InShorthand, string.Join(' ', lost.Techniques ?? []) }.Where(t => t.Length > 0)),
                nameOf(typed.ExerciseId)
            ),
        ];
    }

    private static HomeEdit Lost(HomeEdit typed, HomeExercise home) =>
        new()
        {
            Line = typed.Line,
            ExerciseId = typed.ExerciseId,
            Sets = typed.Sets == home.Dose.Sets ? null : typed.Sets,
            Target = typed.Target == home.Dose.Target ? null : typed.Target,
            ExternalKg = typed.ExternalKg == home.ExternalKg ? null : typed.ExternalKg,
            Tempo = typed.Tempo == home.Dose.Tempo ? null : typed.Tempo,
            RestSeconds = typed.RestSeconds == home.Dose.RestSeconds ? null : typed.RestSeconds,
            Rir = typed.Rir == home.Dose.Rir ? null : typed.Rir,
            Techniques = typed.Techniques is [_, ..] ? typed.Techniques : null,
        };

    private static string Written(StandingLine line, Func<string, string> nameOf) =>
        string.Join(" + ", line.Figures.Select(f => $"{nameOf(f.ExerciseId)} {f.InShorthand}"));
}
