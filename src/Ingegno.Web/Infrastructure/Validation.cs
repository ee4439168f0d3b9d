using FluentValidation;

namespace Ingegno.Web.Infrastructure;

/// <summary>Runs the validator of a request body before the endpoint sees it.</summary>
public static class Validation
{
    /// <summary>A name stands in one line, in lists, in heads of tables and in files.</summary>
    public static IRuleBuilderOptions<T, string?> OneLine<T>(this IRuleBuilder<T, string?> rule, string what) =>
        rule.Must(text => text is null || !text.Any(c => char.IsControl(c) || c is '\u2028' or '\u2029'))
            .WithMessage($"{what} stands in one line: take the line breaks out.");

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
