namespace Ingegno.Core.Ground.Text;

/// <summary>
/// Bounds of the patterns with which text from outside is read. Where a pattern can be matched without going back it is; the others give up
/// after a time that no honest text comes near.
/// </summary>
public static class Patterns
{
    /// <summary>Milliseconds after which a pattern gives up.</summary>
    public const int TimeoutMs = 600;
}
