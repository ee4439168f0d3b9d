using System.Collections.Immutable;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Progress.Ladders;

/// <summary>
/// Where a client can go from an exercise as it is prescribed: the other variations of its family and its neighbours in the catalogue,
/// at every load here, ordered by what they ask for. A "harder" name with less demand is no step up.
/// </summary>
public static class FamilySteps
{
    /// <summary>All of them, least demand first; empty where no load measures the exercise.</summary>
    /// <param name="home">The exercise as prescribed.</param>
    /// <param name="exercise">Its catalogue entry.</param>
    /// <param name="at">The client at the place.</param>
    public static ImmutableArray<StepTo> From(HomeExercise home, Exercise exercise, ClientAtPlace at)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        ArgumentNullException.ThrowIfNull(at);
        var shown = Shown(exercise, at);
        return DemandOf(home, exercise, at) is { } here
            ?
            [
                .. from other in Others(exercise, at)
                let max = at.Strength.For(other)!.OneRepMaxKg * (OwnLogs(other, at) ? 1 : shown)
                from way in at.Ways.SetupsOf(other).SelectMany(s => s.Safe)
                where way.System.Kg > 0
                let demand = Demand.Of(
                    max,
                    way.System.Kg,
                    other.Strength!.Curve,
                    other.Tempo is { } own ? at.DomainRules.TempoCost.Of(own) : 1
                )
                orderby demand, other.Id, way.Load.MassKg
                where demand <= here || !IsEasierRung(other, exercise) || way.Load.MassKg > home.ExternalKg
                select new StepTo(
                    other,
                    way.Load,
                    SetupText.Fill(way.Setup.Text, way.Bindings, way.Load.InWords),
                    demand,
                    (demand / here) - 1
                )
                {
                    Way = way,
                },
            ]
            : [];
    }

    /// <summary>An easier rung of the family is no step up, unless by its load.</summary>
    private static bool IsEasierRung(Exercise other, Exercise exercise) => other.Family == exercise.Family && other.Rung < exercise.Rung;

    private static bool OwnLogs(Exercise exercise, ClientAtPlace at) => at.Client.Learned.Any(l => l.ExerciseId == exercise.Id);

    /// <summary>
    /// What the logs of the exercise show beyond what is known of its family, as a factor: those who turn out stronger in it are stronger in its
    /// neighbours, too, as long as nothing is logged of them.
    /// </summary>
    private static double Shown(Exercise exercise, ClientAtPlace at)
    {
        if (!OwnLogs(exercise, at))
        {
            return 1;
        }

        var without = at.Client with { Learned = at.Client.Learned.RemoveAll(l => l.ExerciseId == exercise.Id) };
        return new ClientStrength(without, at.DomainRules.Strength).For(exercise) is { OneRepMaxKg: > 0 and var family }
            ? at.Strength.For(exercise)!.OneRepMaxKg / family
            : 1;
    }

    /// <summary>What the exercise asks for as it is prescribed; null where no load measures it.</summary>
    public static double? DemandOf(HomeExercise home, Exercise exercise, ClientAtPlace at)
    {
        ArgumentNullException.ThrowIfNull(home);
        ArgumentNullException.ThrowIfNull(exercise);
        ArgumentNullException.ThrowIfNull(at);
        return home is { Dose.Timed: false, SystemLoadKg: > 0 and var systemKg } && at.Strength.For(exercise) is { } estimate
            ? Demand.Of(estimate.OneRepMaxKg, systemKg, exercise.Strength!.Curve, StraightSets.ShareLeft(home.Dose, at.DomainRules))
            : null;
    }

    private static IEnumerable<Exercise> Others(Exercise exercise, ClientAtPlace at) =>
        at.DomainRules.Catalogue.AtHome.Where(e =>
            e.Id != exercise.Id
            && (e.Family == exercise.Family || e.Id == exercise.Harder || e.Id == exercise.Easier)
            && e is { Strength: not null, Measure: Measure.Reps }
            && e.Pattern == exercise.Pattern
            && e.IsForPower == exercise.IsForPower
            && at.CanDo(e)
        );
}
