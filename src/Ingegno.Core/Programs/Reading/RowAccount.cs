using System.Collections.Immutable;
using System.Globalization;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>A stretch of a row that one field claims.</summary>
/// <param name="Field">The field.</param>
/// <param name="Start">Place in the row.</param>
/// <param name="End">Its end in the row.</param>
/// <param name="Bare">A figure without a unit: what it is comes out with the whole row.</param>
internal readonly record struct Claim(LineField Field, int Start, int End, bool Bare = false);

/// <summary>
/// The account of a row: every word and every figure is claimed by one field, kept as a remark, joins others and says nothing, or is not
/// placed. A figure that was claimed and is found nowhere in what was made of the row counts as not placed.
/// </summary>
internal static class RowAccount
{
    /// <summary>
    /// What a figure of a field may be written as, itself apart: minutes as seconds, a distance in metres, both sides as one, a total as
    /// sets, pounds as kilograms.
    /// </summary>
    private static ReadOnlySpan<double> Factors(LineField field) =>
        field switch
        {
            LineField.Sets => [60, 1000, 0.9144, 0.3048, 1609.344, 25, 0.5],
            LineField.Rest => [60],
            LineField.Method => [60, 1 / 60.0, 0.5, 0.1, 0.2],
            LineField.Load => [Foundation.Quantities.Units.KgPerPound],
            _ => [],
        };

    /// <summary>Rounded to a tenth, or to a whole one.</summary>
    private const double Near = 0.51;

    /// <summary>The claims of a row with nothing left out.</summary>
    /// <param name="draft">What was read of it.</param>
    /// <param name="name">Its name.</param>
    /// <param name="line">What was made of it.</param>
    /// <param name="written">The same in Ingegno's own form, its note with it.</param>
    public static ImmutableArray<Claim> Of(LineDraft draft, NameInRow name, GymLine line, string written)
    {
        var figures = FiguresOf(written);
        var loadSaid = draft.Claims.Exists(c => c.Field == LineField.Load);
        figures.Add(line.Sets);
        figures.UnionWith(draft.Groups.Select(g => g.SetsTo).OfType<int>().Select(s => (double)s)); // asked about as a range
        foreach (var set in line.Each.Where(s => s.ShareOfTop is not null))
        {
            figures.Add(Math.Round(set.ShareOfTop!.Value * 100, 2)); // 85 % of the top set is written -15 %
        }

        var claims = draft.Claims.Concat(name.Claims).OrderBy(c => c.Start).ToList();
        var account = ImmutableArray.CreateBuilder<Claim>(claims.Count);
        var at = 0;
        for (var i = 0; i < draft.Tokens.Count; i++)
        {
            var token = draft.Tokens[i];
            if (token.Kind == TokenKind.Sign)
            {
                continue;
            }

            var unit = i + 1 < draft.Tokens.Count && draft.Tokens[i + 1].Is("rm"); // of 1RM
            while (at < claims.Count && claims[at].End <= token.Start)
            {
                at++;
            }

            var field =
                at < claims.Count && claims[at].Start <= token.Start ? Settled(claims[at], token, line, loadSaid) : LineField.NotPlaced;
            if (token.IsNumber && draft.Bare.Exists(b => b.Start == token.Start))
            {
                field = LineField.NotPlaced; // asked about, whatever else is as much
            }

            if (
                token.IsNumber
                && !unit
                && !(draft.OfTrainingMax && field == LineField.Effort)
                && IsFigure(field)
                && !IsFound(token.Value, field, figures)
            )
            {
                field = LineField.NotPlaced;
            }

            // Words of one field that stand together are one stretch.
            if (
                account.Count > 0
                && account[^1] is var last
                && last.Field == field
                && field != LineField.NotPlaced
                && Joined(claims, last, token)
            )
            {
                account[^1] = last with { End = token.End };
            }
            else
            {
                account.Add(new Claim(field, token.Start, token.End));
            }
        }

        return account.ToImmutable();
    }

    /// <summary>A bare figure is the load where the load is as much; a time is a hold where the sets are held and nobody rests.</summary>
    private static LineField Settled(Claim claim, LineToken token, GymLine line, bool loadSaid) =>
        claim.Field == LineField.Rest && line is { Timed: true, RestSeconds: null } ? LineField.Sets
        : !claim.Bare && (loadSaid || claim.Field != LineField.Sets || token.Value < LeastBeforeSets) ? claim.Field // 100x5x3 says a load
        : line.Each.Select(s => s.Load).Append(line.Load).Any(l => l is not null && Weighs(l, token.Value)) ? LineField.Load
        : claim.Field;

    private static bool Weighs(PlannedLoad load, double figure)
    {
        var kg = load.Pounds ? figure * Foundation.Quantities.Units.KgPerPound : figure;
        return Math.Abs(load.Kg - kg) < Least || Math.Abs((load.ToKg ?? load.Kg) - kg) < Least;
    }

    private const double Least = 0.01,
        LeastBeforeSets = 30;

    private static bool Joined(List<Claim> claims, Claim last, LineToken token) =>
        claims.Exists(c => c.Start <= last.Start && c.End >= token.End);

    private static bool IsFigure(LineField field) =>
        field is LineField.Sets or LineField.Load or LineField.Effort or LineField.Tempo or LineField.Rest or LineField.Method;

    private static bool IsFound(double figure, LineField field, HashSet<double> written)
    {
        if (written.Contains(figure) || (figure == 1 && field == LineField.Method)) // 1 drop set
        {
            return true;
        }

        foreach (var factor in Factors(field))
        {
            if (written.Any(w => Math.Abs((figure * factor) - w) < Math.Min(Near, (Rounding * w) + Least)))
            {
                return true;
            }
        }

        return false;
    }

    /// <summary>How far a converted figure may be rounded, as a share of it.</summary>
    private const double Rounding = 0.02;

    /// <summary>All figures of a text; those that stand together as a tempo count apart.</summary>
    private static HashSet<double> FiguresOf(string text)
    {
        var figures = new HashSet<double>();
        foreach (var token in LineTokens.Tokenize(text).Where(t => t.IsNumber))
        {
            figures.Add(token.Value);
        }

        // 3-1-X-0 may have been written 31X0 or 3110.
        var joined = string.Concat(text.Where(c => char.IsAsciiDigit(c) || c is 'X' or '-'))
            .Replace("-", string.Empty, StringComparison.Ordinal);
        for (var length = 2; length <= 4; length++)
        {
            for (var i = 0; i + length <= joined.Length; i++)
            {
                if (double.TryParse(joined.AsSpan(i, length), NumberStyles.None, CultureInfo.InvariantCulture, out var figure))
                {
                    figures.Add(figure);
                }
            }
        }

        return figures;
    }
}
