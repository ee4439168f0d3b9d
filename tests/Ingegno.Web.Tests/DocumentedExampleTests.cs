using System.Net.Http.Json;
using System.Text.Json;

namespace Ingegno.Web.Tests;

/// <summary>The example of docs/rebuild-api.md is run as it stands there.</summary>
public sealed class DocumentedExampleTests(TestServer server) : IClassFixture<TestServer>
{
    [Fact]
    public async Task The_documented_request_gives_what_the_document_says()
    {
        var text = await File.ReadAllTextAsync(Repository.File("docs", "rebuild-api.md"));
        var (request, answer) = (Block(text, "request"), Block(text, "answer"));
        var browser = await server.SignedIn();
        using var content = new StringContent(request, System.Text.Encoding.UTF8, "application/json");

        var result = await (
            await browser.Http.PostAsync(new Uri("/api/v1/rebuild", UriKind.Relative), content)
        ).Content.ReadFromJsonAsync<JsonElement>();

        Contains(result, JsonDocument.Parse(answer).RootElement, "$");
    }

    /// <summary>The fenced block that follows the marker comment.</summary>
    private static string Block(string text, string name)
    {
        var start = text.IndexOf("```json", text.IndexOf($"<!-- {name} -->", StringComparison.Ordinal), StringComparison.Ordinal) + 7;
        return text[start..text.IndexOf("```", start, StringComparison.Ordinal)];
    }

    /// <summary>Everything that the document shows must be in the answer; the answer may hold more.</summary>
    private static void Contains(JsonElement actual, JsonElement shown, string path)
    {
        switch (shown.ValueKind)
        {
            case JsonValueKind.Object:
                foreach (var member in shown.EnumerateObject())
                {
                    actual.TryGetProperty(member.Name, out var value).ShouldBeTrue($"{path}.{member.Name} is missing");
                    Contains(value, member.Value, $"{path}.{member.Name}");
                }

                break;
            case JsonValueKind.Array:
                for (var i = 0; i < shown.GetArrayLength(); i++)
                {
                    Contains(actual[i], shown[i], $"{path}[{i}]");
                }

                break;
            default:
                actual.ToString().ShouldBe(shown.ToString(), path);
                break;
        }
    }
}

internal static class Repository
{
    public static string File(params string[] parts)
    {
        var folder = new DirectoryInfo(AppContext.BaseDirectory);
        while (folder is not null && !System.IO.File.Exists(Path.Combine(folder.FullName, "Ingegno.slnx")))
        {
            folder = folder.Parent;
        }

        return Path.Combine([folder!.FullName, .. parts]);
    }
}
