using System.Collections.Immutable;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Progress.ClientApp;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.ClientApp;

/// <summary>What a session from a phone tells the coach, worked out by hand.</summary>
public class ClientAppReportTests
{
    private static readonly Release Sent = Write();

    private static readonly ReleaseExercise First = Sent.Days[0].Exercises[0];

    private static readonly ReleaseExercise Second = Sent.Days[0].Exercises[1];

    [Fact]
    public void A_session_as_planned_has_nothing_to_remark()
    {
        var report = Of(Done(First, Set(8), Set(8)), Done(Second, Set(10)));

        report.Remarks().ShouldBeEmpty();
        report
            .Lines()
            .Select(l => (l.Name, l.Planned, l.InPlaceOf))
            .ShouldBe([(First.Name, First.Figures, null), (Second.Name, Second.Figures, null)]);
        report.Lines()[0].Sets.ShouldBe("8,8");
    }

    [Fact]
    public void The_gravest_comes_first()
    {
        var report = new ClientAppReport(
            Sent,
            Session(Done(First, Set(8)) with { Skipped = false }, Done(Second) with { Skipped = true }, Done(Second, Set(5, pain: 6))) with
            {
                Note = "Is Friday fine?",
                Effort = 10,
            }
        );

        report
            .Remarks()
            .Select(r => r.Kind)
            .ShouldBe([ClientAppRemarkKind.Stopped, ClientAppRemarkKind.Asks, ClientAppRemarkKind.LeftOut, ClientAppRemarkKind.Felt]);
    }

    [Theory]
    [Trait("source", "common practice: three and four are eased, five and more and whatever is sharp stop the line")]
    [InlineData(0, false, false, null)]
    [InlineData(1, false, false, ClientAppRemarkKind.Hurts)]
    [InlineData(4, false, false, ClientAppRemarkKind.Hurts)]
    [InlineData(5, false, false, ClientAppRemarkKind.Stopped)]
    [InlineData(1, true, false, ClientAppRemarkKind.Stopped)]
    [InlineData(2, false, true, ClientAppRemarkKind.Stopped)]
    public void Pain_is_told_by_how_grave_it_is(int pain, bool sharp, bool stopped, ClientAppRemarkKind? kind)
    {
        var report = Of(Done(First, Set(8), Set(7, pain, sharp)) with { Stopped = stopped });

        report.Remarks().Select(r => (ClientAppRemarkKind?)r.Kind).FirstOrDefault().ShouldBe(kind);
    }

    [Fact]
    public void Yes_it_hurt_is_told_and_asked_about_though_no_more_was_said()
    {
        var report = Of(Done(First, Set(8), Set(7) with { Hurts = true }));

        report.Remarks().ShouldHaveSingleItem().Kind.ShouldBe(ClientAppRemarkKind.Hurts);
        LogShorthand.Write([Set(8), Set(7) with { Hurts = true }]).ShouldBe("8,7 p?", "it cannot be logged before somebody has asked");
    }

    [Fact]
    public void The_worst_set_is_told_with_its_joint()
    {
        var worst = Of(Done(First, Set(8, 2), Set(7, 4) with { PainJoint = Joint.Knee }, Set(7, 3)))
            .Remarks()
            .ShouldHaveSingleItem()
            .Text.Said();

        worst.ShouldContain("4");
        worst.ShouldContain("knee");
        worst.ShouldContain(First.Name);
    }

    [Theory]
    [InlineData(8, false)]
    [InlineData(9, true)]
    public void What_was_very_hard_is_told(int effort, bool told) =>
        new ClientAppReport(Sent, Session(Done(First, Set(8))) with { Effort = effort }).Remarks().Any().ShouldBe(told);

    [Fact]
    public void Who_feels_fine_says_nothing_and_who_hurts_before_does()
    {
        new ClientAppReport(Sent, Session(Done(First, Set(8))) with { Form = "fine" }).Remarks().ShouldBeEmpty();
        new ClientAppReport(Sent, Session(Done(First, Set(8))) with { Form = Sent.Forms.First(f => f.Id != "fine").Id })
            .Remarks()
            .ShouldHaveSingleItem()
            .Kind.ShouldBe(ClientAppRemarkKind.Felt);
        new ClientAppReport(Sent, Session(Done(First, Set(8))) with { Hurts = Joint.Elbow })
            .Remarks()
            .ShouldHaveSingleItem()
            .Text.Said()
            .ShouldContain("elbow");
    }

