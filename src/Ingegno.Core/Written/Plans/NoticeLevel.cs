using System.Collections.Immutable;

namespace Ingegno.Core.Written.Plans;

/// <summary>How much a notice matters.</summary>
public enum NoticeLevel
{
    Info,
    Warning,
}
