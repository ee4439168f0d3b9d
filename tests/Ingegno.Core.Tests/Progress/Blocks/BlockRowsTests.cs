using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Exchange;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;
using Ingegno.Core.Progress.Blocks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.Blocks;

/// <summary>A block as a table: what it says, and that the program screen reads it again.</summary>
public class BlockRowsTests
{
    private static readonly BlockSetup Setup = BlockExamples.Setup(BlockExamples.Beginner);
    private static readonly Block Laid = BlockExamples.Block(BlockExamples.Beginner, Setup);

    [Fact]
    public void A_row_says_what_a_cell_says()
    {
        var rows = BlockRows.Build(Laid, BlockExamples.Plan(BlockExamples.Beginner));

        rows.Length.ShouldBe(Laid.Weeks.Sum(w => w.Cells.Length));
        var cell = BlockExamples.Line(Laid, new LineKey(1))[1];
        rows.First(r => r.Week.StartsWith("Week 2,", StringComparison.Ordinal))
            .ShouldSatisfyAllConditions(
                r => r.Exercise.ShouldBe(cell.Name),
                r => (r.Sets, r.Reps).ShouldBe(("3", "9")),
                r => r.Load.ShouldBe("26.55 kg"),
                r => (r.Tempo, r.Rest, r.Rir).ShouldBe((cell.Dose.Tempo.ToString(), "180 s", "2")),
                r => r.Note.ShouldBe("from 2026-11-30")
            );
        var light = BlockExamples.Beginner with
        {
            Kit = Examples.Kit("dumbbell 4 x2"),
            Client = BlockExamples.Beginner.Client with
            {
                Level = Level.Novice,
                Learned = [new LearnedLift("back-squat", null, 90, 0.1, Reason.Text("sessions of squats"))],
            },
        };
        BlockRows.Build(BlockExamples.Block(light, Setup), BlockExamples.Plan(light))[0].Note.ShouldBe("from 2026-11-23, one and a half");
        rows[^1].Note.ShouldContain("lighter", customMessage: "the last week is half of the one before");
        BlockRows
            .Build(
                BlockExamples.Block(BlockExamples.Beginner, Setup with { Edits = [BlockExamples.Edit(cell, 2, 5)] }),
                BlockExamples.Plan(BlockExamples.Beginner)
            )
            .Single(r => r.Note.Contains("set by the coach"))
            .Sets.ShouldBe("5");
    }

    [Fact]
    public void Rows_come_day_by_day_and_name_their_day()
    {
        var request = BlockExamples.Beginner with { GymLines = ["= Tuesday", "Back squat 3x8", "= Friday", "Lat pulldown 3x10"] };
        var block = BlockExamples.Block(request, Setup);
        var plan = BlockExamples.Plan(request);
        var week = BlockRows.Build(block, plan).Take(2).ToList();

        week.Select(r => r.Day).ShouldBe(["Tuesday", "Friday"]);
        var turned = block with { Weeks = [.. block.Weeks.Select(w => w with { Cells = [.. w.Cells.Reverse()] })] };
        BlockRows.Build(turned, plan).Take(2).ShouldBe(week, "whatever the order of the cells");
    }

    [Fact]
    public void Every_row_is_a_line_of_shorthand_with_the_same_figures()
    {
        foreach (var request in new[] { BlockExamples.Strong, BlockExamples.Beginner })
        {
            var block = BlockExamples.Block(request, BlockExamples.Setup(request));
            var rows = BlockRows.Build(block, BlockExamples.Plan(request));
            var read = new ShorthandParser(DomainRules.Shipped.Names).Parse(new ProgramRows(DomainRules.Shipped.Names).Write(rows).Text);

            read.Errors.ShouldBeEmpty();
            read.Lines.Select(l => (l.ExerciseId, l.Sets, l.Target, l.Rir, l.RestSeconds))
                .ShouldBe(
                    block
                        .Weeks.SelectMany(w => w.Cells)
                        .Select(c => (c.ExerciseId, c.Dose.Sets, c.Dose.Target, (int?)c.Dose.Rir, (int?)c.Dose.RestSeconds))
                );
        }
    }
}
