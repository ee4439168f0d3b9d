using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>What a line had before it hurt: kept to be tried again.</summary>
/// <param name="Line">Key of the line.</param>
/// <param name="CandidateId">Key of the candidate that rests.</param>
/// <param name="Joint">Joint that hurt.</param>
/// <param name="Since">Day on which it hurt.</param>
public sealed record RestingExercise(LineKey Line, string CandidateId, Joint Joint, DateOnly Since);
