using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Clients.Profiles;

/// <summary>A one-rep maximum that logs taught, of an exercise or of the anchor lift of its family.</summary>
/// <param name="Anchor">Anchor lift.</param>
/// <param name="ExerciseId">The exercise; null for the anchor lift, from which the rest of the family follows.</param>
/// <param name="OneRepMaxKg">One-rep maximum as system load, kg, above 0.</param>
/// <param name="Spread">Relative spread, above 0, at most 1.</param>
/// <param name="RestsOn">What it rests on, in words.</param>
public sealed record LearnedLift(string Anchor, string? ExerciseId, double OneRepMaxKg, double Spread, Reason RestsOn);
