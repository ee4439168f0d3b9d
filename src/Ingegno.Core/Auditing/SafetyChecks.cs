using Ingegno.Core.Catalogue;
using Ingegno.Core.Clients;
using Ingegno.Core.Matching;
using Ingegno.Core.Rebuilding;

namespace Ingegno.Core.Auditing;

/// <summary>What may hurt: joints, level, landings, blood pressure, furniture nobody tried (handbook 06).</summary>
internal static class SafetyChecks
{
    private const int HardLanding = 2;

    public static IEnumerable<Finding> Find(AuditedPlan plan) => Clearance(plan).Concat(plan.Exercises.SelectMany(e => Of(plan, e))).Concat(Furniture(plan));

    private static IEnumerable<Finding> Clearance(AuditedPlan plan)
    {
        if (!plan.Client.Screening.IsEmpty && plan.Client.Clearance is null)
        {
            yield return new Finding(
                "clearance", "clearance", Severity.Serious, "No hard work before a clinician has cleared it; record the clearance with the client.",
                $"Screening: {Words.Join([.. plan.Client.Screening.Distinct().Select(Words.Of)])}.");
        }
    }

    private static IEnumerable<Finding> Of(AuditedPlan plan, AuditedExercise at)
    {
        var (exercise, client) = (at.Exercise, plan.Client);

        // What a client refuses is no danger, and a pasted plan does not know of it.
        if (CandidateFilter.Why(exercise, client with { Refuses = [] }) is { } why)
        {
            yield return new Finding(
                $"{why.Code}/{at.Line}/{exercise.Id}", why.Code, Severity.Serious, $"{exercise.Name} is not for this client.", why.Reason, at.Line, Remedies.Other(plan, at));
        }
        else if (exercise.Impact >= HardLanding)
        {
            yield return new Finding(
                $"landing/{at.Line}", "landing", Severity.Hint, $"{exercise.Name} has hard landings: only for who lands well, and never as mere effort.",
                $"Impact {exercise.Impact} of 3.", at.Line, Remedies.Other(plan, at));
        }

        foreach (var technique in plan.Techniques.Where(t => at.Home?.Dose.Techniques.Contains(t.Id) == true && !t.Fits(exercise, client)))
        {
            yield return new Finding(
                $"technique/{at.Line}/{technique.Id}", "technique", technique.NotWithHighBloodPressure && client.HighBloodPressure ? Severity.Serious : Severity.Warning,
                $"{Words.Sentence(technique.Label)} is not for this client in {exercise.Name}.", technique.Caution ?? $"Meant from {Words.Of(technique.From)} on{(technique.Region is { } region ? $", for the {Words.Of(region)} body" : string.Empty)}.", at.Line,
                Remedies.Figures(at, "Take it off", e => e with { Techniques = at.Home!.Dose.Techniques.Remove(technique.Id) }));
        }

        if (at.Home?.Dose.Techniques is { Length: > 1 } several && client.Level == Level.Beginner)
        {
            yield return new Finding(
                $"two-techniques/{at.Line}", "two-techniques", Severity.Warning, $"{exercise.Name} has {several.Length} techniques at once: a beginner does one at a time.", "Learning the movement comes first.", at.Line,
                Remedies.Figures(at, "Keep the first", e => e with { Techniques = [several[0]] }));
        }

        if (client.HighBloodPressure && at is { Timed: true, Exercise.Measure: Measure.Seconds } && at.Target.Max > 20 && at.Rir is 0)
        {
            yield return new Finding(
                $"long-hold/{at.Line}", "long-hold", Severity.Warning, $"{exercise.Name} to the limit: no all-out holds with high blood pressure.", $"{at.Target.Max} s with nothing in reserve.", at.Line);
        }
    }

    private static IEnumerable<Finding> Furniture(AuditedPlan plan)
    {
        var untested =
            from at in plan.Exercises
            where at.Home is { Checks.IsEmpty: false }
            from id in at.Home!.UsesItems
            let thing = plan.Kit?.Things.FirstOrDefault(t => t.Id == id)
            where thing is not null && thing.Kind.FirstUse.Except(thing.Item.Tested).Any()
            group at by (id, thing.InWords);
        return untested.Select(u => new Finding(
            $"untested/{u.Key.id}", "untested", Severity.Warning, $"Nobody has tested the {u.Key.InWords} yet: push, half weight, full weight before the first set.",
            $"Used for {Words.Join([.. u.Select(a => a.Exercise.Name).Distinct()])}.", u.First().Line));
    }
}
