using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Equipment.Loading.Objects;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Progress.Ladders;

/// <summary>A rung: a variation, set up and loaded, straight or with a technique.</summary>
/// <param name="Key">Key of the rung: exercise, set-up, what plays its roles, loads and technique.</param>
/// <param name="ExerciseId">The variation.</param>
/// <param name="Name">Its name.</param>
/// <param name="Setup">Set-up and load in words.</param>
/// <param name="ExternalKg">External load, kg.</param>
/// <param name="SystemKg">System load, kg.</param>
/// <param name="Technique">Step of a technique; null for straight sets.</param>
/// <param name="TechniqueLabel">That in words.</param>
/// <param name="Difficulty">Share of the client's one-rep maximum that a rep asks for, techniques counted: 1 is all there is.</param>
/// <param name="Reps">Expected reps to failure in words.</param>
/// <param name="RepsToFailure">Middle of the expected reps to failure.</param>
/// <param name="Step">Step of difficulty from the rung before, as a share; null for the first.</param>
/// <param name="Standard">Reps, or seconds, that end the work on this rung in good form and without pain.</param>
public sealed record LadderRung(
    string Key,
    string ExerciseId,
    string Name,
    string Setup,
    double ExternalKg,
    double SystemKg,
    string? Technique,
    string? TechniqueLabel,
    double Difficulty,
    string Reps,
    double RepsToFailure,
    double? Step,
    Reason Standard
)
{
    /// <summary>The step up to it is worth a bridge.</summary>
    public bool TooHigh => Step > LadderBuilder.HighStep;
}

/// <summary>A step that is too high, and what would fill it.</summary>
/// <param name="After">Index of the rung below it.</param>
/// <param name="Step">How high it is, as a share.</param>
/// <param name="RepsToEarn">Reps at the rung below that earn the wanted reps above; null when more than 30 would be needed.</param>
/// <param name="Fill">What would fill it, in sentences.</param>
public sealed record LadderGap(int After, double Step, int? RepsToEarn, ImmutableArray<Reason> Fill);

/// <summary>All steps of an exercise family that a kit allows, easiest first.</summary>
/// <param name="Family">The family.</param>
/// <param name="Rungs">Its rungs, easiest first.</param>
/// <param name="Here">Index of the rung that the client is on; null when it is not on the ladder.</param>
/// <param name="Next">Index of the next rung; null at the end.</param>
/// <param name="Gaps">Steps that are too high, highest first.</param>
/// <param name="RestsOn">What the client's strength rests on.</param>
public sealed record FamilyLadder(
    string Family,
    ImmutableArray<LadderRung> Rungs,
    int? Here,
    int? Next,
    ImmutableArray<LadderGap> Gaps,
    Reason RestsOn
);

/// <summary>
/// Builds ladders. Rungs of different variations are compared by difficulty d = p / s: p is the system load over the client's
/// one-rep maximum in that variation, and a technique that leaves a share of the reps counts as the load at which straight sets
/// would end there. Nearly equal rungs are merged and the simplest kept.
/// </summary>
public sealed class LadderBuilder(DomainRules domain)
{
    /// <summary>Rungs nearer to one another than this are one to a client.</summary>
    public const double Same = 0.025;

    /// <summary>A step above this is worth a bridge (ACSM position stand 2009: 2–10 %).</summary>
    public const double HighStep = 0.10;

    /// <summary>A technique at a load as light as this helps nobody up a step.</summary>
    private const int TooManyReps = 40;

    private const int MostRungs = 40;
    private const int MostGaps = 4;
    private const int MostFinds = 3;

