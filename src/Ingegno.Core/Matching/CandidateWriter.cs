using System.Collections.Immutable;
using Ingegno.Core.Catalogue;
using Ingegno.Core.Clients;
using Ingegno.Core.Prescribing;

namespace Ingegno.Core.Matching;

/// <summary>Turns a scored exercise or pair into a proposal a coach can read.</summary>
public sealed class CandidateWriter(ClientProfile client, ExerciseCatalogue catalogue)
{
    /// <summary>Part score below which something is named as lost.</summary>
    private const double Loss = 0.75;

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
            SystemLoadKg = loaded.SystemLoadKg is { } kg ? Math.Round(kg, 1) : null,
            ExpectedReps = loaded.Reps?.InWords,
            RestsOn = loaded.RestsOn,
            Dose = DosePrescriber.Prescribe(line.Line, exercise, client, line.Effort, loaded.Reps?.Mid, loaded.Techniques),
            Steps = [.. loaded.Setup.Steps.Select(s => SetupText.Fill(s, loaded.Bindings, load))],
            Cues = exercise.Cues,
            Cautions = [.. exercise.Cautions, .. loaded.Setup.Cautions, .. CandidateFilter.Cautions(exercise, client)],
            EasierName = exercise.Easier is { } easier ? catalogue.Find(easier)?.Name : null,
            HarderName = exercise.Harder is { } harder ? catalogue.Find(harder)?.Name : null,
            UsesItems = [.. loaded.Bindings.Select(b => b.Thing.Id).Concat(loaded.External.ItemIds).Distinct().Order(StringComparer.Ordinal)],
        };
    }
}
