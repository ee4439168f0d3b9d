using System.Text.RegularExpressions;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Web.Infrastructure;
using Microsoft.Extensions.Logging.Abstractions;

namespace Ingegno.Web.Tests;

/// <summary>A machine so busy that the first match lasts too long still gets its server.</summary>
public class WarmUpTests
{
    [Fact]
    public void What_lasts_too_long_to_begin_with_is_left()
    {
        using var warm = new WarmUp(
            new KitShorthand(DomainRules.Shipped.KitKinds, DomainRules.Shipped.ReadyItems),
            NullLogger<WarmUp>.Instance
        );
        var runs = 0;

        Should.NotThrow(() => warm.Warm(() => throw new RegexMatchTimeoutException("text", "pattern", TimeSpan.FromMilliseconds(600))));
        warm.Warm(() => runs++);

        runs.ShouldBe(1);
    }
}
