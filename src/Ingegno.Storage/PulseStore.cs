using System.Text.Json;
using Dapper;
using Ingegno.Core.Ground.Text;
using Ingegno.Core.KeepingOn.Following;

namespace Ingegno.Storage;

/// <summary>What the logs of a coach's plans say at a glance; renewed with every entry, never the truth itself.</summary>
public sealed class PulseStore(Database database)
{
    private sealed record Row(long PlanId, string Document);

    /// <summary>Keeps the pulse of a plan in place of the one before.</summary>
    public void Put(long coachId, long planId, PlanPulse pulse)
    {
        using var connection = database.Open();
        connection.Execute(
            """
            INSERT INTO plan_pulse (plan_id, coach_id, document) VALUES (@planId, @coachId, @document)
            ON CONFLICT (plan_id) DO UPDATE SET document = excluded.document WHERE coach_id = excluded.coach_id
            """,
            new
            {
                planId,
                coachId,
                document = JsonSerializer.Serialize(pulse, TradeJson.Lenient),
            }
        );
    }

    /// <summary>The pulses of all plans of a coach, by plan.</summary>
    public IReadOnlyDictionary<long, PlanPulse> All(long coachId)
    {
        using var connection = database.Open();
        return connection
            .Query<Row>("SELECT plan_id AS PlanId, document AS Document FROM plan_pulse WHERE coach_id = @coachId", new { coachId })
            .ToDictionary(r => r.PlanId, r => JsonSerializer.Deserialize<PlanPulse>(r.Document, TradeJson.Lenient)!);
    }
}
