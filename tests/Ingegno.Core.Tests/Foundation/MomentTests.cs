using System.Text.Json;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Text;

namespace Ingegno.Core.Tests.Foundation;

/// <summary>Moments are compared with those of the base library, which reads RFC 3339.</summary>
public class MomentTests
{
    [Theory]
    [InlineData("2026-11-26T18:04:00+01:00")]
    [InlineData("2026-11-26T23:59:59.5-09:30")]
    [InlineData("2026-02-28T00:00:00Z")]
    [InlineData("2026-11-26T18:04+14:00")]
    public void A_moment_is_read_as_the_base_library_reads_it(string text)
    {
        Moment.TryParse(text, out var moment).ShouldBeTrue();
        Moment.TryParse("2026-01-01T00:00:00Z", out var start).ShouldBeTrue();
        var same = DateTimeOffset.Parse(text);

        moment.Since(start).ShouldBe(same - new DateTimeOffset(2026, 1, 1, 0, 0, 0, TimeSpan.Zero));
        DateTimeOffset.Parse(moment.ToString()).ShouldBe(same);
        moment.Plus(TimeSpan.FromHours(30)).Since(moment).ShouldBe(TimeSpan.FromHours(30));
        moment.Plus(TimeSpan.FromHours(30)).Day.ShouldBe(DateOnly.FromDateTime((same + TimeSpan.FromHours(30)).DateTime));
    }

    [Theory]
    [InlineData(null)]
    [InlineData("")]
    [InlineData("2026-11-26")]
    [InlineData("2026-11-26T18:04:00")]
    [InlineData("2026-11-31T18:04:00Z")]
    [InlineData("2026-11-26T25:04:00Z")]
    [InlineData("2026-11-26T18:04:00+15:00")]
    [InlineData("2026-11-26T18:04:00+1:00")]
    [InlineData("２０２６-11-26T18:04:00Z")]
    [InlineData("2026-11-26 18:04:00Z")]
    public void What_is_no_moment_is_refused(string? text)
    {
        Moment.TryParse(text, out _).ShouldBeFalse();
        Should.Throw<JsonException>(() => JsonSerializer.Deserialize<Moment>(JsonSerializer.Serialize(text), RulesJson.Lenient));
    }

    [Fact]
    public void A_moment_at_the_end_of_days_stays_within_them()
    {
        Moment.TryParse("9999-12-31T23:00:00Z", out var last);
        last.Plus(TimeSpan.FromDays(400)).Day.ShouldBe(DateOnly.MaxValue);
        Moment.TryParse("0001-01-01T01:00:00Z", out var first);
        first.Plus(TimeSpan.FromDays(-400)).Day.ShouldBe(DateOnly.MinValue);
    }
}
