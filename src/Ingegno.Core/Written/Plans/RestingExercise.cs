using Ingegno.Core.Ground.Body;
using Ingegno.Core.Written.Programs;

namespace Ingegno.Core.Written.Plans;

/// <summary>What a line had before it hurt: kept to be tried again.</summary>
/// <param name="Line">Key of the line.</param>
/// <param name="CandidateId">Key of the candidate that rests.</param>
/// <param name="Joint">Joint that hurt.</param>
/// <param name="Since">Day on which it hurt.</param>
public sealed record RestingExercise(LineKey Line, string CandidateId, Joint Joint, DateOnly Since);
