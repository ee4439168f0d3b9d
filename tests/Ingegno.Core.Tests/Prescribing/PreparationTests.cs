using Ingegno.Core.Catalogue;
using Ingegno.Core.Clients;
using Ingegno.Core.Prescribing;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Prescribing;

/// <summary>Warm-up and cool-down fitted to the day (handbook 04).</summary>
[Trait("source", "handbook 04: raise, mobilise, stabilise, activate, an easy first set; breath and stretches")]
public class PreparationTests
{
    [Fact]
    public void A_lower_day_prepares_hips_and_ankles_and_starts_with_half_the_reps()
    {
        var day = Prepare(Examples.ClientA, ("goblet-squat", 10, 4), ("dumbbell-romanian-deadlift", 8, 3));

        day.WarmUp[0].ShouldStartWith("Raise: 3–5 minutes");
        day.WarmUp.Count(s => s.StartsWith("Mobilise:")).ShouldBeInRange(1, 3);
        day.WarmUp.ShouldContain(s => s.StartsWith("Stabilise: stand on one leg"));
        day.WarmUp[^1].ShouldBe("Then one easy set of Goblet squat: 5 reps.");
        day.CoolDown[1].ShouldContain("glutes");
        day.CoolDown[1].ShouldContain("15–30 seconds");
    }

    [Fact]
    public void An_upper_day_wakes_the_shoulder_blades()
    {
        var day = Prepare(Examples.ClientA, ("push-up", 12, 4), ("table-row", 10, 4));

        day.WarmUp.ShouldContain(s => s.StartsWith("Activate:"));
        day.WarmUp.ShouldContain(s => s.StartsWith("Stabilise: a long plank"));
        day.CoolDown[1].ShouldContain("chest");
    }

    [Theory]
    [InlineData(Level.Intermediate, true)]
    [InlineData(Level.Beginner, false)]
    public void Beginners_step_instead_of_skipping(Level level, bool skips) =>
        Prepare(Examples.ClientA with { Level = level }, ("push-up", 12, 4)).WarmUp[0].Contains("skipping").ShouldBe(skips);

    [Fact]
    public void A_sore_knee_steps_too_and_gets_nothing_that_loads_it()
    {
        var client = Examples.ClientA with { SoreJoints = [new SoreJoint(Joint.Knee, Soreness.Injured)] };
        var day = Prepare(client, ("glute-bridge", 12, 4));

        day.WarmUp[0].ShouldNotContain("skipping");
        var heavy = Trade.Shipped.Catalogue.AtHome.Where(e => e.Joints.GetValueOrDefault(Joint.Knee) >= 2).Select(e => e.Name);
        day.WarmUp.Where(s => s.StartsWith("Mobilise") || s.StartsWith("Activate")).ShouldAllBe(s => !heavy.Any(s.Contains));
    }

    [Fact]
    public void What_is_planned_anyway_is_no_activation() =>
        Prepare(Examples.ClientA, ("wall-slide", 10, 2), ("push-up", 12, 4)).WarmUp.ShouldNotContain(s => s.StartsWith("Activate: Wall slide"));

    [Fact]
    public void A_day_of_holds_has_no_half_set_and_an_empty_day_nothing()
    {
        Prepare(Examples.ClientA, ("plank", 0, 3)).WarmUp.ShouldNotContain(s => s.StartsWith("Then one easy set"));
        Prepare(Examples.ClientA).ShouldBe(DayPreparation.None);
    }

    private static DayPreparation Prepare(ClientProfile client, params (string Id, int Reps, int Sets)[] day) =>
        new Preparation(Trade.Shipped.Catalogue).For([.. day.Select(d => (Examples.Exercise(d.Id), d.Reps, d.Sets))], client);
}
