using System.Collections.Immutable;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Exchange;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;

namespace Ingegno.Core.Progress.ClientApp;

/// <summary>A home plan as the rows of a program in a table, so that other programs and people can go on with it.</summary>
public static class HomeRows
{
    /// <summary>One row per exercise, in the order in which they are done; what is kept as written comes after.</summary>
    /// <param name="title">Title of the plan.</param>
    /// <param name="plan">The plan.</param>
    public static ImmutableArray<ProgramRow> Build(string title, HomePlan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return [.. plan.Days.SelectMany((day, i) => Day(title, day, i, plan))];
    }

    private static IEnumerable<ProgramRow> Day(string title, HomeDay day, int index, HomePlan plan)
    {
        var lines = plan.Lines.Where(l => l.Gym.Day == index && l.Chosen is not null).ToDictionary(l => l.Gym.Key);
        var rows =
            from @group in day.Groups
            from label in Labels(@group, lines)
            select Row(label.Label, label.Home) with
            {
                Week = title,
                Day = day.Name,
            };
        return rows.Concat(
            plan.Kept.Where(k => k.Day == index)
                .Select(k => new ProgramRow
                {
                    Week = title,
                    Day = day.Name,
                    Note = k.Text,
                })
        );
    }

    /// <summary>The exercises of a group: A1, A2 where several take turns, none where one stands alone.</summary>
    private static IEnumerable<(string Label, HomeExercise Home)> Labels(RoundGroup group, Dictionary<LineKey, HomeLine> lines)
    {
        var homes = group.Lines.Where(lines.ContainsKey).SelectMany(l => lines[l].Chosen!.Exercises).ToList();
        return homes.Select((home, i) => (homes.Count > 1 ? $"{group.Label}{i + 1}" : string.Empty, home));
    }

    private static ProgramRow Row(string label, HomeExercise home) =>
        new ProgramRow
        {
            Label = label,
            Exercise = home.Name,
            Load = home.ExternalKg > 0 ? $"{Words.Number(home.ExternalKg, 1)} kg" : string.Empty,
            Rir = home.Dose.Timed ? string.Empty : $"{home.Dose.Rir}",
            Tempo = home.Dose.Timed ? string.Empty : home.Dose.Tempo.ToString(),
            Rest = $"{home.Dose.RestSeconds} s",
            Method = home.Dose.Scheme?.InTable ?? string.Empty,
            Note = home.Setup,
        }.With(ProgramField.Dose, home.Dose.SetsAndReps);
}
