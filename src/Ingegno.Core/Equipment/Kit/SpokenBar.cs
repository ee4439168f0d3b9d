using System.Collections.Immutable;

namespace Ingegno.Core.Equipment.Kit;

/// <summary>What kind of bar is spoken of, and what it weighs without plates (common practice: 25, 10 and 20 kg).</summary>
/// <param name="Trap">Stood in.</param>
/// <param name="Curl">Bent, for curls.</param>
internal readonly record struct SpokenBar(bool Trap, bool Curl)
{
    private static readonly ImmutableArray<string> TrapBars = ["trap bar", "hex bar", "hexagonal bar"];
    private static readonly ImmutableArray<string> CurlBars = ["ez bar", "ez-bar", "curl bar", "cambered bar"];

    /// <summary>The bar of a text in small letters; a straight one where it names no other.</summary>
    public static SpokenBar Read(string lower) => new(Names(TrapBars, lower), Names(CurlBars, lower));

    /// <summary>Mass of the bar alone, kg.</summary>
    public double HandleKg =>
        Trap ? 25
        : Curl ? 10
        : 20;

    private static bool Names(ImmutableArray<string> bars, string lower) => bars.Any(b => lower.Contains(b, StringComparison.Ordinal));
}
