using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Progress.Progression;

/// <summary>
/// Keeps the days of a plan within the client's minutes while it moves on: reps, tempo and pauses lengthen a day little by little, so
/// where it has become too long a set goes where least is lost. At most one of a line at a time; two stay, and main lifts are not touched. Where
/// that is not enough, what would take longer than now is held.
/// </summary>
public static class DayTrim
{
    private const int FewestSets = 2;

    /// <summary>What a set may be taken from: a decision on pain, a return or a lighter week stands as it is, and so does a word of the
    /// coach.</summary>
    private static readonly ImmutableHashSet<Decision> May =
    [
        Decision.Repeat,
        Decision.MoreReps,
        Decision.FewerReps,
        Decision.TechniqueOn,
        Decision.ShorterRest,
        Decision.LongerRest,
    ];

    /// <summary>The proposals, with a set less where a day would be too long.</summary>
    /// <param name="said">Proposals for the next session.</param>
    /// <param name="now">The exercises as they are, for their minutes.</param>
    /// <param name="roleOf">Role of a line.</param>
    /// <param name="room">Minutes that the days have left as they are now.</param>
    public static ImmutableArray<Proposal> Apply(
        ImmutableArray<Proposal> said,
        IReadOnlyCollection<(LineKey Line, HomeExercise Home)> now,
        Func<LineKey, LineRole> roleOf,
        DayRoom room
    )
    {
        ArgumentNullException.ThrowIfNull(now);
        ArgumentNullException.ThrowIfNull(roleOf);
        ArgumentNullException.ThrowIfNull(room);
        foreach (var proposal in said)
        {
            if (now.FirstOrDefault(n => n.Line == proposal.Line && n.Home.ExerciseId == proposal.ExerciseId).Home is { } home)
            {
                room.Take(proposal.Line, Longer(proposal, home));
            }
        }

        var trimmed = said.ToBuilder();
        foreach (
            var i in Enumerable
                .Range(0, said.Length)
                .Where(i => MayLose(said[i], roleOf))
                .OrderByDescending(i => roleOf(said[i].Line))
                .ThenByDescending(i => i)
        )
        {
            if (room.Left(said[i].Line) < 0)
            {
                trimmed[i] = Less(said[i]);
                room.Take(said[i].Line, trimmed[i].Dose.Minutes - said[i].Dose.Minutes);
            }
        }

        foreach (
            var i in Enumerable
                .Range(0, said.Length)
                .Where(i => MayHold(trimmed[i]))
                .OrderByDescending(i => roleOf(said[i].Line))
                .ThenByDescending(i => i)
        )
        {
            if (
                room.Left(said[i].Line) < 0
                && now.FirstOrDefault(n => n.Line == said[i].Line && n.Home.ExerciseId == said[i].ExerciseId).Home is { } home
                && Longer(trimmed[i], home) > 0
            )
            {
                room.Take(said[i].Line, -Longer(trimmed[i], home));
                trimmed[i] = trimmed[i] with
                {
                    Decision = Decision.Repeat,
                    Reason = Reason.Of("trim.held"),
                    Dose = home.Dose with { DecidedAfter = trimmed[i].Dose.DecidedAfter, BlockWeek = trimmed[i].Dose.BlockWeek },
                    ToExerciseId = null,
                    ToKg = null,
                    ToSetup = null,
                };
            }
        }

        return trimmed.ToImmutable();
    }

    /// <summary>Minutes that it takes more than now; a step to work done on one side at a time takes both sides.</summary>
    private static double Longer(Proposal said, HomeExercise home) =>
        said.Dose.Minutes - home.Dose.Minutes + (said is { ToOneSide: true } && !home.Dose.PerSide ? said.Dose.WorkSeconds() / 60 : 0);

    /// <summary>What may be held where the day has no minutes for it: growth, not what pain, a return or a lighter week ask for.</summary>
    private static bool MayHold(Proposal said) =>
        said.Decision
            is Decision.MoreReps
                or Decision.MoreSets
                or Decision.NextRung
                or Decision.TechniqueOn
                or Decision.LongerRest
                or Decision.MoreLoad;

    private static bool MayLose(Proposal said, Func<LineKey, LineRole> roleOf) =>
        May.Contains(said.Decision)
        && said is { ToExerciseId: null, Dose: { Scheme: null, SetsBefore: null, Sets: > FewestSets } }
        && roleOf(said.Line) != LineRole.Main;

    private static Proposal Less(Proposal said) =>
        said with
        {
            Decision = Decision.FewerSets,
            Reason = said.Reason.Then(Reason.Of("trim.set-less")),
            Dose = said.Dose with { Sets = said.Dose.Sets - 1 },
        };
}
