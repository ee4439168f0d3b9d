using Ingegno.Core.Programs.Exchange;
using Ingegno.Exchange;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Web.Features;

/// <summary>A program as a table to download.</summary>
internal static class ProgramDownload
{
    /// <summary>The rows as a file of the form csv or xlsx.</summary>
    /// <param name="rows">The program.</param>
    /// <param name="form">csv or xlsx.</param>
    /// <param name="name">Name of the file without its ending.</param>
    /// <param name="sheet">Name of the sheet of a spreadsheet.</param>
    public static FileContentHttpResult Of(IEnumerable<ProgramRow> rows, string form, string name, string sheet) =>
        form == "csv"
            ? TypedResults.File(ProgramFiles.Csv(rows), "text/csv; charset=utf-8", $"{name}.csv")
            : TypedResults.File(
                ProgramFiles.Xlsx(rows, sheet),
                "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
                $"{name}.xlsx"
            );
}
