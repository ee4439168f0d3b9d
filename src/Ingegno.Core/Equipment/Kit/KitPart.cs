using System.Collections.Immutable;

namespace Ingegno.Core.Equipment.Kit;

/// <summary>A place on a thing at another height: the arm of a sofa, the second step of the stairs.</summary>
/// <param name="Id">Key within the kind.</param>
/// <param name="Name">What it is called: "arm".</param>
/// <param name="Can">What it can stand in for.</param>
/// <param name="TypicalHeightCm">Height over the floor in cm; null when it follows from the thing's own.</param>
/// <param name="TimesHeight">Times the thing's own height; for steps of a flight.</param>
public sealed record KitPart(
    string Id,
    string Name,
    ImmutableArray<string> Can,
    double? TypicalHeightCm = null,
    double? TimesHeight = null
);
