using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.Lines;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;

namespace Ingegno.Web.Infrastructure;

/// <summary>Types that are written otherwise than their members tell: keys of lines as numbers, tempos, schemes and reasons as text.</summary>
public sealed class WrittenTypes : IOpenApiSchemaTransformer
{
    private static readonly Dictionary<Type, (JsonSchemaType Type, string? Format)> Written = new()
    {
        [typeof(LineKey)] = (JsonSchemaType.Integer, "int32"),
        [typeof(LineKey?)] = (JsonSchemaType.Integer | JsonSchemaType.Null, "int32"),
        [typeof(Tempo)] = (JsonSchemaType.String, null),
        [typeof(SetScheme)] = (JsonSchemaType.String, null),
        [typeof(Tempo?)] = (JsonSchemaType.String, null),
        [typeof(Moment)] = (JsonSchemaType.String, "date-time"),
        [typeof(Reason)] = (JsonSchemaType.String, null),
    };

    public Task TransformAsync(OpenApiSchema schema, OpenApiSchemaTransformerContext context, CancellationToken cancellationToken)
    {
        ArgumentNullException.ThrowIfNull(schema);
        ArgumentNullException.ThrowIfNull(context);
        if (Written.TryGetValue(context.JsonTypeInfo.Type, out var written))
        {
            (schema.Type, schema.Format, schema.Description) = (written.Type, written.Format, null);
        }
        else if (context.JsonTypeInfo.ElementType is { } element && Written.TryGetValue(element, out var item))
        {
            schema.Items = new OpenApiSchema { Type = item.Type, Format = item.Format };
        }

        return Task.CompletedTask;
    }
}
