using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Equipment.Kit;

/// <summary>
/// What a set-up needs, as an expression: all of, any of, or one thing with conditions. Exactly one of
/// <see cref="All"/>, <see cref="Any"/> and <see cref="Thing"/> is given.
/// </summary>
public sealed record Requirement
{
    public ImmutableArray<Requirement> All { get; init; } = [];

    public ImmutableArray<Requirement> Any { get; init; } = [];

    /// <summary>Kit kind, or an ability such as <c>surface</c>, that must be there.</summary>
    public string? Thing { get; init; }

    /// <summary>Role under which the thing is named in the set-up's text.</summary>
    public string? As { get; init; }

    /// <summary>Pieces needed at the same time.</summary>
    public int Count { get; init; } = 1;

    /// <summary>Lowest and highest useful height in cm.</summary>
    public ImmutableArray<double> HeightCm { get; init; } = [];

    /// <summary>Lowest and highest useful height as a share of the client's stature; it narrows <see cref="HeightCm"/>.</summary>
    public ImmutableArray<double> HeightOfStature { get; init; } = [];

    /// <summary>Best height in cm where several fit; the middle of the range when it is not given.</summary>
    public double? BestCm { get; init; }

    /// <summary>Heights at which the anchor may be; empty for any.</summary>
    public ImmutableArray<AnchorHeight> At { get; init; } = [];
}

/// <summary>Which thing plays which role in a set-up.</summary>
public sealed record Binding(string Role, Thing Thing)
{
    /// <summary>Which thing, and which part of it, plays which role, as a key; empty when none does.</summary>
    public static string Spots(ImmutableArray<Binding> bindings) => string.Join(' ', bindings.Select(b => $"{b.Role}={b.Thing.SpotId}"));
}

/// <summary>The answer to "can it be set up here?": the things used, or the reason why not.</summary>
public sealed record Fit(bool Possible, ImmutableArray<Binding> Bindings, Reason? Missing)
{
    public static Fit Yes(ImmutableArray<Binding> bindings) => new(true, bindings, null);

    public static Fit No(Reason missing) => new(false, [], missing);
}
