using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Progress.ClientApp;
using Ingegno.Language;

namespace Ingegno.Core.Tests.Progress.ClientApp;

/// <summary>Tempo as it is counted on the floor (common practice): the order of the movement, not of the writing.</summary>
public class RepCountingTests
{
    [Theory]
    [InlineData(MovementPattern.Squat, "3-2-1-0", "down 3, hold 2, up")]
    [InlineData(MovementPattern.HorizontalPull, "3-1-X-2", "pull fast, hold 2, let go 3, hold")]
    [InlineData(MovementPattern.LateralRaise, "2-0-1-0", "lift, lower 2")]
    [InlineData(MovementPattern.HorizontalPush, "5-0-X-0", "down 5, push fast")]
    [InlineData(MovementPattern.Carry, "2-0-2-0", "down 2, up 2")]
    public void Phases_follow_the_movement(MovementPattern pattern, string tempo, string said)
    {
        var phases = RepCounting.Phases(Tempo.Parse(tempo), DomainRules.Shipped.Session.CountOf(pattern));

        Phrasebook.English.Say(RepCounting.InWords(phases)).ShouldBe(said);
    }

    [Fact]
    public void Phases_last_as_long_as_the_rep()
    {
        foreach (var text in new[] { "2-0-1-0", "4-1-X-2", "0-0-1-0", "6-0-6-0" })
        {
            var tempo = Tempo.Parse(text);

            RepCounting
                .Phases(tempo, DomainRules.Shipped.Session.CountOf(MovementPattern.Squat))
                .Sum(p => p.Seconds)
                .ShouldBe(tempo.SecondsPerRep);
        }
    }

    [Fact]
    public void No_pattern_is_counted_in_two_ways() => DomainRules.Shipped.Session.Counts.SelectMany(c => c.Patterns).ShouldBeUnique();
}
