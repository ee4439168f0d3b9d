using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Programs.HomePlans;

namespace Ingegno.Core.Rebuilding.Days;

/// <summary>A day laid out: its lines with their final doses, its groups in order, its minutes, what was cut.</summary>
/// <param name="Lines">The lines, in the order of the gym text.</param>
/// <param name="Groups">What is done with what, in order.</param>
/// <param name="Minutes">Minutes of the day.</param>
/// <param name="Cut">What was done to fit the client's minutes, in sentences.</param>
public sealed record LaidOutSession(
    ImmutableArray<HomeLine> Lines,
    ImmutableArray<RoundGroup> Groups,
    SessionMinutes Minutes,
    ImmutableArray<Reason> Cut
);
