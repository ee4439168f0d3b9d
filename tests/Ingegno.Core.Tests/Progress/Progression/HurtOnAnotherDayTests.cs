using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.Progression;

/// <summary>A goblet squat on two days of the week: what hurt on the one is not done unchanged on the other (common practice).</summary>
public class HurtOnAnotherDayTests
{
    private static readonly DateOnly Monday = new(2026, 3, 2);

    private static readonly RebuildRequest Request = new()
    {
        Client = Examples.ClientA,
        Kit = Examples.KitOf("16 kg kettlebell; chair 45 cm"),
        GymLines = ["= A", "Goblet squat 3x10", "= B", "Goblet squat 3x10", "Bench press 3x8"],
    };

    private static readonly HomePlan Plan = new RebuildEngine(DomainRules.Shipped).Rebuild(Request).Plan;

    [Theory]
    [InlineData(6, Decision.Swap)]
    [InlineData(3, Decision.Repeat)]
    public void What_hurt_on_one_day_is_stopped_or_held_on_the_other(int pain, Decision other)
    {
        var said = Review(Day(0, Monday, pain), Day(1, Monday.AddDays(-2), 0), Day(2, Monday.AddDays(-2), 0));

        said[0].Decision.ShouldBe(pain >= 5 ? Decision.Swap : Decision.Ease);
        said[1].Decision.ShouldBe(other);
        said[1].Reason.Code.ShouldBe("pain.other-day");
        said[1].Joint.ShouldBe(said[0].Joint);
        said[2].Reason.Code.ShouldNotBe("pain.other-day", "another exercise has nothing to do with it");
    }

    [Fact]
    public void What_was_stopped_is_stopped_where_it_was_never_done_and_held_nowhere_before_it_was_done()
    {
        Review(Day(0, Monday, 6))[1].Decision.ShouldBe(Decision.Swap);
        Review(Day(0, Monday, 3))[1].Decision.ShouldBe(Decision.Wait);
    }

    /// <summary>After a fortnight the week comes back lighter; what hurt a little elsewhere does not undo that.</summary>
    [Fact]
    public void What_gets_lighter_anyway_stands()
    {
        var away = new NextSession(DomainRules.Shipped).Propose(
            Request.Client,
            Request.Kit,
            Plan.Lines,
            [Day(0, Monday, 3), Day(1, Monday.AddDays(-2), 0)],
            Monday.AddDays(14)
        );
        away[1].Decision.ShouldBe(Decision.EaseIn);
    }

    [Fact]
    public void What_was_done_since_without_pain_has_its_own_answer() =>
        Review(Day(0, Monday, 6), Day(1, Monday.AddDays(2), 0))[1].Reason.Code.ShouldNotBe("pain.other-day");

    [Fact]
    public void What_hurt_on_the_same_day_counts() => Review(Day(0, Monday, 6), Day(1, Monday, 0))[1].Decision.ShouldBe(Decision.Swap);

    private static Proposal[] Review(params LoggedSession[] log) =>
        [.. new NextSession(DomainRules.Shipped).Propose(Request.Client, Request.Kit, Plan.Lines, log, Monday.AddDays(3))];

    private static LoggedSession Day(int line, DateOnly day, int pain)
    {
        var (key, home) = (Plan.Lines[line].Gym.Key, Plan.Lines[line].Chosen!.Exercises[0]);
        LoggedSet set = new()
        {
            Reps = home.Dose.Target.Max,
            Rir = 2,
            Pain = pain,
            PainJoint = pain > 0 ? Joint.LowBack : null,
        };
        return new LoggedSession(day, [new LoggedExercise(key, home.ExerciseId, [set, set, set])]);
    }
}
