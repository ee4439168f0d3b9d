using System.Net;
using System.Net.Sockets;
using System.Text;
using Dapper;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.TestHost;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.DependencyInjection.Extensions;
using Microsoft.Extensions.Hosting;

namespace Ingegno.Web.Tests;

/// <summary>
/// A relay that misbehaves in every way that RFC 5321 knows, a locked database, a line that breaks: the server stays up, and every mail was
/// either sent or waits with its fault.
/// </summary>
public class MailFaultTests
{
    /// <summary>What a relay answers, command by command; what is not named is answered 250.</summary>
    public static TheoryData<string, string> Relays =>
        new()
        {
            { "no greeting", "CONNECT=" },
            { "not now", "CONNECT=421 busy" },
            { "not at all", "CONNECT=554 no" },
            { "no words", "CONNECT=hello" },
            { "EHLO refused", "EHLO=502 what;HELO=502 what" },
            { "no STARTTLS", "EHLO=250 here" },
            { "STARTTLS and then nothing", "EHLO=250-here\r\n250 STARTTLS;STARTTLS=220 go" },
            { "sign in first", "EHLO=250 here;MAIL=530 authenticate first" },
            { "sender refused", "EHLO=250 here;MAIL=550 no" },
            { "recipient refused", "EHLO=250 here;RCPT=550 unknown" },
            { "recipient later", "EHLO=250 here;RCPT=451 later" },
            { "data refused", "EHLO=250 here;DATA=552 too much" },
            { "message refused", "EHLO=250 here;.=554 spam" },
            { "closed in the middle", "EHLO=250 here;DATA=" },
        };