    [Fact]
    public void Another_exercise_is_told_by_both_names()
    {
        var other = First.Alternatives[0].Exercise;
        var report = Of(Done(other, Set(8)) with { Line = First.Line, InPlaceOf = First.ExerciseId, Why = SwapReason.Hurts });

        var remark = report.Remarks().ShouldHaveSingleItem();
        remark.Kind.ShouldBe(ClientAppRemarkKind.Swapped);
        remark.Text.Said().ShouldContain(other.Name);
        remark.Text.Said().ShouldContain(First.Name);
        report.Lines().Single().InPlaceOf.ShouldBe(First.Name);
    }

    [Fact]
    public void A_figure_that_was_asked_about_and_meant_is_told()
    {
        var remark = Of(Done(First, Set(8), Set(40)) with { Meant = [2] }).Remarks().ShouldHaveSingleItem();

        (remark.Kind, remark.Text.Code).ShouldBe((ClientAppRemarkKind.Doubted, "came-in.meant"));
        Of(Done(First, Set(8), Set(40))).Remarks().ShouldBeEmpty();
    }

    [Fact]
    public void What_was_skipped_is_not_in_the_log() =>
        Session(Done(First, Set(8), Set(7)), Done(Second) with { Skipped = true })
            .Logged()
            .Select(e => (e.Line, e.ExerciseId, e.Sets.Length))
            .ShouldBe([(First.Line, First.ExerciseId, 2)]);

    [Fact]
    public void A_shorter_way_is_left_out_and_the_full_one_is_not()
    {
        Sent.Days[0].Courses.Length.ShouldBeGreaterThan(1, "or the case shows nothing");

        new ClientAppReport(Sent, Session(Done(First, Set(8))) with { Course = 1 })
            .Remarks()
            .ShouldHaveSingleItem()
            .Kind.ShouldBe(ClientAppRemarkKind.LeftOut);
        new ClientAppReport(Sent, Session(Done(First, Set(8))) with { Course = 0 }).Remarks().ShouldBeEmpty();
        new ClientAppReport(Sent, Session(Done(First, Set(8))) with { Course = 1 }).SetsPlanned.ShouldBeLessThan(
            Of(Done(First, Set(8))).SetsPlanned
        );
    }

    [Fact]
    public void A_session_that_ran_past_its_release_is_read_all_the_same()
    {
        var report = new ClientAppReport(
            Sent,
            Session(new ClientAppExercise(First.Line, "what-nobody-sent", [Set(5)])) with
            {
                Course = 99,
            }
        );

        report.Lines().Single().ShouldBe(new ClientAppLine("what-nobody-sent", "what-nobody-sent", null, "5", null));
        report.SetsPlanned.ShouldBe(Sent.Days[0].Courses[^1].Turns.Length);
    }

    private static ClientAppReport Of(params ClientAppExercise[] done) => new(Sent, Session(done));

    private static ClientAppSession Session(params ClientAppExercise[] done) =>
        new()
        {
            Key = "a",
            Revision = 1,
            Release = 1,
            Day = 0,
            StartedAt = new Moment(new DateOnly(2026, 11, 2), new TimeOnly(18, 0), 0),
            SentAt = new Moment(new DateOnly(2026, 11, 2), new TimeOnly(19, 0), 0),
            Finished = true,
            Exercises = [.. done],
        };

    private static ClientAppExercise Done(ReleaseExercise exercise, params LoggedSet[] sets) =>
        new(exercise.Line, exercise.ExerciseId, [.. sets]);

    private static LoggedSet Set(int reps, int? pain = null, bool sharp = false) =>
        new()
        {
            Reps = reps,
            Pain = pain,
            Sharp = sharp,
        };

    private static Release Write()
    {
        var request = new RebuildRequest
        {
            Client = Examples.ClientA with { MinutesPerSession = 60 },
            Kit = Examples.KitOf("2 dumbbells 20 kg;pull-up bar;bench 44 cm;loop band 22 mm"),
            GymLines =
            [
                "= A",
                "Bench press 4x8",
                "Barbell row 4x8",
                "Back squat 4x8",
                "Overhead press 3x10",
                "Barbell curl 3x12",
                "Plank 3x40 s",
            ],
        };
        return new ReleaseWriter(DomainRules.Shipped).Write(
            "Week 1",
            request,
            new RebuildEngine(DomainRules.Shipped).Rebuild(request).Plan,
            string.Empty
        );
    }
}
