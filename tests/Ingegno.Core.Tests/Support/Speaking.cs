using Ingegno.Core.Foundation.Reasons;
using Ingegno.Language;

namespace Ingegno.Core.Tests.Support;

/// <summary>Reasons as a reader gets them, for tests that look at the words.</summary>
internal static class Speaking
{
    public static string Said(this Reason reason) => Phrasebook.English.Say(reason);

    public static string Said(this IEnumerable<Reason> reasons) => string.Join(' ', reasons.Select(Said));

    /// <summary>It is said, alone or among others, that something is the case.</summary>
    public static bool Tells(this Reason reason, string code) => reason.Parts.Any(p => p.Code == code);
}
