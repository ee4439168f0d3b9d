using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Tests.Knowledge.Exercises;

public class CatalogueSheetTests
{
    /// <summary>Renew it with INGEGNO_WRITE=1 in the environment of this test.</summary>
    [Fact]
    public async Task The_review_sheet_in_docs_is_what_the_data_says()
    {
        var file = RepositoryFolder.Path("docs", "catalogue.md");
        var sheet = CatalogueSheet.Write(DomainRules.Shipped.Catalogue);
        if (Environment.GetEnvironmentVariable("INGEGNO_WRITE") == "1")
        {
            await File.WriteAllTextAsync(file, sheet);
        }

        (await File.ReadAllTextAsync(file)).ShouldBe(sheet, "docs/catalogue.md is stale");
    }
}
