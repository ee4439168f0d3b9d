using System.Collections.Immutable;
using Ingegno.Core.Matching;
using Ingegno.Core.Programs;

namespace Ingegno.Core.Rebuilding;

/// <summary>A gym line with its proposals, ready for the joint choice.</summary>
/// <param name="Line">The gym line.</param>
/// <param name="Role">What it is for.</param>
/// <param name="Options">Proposals to choose among, best first; a locked line has one.</param>
public sealed record LineOptions(GymLine Line, LineRole Role, ImmutableArray<Candidate> Options);

/// <summary>
/// Chooses for the whole day, not line by line: no exercise twice, superset partners not fighting over one rig, few
/// changes of rig. Exact branch and bound; never worse than taking each line's best in turn.
/// </summary>
public static class DayChoice
{
    private const double RigConflict = 0.15;
    private const double RigChange = 0.01;
    private const double SameFamily = 0.04;
    private const int MostVisits = 200_000;

    /// <summary>
    /// Index of the option taken per line, -1 where a line has none left. When the search is cut short after
    /// <see cref="MostVisits"/> steps the best choice found so far is returned, which includes the greedy one.
    /// </summary>
    public static ImmutableArray<int> Choose(IReadOnlyList<LineOptions> lines)
    {
        ArgumentNullException.ThrowIfNull(lines);
        var search = new Search(lines);
        search.Run();
        return search.Best;
    }

    /// <summary>How much a line's match counts by its role: a design decision, an accessory is 1.</summary>
    public static double RoleWeight(LineRole role) => role switch
    {
        LineRole.Main => 1.5,
        LineRole.Secondary => 1.2,
        LineRole.Accessory => 1,
        _ => 0.6,
    };

    private sealed class Search(IReadOnlyList<LineOptions> lines)
    {
        private readonly int[] _taken = new int[lines.Count];
        private readonly double[] _bound = Bounds(lines);
        private double _best = double.NegativeInfinity;
        private int _visits;

        public ImmutableArray<int> Best { get; private set; } = [.. Enumerable.Repeat(-1, lines.Count)];

        public void Run() => Visit(0, 0);

        private static double[] Bounds(IReadOnlyList<LineOptions> lines)
        {
            var bound = new double[lines.Count + 1];
            for (var i = lines.Count - 1; i >= 0; i--)
            {
                bound[i] = bound[i + 1] + lines[i].Options.Select(o => o.Match * RoleWeight(lines[i].Role)).DefaultIfEmpty(0).Max();
            }

            return bound;
        }

        private void Visit(int line, double score)
        {
            if (line == lines.Count)
            {
                if (score > _best + 1e-9)
                {
                    _best = score;
                    Best = [.. _taken];
                }

                return;
            }

            if (score + _bound[line] <= _best + 1e-9 || _visits++ > MostVisits)
            {
                return;
            }

            for (var option = 0; option < lines[line].Options.Length; option++)
            {
                if (Allowed(line, option))
                {
                    _taken[line] = option;
                    Visit(line + 1, score + Gain(line, option));
                }
            }

            _taken[line] = -1;
            Visit(line + 1, score);
        }

        private Candidate? Taken(int line) => _taken[line] < 0 ? null : lines[line].Options[_taken[line]];

        private bool Allowed(int line, int option)
        {
            var candidate = lines[line].Options[option];
            for (var before = 0; before < line; before++)
            {
                if (Taken(before) is { } other && Repeats(candidate, other))
                {
                    return false;
                }
            }

            return true;
        }

        private static bool Repeats(Candidate a, Candidate b)
        {
            foreach (var x in a.Exercises)
            {
                foreach (var y in b.Exercises)
                {
                    if (x.ExerciseId == y.ExerciseId)
                    {
                        return true;
                    }
                }
            }

            return false;
        }

        private double Gain(int line, int option)
        {
            var candidate = lines[line].Options[option];
            var gain = candidate.Match * RoleWeight(lines[line].Role);
            for (var before = 0; before < line; before++)
            {
                if (Taken(before) is not { } other)
                {
                    continue;
                }

                var partner = lines[before].Line.SupersetLetter is { } letter && letter == lines[line].Line.SupersetLetter;
                var sameRig = candidate.Exercises[0].UsesItems.Intersect(other.Exercises[0].UsesItems).Any();
                var sameLoad = Math.Abs(candidate.Exercises[0].ExternalKg - other.Exercises[0].ExternalKg) < 0.2;
                if (partner && sameRig && !sameLoad)
                {
                    gain -= RigConflict;
                }
                else if (before == line - 1 && sameRig && !sameLoad)
                {
                    gain -= RigChange;
                }

                if (candidate.Exercises[0].HarderName is { } harder && other.Exercises.Any(e => e.Name == harder)
                    || candidate.Exercises[0].EasierName is { } easier && other.Exercises.Any(e => e.Name == easier))
                {
                    gain -= SameFamily;
                }
            }

            return gain;
        }
    }
}
