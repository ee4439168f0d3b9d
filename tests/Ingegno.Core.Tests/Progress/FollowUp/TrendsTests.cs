using System.Collections.Immutable;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.FollowUp;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.FollowUp;

public class TrendsTests
{
    private static readonly DateOnly Today = new(2026, 11, 20);

    [Fact]
    public void Estimated_strength_rises_with_the_log_and_its_band_narrows()
    {
        var lift = Of(Log(8, 9, 10, 11)).Lifts.Single();

        lift.Points.Length.ShouldBe(4);
        lift.Points.Select(p => p.EstimateKg).ShouldBeInOrder(SortDirection.Ascending);
        lift.Points.ShouldAllBe(p => p.LowKg < p.EstimateKg && p.EstimateKg < p.HighKg);
        (lift.Points[3].HighKg - lift.Points[3].LowKg).ShouldBeLessThan(lift.Points[0].HighKg - lift.Points[0].LowKg);
        lift.Change.ShouldBeGreaterThan(0);
        lift.Points[3].BestSet.ShouldBe("11 r2");
        lift.Points[0].SeenKg.ShouldBe(80 * (1 + (10 / 30.0)), 0.05, "eight and two in reserve at 80 kg, by the middle curve");
    }

    [Fact]
    public void Strength_is_said_plainly_in_each_hand_on_the_bar_or_in_reps()
    {
        var said = new PlainStrength(Examples.ClientA, DomainRules.Shipped);
        string? Of(string exercise, double low, double high) => said.Of(DomainRules.Shipped.Catalogue.Find(exercise)!, low, high)?.Said();

        // The lying press moves what is in the hands and nothing of the body: 48-56 kg are 24-28 kg in each.
        Of("dumbbell-floor-press", 48, 56).ShouldBe("about 24–28 kg in each hand for one rep");
        Of("bench-press", 80, 88).ShouldBe("about 80–88 kg on the bar for one rep");
        Of("push-up", 60, 70).ShouldBeNull("its load follows the heights of hands and feet");
        Of("single-leg-romanian-deadlift", 60, 64).ShouldBeNull("a bar is one of its ways, and seldom the one");
    }

    /// <summary>On the forearms the body alone is the load: so many reps of it, unless that is none, or past what anybody counts.</summary>
    [Theory]
    [InlineData("forearm-push-up", 60, 66, true)]
    [InlineData("forearm-push-up", 20, 66, false)] // less than the body
    [InlineData("forearm-push-up", 60, 200, false)] // past thirty
    [InlineData("hands-raised-push-up", 60, 66, false)] // follows the height
    [InlineData("band-assisted-pull-up", 80, 90, false)]
    [InlineData("plank", 60, 66, false)]
    public void Where_the_body_alone_is_the_load_strength_is_said_in_reps(string exercise, double low, double high, bool inReps)
    {
        var said = new PlainStrength(Examples.ClientA, DomainRules.Shipped).Of(DomainRules.Shipped.Catalogue.Get(exercise), low, high);

        (said?.Code == "plainly.reps").ShouldBe(inReps, said?.Said());
        if (inReps)
        {
            said!.Said().ShouldEndWith("reps with nothing added");
        }
    }

    [Fact]
    public void A_named_formula_takes_the_place_of_the_curve() =>
        Of(Log(8, 9), RepMaxFormula.Find("lombardi")).Lifts.Single().Points[0].SeenKg.ShouldBe(Math.Round(80 * Math.Pow(10, 0.1), 1));

    [Fact]
    public void Weeks_count_sessions_sets_and_what_was_reached()
    {
        var trends = Of(Log(8, 9, 7));

        trends.Weeks.Length.ShouldBe(3);
        trends.Weeks.ShouldAllBe(w => w.Sets == 3 && w.PlannedSets == 4 && w.Sessions == 1);
        trends.Weeks.Select(w => w.ReachedSets).ShouldBe([3, 3, 0], "eight were planned");
        trends.Weeks[0].HardSets.Single(h => h.Muscle == Muscle.MidChest).Sets.ShouldBe(3);
        trends.Adherence!.Value.ShouldBe(3 / 7.0, 0.01, "1 of 3 in two weeks that are over, 1 of 1 in the one that is not");
    }

    [Fact]
    public void A_week_without_a_session_is_a_week_all_the_same()
    {
        var log = Log(8, 9, 10).RemoveAt(1);
        Of(log).Weeks.Select(w => w.Sessions).ShouldBe([1, 0, 1]);
    }

    [Fact]
    public void Pain_is_shown_in_its_week()
    {
        var log = Log(8);
        var hurt = log[0].Session.Exercises[0] with
        {
            Sets = [log[0].Session.Exercises[0].Sets[0] with { Pain = 4, PainJoint = Joint.Shoulder }],
        };
        var week = Of([log[0] with { Session = log[0].Session with { Exercises = [hurt] } }]).Weeks.Single();

        (week.WorstPain, week.PainJoint).ShouldBe((4, Joint.Shoulder));
    }

    [Fact]
    public void Nothing_logged_shows_nothing()
    {
        var nothing = Of([]);
        (nothing.Lifts.IsEmpty, nothing.Weeks.IsEmpty, nothing.Adherence).ShouldBe((true, true, null));
    }

    /// <summary>One session of push-ups a week, oldest first, the last one today.</summary>
    private static ImmutableArray<SessionBesidePlan> Log(params int[] reps) =>
        [
            .. reps.Select(
                (r, i) =>
                    new SessionBesidePlan(
                        new LoggedSession(
                            Today.AddDays(-7 * (reps.Length - 1 - i)),
                            [
                                new LoggedExercise(
                                    new LineKey(1),
                                    "push-up",
                                    [
                                        .. Enumerable.Repeat(
                                            new LoggedSet
                                            {
                                                Reps = r,
                                                Rir = 2,
                                                Stamp = new SetStamp(80, 1, 8, 2),
                                            },
                                            3
                                        ),
                                    ]
                                ),
                            ]
                        ),
                        4
                    )
            ),
        ];

    private static ClientTrends Of(ImmutableArray<SessionBesidePlan> log, RepMaxFormula? formula = null) =>
        new Trends(DomainRules.Shipped).Of(Examples.ClientA with { DaysPerWeek = 3 }, log, Today, formula);
}
