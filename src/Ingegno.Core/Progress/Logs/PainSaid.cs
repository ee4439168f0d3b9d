using Ingegno.Core.Foundation.Body;

namespace Ingegno.Core.Progress.Logs;

/// <summary>Pain that a message tells of.</summary>
/// <param name="Words">The words, as they were written.</param>
/// <param name="Where">The joint; null where none was named.</param>
/// <param name="Score">0–10; null where no figure belongs to it. 0 where pain is denied.</param>
/// <param name="Sharp">It is sharp or stabbing.</param>
/// <param name="Guessed">The score stands for a strong word until it is answered.</param>
public sealed record PainSaid(string Words, Joint? Where, int? Score, bool Sharp, bool Guessed)
{
    /// <summary>It is said that nothing hurts.</summary>
    public bool IsNone => Score == 0;

    /// <summary>How much is to be asked.</summary>
    public bool Asks => Score is null || Guessed;
}
