using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>One part of a match with its plain-language reason.</summary>
/// <param name="Part">Which part.</param>
/// <param name="Score">0 nothing kept, 1 fully kept.</param>
/// <param name="Weight">Weight of the part for the role of the line.</param>
/// <param name="Reason">Why, in words that are true of this client, kit and line.</param>
public sealed record PartScore(MatchPart Part, double Score, double Weight, Reason Reason);
