using System.Collections.Concurrent;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;

namespace Ingegno.Web.Infrastructure;

/// <summary>
/// Types that only answers contain always carry all their members that cannot be null; saying so spares the interface from guarding
/// against what never happens. Which types these are is read from the document: what an answer reaches and no request does.
/// </summary>
public sealed class RequiredInAnswers : IOpenApiSchemaTransformer, IOpenApiDocumentTransformer
{
    /// <summary>Types that requests contain as an answer gave them: nobody writes them by hand.</summary>
    private static readonly string[] SentBack =
    [
        "StandingLine",
        "KeyedLine",
        "AcceptedProposal",
        "Approach",
        "ApproachPhase",
        "Exercise",
        "Setup",
        "Requirement",
        "Remedy",
        "Dose",
    ];

    private readonly ConcurrentDictionary<string, ISet<string>> _neverNull = new();

    public Task TransformAsync(OpenApiSchema schema, OpenApiSchemaTransformerContext context, CancellationToken cancellationToken)
    {
        ArgumentNullException.ThrowIfNull(context);
        _neverNull[context.JsonTypeInfo.Type.Name] = context
            .JsonTypeInfo.Properties.Where(p => !p.IsGetNullable)
            .Select(p => p.Name)
            .ToHashSet();
        return Task.CompletedTask;
    }

    public Task TransformAsync(OpenApiDocument document, OpenApiDocumentTransformerContext context, CancellationToken cancellationToken)
    {
        ArgumentNullException.ThrowIfNull(document);
        var operations = document.Paths.Values.SelectMany(p => p.Operations?.Values ?? Enumerable.Empty<OpenApiOperation>()).ToList();
        var answered = Reached(document, operations.SelectMany(o => o.Responses?.Values.SelectMany(r => Bodies(r.Content)) ?? []));
        var asked = Reached(document, operations.SelectMany(o => Bodies(o.RequestBody?.Content)));
        foreach (var id in answered.Except(asked.Except(SentBack)))
        {
            if (document.Components!.Schemas![id] is OpenApiSchema schema && _neverNull.TryGetValue(id, out var never) && never.Count > 0)
            {
                Require(schema, never);
            }
        }

        return Task.CompletedTask;
    }

    private static void Require(OpenApiSchema schema, ISet<string> never)
    {
        // What is kept out of the answer is no part of it.
        schema.Required = never.Where(name => schema.Properties?.ContainsKey(name) ?? false).ToHashSet(StringComparer.Ordinal);

        // A property without a setter is described as if it could be null; what is read from it never is.
        foreach (var property in schema.Properties?.Where(p => never.Contains(p.Key)).Select(p => p.Value).OfType<OpenApiSchema>() ?? [])
        {
            property.Type &= ~JsonSchemaType.Null;
        }
    }

    private static IEnumerable<IOpenApiSchema?> Bodies(IDictionary<string, OpenApiMediaType>? content) =>
        content?.Values.Select(c => c.Schema) ?? [];

    /// <summary>Names of the types that schemas lead to.</summary>
    private static HashSet<string> Reached(OpenApiDocument document, IEnumerable<IOpenApiSchema?> from)
    {
        var reached = new HashSet<string>();
        var waiting = new Stack<IOpenApiSchema?>(from);
        while (waiting.TryPop(out var next))
        {
            if (next is OpenApiSchemaReference { Reference.Id: { } id })
            {
                if (reached.Add(id))
                {
                    waiting.Push(document.Components?.Schemas?[id]);
                }
            }
            else if (next is OpenApiSchema schema)
            {
                foreach (var part in Parts(schema))
                {
                    waiting.Push(part);
                }
            }
        }

        return reached;
    }

    private static IEnumerable<IOpenApiSchema?> Parts(OpenApiSchema schema) =>
        [
            .. schema.Properties?.Values ?? Enumerable.Empty<IOpenApiSchema>(),
            schema.Items,
            schema.AdditionalProperties,
            .. schema.AllOf ?? [],
            .. schema.OneOf ?? [],
            .. schema.AnyOf ?? [],
        ];
}
