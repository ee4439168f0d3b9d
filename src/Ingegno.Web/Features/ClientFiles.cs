using System.Collections.Immutable;
using System.Globalization;
using System.IO.Compression;
using System.Text;
using System.Text.Json;
using FluentValidation;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Rebuilding.PracticeData;
using Ingegno.Exchange;
using Ingegno.Storage;

namespace Ingegno.Web.Features;

/// <summary>A client as a packed folder of open files, and read back from one or from the JSON alone.</summary>
public sealed class ClientFiles(IValidator<ClientRecord> clients, IValidator<Core.Equipment.Kit.PlaceKit> places, IValidator<GymWeek> weeks)
{
    private const string Main = "client.json";

    /// <summary>Longest JSON that is read, bytes.</summary>
    private const int MostBytes = 40 * 1024 * 1024;

    private const int MostPlans = 400;

    private const int MostNotes = 20_000;

    private static readonly NewClientAppMessageValidator Notes = new();

    /// <summary>The JSON of a client.</summary>
    public static byte[] Json(ClientFile file) => JsonSerializer.SerializeToUtf8Bytes(file, RulesJson.Lenient);

    /// <summary>
    /// A folder for people and for programs: <c>client.json</c> with everything, the log as a table, the gym program as text, each plan as a
    /// page to print.
    /// </summary>
    public static byte[] Zip(ClientFile file)
    {
        ArgumentNullException.ThrowIfNull(file);
        using var packed = new MemoryStream();
        using (var zip = new ZipArchive(packed, ZipArchiveMode.Create, leaveOpen: true))
        {
            void Put(string name, byte[] content)
            {
                using var entry = zip.CreateEntry(name).Open();
                entry.Write(content);
            }

            Put(Main, Json(file));
            Put("log.csv", TextTable.Write(LogHeads, file.Plans.SelectMany(LogRows)));
            Put(
                "gym-program.txt",
                Encoding.UTF8.GetBytes(string.Join("\n\n", file.GymWeeks.Select(w => $"== {SafeCell.OneLine(w.Name)}\n{w.Text}")))
            );
            foreach (var (plan, i) in file.Plans.Select((p, i) => (p, i)))
            {
                Put($"plan-{i + 1}.html", Encoding.UTF8.GetBytes(PlanPage.Render(file.Client.Name, plan)));
            }
        }

        return packed.ToArray();
    }

    /// <summary>Reads a client from a packed folder or from its JSON.</summary>
    /// <exception cref="UnreadableFileException">It is neither, it is of a newer form, or something in it cannot be.</exception>
    public ClientFile Read(byte[] content)
    {
        ArgumentNullException.ThrowIfNull(content);
        try
        {
            var file =
                JsonSerializer.Deserialize<ClientFile>(Unpacked(content), RulesJson.Lenient)
                ?? throw new UnreadableFileException("The file is empty. Choose one that \"Take out\" on a client wrote.");
            return file.Format == ClientFile.Name
                ? file.Version is >= 1 and <= ClientFile.Written
                    ? Checked(file)
                    : throw new UnreadableFileException("The file was written by a newer Ingegno: bring it in there, or update this one.")
                : throw new UnreadableFileException("This is no client of Ingegno. Choose a file that \"Take out\" on a client wrote.");
        }
        catch (UnreadableValueException wrong)
        {
            throw new UnreadableFileException($"The file cannot be read at {wrong.Path}: {wrong.Message}", wrong);
        }
        catch (JsonException wrong)
        {
            throw new UnreadableFileException(
                $"The file cannot be read at {wrong.Path ?? "its beginning"}, line {wrong.LineNumber + 1}. Choose a file that \"Take out\" on a client wrote.",
                wrong
            );
        }
        catch (NotSupportedException wrong)
        {
            throw new UnreadableFileException("The file cannot be read: a part that comes in several kinds names none.", wrong);
        }
    }

