using System.Collections.Immutable;
using FluentValidation;
using Ingegno.Exchange;

namespace Ingegno.Web.Features;

/// <summary>Parts of a file are asked what they would be asked one by one.</summary>
internal static class FileCheck
{
    /// <summary>A list that may be missing, with nothing empty in it.</summary>
    /// <exception cref="UnreadableFileException">A place of it is empty.</exception>
    public static ImmutableArray<T> Or<T>(ImmutableArray<T> list) =>
        list.IsDefault ? []
        : list.Any(x => x is null) ? throw new UnreadableFileException("The file is damaged: a list has an empty place.")
        : list;

    /// <summary>Asks of a part what the door asks through which it comes in otherwise.</summary>
    /// <exception cref="UnreadableFileException">It is missing or would be refused there.</exception>
    public static void Ask<T>(IValidator<T> validator, T value, string what)
    {
        if (value is null)
        {
            throw new UnreadableFileException($"The file is damaged: {what} is missing.");
        }

        if (validator.Validate(value) is { IsValid: false } wrong)
        {
            throw new UnreadableFileException($"In {what}: {wrong.Errors[0].ErrorMessage}");
        }
    }
}
