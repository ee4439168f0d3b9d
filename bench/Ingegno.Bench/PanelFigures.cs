using System.Collections.Immutable;
using System.Globalization;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Weeks;

namespace Ingegno.Bench;

/// <summary>
/// What a coach would look at twice, counted over twelve clients, six gym weeks and eight kits: sets that last too long, lines that start
/// far below the plan, days over the minutes, two techniques at once, findings of the plan check on a fresh plan, and how much of it
/// changes when a client weighs two kilograms more or a chair is a centimetre higher.
/// </summary>
internal static class PanelFigures
{
    private const double LongestSetSeconds = 75;
    private const int MostReps = 30;
    private const double StartsAt = 0.8;

    /// <summary>Every so many weeks the steadiness is tried, for it takes ten rebuilds more; no divisor of weeks times kits, or the same few would be tried
    /// for every client.</summary>
    private const int SteadyEvery = 5;

    private static readonly RebuildEngine Engine = new(DomainRules.Shipped);

    /// <summary>Prints the figures; with examples of each when asked.</summary>
    public static void Print(bool examples)
    {
        var counted = new Dictionary<string, int>(StringComparer.Ordinal);
        var (lines, days, weeks, tried, same, kept) = (0, 0, 0, 0, 0, 0);
        foreach (var client in PanelClients.Clients)
        {
            foreach (var (name, gym) in PanelClients.Weeks)
            {
                foreach (var kit in PanelClients.Kits)
                {
                    var request = new RebuildRequest
                    {
                        Client = client,
                        Kit = kit,
                        GymLines = [.. gym],
                    };
                    var plan = Engine.Rebuild(request).Plan;
                    var where = $"{client.Sex} {client.Level} {client.BodyMassKg:0} kg, {name}, {kit.Name}";
                    foreach (var (what, example) in Seen(plan))
                    {
                        counted[what] = counted.GetValueOrDefault(what) + 1;
                        if (examples)
                        {
                            Console.WriteLine($"{what} | {where} | {example}");
                        }
                    }

                    lines += plan.Lines.Length;
                    days += plan.Days.Length;
                    if (weeks++ % SteadyEvery == 0)
                    {
                        var steady = Steady(request, plan, examples ? where : null);
                        (tried, same, kept) = (tried + steady.Tried, same + steady.Same, kept + steady.Kept);
                    }
                }
            }
        }

        Console.WriteLine(FormattableString.Invariant($"panel: {weeks} weeks, {lines} lines, {days} days"));
        foreach (var (what, count) in counted.OrderBy(c => c.Key, StringComparer.Ordinal))
        {
            var of = what.StartsWith("day", StringComparison.Ordinal) ? days : lines;
            Console.WriteLine(string.Create(CultureInfo.InvariantCulture, $"  {what, -44} {count, 6}   {100.0 * count / of:0.0} %"));
        }

        Console.WriteLine(
            string.Create(
                CultureInfo.InvariantCulture,
                $"  lines unchanged by ±2 kg, ±1 cm and order      {kept, 6} of {tried}   {100.0 * kept / tried:0.0} %"
            )
        );
        Console.WriteLine(
            string.Create(
                CultureInfo.InvariantCulture,
                $"  the same of two clients, each without a plan   {same, 6} of {tried}   {100.0 * same / tried:0.0} %"
            )
        );
    }

