using System.Collections.Immutable;
using System.Globalization;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Exchange;

namespace Ingegno.Core.Rebuilding.PracticeData;

/// <summary>What a column of a list of clients holds.</summary>
public enum ClientField
{
    Name,
    LastName,
    Note,
    Age,
    Sex,
    BodyMass,
    Stature,
    DaysPerWeek,
    Minutes,
    Goal,
    Level,
    Sore,
    Health,
}

/// <summary>A column of a list.</summary>
/// <param name="Head">Its head, or its letter where it has none.</param>
/// <param name="Field">What it holds; null where it is left out.</param>
public sealed record ClientColumn(string Head, ClientField? Field);

/// <summary>A client of a list as it was understood.</summary>
/// <param name="Row">Number of the row in the file.</param>
/// <param name="Name">The name.</param>
/// <param name="Note">A remark; empty for none.</param>
/// <param name="Profile">What was understood.</param>
/// <param name="Left">What was not understood, as it was written.</param>
/// <param name="Fault">Why it cannot come in; null when it can.</param>
public sealed record ClientInTable(int Row, string Name, string Note, ClientProfile Profile, ImmutableArray<string> Left, Reason? Fault);

/// <summary>A list of clients, to look at before anything is kept.</summary>
public sealed record ClientTablePreview(ImmutableArray<ClientColumn> Columns, ImmutableArray<ClientInTable> Clients, Reason? Fault);

/// <summary>
/// Reads a list of clients from a table: each row becomes an intake in a sentence and is read by the reader of those, so that a cell means
/// what it would mean in a coach's own words. Heads as coaches write them: common practice.
/// </summary>
public static class ClientTable
{
    /// <summary>Most clients of a list.</summary>
    public const int MostClients = 300;

    private const int RowsLookedAt = 10;
    private const int LongestName = 80;
    private const int LongestNote = 2000;
    private const int LongestCell = 200;

    private static readonly ImmutableArray<(ClientField Field, string[] Heads)> Heads =
    [
        (ClientField.LastName, ["last name", "surname", "family name"]),
        (ClientField.Name, ["name", "client", "athlete", "member", "first name", "full name", "who"]),
        (ClientField.Note, ["note", "notes", "remark", "remarks", "comment", "comments"]),
        (ClientField.Age, ["age", "years", "age years"]),
        (ClientField.Sex, ["sex", "gender", "m f"]),
        (ClientField.BodyMass, ["weight", "body weight", "bodyweight", "body mass", "mass", "bw"]),
        (ClientField.Stature, ["height", "stature", "size"]),
        (ClientField.DaysPerWeek, ["days", "days per week", "days a week", "sessions", "sessions per week", "frequency"]),
        (ClientField.Minutes, ["minutes", "min", "time", "session length", "minutes per session"]),
        (ClientField.Goal, ["goal", "goals", "aim", "wants"]),
        (ClientField.Level, ["level", "experience"]),
        (ClientField.Sore, ["sore", "injury", "injuries", "pain", "joints", "limitations", "hurts"]),
        (ClientField.Health, ["health", "conditions", "medical", "screening"]),
    ];

    /// <summary>What a list would bring in.</summary>
    /// <param name="sheet">The table.</param>
    /// <param name="fields">What each column holds, as the coach set it; default to go by the heads.</param>
    public static ClientTablePreview Preview(Sheet sheet, ImmutableArray<ClientField?> fields = default, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        var head = HeadRow(sheet);
        if (head is null)
        {
            return new ClientTablePreview([], [], Reason.Of("clients.no-heads"));
        }

        var guessed = Guess(head);
        ImmutableArray<ClientColumn> columns =
        [
            .. head.Cells.Select(
                (cell, i) =>
                    new ClientColumn(
                        Plain(cell.Text) is { Length: > 0 } named ? named : Sheet.ColumnName(i),
                        fields.IsDefault ? guessed[i]
                            : i < fields.Length ? fields[i]
                            : null
                    )
            ),
        ];
        if (columns.All(c => c.Field is not (ClientField.Name or ClientField.LastName)))
        {
            return new ClientTablePreview(columns, [], Reason.Of("clients.no-names"));
        }

        var rows = sheet.Rows.Where(r => r.Number > head.Number && r.Cells.Any(c => Plain(c.Text).Length > 0)).ToList();
        return rows.Count > MostClients
            ? new ClientTablePreview(columns, [], Reason.Of("clients.too-many", ("most", MostClients), ("clients", rows.Count)))
            : new ClientTablePreview(columns, [.. Read(rows, columns, stop)], null);
    }

