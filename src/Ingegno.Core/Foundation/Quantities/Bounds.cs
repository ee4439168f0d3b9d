using System.Collections.Immutable;
using System.Text.Json.Serialization;

namespace Ingegno.Core.Foundation.Quantities;

/// <summary>Two ends of a range, both included.</summary>
public sealed record Bounds(int Min, int Max)
{
    /// <summary>The value, moved into the range.</summary>
    public int Clamp(int value) => Math.Clamp(value, Min, Max);
}
