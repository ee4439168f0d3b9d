using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Rebuilding.Dosing;

/// <summary>Warm-up and cool-down of a day, as sentences in order.</summary>
public sealed record DayPreparation(ImmutableArray<Reason> WarmUp, ImmutableArray<Reason> CoolDown)
{
    /// <summary>A day with nothing on it.</summary>
    public static DayPreparation None { get; } = new([], []);
}

/// <summary>
/// Fits warm-up and cool-down to a day (docs/domain/prescription): raise, mobilise, stabilise, activate, one easy set of the first hard
/// exercise; slow breaths and stretches of what was worked. Needs nothing but the floor and the wall.
/// </summary>
public sealed class Preparation(ExerciseCatalogue catalogue)
{
    private const int Mobilised = 3;

    /// <summary>Joints that are mobilised where warm-up is short.</summary>
    private const int MobilisedInShort = 2;
    private const int Stretched = 3;
    private const double RelatedMuscles = 0.15;

    /// <summary>The preparation of a day's exercises for a client.</summary>
    /// <param name="day">Exercises of the day in order, each with its planned reps; 0 for holds and open sets.</param>
    /// <param name="client">The client.</param>
    /// <param name="isShort">The session has few minutes: no more than the least that prepares.</param>
    public DayPreparation For(IReadOnlyList<(Exercise Exercise, int Reps, int Sets)> day, ClientProfile client, bool isShort = false)
    {
        ArgumentNullException.ThrowIfNull(day);
        ArgumentNullException.ThrowIfNull(client);
        if (day.Count == 0)
        {
            return DayPreparation.None;
        }

        var worked = Worked(day);
        var lower = day.Any(d => BodyRegions.ForPattern(d.Exercise.Pattern) == BodyRegion.Lower);
        var first = day.FirstOrDefault(d => d.Reps > 1);
        Reason[] warmUp =
        [
            .. SessionStart.Checklist(day.Select(d => d.Exercise), client),
            Reason.Of("prepare.raise", ("stepping", Landing(client)), ("short", isShort)),
            .. Fitting(MovementPattern.Mobility, Moved(day, worked), client)
                .Where(e => e.Measure == Measure.Reps) // six slow reps; held stretches come after
                .Take(isShort ? MobilisedInShort : Mobilised)
                .Select(e => Reason.Of("prepare.mobilise", ("exercise", e.Name), ("side", e.Sides == Sides.Unilateral))),
            .. Stabilise(lower, client),
            .. Activation(day, worked, client)
                .Select(e => Reason.Of("prepare.activate", ("exercise", e.Name), ("side", e.Sides == Sides.Unilateral))),
            .. first.Exercise is null
                ? Enumerable.Empty<Reason>()
                : [Reason.Of("prepare.easy-set", ("exercise", first.Exercise.Name), ("reps", Math.Max(2, first.Reps / 2)))],
        ];
        Reason[] coolDown =
        [
            Reason.Of("prepare.breathe"),
            Reason.Of(
                "prepare.stretch",
                ("muscles", FactList.Of(worked.OrderByDescending(w => w.Value).ThenBy(w => w.Key).Take(Stretched).Select(w => w.Key)))
            ),
        ];
        return new DayPreparation([.. warmUp], [.. coolDown]);
    }

    private static Dictionary<Muscle, double> Worked(IReadOnlyList<(Exercise Exercise, int Reps, int Sets)> day)
    {
        var worked = new Dictionary<Muscle, double>();
        foreach (var (exercise, _, sets) in day)
        {
            foreach (var muscle in exercise.PrimeMovers())
            {
                worked[muscle] = worked.GetValueOrDefault(muscle) + sets;
            }
        }

        return worked;
    }

    /// <summary>Sets for which the upper back counts as worked where something is pressed.</summary>
    private const double PressedSets = 4;

