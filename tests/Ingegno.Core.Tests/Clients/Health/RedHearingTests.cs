using System.Text.Json;
using Ingegno.Core.Clients.Health;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Tests.Clients.Health;

/// <summary>Signs of danger in what clients write: all that are told are heard, and none is invented.</summary>
public sealed class RedHearingTests
{
    private static readonly RedHearing Hearing = new(DomainRules.Shipped.Red);

    public static TheoryData<string, string> Phrases()
    {
        var data = new TheoryData<string, string>();
        foreach (var line in Lines())
        {
            data.Add(line[..line.IndexOf('|')].Trim(), line[(line.IndexOf('|') + 1)..].Trim());
        }

        return data;
    }

    [Theory]
    [MemberData(nameof(Phrases))]
    public void A_phrase_is_heard_as_it_is_meant(string meant, string said)
    {
        var heard = string.Join(", ", Hearing.Hear(said).Select(Named).Order(StringComparer.Ordinal));
        var wanted =
            meant == "-" ? string.Empty : string.Join(", ", meant.Split(',', StringSplitOptions.TrimEntries).Order(StringComparer.Ordinal));
        Assert.Equal(wanted, heard);
    }

    [Fact]
    public void There_are_two_hundred_phrases_and_every_sign_is_among_them()
    {
        Assert.True(Lines().Count() >= 200);
        var all = string.Join('\n', Lines());
        Assert.All(DomainRules.Shipped.Red.Signs, sign => Assert.Contains(sign.Id, all, StringComparison.Ordinal));
    }

    [Fact]
    public void The_gravest_comes_first_with_the_words_that_told_of_it()
    {
        var heard = Hearing.Hear("Knee swollen since Monday. Chest felt tight on set 3!");
        Assert.Equal(["chest", "swollen"], heard.Select(h => h.Sign.Id));
        Assert.Equal("Chest felt tight", heard[0].Words);
    }

    [Theory]
    [InlineData("\n")]
    [InlineData("\r\n")]
    public void A_line_ends_what_is_denied(string end) =>
        Assert.Equal("chest", Assert.Single(Hearing.Hear($"energy no{end}chest pain{end}rows 10 10")).Sign.Id);

    private static string Named(HeardSign heard) =>
        heard.Where is { } joint ? $"{heard.Sign.Id}/{JsonNamingPolicy.KebabCaseLower.ConvertName(joint.ToString())}" : heard.Sign.Id;

    private static IEnumerable<string> Lines() =>
        File.ReadLines(RepositoryFolder.Path("tests", "Ingegno.Core.Tests", "Clients", "Health", "red-phrases.txt"))
            .Where(l => l.Length > 0 && l[0] != '#');
}
