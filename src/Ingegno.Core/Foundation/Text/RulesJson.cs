using System.Collections;
using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;

namespace Ingegno.Core.Foundation.Text;

/// <summary>
/// The one way the domain's documents (catalogue, kit, clients, plans) are written as JSON: camelCase names,
/// kebab-case enumeration values, unknown members refused so that a typing error in data never passes in silence.
/// </summary>
public static class RulesJson
{
    /// <summary>Options for files that the project ships or a practice edits: strict about unknown members.</summary>
    public static JsonSerializerOptions Strict { get; } = Create(JsonUnmappedMemberHandling.Disallow);

    /// <summary>Options for documents that travel between versions: unknown members are skipped.</summary>
    public static JsonSerializerOptions Lenient { get; } = Create(JsonUnmappedMemberHandling.Skip);

    /// <summary>Applies the domain's naming rules to options owned by somebody else, such as the web host.</summary>
    public static void Apply(JsonSerializerOptions options)
    {
        ArgumentNullException.ThrowIfNull(options);
        options.PropertyNamingPolicy = JsonNamingPolicy.CamelCase;
        options.DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull;
        options.NumberHandling = JsonNumberHandling.Strict;
        options.AllowOutOfOrderMetadataProperties = true;
        options.RespectNullableAnnotations = true;
        options.RespectRequiredConstructorParameters = true;
        options.TypeInfoResolver = (options.TypeInfoResolver ?? new DefaultJsonTypeInfoResolver())
            .WithAddedModifier(LetNullableMembersBeMissing)
            .WithAddedModifier(RefuseNullItems);
        options.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.KebabCaseLower, allowIntegerValues: false));
    }

    /// <summary>What may be null is not written when it is, so it need not be there when read.</summary>
    private static void LetNullableMembersBeMissing(JsonTypeInfo type)
    {
        foreach (var member in type.Properties)
        {
            if (
                member.AssociatedParameter is { } parameter
                && (parameter.IsNullable || Nullable.GetUnderlyingType(parameter.ParameterType) is not null)
            )
            {
                member.IsRequired = false;
            }
        }
    }

    /// <summary>Nullable annotations do not reach into lists, so an item that is null is refused here.</summary>
    private static void RefuseNullItems(JsonTypeInfo type)
    {
        if (type.Kind != JsonTypeInfoKind.Object)
        {
            return;
        }

        var lists = type
            .Properties.Where(p =>
                p.Get is not null
                && p.PropertyType.IsGenericType
                && p.PropertyType.GetGenericArguments() is [{ IsValueType: false }]
                && typeof(IEnumerable).IsAssignableFrom(p.PropertyType)
            )
            .ToList();
        if (lists.Count == 0)
        {
            return;
        }

        type.OnDeserialized = value =>
        {
            foreach (var list in lists)
            {
                if (
                    list.Get!(value) is IStructuralEquatable and IEnumerable items
                    && !IsDefault(items)
                    && items.Cast<object?>().Any(i => i is null)
                )
                {
                    throw new JsonException($"An item of {list.Name} is null.");
                }
            }
        };
    }

    /// <summary>An immutable array that was never set; asking it for its items would fail.</summary>
    private static bool IsDefault(IEnumerable items) => items is IList { } && items.Equals(Activator.CreateInstance(items.GetType()));

    private static JsonSerializerOptions Create(JsonUnmappedMemberHandling unmapped)
    {
        var options = new JsonSerializerOptions
        {
            UnmappedMemberHandling = unmapped,
            ReadCommentHandling = JsonCommentHandling.Skip,
            AllowTrailingCommas = true,
        };
        Apply(options);
        return options;
    }
}
