using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Rebuilding.Candidates;

/// <summary>
/// Small muscles that move what is held and nothing of the body: a curl is measured by no lift but itself, so what a line says of one holds
/// for the same movement done with other things, where the ratio of the two is known (common practice).
/// </summary>
public static class SmallMuscle
{
    /// <summary>A small muscle moves what is held and nothing of the body.</summary>
    public static bool IsFreeWeight(Exercise exercise)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        return exercise is { AtHome: true, Structure: ExerciseStructure.Isolation, IsOnStack: false }
            && exercise.Setups.All(s => s.Load is { BodyShare: 0, Leverage: null, External: { Required: true, Share: 1 } });
    }

    /// <summary>Both move a free weight, in the same movement and measured by the same lift.</summary>
    public static bool AreKin(Exercise gym, Exercise home, ExerciseNames names)
    {
        ArgumentNullException.ThrowIfNull(gym);
        ArgumentNullException.ThrowIfNull(home);
        ArgumentNullException.ThrowIfNull(names);
        return IsFreeWeight(gym)
            && IsFreeWeight(home)
            && gym.Strength is { } relation
            && home.Strength?.Anchor == relation.Anchor
            && (home.Id == gym.Id || (names.MovementOf(gym) is { } movement && names.MovementOf(home) == movement));
    }

    /// <summary>How much heavier the one is lifted than the other, as a share: one hand's weight of that of two is about a half.</summary>
    public static double Times(Exercise home, Exercise gym, Level level) => home.Strength!.At(level) / gym.Strength!.At(level);
}
