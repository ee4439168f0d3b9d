using System.Collections.Immutable;
using System.Globalization;

namespace Ingegno.Core.Knowledge.Figures;

/// <summary>A thing of the kit in a figure.</summary>
/// <param name="Role">Role of the set-up that it plays.</param>
/// <param name="Kind">How it is drawn; <see cref="AsInFigure"/> where it has no drawing of its own.</param>
/// <param name="HeightCm">Height of its top, cm.</param>
public sealed record FigureProp(string Role, string Kind, double HeightCm)
{
    public const string AsInFigure = "as-is";
}

/// <summary>A load in a figure.</summary>
/// <param name="Kind">How it is drawn.</param>
/// <param name="Source">pair, one, mixed, worn, held or bar.</param>
public sealed record FigureCarry(string Kind, string Source);

/// <summary>The client's own things and load in a figure. Written as <c>seat=sofa:44 load=rucksack:worn</c>.</summary>
/// <param name="Things">What plays the roles.</param>
/// <param name="Load">What is carried; null for nothing.</param>
public sealed record FigureProps(ImmutableArray<FigureProp> Things, FigureCarry? Load)
{
    /// <summary>Longest text that is read.</summary>
    public const int MostCharacters = 400;

    private const string LoadRole = "load";

    /// <summary>As a plan keeps it and an address names it.</summary>
    public string Written =>
        string.Join(
            ' ',
            Things
                .Select(t => string.Create(CultureInfo.InvariantCulture, $"{t.Role}={t.Kind}:{t.HeightCm:0}"))
                .Concat(Load is { } load ? [$"{LoadRole}={load.Kind}:{load.Source}"] : [])
        );

    /// <summary>Reads what <see cref="Written"/> gives; parts that cannot be read are left out.</summary>
    public static FigureProps Read(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        var things = ImmutableArray.CreateBuilder<FigureProp>();
        FigureCarry? load = null;
        foreach (var part in text.Split(' ', StringSplitOptions.RemoveEmptyEntries).Take(12))
        {
            if (part.Split('=') is not [var role, var what] || what.Split(':') is not [var kind, var figure])
            {
                continue;
            }

            if (role == LoadRole)
            {
                load = new FigureCarry(kind, figure);
            }
            else if (double.TryParse(figure, NumberStyles.None, CultureInfo.InvariantCulture, out var height) && height is > 0 and <= 300)
            {
                things.Add(new FigureProp(role, kind, height));
            }
        }

        return new FigureProps(things.ToImmutable(), load);
    }
}
