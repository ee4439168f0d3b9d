using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Programs.Lines;

/// <summary>What was read: the good lines, what is kept beside them, and what is wrong with the others.</summary>
public sealed record ShorthandResult(ImmutableArray<GymLine> Lines, ImmutableArray<ShorthandError> Errors)
{
    /// <summary>The days of the week in their order; one without a name when the text has no headings.</summary>
    public ImmutableArray<GymDay> Days { get; init; } = [];

    /// <summary>Every row that holds something, as it was understood.</summary>
    public ImmutableArray<ReadRow> Rows { get; init; } = [];

    /// <summary>The weeks of a text that holds several, in their order; empty where it is one. The lines are those of the first.</summary>
    public ImmutableArray<ReadWeek> Weeks { get; init; } = [];

    /// <summary>Of several weeks the first is planned, checked or gone back to: said wherever that is done. Null where the text is one week.</summary>
    [JsonIgnore]
    public Reason? OnlyFirst =>
        Weeks.Length > 1
            ? Reason.Of("notice.several-weeks", ("weeks", FactList.Of([.. Weeks.Select(w => w.Name)])), ("first", Weeks[0].Name))
            : null;

    /// <summary>The weeks stand in columns: a row belongs to all of them, and cannot be written anew for one.</summary>
    [JsonIgnore]
    public bool InColumns => Weeks is [{ Line: 0 }, { Line: 0 }, ..];

    /// <summary>Every row in Ingegno's own form, a line each: what was joined from several rows stands in one.</summary>
    [JsonIgnore]
    public string InOwnForm =>
        string.Join(
            '\n',
            Rows.Where(r => r.Kind != RowKind.Week)
                .Select(r => r.Kind == RowKind.Comment && !r.Text.StartsWith('#') ? "# " + r.Text : r.Text)
        );

    /// <summary>Work that no exercise of the catalogue stands for.</summary>
    public ImmutableArray<KeptLine> Kept { get; init; } = [];
}