    /// <summary>What has to move well: what is worked, and the upper back, which lets arms go up and forward (common practice).</summary>
    private static Dictionary<Muscle, double> Moved(
        IReadOnlyList<(Exercise Exercise, int Reps, int Sets)> day,
        Dictionary<Muscle, double> worked
    ) =>
        day.Any(d => d.Exercise.Pattern is MovementPattern.HorizontalPush or MovementPattern.VerticalPush or MovementPattern.Fly)
            ? new Dictionary<Muscle, double>(worked)
            {
                [Muscle.UpperBack] = Math.Max(PressedSets, worked.GetValueOrDefault(Muscle.UpperBack)),
            }
            : worked;

    /// <summary>Nobody stands on one leg on an injured joint, nor holds a plank with one.</summary>
    private static IEnumerable<Reason> Stabilise(bool lower, ClientProfile client)
    {
        bool Injured(params Joint[] joints) => client.SoreJoints.Any(j => j.Spared == Soreness.Injured && joints.Contains(j.Joint));
        if ((lower || client.IsOlder()) && !Injured(Joint.Hip, Joint.Knee, Joint.Ankle))
        {
            return [Reason.Of("prepare.stabilise-leg")];
        }

        return Injured(Joint.Shoulder, Joint.LowBack) || client.Avoids(HealthHazard.Straining)
            ? []
            : [Reason.Of("prepare.stabilise-plank")];
    }

    private static bool Landing(ClientProfile client) =>
        client.Level == Level.Beginner || client.SoreJoints.Any(j => j.Joint is Joint.Knee or Joint.Ankle or Joint.Hip or Joint.LowBack);

    /// <summary>Exercises of a pattern that this client may do with nothing, those that prepare most of what is worked first.</summary>
    private IEnumerable<Exercise> Fitting(MovementPattern pattern, Dictionary<Muscle, double> worked, ClientProfile client) =>
        from exercise in catalogue.AtHome
        where
            exercise.Pattern == pattern
            && exercise.Setups.Any(s => s.Needs is null && s.Load.External is not { Required: true })
            && CandidateFilter.Why(exercise, client) is null
        let related = exercise.Muscles.Sum(m => m.Value * Math.Min(1, worked.GetValueOrDefault(m.Key) / 4)) / exercise.Muscles.Values.Sum()
        where related >= RelatedMuscles
        orderby related descending, exercise.Rung, exercise.Id
        select exercise;

    /// <summary>One drill for the shoulder blades on upper-body days, one for the hips on lower-body days, none that is in the plan
    /// anyway.</summary>
    private IEnumerable<Exercise> Activation(
        IReadOnlyList<(Exercise Exercise, int Reps, int Sets)> day,
        Dictionary<Muscle, double> worked,
        ClientProfile client
    )
    {
        var planned = day.Select(d => d.Exercise.Id).ToHashSet();
        var upper = day.Any(d =>
            d.Exercise.Pattern
                is MovementPattern.HorizontalPush
                    or MovementPattern.VerticalPush
                    or MovementPattern.HorizontalPull
                    or MovementPattern.VerticalPull
        );
        var lower = day.Any(d => BodyRegions.ForPattern(d.Exercise.Pattern) == BodyRegion.Lower);
        Exercise? Easiest(MovementPattern pattern, Dictionary<Muscle, double> muscles) =>
            Fitting(pattern, muscles, client)
                .Where(e => !planned.Contains(e.Id) && e is { Measure: Measure.Reps, Skill: 1 })
                .OrderBy(e => e.Rung)
                .ThenBy(e => e.Id, StringComparer.Ordinal)
                .FirstOrDefault();
        var blades = new Dictionary<Muscle, double>(worked) { [Muscle.Serratus] = 4 };
        return new[]
        {
            upper ? Easiest(MovementPattern.ScapularControl, blades) : null,
            lower ? Easiest(MovementPattern.HipExtension, worked) : null,
        }.OfType<Exercise>();
    }
}
