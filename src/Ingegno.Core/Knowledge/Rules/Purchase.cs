using System.Collections.Immutable;
using Ingegno.Core.Equipment.Kit;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>Something that could be bought or borrowed (<c>data/rules/purchases.json</c>).</summary>
/// <param name="Name">Its name, by which a coach sets another price.</param>
/// <param name="Price">Usual price in the coach's currency, above 0.</param>
/// <param name="Item">The thing as it would stand in the kit.</param>
public sealed record Purchase(string Name, double Price, KitItem Item);
