using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Tests.Rebuilding.Dosing;

/// <summary>What a manner leaves of straight-set reps: a technique that is in the tempo costs once (docs/domain/techniques).</summary>
public class StraightSetsTests
{
    [Theory]
    [InlineData("2-0-1-0", "", 1)]
    [InlineData("5-0-1-0", "slow-eccentric-5", 0.65)]
    [InlineData("5-0-1-0", "", 0.65)] // typed by a coach
    [InlineData("2-0-X-0", "explosive", 1)]
    public void Seconds_cost_once(string tempo, string technique, double share)
    {
        var dose = new Dose
        {
            Sets = 3,
            Target = new SetTarget(8, 12),
            Tempo = Tempo.Parse(tempo),
            RestSeconds = 90,
            Rir = 2,
            Techniques = technique.Length == 0 ? [] : [technique],
        };

        StraightSets.ShareLeft(dose, DomainRules.Shipped).ShouldBe(share, 0.051);
    }
}
