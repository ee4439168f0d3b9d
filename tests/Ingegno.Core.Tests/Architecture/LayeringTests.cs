using System.Reflection.Metadata;
using System.Reflection.PortableExecutable;
using System.Xml.Linq;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Tests.Architecture;

/// <summary>Dependencies point inward, and the core is pure: no I/O, no clock, no randomness of its own.</summary>
public class LayeringTests
{
    [Fact]
    public void The_core_refers_to_the_base_library_alone()
    {
        var foreign = typeof(DomainRules)
            .Assembly.GetReferencedAssemblies()
            .Select(a => a.Name!)
            .Where(n => !n.StartsWith("System.", StringComparison.Ordinal));

        foreign.ShouldBeEmpty();
        ReferencesOf("src/Ingegno.Core/Ingegno.Core.csproj").ShouldBeEmpty();
    }

    [Theory]
    [InlineData("System.IO.File")]
    [InlineData("System.IO.Directory")]
    [InlineData("System.Console")]
    [InlineData("System.DateTime")]
    [InlineData("System.DateTimeOffset")]
    [InlineData("System.TimeProvider")]
    [InlineData("System.Diagnostics.Stopwatch")]
    [InlineData("System.Random")]
    [InlineData("System.Guid")]
    [InlineData("System.Net.Http.HttpClient")]
    public void The_core_does_not_touch_the_world(string type) => TypesUsedByTheCore().ShouldNotContain(type);

    [Fact]
    public void Storage_knows_only_the_core() => ProjectsOf("src/Ingegno.Storage/Ingegno.Storage.csproj").ShouldBe(["Ingegno.Core"]);

    [Fact]
    public void Exchange_knows_only_the_core() => ProjectsOf("src/Ingegno.Exchange/Ingegno.Exchange.csproj").ShouldBe(["Ingegno.Core"]);

    [Fact]
    public void Language_knows_only_the_core() => ProjectsOf("src/Ingegno.Language/Ingegno.Language.csproj").ShouldBe(["Ingegno.Core"]);

    [Fact]
    public void The_web_knows_the_others() =>
        ProjectsOf("src/Ingegno.Web/Ingegno.Web.csproj")
            .ShouldBe(["Ingegno.Core", "Ingegno.Exchange", "Ingegno.Language", "Ingegno.Simulation", "Ingegno.Storage"]);

    [Theory]
    [InlineData("Dapper")]
    [InlineData("Sqlite")]
    [InlineData("AspNetCore")]
    [InlineData("OpenXml")]
    [InlineData("Fluid")]
    public void Only_storage_speaks_SQL_only_the_web_HTTP_only_exchange_spreadsheets_and_only_language_words(string package)
    {
        var where = new[] { "Core", "Exchange", "Language", "Storage", "Web" }.Where(p =>
            ReferencesOf($"src/Ingegno.{p}/Ingegno.{p}.csproj").Any(r => r.Contains(package, StringComparison.OrdinalIgnoreCase))
        );

        where.ShouldBe([
            package switch
            {
                "AspNetCore" => "Web",
                "OpenXml" => "Exchange",
                "Fluid" => "Language",
                _ => "Storage",
            },
        ]);
    }

    private static IEnumerable<string> ReferencesOf(string project) => Elements(project, "PackageReference");

    private static IEnumerable<string> ProjectsOf(string project) =>
        Elements(project, "ProjectReference").Select(p => Path.GetFileNameWithoutExtension(p)).Order();

    private static IEnumerable<string> Elements(string project, string name) =>
        XDocument.Load(RepositoryFolder.Path(project)).Descendants(name).Select(e => e.Attribute("Include")!.Value);

    private static HashSet<string> TypesUsedByTheCore()
    {
        using var file = new PEReader(File.OpenRead(typeof(DomainRules).Assembly.Location));
        var metadata = file.GetMetadataReader();
        return
        [
            .. metadata
                .TypeReferences.Select(metadata.GetTypeReference)
                .Select(t => $"{metadata.GetString(t.Namespace)}.{metadata.GetString(t.Name)}"),
        ];
    }
}
