using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Exchange;
using Ingegno.Core.Programs.Reading;
using Ingegno.Core.Progress.ClientApp;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.ClientApp;

public class HomeRowsTests
{
    /// <summary>What goes out comes in again: the rows are a program that our own reader takes without a fault.</summary>
    [Fact]
    public void A_home_plan_that_went_out_is_read_again()
    {
        var plan = Examples
            .Rebuild(
                Examples.ClientA with
                {
                    MinutesPerSession = 60,
                },
                Examples.KitOf("2 dumbbells 20 kg;pull-up bar;bench 44 cm"),
                "= Day 1",
                "Back squat 4x6 RIR 2 150 s",
                "A1 Dumbbell curl 3x12 60 s",
                "A2 Triceps pushdown 3x12 60 s",
                "Bulgarian split squat 3x10/side 90 s",
                "Plank 3x40 s"
            )
            .Plan;
        var rows = HomeRows.Build("At home", plan);

        rows.Length.ShouldBe(plan.Lines.Sum(l => l.Chosen!.Exercises.Length));
        rows.Select(r => r.Label).Where(l => l.Length > 0).ShouldContain("B1");
        var written = new ProgramRows(DomainRules.Shipped.Names).Write(rows);
        written.Faults.ShouldBeEmpty();
        var read = new ShorthandParser(DomainRules.Shipped.Names).Parse(written.Text);
        read.Errors.ShouldBeEmpty();
        read.Lines.Select(l => l.ExerciseId)
            .ShouldBe(
                plan.Days[0]
                    .Groups.SelectMany(g => g.Lines)
                    .SelectMany(k => plan.Lines.First(l => l.Gym.Key == k).Chosen!.Exercises)
                    .Select(e => e.ExerciseId)
            );
        read.Lines.Select(l => l.Sets).ShouldAllBe(s => s > 0);
    }
}