    [Theory]
    [MemberData(nameof(Relays))]
    public async Task Whatever_a_relay_answers_the_mail_waits_with_its_fault_and_the_server_is_up(string what, string script)
    {
        using var relay = new Relay(script);
        await using var server = With(relay.Port, plain: what != "no STARTTLS" && !what.StartsWith("STARTTLS", StringComparison.Ordinal));
        var (coach, _) = await Written(server, "One");

        await server.Services.GetRequiredService<MailWorker>().CarryDue(CancellationToken.None);

        var mail = (await coach.Read("/api/v1/outbox")).GetProperty("mails")[0];
        mail.TryGetProperty("sentAt", out _).ShouldBeFalse(what);
        mail.GetProperty("tries").GetInt32().ShouldBe(1);
        mail.GetProperty("fault").GetString().ShouldNotBeNullOrWhiteSpace();
        (await coach.Get("/healthz")).StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    [Fact]
    public async Task One_bad_mail_holds_up_no_other_and_waits_longer_each_time()
    {
        using var relay = new Relay("EHLO=250 here;RCPT TO:<bad@boathouse.example>=550 unknown");
        await using var server = With(relay.Port, plain: true);
        var (coach, client) = await Written(server, "Bad", "bad@boathouse.example");
        await Mail(coach, client, "Good", "good@boathouse.example");
        var postman = server.Services.GetRequiredService<MailWorker>();

        await postman.CarryDue(CancellationToken.None);
        await postman.CarryDue(CancellationToken.None);
        (await Tries("Bad")).ShouldBe(1, "it is not due again at once");
        server.Clock.Pass(TimeSpan.FromSeconds(61));
        await postman.CarryDue(CancellationToken.None);
        (await Tries("Bad")).ShouldBe(2);
        server.Clock.Pass(TimeSpan.FromSeconds(61));
        await postman.CarryDue(CancellationToken.None);
        (await Tries("Bad")).ShouldBe(2, "the second pause is twice as long");

        (await Of("Good")).TryGetProperty("sentAt", out _).ShouldBeTrue();
        (await Of("Bad")).TryGetProperty("sentAt", out _).ShouldBeFalse();

        async Task<System.Text.Json.JsonElement> Of(string subject) =>
            (await coach.Read("/api/v1/outbox"))
                .GetProperty("mails")
                .EnumerateArray()
                .Single(m => m.GetProperty("subject").GetString() == subject);
        async Task<int> Tries(string subject) => (await Of(subject)).GetProperty("tries").GetInt32();
    }

    /// <summary>A lock, and a disk that takes nothing more (a trigger stands for it): nothing leaves that could not be noted, and nothing twice.</summary>
    [Theory]
    [InlineData("BEGIN EXCLUSIVE", "ROLLBACK", 0)]
    [InlineData(
        "CREATE TRIGGER full BEFORE UPDATE ON outbox BEGIN SELECT RAISE(ABORT, 'database or disk is full'); END",
        "DROP TRIGGER full",
        0
    )]
    [InlineData(
        "CREATE TRIGGER full BEFORE UPDATE OF sent_at ON outbox BEGIN SELECT RAISE(ABORT, 'database or disk is full'); END",
        "DROP TRIGGER full",
        1
    )]
    public async Task A_database_that_takes_nothing_leaves_the_server_up_and_no_mail_goes_twice(string fault, string mend, int gone)
    {
        using var relay = new Relay("EHLO=250 here");
        await using var server = With(relay.Port, plain: true);
        var (coach, _) = await Written(server, "One");
        var postman = server.Services.GetRequiredService<MailWorker>();
        using (var holder = server.Services.GetRequiredService<Database>().Open())
        {
            await holder.ExecuteAsync(fault);
            await postman.CarryDue(CancellationToken.None);
            (await coach.Get("/healthz")).StatusCode.ShouldBe(HttpStatusCode.OK);
            server.Clock.Pass(TimeSpan.FromHours(7));
            await postman.CarryDue(CancellationToken.None);
            relay.Messages.Count.ShouldBe(gone);
            await holder.ExecuteAsync(mend);
        }

        await postman.CarryDue(CancellationToken.None);
        await postman.CarryDue(CancellationToken.None);
        relay.Messages.ShouldHaveSingleItem();
        (await coach.Read("/api/v1/outbox")).GetProperty("mails")[0].TryGetProperty("sentAt", out _).ShouldBeTrue();
    }

    [Fact]
    public async Task Signs_of_every_tongue_arrive_and_what_stays_holds_no_secret()
    {
        using var relay = new Relay("EHLO=250-here\r\n250 8BITMIME");
        await using var server = With(relay.Port, plain: true);
        var coach = await server.SignedIn();
        var (plan, client, _) = await LoggedPlan.Make(coach);
        var sent = await coach.Make($"/api/v1/plans/{plan}/releases", new { version = 1, word = "3×8 – größer, słaby, 力" });
        var secret = Phone.SecretOf(sent.GetProperty("link"));
        await Mail(coach, client, "Deine Woche: 3×8", "rower@boathouse.example", sent.GetProperty("message").GetString());

        await server.Services.GetRequiredService<MailWorker>().CarryDue(CancellationToken.None);

        using var received = new MemoryStream(Encoding.Latin1.GetBytes(relay.Messages.ShouldHaveSingleItem()));
        var message = await MimeKit.MimeMessage.LoadAsync(received);
        message.Subject.ShouldBe("Deine Woche: 3×8");
        var text = message.TextBody.ShouldNotBeNull();
        text.ShouldContain("3×8 – größer, słaby, 力");
        text.ShouldContain(secret);
        var left = (await coach.Read("/api/v1/outbox")).GetProperty("mails")[0];
        left.GetProperty("text").GetString()!.ShouldContain("größer");
        left.GetProperty("text").GetString()!.ShouldNotContain(secret);
        using var connection = server.Services.GetRequiredService<Database>().Open();
        var stored = Encoding.Latin1.GetString(
            await connection.ExecuteScalarAsync<byte[]>("SELECT CAST(message AS BLOB) FROM outbox") ?? []
        );
        stored.ShouldNotContain(secret);
    }

    private static TestServer With(int port, bool plain) =>
        new()
        {
            Settings = host =>
            {
                host.UseSetting("SmtpHost", "127.0.0.1");
                host.UseSetting("SmtpPort", port.ToString(System.Globalization.CultureInfo.InvariantCulture));
                host.UseSetting("SmtpPlain", plain.ToString());
                host.ConfigureTestServices(services => services.RemoveAll<IHostedService>()); // The test carries the mail itself.
            },
        };

    private static async Task<(Browser Coach, long Client)> Written(
        TestServer server,
        string subject,
        string address = "rower@boathouse.example"
    )
    {
        var coach = await server.SignedIn();
        var (_, client, _) = await LoggedPlan.Make(coach);
        await Mail(coach, client, subject, address);
        return (coach, client);
    }

    private static Task<System.Text.Json.JsonElement> Mail(
        Browser coach,
        long client,
        string subject,
        string address,
        string? text = null
    ) =>
        coach.Make(
            $"/api/v1/clients/{client}/mail",
            new
            {
                address,
                subject,
                text = text ?? "Your week is here.",
                calendar = false,
            }
        );

    /// <summary>A relay that answers by a script, for as many mails as come.</summary>
    private sealed class Relay : IDisposable
    {
        private readonly TcpListener _listener = new(IPAddress.Loopback, 0);
        private readonly (string Command, string Answer)[] _script;

        public Relay(string script)
        {
            _script =
            [
                .. script
                    .Split(';')
                    .Select(s => (s[..s.LastIndexOf('=')], s[(s.LastIndexOf('=') + 1)..]))
                    .OrderByDescending(s => s.Item1.Length),
            ];
            _listener.Start();
            _ = Task.Run(Listen);
        }

        public int Port => ((IPEndPoint)_listener.LocalEndpoint).Port;

        public List<string> Messages { get; } = [];

        private async Task Listen()
        {
            try
            {
                while (true)
                {
                    var client = await _listener.AcceptTcpClientAsync();
                    _ = Task.Run(() => Serve(client));
                }
            }
            catch (Exception e) when (e is SocketException or ObjectDisposedException) { }
        }

        private async Task Serve(TcpClient client)
        {
            using var _ = client;
            await using var stream = client.GetStream();
            using var reader = new StreamReader(stream, Encoding.Latin1);
            await using var writer = new StreamWriter(stream, Encoding.Latin1) { NewLine = "\r\n", AutoFlush = true };
            try
            {
                if (!await Answered(writer, "CONNECT", "220 here"))
                {
                    return;
                }

                var (data, message) = (false, new StringBuilder());
                while (await reader.ReadLineAsync() is { } line)
                {
                    if (data && line != ".")
                    {
                        message.AppendLine(line);
                        continue;
                    }

                    if (data)
                    {
                        Messages.Add(message.ToString());
                    }

                    data = line.StartsWith("DATA", StringComparison.OrdinalIgnoreCase);
                    if (!await Answered(writer, line, data ? "354 go on" : "250 yes"))
                    {
                        return;
                    }
                }
            }
            catch (IOException) { }
        }

        private async Task<bool> Answered(StreamWriter writer, string command, string usual)
        {
            var answer = _script.FirstOrDefault(s => command.StartsWith(s.Command, StringComparison.OrdinalIgnoreCase))
                is { Command: not null } said
                ? said.Answer
                : usual;
            if (answer.Length == 0)
            {
                return false;
            }

            await writer.WriteLineAsync(answer);
            return true;
        }

        public void Dispose() => _listener.Stop();
    }
}
