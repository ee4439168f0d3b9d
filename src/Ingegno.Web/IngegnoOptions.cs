using System.Net;
using Ingegno.Storage;

namespace Ingegno.Web;

/// <summary>Settings of the application, from the command line (<c>--data DIR --demo</c>) or the environment.</summary>
public sealed class IngegnoOptions
{
    /// <summary>Folder of the database and of the keys that protect cookies.</summary>
    public string Data { get; set; } = "ingegno-data";

    /// <summary>Fill an empty database with the demo club.</summary>
    public bool Demo { get; set; }

    /// <summary>Days without use after which a session is over.</summary>
    public int SessionIdleDays { get; set; } = 14;

    /// <summary>Days after which a session is over however much it is used.</summary>
    public int SessionLongestDays { get; set; } = 60;

    /// <summary>Folder of the backups; empty for <c>backups</c> below <see cref="Data"/>. Another disk is safer.</summary>
    public string Backups { get; set; } = string.Empty;

    /// <summary>Make a backup every night.</summary>
    public bool NightlyBackups { get; set; } = true;

    /// <summary>Addresses of reverse proxies whose word on the caller's address and on HTTPS counts, parted by commas.</summary>
    public string TrustedProxies { get; set; } = string.Empty;

    /// <summary>PKCS #12 file of a certificate that locks the keys on the disk; null to leave that to the rights of the folder.</summary>
    public string? KeyCertificate { get; set; }

    /// <summary>Password of <see cref="KeyCertificate"/>.</summary>
    public string? KeyCertificatePassword { get; set; }

    /// <summary>Megabytes that must be left on the disk for the server to call itself ready.</summary>
    public int LeastFreeMegabytes { get; set; } = 200;

    /// <summary>Seconds after which the computing for one request is given up; what coaches ask for takes a fraction of one.</summary>
    public double LongestSeconds { get; set; } = 20;

    /// <summary>Where metrics and traces go by OpenTelemetry (OTLP); null to send none.</summary>
    public Uri? OtlpEndpoint { get; set; }

    /// <summary>SMTP server that mail to clients is handed to; null to keep it in the outbox, where it can be read.</summary>
    public string? SmtpHost { get; set; }

    /// <summary>Its port: 587 with STARTTLS, 465 with TLS from the first byte.</summary>
    public int SmtpPort { get; set; } = 587;

    /// <summary>Hand mail over without TLS, for a relay on this machine.</summary>
    public bool SmtpPlain { get; set; }

    /// <summary>Account at <see cref="SmtpHost"/>; null for none.</summary>
    public string? SmtpUser { get; set; }

    /// <summary>Its password.</summary>
    public string? SmtpPassword { get; set; }

    /// <summary>Sender of mail; null for the coach's own address. Answers go to the coach either way.</summary>
    public string? MailFrom { get; set; }

    /// <summary>
    /// Address under which coaches reach this installation, for instance <c>https://training.boathouse.example</c>: mailed links begin with
    /// it. Null to mail none, for what a request calls this server is for whoever sends the request to say.
    /// </summary>
    public Uri? PublicAddress { get; set; }

    /// <summary>
    /// Address under which clients reach <c>/s/</c>, for instance <c>https://go.boathouse.example</c>: a host of its own keeps what a
    /// browser holds for clients apart from what it holds for coaches. Null for <see cref="PublicAddress"/>.
    /// </summary>
    public Uri? ClientAddress { get; set; }

    /// <summary>Folder of the backups.</summary>
    public string BackupFolder => Backups.Length > 0 ? Backups : Path.Combine(Data, "backups");

    /// <summary>The named proxies.</summary>
    /// <exception cref="StartException">One of them is no address.</exception>
    public IReadOnlyList<IPAddress> Proxies =>
        [
            .. TrustedProxies
                .Split(',', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)
                .Select(p =>
                    IPAddress.TryParse(p, out var address)
                        ? address
                        : throw new StartException(1, $"--TrustedProxies names \"{p}\", which is no IP address.")
                ),
        ];

    /// <summary>Path of the database file.</summary>
    public string DatabaseFile => Path.Combine(Data, "ingegno.db");
}