    /// <summary>The ladder of an exercise's family for a client at a place.</summary>
    /// <param name="exerciseId">The exercise that the client does.</param>
    /// <param name="client">The client.</param>
    /// <param name="place">The kit.</param>
    /// <param name="systemKg">System load at which it is done; null when it is not known.</param>
    /// <param name="technique">Technique step with which it is done; null for straight sets.</param>
    /// <param name="wantedReps">Reps wanted on the next rung, 1–30.</param>
    /// <returns>Null when the exercise is unknown, or no load measures it.</returns>
    public FamilyLadder? Of(string exerciseId, ClientProfile client, PlaceKit place, double? systemKg, string? technique, int wantedReps)
    {
        ArgumentNullException.ThrowIfNull(client);
        ArgumentNullException.ThrowIfNull(place);
        if (domain.Catalogue.Find(exerciseId) is not { Strength: not null, Measure: Measure.Reps } exercise)
        {
            return null;
        }

        var strength = new ClientStrength(client, domain.Strength);
        var rungs = Merged(Every(exercise, client, place, strength));
        var here = Here(rungs, exerciseId, systemKg, technique);
        var gaps = rungs
            .Select((r, i) => (r, i))
            .Where(r => r.r.TooHigh)
            .OrderByDescending(r => r.r.Step)
            .Take(MostGaps)
            .Select(r => Gap(rungs, r.i - 1, wantedReps, client))
            .ToImmutableArray();
        if (!gaps.IsEmpty)
        {
            gaps = gaps.SetItem(
                0,
                gaps[0] with
                {
                    Fill =
                    [
                        .. gaps[0].Fill,
                        .. Finds(exercise, client, place, strength, rungs[gaps[0].After].Difficulty, rungs[gaps[0].After + 1].Difficulty),
                    ],
                }
            );
        }

        return new FamilyLadder(
            exercise.Family,
            rungs,
            here,
            here is { } at && at + 1 < rungs.Length ? at + 1 : null,
            gaps,
            strength.For(exercise)?.RestsOn ?? Reason.None
        );
    }

    /// <summary>Things that are easily found, tried one by one: those that leave clearly smaller steps in a gap.</summary>
    private IEnumerable<Reason> Finds(
        Exercise exercise,
        ClientProfile client,
        PlaceKit place,
        ClientStrength strength,
        double low,
        double high
    )
    {
        var helped =
            from item in ReachableSetups.EasyToFind
            let between = Every(exercise, client, place with { Items = place.Items.Add(item) }, strength)
                .Select(r => r.Difficulty)
                .Where(d => d > low * (1 + Same) && d < high * (1 - Same))
                .Order()
                .ToList()
            where between.Count > 0
            let left = between.Prepend(low).Zip(between.Append(high), (a, b) => (b / a) - 1).Max()
            where left < ((high / low) - 1) * 0.8
            orderby left, item.Id
            select (Name: new Thing(item, domain.KitKinds.Find(item.Kind)!).InWords, item.Count, Left: left);
        return helped
            .DistinctBy(h => Math.Round(h.Left, 2))
            .Take(MostFinds)
            .Select(h => Reason.Of("ladder.find", ("count", h.Count), ("thing", h.Name), ("step", Quantity.Percent(h.Left))));
    }

    private List<LadderRung> Every(Exercise exercise, ClientProfile client, PlaceKit place, ClientStrength strength)
    {
        var at = new ClientAtPlace(client, place, domain);
        var rungs = new List<LadderRung>();
        foreach (
            var variation in domain.Catalogue.AtHome.Where(e =>
                e.Family == exercise.Family && e is { Strength: not null, Measure: Measure.Reps }
            )
        )
        {
            if (CandidateFilter.Why(variation, client) is not null && variation.Id != exercise.Id)
            {
                continue;
            }

            var estimate = strength.For(variation)!;
            foreach (var way in at.Ways.Of(variation).Where(w => w.System.Kg > 0))
            {
                var straight = Rung(variation, estimate, way, null);
                rungs.Add(straight);
                rungs.AddRange(
                    domain
                        .Techniques.Where(t =>
                            t.Scheme is null
                            && t.Order <= TechniqueChoice.LastUsualOrder
                            && t.Fits(variation, client)
                            && at.Kit.Meets(t.Needs).Possible
                        )
                        .Select(t => Rung(variation, estimate, way, t))
                        .Where(r => r.RepsToFailure <= TooManyReps)
                );
            }
        }

        return rungs;
    }

