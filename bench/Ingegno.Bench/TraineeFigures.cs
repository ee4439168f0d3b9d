using System.Globalization;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Simulation;

namespace Ingegno.Bench;

/// <summary>
/// Twelve weeks of simulated clients per level and class of kit: strength gained with the engine, with a rep more each week and with the same week
/// again; weeks past failure, sets short of their target, days over the client's minutes, exercises changed in a month and swapped for pain.
/// </summary>
internal static class TraineeFigures
{
    private const int Clients = 300;
    private const int Weeks = 12;
    private const double WeeksOfMonth = 52.0 / 12;

    private static readonly DateOnly First = new(2026, 8, 31);

    private sealed record Run(Level Level, string Kit, TrialResult Engine, EngineAccepted Policy, TrialResult RepMore, TrialResult Same);

    /// <summary>Prints the figures; with each week past failure, line by line, when asked.</summary>
    public static void Print(bool examples)
    {
        var runs = Enumerable.Range(1, Clients).AsParallel().AsOrdered().Select(Of).ToList();
        foreach (var run in examples ? runs : [])
        {
            Show(run);
        }

        Console.WriteLine(
            "trainees                     clients   gain  rep more     same   past failure   short    days over   changes/month   swaps"
        );
        foreach (var level in runs.GroupBy(r => r.Level).OrderBy(g => g.Key))
        {
            Line(level.Key.ToString(), [.. level]);
        }

        foreach (var kit in runs.GroupBy(r => r.Kit).OrderBy(g => g.Key, StringComparer.Ordinal))
        {
            Line(kit.Key, [.. kit]);
        }

        Line("all", runs);
        Console.WriteLine(
            "  weeks past failure, by week: "
                + string.Join(' ', Enumerable.Range(0, Weeks).Select(w => runs.Count(r => r.Engine.PastFailureWeeks.Contains(w))))
        );
    }

    private static void Line(string name, List<Run> runs) =>
        Console.WriteLine(
            string.Create(
                CultureInfo.InvariantCulture,
                $"  {name, -27} {runs.Count, 6}  {runs.Average(r => r.Engine.Gain), 6:P1}  {runs.Average(r => r.RepMore.Gain), 7:P1}  {runs.Average(r => r.Same.Gain), 7:P1}   {(double)runs.Sum(r => r.Engine.PastFailureWeeks.Length) / (runs.Count * Weeks), 9:P1} {runs.Average(r => r.Engine.Missed), 11:P1}   {runs.Sum(r => r.Policy.DaysOver), 4} of {runs.Sum(r => r.Policy.Days), 5}   {runs.Average(r => r.Policy.Changed) / Weeks * WeeksOfMonth, 10:0.0} {runs.Sum(r => r.Policy.Swapped), 8}"
            )
        );

    private static void Show(Run run)
    {
        foreach (var week in run.Engine.PastFailureWeeks)
        {
            Console.WriteLine($"past failure in week {week + 1} | {run.Level}, {run.Kit}");
            var (from, to) = (First.AddDays(7 * week), First.AddDays((7 * week) + 6));
            foreach (var done in run.Engine.Log.Where(s => s.Day >= from && s.Day <= to).SelectMany(s => s.Exercises))
            {
                var planned = run.Engine.Trained[week].First(p => p.Line == done.Line).Home;
                var said = week == 0 ? null : run.Policy.Said[week - 1].FirstOrDefault(p => p.Line == done.Line);
                Console.WriteLine(
                    $"    {planned.Name} {planned.Dose.Figures} {planned.ExternalKg} kg, {planned.ExpectedReps} expected, done {string.Join(' ', done.Sets.Select(s => $"{s.Reps}@{s.Rir}"))} | {said?.Decision}: {said?.Reason.Code}"
                );
            }
        }
    }

    private static Run Of(int seed)
    {
        var simulated = SimulatedClients.Draw(seed);
        var request = simulated with { Client = simulated.Client with { MinutesPerSession = 45 }, FitToMinutes = true };
        var trial = new TrainingTrial(DomainRules.Shipped);
        var plan = new RebuildEngine(DomainRules.Shipped).Rebuild(request).Plan;
        var day = plan.Lines.ToDictionary(l => l.Gym.Key, l => l.Gym.Day);
        var engine = (EngineAccepted)trial.Engine(request, keepsMinutes: true);
        TrialResult Under(IProgressionPolicy policy) =>
            trial.Run(
                trial.Plan(request, plan),
                line => day[line],
                new SimulatedTrainee(DomainRules.Shipped, request.Client, TraineeTraits.ForLevel(request.Client.Level), seed),
                policy,
                First,
                Weeks
            );
        return new Run(
            request.Client.Level,
            KitClass(request),
            Under(engine),
            engine,
            Under(new OneRepMoreEachWeek()),
            Under(new RepeatLastWeek())
        );
    }

    private static string KitClass(RebuildRequest request) =>
        request.Kit.Items[0].Kind switch
        {
            "dumbbell" => request.Kit.Items.Count(i => i.Kind == "dumbbell") > 1 ? "several dumbbells" : "one pair of dumbbells",
            "rucksack" => "rucksack and furniture",
            "band-loop" => "bands",
            _ => "bar and kettlebell",
        };
}
