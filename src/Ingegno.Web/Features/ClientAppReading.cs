using System.Collections.Immutable;
using Ingegno.Core.Progress.ClientApp;
using Ingegno.Storage;

namespace Ingegno.Web.Features;

/// <summary>Sessions from phones beside what was sent and said.</summary>
public sealed class ClientAppReading(ReleaseStore releases, ClientAppStore floor, ClientStore clients)
{
    /// <summary>Sessions as the coach reads them, in their order.</summary>
    public ImmutableArray<CameIn> Of(long coach, IReadOnlyList<ClientAppRecord> records)
    {
        ArgumentNullException.ThrowIfNull(records);
        var sent = records.Select(r => r.Session.Release).Distinct().ToDictionary(id => id, id => releases.Find(coach, id));
        var names = records
            .Select(r => r.ClientId)
            .Distinct()
            .ToDictionary(id => id, id => clients.Find(coach, id)?.Value.Name ?? string.Empty);
        var notes = records.Select(r => r.ClientId).Distinct().ToDictionary(id => id, id => floor.Notes(coach, id));
        return
        [
            .. from record in records
            where sent[record.Session.Release] is not null
            let release = sent[record.Session.Release]!.Release
            let report = new ClientAppReport(release, record.Session)
            select new CameIn(
                record.Id,
                record.ClientId,
                names[record.ClientId],
                record.PlanId,
                release.Title,
                report.Day,
                record.PerformedOn,
                record.Session.Finished,
                record.Session.SetsDone,
                report.SetsPlanned,
                record.SeenAt is not null,
                record.Session,
                report.Lines(),
                report.Remarks(),
                record.LoggedAs,
                record.Differs,
                [.. notes[record.ClientId].Where(n => n.Session == record.Session.Key)],
                release.Pain.StopFrom
            ),
        ];
    }
}
