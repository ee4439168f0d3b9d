using System.Collections.Immutable;
using Ingegno.Core.Kit;

namespace Ingegno.Core.Rebuilding;

/// <summary>Remarks about a whole plan: what is missing, what is assumed, what could not be kept.</summary>
public static class PlanNotices
{
    /// <summary>All remarks, warnings first.</summary>
    public static ImmutableArray<PlanNotice> For(RebuildRequest request, KitAtPlace kit, ImmutableArray<HomeLine> lines, ImmutableArray<HomeDay> days, Trade trade)
    {
        ArgumentNullException.ThrowIfNull(request);
        ArgumentNullException.ThrowIfNull(kit);
        return [.. All(request, kit, lines, days, trade).OrderByDescending(n => n.Level)];
    }

    private static IEnumerable<PlanNotice> All(RebuildRequest request, KitAtPlace kit, ImmutableArray<HomeLine> lines, ImmutableArray<HomeDay> days, Trade trade)
    {
        if (kit.Things.IsEmpty)
        {
            yield return new PlanNotice("no-kit", NoticeLevel.Warning, $"\"{kit.Name}\" has no kit yet: this plan uses floor and wall only. Add what is there, a band, a rucksack or a sturdy table first, and rebuild.");
        }

        foreach (var (id, approach) in days.Select(d => (request.ApproachOn(d.Name), request.ApproachOn(d.Name, trade))).Distinct())
        {
            if (id is not null && approach.Id != id)
            {
                yield return new PlanNotice("unknown-approach", NoticeLevel.Warning, $"There is no approach \"{id}\" any more; {approach.Name} is followed instead.");
            }

            if (approach.Conditioning)
            {
                yield return new PlanNotice("conditioning", NoticeLevel.Warning, $"{approach.Name} trains breath and general fitness more than strength. {approach.Against}");
            }
            else if (approach.Phase is { } phase)
            {
                yield return new PlanNotice("approach", NoticeLevel.Info, $"{approach.Name}, phase {phase.Name}: {phase.Idea}");
            }
            else if (approach.Id != Prescribing.Approach.Default)
            {
                yield return new PlanNotice("approach", NoticeLevel.Info, $"{approach.Name}: {approach.Idea} {approach.Note}".TrimEnd());
            }
        }

        if (request.Calibrate)
        {
            var all = lines.SelectMany(l => l.Chosen?.Exercises ?? []).ToList();
            var open = all.Count(e => e.Dose.Calibrates);
            var kept = all.Select(e => (e.Name, Why: Prescribing.Calibration.Open(e, trade.Catalogue.Get(e.ExerciseId), request.Client, kit).WhyNot)).Where(e => e.Why is not null).Select(e => $"{e.Name} ({e.Why})").ToList();
            var closed = kept.Count > 0 ? $" Not {Words.Join(kept)}." : string.Empty;
            yield return new PlanNotice("calibration", NoticeLevel.Info, open > 0
                ? $"Calibration: the last set of {Words.Count(open, "exercise")} is open; log it, and the dose is set from what was done.{closed}"
                : $"Calibration: nothing is open any more; the log has set the doses.{closed}");
        }

        if (request.Client.BodyMassKg is null)
        {
            yield return new PlanNotice("assumed-body-mass", NoticeLevel.Warning, $"Body mass is not known: {Words.Number(Strength.ClientStrength.AssumedBodyMassKg)} kg is assumed, so expected reps are rough. Enter it to sharpen them.");
        }

        if (request.Client.StatureCm is null)
        {
            yield return new PlanNotice("assumed-stature", NoticeLevel.Info, $"Stature is not known: {Words.Number(Strength.ClientStrength.AssumedStatureCm)} cm is assumed for support heights.");
        }

        foreach (var line in lines.Where(l => l.Chosen is null))
        {
            yield return new PlanNotice("line-without-substitute", NoticeLevel.Warning, $"Nothing in the catalogue serves for {line.GymExerciseName} here. {line.RuledOut.FirstOrDefault()?.Reason}".TrimEnd());
        }

        foreach (var choice in request.Choices.Where(c => c.CandidateId is not null))
        {
            var line = lines.FirstOrDefault(l => l.Gym.Line == choice.Line);
            if (line is not null && !line.Locked)
            {
                yield return new PlanNotice("choice-not-kept", NoticeLevel.Warning, $"Your choice for {line.GymExerciseName} cannot be done with this kit or client any more, so another was taken. Its reason stands among the ruled-out ones.");
            }
        }

        var estimated = kit.Things.Where(t => t.Estimated).Select(t => t.InWords).ToList();
        if (estimated.Count > 0)
        {
            yield return new PlanNotice("estimated-kit", NoticeLevel.Info, $"Typical values stand in for what was not measured: {Words.Join([.. estimated.Take(4)])}{(estimated.Count > 4 ? " and more" : string.Empty)}.");
        }
    }
}
