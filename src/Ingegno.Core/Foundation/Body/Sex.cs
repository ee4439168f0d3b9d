using System.Collections.Immutable;

namespace Ingegno.Core.Foundation.Body;

/// <summary>Sex as far as strength tables and segment masses need it; may be left unknown.</summary>
public enum Sex
{
    Unknown,
    Male,
    Female,
}
