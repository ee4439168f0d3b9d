using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Reading;

namespace Ingegno.Core.Tests.Programs.Lines;

/// <summary>What a line says beside its dose stands in its note, all of it (common practice).</summary>
public class LeftOverTests
{
    [Theory]
    [InlineData("OHP 3x8 +2.5kg from last week", "from last week; +2.5 kg")]
    [InlineData("Squat 3x5 +2.5kg", "+2.5 kg")]
    [InlineData("Machine row 3x10 plate 8", "plate 8")]
    [InlineData("Russian twist 3x20 plate 10 kg", null)] // held, and no pin of a stack
    [InlineData("Preacher curl 3x10 + 5 half reps", "+ 5 half reps")]
    [InlineData("Pull-ups: 4 sets, stop 2 short of failure", null)] // "of" says nothing once the rest is read
    [InlineData("DL 1x5 @140 then 3x5 @120", null)]
    [InlineData("Squat 3x12 total", "total")]
    public void Nothing_is_lost_and_nothing_idle_is_kept(string line, string? note) =>
        new ShorthandParser(DomainRules.Shipped.Names).Parse(line).Lines.ShouldHaveSingleItem().Note.ShouldBe(note);

    [Fact]
    public void A_total_of_one_side_at_a_time_is_halved_and_asked()
    {
        var read = new ShorthandParser(DomainRules.Shipped.Names).Parse("Split squat 3x12 total");

        (read.Lines[0].Target.Max, read.Lines[0].PerSide).ShouldBe((6, true));
        read.Rows[0].Doubts.ShouldHaveSingleItem().Message.Code.ShouldBe("shorthand.in-all");
    }
}