    private static byte[] Unpacked(byte[] content)
    {
        if (!content.AsSpan().StartsWith("PK"u8))
        {
            return content.AsSpan().StartsWith(Encoding.UTF8.Preamble) ? content[Encoding.UTF8.Preamble.Length..] : content;
        }

        try
        {
            using var zip = new ZipArchive(new MemoryStream(content), ZipArchiveMode.Read);
            var entry = zip.GetEntry(Main) ?? throw new UnreadableFileException($"There is no {Main} in the packed file.");
            using var from = entry.Open();
            using var json = new MemoryStream();
            var buffer = new byte[81920];
            for (int read; (read = from.Read(buffer)) > 0; )
            {
                json.Write(buffer, 0, read);
                if (json.Length > MostBytes)
                {
                    throw new UnreadableFileException($"{Main} unpacks to more than {MostBytes / 1024 / 1024} MB; no client is that long.");
                }
            }

            return json.ToArray();
        }
        catch (InvalidDataException wrong)
        {
            throw new UnreadableFileException("The packed file is damaged.", wrong);
        }
    }

    /// <summary>What every door asks of each part is asked here too.</summary>
    private ClientFile Checked(ClientFile file)
    {
        var whole = file with
        {
            Places = FileCheck.Or(file.Places),
            GymWeeks = FileCheck.Or(file.GymWeeks),
            Plans = FileCheck.Or(file.Plans),
            OwnExercises = FileCheck.Or(file.OwnExercises),
            OwnApproaches = FileCheck.Or(file.OwnApproaches),
            TaughtNames = FileCheck.Or(file.TaughtNames),
            Notes = FileCheck.Or(file.Notes),
            Alerts = FileCheck.Or(file.Alerts),
        };
        FileCheck.Ask(clients, whole.Client, "the client");
        foreach (var place in whole.Places)
        {
            FileCheck.Ask(places, place, "a place");
        }

        foreach (var week in whole.GymWeeks)
        {
            FileCheck.Ask(weeks, week, "a gym week");
        }

        if (
            whole.Plans.Length > MostPlans
            || whole.OwnExercises.Length > 500
            || whole.OwnApproaches.Length > 50
            || whole.TaughtNames.Length > 500
            || whole.Notes.Length > MostNotes
            || whole.Alerts.Length > SafetyWatch.MostAlerts
        )
        {
            throw new UnreadableFileException("There is more in the file than a client can have.");
        }

        foreach (var note in whole.Notes)
        {
            FileCheck.Ask(Notes, new NewClientAppMessage(note.Key, note.Session, note.Text, note.ExerciseId), "a note");
        }

        if (whole.Alerts.Any(a => !SafetyWatch.IsWhole(a)))
        {
            throw new UnreadableFileException("An alert in the file has no sign, or is longer than one can be.");
        }

        return whole with
        {
            Plans = [.. whole.Plans.Select(PlanInFileCheck.Checked)],
        };
    }

    private static readonly string[] LogHeads =
    [
        "Day",
        "Plan",
        "Version",
        "Exercise",
        "Set",
        "Reps",
        "Load (kg)",
        "RIR",
        "Pain",
        "Joint",
        "Effort",
        "Minutes",
        "Note",
    ];

    private static IEnumerable<string[]> LogRows(PlanInFile plan) =>
        from session in plan.Sessions
        from exercise in session.Exercises.IsDefault ? [] : session.Exercises
        from set in exercise.Sets.Select((s, i) => (Set: s, Number: i + 1))
        select new[]
        {
            session.PerformedOn.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture),
            plan.Title,
            Figure(session.PlanVersion),
            exercise.ExerciseId,
            Figure(set.Number),
            Figure(set.Set.Reps),
            Figure(set.Set.LoadKg),
            Figure(set.Set.Rir),
            Figure(set.Set.Pain),
            set.Set.PainJoint?.ToString() ?? string.Empty,
            Figure(session.Effort),
            Figure(session.Minutes),
            session.Note ?? string.Empty,
        };

    private static string Figure(IFormattable? figure) => figure?.ToString(null, CultureInfo.InvariantCulture) ?? string.Empty;
}
