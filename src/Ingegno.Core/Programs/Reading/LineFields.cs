using System.Collections.Immutable;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>The fields of a line with the words that each came from.</summary>
internal static class LineFields
{
    /// <summary>The fields in the order of Ingegno's own form; one without words was assumed.</summary>
    /// <param name="line">The line.</param>
    /// <param name="number">Its line in the text, 1 first.</param>
    /// <param name="account">The account of its row.</param>
    /// <param name="readAs">The exercise's name.</param>
    public static ImmutableArray<ReadField> Of(GymLine line, int number, ImmutableArray<Claim> account, string readAs)
    {
        var words = account.ToLookup(c => c.Field, c => new TextPlace(number, c.Start + 1, Math.Max(1, c.End - c.Start)));
        List<(LineField Field, string Text)> said =
        [
            (LineField.Label, line.Label ?? string.Empty),
            (LineField.Name, readAs),
            (LineField.Sets, Shorthand.Dose(line)),
            .. Shorthand.PartsOf(line),
        ];

        // Two of a kind (a share and an effort) share their words; what is said with the sets has words and no text of its own.
        var fields = ImmutableArray.CreateBuilder<ReadField>();
        foreach (var field in said.Where(f => f.Text.Length > 0).GroupBy(f => f.Field))
        {
            fields.Add(new ReadField(field.Key, string.Join(' ', field.Select(f => f.Text)), [.. words[field.Key]]));
        }

        foreach (var left in words.Where(w => fields.All(f => f.Field != w.Key)))
        {
            fields.Add(new ReadField(left.Key, string.Empty, [.. left]));
        }

        return fields.ToImmutable();
    }
}
