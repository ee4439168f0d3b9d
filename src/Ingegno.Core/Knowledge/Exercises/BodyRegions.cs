using System.Collections.Immutable;
using Ingegno.Core.Foundation.Body;

namespace Ingegno.Core.Knowledge.Exercises;

/// <summary>Which patterns belong to which half.</summary>
public static class BodyRegions
{
    private static readonly ImmutableHashSet<MovementPattern> LowerBody =
    [
        MovementPattern.Squat,
        MovementPattern.Hinge,
        MovementPattern.Lunge,
        MovementPattern.HipExtension,
        MovementPattern.HipAbduction,
        MovementPattern.HipAdduction,
        MovementPattern.KneeFlexion,
        MovementPattern.KneeExtension,
        MovementPattern.PlantarFlexion,
        MovementPattern.DorsiFlexion,
    ];

    /// <summary>The half of the body that a pattern belongs to; the trunk counts as upper.</summary>
    public static BodyRegion ForPattern(MovementPattern pattern) => LowerBody.Contains(pattern) ? BodyRegion.Lower : BodyRegion.Upper;
}
