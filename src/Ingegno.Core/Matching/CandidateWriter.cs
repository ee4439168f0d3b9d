using System.Collections.Immutable;
using Ingegno.Core.Catalogue;
using Ingegno.Core.Clients;
using Ingegno.Core.Kit;
using Ingegno.Core.Loading;
using Ingegno.Core.Loading.Objects;
using Ingegno.Core.Prescribing;

namespace Ingegno.Core.Matching;

/// <summary>Turns a scored exercise or pair into a proposal a coach can read.</summary>
public sealed class CandidateWriter(ClientProfile client, Trade trade, ResistanceMatch resistance, KitAtPlace kit)
{
    /// <summary>Part score below which something is named as lost.</summary>
    private const double Loss = 0.75;

    /// <summary>Share of a load to which a drop goes down at least.</summary>
    private const double ClearlyLighter = 0.85;

    public Candidate Write(LineToMatch line, Scored scored)
    {
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(scored);
        var same = scored.Exercise.Id == line.Exercise.Id ? ["The same exercise: no change needed."] : Enumerable.Empty<string>();
        return Build(scored.Exercise.Id, [Home(line, scored)], scored.Match, scored.Parts, same);
    }

    public Candidate Write(LineToMatch line, ScoredPair pair)
    {
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(pair);
        string[] lead = ["No single exercise here does the whole job, so two are done in a row."];
        return Build($"{pair.First.Exercise.Id}+{pair.Second.Exercise.Id}", [Home(line, pair.First), Home(line, pair.Second)], pair.Match, pair.Parts, lead);
    }

    private static Candidate Build(
        string id, ImmutableArray<HomeExercise> exercises, double match, ImmutableArray<PartScore> parts, IEnumerable<string> lead) => new()
        {
            Id = id,
            Exercises = exercises,
            Match = Math.Clamp(match, 0, 1),
            Parts = parts,
            Why = [.. lead, .. parts.Where(p => p.Score >= Loss).OrderByDescending(p => p.Weight).Select(p => p.Reason), .. exercises.Select(e => e.Dose.Reason).Distinct()],
            Lost = [.. parts.Where(p => p.Score < Loss).OrderByDescending(p => (1 - p.Score) * p.Weight).Select(p => p.Reason)],
        };

    /// <summary>What bands, objects and things that nobody tested yet add.</summary>
    private static IEnumerable<string> LoadCautions(LoadedSetup loaded)
    {
        if (loaded.External.Warning is { } warning)
        {
            yield return warning;
        }

        foreach (var check in loaded.Checks.Where(c => c.Verdict == Verdict.Care))
        {
            yield return Words.Sentence($"{check.Thing}: {check.Sum}. {check.Advice}");
        }

        var untested = loaded.Bindings.Select(b => b.Thing).Where(t => t.Kind.FirstUse.Except(t.Item.Tested).Any()).Select(t => t.InWords).Distinct().ToList();
        if (untested.Count > 0 && loaded.Setup.Checks.Any(c => c.Kind != CheckKind.HeightFits))
        {
            yield return $"Not tested yet: {Words.Join(untested)}. Push, half weight, full weight before the first set.";
        }
    }

    private HomeExercise Home(LineToMatch line, Scored scored)
    {
        var (exercise, loaded) = (scored.Exercise, scored.Loaded);
        var load = loaded.External.InWords;
        var setup = SetupText.Fill(loaded.Setup.Text, loaded.Bindings, load);
        return new HomeExercise
        {
            ExerciseId = exercise.Id,
            Name = exercise.Name,
            SetupId = loaded.Setup.Id,
            Setup = setup,
            ExternalKg = Math.Round(loaded.External.MassKg, 2),
            SystemLoadKg = loaded.System is { } system ? Math.Round(system.Kg, 1) : null,
            Resistance = loaded.System is { Range: var range } ? new ResistanceRange(Math.Round(range.Start, 1), Math.Round(range.Middle, 1), Math.Round(range.End, 1)) : null,
            LoadEstimated = loaded.System is { Estimated: true },
            LoadBasis = loaded.System?.Basis,
            Checks = loaded.Checks,
            Expected = loaded.Reps,
            Wanted = loaded.Reps is null ? null : new Bounds((int)Math.Floor(line.Effort.Low), (int)Math.Ceiling(line.Effort.High)),
            RestsOn = loaded.RestsOn,
            Dose = Dose(line, exercise, loaded),
            Steps = [.. loaded.Setup.Steps.Select(s => SetupText.Fill(s, loaded.Bindings, load))],
            Cues = exercise.Cues,
            Cautions = [.. exercise.Cautions, .. loaded.Setup.Cautions, .. CandidateFilter.Cautions(exercise, client), .. LoadCautions(loaded)],
            EasierName = exercise.Easier is { } easier ? trade.Catalogue.Find(easier)?.Name : null,
            HarderName = exercise.Harder is { } harder ? trade.Catalogue.Find(harder)?.Name : null,
            UsesItems = [.. loaded.Bindings.Select(b => b.Thing.Id).Concat(loaded.External.ItemIds).Distinct().Order(StringComparer.Ordinal)],
        };
    }

    private Dose Dose(LineToMatch line, Exercise exercise, LoadedSetup loaded)
    {
        var reps = loaded.Reps?.Mid;
        var dose = DosePrescriber.Prescribe(line.Line, exercise, client, line.Effort, loaded.Reps, loaded.Techniques, line.Approach, trade.Fatigue);
        var (lighter, easier) = (Lighter(loaded), Easier(exercise));
        var scheme = SetSchemeChoice.For(new SetSchemeQuestion(line.Line, line.Role, exercise, reps, lighter, easier), client, line.Approach, trade.Techniques);
        return scheme is null ? dose : SetSchemeChoice.Apply(dose, scheme, reps, scheme.Scheme == SetScheme.Drop ? lighter : easier);
    }

    /// <summary>The next clearly lighter load of the same set-up, in words.</summary>
    private string? Lighter(LoadedSetup loaded) =>
        resistance.Options(loaded.Setup.Load).Where(l => l.MassKg < loaded.External.MassKg * ClearlyLighter).OrderByDescending(l => l.MassKg).FirstOrDefault() is { } load
            ? load.MassKg > 0 ? load.InWords : "no load"
            : null;

    private string? Easier(Exercise exercise) =>
        exercise.Easier is { } id && trade.Catalogue.Find(id) is { } easier && CandidateFilter.Why(easier, client) is null && easier.Setups.Any(s => kit.Meets(s.Needs).Possible)
            ? easier.Name
            : null;
}
