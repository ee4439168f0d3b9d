using System.Collections.Immutable;
using Ingegno.Core.Knowledge.Exercises;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>Two patterns that can stand in for one another.</summary>
public sealed record PatternNeighbour(MovementPattern A, MovementPattern B, double Score)
{
    public bool Joins(MovementPattern x, MovementPattern y) => (A == x && B == y) || (A == y && B == x);
}
