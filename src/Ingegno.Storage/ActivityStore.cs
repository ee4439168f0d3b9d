using System.Text.Json;
using Dapper;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Progress.FollowUp;

namespace Ingegno.Storage;

/// <summary>What the logs of a coach's plans say at a glance; renewed with every entry, never the truth itself.</summary>
public sealed class ActivityStore(Database database)
{
    private sealed record Row(long PlanId, string Document);

    /// <summary>Keeps the pulse of a plan in place of the one before.</summary>
    /// <param name="coachId">The coach.</param>
    /// <param name="planId">The plan.</param>
    /// <param name="pulse">What its log says.</param>
    /// <param name="seen">Mark of the log that it was made from, see <see cref="Due"/>: what was logged since is still due.</param>
    public void Put(long coachId, long planId, ActivitySummary pulse, long? seen = null)
    {
        using var connection = database.Open();
        connection.Execute(
            """
            DELETE FROM pulse_due WHERE plan_id = @planId AND coach_id = @coachId AND mark = @seen;
            INSERT INTO plan_pulse (plan_id, coach_id, document) VALUES (@planId, @coachId, @document)
            ON CONFLICT (plan_id) DO UPDATE SET document = excluded.document WHERE coach_id = excluded.coach_id
            """,
            new
            {
                planId,
                coachId,
                seen,
                document = JsonSerializer.Serialize(pulse, RulesJson.Lenient),
            }
        );
    }

    /// <summary>Plans whose log was changed after their pulse was made, with the mark of the last change.</summary>
    public IReadOnlyDictionary<long, long> Due(long coachId)
    {
        using var connection = database.Open();
        return connection
            .Query<(long Plan, long Mark)>("SELECT plan_id, mark FROM pulse_due WHERE coach_id = @coachId", new { coachId })
            .ToDictionary(d => d.Plan, d => d.Mark);
    }

    /// <summary>The pulses of all plans of a coach, by plan.</summary>
    public IReadOnlyDictionary<long, ActivitySummary> All(long coachId)
    {
        using var connection = database.Open();
        return connection
            .Query<Row>("SELECT plan_id AS PlanId, document AS Document FROM plan_pulse WHERE coach_id = @coachId", new { coachId })
            .ToDictionary(r => r.PlanId, r => JsonSerializer.Deserialize<ActivitySummary>(r.Document, RulesJson.Lenient)!);
    }
}
