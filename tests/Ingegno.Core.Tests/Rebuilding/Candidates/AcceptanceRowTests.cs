using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Rebuilding.Candidates;

/// <summary>
/// The rows of docs/domain/substitution that every coach would sign. Each is common practice: a fact of the trade without a
/// published source.
/// </summary>
[Trait("source", "common practice")]
public class AcceptanceRowTests
{
    [Theory]
    [InlineData("ottoman 40")]
    [InlineData("step 25")]
    public void An_overhead_press_becomes_a_pike_push_up_with_feet_raised(string support)
    {
        var result = Examples.Rebuild(Examples.ClientA, Examples.Kit(support), "Overhead press 3x6 + AMRAP @ 75% 2-0-1-0 180s");

        Examples.ChosenForLast(result).ShouldBe(["feet-raised-pike-push-up"]);
        var line = result.Plan.Lines[0];
        line.Chosen!.Exercises[0].Dose.Figures.ShouldEndWith("+ AMRAP");
        line.Chosen.Exercises[0].Setup.ShouldContain(support.Split(' ')[0], Case.Insensitive);
        line.Candidates.Take(3).ShouldNotContain(c => c.Id.Contains("raise-"), "not a raise");
    }

    [Fact]
    public void A_heavy_deficit_deadlift_becomes_a_sliding_leg_curl_and_a_prone_back_extension()
    {
        var kit = Examples.Kit("sliding-floor", "paper-plates");
        var result = Examples.Rebuild(Examples.ClientA, kit, "Deficit deadlift 4x5 @ RPE 8");

        Examples.ChosenForLast(result).ShouldBe(["sliding-leg-curl", "prone-back-extension"]);
    }

    [Fact]
    public void A_cable_face_pull_becomes_a_band_face_pull()
    {
        var result = Examples.Rebuild(Examples.ClientA, Examples.Kit("band-loop 10", "banister"), "Cable face pull 3x15");

        Examples.ChosenForLast(result).ShouldBe(["band-face-pull"]);
    }

    [Fact]
    public void A_rear_delt_fly_becomes_a_band_pull_apart()
    {
        var result = Examples.Rebuild(Examples.ClientA, Examples.Kit("band-loop 10"), "Rear-delt fly 3x18");

        Examples.ChosenForLast(result).ShouldBe(["band-pull-apart"]);
    }

    [Fact]
    public void A_late_pulldown_becomes_a_table_row_for_who_cannot_do_twelve_chin_ups()
    {
        // 85 kg, body included: four or five.
        var cannot = Examples.ClientA with
        {
            KnownLifts = [.. Examples.ClientA.KnownLifts, new KnownLift("pull-up", 85)],
        };
        var result = Examples.Rebuild(cannot, Examples.Kit("dining-table", "pull-up-bar"), LateInTheSession);

        Examples.ChosenForLast(result)[0].ShouldBe("table-row");
    }

    [Fact]
    public void A_late_pulldown_becomes_a_chin_up_for_who_can_do_twelve()
    {
        var strong = Examples.ClientA with { KnownLifts = [.. Examples.ClientA.KnownLifts, new KnownLift("pull-up", 125)] };
        var result = Examples.Rebuild(strong, Examples.Kit("dining-table", "pull-up-bar"), LateInTheSession);

        Examples.ChosenForLast(result).ShouldBe(["chin-up"]);
    }

    [Fact]
    public void A_single_leg_glute_bridge_stays_as_it_is()
    {
        var result = Examples.Rebuild(Examples.ClientA, Examples.Kit(), "Single-leg glute bridge 3x12/side");

        Examples.ChosenForLast(result).ShouldBe(["single-leg-glute-bridge"]);
        result.Plan.Lines[0].Chosen!.Exercises[0].Dose.Figures.ShouldBe("3x12/side");
    }

    [Fact]
    public void A_loaded_lateral_step_up_becomes_a_slow_step_down()
    {
        var result = Examples.Rebuild(Examples.ClientA, Examples.Kit("step 20"), "Lateral step-up with dumbbells 3x10/side @ 2x10 kg");

        Examples.ChosenForLast(result).ShouldBe(["slow-step-down"]);
        result.Plan.Lines[0].Chosen!.Exercises[0].Dose.Tempo.ToString().ShouldStartWith("4-");
    }

    [Theory]
    [InlineData("band-loop 6")]
    [InlineData("band-loop 6", "furniture-leg")]
    public void A_dumbbell_lateral_raise_becomes_a_band_lateral_raise(params string[] kit)
    {
        var result = Examples.Rebuild(Examples.ClientA, Examples.Kit(kit), "Dumbbell lateral raise 3x15");

        Examples.ChosenForLast(result).ShouldBe(["band-lateral-raise"]);
    }

    [Theory]
    [InlineData("Bench press 4x8", "dumbbell-bench-press", "dumbbell 25 x2", "bench 44")]
    [InlineData("Lying leg curl 3x12", "sliding-leg-curl", "sliders", "sliding-floor")]
    [InlineData("Barbell hip thrust 4x10", "single-leg-hip-thrust", "sofa 44", "rucksack", "bottle x6")]
    [InlineData("Triceps pushdown 3x12", "band-triceps-pushdown", "band-tube 8", "closed-door")]
    [InlineData("Barbell curl 3x10", "dumbbell-curl", "dumbbell 10 x2")]
    [InlineData("Standing calf raise 4x12", "single-leg-calf-raise", "stairs 18")]
    [InlineData("Seated cable row 3x10", "table-row", "dining-table 74")]
    [InlineData("Pallof press 3x10/side", "band-anti-rotation-press", "band-loop 8", "banister")]
    [InlineData("Cable fly 3x15", "sliding-push-up-fly", "sliders", "sliding-floor")]
    [InlineData("Farmer carry 3x40 s", "pair-carry", "jerrycan 20 x2")]
    [InlineData("Lat pulldown 3x10", "band-assisted-pull-up", "band-loop 15", "pull-up-bar")]
    public void More_rows_of_the_trade(string gym, string home, params string[] kit) =>
        Examples.ChosenForLast(Examples.Rebuild(Examples.ClientA, Examples.Kit(kit), gym)).ShouldBe([home]);

    private static readonly string[] LateInTheSession =
    [
        "Back squat 4x6",
        "Bench press 4x8",
        "Cable face pull 3x15",
        "Neutral-grip pulldown 3x12",
    ];
}
