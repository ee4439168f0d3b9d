using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Programs.Lines;

/// <summary>What a line is for, from where it stands and what it asks for (common practice); each limit from both sides.</summary>
public class RoleOfLineTests
{
    [Theory]
    [InlineData(0, 12, LineRole.Main)]
    [InlineData(0, 13, LineRole.Secondary)]
    [InlineData(1, 8, LineRole.Main)]
    [InlineData(1, 9, LineRole.Secondary)]
    [InlineData(2, 8, LineRole.Main)]
    [InlineData(3, 8, LineRole.Accessory)]
    public void A_compound_line_is_judged_by_place_and_reps(int position, int reps, LineRole role) =>
        Of("back-squat", new SetTarget(reps, reps), position, 6).ShouldBe(role);

    [Theory]
    [InlineData(6, LineRole.Accessory)]
    [InlineData(7, LineRole.Secondary)]
    public void The_first_half_of_a_day_is_secondary_the_middle_line_of_an_odd_day_too(int lines, LineRole role) =>
        Of("back-squat", new SetTarget(10, 10), 3, lines).ShouldBe(role);

    [Fact]
    public void The_lower_end_of_a_range_says_how_heavy_a_line_is()
    {
        Of("back-squat", new SetTarget(8, 12), 1, 6).ShouldBe(LineRole.Main);
        Of("back-squat", new SetTarget(8, 15), 0, 6).ShouldBe(LineRole.Main);
    }

    [Fact]
    public void As_many_as_possible_is_not_heavy_where_other_lines_come_first() =>
        Of("push-up", SetTarget.Open, 1, 6).ShouldBe(LineRole.Secondary);

    [Fact]
    public void Small_muscles_are_accessory_wherever_they_stand() =>
        Of("barbell-curl", new SetTarget(5, 5), 0, 6).ShouldBe(LineRole.Accessory);

    private static LineRole Of(string id, SetTarget target, int position, int count)
    {
        var line = new GymLine
        {
            Line = 1,
            ExerciseId = id,
            Name = id,
            Sets = 3,
            Target = target,
        };
        return RoleOfLine.Infer(line, Examples.Exercise(id), position, count);
    }
}
