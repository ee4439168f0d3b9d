using Ingegno.Core.Ground.Text;
using Ingegno.Core.Knowledge.Naming;

namespace Ingegno.Core.Written.Programs.Reading;

/// <summary>A row, or one half of a row that holds two exercises.</summary>
/// <param name="Row">The text.</param>
/// <param name="Label">Label that it gets when it has none.</param>
/// <param name="Second">It is the second half.</param>
internal sealed record RowPart(string Row, string? Label, bool Second);

/// <summary>Takes rows apart that hold two exercises: "Curl superset with pushdown 3x12".</summary>
internal static class Supersets
{
    /// <summary>Added to the line of a second half: no text has so many.</summary>
    public const int SecondKey = 100_000;

    private static readonly string[] Between =
    [
        " supersetted with ",
        " superset with ",
        " super set with ",
        " superset w/ ",
        " ss with ",
        " ss w/ ",
        " ss ",
        " paired with ",
        " s/s ",
        " superset ",
        " + ",
        " / ",
        " into ",
    ];

    public static IEnumerable<RowPart> Apart(string row, ExerciseNames names)
    {
        var lower = PlainText.Of(row).ToLowerInvariant();
        foreach (var between in Between)
        {
            var at = lower.IndexOf(between, StringComparison.Ordinal);
            if (at <= 0)
            {
                continue;
            }

            var (first, second) = (row[..at], row[(at + between.Length)..]);
            if (Named(first, names) && Named(second, names))
            {
                var dosed = RowReader.Read(first).Draft.HasDose;
                var letter = RowReader.Read(first).Label is { Length: > 0 } label ? label[..1] : "S";
                return
                [
                    new RowPart(dosed ? first : $"{first} {DoseOf(second)}", letter + "1", false),
                    new RowPart(second, letter + "2", true),
                ];
            }
        }

        return [new RowPart(row, null, false)];
    }

    private static bool Named(string part, ExerciseNames names)
    {
        var draft = RowReader.Read(part).Draft;
        var run = draft.Runs.Find(r => !r.Bracketed);
        return run is not null && names.Read(part[run.Start..run.End]) is { Exercise: not null, Certainty: Certainty.Sure };
    }

    /// <summary>What stands after the name of the second holds for both.</summary>
    private static string DoseOf(string part)
    {
        var run = RowReader.Read(part).Draft.Runs.Find(r => !r.Bracketed)!;
        return part[..run.Start] + part[run.End..];
    }
}
