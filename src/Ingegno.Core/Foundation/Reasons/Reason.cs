using System.Collections.Immutable;
using System.Text.Json.Serialization;

namespace Ingegno.Core.Foundation.Reasons;

/// <summary>
/// What is to be said, as a fact: a code for what is the case, with the figures and names that belong to it. The rules return facts;
/// words are
/// made of them in one place outside the core, in the language of the reader, so that what was kept says itself in today's words.
/// </summary>
/// <param name="Code">Key of the message, for instance <c>dose.fewer-reps</c>.</param>
/// <param name="Facts">Figures and names that the message puts in.</param>
[JsonConverter(typeof(ReasonConverter))]
public sealed record Reason(string Code, ImmutableArray<Fact> Facts)
{
    /// <summary>Code of a text that is said as it stands.</summary>
    public const string TextCode = "text";

    /// <summary>Code of several that are said one after the other.</summary>
    public const string RowCode = "row";

    /// <summary>Nothing to say.</summary>
    public static Reason None { get; } = new(RowCode, []);

    /// <summary>Nothing is said.</summary>
    public bool IsNone => Code == RowCode && Facts.IsEmpty;

    /// <summary>Those that are said one after the other; itself when it is one.</summary>
    public IEnumerable<Reason> Parts => Code == RowCode ? Facts.Select(f => (Reason)f.Value) : [this];

    /// <summary>A fact with its figures and names.</summary>
    public static Reason Of(string code, params ReadOnlySpan<Fact> facts) => new(code, [.. facts]);

    /// <summary>A text that somebody wrote, a coach or the authors of the catalogue: said as it stands.</summary>
    public static Reason Text(string text) => new(TextCode, [new Fact("text", text)]);

    /// <summary>Several, said one after the other; what has nothing to say is left out.</summary>
    public static Reason Row(params IEnumerable<Reason?> parts) =>
        parts.Where(p => p is { IsNone: false }).SelectMany(p => p!.Parts).ToList() is [var one]
            ? one
            : new Reason(RowCode, [.. parts.Where(p => p is { IsNone: false }).SelectMany(p => p!.Parts).Select(p => new Fact("part", p))]);

    /// <summary>This and then another.</summary>
    public Reason Then(Reason? next) => Row(this, next);

    /// <summary>What is left when what has a code is not said.</summary>
    public Reason Without(string code) => Row(Parts.Where(p => p.Code != code));

    /// <summary>The value of a fact; null when there is none of that name.</summary>
    public object? this[string name] => Facts.FirstOrDefault(f => f.Name == name).Value;

    public bool Equals(Reason? other) => other is not null && Code == other.Code && Facts.AsSpan().SequenceEqual(other.Facts.AsSpan());

    public override int GetHashCode() => Facts.Aggregate(Code.GetHashCode(StringComparison.Ordinal), HashCode.Combine);
}
