using System.Collections.Immutable;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>How much a notice matters.</summary>
public enum NoticeLevel
{
    Info,
    Warning,
}
