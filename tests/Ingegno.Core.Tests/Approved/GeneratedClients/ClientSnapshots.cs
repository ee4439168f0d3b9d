using System.Globalization;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using System.Text.RegularExpressions;

namespace Ingegno.Core.Tests.Approved.GeneratedClients;

/// <summary>
/// Rows of what comes out today for clients that nobody chose. They do not say that it is right: the approved weeks and the rows of coaches do that. They
/// show in a commit which of many clients a change of a rule reaches, and that a change that was to reach nobody reaches nobody.
/// </summary>
internal sealed partial class ClientSnapshots(params string[] columns)
{
    private static readonly JsonSerializerOptions Written = new(JsonSerializerDefaults.Web) { IncludeFields = true };
    private readonly StringBuilder _rows = new(string.Join('\t', columns) + '\n');

    public string Text => _rows.ToString();

    public void Row(params ReadOnlySpan<object?> cells)
    {
        if (cells.Length != columns.Length)
        {
            throw new ArgumentException($"{cells.Length} cells for {columns.Length} columns.", nameof(cells));
        }

        var row = new List<string>();
        foreach (var cell in cells)
        {
            row.Add(Cell(cell));
        }

        _rows.AppendJoin('\t', row).Append('\n');
    }

    /// <summary>Eight digits that change with anything in a value: what has no column of its own. Figures count to six places, so that the last bit of
    /// another processor says nothing.</summary>
    public static string Mark(object value) =>
        Convert.ToHexStringLower(
            SHA256.HashData(Encoding.UTF8.GetBytes(Fraction().Replace(JsonSerializer.Serialize(value, Written), Short)))
        )[..8];

    private static string Cell(object? value) =>
        value switch
        {
            null => "–",
            double figure => figure.ToString("0.###", CultureInfo.InvariantCulture),
            IEnumerable<string> list => string.Join(' ', list),
            _ => Convert.ToString(value, CultureInfo.InvariantCulture) ?? string.Empty,
        };

    private static string Short(Match figure) =>
        double.Parse(figure.Value, CultureInfo.InvariantCulture).ToString("G6", CultureInfo.InvariantCulture);

    [GeneratedRegex(@"-?\d+\.\d{4,}(?:E[-+]?\d+)?")]
    private static partial Regex Fraction();
}
