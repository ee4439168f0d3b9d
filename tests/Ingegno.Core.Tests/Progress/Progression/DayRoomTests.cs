using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.Progression;

/// <summary>Minutes that are left of a day, and who takes them.</summary>
public class DayRoomTests
{
    private static readonly HomePlan Plan = Examples
        .Rebuild(
            Examples.ClientA with
            {
                MinutesPerSession = 40,
            },
            Examples.KitOf("2x 12 kg dumbbell"),
            "= One",
            "Push-up 3x10",
            "Biceps curl 3x12",
            "= Two",
            "Goblet squat 3x10"
        )
        .Plan;

    private static readonly LineKey Push = Plan.Lines[0].Gym.Key,
        Curl = Plan.Lines[1].Gym.Key,
        Squat = Plan.Lines[2].Gym.Key;

    [Fact]
    public void What_one_line_takes_its_day_has_no_more_and_other_days_keep_theirs()
    {
        var room = DayRoom.For(Plan.Lines, Plan.Days)!;
        var (one, two) = (40 - Plan.Days[0].Minutes.Total, 40 - Plan.Days[1].Minutes.Total);
        room.Left(Push).ShouldBe(one);

        room.Take(Curl, 2.5);
        (room.Left(Push), room.Left(Squat)).ShouldBe((one - 2.5, two));
        room.Take(Push, -1);
        room.Left(Curl).ShouldBe(one - 1.5);
        room.Take(new LineKey(99), 5);
        room.Left(new LineKey(99)).ShouldBeNull();
    }

    [Fact]
    public void Without_minutes_there_is_no_limit()
    {
        DayRoom.For(Plan.Lines, null).ShouldBeNull();
        var free = Plan.Days.Select(d => d with { Minutes = d.Minutes with { Limit = null } }).ToList();
        DayRoom.For(Plan.Lines, free).ShouldBeNull();
        var half = DayRoom.For(Plan.Lines, [free[0], Plan.Days[1]])!;
        half.Left(Push).ShouldBeNull();
        half.Left(Squat).ShouldNotBeNull();
    }
}
