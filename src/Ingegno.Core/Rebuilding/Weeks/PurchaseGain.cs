using System.Collections.Immutable;
using Ingegno.Core.Equipment.Kit;

namespace Ingegno.Core.Rebuilding.Weeks;

/// <summary>What a purchase would bring.</summary>
/// <param name="Name">The purchase.</param>
/// <param name="Price">Its price.</param>
/// <param name="Gain">Gain in match over all lines, weighed by role as in the choice of a week: 1 is one accessory from nothing to
/// perfect.</param>
/// <param name="GainPer100">Gain for 100 units of money.</param>
/// <param name="Item">The thing as it would stand in the kit.</param>
/// <param name="Lines">Lines it improves, largest gain first.</param>
public sealed record PurchaseGain(
    string Name,
    double Price,
    double Gain,
    double GainPer100,
    KitItem Item,
    ImmutableArray<ImprovedLine> Lines
);
