using System.Collections.Immutable;

namespace Ingegno.Core.Knowledge.TradeData;

/// <summary>Training level. Novice and intermediate tables of the trade are merged as docs/trade/strength-relations gives them.</summary>
public enum Level
{
    Beginner,
    Novice,
    Intermediate,
    Advanced,
}
