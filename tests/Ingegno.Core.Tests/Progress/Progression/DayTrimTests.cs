using System.Collections.Immutable;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.Progression;

/// <summary>A day that has grown too long loses sets where least is lost: own design, worked by hand.</summary>
public class DayTrimTests
{
    private static readonly HomePlan Plan = Examples
        .Rebuild(
            Examples.ClientA with
            {
                MinutesPerSession = 240,
            },
            Examples.Kit("dumbbell 8 x2"),
            "Bench press 4x6",
            "Barbell row 4x10",
            "Dumbbell curl 4x10",
            "Dumbbell lateral raise 3x15"
        )
        .Plan;

    [Fact]
    public void The_last_accessories_give_first_and_no_more_than_is_needed()
    {
        Sets(minutesOver: 0).ShouldBe([4, 4, 4, 3]);
        Sets(minutesOver: 1).ShouldBe([4, 4, 4, 2], "a set of raises with its rest is two minutes and more");
        Sets(minutesOver: 4).ShouldBe([4, 4, 3, 2]);
        Sets(minutesOver: 60).ShouldBe([4, 3, 3, 2], "one set a line at a time, and none of a main lift");
    }

    [Theory]
    [InlineData(Decision.Wait)]
    [InlineData(Decision.Swap)]
    [InlineData(Decision.EaseIn)]
    [InlineData(Decision.Deload)]
    [InlineData(Decision.AsPlanned)]
    [InlineData(Decision.NextRung)]
    public void What_comes_before_the_minutes_stands(Decision decision) => Sets(60, decision).ShouldBe([4, 4, 4, 3]);

    [Fact]
    public void It_says_so_after_what_was_decided()
    {
        var said = Trim(60, Decision.MoreReps)[3];
        said.Decision.ShouldBe(Decision.FewerSets);
        said.Reason.Said().ShouldStartWith("As decided. The day has grown longer than the client has: one set less here");
    }

    [Fact]
    public void Two_sets_stay()
    {
        var thin = Said(Decision.Repeat).Select(p => p with { Dose = p.Dose with { Sets = 2 } });
        Trim([.. thin], 60).ShouldAllBe(p => p.Dose.Sets == 2);
    }

    /// <summary>Where no set may go, what would take longer than now waits; what takes no longer goes on.</summary>
    [Fact]
    public void What_would_take_longer_is_held_where_nothing_else_can_give()
    {
        var longer = Said(Decision.MoreLoad).Select((p, i) => i == 0 ? p with { Dose = p.Dose with { Sets = p.Dose.Sets + 1 } } : p);
        var held = Trim([.. longer], minutesOver: 0, now: Said(Decision.Wait));

        (held[0].Decision, held[0].Dose.Sets).ShouldBe((Decision.Repeat, 4));
        held[0].Reason.Said().ShouldContain("no minutes left");
        held.Skip(1).ShouldAllBe(p => p.Decision == Decision.MoreLoad, "they take no longer");
        var step = Said(Decision.NextRung).Select((p, i) => i == 0 ? p with { ToExerciseId = "one-arm-push-up", ToOneSide = true } : p);
        Trim([.. step], minutesOver: 0, now: Said(Decision.Wait))[0]
            .ToExerciseId.ShouldBeNull("both sides one after the other take longer");
    }

    private static IEnumerable<int> Sets(double minutesOver, Decision decision = Decision.Repeat) =>
        Trim(minutesOver, decision).Select(p => p.Dose.Sets);

    private static ImmutableArray<Proposal> Trim(double minutesOver, Decision decision) => Trim(Said(decision), minutesOver);

    private static ImmutableArray<Proposal> Trim(ImmutableArray<Proposal> said, double minutesOver, ImmutableArray<Proposal>? now = null)
    {
        var room = DayRoom.For(Plan.Lines, Plan.Days)!;
        room.Take(new LineKey(1), room.Left(new LineKey(1))!.Value + minutesOver);
        LineRole[] roles = [LineRole.Main, LineRole.Secondary, LineRole.Accessory, LineRole.Accessory];
        return DayTrim.Apply(said, [.. (now ?? said).Select(p => (p.Line, Home(p)))], line => roles[line.Value - 1], room);
    }

    private static ImmutableArray<Proposal> Said(Decision decision) =>
        [
            .. new[] { 4, 4, 4, 3 }.Select(
                (sets, i) =>
                    new Proposal(
                        new LineKey(i + 1),
                        $"e{i}",
                        $"e{i}",
                        decision,
                        Reason.Text("As decided."),
                        Dose(sets),
                        0,
                        string.Empty,
                        false
                    )
            ),
        ];

    private static HomeExercise Home(Proposal of) =>
        new()
        {
            ExerciseId = of.ExerciseId,
            Name = of.Name,
            SetupId = "x",
            Setup = "x",
            ExternalKg = 0,
            Dose = of.Dose,
        };

    private static Dose Dose(int sets) =>
        new()
        {
            Sets = sets,
            Target = new SetTarget(10, 10),
            Tempo = Tempo.Parse("2-0-1-0"),
            RestSeconds = 120,
            Rir = 2,
        };
}
