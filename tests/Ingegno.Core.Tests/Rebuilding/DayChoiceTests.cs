using System.Collections.Immutable;
using CsCheck;
using Ingegno.Core.Matching;
using Ingegno.Core.Prescribing;
using Ingegno.Core.Programs;
using Ingegno.Core.Rebuilding;

namespace Ingegno.Core.Tests.Rebuilding;

public class DayChoiceTests
{
    [Fact]
    public void The_same_exercise_never_stands_twice()
    {
        var taken = DayChoice.Choose([Line(("a", 0.9), ("b", 0.8)), Line(("a", 0.9), ("c", 0.4))]);

        taken.ShouldBe([1, 0], "b + a is worth more than a + c");
    }

    [Fact]
    public void A_line_without_a_free_option_stays_empty() => DayChoice.Choose([Line(("a", 0.9)), Line(("a", 0.8))]).ShouldBe([0, -1]);

    [Fact]
    public void It_is_as_good_as_trying_everything_and_never_worse_than_greedy()
    {
        var option = Gen.Select(Gen.Int[0, 6], Gen.Int[1, 100], (id, match) => ($"e{id}", match / 100.0));
        option.Array[1, 4].Select(o => Line([.. o.DistinctBy(x => x.Item1)])).Array[1, 5].Sample(lines =>
        {
            var best = Value(lines, DayChoice.Choose(lines));
            best.ShouldBe(BestByTryingAll(lines, 0, []), 1e-6);
            best.ShouldBeGreaterThanOrEqualTo(Value(lines, Greedy(lines)) - 1e-9);
        });
    }

    private static LineOptions Line(params (string Id, double Match)[] options) => new(
        new GymLine { Line = 1, ExerciseId = "x", Name = "x", Sets = 3, Target = new SetTarget(8, 8) },
        LineRole.Accessory,
        [.. options.OrderByDescending(o => o.Match).ThenBy(o => o.Id).Select(o => Candidate(o.Id, o.Match))]);

    private static Candidate Candidate(string id, double match) => new()
    {
        Id = id,
        Match = match,
        Parts = [],
        Exercises =
        [
            new HomeExercise
            {
                ExerciseId = id, Name = id, SetupId = "s", Setup = "s", ExternalKg = 0,
                Dose = new Dose { Sets = 3, Target = new SetTarget(8, 8), Tempo = "2-0-1-0", RestSeconds = 60, Rir = 2 },
            },
        ],
    };

    private static double Value(IReadOnlyList<LineOptions> lines, ImmutableArray<int> taken) =>
        lines.Select((l, i) => taken[i] < 0 ? 0 : l.Options[taken[i]].Match).Sum();

    private static ImmutableArray<int> Greedy(IReadOnlyList<LineOptions> lines)
    {
        var used = new HashSet<string>();
        return [.. lines.Select(l => l.Options.Select((o, i) => (o, i)).Where(x => used.Add(x.o.Id)).Select(x => x.i).DefaultIfEmpty(-1).First())];
    }

    private static double BestByTryingAll(IReadOnlyList<LineOptions> lines, int line, ImmutableHashSet<string> used) =>
        line == lines.Count
            ? 0
            : lines[line].Options.Where(o => !used.Contains(o.Id))
                .Select(o => o.Match + BestByTryingAll(lines, line + 1, used.Add(o.Id)))
                .Append(BestByTryingAll(lines, line + 1, used)).Max();
}
