using System.Globalization;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace Ingegno.Core.Foundation.Quantities;

/// <summary>
/// A moment as somebody's clock showed it, with the offset of that clock: 2026-11-26T18:04:00+01:00 (RFC 3339). It is always told from
/// outside; the core has no clock to ask.
/// </summary>
/// <param name="Day">The day there.</param>
/// <param name="Time">The time of day there.</param>
/// <param name="OffsetMinutes">Minutes that the clock is ahead of UTC, −840 to 840.</param>
[JsonConverter(typeof(MomentConverter))]
public readonly record struct Moment(DateOnly Day, TimeOnly Time, int OffsetMinutes)
{
    private const int FarthestOffset = 14 * 60;
    private const int DayCharacters = 10;
    private static readonly string[] Times = ["HH:mm:ss", "HH:mm:ss.FFFFFFF", "HH:mm"];

    /// <summary>How long this is after another moment.</summary>
    public TimeSpan Since(Moment other) => new(Ticks - other.Ticks);

    /// <summary>The moment so much later, on the same clock; held within the days that there are.</summary>
    public Moment Plus(TimeSpan time)
    {
        var ticks = Math.Clamp(
            (Day.DayNumber * TimeSpan.TicksPerDay) + Time.Ticks + time.Ticks,
            0,
            (DateOnly.MaxValue.DayNumber * TimeSpan.TicksPerDay) + TimeSpan.TicksPerDay - 1
        );
        return this with
        {
            Day = DateOnly.FromDayNumber((int)(ticks / TimeSpan.TicksPerDay)),
            Time = new TimeOnly(ticks % TimeSpan.TicksPerDay),
        };
    }

    private long Ticks => (Day.DayNumber * TimeSpan.TicksPerDay) + Time.Ticks - (OffsetMinutes * TimeSpan.TicksPerMinute);

    /// <summary>Reads <c>2026-11-26T18:04:00+01:00</c>; the offset may be Z, seconds may be missing or have decimals.</summary>
    public static bool TryParse(string? text, out Moment moment)
    {
        moment = default;
        if (text is not { Length: > DayCharacters + 1 and <= 40 } || text[DayCharacters] is not ('T' or 't'))
        {
            return false;
        }

        var sign = text.AsSpan(DayCharacters + 1).IndexOfAny("Zz+-");
        if (sign < 0)
        {
            return false;
        }

        sign += DayCharacters + 1;
        if (
            !DateOnly.TryParseExact(
                text.AsSpan(0, DayCharacters),
                "yyyy-MM-dd",
                CultureInfo.InvariantCulture,
                DateTimeStyles.None,
                out var day
            )
            || !TimeOnly.TryParseExact(
                text.AsSpan((DayCharacters + 1)..sign),
                Times,
                CultureInfo.InvariantCulture,
                DateTimeStyles.None,
                out var time
            )
            || !TryOffset(text.AsSpan(sign), out var offset)
        )
        {
            return false;
        }

        moment = new Moment(day, time, offset);
        return true;
    }

    /// <summary>Writes the form that <see cref="TryParse"/> reads.</summary>
    public override string ToString()
    {
        var (hours, minutes) = (Math.Abs(OffsetMinutes) / 60, Math.Abs(OffsetMinutes) % 60);
        return string.Create(
            CultureInfo.InvariantCulture,
            $"{Day:yyyy-MM-dd}T{Time:HH:mm:ss.FFFFFFF}{(OffsetMinutes < 0 ? '-' : '+')}{hours:00}:{minutes:00}"
        );
    }

    private static bool TryOffset(ReadOnlySpan<char> text, out int minutes)
    {
        minutes = 0;
        if (text is "Z" or "z")
        {
            return true;
        }

        if (
            text.Length != 6
            || !TimeOnly.TryParseExact(text[1..], "HH:mm", CultureInfo.InvariantCulture, DateTimeStyles.None, out var offset)
        )
        {
            return false;
        }

        minutes = ((offset.Hour * 60) + offset.Minute) * (text[0] == '-' ? -1 : 1);
        return Math.Abs(minutes) <= FarthestOffset;
    }
}

/// <summary>Writes a moment as its text.</summary>
internal sealed class MomentConverter : JsonConverter<Moment>
{
    public override Moment Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        reader.TokenType == JsonTokenType.String && Moment.TryParse(reader.GetString(), out var moment)
            ? moment
            : throw new JsonException("A moment is written as 2026-11-26T18:04:00+01:00.");

    public override void Write(Utf8JsonWriter writer, Moment value, JsonSerializerOptions options)
    {
        ArgumentNullException.ThrowIfNull(writer);
        writer.WriteStringValue(value.ToString());
    }
}
