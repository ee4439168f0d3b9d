using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Commands;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Approved.GeneratedClients;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Rebuilding.Weeks;

/// <summary>A dose that is written back as figures, by a review or a block, is the dose that it was.</summary>
public class WrittenBackTests
{
    private static readonly RebuildEngine Engine = new(DomainRules.Shipped);

    [Fact]
    public void A_dose_moved_as_fast_as_possible_stays_so()
    {
        var strong = Examples.ClientA with { Goal = Goal.Strength, KnownLifts = [new KnownLift("bench-press", 140)] };
        var request = new RebuildRequest
        {
            Client = strong,
            Kit = Examples.Kit("dumbbell 24 x2"),
            GymLines = ["Dumbbell bench press 5x5 RIR 2"],
        };
        var first = Engine.Rebuild(request).Plan.Lines[0];
        var fast = first.Candidates.SelectMany(c => c.Exercises).First(e => e.Dose.Techniques.Contains("explosive"));
        var chosen = request with
        {
            Choices = [new CoachChoice(first.Gym.Key, first.Candidates.First(c => c.Exercises.Contains(fast)).Id)],
        };

        var again = Engine
            .Rebuild(
                PlanCommandHandler.Handle(
                    chosen,
                    [],
                    new SetFigures([HomeEdit.From(first.Gym.Key, fast.ExerciseId, fast.Dose, fast.ExternalKg)])
                )
            )
            .Plan;
        var written = again.Lines[0].Chosen!.Exercises.Single(e => e.ExerciseId == fast.ExerciseId);

        (written.Dose.Tempo, written.Dose.Figures).ShouldBe((fast.Dose.Tempo, fast.Dose.Figures));
        written.Dose.Techniques.ShouldBe(fast.Dose.Techniques);
        written.Dose.Instructions.ShouldBe(fast.Dose.Instructions, "\"as fast as you can\" is still said");
        written.Dose.Tempo.ToString().ShouldContain("X");
        again.Findings.ShouldNotContain(f => f.Code == "technique", "what the engine wrote is for this client");
    }

    /// <summary>Pre-exhaust undoes a rest-pause of the isolation line: its sentences go, and no other.</summary>
    [Fact]
    public void Undoing_a_rest_pause_takes_its_own_sentences_away_and_no_other()
    {
        var strong = Examples.ClientA with { KnownLifts = [new KnownLift("bench-press", 150), new KnownLift("back-squat", 200)] };
        var plans = new[] { "Cable fly 3x12", "Cable fly 3x15", "Pec deck 3x12" }.Select(fly =>
            Engine
                .Rebuild(
                    new RebuildRequest
                    {
                        Client = strong,
                        Kit = Examples.Kit("dumbbell 8 x2"),
                        GymLines = ["Bench press 4x8 RIR 1", fly],
                        Approach = "density",
                    }
                )
                .Plan
        );
        var undone = plans.SelectMany(p => p.Days).SelectMany(d => d.Groups).Where(g => g.Why?.Code == "group.pre-exhaust").ToList();
        undone.ShouldNotBeEmpty();
        foreach (var plan in plans)
        {
            foreach (
                var line in plan.Lines.Where(l =>
                    plan.Days[0].Groups.Any(g => g.Why?.Code == "group.pre-exhaust" && g.Lines[0] == l.Gym.Key)
                )
            )
            {
                var dose = line.Chosen!.Exercises[0].Dose;
                var was = line.Candidates.First(c => c.Id == line.Chosen.Id).Exercises[0].Dose;
                dose.Instructions.ShouldNotContain(i => i.Code == "instruction.rest-pause");
                dose.Reason.Tells("dose.rest-pause").ShouldBeFalse("it is no longer one long set");
                dose.Instructions.ShouldBe(was.Instructions.Where(i => i.Code != "instruction.rest-pause"), "the others stay");
            }
        }
    }

    /// <summary>Who opens the cell of a dose and changes one figure has set no other one: what stands in it reads as what it is.</summary>
    [Fact]
    public void A_dose_reads_back_from_its_cell_to_the_gram()
    {
        var reader = new DoseShorthand(DomainRules.Shipped.Names);
        var wrong = (
            from seed in Enumerable.Range(1, 120)
            let request = DrawnRequests.Of(seed)
            from line in Engine.Rebuild(request).Plan.Lines
            from home in line.Chosen?.Exercises ?? []
            where home.Dose.Scheme is null && !home.Dose.Target.IsOpen
            let read = reader.Read(home.DoseAsTyped, line.Gym.Key, home.ExerciseId, home.Name)
            where Figures(read.Edit) != Figures(HomeEdit.From(line.Gym.Key, home))
            select $"{seed}: {home.Name} {home.DoseAsTyped} reads as {Figures(read.Edit)} {read.Error?.Said()}"
        ).ToList();

        wrong.ShouldBeEmpty();
    }

    private static string Figures(HomeEdit? edit) =>
        edit is null ? "nothing" : $"{edit.Sets}x{edit.Target?.Min}-{edit.Target?.Max} @ {edit.ExternalKg ?? 0:0.###} {edit.RestSeconds} s";
}
