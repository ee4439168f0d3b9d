using System.Collections.Immutable;
using System.Text.Json;

namespace Ingegno.Core.Foundation.Reasons;

/// <summary>
/// A figure or name that belongs to a <see cref="Reason"/>. Its value is a number (<see cref="double"/>), a <see cref="Quantity"/>, a name
/// (<see cref="string"/>), a <see cref="Term"/>, a yes or no (<see cref="bool"/>), another <see cref="Reason"/>, or a list of these
/// (<see cref="FactList"/>).
/// </summary>
/// <param name="Name">Name by which the message puts it in.</param>
/// <param name="Value">Its value.</param>
public readonly record struct Fact(string Name, object Value)
{
    public static implicit operator Fact((string Name, int Value) fact) => new(fact.Name, (double)fact.Value);

    public static implicit operator Fact((string Name, double Value) fact) => new(fact.Name, fact.Value);

    public static implicit operator Fact((string Name, Quantity Value) fact) => new(fact.Name, fact.Value);

    public static implicit operator Fact((string Name, string Value) fact) => new(fact.Name, fact.Value);

    public static implicit operator Fact((string Name, bool Value) fact) => new(fact.Name, fact.Value);

    public static implicit operator Fact((string Name, Term Value) fact) => new(fact.Name, fact.Value);

    public static implicit operator Fact((string Name, Reason Value) fact) => new(fact.Name, fact.Value);

    public static implicit operator Fact((string Name, FactList Value) fact) => new(fact.Name, fact.Value);
}

/// <summary>A word of a vocabulary of the domain rules, for instance the muscle <c>lats</c>.</summary>
/// <param name="Of">The vocabulary, for instance <c>muscle</c>.</param>
/// <param name="Word">The word in kebab-case.</param>
public sealed record Term(string Of, string Word)
{
    /// <summary>The word as something that is said.</summary>
    public Reason Said() => Reason.Of("term", ("term", this));

    /// <summary>The term of an enumeration value.</summary>
    public static Term For<T>(T value)
        where T : struct, Enum => EnumTerms<T>.Of[value];

    private static class EnumTerms<T>
        where T : struct, Enum
    {
        public static readonly Dictionary<T, Term> Of = Enum.GetValues<T>()
            .Distinct()
            .ToDictionary(
                v => v,
                v => new Term(
                    JsonNamingPolicy.KebabCaseLower.ConvertName(typeof(T).Name),
                    JsonNamingPolicy.KebabCaseLower.ConvertName(v.ToString())
                )
            );
    }
}

/// <summary>A list of names, terms, figures or reasons.</summary>
public sealed record FactList(ImmutableArray<object> Items)
{
    /// <summary>A list of names.</summary>
    public static FactList Of(IEnumerable<string> names) => new([.. names]);

    /// <summary>A list of words of a vocabulary.</summary>
    public static FactList Of<T>(IEnumerable<T> values)
        where T : struct, Enum => new([.. values.Select(Term.For)]);

    /// <summary>A list of reasons.</summary>
    public static FactList Of(IEnumerable<Reason> reasons) => new([.. reasons]);

    /// <summary>A list of whole numbers.</summary>
    public static FactList Of(IEnumerable<int> numbers) => new([.. numbers.Select(n => (object)(double)n)]);

    /// <summary>A list of numbers.</summary>
    public static FactList Of(IEnumerable<double> numbers) => new([.. numbers.Select(n => (object)n)]);

    /// <summary>A list of figures.</summary>
    public static FactList Of(IEnumerable<Quantity> figures) => new([.. figures.Select(f => (object)f)]);

    public bool Equals(FactList? other) => other is not null && Items.AsSpan().SequenceEqual(other.Items.AsSpan());

    public override int GetHashCode() => Items.Aggregate(0, HashCode.Combine);
}
