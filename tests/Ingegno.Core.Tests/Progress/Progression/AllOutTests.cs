using System.Collections.Immutable;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.Progression;

/// <summary>Two sessions at nine and more with strength falling: a lighter week for all but what still gains in them (docs/domain/progression).</summary>
public class AllOutTests
{
    private static readonly DateOnly Today = new(2026, 11, 20);

    private static readonly HomePlan Plan = Examples
        .Rebuild(
            Examples.ClientA,
            Examples.Kit("dumbbell 10 x2", "dining-table 74"),
            "Bench press 4x8",
            "Barbell row 4x8",
            "Back squat 4x8"
        )
        .Plan;

    [Theory]
    [InlineData(10, true)]
    [InlineData(9, true)]
    [InlineData(8, false)]
    public void Falling_in_two_hard_sessions_makes_a_lighter_week(int effort, bool lighter) =>
        Propose(effort, squats: [0, 0, 12, 10])
            .ShouldAllBe(
                p => (p.Decision == Decision.Deload && p.Reason.Said().StartsWith("Two sessions running")) == lighter,
                "the squat gained weeks ago"
            );

    [Fact]
    public void What_gains_in_them_goes_on() => Propose(10, squats: [13, 12, 12, 10])[2].Decision.ShouldNotBe(Decision.Deload);

    /// <summary>Bench and row fall from twelve to eight; squats as given, the newest week first, 0 for a week without.</summary>
    private static ImmutableArray<Proposal> Propose(int effort, int[] squats)
    {
        int[] others = [8, 11, 12, 12];
        var log = Enumerable
            .Range(0, 4)
            .Select(week => new LoggedSession(
                Today.AddDays(-7 * week),
                [
                    .. Plan
                        .Lines.Select((l, i) => (Line: l, Reps: i == 2 ? squats[week] : others[week]))
                        .Where(l => l.Reps > 0)
                        .Select(l => new LoggedExercise(
                            l.Line.Gym.Key,
                            l.Line.Chosen!.Exercises[0].ExerciseId,
                            [
                                .. Enumerable.Repeat(
                                    new LoggedSet
                                    {
                                        Reps = l.Reps,
                                        Rir = 1,
                                        Stamp = new SetStamp(50, 1, 8, 2),
                                    },
                                    4
                                ),
                            ]
                        )),
                ],
                week < 2 ? effort : 7
            ))
            .ToList();
        return new NextSession(DomainRules.Shipped).Propose(
            Examples.ClientA,
            Examples.Kit("dumbbell 10 x2", "dining-table 74"),
            Plan.Lines,
            log,
            Today
        );
    }
}
