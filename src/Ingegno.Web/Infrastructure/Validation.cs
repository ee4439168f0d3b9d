using FluentValidation;

namespace Ingegno.Web.Infrastructure;

/// <summary>Runs the validator of a request body before the endpoint sees it.</summary>
public static class Validation
{
    /// <summary>Adds the filter that answers 400 with the faulty fields.</summary>
    public static RouteHandlerBuilder Validate<T>(this RouteHandlerBuilder builder)
        where T : class =>
        builder.AddEndpointFilter(
            async (context, next) =>
            {
                if (context.Arguments.OfType<T>().FirstOrDefault() is not { } body)
                {
                    return await next(context);
                }

                var result = await context.HttpContext.RequestServices.GetRequiredService<IValidator<T>>().ValidateAsync(body);
                return result.IsValid
                    ? await next(context)
                    : Problems.Invalid(
                        result
                            .Errors.GroupBy(e => CamelCase(e.PropertyName))
                            .ToDictionary(g => g.Key, g => g.Select(e => e.ErrorMessage).ToArray())
                    );
            }
        );

    private static string CamelCase(string path) =>
        string.Join('.', path.Split('.').Select(p => p.Length == 0 ? p : char.ToLowerInvariant(p[0]) + p[1..]));
}
