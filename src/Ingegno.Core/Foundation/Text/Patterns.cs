namespace Ingegno.Core.Foundation.Text;

/// <summary>
/// Bounds of the patterns with which text from outside is read. What bounds them is the length of the text, which every reader checks first: on
/// lines of that length no pattern takes more than some milliseconds. The time is a last guard for a machine that is so busy that nothing
/// moves; honest text is never refused by it.
/// </summary>
public static class Patterns
{
    /// <summary>Milliseconds after which a pattern gives up.</summary>
    public const int TimeoutMs = 5_000;
}
