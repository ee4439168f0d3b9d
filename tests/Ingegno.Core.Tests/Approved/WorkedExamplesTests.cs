using System.Globalization;
using System.Text;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;
using Ingegno.Simulation;

namespace Ingegno.Core.Tests.Approved;

/// <summary>Three clients' twelve weeks as a page to read: what was planned, what was done, what was proposed and why.</summary>
public class WorkedExamplesTests
{
    private const int Weeks = 12;
    private static readonly DateOnly First = new(2026, 8, 31);

    private readonly StringBuilder _page = new();

    [Fact]
    public Task Twelve_weeks_of_three_clients_in_docs_are_what_comes_out()
    {
        Row("# Twelve weeks of three clients");
        Row();
        Row(
            "Made from simulated trainees (figures of nobody); every proposal was accepted. Per week: what the week asked, what was done in the sets, and what is proposed for the next one."
        );
        foreach (var (title, request, traits) in Clients())
        {
            Row();
            Row($"## {title}");
            Print(request, traits);
        }

        return _page.ToString().ShouldBeApproved("docs", "worked-examples.md");
    }

    private static IEnumerable<(string Title, RebuildRequest Request, TraineeTraits Traits)> Clients()
    {
        yield return (
            "A man of 80 kg, intermediate, two pairs of dumbbells, a chair and a band",
            Request(
                Level.Intermediate,
                Sex.Male,
                80,
                "2x 10 kg dumbbell; 2x 16 kg dumbbell; chair 45 cm; band 104 cm 22 mm",
                [
                    "= A",
                    "Back squat 3x8 RIR 2 2 min",
                    "Bench press 3x8 RIR 2 2 min",
                    "= B",
                    "Barbell row 3x10 RIR 2 90 s",
                    "Overhead press 3x8 RIR 2 90 s",
                ]
            ),
            TraineeTraits.ForLevel(Level.Intermediate)
        );
        yield return (
            "A woman of 62 kg, beginner, an ordinary home; away in weeks 6 to 8",
            Request(
                Level.Beginner,
                Sex.Female,
                62,
                "chair 45 cm; sofa 44 cm; dining table 74 cm; stairs 18 cm; rucksack 25 L; 6 bottles 1.5 L",
                ["= A", "Goblet squat 3x10 90 s", "Push-up 3x8 90 s", "= B", "Seated cable row 3x10 90 s", "Hip thrust 3x10 90 s"]
            ),
            TraineeTraits.ForLevel(Level.Beginner) with
            {
                AwayInWeeks = [5, 6, 7],
            }
        );
        yield return (
            "A woman of 66 kg, novice, a kettlebell and a bar; the knee hurts from week 4",
            Request(
                Level.Novice,
                Sex.Female,
                66,
                "16 kg kettlebell; pull-up bar; chair 45 cm; band 104 cm 13 mm",
                [
                    "= A",
                    "Split squat 3x10/side 90 s",
                    "Lat pulldown 3x10 90 s",
                    "= B",
                    "Romanian deadlift 3x10 90 s",
                    "Dumbbell bench press 3x10 90 s",
                ]
            ),
            TraineeTraits.ForLevel(Level.Novice) with
            {
                HurtsFromWeek = 3,
                Hurts = Joint.Knee,
            }
        );
    }

    private static RebuildRequest Request(Level level, Sex sex, double mass, string kit, string[] lines) =>
        new()
        {
            Client = new ClientProfile
            {
                Level = level,
                Goal = Goal.Muscle,
                Sex = sex,
                BodyMassKg = mass,
                StatureCm = sex == Sex.Male ? 180 : 168,
                DaysPerWeek = 2,
                MinutesPerSession = 45,
            },
            Kit = Examples.KitOf(kit),
            GymLines = [.. lines],
        };

    private void Print(RebuildRequest request, TraineeTraits traits)
    {
        var trial = new TrainingTrial(DomainRules.Shipped);
        var plan = new RebuildEngine(DomainRules.Shipped).Rebuild(request).Plan;
        var day = plan.Lines.ToDictionary(l => l.Gym.Key, l => l.Gym.Day);
        var engine = (EngineAccepted)trial.Engine(request, keepsMinutes: true);
        var done = trial.Run(
            trial.Plan(request, plan),
            line => day[line],
            new SimulatedTrainee(DomainRules.Shipped, request.Client, traits, seed: 5),
            engine,
            First,
            Weeks
        );
        var decided = 0;
        for (var week = 0; week < Weeks; week++)
        {
            var sets = done
                .Log.Where(s => (s.Day.DayNumber - First.DayNumber) / 7 == week)
                .SelectMany(s => s.Exercises)
                .ToDictionary(e => e.Line);
            Row();
            Row($"### Week {week + 1}{(sets.Count == 0 ? ": away" : string.Empty)}");
            if (sets.Count == 0)
            {
                continue;
            }

            Row();
            Row("| planned | done | next | why |");
            Row("|---|---|---|---|");
            var said = engine.Said[decided++].ToLookup(p => p.Line);
            foreach (var trained in done.Trained[week])
            {
                var logged = sets.TryGetValue(trained.Line, out var e) ? string.Join(", ", e.Sets.Select(Done)) : "–";
                var proposal = said[trained.Line].FirstOrDefault(p => p.ExerciseId == trained.Home.ExerciseId);
                Row(
                    string.Create(
                        CultureInfo.InvariantCulture,
                        $"| {trained.Home.Name} {trained.Home.Dose.Figures} {(trained.Home.ExternalKg > 0 ? $"{trained.Home.ExternalKg:0.#} kg " : string.Empty)}{trained.Home.Dose.Tempo} | {logged} | {Words(proposal)} | {(proposal is null ? string.Empty : proposal.Reason.Said())} |"
                    )
                );
            }
        }
    }

    private static string Done(Core.Progress.Logs.LoggedSet set) =>
        $"{set.Reps}{(set.Rir is { } rir ? $"@{rir}" : string.Empty)}{(set.Pain is > 0 ? $" pain {set.Pain}" : string.Empty)}";

    private static string Words(Proposal? proposal) =>
        proposal is null
            ? string.Empty
            : System.Text.RegularExpressions.Regex.Replace(
                proposal.Decision.ToString(),
                "(?<=[a-z])([A-Z])",
                m => " " + m.Value.ToLowerInvariant()
            );

    private void Row(string text = "") => _page.Append(text).Append('\n');
}
