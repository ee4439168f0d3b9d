using System.Collections.Immutable;

namespace Ingegno.Core.Rebuilding.Weeks;

/// <summary>A line that a purchase would bring closer to the gym.</summary>
/// <param name="Plan">Which of the plans asked about it belongs to, 0 first.</param>
/// <param name="GymExercise">Exercise of the gym line.</param>
/// <param name="Before">What stands there now.</param>
/// <param name="After">What would stand there.</param>
/// <param name="From">Match now.</param>
/// <param name="To">Match then.</param>
public sealed record ImprovedLine(int Plan, string GymExercise, string Before, string After, double From, double To);
