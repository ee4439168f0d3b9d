using System.Collections.Immutable;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Commands;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Approved.GeneratedClients;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Programs.HomePlans;

/// <summary>A step at the workbench may change other lines only if it is told, and they can be had back.</summary>
public class ChangesBesideTests
{
    private static readonly RebuildEngine Engine = new(DomainRules.Shipped);

    [Fact]
    public void Every_line_that_a_choice_changes_beside_is_told_and_can_be_left_as_it_was()
    {
        var told = 0;
        foreach (var seed in Enumerable.Range(1, 10))
        {
            var request = DrawnRequests.Of(seed);
            var before = Engine.Rebuild(request).Plan;
            foreach (var line in before.Lines.Where(l => l.Candidates.Length > 1 && l.Chosen is not null).Take(5))
            {
                var other = line.Candidates.First(c => c.Id != line.Chosen!.Id);
                PlanCommand[] choose = [new ChooseCandidate(line.Gym.Key, other.Id)];
                var after = Engine.Rebuild(PlanCommandHandler.Handle(request, before.Standing, choose)).Plan;
                var beside = PlanChanges.Beside(before.Standing, choose, after, id => id);

                var now = after.Standing.ToDictionary(s => s.Line);
                var changed = before.Standing.Where(s => s.Line != line.Gym.Key && !s.AsksTheSameAs(now[s.Line])).Select(s => s.Line);
                beside.Select(b => b.Line).ShouldBe(changed);
                told += beside.Length;
                if (beside.IsEmpty)
                {
                    continue;
                }

                PlanCommand[] alone = [.. choose, new KeepStanding([.. beside.Select(b => b.Line)])];
                var kept = Engine.Rebuild(PlanCommandHandler.Handle(request, before.Standing, alone)).Plan;
                kept.Lines.Single(l => l.Gym.Key == line.Gym.Key).Chosen!.Id.ShouldBe(other.Id);
                PlanChanges
                    .Beside(before.Standing, alone, kept, id => id)
                    .Where(b => beside.Any(o => o.Line == b.Line))
                    .ShouldBeEmpty($"client {seed}, line {line.Gym.Key}");
            }
        }

        told.ShouldBeGreaterThan(0, "else nothing was tried");
    }

    [Fact]
    public void What_was_typed_goes_along_to_another_exercise_and_what_does_not_is_said()
    {
        var request = new RebuildRequest
        {
            Client = Examples.ClientA,
            Kit = Examples.Kit("dumbbell 12 x2", "chair 46", "bench"),
            GymLines = ["Bench press 3x8"],
        };
        var plan = Engine.Rebuild(request).Plan;
        var (line, first) = (plan.Lines[0], plan.Lines[0].Chosen!.Exercises[0]);
        var typed = new HomeEdit
        {
            Line = line.Gym.Key,
            ExerciseId = first.ExerciseId,
            Sets = 5,
            Target = new SetTarget(6, 9),
            RestSeconds = 150,
            Rir = 1,
            ExternalKg = 12,
            Tempo = Tempo.Parse("4-0-1-0"),
        };
        request = PlanCommandHandler.Handle(request, plan.Standing, new SetFigures([typed]));
        plan = Engine.Rebuild(request).Plan;
        var other = line.Candidates.First(c =>
            c.Exercises.Length == 1 && !c.Exercises[0].Dose.Timed && c.Exercises[0].ExerciseId != first.ExerciseId
        );

        PlanCommand[] choose = [new ChooseCandidate(line.Gym.Key, other.Id)];
        var after = Engine.Rebuild(PlanCommandHandler.Handle(request, plan.Standing, choose)).Plan;

        var dose = after.Lines[0].Chosen!.Exercises[0].Dose;
        (dose.Sets, dose.Target, dose.RestSeconds, dose.Rir).ShouldBe((5, new SetTarget(6, 9), 150, 1));
        var dropped = PlanChanges.Dropped(request.Edits, choose, after, id => id).ShouldHaveSingleItem();
        dropped.Figures.ShouldContain("4-0-1-0");
        dropped.From.ShouldBe(first.ExerciseId);
    }

    [Fact]
    public void A_reserve_that_the_estimate_contradicts_is_a_finding()
    {
        var request = new RebuildRequest
        {
            Client = Examples.ClientA,
            Kit = Examples.Kit("dumbbell 6 x2"),
            GymLines = ["Dumbbell curl 3x8"],
            Choices = [new CoachChoice(new LineKey(1), "dumbbell-curl")],
            Edits =
            [
                new HomeEdit
                {
                    Line = new LineKey(1),
                    ExerciseId = "dumbbell-curl",
                    Target = new SetTarget(8, 8),
                    Tempo = Tempo.Usual,
                    Techniques = [],
                    Rir = 1,
                },
            ],
        };
        var plan = Engine.Rebuild(request).Plan;
        var low = Math.Floor(plan.Lines[0].Chosen!.Exercises[0].Expected!.Low);
        low.ShouldBeGreaterThan(11);
        plan.Findings.ShouldContain(f => f.Code == "reserve");
        plan.Findings.ShouldNotContain(f => f.Code == "far-from-failure");
        var honest = request with { Edits = [request.Edits[0] with { Rir = null }] };
        Engine.Rebuild(honest).Plan.Findings.ShouldNotContain(f => f.Code == "reserve");
    }
}
