using System.Collections.Immutable;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;

namespace Ingegno.Core.Rebuilding.Dosing;

/// <summary>
/// How the reps of a dose are done: the steps of techniques, the tempo that they bring and what is told of them. The three change together, so
/// that no sheet says three seconds beside a tempo of five.
/// </summary>
public static class Manner
{
    /// <summary>The dose done with these steps and no others; how its sets run stays.</summary>
    /// <param name="dose">The dose.</param>
    /// <param name="steps">The steps.</param>
    /// <param name="plain">Tempo without them.</param>
    /// <param name="exercise">The exercise: a pause goes to where it is hard.</param>
    /// <param name="all">All steps of techniques.</param>
    public static Dose Only(Dose dose, IReadOnlyCollection<Technique> steps, Tempo plain, Exercise exercise, IEnumerable<Technique> all)
    {
        ArgumentNullException.ThrowIfNull(steps);
        var bare = Without(dose, all.Where(t => t.Scheme is null && !t.Explosive)) with { Tempo = plain };
        return steps.Aggregate(bare, (done, step) => And(done, step, exercise));
    }

    /// <summary>The dose with a step beside those it has, in place of those that do the same.</summary>
    public static Dose With(Dose dose, Technique step, Exercise exercise, IEnumerable<Technique> all)
    {
        ArgumentNullException.ThrowIfNull(step);
        return And(Without(dose, all.Where(t => t.Of == step.Of || SamePhase(t, step))), step, exercise);
    }

    /// <summary>The dose without any step of these techniques; the tempo is the caller's to set.</summary>
    public static Dose Without(Dose dose, IEnumerable<Technique> steps)
    {
        ArgumentNullException.ThrowIfNull(dose);
        var gone = steps.Where(t => dose.Techniques.Contains(t.Id)).ToList();
        var told = gone.SelectMany(Told).ToList();
        return dose with
        {
            Techniques = dose.Techniques.RemoveAll(id => gone.Any(t => t.Id == id)),
            Instructions = dose.Instructions.RemoveAll(told.Contains),
        };
    }

    /// <summary>Both set the same phase of the tempo: done together the longer one alone would show.</summary>
    public static bool SamePhase(Technique one, Technique other)
    {
        ArgumentNullException.ThrowIfNull(one);
        ArgumentNullException.ThrowIfNull(other);
        return (one.Eccentric is not null && other.Eccentric is not null) || (one.Pause is not null && other.Pause is not null);
    }

    /// <summary>What the client is told of steps: how each is done, then what to take care of.</summary>
    public static ImmutableArray<Reason> Told(IReadOnlyCollection<Technique> steps) =>
        [.. steps.Select(t => Reason.Text(t.How)), .. steps.Select(t => t.Caution).OfType<string>().Select(Reason.Text)];

    private static IEnumerable<Reason> Told(Technique step) => Told([step]);

    private static Dose And(Dose dose, Technique step, Exercise exercise) =>
        dose with
        {
            Techniques = dose.Techniques.Add(step.Id),
            Instructions = [.. dose.Instructions, .. Told(step)],
            Tempo = step.ApplyTo(dose.Tempo, exercise.PausedAt),
        };
}
