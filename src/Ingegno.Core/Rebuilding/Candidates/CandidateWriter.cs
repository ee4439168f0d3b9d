using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading.Objects;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Rebuilding.Candidates;

/// <summary>Turns a scored exercise or pair into a proposal a coach can read.</summary>
public sealed class CandidateWriter(ClientAtPlace at)
{
    /// <summary>Share of a load to which a drop goes down at least.</summary>
    private const double ClearlyLighter = 0.85;

    public Candidate Write(LineToMatch line, Scored scored)
    {
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(scored);
        var same =
            scored.Exercise.Id == line.Exercise.Id ? [Reason.Of("why.same")]
            : at.DomainRules.Names.MovementOf(scored.Exercise) is { } movement && movement == at.DomainRules.Names.MovementOf(line.Exercise)
                ? [Reason.Of("why.same-movement")]
            : Enumerable.Empty<Reason>();
        return Build(scored.Exercise.Id, [Home(line, scored)], scored.Match, scored.Parts, same, HeldBack(line, scored));
    }

    public Candidate Write(LineToMatch line, ScoredPair pair)
    {
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(pair);
        Reason[] lead = [Reason.Of("why.pair")];
        return Build(
            $"{pair.First.Exercise.Id}+{pair.Second.Exercise.Id}",
            [Home(line, pair.First), Home(line, pair.SecondIsTired ? Tired(pair.Second) : pair.Second)],
            pair.Match,
            pair.Parts,
            lead,
            []
        );
    }

    /// <summary>What is left of the reps of a muscle that another movement has tired (the table of techniques says how much).</summary>
    private Scored Tired(Scored second) =>
        at.DomainRules.Techniques.FirstOrDefault(t => t.Scheme is PreExhaust) is { } tiring && second.Loaded.Reps is { } reps
            ? second with
            {
                Loaded = second.Loaded with { Reps = reps.Times(tiring.RepsLeft) },
            }
            : second;

    private Candidate Build(
        string id,
        ImmutableArray<HomeExercise> exercises,
        double match,
        ImmutableArray<PartScore> parts,
        IEnumerable<Reason> lead,
        IEnumerable<Reason> heldBack
    ) =>
        new()
        {
            Id = id,
            Exercises = exercises,
            Match = Math.Clamp(match, 0, 1),
            Parts = parts,
            Why =
            [
                .. lead,
                .. parts.Where(p => p.Score >= at.DomainRules.Match.Parts.LossBelow).OrderByDescending(p => p.Weight).Select(p => p.Reason),
                .. exercises.Select(e => e.Dose.Reason).Distinct(),
            ],
            Lost =
            [
                .. heldBack,
                .. exercises.SelectMany(e => JointSparing.Down(at.DomainRules.Catalogue.Get(e.ExerciseId), at.Client)).Distinct(),
                .. parts
                    .Where(p => p.Score < at.DomainRules.Match.Parts.LossBelow)
                    .OrderByDescending(p => (1 - p.Score) * p.Weight)
                    .Select(p => p.Reason),
            ],
        };

    /// <summary>
    /// A heavier load is here and would be nearer to what the line wants, but a thing that holds it is not up to it: the coach may know better what
    /// it carries.
    /// </summary>
    private IEnumerable<Reason> HeldBack(LineToMatch line, Scored scored)
    {
        if (
            scored.Loaded is { System: { } system, Reps: { } reps, AsNamed: false } loaded
            && reps.Mid > line.Effort.High
            && at.Ways.SetupsOf(scored.Exercise).FirstOrDefault(s => s.Setup == loaded.Setup) is { } here
            && !here.Safe.Any(w => w.System.Kg > system.Kg)
            && here.Ways.FirstOrDefault(w => w.Refused is not null && w.System.Kg > system.Kg)?.Refused is { } refused
        )
        {
            yield return Reason.Of("why.held-back", ("thing", refused.Thing), ("sum", refused.Sum), ("advice", refused.Advice));
        }
    }

    private HomeExercise Home(LineToMatch line, Scored scored)
    {
        var (exercise, loaded) = (scored.Exercise, scored.Loaded);
        var home = new HomeExercise
        {
            ExerciseId = exercise.Id,
            Name = exercise.Name,
            SetupId = loaded.Setup.Id,
            Setup = string.Empty,
            ExternalKg = 0,
            Expected = loaded.Reps,
            Wanted = loaded.Reps is null ? null : new Bounds((int)Math.Floor(line.Effort.Low), (int)Math.Ceiling(line.Effort.High)),
            Aim = loaded.Reps is null ? null : line.Aim(at.DomainRules.Match),
            RestsOn = loaded.RestsOn,
            Dose = Dose(line, exercise, loaded),
            How = exercise.How,
            Cues = exercise.Cues,
            EasierName = exercise.Easier is { } easier ? at.DomainRules.Catalogue.Find(easier)?.Name : null,
            HarderName = exercise.Harder is { } harder ? at.DomainRules.Catalogue.Find(harder)?.Name : null,
        };
        return Rigging.On(home, exercise, loaded.Way, loaded.System, at);
    }

    private Dose Dose(LineToMatch line, Exercise exercise, LoadedSetup loaded)
    {
        var reps = loaded.Reps?.Mid;
        var asked = new DoseQuestion(line.Line, exercise, line.Effort, loaded.Reps, loaded.Techniques, line.Approach)
        {
            AsNamed = loaded.AsNamed,
            Loaded = loaded.External.MassKg > 0,
        };
        var dose = DosePrescriber.Prescribe(asked, at.Client, at.DomainRules);
        var fit = SchemeFits.Of(dose, line.Line, exercise, reps) with
        {
            LighterLoad = Lighter(exercise, loaded),
            EasierVersion = Easier(exercise),
        };
        var scheme = SetSchemeChoice.For(
            new SetSchemeQuestion(line.Line, line.Role, exercise, fit),
            at.Client,
            line.Approach,
            at.DomainRules.Techniques
        );
        return scheme is null ? dose : SetSchemeChoice.Apply(dose, scheme, fit, line.Line.MethodFigures);
    }

    /// <summary>The next clearly lighter load of the same set-up, in words.</summary>
    private string? Lighter(Exercise exercise, LoadedSetup loaded) =>
        at
            .Ways.SetupsOf(exercise)
            .First(s => s.Setup == loaded.Setup)
            .Safe.Where(w => w.Spots == Binding.Spots(loaded.Bindings))
            .Select(w => w.Load)
            .Where(l => l.MassKg < loaded.External.MassKg * ClearlyLighter)
            .OrderByDescending(l => l.MassKg)
            .FirstOrDefault()
            is { } load
            ? load.MassKg > 0
                ? load.InWords
                : "no load"
            : null;

    private string? Easier(Exercise exercise) =>
        exercise.Easier is { } id && at.DomainRules.Catalogue.Find(id) is { } easier && at.CanDo(easier) ? easier.Name : null;
}