    private static IEnumerable<(string What, string Example)> Seen(HomePlan plan)
    {
        foreach (var line in plan.Lines)
        {
            if (line.Chosen is not { } chosen)
            {
                yield return ("line without an exercise", line.GymExerciseName);
                continue;
            }

            if (chosen.Exercises.Length > 1)
            {
                yield return ("pair", Said(line, chosen.Exercises[0]) + " + " + chosen.Exercises[1].Name);
            }

            foreach (var home in chosen.Exercises)
            {
                var dose = home.Dose;
                if (dose.Timed || dose.Target.IsOpen)
                {
                    continue;
                }

                if (dose.Target.Max * dose.Tempo.SecondsPerRep > LongestSetSeconds)
                {
                    yield return ("set past 75 s under tension", Said(line, home));
                }

                if (dose.Target.Max > MostReps)
                {
                    yield return ("more than 30 reps", Said(line, home));
                }

                if (
                    !line.Gym.Timed
                    && !line.Gym.Target.IsOpen
                    && dose.Target.Min < StartsAt * line.Gym.Target.Min
                    && chosen.Exercises.Length == 1
                )
                {
                    yield return ("starts below 80 % of the planned reps", Said(line, home));
                }

                if (dose.Techniques.Length > 1)
                {
                    yield return ("two techniques", Said(line, home));
                }
            }

            if (chosen.Id != line.Candidates[0].Id && line.Candidates[0].Match > chosen.Match + 0.02)
            {
                yield return (
                    "not the first-ranked by more than .02",
                    Said(line, chosen.Exercises[0]) + " < " + line.Candidates[0].Exercises[0].Name
                );
            }
        }

        foreach (var day in plan.Days.Where(d => d.Minutes.Limit is { } limit && d.Minutes.Total > limit))
        {
            yield return ("day over the client's minutes", $"{day.Name} {day.Minutes.Total} of {day.Minutes.Limit}");
        }

        foreach (var finding in plan.Findings.Where(f => f.Severity >= Severity.Warning))
        {
            yield return (
                $"finding to change: {finding.Code}",
                $"{(plan.Lines.FirstOrDefault(l => l.Gym.Key == finding.Line) is { Chosen: { } c } line ? Said(line, c.Exercises[0]) : string.Empty)} remedy: {finding.Remedy is not null}"
            );
        }
    }

    private static string Said(HomeLine line, HomeExercise home) =>
        $"{line.GymExerciseName} {line.GymDose} => {home.Name} {home.Dose.Figures} {home.Dose.Tempo} [{home.ExpectedReps}] {home.Setup}";

    private static (int Tried, int Same, int Kept) Steady(RebuildRequest request, HomePlan plan, string? where)
    {
        var (mass, kit) = (request.Client.BodyMassKg!.Value, request.Kit);
        RebuildRequest[] near =
        [
            request with
            {
                Client = request.Client with { BodyMassKg = mass + 2 },
            },
            request with
            {
                Client = request.Client with { BodyMassKg = mass - 2 },
            },
            request with
            {
                Kit = Higher(kit, 1),
            },
            request with
            {
                Kit = Higher(kit, -1),
            },
            request with
            {
                Kit = kit with { Items = [.. kit.Items.Reverse()] },
            },
        ];
        var (tried, same, kept) = (0, 0, 0);
        ImmutableArray<StoodBefore> stood =
        [
            .. plan
                .Lines.Where(l => l.Chosen is not null)
                .Select(l => new StoodBefore(l.Gym.ExerciseId, l.Chosen!.Id, plan.Days[l.Gym.Day].Name)),
        ];
        foreach (var other in near)
        {
            var again = Engine.Rebuild(other).Plan;
            var rebuilt = Engine.Rebuild(other with { Before = stood }).Plan;
            for (var i = 0; i < plan.Lines.Length; i++)
            {
                tried++;
                var (was, now) = (plan.Lines[i].Chosen?.Id, again.Lines[i].Chosen?.Id);
                same += was == now ? 1 : 0;
                kept += was == rebuilt.Lines[i].Chosen?.Id ? 1 : 0;
                if (was != now && where is not null)
                {
                    Console.WriteLine(
                        $"unsteady | {where} | {plan.Lines[i].GymExerciseName}: {was} {Matches(plan.Lines[i], was, now)} -> {now} {Matches(again.Lines[i], was, now)}"
                    );
                }
            }
        }

        return (tried, same, kept);
    }

    /// <summary>What the two are worth on a line, so that a near tie and a jump can be told apart.</summary>
    private static string Matches(HomeLine line, string? was, string? now)
    {
        string Of(string? id) =>
            line.Candidates.FirstOrDefault(c => c.Id == id) is { } found
                ? string.Create(CultureInfo.InvariantCulture, $"{found.Match:0.000}")
                : "none";
        return $"[{Of(was)} {Of(now)}]";
    }

    private static PlaceKit Higher(PlaceKit kit, double cm) =>
        kit with
        {
            Items = [.. kit.Items.Select(i => i.HeightCm is { } height ? i with { HeightCm = height + cm } : i)],
        };
}
