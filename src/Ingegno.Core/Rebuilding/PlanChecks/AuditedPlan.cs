using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Rebuilding.PlanChecks;

/// <summary>One exercise of a plan under check, whether it is ours or was pasted.</summary>
/// <param name="Line">Line of the text.</param>
/// <param name="Day">Day of the week, 0 first.</param>
/// <param name="Exercise">The exercise.</param>
/// <param name="Sets">Sets.</param>
/// <param name="Target">Reps or seconds of a set.</param>
/// <param name="Timed">Counted in seconds.</param>
/// <param name="PerSide">Counted for each side.</param>
/// <param name="RestSeconds">Rest, s; null when nothing is said.</param>
/// <param name="Rir">Reps in reserve; null when nothing is said.</param>
/// <param name="Superset">Letter of its superset.</param>
/// <param name="Home">The home exercise, when the plan is ours.</param>
/// <param name="Role">What its line is for, when that is known.</param>
/// <param name="Gym">The line as it was pasted; null when the plan is ours.</param>
/// <param name="StandsFor">The gym line that it takes the place of; null in a pasted plan.</param>
public sealed record AuditedExercise(
    LineKey Line,
    int Day,
    Exercise Exercise,
    int Sets,
    SetTarget Target,
    bool Timed,
    bool PerSide,
    int? RestSeconds,
    int? Rir,
    char? Superset,
    HomeExercise? Home = null,
    LineRole? Role = null,
    GymLine? Gym = null,
    GymLine? StandsFor = null
)
{
    /// <summary>The coach typed the reps in reserve.</summary>
    public bool RirTyped { get; init; }
}

/// <summary>A plan under check.</summary>
public sealed record AuditedPlan
{
    public required ClientProfile Client { get; init; }

    public required ImmutableArray<AuditedExercise> Exercises { get; init; }

    /// <summary>Names of the days, in order.</summary>
    public required ImmutableArray<string> Days { get; init; }

    /// <summary>Minutes of each day; empty when they are not known.</summary>
    public ImmutableArray<SessionMinutes> Minutes { get; init; } = [];

    /// <summary>Approach of each day.</summary>
    public ImmutableArray<Approach> Approaches { get; init; } = [];

    /// <summary>Hard sets, gym beside home; empty for a pasted plan, which has no gym plan beside it.</summary>
    public ImmutableArray<MuscleSets> HardSets { get; init; } = [];

    /// <summary>Lines of our own plan with their candidates; empty for a pasted plan.</summary>
    public ImmutableArray<HomeLine> Lines { get; init; } = [];

    /// <summary>What is taken where the plan names no rest and no reserve.</summary>
    public required UnsaidDose Unsaid { get; init; }

    /// <summary>Kit of the place; null when it is not known.</summary>
    public KitAtPlace? Kit { get; init; }

    /// <summary>Exercises to choose from; null when nothing else shall be proposed.</summary>
    public ExerciseCatalogue? Catalogue { get; init; }

    /// <summary>How muscles are compared.</summary>
    public required PartRules Parts { get; init; }

    /// <summary>What a set costs the next, for this client; null when nothing is known of it.</summary>
    public SetFatigue? Fatigue { get; init; }

    /// <summary>Techniques of the domain rules.</summary>
    public ImmutableArray<Technique> Techniques { get; init; } = [];

    /// <summary>The engine just wrote it, and no coach has set anything yet.</summary>
    public bool IsFresh { get; init; }

    /// <summary>Pasted lines that say how to go on: a rep range, an open set, or a word for it.</summary>
    public bool SaysHowToGoOn { get; init; } = true;

    /// <summary>A plan of ours.</summary>
    public static AuditedPlan From(RebuildRequest request, HomePlan plan, KitAtPlace kit, DomainRules domain)
    {
        ArgumentNullException.ThrowIfNull(request);
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(domain);
        return new AuditedPlan
        {
            Client = request.Client,
            Parts = domain.Match.Parts,
            Unsaid = domain.Dose.Unsaid,
            Fatigue = domain.Fatigue,
            IsFresh = request.Edits.IsDefaultOrEmpty && request.Choices.IsDefaultOrEmpty,
            Days = [.. plan.Days.Select(d => d.Name)],
            Minutes = [.. plan.Days.Select(d => d.Minutes)],
            Approaches = [.. plan.Days.Select(d => request.ApproachOn(d.Name, domain))],
            HardSets = plan.HardSets,
            Lines = plan.Lines,
            Kit = kit,
            Catalogue = domain.Catalogue,
            Techniques = domain.Techniques,
            Exercises =
            [
                .. from line in plan.Lines
                from home in line.Chosen?.Exercises ?? []
                let exercise = domain.Catalogue.Get(home.ExerciseId)
                select new AuditedExercise(
                    line.Gym.Key,
                    line.Gym.Day,
                    exercise,
                    home.Dose.Sets,
                    home.Dose.Target,
                    home.Dose.Timed,
                    home.Dose.PerSide,
                    home.Dose.RestSeconds,
                    home.Dose.Rir,
                    line.Gym.SupersetLetter,
                    home,
                    line.Role,
                    StandsFor: line.Gym
                )
                {
                    RirTyped = request.Edits.Any(e => e is { Rir: not null, IsTyped: true } && e.IsOf(line.Gym.Key, home.ExerciseId)),
                },
            ],
        };
    }

    /// <summary>A plan that was pasted in shorthand.</summary>
    public static AuditedPlan From(ClientProfile client, ShorthandResult read, DomainRules domain)
    {
        ArgumentNullException.ThrowIfNull(client);
        ArgumentNullException.ThrowIfNull(read);
        ArgumentNullException.ThrowIfNull(domain);
        return new AuditedPlan
        {
            Client = client,
            Parts = domain.Match.Parts,
            Unsaid = domain.Dose.Unsaid,
            Catalogue = domain.Catalogue,
            Days = [.. read.Days.Select(d => d.Name)],
            Approaches = [.. read.Days.Select(_ => domain.ApproachOf(client.Approach))],
            SaysHowToGoOn = read.Lines.Any(l =>
                l.LastSetOpen
                || l.Target.IsOpen
                || l.Target.Min < l.Target.Max
                || l.Rir is not null
                || l.Rpe is not null
                || l.WorkingShare is not null
            ),
            Exercises =
            [
                .. read.Lines.Select(l => new AuditedExercise(
                    l.Key,
                    l.Day,
                    domain.Catalogue.Get(l.ExerciseId),
                    l.Sets,
                    l.Target,
                    l.Timed,
                    l.PerSide,
                    l.RestSeconds,
                    l.Reserve,
                    l.SupersetLetter,
                    Gym: l
                )),
            ],
        };
    }

    /// <summary>Name of a day as it stands in a sentence.</summary>
    public Reason DayName(int day) =>
        day < Days.Length && Days[day].Length > 0 ? Reason.Text(Days[day]) : Reason.Of("day.number", ("number", day + 1));
}
