using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;

namespace Ingegno.Web.Features;

/// <summary>Names that a practice taught; every reader of gym lines and logs knows them from then on.</summary>
public static class TaughtNameEndpoints
{
    private const int LongestName = 80;

    internal static readonly OwnKind<TaughtName> Kind = new(
        "taught name",
        Limits.TaughtNames,
        Plain,
        (key, _, own) => own.Any(n => Plain(n) == key),
        Faults
    );

    public static void MapTaughtNames(this IEndpointRouteBuilder api) => api.MapOwn<TaughtNameStore, TaughtName>("/taught-names", Kind);

    private static string Plain(TaughtName name) => DomainRules.Shipped.Lexicon.Plain(name.Name);

    private static List<string> Faults(TaughtName name, DomainRules domain, IEnumerable<TaughtName> others)
    {
        var faults = new List<string>();
        if (Plain(name).Length == 0 || name.Name.Length > LongestName)
        {
            faults.Add($"A name has letters or figures, and at most {LongestName} characters.");
        }

        if (domain.Catalogue.Find(name.ExerciseId) is null)
        {
            faults.Add("The catalogue has no such exercise; pick one of it.");
        }

        return faults;
    }
}
