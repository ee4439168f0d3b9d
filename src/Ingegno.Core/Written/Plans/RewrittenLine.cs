using System.Collections.Immutable;

namespace Ingegno.Core.Written.Plans;

/// <summary>A line of a pasted plan as it would read.</summary>
public sealed record RewrittenLine(int Line, string Text);
