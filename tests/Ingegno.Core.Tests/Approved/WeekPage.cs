using System.Globalization;
using System.Text;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Approved;

/// <summary>A rebuilt week as a page: what stands for each line and why, what ranks beside it, the road ahead, the days, what the check
/// says.</summary>
internal sealed class WeekPage(string title, RebuildRequest request)
{
    private const int CandidatesShown = 4;
    private readonly StringBuilder _page = new();
    private readonly RoadMap _roads = new(DomainRules.Shipped);

    public string Write()
    {
        var plan = new RebuildEngine(DomainRules.Shipped).Rebuild(request).Plan;
        Row($"## {title}");
        Row();
        Row($"{string.Join(", ", request.Kit.Items.Select(i => i.Kind))}");
        foreach (var notice in plan.Notices)
        {
            Row($"- {notice.Level}, {notice.Code}: {notice.Text.Said()}");
        }

        foreach (var line in plan.Lines)
        {
            Write(line);
        }

        foreach (var day in plan.Days)
        {
            Write(day);
        }

        Row();
        Row("### The check");
        Row();
        foreach (var finding in plan.Findings)
        {
            Row($"- {finding.Severity}, {finding.Key}: {finding.Text.Said()} {finding.Evidence.Said()}");
        }

        Row($"- hard sets: {string.Join(", ", plan.HardSets.Select(m => $"{m.Muscle} {N(m.Gym)} → {N(m.Home)}"))}");
        return _page.ToString();
    }

    private void Write(HomeLine line)
    {
        Row();
        Row($"### {line.GymExerciseName} {line.GymDose} {line.GymDetails} ({line.Role})");
        Row();
        if (line.Chosen is not { } chosen)
        {
            Row(line.LeftOut ? "- left out" : "- nothing");
        }
        else
        {
            foreach (var exercise in chosen.Exercises)
            {
                Write(exercise);
            }

            Said("why", chosen.Why);
            Said("lost", chosen.Lost);
        }

        Said("better", line.Better);
        foreach (var candidate in line.Candidates.Take(CandidatesShown))
        {
            Row(
                $"- {N(candidate.Match)} {candidate.Id}: {string.Join(", ", candidate.Parts.Select(p => $"{p.Part} {N(p.Score)}×{N(p.Weight)}"))}"
            );
        }

        var ruledOut = line.RuledOut.GroupBy(r => r.Code).Select(g => $"{g.Key} {g.Count()}");
        Row($"- of {line.Candidates.Length}; ruled out {string.Join(", ", ruledOut)}");
    }

    private void Write(HomeExercise exercise)
    {
        var dose = exercise.Dose;
        Row(
            $"- **{exercise.Name}** | {exercise.Setup} | {dose.Figures} {dose.Tempo} rest {dose.RestSeconds} s RIR {dose.Rir} {string.Join(' ', dose.Techniques)}"
        );
        Row(
            $"- zone {dose.Zone?.Written}, standard {dose.Standard}, expects {exercise.ExpectedReps} ({N(exercise.RepsToFailure)}), wanted {exercise.Wanted}, system {N(exercise.SystemLoadKg)} kg, external {N(exercise.ExternalKg)} kg"
        );
        Row($"- {dose.Reason.Said()} {dose.Instructions.Said()} {exercise.RestsOn?.Said()}");
        Said("cautions", exercise.Cautions);
        Said("checks", exercise.Checks.SelectMany(c => (Reason[])[c.Sum, c.Advice]));
        if (exercise.SystemLoadKg is null)
        {
            return;
        }

        var road = _roads.Ahead(exercise, request.Client, request.Kit);
        foreach (var stop in road.Stops)
        {
            Row(
                $"  - {stop.Decision}: {stop.Name} {stop.Figures} {stop.Load} {stop.Tempo} {stop.RestSeconds} s; {stop.Earned.Said()} {stop.Reason.Said()}"
            );
        }

        Row($"  - {(road.Ends ? "ends" : "goes on")} {road.Longer.Said()}");
    }

    private void Write(HomeDay day)
    {
        Row();
        Row($"### {day.Name}: {day.Minutes.Total} of {day.Minutes.Limit} min");
        Row();
        Said("cut", day.Cut);
        Said("before", day.WarmUp);
        foreach (var group in day.Groups)
        {
            Row(
                $"- {group.Label} {group.Kind}: lines {string.Join(", ", group.Lines)}, {group.Rounds} rounds, rest {group.RestSeconds} s {group.Why?.Said()}"
            );
        }

        Said("after", day.CoolDown);
    }

    private void Said(string what, IEnumerable<Reason> reasons)
    {
        var said = reasons.Said();
        if (said.Length > 0)
        {
            Row($"- {what}: {said}");
        }
    }

    private void Row(string text = "") => _page.Append(text.TrimEnd()).Append('\n');

    private static string N(double? figure) => figure?.ToString("0.##", CultureInfo.InvariantCulture) ?? "–";
}
