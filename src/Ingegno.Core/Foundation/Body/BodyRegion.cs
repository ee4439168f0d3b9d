using System.Collections.Immutable;

namespace Ingegno.Core.Foundation.Body;

/// <summary>Half of the body that an exercise mainly trains.</summary>
public enum BodyRegion
{
    Upper,
    Lower,
}
