using Ingegno.Core.Progress.ClientApp;
using Ingegno.Core.Progress.FollowUp;
using Ingegno.Storage;

namespace Ingegno.Web.Features;

/// <summary>A client's phone as the roster shows it.</summary>
/// <param name="Sent">When a plan was sent last; null when none was, or when its link has ended.</param>
/// <param name="Opened">When the link was opened first.</param>
/// <param name="Trained">Day of the last session from it.</param>
/// <param name="News">What the coach does not know yet.</param>
public sealed record ClientAppInRoster(DateTimeOffset? Sent, DateTimeOffset? Opened, DateOnly? Trained, ClientAppNews News);

/// <summary>Looks over all phones of a practice at once.</summary>
public sealed class ClientAppOverview(
    ClientLinkStore links,
    ReleaseStore releases,
    ClientAppStore floor,
    ClientAppReading reading,
    TimeProvider clock
)
{
    /// <summary>The phones of a coach's clients, by client; those that were never sent anything are not in it.</summary>
    public IReadOnlyDictionary<long, ClientAppInRoster> Of(long coach)
    {
        var now = clock.GetUtcNow();
        var link = links.OfCoach(coach);
        var sent = releases.InBrief(coach).ToLookup(r => r.ClientId);
        var came = reading.Of(coach, floor.Unseen(coach)).ToLookup(c => c.ClientId);
        var asked = floor.UnreadNotes(coach).ToLookup(n => n.ClientId);
        var trained = floor.LastTrained(coach);
        return sent.Select(s => s.Key)
            .ToDictionary(
                client => client,
                client =>
                {
                    var runs = link.TryGetValue(client, out var own) && own.RunsAt(now);
                    var last = sent[client].First();
                    var unseen = came[client].ToList();
                    return new ClientAppInRoster(
                        runs ? last.MadeAt : null,
                        runs ? own!.OpenedAt : null,
                        trained.TryGetValue(client, out var day) ? day : null,
                        new ClientAppNews(
                            unseen.Count,
                            [.. unseen.SelectMany(Stopped).Distinct()],
                            [.. unseen.Select(c => c.Session.Note).Where(n => n.Length > 0), .. asked[client].Select(n => n.Text)],
                            runs ? DateOnly.FromDateTime(last.MadeAt.Date) : null,
                            own?.OpenedAt is not null
                        )
                    );
                }
            );
    }

    /// <summary>Names of exercises that were stopped, or hurt so much that they should have been.</summary>
    private static IEnumerable<string> Stopped(CameIn came) =>
        came.Remarks.Any(r => r.Kind == ClientAppRemarkKind.Stopped)
            ? came
                .Session.Exercises.Where(e => e.Stopped || e.Sets.Any(s => s.Sharp || s.Pain >= came.StopFrom))
                .Select(e => came.Exercises.FirstOrDefault(x => x.ExerciseId == e.ExerciseId)?.Name ?? e.ExerciseId)
            : [];
}
