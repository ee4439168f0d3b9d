using CsCheck;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.Logs;

/// <summary>What messages say of pain (common practice): every word of it is kept at its joint, no rep becomes a score and no score a rep.</summary>
public sealed class PainTalkTests
{
    private static readonly LogMessage Reader = new(
        Examples
            .Rebuild(
                Examples.ClientA,
                Examples.Kit("dumbbell 14 x2"),
                "Split squat 3x10",
                "Single-leg Romanian deadlift 3x8",
                "Floor press 4x8",
                "Calf raise 2x18",
                "One-arm dumbbell row 3x10"
            )
            .Plan,
        DomainRules.Shipped
    );

    /// <summary>What hurts: joint and score; and what the fields of the log then read.</summary>
    [Theory]
    [InlineData("floor press 10 9 8, no pain", "", "10,9,8")]
    [InlineData("floor press 10 9 8. no knee pain at all", "", "10,9,8")]
    [InlineData("floor press 10 9 8, pain free", "", "10,9,8")]
    [InlineData("floor press 10 9 8, nothing hurt", "", "10,9,8")]
    [InlineData("floor press 10 9 8 and my shoulder didn't hurt", "", "10,9,8")]
    [InlineData("floor press 10 9 8 shoulder pain: none", "", "10,9,8")]
    [InlineData("floor press 10 9 8, pain 0/10", "", "10,9,8")]
    [InlineData("floor press 12 11 10. No chest pain or anything, felt great", "", "12,11,10")]
    [InlineData("floor press 12 11 10, no energy, knee pain 4", "knee 4", "12,11,10 p4 knee")]
    [InlineData("rows 10 10 10, back is killing me", "low-back ?", "10,10,10 p? low back")]
    [InlineData("rows 10 10 10, killing it today", "", "10,10,10")]
    [InlineData("single leg rdl skipped - back twinge 3/10", "low-back 3", "0 p3 low back")]
    [InlineData("my shoulder hurt a bit on floor press, 8 8 8 8", "shoulder ?", "8,8,8,8 p? shoulder")]
    [InlineData("knee pain 4/10 on split squats, 10 10 9", "knee 4", "10,10,9 p4 knee")]
    [InlineData("calves 18,18 knee pain 4", "knee 4", "18,18 p4 knee")]
    [InlineData("calf raise 18 18, knee 5/10", "knee 5", "18,18 p5 knee")]
    [InlineData("split squats 10 10 9 unbearable pain in hip", "hip 7?", "10,10,9 p7 hip")]
    [InlineData("split squats 10 10 9, knee really painful", "knee 7?", "10,10,9 p7 knee")]
    [InlineData("rows 10 10 10, elbow sore 2", "elbow 2", "10,10,10 p2 elbow")]
    [InlineData("rows 10 10 10 sharp pain in the wrist 5", "wrist 5", "10,10,10 p5 wrist sharp")]
    [InlineData("rows 10 10 10, 3/10 pain in my left elbow", "elbow 3", "10,10,10 p3 elbow")]
    [InlineData("rows 10,10,9. quads sore from Monday", "", "10,10,9")]
    [InlineData("split squats knee pain 10 10 9", "knee ?", "10,10,9 p? knee")]
    [InlineData("split squats 10 10 9; hurts 6", "- 6", "10,10,9 p6")]
    [InlineData("split squats 10 10 9, my knee was a bit sore, maybe 2 out of 10", "knee ?", "10,10,9 p? knee")]
    [InlineData("floor press 9 9 9 9, neck hurts", "neck ?", "9,9,9,9 p? neck")]
    [InlineData("split squats left out, knee hurt 4", "knee 4", "0 p4 knee")]
    [InlineData("pain 3 knee, split squats 10 10 10", "knee 3", "10,10,10")]
    public void Pain_is_read_with_its_joint_and_its_figure(string text, string hurts, string fields)
    {
        var read = Reader.Read(text);
        string.Join("; ", read.Pains.Select(Named)).ShouldBe(hurts);
        string.Join("; ", read.Parts.Select(p => p.Text)).ShouldBe(fields);
    }

    [Theory]
    [InlineData("lower back hurts 6", "low-back 6")]
    [InlineData("unbearable pain in hip", "hip 7?")]
    public void What_has_no_place_stands_apart_and_in_the_note(string text, string hurts)
    {
        var read = Reader.Read(text);
        read.Pains.ShouldHaveSingleItem().ExerciseId.ShouldBeNull();
        Named(read.Pains[0]).ShouldBe(hurts);
        read.Note.ShouldBe(text);
    }

    [Fact]
    public void A_line_has_room_for_one_pain_and_the_others_stay_in_the_note()
    {
        var read = Reader.Read("floor press 8 8 8 8, shoulder pain 4, elbow pain 2");
        read.Parts.ShouldHaveSingleItem().Text.ShouldBe("8,8,8,8 p4 shoulder");
        read.Pains.Length.ShouldBe(2);
        read.Note.ShouldBe("elbow pain 2");
    }

    [Fact]
    public void Pain_without_a_figure_cannot_be_logged_before_it_is_asked()
    {
        LogShorthand.Read("8,8,8 p? shoulder").Error!.Code.ShouldBe("log.pain-asked");
        LogShorthand.Read("8,8,8 p3 shoulder").Error.ShouldBeNull();
    }

    /// <summary>Whatever stands around them, the sets of a line are what they are without the pain, and the pain without the sets.</summary>
    [Fact]
    public void Sets_and_pain_do_not_touch_each_other() =>
        Gen.Select(
                Gen.Int[3, 20].List[1, 5],
                Gen.OneOfConst("knee", "shoulder", "lower back", "left elbow", "wrist", "hip", "right ankle", "neck"),
                Gen.Int[1, 10],
                Gen.OneOfConst("{0} pain {1}/10", "{0} hurts {1}/10", "pain {1}/10 in the {0}", "{0} was sore, {1}/10 pain", "{0} {1}/10"),
                Gen.Bool
            )
            .Sample(
                (reps, joint, score, form, first) =>
                {
                    var pain = string.Format(System.Globalization.CultureInfo.InvariantCulture, form, joint, score);
                    var sets = $"floor press {string.Join(' ', reps)}";
                    var read = Reader.Read(first ? $"{pain}. {sets}" : $"{sets}, {pain}");
                    var part = read.Parts.ShouldHaveSingleItem($"{sets} | {pain}");
                    LogShorthand.Read(part.Text).Sets.Select(s => s.Reps).ShouldBe(reps, $"{sets} | {pain}");
                    read.Pains.ShouldContain(p => p.Score == score, $"{sets} | {pain}");
                },
                iter: 400
            );

    private static string Named(MessagePain pain) =>
        $"{(pain.Where is { } joint ? System.Text.Json.JsonNamingPolicy.KebabCaseLower.ConvertName(joint.ToString()) : "-")} {pain.Score?.ToString(System.Globalization.CultureInfo.InvariantCulture) ?? string.Empty}{(pain.Asks ? "?" : string.Empty)}";
}
