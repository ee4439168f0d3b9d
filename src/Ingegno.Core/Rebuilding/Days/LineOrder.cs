using System.Collections.Immutable;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;

namespace Ingegno.Core.Rebuilding.Days;

/// <summary>Orders the lines of a day.</summary>
internal static class LineOrder
{
    private const int SkillFirst = 4;

    private static readonly ImmutableHashSet<MovementPattern> Trunk =
    [
        MovementPattern.TrunkFlexion,
        MovementPattern.TrunkExtension,
        MovementPattern.Rotation,
        MovementPattern.AntiExtension,
        MovementPattern.AntiRotation,
        MovementPattern.LateralFlexion,
        MovementPattern.Carry,
    ];

    /// <summary>The lines in the order wanted; lines of one gym superset stay together behind their first.</summary>
    public static ImmutableArray<HomeLine> Sort(IReadOnlyList<HomeLine> lines, SessionOrder order, ExerciseCatalogue catalogue)
    {
        var keyed = lines.Select((line, i) => (Line: line, At: i)).ToList();
        int LeaderOf(HomeLine line, int own) =>
            line.Gym.SupersetLetter is { } letter ? keyed.First(k => k.Line.Gym.SupersetLetter == letter).At : own;
        var muscles = new List<Muscle>();
        foreach (var line in lines)
        {
            var muscle = MainMuscle(line, catalogue);
            if (!muscles.Contains(muscle))
            {
                muscles.Add(muscle);
            }
        }

        int Rank(HomeLine line) =>
            order switch
            {
                SessionOrder.Trade => TradeRank(line, catalogue),
                SessionOrder.RangeByMuscle => (10 * muscles.IndexOf(MainMuscle(line, catalogue))) + RangeRank(line, catalogue),
                _ => 0,
            };
        return
        [
            .. keyed
                .OrderBy(k => Rank(keyed[LeaderOf(k.Line, k.At)].Line))
                .ThenBy(k => LeaderOf(k.Line, k.At))
                .ThenBy(k => k.At)
                .Select(k => k.Line),
        ];
    }

    private static int TradeRank(HomeLine line, ExerciseCatalogue catalogue)
    {
        if (Home(line, catalogue) is not { } home)
        {
            return 9;
        }

        return line.Role == LineRole.Activation ? 0
            : home.Pattern == MovementPattern.Jump
            || home.Skill >= SkillFirst
            || line.Chosen!.Exercises[0].Dose.Techniques.Contains(TechniqueName.Explosive)
                ? 1
            : Trunk.Contains(home.Pattern) ? 6
            : line.Role == LineRole.Main ? 2
            : home.Structure == ExerciseStructure.Isolation ? 5
            : line.Role == LineRole.Secondary ? 3
            : 4;
    }

    private static int RangeRank(HomeLine line, ExerciseCatalogue catalogue) =>
        Home(line, catalogue)?.Profile switch
        {
            Profile.Stretched => 0,
            Profile.Shortened => 1,
            _ => 2,
        };

    private static Muscle MainMuscle(HomeLine line, ExerciseCatalogue catalogue) =>
        (Home(line, catalogue) ?? catalogue.Get(line.Gym.ExerciseId)).Muscles.MaxBy(m => m.Value).Key;

    private static Exercise? Home(HomeLine line, ExerciseCatalogue catalogue) =>
        line.Chosen is { } chosen ? catalogue.Find(chosen.Exercises[0].ExerciseId) : null;
}
