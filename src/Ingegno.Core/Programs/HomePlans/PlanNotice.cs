using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>A remark about the whole plan.</summary>
public sealed record PlanNotice(string Code, NoticeLevel Level, Reason Text);
