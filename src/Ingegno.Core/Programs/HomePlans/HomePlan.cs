using System.Collections.Immutable;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>The home plan of a week; a text without headings is one day without a name.</summary>
public sealed record HomePlan
{
    public required ImmutableArray<HomeLine> Lines { get; init; }

    /// <summary>Hard sets per muscle, gym beside home: prime mover 1, synergist ½ a set.</summary>
    public required ImmutableArray<MuscleSets> HardSets { get; init; }

    /// <summary>The days of the week in their order.</summary>
    public ImmutableArray<HomeDay> Days { get; init; } = [];

    /// <summary>Work of the gym week that no home exercise takes the place of: kept as written, day by day.</summary>
    public ImmutableArray<KeptLine> Kept { get; init; } = [];

    /// <summary>What the coach should know about the whole: missing kit, estimates, choices that could not be kept.</summary>
    public required ImmutableArray<PlanNotice> Notices { get; init; }

    /// <summary>What the plan check finds, the gravest first.</summary>
    public ImmutableArray<Finding> Findings { get; init; } = [];

    /// <summary>
    /// What stands for each line that has something, or that the minutes left out: what decisions about the plan start from.
    /// </summary>
    public ImmutableArray<StandingLine> Standing =>
        [
            .. from line in Lines
            where line.Chosen is not null || line.LeftOut
            let day = line.Gym.Day < Days.Length ? Days[line.Gym.Day] : null
            select new StandingLine(
                line.Gym.Key,
                day?.Name ?? string.Empty,
                line.Gym.ExerciseId,
                line.Chosen?.Id ?? string.Empty,
                line.Role
            )
            {
                Figures = [.. (line.Chosen?.Exercises ?? []).Select(e => HomeEdit.From(line.Gym.Key, e))],
                InTurn = day?.Groups.FirstOrDefault(g => g.Lines.Length > 1 && g.Lines.Contains(line.Gym.Key))?.Lines ?? [],
                LeftOut = line.LeftOut,
            },
        ];
}
