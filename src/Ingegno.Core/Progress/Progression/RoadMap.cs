using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Ladders;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Progress.Progression;

/// <summary>A stop on the road ahead of a line.</summary>
/// <param name="Decision">What changes.</param>
/// <param name="Name">Exercise there.</param>
/// <param name="Figures">Sets and reps in shorthand.</param>
/// <param name="Load">Load there in words; empty for none.</param>
/// <param name="Tempo">Tempo there.</param>
/// <param name="RestSeconds">Rest there, s.</param>
/// <param name="Techniques">Techniques there, beside what the tempo says.</param>
/// <param name="Earned">What earns it: reps in every set, with the reserve.</param>
/// <param name="Reason">Why this and nothing else.</param>
public sealed record RoadStop(
    Decision Decision,
    string ExerciseId,
    string SetupId,
    string? DrawnWith,
    string Name,
    string Figures,
    string Load,
    string Tempo,
    int RestSeconds,
    ImmutableArray<string> Techniques,
    Reason Earned,
    Reason Reason
);

/// <summary>The road ahead of a line with what is at the place.</summary>
/// <param name="Stops">The next stops, nearest first.</param>
/// <param name="Ends">This kit leads no farther than the last of them.</param>
/// <param name="Longer">What would lengthen it, the cheapest first.</param>
public sealed record Road(ImmutableArray<RoadStop> Stops, bool Ends, ImmutableArray<Reason> Longer);

/// <summary>
/// Draws the road ahead of an exercise: the steps that the progression itself would propose if every set were done as asked. Where this kit
/// ends, it says what would lead on.
/// </summary>
public sealed class RoadMap(DomainRules domain)
{
    private const int MostStops = 8;
    private const int MostTurns = 40;
    private const int MostOffers = 3;

    private readonly NextSession _next = new(domain);

    /// <summary>The road of an exercise from its figures.</summary>
    /// <param name="figures">Exercise, sets, target, tempo, rest and reserve; what is missing is usual.</param>
    /// <param name="setupId">Its set-up.</param>
    /// <param name="spots">What plays its roles.</param>
    /// <param name="systemKg">System load, kg; null where load is not the measure.</param>
    /// <param name="client">The client, with what the logs and the gym week tell.</param>
    /// <param name="place">The kit.</param>
    public Road Ahead(HomeEdit figures, string setupId, string spots, double? systemKg, ClientProfile client, PlaceKit place)
    {
        ArgumentNullException.ThrowIfNull(figures);
        return domain.Catalogue.Find(figures.ExerciseId) is { } exercise
            ? Ahead(
                new HomeExercise
                {
                    ExerciseId = exercise.Id,
                    Name = exercise.Name,
                    SetupId = setupId,
                    Spots = spots,
                    Setup = exercise.Name,
                    ExternalKg = figures.ExternalKg ?? 0,
                    SystemLoadKg = systemKg,
                    Dose = new Dose
                    {
                        Sets = figures.Sets ?? domain.Dose.Unsaid.Sets,
                        Target = figures.Target ?? domain.Dose.Unsaid.Reps,
                        Zone = figures.Zone,
                        Tempo = figures.Tempo ?? Tempo.Usual,
                        RestSeconds = figures.RestSeconds ?? domain.Dose.Unsaid.RestSeconds,
                        Rir = figures.Rir ?? domain.Dose.Unsaid.Rir,
                        Techniques = figures.Techniques ?? [],
                        Timed = exercise.Measure == Measure.Seconds,
                        PerSide = exercise.Sides == Sides.Unilateral,
                    },
                },
                client,
                place
            )
            : new Road([], true, []);
    }

    /// <summary>The road of an exercise as it is prescribed.</summary>
    /// <param name="home">The exercise.</param>
    /// <param name="client">The client, with what the logs and the gym week tell.</param>
    /// <param name="place">The kit.</param>
    public Road Ahead(HomeExercise home, ClientProfile client, PlaceKit place)
    {
        ArgumentNullException.ThrowIfNull(home);
        ArgumentNullException.ThrowIfNull(place);
        if (domain.Catalogue.Find(home.ExerciseId) is null)
        {
            return new Road([], true, []);
        }

        var (stops, end, grown) = Stops(Plain(home), client, place);
        var ends = stops.Length < MostStops;
        return new Road(stops, ends, ends ? [.. Longer(end, grown, place).Take(MostOffers)] : []);
    }

    private (ImmutableArray<RoadStop> Stops, HomeExercise End, ClientProfile Grown) Stops(
        HomeExercise home,
        ClientProfile client,
        PlaceKit place
    )
    {
        var stops = ImmutableArray.CreateBuilder<RoadStop>();
        for (var turn = 0; turn < MostTurns && stops.Count < MostStops; turn++)
        {
            var reps = Full(home.Dose);
            client = Grown(client, home, reps);
            var at = new ClientAtPlace(client, place, domain);
            var context = _next.Context(home, at);
            var (left, said) = (home.Dose.Rir, Asked(context, reps, home.Dose.Rir));
            if (!LeadsOn(said))
            {
                (left, said) = (left + 1, Asked(context, reps, left + 1)); // what is left over once more earns the denser week
            }

            if (!LeadsOn(said))
            {
                break;
            }

            var earned = Reason.Of("road.earned", ("sets", home.Dose.Sets), ("reps", reps), ("timed", home.Dose.Timed), ("rir", left));
            home = Plain(Moved(home, said, context, at));
            var same =
                said.Decision == Decision.MoreReps
                && stops is [.., { Decision: Decision.MoreReps } last]
                && last.Tempo == home.Dose.Tempo.ToString()
                && last.ExerciseId == home.ExerciseId;
            if (!same)
            {
                stops.Add(Stop(said, home, earned));
            }
            else
            {
                stops[^1] = Stop(said, home, stops[^1].Earned); // reps past the zone are one stop, however many
            }
        }

        return (stops.ToImmutable(), home, client);
    }

