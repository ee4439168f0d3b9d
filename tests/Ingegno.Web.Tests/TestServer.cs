using System.IO.Compression;
using System.Net.Http.Json;
using System.Text.Json;
using Ingegno.Core.Foundation.Text;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.AspNetCore.TestHost;
using Microsoft.Extensions.DependencyInjection;

namespace Ingegno.Web.Tests;

/// <summary>The whole application on a real SQLite file of its own, asked over HTTP.</summary>
public sealed class TestServer : WebApplicationFactory<IngegnoOptions>
{
    public const string Email = "coach@boathouse.example";
    public const string Password = "slipway-lantern-42";

    /// <summary>The demo club, trained once for all tests: every server begins with a copy of it.</summary>
    private static readonly Lazy<string> Club = new(() =>
    {
        using var first = new TestServer(demo: true) { _begins = true };
        var copy = Path.Combine(Directory.CreateTempSubdirectory("ingegno-club-").FullName, "ingegno.db");
        using var connection = first.Services.GetRequiredService<Ingegno.Storage.Database>().Open();
        using var vacuum = connection.CreateCommand();
        vacuum.CommandText = "VACUUM INTO $copy";
        vacuum.Parameters.AddWithValue("$copy", copy);
        vacuum.ExecuteNonQuery();
        return copy;
    });

    private bool _begins;
    private string? _landing;
    private readonly DirectoryInfo _folder = Directory.CreateTempSubdirectory("ingegno-web-");
    private readonly bool _demo;

    public TestServer()
        : this(demo: true) { }

    private TestServer(bool demo) => _demo = demo;

    public static JsonSerializerOptions Json { get; } = RulesJson.Lenient;

    /// <summary>A server without demo data: nobody can sign in yet.</summary>
    public static TestServer Empty() => new(demo: false);

    /// <summary>A server on the database that an earlier landing left.</summary>
    /// <param name="landing">The packed database.</param>
    public static TestServer From(string landing) => new(demo: true) { _landing = landing };

    /// <summary>The folder of its database, keys and backups.</summary>
    public string Folder => _folder.FullName;

    /// <summary>Time from which every answer of the clock is counted on, to let days pass.</summary>
    public TestClock Clock { get; } = new();

    /// <summary>What this server is set to beside the usual.</summary>
    public Action<IWebHostBuilder>? Settings { get; init; }

    /// <summary>A browser that is signed in as the demo coach.</summary>
    public async Task<Browser> SignedIn()
    {
        var browser = await Fresh();
        (await browser.Post("/api/v1/session", new { email = Email, password = Password })).EnsureSuccessStatusCode();
        await browser.RenewToken();
        return browser;
    }

    /// <summary>A browser that only opened the page.</summary>
    public async Task<Browser> Fresh()
    {
        var browser = new Browser(CreateClient(new WebApplicationFactoryClientOptions { AllowAutoRedirect = false }));
        await browser.RenewToken();
        return browser;
    }

    protected override void ConfigureWebHost(IWebHostBuilder builder)
    {
        if (_landing is not null)
        {
            using var packed = new GZipStream(File.OpenRead(_landing), CompressionMode.Decompress);
            using var database = File.Create(Path.Combine(_folder.FullName, "ingegno.db"));
            packed.CopyTo(database);
        }
        else if (_demo && !_begins)
        {
            File.Copy(Club.Value, Path.Combine(_folder.FullName, "ingegno.db"));
        }

        builder.UseSetting("Data", _folder.FullName);
        builder.ConfigureTestServices(services => services.AddSingleton<TimeProvider>(Clock));
        builder.UseSetting("Demo", _demo.ToString());
        Settings?.Invoke(builder);
    }

    protected override void Dispose(bool disposing)
    {
        base.Dispose(disposing);
        if (disposing && _folder.Exists)
        {
            Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
            _folder.Delete(recursive: true);
        }
    }
}

/// <summary>Cookies and page token of one browser.</summary>
public sealed class Browser(HttpClient http)
{
    public HttpClient Http => http;

    public async Task RenewToken()
    {
        var state = await http.GetFromJsonAsync<JsonElement>("/api/v1/session");
        http.DefaultRequestHeaders.Remove("X-Ingegno-Token");
        http.DefaultRequestHeaders.Add("X-Ingegno-Token", state.GetProperty("token").GetString());
    }

    public Task<HttpResponseMessage> Get(string path) => http.GetAsync(new Uri(path, UriKind.Relative));

    public Task<HttpResponseMessage> Post(string path, object body) => http.PostAsJsonAsync(path, body, TestServer.Json);

    public Task<HttpResponseMessage> Put(string path, object body) => http.PutAsJsonAsync(path, body, TestServer.Json);

    public Task<HttpResponseMessage> Delete(string path) => http.DeleteAsync(new Uri(path, UriKind.Relative));

    public async Task<JsonElement> Read(string path) => await http.GetFromJsonAsync<JsonElement>(path);

    /// <summary>Posts and reads what was made.</summary>
    public async Task<JsonElement> Make(string path, object body)
    {
        var answer = await Post(path, body);
        answer.IsSuccessStatusCode.ShouldBeTrue(await answer.Content.ReadAsStringAsync());
        return await answer.Content.ReadFromJsonAsync<JsonElement>();
    }
}

internal static class Answers
{
    /// <summary>The problem of an answer, checked for the form that every problem has.</summary>
    public static async Task<JsonElement> Problem(this Task<HttpResponseMessage> call, int status, string code)
    {
        var answer = await call;
        var text = await answer.Content.ReadAsStringAsync();
        ((int)answer.StatusCode).ShouldBe(status, text);
        answer.Content.Headers.ContentType!.MediaType.ShouldBe("application/problem+json");
        var problem = JsonDocument.Parse(text).RootElement;
        problem.GetProperty("code").GetString().ShouldBe(code);
        problem.GetProperty("title").GetString().ShouldNotBeNullOrWhiteSpace();
        problem.GetProperty("detail").GetString().ShouldNotBeNullOrWhiteSpace();
        return problem;
    }
}
