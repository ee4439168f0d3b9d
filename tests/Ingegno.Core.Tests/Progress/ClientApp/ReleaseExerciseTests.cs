using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Progress.ClientApp;
using Ingegno.Core.Rebuilding.Dosing;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.ClientApp;

/// <summary>What of a home exercise goes to the phone, one exercise at a time.</summary>
public class ReleaseExerciseTests
{
    private static readonly RebuildRequest Request = new()
    {
        Client = Examples.ClientA with { MinutesPerSession = 45 },
        Kit = Examples.KitOf("2x 12 kg dumbbell"),
        GymLines = ["Push-up 3x10", "Plank 3x40 s"],
    };

    private static readonly HomePlan Plan = new RebuildEngine(DomainRules.Shipped).Rebuild(Request).Plan;

    [Fact]
    public void Reps_are_counted_in_phases_and_a_hold_is_not()
    {
        var (pushUp, plank) = (Sent(Plan)[0], Sent(Plan)[1]);

        pushUp.Phases.ShouldNotBeEmpty();
        pushUp.Tempo.IsNone.ShouldBeFalse();
        plank.Timed.ShouldBeTrue();
        plank.Phases.ShouldBeEmpty();
        plank.Tempo.IsNone.ShouldBeTrue();
    }

    /// <summary>A caution that says how tall or heavy somebody is, or what hurts, stays with the coach; also inside another sentence.</summary>
    [Fact]
    public void Cautions_that_tell_of_the_profile_stay_with_the_coach()
    {
        var mind = Reason.Text("Mind the edge.");
        var tall = Reason.Of("check.height", ("stature", 180));
        var inside = Reason.Of("check.of", ("sum", Reason.Of("check.mass", ("mass", 80))));
        var listed = Reason.Of("check.all", ("all", FactList.Of([Reason.Of("check.sore", ("soreness", "sore"))])));

        Sent(With(e => e with { Cautions = [tall, mind, inside, listed] }))[0].Cautions.ShouldBe([mind]);
    }

    [Fact]
    public void The_phone_leads_through_small_sets_itself_and_says_the_rest()
    {
        var slow = Reason.Text("Slowly.");
        var small = Reason.Of(RestPause.SmallSetsCode);

        Sent(With(e => e with { Dose = e.Dose with { Instructions = [small, slow] } }))[0].Instructions.ShouldBe([slow]);
    }

    private static HomePlan With(Func<HomeExercise, HomeExercise> change) =>
        Plan with
        {
            Lines = [.. Plan.Lines.Select(l => l with { Chosen = l.Chosen! with { Exercises = [.. l.Chosen.Exercises.Select(change)] } })],
        };

    private static ImmutableArray<ReleaseExercise> Sent(HomePlan plan) =>
        new ReleaseWriter(DomainRules.Shipped).Write("Week 1", Request, plan, string.Empty).Days[0].Exercises;
}
