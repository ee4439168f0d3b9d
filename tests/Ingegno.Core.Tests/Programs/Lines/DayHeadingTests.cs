using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;

namespace Ingegno.Core.Tests.Programs.Lines;

public class DayHeadingTests
{
    [Theory]
    [InlineData("= Upper body", "Upper body")]
    [InlineData("= Upper body =", "Upper body")]
    [InlineData("Day 2: pull", "Day 2: pull")]
    [InlineData("day A", "day A")]
    [InlineData("Monday", "Monday")]
    [InlineData("Wed – legs:", "Wed – legs")]
    [InlineData("Session 3", "Session 3")]
    [InlineData("=", "Day")]
    [Trait("source", "common practice: how coaches head a training day")]
    public void Headings_of_days_are_read(string line, string name) => DayHeading.Day(line).ShouldBe(name);

    [Theory]
    [InlineData("Bench press 4x8")]
    [InlineData("Sunday walk 3x10 min")]
    [InlineData("Daylight 3x8")]
    [InlineData("Monkey bar hang 3x30 s")]
    [InlineData("Friends hold hands")]
    [InlineData("== Week 2")]
    public void Other_lines_are_no_days(string line) => DayHeading.Day(line).ShouldBeNull();

    [Theory]
    [InlineData("== Week 2", "Week 2")]
    [InlineData("Week 3:", "Week 3")]
    [InlineData("week 10 deload", "week 10 deload")]
    public void Headings_of_weeks_are_read(string line, string name) => DayHeading.Week(line).ShouldBe(name);

    [Fact]
    public void Lines_belong_to_the_day_above_them()
    {
        var read = new ShorthandParser(DomainRules.Shipped.Names).Parse(
            "Plank 3x30 s\n= Push\nBench press 4x8\n\n= Pull\nBarbell row 4x8\nLat pulldown 3x10"
        );

        read.Errors.ShouldBeEmpty();
        read.Days.Select(d => (d.Name, d.Line)).ShouldBe([("", 0), ("Push", 2), ("Pull", 5)]);
        read.Lines.Select(l => l.Day).ShouldBe([0, 1, 2, 2]);
    }

    [Fact]
    public void Two_days_of_one_name_are_told_apart() =>
        new ShorthandParser(DomainRules.Shipped.Names)
            .Parse("= Upper\nBench press 4x8\n= Upper\nBarbell row 4x8")
            .Days.Select(d => d.Name)
            .ShouldBe(["Upper", "Upper (2)"]);

    [Fact]
    public void A_second_week_is_a_week_of_its_own_and_the_lines_are_those_of_the_first()
    {
        var read = new ShorthandParser(DomainRules.Shipped.Names).Parse("= A\nBench press 4x8\n== Week 2\n= A\nBench press 4x9");

        read.Errors.ShouldBeEmpty();
        read.Weeks.Select(w => w.Name).ShouldBe(["Week 1", "Week 2"]);
        read.Weeks[1].Text.ShouldBe("= A\nBench press 4x9");
        read.Lines.ShouldHaveSingleItem().Target.Max.ShouldBe(8);
    }

    [Fact]
    public void A_heading_is_cut_to_a_sensible_length() =>
        DayHeading.Day("= " + new string('x', 500))!.Length.ShouldBe(DayHeading.NameLength);
}
