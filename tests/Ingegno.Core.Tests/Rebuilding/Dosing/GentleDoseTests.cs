using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Rebuilding.Dosing;

[Trait("source", "docs/domain/cautions: no hard work before the clearance that the screening asked for")]
public class GentleDoseTests
{
    private static readonly string[] Week =
    [
        "Back squat 5x5 @ 85%",
        "Bench press 4x6 RIR 0",
        "Box jump 4x5",
        "Pull-up 3xAMRAP",
        "Plank 3x90 s",
        "Lateral raise 3x15, drop set",
    ];

    private static HomePlan Plan(Clearance? clearance) =>
        new RebuildEngine(DomainRules.Shipped)
            .Rebuild(
                new RebuildRequest
                {
                    Client = Examples.ClientA with { Screening = [ScreeningAnswer.HeartOrVascular], Clearance = clearance },
                    Kit = Examples.Kit("dumbbell 8 x2", "rucksack", "bottle x6", "chair 45", "pull-up-bar", "step 30"),
                    GymLines = [.. Week],
                }
            )
            .Plan;

    [Fact]
    public void Without_it_the_whole_plan_is_gentle_and_says_so()
    {
        var plan = Plan(null);

        plan.Notices.ShouldContain(n => n.Code == "gentle" && n.Level == NoticeLevel.Warning);
        foreach (var home in plan.Lines.SelectMany(l => l.Chosen?.Exercises ?? []))
        {
            var (exercise, dose) = (Examples.Exercise(home.ExerciseId), home.Dose);
            (exercise.Impact, exercise.HeadDown).ShouldBe((0, false), home.Name);
            dose.Sets.ShouldBeLessThanOrEqualTo(2, home.Name);
            dose.Rir.ShouldBeGreaterThanOrEqualTo(4, home.Name);
            (dose.Techniques.IsEmpty, dose.Scheme, dose.LastSetOpen, dose.Target.IsOpen).ShouldBe((true, null, false, false), home.Name);
            if (!dose.Timed)
            {
                dose.Target.Max.ShouldBeGreaterThanOrEqualTo(8, $"{home.Name}: nothing heavy");
            }
        }
    }

    [Fact]
    public void With_it_the_full_plan_comes_back()
    {
        var plan = Plan(new Clearance(new DateOnly(2026, 11, 2), "a clinician"));

        plan.Notices.ShouldNotContain(n => n.Code == "gentle");
        plan.Lines[0].Chosen!.Exercises[0].Dose.Sets.ShouldBe(5);
    }
}
