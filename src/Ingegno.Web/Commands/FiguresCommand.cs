using System.Collections.Immutable;
using System.Text.Json;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Figures;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Language;
using Ingegno.Web.Infrastructure;

namespace Ingegno.Web.Commands;

/// <summary>One figure of a contact sheet.</summary>
public sealed record SheetFigure(string Id, string Name, string Family, FigureDrawing Drawing, ImmutableArray<string> Faults);

/// <summary>Writes what a contact sheet of the figures is drawn from.</summary>
public static class FiguresCommand
{
    private static JsonSerializerOptions Described()
    {
        var options = new JsonSerializerOptions(JsonSerializerDefaults.Web);
        RulesJson.Apply(options);
        options.Converters.Add(new SpokenReasons(Phrasebook.English));
        return options;
    }

    private static readonly JsonSerializerOptions Written = Described();

    /// <summary>Writes the figures (--to FILE), read from a folder (--from DIR) or those that ship; the code is 1 when one is faulty.</summary>
    public static int Write(CommandCall call)
    {
        ArgumentNullException.ThrowIfNull(call);
        var book = call.Given["from"] is { } folder
            ? FigureBook.Read(
                Directory
                    .EnumerateFiles(folder, "*.json")
                    .Where(f => !f.EndsWith(".schema.json", StringComparison.Ordinal))
                    .Order(StringComparer.Ordinal)
                    .Select(File.ReadAllText)
            )
            : FigureBook.Shipped;
        var family = call.Given["family"];
        var catalogue = DomainRules.Shipped.Catalogue;
        ImmutableArray<SheetFigure> sheet =
        [
            .. from key in book.Keys
            let exercise = catalogue.Find(key.Split('/')[0])
            let figure = book.Find(key)!
            where exercise is not null && (family is null || exercise.Family == family || exercise.Pattern.ToString() == family)
            select new SheetFigure(
                key,
                exercise.Name,
                exercise.Family,
                FigureDrawing.Draw(figure, FigureScene.Usual, exercise.Muscles, exercise.PrimeMovers()),
                [.. FigureCheck.Check(figure, FigureScene.Usual).Select(Phrasebook.English.Say)]
            ),
        ];
        File.WriteAllText(call.Given["to"] ?? "figures.json", JsonSerializer.Serialize(sheet, Written));
        foreach (var figure in sheet.Where(f => f.Faults.Length > 0))
        {
            call.Out.WriteLine($"{figure.Id}: {string.Join(" ", figure.Faults)}");
        }

        var missing = catalogue.All.Where(e => book.Find(e.Id) is null).Select(e => e.Id).ToList();
        call.Out.WriteLine($"{sheet.Length} figures; {missing.Count} exercises without one.");
        if (missing.Count is > 0 and < 60)
        {
            call.Out.WriteLine(string.Join(' ', missing));
        }

        return sheet.Any(f => f.Faults.Length > 0) ? 1 : 0;
    }
}
