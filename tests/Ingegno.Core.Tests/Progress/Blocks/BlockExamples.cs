using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Blocks;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.Blocks;

/// <summary>Two clients of different strength and kit with a plan and a block each; weeks run from a Monday.</summary>
internal static class BlockExamples
{
    public static readonly DateOnly Monday = new(2026, 11, 23);
    public static readonly RebuildEngine Engine = new(DomainRules.Shipped);
    public static readonly BlockPlanner Planner = new(DomainRules.Shipped, Engine, new NextSession(DomainRules.Shipped));

    /// <summary>Client A of docs/domain/strength-relations with two pairs of dumbbells, under phases.</summary>
    public static readonly RebuildRequest Strong = new()
    {
        Client = Examples.ClientA,
        Kit = Examples.Kit("dumbbell 8 x2", "rucksack", "dumbbell 14 x2"),
        GymLines = ["Bench press 4x6 @ 70 kg", "Back squat 3x8", "Lat pulldown 3x10", "Lateral raise 3x12-15", "Plank 3x30 s"],
        Approach = "tension",
        FitToMinutes = false,
    };

    /// <summary>Client B of docs/domain/strength-relations after some sessions of squats, a band and light dumbbells, under the
    /// default.</summary>
    public static readonly RebuildRequest Beginner = new()
    {
        Client = Examples.ClientB with
        {
            DaysPerWeek = 2,
            MinutesPerSession = 40,
            Learned = [new LearnedLift("back-squat", null, 100, 0.1, Reason.Text("sessions of squats"))],
        },
        Kit = Examples.Kit("dumbbell 4 x2", "band-loop 12"),
        GymLines = ["Back squat 3x8 3 min", "Lat pulldown 3x10", "Lateral raise 3x12-15"],
        FitToMinutes = false,
    };

    public static BlockSetup Setup(RebuildRequest request, int weeks = 6, DateOnly? eventOn = null) =>
        BlockShape.Propose(DomainRules.Shipped.ApproachOf(request.Approach), DomainRules.Shipped.Blocks, Monday, weeks, eventOn);

    public static HomePlan Plan(RebuildRequest request) => Engine.Rebuild(request).Plan;

    public static Block Block(RebuildRequest request, BlockSetup setup, Block? before = null, DateOnly? today = null) =>
        Planner.Plan(request, Plan(request), setup, before, today ?? Monday);

    /// <summary>Cells of a line by week.</summary>
    public static ImmutableArray<BlockCell> Line(Block block, LineKey line) =>
        [.. block.Weeks.Select(w => w.Cells.First(c => c.Line == line))];

    public static BlockEdit Edit(BlockCell cell, int week, int sets, bool onlyThisWeek = false) =>
        new(
            week,
            new HomeEdit
            {
                Line = cell.Line,
                ExerciseId = cell.ExerciseId,
                Sets = sets,
            },
            onlyThisWeek
        );
}
