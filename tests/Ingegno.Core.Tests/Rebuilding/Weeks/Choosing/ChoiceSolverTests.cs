using System.Collections.Immutable;
using CsCheck;
using Ingegno.Core.Rebuilding.Weeks.Choosing;

namespace Ingegno.Core.Tests.Rebuilding.Weeks.Choosing;

/// <summary>The choice for a week against CP-SAT on the same problem, against trying everything, and against greedy.</summary>
public class ChoiceSolverTests
{
    private const int Muscles = 4;

    private static readonly Gen<ChoiceProblem> Problems = Problem(days: 2, lines: 3, options: 4);

    [Fact]
    [Trait("source", "reference library: Google OR-Tools CP-SAT")]
    public void It_agrees_with_CP_SAT() =>
        Problem(days: 3, lines: 4, options: 5)
            .Sample(
                problem =>
                {
                    var solution = ChoiceSolver.Solve(problem);
                    solution.Proven.ShouldBeTrue();
                    solution.Worth.ShouldBe(ChoiceByCpSat.Solve(problem), 1e-4);
                },
                iter: 25
            );

    [Fact]
    public void It_is_as_good_as_trying_everything() =>
        Problems.Sample(
            problem => ChoiceSolver.Solve(problem).Worth.ShouldBe(ByTryingAll(problem, new int[problem.Lines.Length], 0), 1e-9),
            iter: 40
        );

    [Fact]
    public void It_is_never_worse_than_greedy_and_worth_what_it_says() =>
        Problem(days: 4, lines: 7, options: 8)
            .Sample(
                problem =>
                {
                    var solution = ChoiceSolver.Solve(problem);
                    solution.Worth.ShouldBeGreaterThanOrEqualTo(problem.Worth(ChoiceSolver.Greedy(problem)) - 1e-9);
                    solution.Worth.ShouldBe(problem.Worth(solution.Taken.AsSpan()), 1e-9);
                    solution.Bound.ShouldBeGreaterThanOrEqualTo(solution.Worth - 1e-9);
                },
                iter: 30
            );

    [Fact]
    public void Options_that_rule_one_another_out_are_never_taken_together()
    {
        double[,] never =
        {
            { ChoiceProblem.Never },
        };
        var problem = Plain([
            [1.0],
            [0.8],
        ]) with
        {
            Clashes =
            [
                [],
                [never],
            ],
        };

        ChoiceSolver.Solve(problem).Taken.ShouldBe([0, -1]);
    }

    [Fact]
    public void A_set_that_a_muscle_misses_can_outweigh_a_closer_match()
    {
        var problem = Plain([
            [0.80, 0.78],
        ]) with
        {
            WantedSets = [3],
            MissedSet = 0.015,
            ExtraSet = 0.004,
        };
        problem = problem with
        {
            Lines =
            [
                [new ChoiceOption(0.80, [], 0), new ChoiceOption(0.78, [(0, 3)], 0)],
            ],
        };

        ChoiceSolver.Solve(problem).Taken.ShouldBe([1], "0.80 − 3 × 0.015 is less than 0.78");
        ChoiceSolver.Solve(problem with { MissedSet = 0.005 }).Taken.ShouldBe([0], "0.80 − 3 × 0.005 is more than 0.78");
    }

    [Fact]
    public void A_long_way_gives_way_when_the_session_would_run_over()
    {
        var problem = Plain([
            [0, 0],
        ]) with
        {
            Lines =
            [
                [new ChoiceOption(0.80, [], 900), new ChoiceOption(0.75, [], 300)],
            ],
            OverSecond = 0.01 / 60,
        };

        ChoiceSolver.Solve(problem with { SecondsPerDay = 900 }).Taken.ShouldBe([0]);
        ChoiceSolver.Solve(problem with { SecondsPerDay = 400 }).Taken.ShouldBe([1], "500 s over cost 0.083");
    }

    private static ChoiceProblem Plain(double[][] values) =>
        new()
        {
            Lines = [.. values.Select(l => l.Select(v => new ChoiceOption(v, [], 0)).ToImmutableArray())],
            Day = [.. values.Select(_ => 0)],
            WantedSets = [],
            Clashes =
            [
                .. values.Select(
                    (_, i) => Enumerable.Range(0, i).Select(b => new double[values[i].Length, values[i - 1 - b].Length]).ToImmutableArray()
                ),
            ],
            MissedSet = 0,
            ExtraSet = 0,
        };

    /// <summary>Problems in whole thousandths, so that a solver of whole numbers can be asked the same.</summary>
    private static Gen<ChoiceProblem> Problem(int days, int lines, int options)
    {
        var sets = Gen.Int[0, 8]
            .Array[Muscles]
            .Select(s => Enumerable.Range(0, Muscles).Where(m => s[m] > 4).Select(m => (m, s[m] / 2.0)).ToImmutableArray());
        var option = Gen.Select(Gen.Int[100, 1500], sets, Gen.Int[2, 9], (v, s, t) => new ChoiceOption(v / 1000.0, s, t * 60));
        var clash = Gen.Int[0, 9]
            .Select(c =>
                c == 0 ? ChoiceProblem.Never
                : c < 3 ? c * 0.05
                : 0
            );
        var count = days * lines;
        return Gen.Select(
            option.Array[options].Array[count],
            Gen.Int[2, 30].Array[Muscles],
            clash.Array[count * lines * options * options],
            Gen.Int[15, 40],
            (all, wanted, clashes, minutes) =>
                new ChoiceProblem
                {
                    Lines = [.. all.Select(l => l.ToImmutableArray())],
                    Day = [.. Enumerable.Range(0, count).Select(i => i / lines)],
                    WantedSets = [.. wanted.Select(w => w / 2.0)],
                    Clashes =
                    [
                        .. Enumerable
                            .Range(0, count)
                            .Select(i =>
                                Enumerable
                                    .Range(0, i % lines)
                                    .Select(b => Table(clashes, ((i * lines) + b) * options * options, options))
                                    .ToImmutableArray()
                            ),
                    ],
                    MissedSet = 0.016,
                    ExtraSet = 0.004,
                    SecondsPerDay = minutes * 60,
                    OverSecond = 0.012 / 60,
                }
        );
    }

    private static double[,] Table(double[] from, int start, int size)
    {
        var table = new double[size, size];
        for (var i = 0; i < size * size; i++)
        {
            table[i / size, i % size] = from[start + i];
        }

        return table;
    }

    private static double ByTryingAll(ChoiceProblem problem, int[] taken, int line)
    {
        if (line == taken.Length)
        {
            return problem.Worth(taken);
        }

        var best = double.NegativeInfinity;
        for (taken[line] = -1; taken[line] < problem.Lines[line].Length; taken[line]++)
        {
            if (taken[line] < 0 || problem.ClashesBefore(line, taken[line], taken) < ChoiceProblem.Never)
            {
                best = Math.Max(best, ByTryingAll(problem, taken, line + 1));
            }
        }

        return best;
    }
}
