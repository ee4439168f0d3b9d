using System.Collections.Immutable;
using System.Globalization;
using System.Security.Cryptography;
using System.Text;
using Ingegno.Core.Clients.Health;
using Ingegno.Core.Foundation.Body;
using Ingegno.Storage;

namespace Ingegno.Web.Features;

/// <summary>Hears signs of danger in whatever comes in from a client or about one, and keeps them as alerts, before anything else is done with it.</summary>
public sealed class SafetyWatch(RedHearing hearing, AlertStore alerts, TimeProvider clock)
{
    /// <summary>Alerts of a client in a file.</summary>
    public const int MostAlerts = 20_000;

    /// <summary>Alerts of a client that stand at once: training is held already, and another tells nothing new.</summary>
    private const int MostOpen = 200;

    /// <summary>Longest words that are kept with an alert, characters.</summary>
    private const int LongestWords = 2_000;

    /// <summary>Hears a text that nobody has kept: gives the signs alone.</summary>
    public ImmutableArray<HeardSign> In(string? text) => string.IsNullOrWhiteSpace(text) ? [] : hearing.Hear(text);

    /// <summary>
    /// Hears a text of a client; what is heard stands as an alert. The same words from the same place are one alert however often they are
    /// sent; other words are another, also where the one before was answered.
    /// </summary>
    /// <param name="coach">The coach.</param>
    /// <param name="client">The client.</param>
    /// <param name="source">Where it was told.</param>
    /// <param name="place">Where it stands: a session, a note, a day.</param>
    /// <param name="text">The words.</param>
    /// <param name="session">Key of the session on the phone.</param>
    /// <param name="exerciseId">Exercise at which it was.</param>
    public KeptAlert? Hear(
        long coach,
        long client,
        AlertSource source,
        string place,
        string? text,
        string? session = null,
        string? exerciseId = null
    )
    {
        if (string.IsNullOrWhiteSpace(text))
        {
            return null;
        }

        var heard = In(text);
        if (SafetyAlert.FromSigns(heard, source, Shortened(text)) is not { } alert)
        {
            return null;
        }

        var words = Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(text.Trim())))[..16];
        return alerts.Add(coach, client, $"{source}:{place}:{words}", alert with { Session = session, ExerciseId = exerciseId }, MostOpen);
    }

    /// <summary>A sign that the client tapped.</summary>
    /// <param name="coach">The coach.</param>
    /// <param name="client">The client.</param>
    /// <param name="tapped">What was tapped.</param>
    public KeptAlert? Tapped(long coach, long client, StopSignTapped tapped)
    {
        ArgumentNullException.ThrowIfNull(tapped);
        return alerts.Add(
            coach,
            client,
            $"{AlertSource.StopSign}:{tapped.Key}",
            new SafetyAlert
            {
                Source = AlertSource.StopSign,
                Signs = [new AlertSign(tapped.Sign, hearing.Signs.Find(tapped.Sign) is { OfLimb: true } ? tapped.Joint : null)],
                Session = tapped.Session,
                ExerciseId = tapped.ExerciseId,
                ToldAt = Moments.ToMoment(tapped.At),
            },
            MostOpen
        );
    }

    /// <summary>The day as part of a place.</summary>
    public string Today => clock.GetUtcNow().ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);

    /// <summary>An alert of a file has what one must have.</summary>
    public static bool IsWhole(AlertInFile alert) =>
        alert is { Key.Length: > 0 and <= 400, Alert: { Signs: { IsDefaultOrEmpty: false, Length: <= 50 }, Words.Length: <= LongestWords } }
        && (alert.Answer?.Length ?? 0) <= AlertEndpoints.LongestAnswer
        && alert.Alert.Signs.All(s => s.Id is { Length: > 0 and <= 40 } && (s.Joint is not { } j || Enum.IsDefined(j)))
        && (alert.Alert.Session?.Length ?? 0) <= 64
        && (alert.Alert.ExerciseId?.Length ?? 0) <= 100;

    private static string Shortened(string text) => text.Length <= LongestWords ? text : text[..LongestWords];
}

/// <summary>A stop sign that a client tapped.</summary>
/// <param name="Key">Made by the phone once: sent again, it is the same.</param>
/// <param name="Sign">Key of the sign.</param>
/// <param name="At">When, by the phone's clock.</param>
/// <param name="Joint">Where; null for the whole body.</param>
/// <param name="Session">Key of the session; null for none.</param>
/// <param name="ExerciseId">Exercise at which it was; null for none.</param>
public sealed record StopSignTapped(
    string Key,
    string Sign,
    DateTimeOffset At,
    Joint? Joint = null,
    string? Session = null,
    string? ExerciseId = null
);
