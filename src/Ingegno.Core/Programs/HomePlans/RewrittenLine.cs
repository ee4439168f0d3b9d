using System.Collections.Immutable;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>A line of a pasted plan as it would read.</summary>
public sealed record RewrittenLine(int Line, string Text);
