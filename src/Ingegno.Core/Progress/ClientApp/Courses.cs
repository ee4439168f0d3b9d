using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Rebuilding.Days;

namespace Ingegno.Core.Progress.ClientApp;

/// <summary>Ways through a day: as planned, and shorter, each as a list of turns.</summary>
/// <param name="domain">The domain rules.</param>
/// <param name="client">The client.</param>
public sealed class Courses(DomainRules domain, ClientProfile client)
{
    /// <summary>The day in full and the shorter ones that are worth offering, longest first.</summary>
    /// <param name="day">The day.</param>
    /// <param name="lines">Its lines.</param>
    /// <param name="approach">Its approach.</param>
    public ImmutableArray<Course> Of(HomeDay day, ImmutableArray<HomeLine> lines, Approach approach)
    {
        ArgumentNullException.ThrowIfNull(day);
        var courses = ImmutableArray.CreateBuilder<Course>();
        courses.Add(new Course(day.Minutes.Total, [], Turns(day.Groups, lines.ToDictionary(l => l.Gym.Key))));
        var planner = new SessionPlanner(domain, client);
        foreach (var minutes in domain.Session.Shorter.Minutes.Where(m => m < day.Minutes.Total))
        {
            var cut = planner.Shorter(lines, day.Groups, approach, minutes);
            if (cut.Minutes.Total <= courses[^1].Minutes - domain.Session.Shorter.LeastGain && cut.Minutes.Total > 0)
            {
                var left = cut.Lines.ToDictionary(l => l.Gym.Key);
                courses.Add(new Course(cut.Minutes.Total, GivesWay(lines, left, cut.Cut), Turns(cut.Groups, left)));
            }
        }

        return courses.ToImmutable();
    }

    /// <summary>What a client misses of the full day, by the names on the phone.</summary>
    private static ImmutableArray<Reason> GivesWay(
        ImmutableArray<HomeLine> full,
        Dictionary<LineKey, HomeLine> left,
        ImmutableArray<Reason> cut
    )
    {
        var gone = full.Where(l => l.Chosen is not null && left[l.Gym.Key].Chosen is null).Select(l => l.Chosen!.Name).ToList();
        var fewer = full.Where(l => l.Chosen is not null && left[l.Gym.Key].Chosen is not null)
            .Select(l => (l.Chosen!.Name, Less: Sets(l) - Sets(left[l.Gym.Key])))
            .Where(l => l.Less > 0)
            .Select(l => Reason.Of("course.fewer", ("exercise", l.Name), ("sets", l.Less)))
            .ToList();
        var rests = full.Any(l =>
            l.Chosen is not null
            && left[l.Gym.Key].Chosen is { } now
            && now.Exercises[^1].Dose.RestSeconds < l.Chosen.Exercises[^1].Dose.RestSeconds
        );
        return
        [
            .. cut.Where(c => c.Code == SessionPlanner.InTurn),
            .. rests ? [Reason.Of("course.rests")] : Array.Empty<Reason>(),
            .. fewer.Count > 0 ? [Reason.Of("course.sets", ("fewer", FactList.Of(fewer)))] : Array.Empty<Reason>(),
            .. gone.Count > 0 ? [Reason.Of("course.without", ("exercises", FactList.Of(gone)))] : Array.Empty<Reason>(),
        ];
    }

    private static int Sets(HomeLine line) => line.Chosen!.Exercises[^1].Dose.Sets;

    private ImmutableArray<Turn> Turns(ImmutableArray<RoundGroup> groups, Dictionary<LineKey, HomeLine> lines)
    {
        var turns = ImmutableArray.CreateBuilder<Turn>();
        foreach (var group in groups)
        {
            var chosen = group.Lines.Select(l => lines[l]).Where(l => l.Chosen is not null).ToList();
            for (var round = 1; round <= group.Rounds; round++)
            {
                foreach (var line in chosen)
                {
                    foreach (var home in line.Chosen!.Exercises.Where(e => e.Dose.Sets >= round))
                    {
                        turns.Add(
                            new Turn(
                                ReleaseWriter.KeyOf(line.Gym.Key, home.ExerciseId),
                                round,
                                home.Dose.Sets,
                                domain.Session.WithinRoundSeconds,
                                group.Label,
                                round,
                                chosen.Sum(l => l.Chosen!.Exercises.Length) > 1 ? group.Rounds : 1
                            )
                        );
                    }
                }

                Rest(turns, group.RestSeconds);
            }

            Rest(turns, Math.Max(group.RestSeconds, domain.Session.ChangeOverSeconds));
        }

        Rest(turns, 0);
        return turns.ToImmutable();
    }

    private static void Rest(ImmutableArray<Turn>.Builder turns, int seconds)
    {
        if (turns.Count > 0)
        {
            turns[^1] = turns[^1] with { RestSeconds = seconds };
        }
    }
}
