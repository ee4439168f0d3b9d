using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;

namespace Ingegno.Core.Tests.Programs.Lines;

/// <summary>What stands above the first day and asks for nothing is what the program is called (common practice).</summary>
public class TitleTests
{
    [Theory]
    [InlineData("Lena summer block v2 FINAL\n\nDay 1\nBench 3x8\n\nDay 2\nSquat 3x5", 2)]
    [InlineData("Strength for rowers - Oct\nMonday\nBench 3x8\nTuesday\nSquat 3x5", 2)]
    [InlineData("Squats and more, phase two\nDay 1\nBench 3x8", 1)]
    [InlineData("Boathouse program\nautumn, after the flood\nDay 1\nBench 3x8\nDay 2\nRow 3x8\nDay 3\nSquat 3x8", 3)]
    [InlineData("Hypertrophy zzyx block\nBench 3x8\nSquat 3x5", 1)]
    public void A_title_is_no_day_and_nothing_to_train(string text, int days)
    {
        var read = Parse(text);
        read.Days.Length.ShouldBe(days);
        read.Days.ShouldAllBe(d => d.Name.Length > 0 || days == 1);
        read.Errors.ShouldBeEmpty();
        read.Kept.ShouldBeEmpty();
        read.Rows[0].Kind.ShouldBe(RowKind.Comment);
    }

    [Theory]
    [InlineData("Bench 3x8\nDay 2\nSquat 3x5", 2)]
    [InlineData("Flying carpet 3x8\nDay 2\nSquat 3x5", 2)]
    [InlineData("Back squat\nDay 2\nSquat 3x5", 2)]
    public void What_asks_for_work_or_is_an_exercises_own_name_is_no_title(string text, int days) => Parse(text).Days.Length.ShouldBe(days);

    [Fact]
    public void Work_that_is_known_by_its_words_stays_work_where_there_are_no_days() =>
        Parse("Easy run\nBench 3x8").Kept.ShouldHaveSingleItem().Text.ShouldBe("Easy run");

    private static ShorthandResult Parse(string text) => new ShorthandParser(DomainRules.Shipped.Names).Parse(text);
}
