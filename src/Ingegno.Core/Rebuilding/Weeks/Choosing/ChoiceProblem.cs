using System.Collections.Immutable;

namespace Ingegno.Core.Rebuilding.Weeks.Choosing;

/// <summary>One way to fill a line, in figures.</summary>
/// <param name="Value">Match, weighed by the role of the line.</param>
/// <param name="Sets">Hard sets by muscle, as indices into <see cref="ChoiceProblem.WantedSets"/>.</param>
/// <param name="Seconds">Time it takes in its session, s.</param>
public readonly record struct ChoiceOption(double Value, ImmutableArray<(int Muscle, double Sets)> Sets, double Seconds);

/// <summary>
/// The choice for a whole week as figures: take one option per line, or none, so that
/// Σ value − Σ clashes within a day − missed × hard sets short − extra × hard sets over − minutes over the limit is
/// largest. Lines stand day by day.
/// </summary>
public sealed record ChoiceProblem
{
    /// <summary>A clash that rules two options of a day out together.</summary>
    public const double Never = double.PositiveInfinity;

    public required ImmutableArray<ImmutableArray<ChoiceOption>> Lines { get; init; }

    /// <summary>Day of each line, 0 first, rising by 0 or 1 from line to line.</summary>
    public required ImmutableArray<int> Day { get; init; }

    /// <summary>Hard sets of the gym week by muscle.</summary>
    public required ImmutableArray<double> WantedSets { get; init; }

    /// <summary>
    /// What two options of a day cost together, 0 or more: by line, by earlier line of its day (0 for the line before),
    /// options of the line × options of the earlier one.
    /// </summary>
    public required ImmutableArray<ImmutableArray<double[,]>> Clashes { get; init; }

    /// <summary>Cost of a hard set that a muscle misses, 0 or more.</summary>
    public required double MissedSet { get; init; }

    /// <summary>Cost of a hard set beyond the gym week's, 0 or more.</summary>
    public required double ExtraSet { get; init; }

    /// <summary>Work and rest that fit into a session, s; null when nothing limits it.</summary>
    public double? SecondsPerDay { get; init; }

    /// <summary>Cost of a second beyond the limit, 0 or more.</summary>
    public double OverSecond { get; init; }

    /// <summary>Number of days.</summary>
    public int Days => Day.IsEmpty ? 0 : Day[^1] + 1;

    /// <summary>What a choice is worth; minus infinity when two of its options rule one another out.</summary>
    /// <param name="taken">Index of the option per line, −1 for none.</param>
    public double Worth(ReadOnlySpan<int> taken)
    {
        var sets = new double[WantedSets.Length];
        var worth = 0.0;
        for (int first = 0, next; first < taken.Length; first = next)
        {
            for (next = first; next < taken.Length && Day[next] == Day[first]; next++)
            {
                AddSets(next, taken[next], sets);
            }

            worth += WorthOfDay(first, next, taken);
        }

        return worth - SetsOff(sets);
    }

    /// <summary>What one day is worth by itself: values, clashes and overtime.</summary>
    /// <param name="first">Its first line.</param>
    /// <param name="next">The line after its last.</param>
    /// <param name="taken">Index of the option per line, −1 for none.</param>
    public double WorthOfDay(int first, int next, ReadOnlySpan<int> taken)
    {
        var (worth, seconds) = (0.0, 0.0);
        for (var line = first; line < next; line++)
        {
            if (taken[line] >= 0)
            {
                worth += Lines[line][taken[line]].Value - ClashesBefore(line, taken[line], taken);
                seconds += Lines[line][taken[line]].Seconds;
            }
        }

        return worth - Overtime(seconds);
    }

    /// <summary>What the time of a session costs, s.</summary>
    public double Overtime(double seconds) => SecondsPerDay is { } limit ? OverSecond * Math.Max(0, seconds - limit) : 0;

    /// <summary>What it costs that hard sets differ from the gym week's.</summary>
    public double SetsOff(ReadOnlySpan<double> sets)
    {
        var cost = 0.0;
        for (var m = 0; m < sets.Length; m++)
        {
            var missed = WantedSets[m] - sets[m];
            cost += missed > 0 ? MissedSet * missed : ExtraSet * -missed;
        }

        return cost;
    }

    /// <summary>Adds the hard sets of an option; nothing for none.</summary>
    public void AddSets(int line, int option, Span<double> sets)
    {
        if (option >= 0)
        {
            foreach (var (muscle, count) in Lines[line][option].Sets)
            {
                sets[muscle] += count;
            }
        }
    }

    /// <summary>What an option costs beside those already taken on its day.</summary>
    public double ClashesBefore(int line, int option, ReadOnlySpan<int> taken)
    {
        var cost = 0.0;
        for (var back = 0; back < Clashes[line].Length; back++)
        {
            var other = taken[line - 1 - back];
            cost += other < 0 ? 0 : Clashes[line][back][option, other];
        }

        return cost;
    }
}
