using Ingegno.Core.Progress.ClientApp;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Storage;

namespace Ingegno.Web.Features;

/// <summary>The two ways between a plan and a phone: what goes out of a version, and what of a session goes into the log.</summary>
internal static class ClientAppLog
{
    /// <summary>The release of a version: as it was saved, with the candidates that a version does not keep.</summary>
    public static Release Release(PlanDocument document, RebuildEngine engine, ReleaseWriter writer, string word)
    {
        var candidates = engine.Rebuild(document.Request).Plan.Lines.ToDictionary(l => l.Gym.Key, l => l.Candidates);
        var whole = document.Plan with
        {
            Lines = [.. document.Plan.Lines.Select(l => l with { Candidates = candidates.GetValueOrDefault(l.Gym.Key, []) })],
        };
        return writer.Write(document.Title, document.Request, whole, word);
    }

    /// <summary>A finished session as the log has it; null while it runs or where nothing was done.</summary>
    public static SessionRecord? ToSessionRecord(
        long coach,
        SentRelease release,
        ClientAppSession session,
        DateOnly day,
        PlanRecord plan,
        ClientLog log
    )
    {
        var done = session.Logged();
        return session.Finished && !done.IsEmpty && log.Trained(coach, release.PlanId, plan, release.PlanVersion) is { } trained
            ? new SessionRecord(
                release.PlanVersion,
                day,
                log.Stamped(trained, done),
                session.Effort,
                session.Minutes,
                session.Note.Length > 0 ? session.Note : null,
                PlannedSets.Count(trained.Plan, done),
                SessionSource.Client
            )
            : null;
    }
}
