using System.Collections.Immutable;
using System.Globalization;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Knowledge.SetSchemes;

/// <summary>
/// Cluster: the reps of a heavy set a few at a time, with short rests in between, so that more of them are done with the load. A load that
/// could be moved clearly more often in one go needs no such rests (common practice).
/// </summary>
/// <param name="Pieces">Reps in a row as they are written, for instance <c>2+2+2</c>; the first figure alone for as many as the set has.</param>
public sealed record Cluster(string Pieces = Cluster.Usual) : SetScheme
{
    /// <summary>Reps in a row where nothing else is written (common practice).</summary>
    private const string Usual = "2";

    /// <summary>Rest between the pieces, s (common practice: 10–30).</summary>
    public const int RestSeconds = 20;

    /// <summary>With so many reps and more to spare beyond the planned reserve straight sets do (own estimate).</summary>
    private const int ToSpare = 2;

    public override string Key => "cluster";

    public override string Text => Pieces == Usual ? Key : $"{Key} {Pieces}";

    public override ImmutableArray<SetMethod> TakesUp => [SetMethod.Cluster];

    public override bool OnlyAsWritten => true;

    public override bool OwnsItsRest => true;

    public override bool OneFigure => true;

    public override string ToldAs => "instruction.cluster";

    public override string InTable => "cluster";

    public override SetScheme WithFigures(string? figures) =>
        figures is { Length: > 0 and <= 60 } && Parse(figures) is not null ? new Cluster(figures) : new Cluster();

    public override bool Suits(SchemeFit at)
    {
        ArgumentNullException.ThrowIfNull(at);
        return at is { OneSided: false, Planned: { IsOpen: false } planned, Reps: { } reps }
            && InTotal(planned.Max) is [var most, _, ..] pieces
            && reps < planned.Max + at.Rir + ToSpare
            && reps >= Math.Max(most, pieces.Max()) + 1;
    }

    /// <summary>The planned reps: what the rests are for is that they are done with this load.</summary>
    public override SchemeFigures Run(SchemeFigures straight, SchemeFit at)
    {
        ArgumentNullException.ThrowIfNull(straight);
        ArgumentNullException.ThrowIfNull(at);
        return straight with { Target = new SetTarget(at.Planned.Max, at.Planned.Max) };
    }

    public override Reason Told(string how, SetTarget target, string? goesOnWith)
    {
        ArgumentNullException.ThrowIfNull(target);
        return Reason.Of(
            "instruction.cluster",
            ("how", how),
            ("pieces", FactList.Of(InTotal(target.Max))),
            ("rest", Quantity.Seconds(RestSeconds))
        );
    }

    public override IEnumerable<SchemePart> Parts(SetTarget target, bool last)
    {
        ArgumentNullException.ThrowIfNull(target);
        return target.IsOpen
            ? base.Parts(target, last)
            : InTotal(target.Max)
                .Select(
                    (reps, i) =>
                        new SchemePart(i == 0 ? SetPartKind.Work : SetPartKind.More, new SetTarget(reps, reps), i == 0 ? 0 : RestSeconds)
                );
    }

    public override double SecondsBeside(int sets, SetTarget target, double setSeconds)
    {
        ArgumentNullException.ThrowIfNull(target);
        return target.IsOpen ? 0 : sets * RestSeconds * (InTotal(target.Max).Length - 1);
    }

    public override string Reps(SetTarget target)
    {
        ArgumentNullException.ThrowIfNull(target);
        return target.IsOpen ? base.Reps(target) : string.Join('+', InTotal(target.Max));
    }

    /// <summary>The pieces of a set of so many reps: as written where they add up to it, else as many of the first as go, and what is left.</summary>
    /// <param name="total">Reps of the set, 1 and more.</param>
    public ImmutableArray<int> InTotal(int total)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(total);
        var written = Parse(Pieces)!.Value;
        if (written.Sum() == total && written.Length > 1)
        {
            return written;
        }

        var (piece, left) = (Math.Min(written[0], total), total % Math.Min(written[0], total));
        var whole = Enumerable.Repeat(piece, total / piece);
        return left == 0 ? [.. whole] : [.. whole, left];
    }

    private static ImmutableArray<int>? Parse(string figures)
    {
        var pieces = figures
            .Split('+')
            .Select(p => int.TryParse(p, NumberStyles.None, CultureInfo.InvariantCulture, out var reps) ? reps : 0)
            .ToImmutableArray();
        return pieces.All(p => p is > 0 and <= 100) ? pieces : null;
    }
}
