using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Rebuilding.Dosing;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Rebuilding.Dosing;

/// <summary>Warm-up and cool-down fitted to the day (docs/domain/prescription).</summary>
[Trait("source", "docs/domain/prescription: raise, mobilise, stabilise, activate, an easy first set; breath and stretches")]
public class PreparationTests
{
    [Fact]
    public void A_lower_day_prepares_hips_and_ankles_and_starts_with_half_the_reps()
    {
        var day = Prepare(Examples.ClientA, ("goblet-squat", 10, 4), ("dumbbell-romanian-deadlift", 8, 3));

        day.WarmUp[1].Said().ShouldStartWith("Raise: 3–5 minutes");
        day.WarmUp.Count(s => s.Said().StartsWith("Mobilise:")).ShouldBeInRange(1, 3);
        day.WarmUp.ShouldContain(s => s.Said().StartsWith("Stabilise: stand on one leg"));
        day.WarmUp[^1].Said().ShouldBe("Then one easy set of Goblet squat: 5 reps.");
        day.CoolDown[1].Said().ShouldContain("glutes");
        day.CoolDown[1].Said().ShouldContain("15–30 seconds");
    }

    [Fact]
    public void An_upper_day_wakes_the_shoulder_blades()
    {
        var day = Prepare(Examples.ClientA, ("push-up", 12, 4), ("table-row", 10, 4));

        day.WarmUp.ShouldContain(s => s.Said().StartsWith("Activate:"));
        day.WarmUp.ShouldContain(s => s.Said().StartsWith("Stabilise: a long plank"));
        day.CoolDown[1].Said().ShouldContain("chest");
    }

    [Theory]
    [InlineData(Level.Intermediate, true)]
    [InlineData(Level.Beginner, false)]
    public void Beginners_step_instead_of_skipping(Level level, bool skips) =>
        Prepare(Examples.ClientA with { Level = level }, ("push-up", 12, 4)).WarmUp[1].Said().Contains("skipping").ShouldBe(skips);

    [Fact]
    public void A_sore_knee_steps_too_and_gets_nothing_that_loads_it()
    {
        var client = Examples.ClientA with { SoreJoints = [new SoreJoint(Joint.Knee, Soreness.Injured)] };
        var day = Prepare(client, ("glute-bridge", 12, 4));

        day.WarmUp[1].Said().ShouldNotContain("skipping");
        var heavy = DomainRules.Shipped.Catalogue.AtHome.Where(e => e.Joints.GetValueOrDefault(Joint.Knee) >= 2).Select(e => e.Name);
        day.WarmUp.Where(s => s.Said().StartsWith("Mobilise") || s.Said().StartsWith("Activate"))
            .ShouldAllBe(s => !heavy.Any(s.Said().Contains));
    }

    [Fact]
    [Trait("source", "common practice: nobody presses from a stiff upper back")]
    public void A_day_of_presses_mobilises_the_upper_back() =>
        Prepare(Examples.ClientA, ("push-up", 10, 4), ("dumbbell-overhead-press", 10, 4))
            .WarmUp.Where(Mobilises)
            .ShouldContain(m => m.Said().Contains("Thoracic rotation"));

    [Fact]
    public void A_short_session_is_prepared_by_the_least()
    {
        (Core.Knowledge.Exercises.Exercise Exercise, int Reps, int Sets)[] day =
        [
            (Examples.Exercise("goblet-squat"), 8, 4),
            (Examples.Exercise("push-up"), 10, 4),
            (Examples.Exercise("dumbbell-romanian-deadlift"), 10, 4),
        ];
        var preparation = new Preparation(DomainRules.Shipped.Catalogue);
        var (usual, brief) = (preparation.For(day, Examples.ClientB).WarmUp, preparation.For(day, Examples.ClientB, isShort: true).WarmUp);

        brief.Count(Mobilises).ShouldBe(2, usual.Said());
        usual.Count(Mobilises).ShouldBe(3, usual.Said());
        brief[1].Said().ShouldStartWith("Raise: 3 minutes");
        usual[1].Said().ShouldStartWith("Raise: 3–5 minutes");
    }

    [Fact]
    public void What_is_planned_anyway_is_no_activation() =>
        Prepare(Examples.ClientA, ("wall-slide", 10, 2), ("push-up", 12, 4))
            .WarmUp.ShouldNotContain(s => s.Said().StartsWith("Activate: Wall slide"));

    [Fact]
    public void A_day_of_holds_has_no_half_set_and_an_empty_day_nothing()
    {
        Prepare(Examples.ClientA, ("plank", 0, 3)).WarmUp.ShouldNotContain(s => s.Said().StartsWith("Then one easy set"));
        Prepare(Examples.ClientA).ShouldBe(DayPreparation.None);
    }

    private static bool Mobilises(Reason reason) => reason.Code == "prepare.mobilise";

    private static DayPreparation Prepare(ClientProfile client, params (string Id, int Reps, int Sets)[] day) =>
        new Preparation(DomainRules.Shipped.Catalogue).For([.. day.Select(d => (Examples.Exercise(d.Id), d.Reps, d.Sets))], client);
}