    private LadderRung Rung(Exercise exercise, StrengthEstimate estimate, Way way, Technique? technique)
    {
        var (load, systemKg) = (way.Load, way.System.Kg);
        var curve = exercise.Strength!.Curve;
        var share = technique?.RepsLeft ?? 1;
        var reps = ClientStrength.RepsAt(estimate, systemKg, curve).Times(share);
        return new LadderRung(
            $"{exercise.Id}/{way.Setup.Id}/{way.Spots}/{Words.Number(systemKg, 2)}/{Words.Number(load.MassKg, 2)}/{technique?.Id}",
            exercise.Id,
            exercise.Name,
            SetupText.Fill(way.Setup.Text, way.Bindings, load.InWords),
            Math.Round(load.MassKg, 2),
            Math.Round(systemKg, 1),
            technique?.Id,
            technique?.Label,
            Demand.Of(estimate.OneRepMaxKg, systemKg, curve, share),
            reps.InWords,
            Math.Round(reps.Mid, 1),
            null,
            Milestones.For(exercise, domain, loaded: load.MassKg > 0)
        );
    }

    /// <summary>Easiest first; of nearly equal rungs the simplest stays: no technique, then the shorter set-up.</summary>
    private static ImmutableArray<LadderRung> Merged(IEnumerable<LadderRung> rungs)
    {
        var kept = new List<LadderRung>();
        foreach (
            var rung in rungs.OrderBy(r => r.Technique is not null).ThenBy(r => r.Setup.Length).ThenBy(r => r.Key, StringComparer.Ordinal)
        )
        {
            if (kept.TrueForAll(k => Math.Abs((k.Difficulty / rung.Difficulty) - 1) > Same))
            {
                kept.Add(rung);
            }
        }

        var ordered = kept.Where(r => r.RepsToFailure < RepMaxCurve.MostReps).OrderBy(r => r.Difficulty).ToList();
        var thinned = Thinned(ordered);
        return [.. thinned.Select((r, i) => r with { Step = i == 0 ? null : (r.Difficulty / thinned[i - 1].Difficulty) - 1 })];
    }

    /// <summary>At most so many rungs: the finest steps go first.</summary>
    private static List<LadderRung> Thinned(List<LadderRung> rungs)
    {
        while (rungs.Count > MostRungs)
        {
            var finest = Enumerable.Range(1, rungs.Count - 2).MinBy(i => rungs[i + 1].Difficulty / rungs[i - 1].Difficulty);
            rungs.RemoveAt(finest);
        }

        return rungs;
    }

    private static int? Here(ImmutableArray<LadderRung> rungs, string exerciseId, double? systemKg, string? technique)
    {
        if (systemKg is not { } kg)
        {
            return null;
        }

        var same = rungs.Select((r, i) => (Rung: r, Index: i)).Where(r => r.Rung.ExerciseId == exerciseId).ToList();
        return same.Count == 0
            ? null
            : same.OrderBy(r => Math.Abs((r.Rung.SystemKg / kg) - 1))
                .ThenBy(r => r.Rung.Technique != technique)
                .ThenBy(r => r.Index)
                .First()
                .Index;
    }

    private LadderGap Gap(ImmutableArray<LadderRung> rungs, int below, int wantedReps, ClientProfile client)
    {
        var (low, high) = (rungs[below], rungs[below + 1]);
        var needed = (int)
            Math.Ceiling(
                (
                    RepMaxCurve.Constant(CurveKind.Middle)
                    * ((high.Difficulty / low.Difficulty * (1 + (wantedReps / RepMaxCurve.Constant(CurveKind.Middle)))) - 1)
                ) - 1e-9
            );
        var fill = ImmutableArray.CreateBuilder<Reason>();
        if (needed <= DosePrescriber.MostUsefulReps)
        {
            fill.Add(Reason.Of("ladder.earn", ("needed", needed), ("wanted", wantedReps)));
        }

        var exercise = domain.Catalogue.Get(low.ExerciseId);
        fill.AddRange(
            domain
                .Techniques.Where(t =>
                    t.Scheme is null && t.Order <= TechniqueChoice.LastUsualOrder + 1 && low.Technique is null && t.Fits(exercise, client)
                )
                .OrderBy(t => t.Order)
                .Take(2)
                .Select(t => Reason.Of("ladder.technique", ("technique", t.Label)))
        );
        return new LadderGap(below, high.Step!.Value, needed <= DosePrescriber.MostUsefulReps ? needed : null, fill.ToImmutable());
    }
}
