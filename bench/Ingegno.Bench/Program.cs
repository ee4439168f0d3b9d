using System.Diagnostics;
using System.Globalization;
using Ingegno.Bench;

// ./ingegno bench runs this: figures for the README and for whoever changes the engine, never a pass or fail.
if (args.Contains("panel"))
{
    PanelFigures.Print(args.Contains("examples"));
    return;
}

// soak SERVER_DLL [coaches clients seconds]: traffic of many coaches against a server of its own.
if (args is ["soak", var dll, .. var figures])
{
    var (coaches, clients, seconds) = figures is [var c, var k, var s]
        ? (
            int.Parse(c, CultureInfo.InvariantCulture),
            int.Parse(k, CultureInfo.InvariantCulture),
            int.Parse(s, CultureInfo.InvariantCulture)
        )
        : (20, 40, 120);
    await new Soak(dll, coaches, clients, TimeSpan.FromSeconds(seconds)).Run();
    return;
}

if (args.Contains("trainees"))
{
    TraineeFigures.Print(args.Contains("examples"));
    return;
}

Report(ReadingScenarios.All);
Console.WriteLine();
Report(Scenarios.All);
Console.WriteLine();
var loads = Report(LoadScenarios.All);
Console.WriteLine($"CP-SAT takes {loads[1] / loads[0]:0.0} times as long as the load builder (medians of this run)");
Console.WriteLine();
var choices = Report(ChoiceScenarios.All);
Console.WriteLine(
    FormattableString.Invariant(
        $"CP-SAT takes {choices[1] / choices[0]:0.0} times as long as the joint choice (medians of this run); {ChoiceScenarios.Gap()}"
    )
);
Console.WriteLine();
Report(ProgressScenarios.All);
Console.WriteLine(ProgressScenarios.Comparison());
TraineeFigures.Print(args.Contains("examples"));
Console.WriteLine();
PanelFigures.Print(examples: false);

static List<double> Report(IEnumerable<Scenario> scenarios)
{
    var medians = new List<double>();
    foreach (var scenario in scenarios)
    {
        var times = Measure(scenario.Run, scenario.Rounds);
        medians.Add(times[times.Length / 2]);
        Console.WriteLine(
            $"{scenario.Name, -58} median {Milliseconds(times, 0.5), 9}   p95 {Milliseconds(times, 0.95), 9}   ({scenario.Rounds} rounds)"
        );
    }

    return medians;
}

static double[] Measure(Action run, int rounds)
{
    // The first rounds compile; they are not what a coach waits for all day.
    for (var i = 0; i < Math.Min(30, rounds); i++)
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
