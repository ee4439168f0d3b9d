using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Programs.Commands;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Progress.Progression;

/// <summary>Proposal for the next session of one exercise.</summary>
/// <param name="Line">Key of the gym line.</param>
/// <param name="ExerciseId">Exercise the proposal is about.</param>
/// <param name="Name">Its name.</param>
/// <param name="Decision">What to do.</param>
/// <param name="Reason">Why, in words.</param>
/// <param name="Dose">The dose to do next.</param>
/// <param name="ExternalKg">External load to use next, kg.</param>
/// <param name="Load">That load in words; empty for none.</param>
/// <param name="FlagsCoach">True when the coach should look at it in person.</param>
public sealed record Proposal(
    LineKey Line,
    string ExerciseId,
    string Name,
    Decision Decision,
    Reason Reason,
    Dose Dose,
    double ExternalKg,
    string Load,
    bool FlagsCoach
)
{
    /// <summary>The dose with its load as it is typed into a cell.</summary>
    public string DoseAsTyped => Dose.AsTyped(ExternalKg);

    /// <summary>Exercise to step to; null when the exercise stays.</summary>
    public string? ToExerciseId { get; init; }

    /// <summary>It is done on one side at a time there.</summary>
    [JsonIgnore]
    public bool ToOneSide { get; init; }

    /// <summary>External load there, kg; null for none, or where the engine chooses it.</summary>
    public double? ToKg { get; init; }

    /// <summary>Set-up and load there in words; null where the engine chooses them.</summary>
    public string? ToSetup { get; init; }

    /// <summary>Joint that hurts; null when none does.</summary>
    public Joint? Joint { get; init; }

    /// <summary>What takes the place of the line's exercise, as the engine would build it; null when nothing does.</summary>
    public Replacement? Replacement { get; init; }

    /// <summary>The exercise is to be easier, not harder.</summary>
    [JsonIgnore]
    public bool Eases { get; init; }

    /// <summary>The exercise as the engine built it, where its set-up comes along; null where it stays in the one that it has.</summary>
    [JsonIgnore]
    public HomeExercise? AsBuilt { get; init; }

    /// <summary>What is proposed where no other exercise is found.</summary>
    [JsonIgnore]
    public Proposal? Otherwise { get; init; }

    /// <summary>Accepting it changes the plan; else it leaves everything as it is, or a coach must settle it at the workbench.</summary>
    public bool Changes =>
        Replacement is not null
        || Decision
            is not (Decision.Wait or Decision.Repeat or Decision.Swap or Decision.Change or Decision.CheckForm or Decision.NewPhase);

    /// <summary>
    /// What accepting it does: exactly what it shows. Sessions up to the log that decided do so once: where another exercise, rung or load
    /// begins, only what is done from then on counts.
    /// </summary>
    public AcceptedProposal Accepted =>
        Replacement is { } other
            ? new AcceptedProposal(Line, ExerciseId, other.Figures(Line, Dose.DecidedAfter)[0])
            {
                ToCandidateId = other.CandidateId,
                Others = other.Figures(Line, Dose.DecidedAfter)[1..],
                Rests =
                    Decision == Decision.Swap && Joint is { } joint
                        ? new RestingExercise(Line, other.InPlaceOf, joint, Dose.DecidedAfter ?? default)
                        : null,
            }
            : new AcceptedProposal(Line, ExerciseId, Figures, ToExerciseId);

    /// <summary>Figures of the exercise that stays, or of the one that is stepped to.</summary>
    private HomeEdit Figures =>
        ToExerciseId is { } to
            ? new HomeEdit
            {
                Line = Line,
                ExerciseId = to,
                ExternalKg = ToKg,
                DecidedAfter = Dose.DecidedAfter,
                CountsAfter = Dose.DecidedAfter,
                FindAnew = FindsAnew,
            }
            : HomeEdit.From(Line, ExerciseId, Dose, ExternalKg) with
            {
                SetupId = AsBuilt?.SetupId,
                Spots = AsBuilt?.Spots,
                CountsAfter = BeginsAnew ? Dose.DecidedAfter : Dose.CountsAfter,
                FindAnew = FindsAnew,
            };

    private bool BeginsAnew => Decision is Decision.Calibrated or Decision.StepBack or Decision.EaseIn;

    private bool FindsAnew => Decision == Decision.EaseIn && Dose.Calibrates;
}

/// <summary>Another exercise, or pair, for a line.</summary>
/// <param name="CandidateId">Key of the candidate.</param>
/// <param name="Exercises">Its exercises with their doses.</param>
/// <param name="InPlaceOf">Key of the candidate whose place it takes.</param>
public sealed record Replacement(string CandidateId, ImmutableArray<HomeExercise> Exercises, string InPlaceOf)
{
    /// <summary>Its exercises as they are shown. They wait to be trained: the log that asked for them has been answered.</summary>
    internal ImmutableArray<HomeEdit> Figures(LineKey line, DateOnly? decidedAfter) =>
        [.. Exercises.Select(e => HomeEdit.From(line, e) with { DecidedAfter = decidedAfter, CountsAfter = decidedAfter })];
}
