using System.Collections.Immutable;
using Ingegno.Core.Catalogue;
using Ingegno.Core.Clients;
using Ingegno.Core.Kit;
using Ingegno.Core.Loading;
using Ingegno.Core.Matching;
using Ingegno.Core.Rebuilding;
using Ingegno.Core.Strength;

namespace Ingegno.Core.Progressing;

/// <summary>Proposes the next session of a plan from the last logged one.</summary>
public sealed class NextSession(Trade trade)
{
    /// <summary>One proposal per home exercise of the plan, in its order.</summary>
    /// <param name="client">The client.</param>
    /// <param name="place">The kit of the plan.</param>
    /// <param name="lines">Lines of the plan.</param>
    /// <param name="log">What was logged, newest first: each exercise rests on its own last session.</param>
    public ImmutableArray<Proposal> Propose(
        ClientProfile client, PlaceKit place, IEnumerable<HomeLine> lines, IReadOnlyCollection<LoggedExercise> log)
    {
        ArgumentNullException.ThrowIfNull(client);
        ArgumentNullException.ThrowIfNull(place);
        ArgumentNullException.ThrowIfNull(lines);
        ArgumentNullException.ThrowIfNull(log);
        var kit = new KitAtPlace(place, trade.KitKinds);
        var resistance = new ResistanceMatch(kit, new ReachableLoads(kit), client, new ClientStrength(client, trade.Strength), trade);
        return [.. from line in lines
                   from home in line.Chosen?.Exercises ?? []
                   where trade.Catalogue.Find(home.ExerciseId) is not null // a practice may have removed its own
                   let logged = log.FirstOrDefault(l => l.Line == line.Gym.Line && l.ExerciseId == home.ExerciseId)
                   select DoubleProgression.Next(line.Gym.Line, Context(home, client, kit, resistance), logged?.Sets ?? [])];
    }

    private ProgressionContext Context(HomeExercise home, ClientProfile client, KitAtPlace kit, ResistanceMatch resistance)
    {
        var exercise = trade.Catalogue.Get(home.ExerciseId);
        return new ProgressionContext(
            home,
            exercise,
            SetupLoads.Of(home, trade.Catalogue, kit, resistance)?.Loads ?? [],
            Possible(exercise.Harder, client, kit),
            Possible(exercise.Easier, client, kit));
    }

    private Exercise? Possible(string? id, ClientProfile client, KitAtPlace kit) =>
        id is not null && trade.Catalogue.Find(id) is { } exercise
        && CandidateFilter.Why(exercise, client) is null
        && exercise.Setups.Any(s => kit.Meets(s.Needs).Possible)
            ? exercise
            : null;
}
