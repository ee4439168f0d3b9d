using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>A relevant exercise that cannot be used, with the reason.</summary>
public sealed record RuledOut(string ExerciseId, string Name, string Code, Reason Reason);
