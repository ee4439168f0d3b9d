using System.Collections.Immutable;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>What a gym line is for in its session.</summary>
public enum LineRole
{
    Main,
    Secondary,
    Accessory,
    Activation,
}