    private static IEnumerable<ClientInTable> Read(List<SheetRow> rows, ImmutableArray<ClientColumn> columns, CancellationToken stop)
    {
        foreach (var row in rows)
        {
            stop.ThrowIfCancellationRequested();
            yield return Read(row, columns);
        }
    }

    /// <summary>Whether a row names a column.</summary>
    public static bool HasHeads(Sheet sheet)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        return HeadRow(sheet) is not null;
    }

    private static SheetRow? HeadRow(Sheet sheet) =>
        sheet
            .Rows.Take(RowsLookedAt)
            .Select(row => (Row: row, Known: Guess(row).Count(f => f is not null)))
            .Where(r => r.Known > 0)
            .OrderByDescending(r => r.Known)
            .ThenBy(r => r.Row.Number)
            .FirstOrDefault()
            .Row;

    private static ImmutableArray<ClientField?> Guess(SheetRow heads)
    {
        var seen = new HashSet<ClientField>();
        return [.. heads.Cells.Select(c => Field(c.Text) is { } field && seen.Add(field) ? field : (ClientField?)null)];
    }

    /// <summary>A head without what stands in brackets: "Weight (kg)" is the weight.</summary>
    private static ClientField? Field(string head)
    {
        var plain = Plain(head).ToLowerInvariant();
        var bracket = plain.IndexOf('(', StringComparison.Ordinal);
        plain = (bracket < 0 ? plain : plain[..bracket]).Replace('/', ' ').Replace('_', ' ').Replace('-', ' ').Trim(' ', ':', '.');
        return Heads.Where(h => h.Heads.Contains(plain)).Select(h => (ClientField?)h.Field).FirstOrDefault();
    }

    private static ClientInTable Read(SheetRow row, ImmutableArray<ClientColumn> columns)
    {
        string Cell(ClientField field)
        {
            var at = columns.Select(c => c.Field).ToList().IndexOf(field);
            return at >= 0 && at < row.Cells.Length ? Plain(row.Cells[at].Text) : string.Empty;
        }

        string Head(ClientField field) => columns.FirstOrDefault(c => c.Field == field)?.Head.ToLowerInvariant() ?? string.Empty;

        var name = $"{Cell(ClientField.Name)} {Cell(ClientField.LastName)}".Trim();
        var note = Cell(ClientField.Note);
        var (profile, left) = Profile(Cell, Head);
        return new ClientInTable(
            row.Number,
            Short(name, LongestName),
            Short(note, LongestNote),
            profile,
            left,
            name.Length == 0 ? Reason.Of("clients.no-name")
                : name.Length > LongestName ? Reason.Of("clients.long-name", ("most", LongestName))
                : null
        );
    }

    private static (ClientProfile Profile, ImmutableArray<string> Left) Profile(
        Func<ClientField, string> cell,
        Func<ClientField, string> head
    )
    {
        var left = ImmutableArray.CreateBuilder<string>();
        Intake Said(ClientField field, Func<string, string> sentence)
        {
            var text = Short(cell(field), LongestCell);
            if (text.Length == 0)
            {
                return new Intake();
            }

            var read = IntakeSentence.Read(sentence(text));
            if (read.Left.Length > 0)
            {
                left.Add($"{head(field)}: {text}");
            }

            return read;
        }

        string Unit(string text, ClientField field, string usual, string other) =>
            !Number(text) ? text
            : head(field).Contains(other, StringComparison.Ordinal) ? $"{text} {other}"
            : $"{text} {usual}";

        var age = Said(ClientField.Age, t => Number(t) ? $"{t} years old" : t);
        var sex = Said(
            ClientField.Sex,
            t =>
                t.ToLowerInvariant() is "f" or "w" ? "female"
                : t.ToLowerInvariant() is "m" ? "male"
                : t
        );
        var mass = Said(ClientField.BodyMass, t => Unit(t, ClientField.BodyMass, "kg", "lb"));
        var stature = Said(ClientField.Stature, t => Unit(Metres(t), ClientField.Stature, "cm", "ft"));
        var days = Said(ClientField.DaysPerWeek, t => Number(t) ? $"{t} days a week" : t);
        var minutes = Said(ClientField.Minutes, t => Number(t) ? $"{t} min" : t);
        var goal = Said(ClientField.Goal, t => t);
        var level = Said(ClientField.Level, t => t);
        var sore = Said(
            ClientField.Sore,
            t =>
                t.Contains("sore", StringComparison.OrdinalIgnoreCase) || t.Contains("injur", StringComparison.OrdinalIgnoreCase)
                    ? t
                    : $"sore {t}"
        );
        var health = Said(ClientField.Health, t => t);
        return (
            new ClientProfile
            {
                Level = level.Level ?? Level.Beginner, // the safe side, until the coach knows better
                Goal = goal.Goal ?? Goal.GeneralFitness,
                Sex = sex.Sex ?? default,
                AgeYears = age.AgeYears,
                BodyMassKg = mass.BodyMassKg,
                StatureCm = stature.StatureCm,
                DaysPerWeek = days.DaysPerWeek,
                MinutesPerSession = minutes.MinutesPerSession,
                SoreJoints = sore.SoreJoints,
                Screening = HealthOf(health, cell(ClientField.Health)),
                HighBloodPressure = health.HighBloodPressure,
            },
            left.ToImmutable()
        );
    }

    /// <summary>
    /// What the cell about health ticks. Nothing in it may go unheard: what says something and ticks nothing is a condition that a doctor
    /// looks after, until the coach has asked.
    /// </summary>
    private static ImmutableArray<ScreeningAnswer> HealthOf(Intake read, string cell) =>
        read.Screening.IsEmpty && !read.HighBloodPressure && read.SoreJoints.IsEmpty && read.Denied.IsEmpty && !SaysNothing(cell)
            ? [ScreeningAnswer.OtherHealth]
            : read.Screening;

    private static bool SaysNothing(string cell) =>
        cell.Trim(' ', '.', '-', '–', '/').ToLowerInvariant()
            is ""
                or "none"
                or "no"
                or "nil"
                or "nothing"
                or "n/a"
                or "na"
                or "ok"
                or "fine"
                or "healthy"
                or "good"
                or "all good"
                or "clear";

    /// <summary>1.72 is metres; a number below three can be nothing else.</summary>
    private static string Metres(string text) =>
        Number(text) && double.Parse(text.Replace(',', '.'), CultureInfo.InvariantCulture) < 3
            ? Words.Number(double.Parse(text.Replace(',', '.'), CultureInfo.InvariantCulture) * 100, 0)
            : text;

    private static bool Number(string text) =>
        text.All(c => char.IsAsciiDigit(c) || c is '.' or ',')
        && double.TryParse(text.Replace(',', '.'), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out _);

    private static string Short(string text, int most) => text.Length > most ? text[..most] : text;

    /// <summary>A cell in one line.</summary>
    private static string Plain(string text) => new string([.. text.Select(c => char.IsControl(c) ? ' ' : c)]).Trim();
}
