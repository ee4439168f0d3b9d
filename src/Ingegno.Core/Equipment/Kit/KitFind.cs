using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Equipment.Kit;

/// <summary>A thing found in a paragraph: the words it stands in, what they were read as, and what is to be asked of it.</summary>
/// <param name="Source">The words, which can be mended and read again.</param>
/// <param name="Entry">What they were read as.</param>
/// <param name="Ask">What to ask; null when nothing is open.</param>
public sealed record KitFind(string Source, KitEntry Entry, Reason? Ask);
