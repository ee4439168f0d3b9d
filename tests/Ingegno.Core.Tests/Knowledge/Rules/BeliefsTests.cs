using System.Text;
using System.Text.Json;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Tests.Knowledge.Rules;

/// <summary>What Ingegno believes is made from the data, each figure with what it means and where it comes from.</summary>
public class BeliefsTests
{
    [Fact]
    public void Every_figure_says_what_it_means_and_where_it_comes_from()
    {
        var bare = Beliefs
            .Shipped.SelectMany(t => t.Beliefs.Select(b => (t.Topic, Belief: b)))
            .Where(b => b.Belief.Says.Length < 10 || b.Belief.Source.Length < 4)
            .Select(b => $"{b.Topic}: {string.Join(", ", b.Belief.Figures.Select(f => f.Name))}: \"{b.Belief.Says}\" ({b.Belief.Source})");
        bare.ShouldBeEmpty();
    }

    [Theory]
    [InlineData("rules/dose.json", "dose")]
    [InlineData("rules/progression.json", "progression")]
    [InlineData("rules/matching.json", "matching")]
    [InlineData("rules/session.json", "session")]
    public void No_figure_of_a_file_is_left_out(string file, string topic)
    {
        using var stream = typeof(Beliefs).Assembly.GetManifestResourceStream(file)!;
        using var document = JsonDocument.Parse(
            stream,
            new JsonDocumentOptions { CommentHandling = JsonCommentHandling.Skip, AllowTrailingCommas = true }
        );
        var figures = Beliefs.Shipped.Single(t => t.Topic == topic).Beliefs.Sum(b => b.Figures.Length);
        figures.ShouldBe(document.RootElement.EnumerateObject().Count());
    }

    [Fact]
    public void A_page_shows_what_is_reckoned_with()
    {
        var unsaid = Beliefs.Shipped.Single(t => t.Topic == "dose").Beliefs[0];
        unsaid.Figures[0].Name.ShouldBe("unsaid");
        unsaid.Figures[0].Values.ShouldContain($"rir {DomainRules.Shipped.Dose.Unsaid.Rir}");
        unsaid.Source.ShouldContain("common practice");
        unsaid.Says.ShouldNotContain("docs/");
    }

    [Fact]
    public void Notes_belong_to_the_figures_below_them()
    {
        var read = Beliefs.Read(
            Encoding.UTF8.GetBytes(
                """
                {
                  // A first note about .5
                  // in two lines (common practice).
                  "oneThing": 0.5,
                  "two-things": [{ "a": 1, /* within */ "b": true }, { "a": 2 }],
                  // Another. Own estimate.
                  "third": { "x": null }
                }
                """
            )
        );

        read.Select(b => (b.Says, b.Source, string.Join(" / ", b.Figures.Select(f => $"{f.Name}: {string.Join(" | ", f.Values)}"))))
            .ShouldBe([
                ("A first note about .5 in two lines.", "common practice", "one thing: 0.5 / two things: a 1, b yes | a 2"),
                ("Another. Own estimate.", "Own estimate.", "third: x none"),
            ]);
    }

    [Fact]
    public void Of_many_values_the_number_is_told()
    {
        var read = Beliefs.Read(
            Encoding.UTF8.GetBytes($"{{ \"many\": [{string.Join(',', Enumerable.Range(1, 30).Select(i => $"[{i}]"))}] }}")
        );
        (read[0].Figures[0].Values.Length, read[0].Figures[0].More).ShouldBe((12, 18));
    }
}
