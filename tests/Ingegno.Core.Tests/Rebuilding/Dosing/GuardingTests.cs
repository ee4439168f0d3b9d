using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Rebuilding.Dosing;

/// <summary>Alone at home: a bar that pins, the room, and what health asks to have at hand (NSCA on spotting; docs/domain/cautions).</summary>
public sealed class GuardingTests
{
    private static readonly PlaceKit Garage = Examples.KitOf("barbell with 100 kg of plates; a rack; a bench");
    private static readonly PlaceKit Bar = Examples.KitOf("barbell with 100 kg of plates");
    private static readonly ClientProfile Strong = Examples.ClientA with { Level = Level.Intermediate };

    private static HomePlan Plan(PlaceKit kit, ClientProfile client, params string[] lines) => Examples.Rebuild(client, kit, lines).Plan;

    private static HomeExercise First(HomePlan plan) => plan.Lines[0].Chosen!.Exercises[0];

    [Fact]
    public void A_bar_over_the_chest_is_left_out_where_nobody_takes_it()
    {
        var plan = Plan(Garage with { Guarded = false }, Strong, "Bench press 4x6 @ 60 kg");
        plan.Lines[0].Candidates.SelectMany(c => c.Exercises).ShouldAllBe(e => e.ExerciseId != "bench-press");
        Plan(Garage with { Guarded = true }, Strong, "Bench press 4x6 @ 60 kg").Lines[0].Chosen!.Id.ShouldBe("bench-press");
    }

    [Fact]
    public void Until_somebody_was_asked_no_set_under_a_bar_is_open_and_the_plan_asks()
    {
        var plan = Plan(Garage, Strong, "Bench press 4x6+ @ 60 kg", "Back squat 4x5+ @ 80 kg");
        plan.Lines.SelectMany(l => l.Chosen!.Exercises).ShouldAllBe(e => !e.Dose.LastSetOpen);
        plan.Notices.ShouldContain(n => n.Code == "guard");
        Plan(Garage with { Guarded = true }, Strong, "Bench press 4x6+ @ 60 kg").Notices.ShouldNotContain(n => n.Code == "guard");
        First(Plan(Garage with { Guarded = true }, Strong, "Bench press 4x6+ @ 60 kg")).Dose.LastSetOpen.ShouldBeTrue();
    }

    [Theory]
    [InlineData(null)]
    [InlineData(false)]
    public void On_the_floor_three_reps_stay(bool? guarded)
    {
        var home = First(Plan(Bar with { Guarded = guarded }, Strong, "Bench press 3x5+ @ 70 kg RIR 0"));
        home.ExerciseId.ShouldBe("barbell-floor-press");
        home.Dose.Rir.ShouldBeGreaterThanOrEqualTo(3);
        home.Dose.LastSetOpen.ShouldBeFalse();
    }

    [Fact]
    public void Every_session_begins_with_the_room() =>
        Plan(Bar, Strong, "Deadlift 3x5 @ 80 kg").Days[0].WarmUp[0].Code.ShouldBe("start.room");

    [Theory]
    [InlineData(ScreeningAnswer.Insulin, "start.insulin")]
    [InlineData(ScreeningAnswer.Asthma, "start.asthma")]
    [InlineData(ScreeningAnswer.PregnancyOrRecentBirth, "start.pregnancy-or-recent-birth")]
    [InlineData(ScreeningAnswer.Epilepsy, "start.epilepsy")]
    [InlineData(ScreeningAnswer.BloodThinners, "start.blood-thinners")]
    [InlineData(ScreeningAnswer.EyeDisease, "start.breath")]
    public void What_health_asks_is_said_before_each_session_cleared_or_not(ScreeningAnswer answer, string code)
    {
        var cleared = Strong with { Screening = [answer], Clearance = new Clearance(new DateOnly(2026, 11, 1), "Dr. Hale, physician") };
        foreach (var client in new[] { cleared, cleared with { Clearance = null } })
        {
            Plan(Bar, client, "Deadlift 3x5 @ 80 kg").Days[0].WarmUp.ShouldContain(r => r.Code == code);
        }
    }

    [Theory]
    [InlineData(16, "start.young")]
    [InlineData(66, "start.older")]
    public void Age_is_heard(int years, string code) =>
        Plan(Bar, Strong with { AgeYears = years }, "Deadlift 3x5 @ 80 kg").Days[0].WarmUp.ShouldContain(r => r.Code == code);

    /// <summary>Lloyd 2014, from memory: whatever level was typed.</summary>
    [Fact]
    public void Under_18_nobody_lifts_to_the_limit()
    {
        var plan = Plan(
            Garage with
            {
                Guarded = true,
            },
            Strong with
            {
                AgeYears = 16,
                Level = Level.Advanced,
            },
            "Back squat 5x1 @ 120 kg",
            "Bench press 3x3+ RIR 0"
        );
        plan.Lines.SelectMany(l => l.Chosen!.Exercises).ShouldAllBe(e => e.Dose.Target.Max >= 6 && e.Dose.Rir >= 2 && !e.Dose.LastSetOpen);
    }

    /// <summary>Fragala 2019, from memory.</summary>
    [Fact]
    public void From_65_on_jumps_are_only_what_the_coach_wrote_and_balance_is_in_every_session()
    {
        var older = Strong with { AgeYears = 68 };
        Plan(Bar, older, "Jump squat 3x6")
            .Lines.SelectMany(l => l.Candidates)
            .SelectMany(c => c.Exercises)
            .Where(e => Examples.Exercise(e.ExerciseId).Impact > 0)
            .ShouldAllBe(e => e.ExerciseId == "squat-jump");
        Plan(Bar, older, "Barbell row 3x8 @ 40 kg").Days[0].WarmUp.ShouldContain(r => r.Code == "prepare.stabilise-leg");
    }

    [Fact]
    public void Who_must_not_strain_is_told_to_breathe_on_every_line_of_reps() =>
        Plan(Bar, Strong with { HighBloodPressure = true }, "Deadlift 3x8 @ 60 kg", "Barbell row 3x8 @ 40 kg")
            .Lines.SelectMany(l => l.Chosen!.Exercises)
            .ShouldAllBe(e => e.Cautions.Any(c => c.Code == "caution.breath"));

    /// <summary>A weight over the face and a band on a door carry their caution, whatever the exercise.</summary>
    [Fact]
    public void What_hangs_over_the_face_or_on_a_door_says_so()
    {
        First(Plan(Examples.KitOf("a pair of 10 kg dumbbells"), Strong, "Skull crusher 3x10"))
            .Cautions.ShouldContain(c => c.Code == "caution.over-face");
        Plan(Examples.KitOf("two long loop bands; a door anchor"), Strong, "Lat pulldown 3x10")
            .Lines.SelectMany(l => l.Candidates)
            .SelectMany(c => c.Exercises)
            .Where(e => e.UsesItems.Length > 1)
            .ShouldAllBe(e => e.Cautions.Any(c => c.Code == "caution.band-door"));
    }
}
