using System.Text.Json.Serialization;

namespace Ingegno.Core.Clients.Profiles;

/// <summary>A lift the client has done: anchor lift, external load in kg, reps reached.</summary>
/// <param name="Anchor">Id of an anchor lift in <c>data/rules/strength.json</c>.</param>
/// <param name="LoadKg">External load in kg, above 0, at most 500; for the pull-up the added load plus body mass.</param>
/// <param name="Reps">Reps reached with it, 1–20.</param>
public sealed record KnownLift(string Anchor, double LoadKg, int Reps = 1)
{
    /// <summary>Line of the gym plan that it was read from; null when a coach typed it.</summary>
    [JsonIgnore]
    public string? Line { get; init; }
}
