using System.Collections.Immutable;

namespace Ingegno.Core.Progress.FollowUp;

/// <summary>What the log of a plan says at a glance, kept so that a roster of sixty need not read every log.</summary>
/// <param name="PlanVersion">Version for which it was worked out: a later one has decided already.</param>
/// <param name="LastTrained">Last logged day; null when nothing is logged.</param>
/// <param name="Sessions">Sessions logged.</param>
/// <param name="Lines">What is proposed of each exercise.</param>
public sealed record ActivitySummary(int PlanVersion, DateOnly? LastTrained, int Sessions, ImmutableArray<ActivityLine> Lines);
