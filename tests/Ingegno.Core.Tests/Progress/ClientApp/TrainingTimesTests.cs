using Ingegno.Core.Progress.ClientApp;

namespace Ingegno.Core.Tests.Progress.ClientApp;

/// <summary>Days that nobody chose: apart from one another as far as the week reaches (common practice).</summary>
public class TrainingTimesTests
{
    [Theory]
    [InlineData(1, "Monday")]
    [InlineData(2, "Monday Thursday")]
    [InlineData(3, "Monday Wednesday Friday")]
    [InlineData(4, "Monday Tuesday Thursday Friday")]
    [InlineData(5, "Monday Tuesday Wednesday Thursday Friday")]
    [InlineData(9, "Monday Tuesday Wednesday Thursday Friday Saturday Sunday")]
    [InlineData(0, "")]
    public void Days_lie_apart_as_far_as_the_week_reaches(int days, string weekdays)
    {
        var usual = TrainingTimes.Usual(days);

        string.Join(' ', usual.Select(t => t.Weekday)).ShouldBe(weekdays);
        usual.Select(t => t.Day).ShouldBe(Enumerable.Range(0, usual.Length));
        usual.ShouldAllBe(t => t.At == new TimeOnly(18, 0));
    }
}
