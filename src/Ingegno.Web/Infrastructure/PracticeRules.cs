using System.Collections.Concurrent;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Storage;

namespace Ingegno.Web.Infrastructure;

/// <summary>The trade of each practice: what ships, with the exercises, approaches and names it added. Built once, and anew after a
/// change.</summary>
public sealed class PracticeRules(OwnExerciseStore own, OwnApproachStore approaches, TaughtNameStore names)
{
    private readonly ConcurrentDictionary<long, Lazy<DomainRules>> _trades = new();

    /// <summary>The trade of a coach.</summary>
    public DomainRules Of(long coachId) =>
        _trades
            .GetOrAdd(
                coachId,
                id => new Lazy<DomainRules>(() =>
                    DomainRules
                        .Shipped.With([.. own.List(id).Select(e => e.Value)])
                        .WithApproaches([.. approaches.List(id).Select(a => a.Value)])
                        .WithNames([.. names.List(id).Select(n => n.Value)])
                )
            )
            .Value;

    /// <summary>After a change of a coach's own exercises or approaches.</summary>
    public void Forget(long coachId) => _trades.TryRemove(coachId, out _);
}
