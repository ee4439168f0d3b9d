using System.Net.Http.Json;
using System.Text;
using System.Text.Json;
using OtpNet;

namespace Ingegno.Web.Tests;

public class SecondFactorTests
{
    /// <summary>The package that makes and reads the codes, on the standard's own values.</summary>
    [Theory]
    [Trait("source", "RFC 6238, Appendix B (SHA-1, eight figures)")]
    [InlineData(59, "94287082")]
    [InlineData(1111111109, "07081804")]
    [InlineData(1234567890, "89005924")]
    [InlineData(20000000000, "65353130")]
    public void The_codes_are_those_of_the_standard(long seconds, string code) =>
        new Totp(Encoding.ASCII.GetBytes("12345678901234567890"), totpSize: 8)
            .ComputeTotp(DateTimeOffset.FromUnixTimeSeconds(seconds).UtcDateTime)
            .ShouldBe(code);

    [Fact]
    public async Task Sign_in_asks_for_a_code_that_opens_once_and_a_recovery_code_stands_in()
    {
        await using var server = new TestServer();
        var browser = await server.SignedIn();
        var secret = (await browser.Make("/api/v1/second-factor", new { password = TestServer.Password }))
            .GetProperty("secret")
            .GetString()!
            .Replace(" ", "", StringComparison.Ordinal);
        string Code() => new Totp(Base32Encoding.ToBytes(secret)).ComputeTotp(server.Clock.GetUtcNow().UtcDateTime);

        (await server.SignedIn()).ShouldNotBeNull("what is not confirmed is not asked for");
        await browser.Post("/api/v1/second-factor/confirm", new { code = "000000" }).Problem(400, "validation");
        var codes = (await browser.Make("/api/v1/second-factor/confirm", new { code = Code() }))
            .GetProperty("codes")
            .EnumerateArray()
            .Select(c => c.GetString()!)
            .ToList();
        codes.Count.ShouldBe(10);
        await browser.Post("/api/v1/second-factor", new { password = TestServer.Password }).Problem(409, "second-factor-on");

        var fresh = await server.Fresh();
        Task<HttpResponseMessage> Enter(string? code) =>
            fresh.Post(
                "/api/v1/session",
                new
                {
                    email = TestServer.Email,
                    password = TestServer.Password,
                    code,
                }
            );
        await Enter(null).Problem(401, "code-needed");
        await Enter(Code()).Problem(401, "wrong-code"); // It was used to confirm.
        server.Clock.Pass(TimeSpan.FromSeconds(30));
        (await Enter(Code())).EnsureSuccessStatusCode();
        fresh = await server.Fresh();
        await Enter(Code()).Problem(401, "wrong-code");
        (await Enter(codes[0].ToUpperInvariant())).EnsureSuccessStatusCode();
        fresh = await server.Fresh();
        await Enter(codes[0]).Problem(401, "wrong-code");
        (await browser.Read("/api/v1/second-factor")).GetProperty("codesLeft").GetInt32().ShouldBe(9);

        await browser.Post("/api/v1/second-factor/off", new { password = "guess" }).Problem(400, "validation");
        (await browser.Post("/api/v1/second-factor/off", new { password = TestServer.Password })).EnsureSuccessStatusCode();
        (await server.SignedIn()).ShouldNotBeNull();
    }

    [Fact]
    public async Task The_secret_stands_nowhere_in_the_clear()
    {
        await using var server = new TestServer();
        var browser = await server.SignedIn();
        var secret = (await browser.Make("/api/v1/second-factor", new { password = TestServer.Password }))
            .GetProperty("secret")
            .GetString()!
            .Replace(" ", "", StringComparison.Ordinal);

        foreach (var path in Directory.EnumerateFiles(server.Folder, "ingegno.db*"))
        {
            await using var stream = new FileStream(path, FileMode.Open, FileAccess.Read, FileShare.ReadWrite);
            using var reader = new StreamReader(stream, Encoding.Latin1);
            (await reader.ReadToEndAsync()).ShouldNotContain(secret, Case.Insensitive, path);
        }
    }

    [Fact]
    public async Task It_is_begun_with_the_password_alone()
    {
        await using var server = new TestServer();
        var browser = await server.SignedIn();
        await browser.Post("/api/v1/second-factor", new { password = "guess" }).Problem(400, "validation");
        (await browser.Read("/api/v1/second-factor")).GetProperty("on").GetBoolean().ShouldBeFalse();
    }
}
