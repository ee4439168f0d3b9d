using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>A day of the home plan.</summary>
/// <param name="Name">Name of the day, empty when the text has no headings.</param>
/// <param name="Minutes">Minutes of its session.</param>
public sealed record HomeDay(string Name, SessionMinutes Minutes)
{
    /// <summary>What is done with what, in order. Written as <c>blocks</c>, the name that plans of before bear.</summary>
    [JsonPropertyName("blocks")]
    public ImmutableArray<RoundGroup> Groups { get; init; } = [];

    /// <summary>What was done to fit the client's minutes, in sentences; empty when nothing had to give way.</summary>
    public ImmutableArray<Reason> Cut { get; init; } = [];

    /// <summary>Warm-up fitted to the day, in order.</summary>
    public ImmutableArray<Reason> WarmUp { get; init; } = [];

    /// <summary>Cool-down fitted to the day, in order.</summary>
    public ImmutableArray<Reason> CoolDown { get; init; } = [];
}
