using System.Collections.Immutable;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Progress.Ladders;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Tests.Support;
using static Ingegno.Core.Tests.Progress.Progression.FloorPress;

namespace Ingegno.Core.Tests.Progress.Progression;

/// <summary>
/// Six of ten wanted and no lighter load: another variation, at which what was done makes the ten and the two in reserve. Six to failure ask
/// for 1 / (1 + 6 / 30) = .833; twelve for .714, which is 14 % less; what leaves more than 1.6 times twelve went too far: .61, 27 % less.
/// </summary>
[Trait("source", "docs/domain/progression, common practice: an easier rung before fewer reps; Epley 1985 worked by hand")]
public class EasierVariationTests
{
    [Theory]
    [InlineData(null, -0.10)] // ten to failure: two too few
    [InlineData("a", -0.15)]
    [InlineData("a", -0.26)]
    [InlineData(null, -0.28)]
    [InlineData("a", -0.15, -0.26)]
    [InlineData("b", -0.26, -0.15)] // the one that asks most
    [InlineData("b", -0.10, -0.20, -0.30)]
    public void The_hardest_that_leaves_the_reps_is_taken_and_none_that_is_far_too_easy(string? taken, params double[] steps)
    {
        var next = Next(Dose(10, 10, rest: 180), Sets(0, 6, 6, 6), others: Steps(steps));

        next.Decision.ShouldBe(Decision.StepBack);
        (next.ToExerciseId, next.ToSetup).ShouldBe(taken is null ? (null, null) : ("dumbbell-floor-press", taken));
    }

    /// <summary>Six with three left are nine: ten percent less are thirteen, twenty percent less nineteen.</summary>
    [Fact]
    public void What_the_best_set_left_counts()
    {
        ImmutableArray<LoggedSet> sets = [new() { Reps = 6, Rir = 0 }, new() { Reps = 6, Rir = 3 }, new() { Reps = 5, Rir = 6 }];

        Next(Dose(10, 10, rest: 180), sets, others: Steps(-0.10)).ToSetup.ShouldBe("a", "with none left it would be ten");
        Next(Dose(10, 10, rest: 180), sets, others: Steps(-0.20)).ToSetup.ShouldBe("a", "with six left it would be 22");
    }

    [Fact]
    public void With_its_load_where_it_has_one()
    {
        var loaded = Steps(-0.15)[0] with { Load = new ReachableLoad(14.256, "14 kg", ["14"]) };

        Next(Dose(10, 10, rest: 180), Sets(0, 6, 6, 6), others: [loaded]).ToKg.ShouldBe(14.26);
        Next(Dose(10, 10, rest: 180), Sets(0, 6, 6, 6), others: Steps(-0.15)).ToKg.ShouldBeNull();
    }

    private static ImmutableArray<StepTo> Steps(params double[] steps) =>
        [
            .. steps.Select(
                (step, i) =>
                    new StepTo(
                        Examples.Exercise("dumbbell-floor-press"),
                        new ReachableLoad(0, string.Empty, []),
                        $"{(char)('a' + i)}",
                        0.833 * (1 + step),
                        step
                    )
                    {
                        Way = null!,
                    }
            ),
        ];
}
