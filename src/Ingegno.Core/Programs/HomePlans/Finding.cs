using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>What the check says of a plan.</summary>
/// <param name="Key">By which a coach accepts it: the code, and the line or day it is about.</param>
/// <param name="Code">Kind of finding.</param>
/// <param name="Severity">How much it matters.</param>
/// <param name="Text">What is the matter, in a sentence.</param>
/// <param name="Evidence">What of the plan shows it.</param>
/// <param name="Line">Key of the gym line it is about; null for a day or the week.</param>
/// <param name="Remedy">What one press would change; null where a coach must decide.</param>
/// <param name="Accepted">Why the coach accepts it; null when it stands.</param>
public sealed record Finding(
    string Key,
    string Code,
    Severity Severity,
    Reason Text,
    Reason Evidence,
    LineKey? Line = null,
    Remedy? Remedy = null,
    string? Accepted = null
);
