using System.Diagnostics;
using Ingegno.Bench;

// ./ingegno bench runs this: figures for the README and for whoever changes the engine, never a pass or fail.
foreach (var scenario in Scenarios.All)
{
    var times = Measure(scenario.Run, scenario.Rounds);
    Console.WriteLine($"{scenario.Name,-58} median {Milliseconds(times, 0.5),9}   p95 {Milliseconds(times, 0.95),9}   ({scenario.Rounds} rounds)");
}

static double[] Measure(Action run, int rounds)
{
    // The first rounds compile; they are not what a coach waits for all day.
    for (var i = 0; i < Math.Min(5, rounds); i++)
    {
        run();
    }

    var times = new double[rounds];
    for (var i = 0; i < rounds; i++)
    {
        var start = Stopwatch.GetTimestamp();
        run();
        times[i] = Stopwatch.GetElapsedTime(start).TotalMilliseconds;
    }

    Array.Sort(times);
    return times;
}

static string Milliseconds(double[] sorted, double quantile) =>
    FormattableString.Invariant($"{sorted[(int)Math.Min(sorted.Length - 1, Math.Ceiling(quantile * sorted.Length) - 1)]:0.00} ms");
