using System.Net;
using System.Net.Sockets;
using Ingegno.Web.Infrastructure;
using Microsoft.Extensions.Options;
using MimeKit;

namespace Ingegno.Web.Tests;

/// <summary>Mail is handed to a server that speaks SMTP (RFC 5321), here one in the machine.</summary>
public class MailCarrierTests
{
    [Fact]
    public async Task A_mail_is_handed_over_whole()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        var received = Receive(listener);
        var options = new IngegnoOptions
        {
            SmtpHost = "127.0.0.1",
            SmtpPort = ((IPEndPoint)listener.LocalEndpoint).Port,
            SmtpPlain = true,
        };
        var message = new MimeMessage
        {
            Subject = "Your week",
            Body = new TextPart("plain") { Text = "Open it.\r\n.\r\nA dot alone ends nothing." },
        };
        message.From.Add(new MailboxAddress("Lena", "coach@boathouse.example"));
        message.To.Add(MailboxAddress.Parse("rower@boathouse.example"));

        await new SmtpMailCarrier(Options.Create(options)).Carry(message, CancellationToken.None);

        var said = await received;
        said.ShouldContain("MAIL FROM:<coach@boathouse.example>");
        said.ShouldContain("RCPT TO:<rower@boathouse.example>");
        said.ShouldContain("Subject: Your week");
        said.ShouldContain("A dot alone ends nothing.");
    }

    /// <summary>Says yes to everything and notes what was said.</summary>
    private static async Task<string> Receive(TcpListener listener)
    {
        using var client = await listener.AcceptTcpClientAsync();
        await using var stream = client.GetStream();
        using var reader = new StreamReader(stream);
        await using var writer = new StreamWriter(stream) { NewLine = "\r\n", AutoFlush = true };
        var said = new System.Text.StringBuilder();
        await writer.WriteLineAsync("220 here");
        var data = false;
        while (await reader.ReadLineAsync() is { } line)
        {
            said.AppendLine(line);
            if (data)
            {
                data = line != ".";
                if (!data)
                {
                    await writer.WriteLineAsync("250 taken");
                }

                continue;
            }

            data = line.StartsWith("DATA", StringComparison.OrdinalIgnoreCase);
            var ends = line.StartsWith("QUIT", StringComparison.OrdinalIgnoreCase);
            await writer.WriteLineAsync(
                data ? "354 go on"
                : ends ? "221 bye"
                : "250 yes"
            );
            if (ends)
            {
                break;
            }
        }

        return said.ToString();
    }
}
