using FluentValidation;

namespace Ingegno.Web.Infrastructure;

/// <summary>
/// What a password must be: long, and not one that everybody tries first. No other rule: signs and figures asked for make weak ones (NIST SP
/// 800-63B, from memory).
/// </summary>
public static class Passwords
{
    /// <summary>Fewest characters.</summary>
    public const int Least = 12;

    /// <summary>Most characters.</summary>
    public const int Most = 200;

    private static readonly Lazy<HashSet<string>> Common = new(() =>
    {
        using var stream = typeof(Passwords).Assembly.GetManifestResourceStream("words/common-passwords.txt")!;
        using var reader = new StreamReader(stream);
        return [.. reader.ReadToEnd().Split('\n', StringSplitOptions.TrimEntries).Where(l => l.Length > 0 && l[0] != '#')];
    });

    /// <summary>The rule.</summary>
    public static IRuleBuilderOptions<T, string> StrongEnough<T>(this IRuleBuilder<T, string> rule) =>
        rule.Must(p => p is { Length: >= Least and <= Most })
            .WithMessage($"The password takes {Least} to {Most} characters.")
            .Must(p => p is null || !IsCommon(p))
            .WithMessage("Everybody tries that one first: take a sentence that only you would say.");

    /// <summary>Whether it is one of the common ones, or hardly more than one sign.</summary>
    public static bool IsCommon(string password)
    {
        ArgumentNullException.ThrowIfNull(password);
        var plain = password.ToLowerInvariant();
        return Common.Value.Contains(plain) || plain.Distinct().Count() < 4;
    }
}
