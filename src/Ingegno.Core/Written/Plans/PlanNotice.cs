using System.Collections.Immutable;
using Ingegno.Core.Ground.Reasons;

namespace Ingegno.Core.Written.Plans;

/// <summary>A remark about the whole plan.</summary>
public sealed record PlanNotice(string Code, NoticeLevel Level, Reason Text);