    /// <summary>The client who has so many reps in every set with the reserve: who goes this way grows stronger on it, and steps that are too
    /// far today are none then.</summary>
    private ClientProfile Grown(ClientProfile client, HomeExercise home, int reps)
    {
        var exercise = domain.Catalogue.Get(home.ExerciseId);
        if (exercise.Strength is not { } strength || home.SystemLoadKg is not { } systemKg || home.Dose.Timed)
        {
            return client;
        }

        var straight = (reps + home.Dose.Rir) / StraightSets.ShareLeft(home.Dose, domain.WithCosts(client.Costs));
        var max = RepMaxCurve.OneRepMax(systemKg, Math.Clamp(straight, 1, RepMaxCurve.MostReps), strength.Curve);
        var known = new ClientStrength(client, domain.Strength).For(exercise)?.OneRepMaxKg ?? 0;
        return max <= known
            ? client
            : client with
            {
                Learned =
                [
                    .. client.Learned.Where(l => l.ExerciseId != exercise.Id),
                    new LearnedLift(strength.Anchor, exercise.Id, max, SpreadOnTheWay, Reason.None),
                ],
            };
    }

    /// <summary>Spread of what is shown on the way; the road takes the middle.</summary>
    private const double SpreadOnTheWay = 0.1;

    /// <summary>What the progression says once every set has these reps and leaves so many.</summary>
    private static Proposal Asked(ProgressionContext context, int reps, int left) =>
        DoubleProgression.Next(
            default,
            context,
            [.. Enumerable.Repeat(new LoggedSet { Reps = reps, Rir = left > 0 ? left : null }, context.Home.Dose.Sets)]
        );

    private static bool LeadsOn(Proposal said) => said.Changes && said.Decision is not (Decision.Wait or Decision.Deload);

    private RoadStop Stop(Proposal said, HomeExercise home, Reason earned) =>
        new(
            said.Decision,
            home.ExerciseId,
            home.SetupId,
            home.DrawnWith,
            home.Name,
            home.Dose.Figures,
            said.ToExerciseId is null ? said.Load : said.ToSetup ?? string.Empty,
            home.Dose.Tempo.ToString(),
            home.Dose.RestSeconds,
            [.. domain.Techniques.Where(t => home.Dose.Techniques.Contains(t.Id) && !TempoSteps.IsSaidByTempo(t)).Select(t => t.Label)],
            earned,
            said.Reason
        );

    /// <summary>Reps at which the zone is full: its top, or past it the top of the target.</summary>
    private static int Full(Dose dose) =>
        Math.Clamp(Math.Max(dose.Standard ?? 0, Math.Max(DoubleProgression.Top(dose), dose.Target.Max)), 1, dose.Timed ? 120 : 60);

    /// <summary>The road starts from the log, not from what was expected before it.</summary>
    private static HomeExercise Plain(HomeExercise home) =>
        home with
        {
            Expected = null,
            Dose = home.Dose with { DecidedAfter = null, BlockWeek = null, SetsBefore = null, LastSetOpen = false, Calibrates = false },
        };

    private static HomeExercise Moved(HomeExercise home, Proposal said, ProgressionContext context, ClientAtPlace at)
    {
        if (said.ToExerciseId is not { } to || at.DomainRules.Catalogue.Find(to) is not { } exercise)
        {
            var system = context.Loads.FirstOrDefault(l => SameLoad.IsSame(l.Load.MassKg, said.ExternalKg));
            return home with
            {
                Dose = said.Dose,
                ExternalKg = said.ExternalKg,
                SystemLoadKg = system.Load is null ? home.SystemLoadKg : Math.Round(system.SystemKg, 1),
            };
        }

        var way =
            context.Up is { } up && up.Exercise.Id == to ? up.Way : at.Ways.SetupsOf(exercise).SelectMany(s => s.Safe).FirstOrDefault();
        return home with
        {
            ExerciseId = to,
            Name = exercise.Name,
            SetupId = way?.Setup.Id ?? exercise.Setups[0].Id,
            Spots = way?.Spots ?? string.Empty,
            DrawnWith = way is null ? null : FigureSetting.Describe(way.Bindings, way.Load, at.Kit),
            Setup = said.ToSetup ?? exercise.Name,
            ExternalKg = Math.Round(way?.Load.MassKg ?? 0, 2),
            SystemLoadKg = way is null ? null : Math.Round(way.System.Kg, 1),
            Dose = said.Dose with
            {
                Target = said.Dose.Zone ?? said.Dose.Target,
                Tempo = exercise.Tempo ?? Tempo.Usual,
                Techniques = [],
                Instructions = [],
                PerSide = exercise.Sides == Sides.Unilateral,
                Timed = exercise.Measure == Measure.Seconds,
            },
        };
    }

    /// <summary>What, bought or borrowed, leads on from the end of the road.</summary>
    private IEnumerable<Reason> Longer(HomeExercise end, ClientProfile client, PlaceKit place) =>
        from offer in domain.Purchases.OrderBy(p => p.Price)
        let more = place with
        {
            Items = place.Items.Add(offer.Item with { Id = Fresh(place) }),
        }
        where Stops(end, client, more).Stops is [{ Decision: Decision.MoreLoad or Decision.NextRung or Decision.MoreReps }, ..]
        select Reason.Of("road.longer", ("thing", offer.Name), ("price", offer.Price));

    private static string Fresh(PlaceKit place) =>
        Enumerable.Range(1, place.Items.Length + 1).Select(i => $"new-{i}").First(id => place.Items.All(item => item.Id != id));
}
