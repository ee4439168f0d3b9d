using System.Collections.Immutable;
using Ingegno.Core.Ground.Reasons;

namespace Ingegno.Core.Written.Plans;

/// <summary>A relevant exercise that cannot be used, with the reason.</summary>
public sealed record RuledOut(string ExerciseId, string Name, string Code, Reason Reason);
