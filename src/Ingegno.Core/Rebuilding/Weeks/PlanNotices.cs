using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Rebuilding.Weeks;

/// <summary>Remarks about a whole plan: what is missing, what is assumed, what could not be kept.</summary>
public static class PlanNotices
{
    /// <summary>All remarks, warnings first.</summary>
    public static ImmutableArray<PlanNotice> For(
        RebuildRequest request,
        KitAtPlace kit,
        ImmutableArray<HomeLine> lines,
        ImmutableArray<HomeDay> days,
        DomainRules domain
    )
    {
        ArgumentNullException.ThrowIfNull(request);
        ArgumentNullException.ThrowIfNull(kit);
        return [.. All(request, kit, lines, days, domain).OrderByDescending(n => n.Level)];
    }

    /// <summary>A remark that wants an answer: what the plan says and what is known do not go together.</summary>
    public static PlanNotice ToAsk(Reason text)
    {
        ArgumentNullException.ThrowIfNull(text);
        return new PlanNotice(text.Code.Replace('.', '-'), NoticeLevel.Warning, text);
    }

    /// <summary>Names of what is done with a bar that pins.</summary>
    private static List<string> Pinning(ImmutableArray<HomeLine> lines, DomainRules domain) =>
        [
            .. lines
                .SelectMany(l => l.Chosen?.Exercises ?? [])
                .Where(e => Guarding.Need(e, domain.Catalogue.Get(e.ExerciseId)) != GuardNeed.None)
                .Select(e => e.Name)
                .Distinct(),
        ];

    private static IEnumerable<PlanNotice> All(
        RebuildRequest request,
        KitAtPlace kit,
        ImmutableArray<HomeLine> lines,
        ImmutableArray<HomeDay> days,
        DomainRules domain
    )
    {
        if (kit.Things.IsEmpty)
        {
            yield return new PlanNotice("no-kit", NoticeLevel.Warning, Reason.Of("notice.no-kit", ("place", kit.Name)));
        }

        if (request.Client.NeedsClearance)
        {
            yield return new PlanNotice("gentle", NoticeLevel.Warning, Reason.Of("notice.gentle", ("rir", domain.Dose.Gentle.Rir)));
        }

        if (Enum.GetValues<HealthHazard>().Where(h => request.Client.Avoids(h)).ToList() is [_, ..] hazards)
        {
            yield return new PlanNotice(
                "health-limits",
                NoticeLevel.Info,
                Reason.Of("notice.health-limits", ("hazards", FactList.Of(hazards)))
            );
        }

        if (request.Client.Clearance is { Limits.Length: > 0 } clearance)
        {
            yield return new PlanNotice(
                "clearance-limits",
                NoticeLevel.Warning,
                Reason.Of("notice.clearance-limits", ("limits", clearance.Limits))
            );
        }

        if (kit.Guarded is null && Pinning(lines, domain) is { Count: > 0 } pinning)
        {
            yield return new PlanNotice("guard", NoticeLevel.Warning, Reason.Of("notice.guard", ("exercises", FactList.Of(pinning))));
        }

        foreach (var (id, approach) in days.Select(d => (request.ApproachOn(d.Name), request.ApproachOn(d.Name, domain))).Distinct())
        {
            if (id is not null && approach.Id != id)
            {
                yield return new PlanNotice(
                    "unknown-approach",
                    NoticeLevel.Warning,
                    Reason.Of("notice.unknown-approach", ("id", id), ("approach", approach.Name))
                );
            }

            if (approach.Conditioning)
            {
                yield return new PlanNotice(
                    "conditioning",
                    NoticeLevel.Warning,
                    Reason.Of("notice.conditioning", ("approach", approach.Name), ("against", approach.Against))
                );
            }
            else if (approach.Phase is { } phase)
            {
                yield return new PlanNotice(
                    "approach",
                    NoticeLevel.Info,
                    Reason.Of("notice.phase", ("approach", approach.Name), ("phase", phase.Name), ("idea", phase.Idea))
                );
            }
            else if (approach.Id != Knowledge.Rules.Approach.Default)
            {
                yield return new PlanNotice(
                    "approach",
                    NoticeLevel.Info,
                    Reason.Of("notice.approach", [("approach", approach.Name), ("idea", approach.Idea), .. Note(approach)])
                );
            }
        }

        if (request.Calibrate)
        {
            var all = lines.SelectMany(l => l.Chosen?.Exercises ?? []).ToList();
            var open = all.Count(e => e.Dose.Calibrates);
            var kept = all.Select(e =>
                    (e.Name, Why: Dosing.Calibration.Open(e, domain.Catalogue.Get(e.ExerciseId), request.Client, kit).WhyNot)
                )
                .Where(e => e.Why is not null)
                .Select(e => Reason.Of("notice.not-open", ("exercise", e.Name), ("why", e.Why!)));
            yield return new PlanNotice(
                "calibration",
                NoticeLevel.Info,
                Reason.Of(open > 0 ? "notice.calibration" : "notice.calibrated", ("open", open), ("closed", FactList.Of(kept)))
            );
        }

        if (request.Client.BodyMassKg is null)
        {
            yield return new PlanNotice(
                "assumed-body-mass",
                NoticeLevel.Warning,
                Reason.Of("notice.body-mass", ("mass", Quantity.Kg(AssumedBody.MassKg)))
            );
        }

        if (request.Client.StatureCm is null)
        {
            yield return new PlanNotice(
                "assumed-stature",
                NoticeLevel.Info,
                Reason.Of("notice.stature", ("stature", Quantity.Cm(AssumedBody.StatureCm)))
            );
        }

        foreach (var line in lines.Where(l => l is { Chosen: null, LeftOut: false }))
        {
            yield return new PlanNotice(
                "line-without-substitute",
                NoticeLevel.Warning,
                Reason.Of(
                    "notice.no-substitute",
                    [("exercise", line.GymExerciseName), .. line.RuledOut.Take(1).Select(r => (Fact)("why", r.Reason))]
                )
            );
        }

        foreach (var choice in request.Choices.Where(c => c.CandidateId is not null))
        {
            var line = lines.FirstOrDefault(l => l.Gym.Key == choice.Line);
            if (line is not null && !line.Locked)
            {
                yield return new PlanNotice(
                    "choice-not-kept",
                    NoticeLevel.Warning,
                    Reason.Of("notice.choice-not-kept", ("exercise", line.GymExerciseName))
                );
            }
        }

        var estimated = kit.Things.Where(t => t.Estimated).Select(t => t.InWords).ToList();
        if (estimated.Count > 0)
        {
            yield return new PlanNotice(
                "estimated-kit",
                NoticeLevel.Info,
                Reason.Of("notice.estimated-kit", ("things", FactList.Of(estimated.Take(4))), ("more", estimated.Count > 4))
            );
        }
    }

    private static IEnumerable<Fact> Note(Approach approach)
    {
        if (approach.Note is { Length: > 0 } note)
        {
            yield return ("note", note);
        }
    }
}
