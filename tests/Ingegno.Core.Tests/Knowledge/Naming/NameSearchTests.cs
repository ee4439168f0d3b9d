using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Tests.Knowledge.Naming;

/// <summary>A name that is typed where an exercise is picked.</summary>
public class NameSearchTests
{
    [Fact]
    public void Every_exact_name_is_first_and_says_that_it_is_exact()
    {
        foreach (var exercise in DomainRules.Shipped.Catalogue.All)
        {
            var first = NameSearch.Find(DomainRules.Shipped.Catalogue.All, exercise.Name, 12)[0];
            first.ExerciseId.ShouldBe(exercise.Id);
            first.Exact.ShouldBeTrue(exercise.Name);
            first.Synonym.ShouldBeEmpty();
        }
    }

    [Theory]
    [InlineData("back squat", "back-squat", true)]
    [InlineData("BACK  squat", "back-squat", true)]
    [InlineData("back squ", "back-squat", false)]
    [InlineData("squat", null, false)]
    public void Nothing_but_a_whole_name_is_exact(string wanted, string? first, bool exact)
    {
        var found = NameSearch.Find(DomainRules.Shipped.Catalogue.All, wanted, 12);
        if (first is not null)
        {
            found[0].ExerciseId.ShouldBe(first);
        }

        found[0].Exact.ShouldBe(exact);
    }

    [Fact]
    public void A_prefix_comes_before_a_word_before_a_part_and_a_synonym_is_shown()
    {
        var all = DomainRules.Shipped.Catalogue.All;
        var found = NameSearch.Find(all, "row", 100);
        int Rank(FoundName f)
        {
            var name = (f.Synonym.Length > 0 ? f.Synonym : f.Name).ToLowerInvariant();
            return name.StartsWith("row", StringComparison.Ordinal) ? 1
                : name.Split(' ', '-').Any(w => w.StartsWith("row", StringComparison.Ordinal)) ? 2
                : 3;
        }

        found.Select(Rank).ShouldBeInOrder();
        var byOther = all.First(e => e.Synonyms.Length > 0 && !e.Name.Contains(e.Synonyms[0], StringComparison.OrdinalIgnoreCase));
        NameSearch
            .Find(all, byOther.Synonyms[0], 12)
            .ShouldContain(f => f.ExerciseId == byOther.Id && (f.Synonym == byOther.Synonyms[0] || f.Name == byOther.Synonyms[0]));
    }

    [Fact]
    public void What_nobody_calls_anything_finds_nothing() =>
        NameSearch.Find(DomainRules.Shipped.Catalogue.All, "x al fallo", 12).ShouldBeEmpty();
}
