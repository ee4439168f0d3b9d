using CsCheck;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.Logs;

/// <summary>Logged sets as a coach types them.</summary>
public class LogShorthandTests
{
    [Theory]
    [InlineData("12,11,10 @8kg r1", "12@8 r1|11@8 r1|10@8 r1")]
    [InlineData("12 11 10", "12 r|11 r|10 r")]
    [InlineData("3x12 @ 8 kg RIR 2", "12@8 r2|12@8 r2|12@8 r2")]
    [InlineData("12@8,10@6 r0", "12@8 r0|10@6 r0")]
    [InlineData("12,11,10 r2,1,0", "12 r2|11 r1|10 r0")]
    [InlineData("40s,35s", "40 r|35 r")]
    [InlineData("10 @18lb", "10@8.16 r")]
    [InlineData("8,8 @12.5kg", "8@12.5 r|8@12.5 r")]
    [InlineData("2x12,9 r1", "12 r1|12 r1|9 r1")]
    public void What_is_typed_is_read(string text, string sets) =>
        string.Join(
                '|',
                LogShorthand.Read(text).Sets.Select(s => $"{s.Reps}{(s.LoadKg is { } kg ? $"@{Words.Number(kg, 2)}" : "")} r{s.Rir}")
            )
            .ShouldBe(sets, LogShorthand.Read(text).Error?.Said());

    /// <summary>Of several pains the worst is written; none is not; a reserve that one set has not is a dash.</summary>
    [Fact]
    public void The_worst_pain_and_every_reserve_are_written()
    {
        LoggedSet Set(int reps, int? pain = null, Joint? joint = null, int? rir = null) =>
            new()
            {
                Reps = reps,
                Pain = pain,
                PainJoint = joint,
                Rir = rir,
            };

        LogShorthand.Write([Set(12, 2, Joint.Knee), Set(11, 5, Joint.Hip), Set(10, 3)]).ShouldBe("12,11,10 p5 hip");
        LogShorthand.Write([Set(12, 0), Set(11, 0)]).ShouldBe("12,11");
        LogShorthand.Write([Set(12, rir: 2), Set(11), Set(10, rir: 0)]).ShouldBe("12,11,10 r2,-,0");
        LogShorthand.Read("12,11,10 r2,-,0").Sets.Select(s => s.Rir).ShouldBe([2, null, 0]);
    }

    [Theory]
    [InlineData("12,10 p3 knee", 3, Joint.Knee, false)]
    [InlineData("12,10 @8kg r1 pain 6 low back sharp", 6, Joint.LowBack, true)]
    [InlineData("12,10 p2", 2, null, false)]
    public void Pain_goes_with_the_last_set(string text, int pain, Joint? joint, bool sharp)
    {
        var sets = LogShorthand.Read(text).Sets;

        sets[0].Pain.ShouldBeNull();
        (sets[^1].Pain, sets[^1].PainJoint, sets[^1].Sharp).ShouldBe((pain, joint, sharp));
    }

    [Theory]
    [InlineData("", "no reps")]
    [InlineData("@8kg r1", "no reps")]
    [InlineData("a lot", "\"a\" is no set")]
    [InlineData("12,10 r2,1,0", "3 figures in reserve for 2 sets")]
    [InlineData("12 r11", "between 0 and 10")]
    [InlineData("12 p11", "from 0 to 10")]
    [InlineData("600", "between 0 and 500")]
    [InlineData("12 @900kg", "between 0 and 500 kg")]
    [InlineData("31x5", "at most 30 sets")]
    [InlineData("12,-3", "\"-3\" is no set")]
    public void What_cannot_be_read_is_said_with_an_example(string text, string says)
    {
        var read = LogShorthand.Read(text);

        read.Sets.ShouldBeEmpty();
        read.Error.ShouldNotBeNull().Said().ShouldContain(says);
        read.Error.Said().ShouldContain("12,11,10 @8kg r1");
    }

    [Fact]
    public void What_is_written_is_read_again() =>
        Gen.Select(Gen.Int[0, 60], Gen.Int[1, 400], Gen.Int[0, 5])
            .Select(
                (reps, load, rir) =>
                    new LoggedSet
                    {
                        Reps = reps,
                        LoadKg = load / 4.0,
                        Rir = rir,
                    }
            )
            .Array[1, 8]
            .Sample(sets => LogShorthand.Read(LogShorthand.Write([.. sets])).Sets.SequenceEqual(sets));

    [Fact]
    public void Anything_at_all_is_read_or_refused() =>
        Gen.String[Gen.Char["0123456789,.@xrpkgs -×é"], 0, 40]
            .Sample(text => LogShorthand.Read(text) is { } read && (read.Error is null) != read.Sets.IsEmpty);
}
