using System.Collections.Immutable;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Progress.ClientApp;

/// <summary>
/// What a client may take on the floor in place of an exercise: the next in rank that this kit allows, chosen so that there is
/// something for each reason: easier, harder, with other things, sparing the joints that it loads.
/// </summary>
/// <param name="domain">The domain rules.</param>
public sealed class Alternatives(DomainRules domain)
{
    /// <summary>Expected over wanted reps by which another exercise is clearly easier or harder.</summary>
    private const double Clearly = 1.1;

    /// <summary>Stress up to which a joint counts as spared.</summary>
    private const int Light = 1;

    /// <summary>What may be taken in place of a line's exercise, best first, with as many sets.</summary>
    /// <param name="line">The line with its candidates.</param>
    /// <param name="taken">Exercises that the day has anyway.</param>
    public ImmutableArray<(HomeExercise Home, ImmutableArray<SwapReason> Helps, ImmutableArray<Joint> Spares)> Of(
        HomeLine line,
        IReadOnlySet<string> taken
    )
    {
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(taken);
        if (line.Chosen?.Exercises is not [var now])
        {
            return [];
        }

        var may = line
            .Candidates.Where(c => c.Exercises.Length == 1 && !taken.Contains(c.Exercises[0].ExerciseId))
            .Select(c => c.Exercises[0])
            .Select(home => (Home: AsManySets(home, now), Helps: Helps(now, home), Spares: Spares(now, home)))
            .ToList();
        var chosen = new[] { SwapReason.NotHere, SwapReason.TooHard, SwapReason.Hurts, SwapReason.TooEasy, SwapReason.Dull }
            .Select(reason => may.FirstOrDefault(m => m.Helps.Contains(reason)))
            .Where(m => m.Home is not null)
            .DistinctBy(m => m.Home.ExerciseId)
            .Take(domain.Session.Alternatives)
            .ToList();
        return
        [
            .. may.Where(m => chosen.Any(c => c.Home.ExerciseId == m.Home.ExerciseId))
                .Union(may)
                .DistinctBy(m => m.Home.ExerciseId)
                .Take(domain.Session.Alternatives)
                .OrderBy(m => may.FindIndex(x => x.Home.ExerciseId == m.Home.ExerciseId)),
        ];
    }

    private static HomeExercise AsManySets(HomeExercise home, HomeExercise now)
    {
        var dose = home.Dose.Scheme == now.Dose.Scheme ? home.Dose : StraightSets.InPlaceOf(home.Dose);
        return home with
        {
            Dose = dose with
            {
                Sets = now.Dose.Sets,
                LastSetOpen = false,
                Calibrates = false,
                Instructions = dose.Instructions.RemoveAll(i => i.Code.StartsWith("instruction.open", StringComparison.Ordinal)),
            },
        };
    }

    private ImmutableArray<SwapReason> Helps(HomeExercise now, HomeExercise other)
    {
        var helps = ImmutableArray.CreateBuilder<SwapReason>();
        var step = Step(now, other);
        if (step < 0)
        {
            helps.Add(SwapReason.TooHard);
        }

        if (step > 0)
        {
            helps.Add(SwapReason.TooEasy);
        }

        if (!Spares(now, other).IsEmpty)
        {
            helps.Add(SwapReason.Hurts);
        }

        if (!now.UsesItems.IsEmpty && !now.UsesItems.Intersect(other.UsesItems).Any())
        {
            helps.Add(SwapReason.NotHere);
        }

        helps.Add(SwapReason.Dull);
        return helps.ToImmutable();
    }

    /// <summary>Nothing that still touches the joint is heavier, longer or harder than what hurt.</summary>
    private bool AsksMore(HomeExercise now, HomeExercise other) =>
        other.ExternalKg > now.ExternalKg
        || Step(now, other) > 0
        || other.Dose.Timed != now.Dose.Timed
        || other.Dose.Target.IsOpen
        || other.Dose.Target.Max > now.Dose.Target.Max
        || other.Dose.Tempo.SecondsPerRep > now.Dose.Tempo.SecondsPerRep;

    /// <summary>Below 0 where the other is easier, above where it is harder.</summary>
    private int Step(HomeExercise now, HomeExercise other)
    {
        var (a, b) = (domain.Catalogue.Get(now.ExerciseId), domain.Catalogue.Get(other.ExerciseId));
        if (a.Family == b.Family && a.Rung != b.Rung)
        {
            return b.Rung.CompareTo(a.Rung);
        }

        return Ease(now) is { } here && Ease(other) is { } there
            ? there > here * Clearly
                ? -1
                : here > there * Clearly
                    ? 1
                    : 0
            : b.Skill.CompareTo(a.Skill);
    }

    /// <summary>Expected over wanted reps; null where reps are not the measure.</summary>
    private static double? Ease(HomeExercise home) =>
        home is { Expected: { } expected, Wanted: { } wanted } ? expected.Mid / Math.Max(1, (wanted.Min + wanted.Max) / 2.0) : null;

    private ImmutableArray<Joint> Spares(HomeExercise now, HomeExercise other)
    {
        var (a, b) = (domain.Catalogue.Get(now.ExerciseId), domain.Catalogue.Get(other.ExerciseId));
        return
        [
            .. a
                .Joints.Where(j =>
                    b.Joints.GetValueOrDefault(j.Key) is var there
                    && there < j.Value
                    && there <= Light
                    && (there == 0 || !AsksMore(now, other))
                )
                .Select(j => j.Key),
        ];
    }
}
