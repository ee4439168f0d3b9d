using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Reading;
using Ingegno.Core.Rebuilding.Dosing;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Rebuilding.Dosing;

/// <summary>What a name says beyond its exercise changes the line (docs/domain/naming).</summary>
public class AsWrittenTests
{
    [Theory]
    [InlineData("Paused bench press 4x5", 2, 2, false)]
    [InlineData("Slow back squat 4x5", 3, 0, false)]
    [InlineData("Explosive push-ups 4x5", 2, 0, true)]
    [InlineData("Bench press 4x5", null, null, false)]
    public void The_manner_is_the_tempo_where_none_is_given(string text, int? down, int? pause, bool explosive)
    {
        var meant = Meant(text).Line.Tempo;

        (meant?.Eccentric, meant?.PauseStretched, meant?.Explosive ?? false).ShouldBe((down, pause, explosive));
    }

    [Fact]
    public void A_given_tempo_is_not_made_faster() => Meant("Paused bench press 4x5 5-3-1-0").Line.Tempo.ShouldBe(new Tempo(5, 3, 1, 0));

    [Fact]
    public void An_angle_and_a_grip_change_which_muscles_are_meant()
    {
        Meant("Incline machine chest press 3x10").Exercise.InvolvementOf(Muscle.UpperChest).ShouldBe(1);
        Meant("Wide grip cable row 3x10").Exercise.InvolvementOf(Muscle.UpperBack).ShouldBe(1);
        Meant("Wide grip cable row 3x10")
            .Exercise.InvolvementOf(Muscle.Lats)
            .ShouldBeLessThan(Meant("Cable row 3x10").Exercise.InvolvementOf(Muscle.Lats));
    }

    [Fact]
    public void One_arm_of_a_two_armed_exercise_is_one_side_at_a_time()
    {
        var meant = Meant("Single arm machine chest press 3x10");

        meant.Exercise.Sides.ShouldBe(Sides.Unilateral);
        meant.Line.PerSide.ShouldBeTrue();
    }

    [Fact]
    public void The_plan_says_what_became_of_a_pause_after_the_coach_set_the_tempo()
    {
        var request = new RebuildRequest
        {
            Client = Examples.ClientA,
            Kit = Examples.Kit("dumbbell 10 x2"),
            GymLines = ["Paused RDL 3x8"],
        };
        var engine = new Core.Rebuilding.Weeks.RebuildEngine(DomainRules.Shipped);
        var line = engine.Rebuild(request).Plan.Lines.ShouldHaveSingleItem();

        line.Chosen!.Why[0].Code.ShouldBe("gym.pause-kept");
        var edit = new HomeEdit
        {
            Line = line.Gym.Key,
            ExerciseId = line.Chosen.Exercises[0].ExerciseId,
            Tempo = new Tempo(2, 0, 1, 0),
        };
        engine.Rebuild(request with { Edits = [edit] }).Plan.Lines[0].Chosen!.Why[0].Code.ShouldBe("gym.pause-lost");
    }

    [Theory]
    [InlineData("2-0-X-0", "gym.explosive-kept")]
    [InlineData("2-0-1-0", "gym.explosive-lost")]
    public void The_plan_says_what_became_of_speed(string tempo, string code)
    {
        var request = new RebuildRequest
        {
            Client = Examples.ClientA,
            Kit = Examples.Kit(),
            GymLines = ["Explosive push-ups 4x5"],
        };
        var engine = new Core.Rebuilding.Weeks.RebuildEngine(DomainRules.Shipped);
        var home = engine.Rebuild(request).Plan.Lines[0];
        var edit = new HomeEdit
        {
            Line = home.Gym.Key,
            ExerciseId = home.Chosen!.Exercises[0].ExerciseId,
            Tempo = Tempo.Parse(tempo),
        };

        engine.Rebuild(request with { Edits = [edit] }).Plan.Lines[0].Chosen!.Why[0].Code.ShouldBe(code);
    }

    [Fact]
    public void A_drop_set_of_the_gym_is_asked_for_at_home()
    {
        var request = new RebuildRequest
        {
            Client = Examples.ClientA,
            Kit = Examples.Kit("dumbbell 10 x2", "dumbbell 6 x2"),
            GymLines = ["Bench press 3x8", "Dumbbell curl 3x12 drop set"],
        };
        var chosen = new Core.Rebuilding.Weeks.RebuildEngine(DomainRules.Shipped).Rebuild(request).Plan.Lines[1].Chosen!;

        chosen.Exercises[0].Dose.Scheme.ShouldBeOfType<Drop>();
        chosen.Why[0].Code.ShouldBe("gym.method-kept");
    }

    private static AsWritten Meant(string text)
    {
        var line = new ShorthandParser(DomainRules.Shipped.Names).Parse(text).Lines.ShouldHaveSingleItem();
        return AsWritten.Read(line, DomainRules.Shipped.Catalogue.Get(line.ExerciseId), DomainRules.Shipped.Lexicon);
    }
}
