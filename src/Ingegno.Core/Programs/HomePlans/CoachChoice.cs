using System.Collections.Immutable;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>A choice of the coach for a gym line.</summary>
/// <param name="Line">Key of the line.</param>
/// <param name="CandidateId">Candidate taken, for instance <c>band-face-pull</c> or two ids joined by a plus sign; null to leave it to
/// the engine.</param>
/// <param name="Role">Role set by the coach; null to infer it.</param>
public sealed record CoachChoice(LineKey Line, string? CandidateId = null, LineRole? Role = null);
