using System.Collections.Immutable;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.HomePlans;

namespace Ingegno.Core.Progress.ClientApp;

/// <summary>Takes a dose apart into what is done one after the other: sides, small sets, going on with less.</summary>
public static class SetParts
{
    /// <summary>The sets of a dose with their parts.</summary>
    public static ImmutableArray<ReleaseSet> Build(Dose dose, SessionRules rules)
    {
        ArgumentNullException.ThrowIfNull(dose);
        ArgumentNullException.ThrowIfNull(rules);
        return [.. Enumerable.Range(1, dose.Sets).Select(set => new ReleaseSet(Parts(dose, rules, last: set == dose.Sets)))];
    }

    private static ImmutableArray<SetPart> Parts(Dose dose, SessionRules rules, bool last)
    {
        if (!dose.PerSide)
        {
            return [.. OfSide(dose, null, 0, last)];
        }

        return [.. OfSide(dose, BodySide.Left, 0, last), .. OfSide(dose, BodySide.Right, rules.OtherSideSeconds, last)];
    }

    private static IEnumerable<SetPart> OfSide(Dose dose, BodySide? side, int restBefore, bool last)
    {
        var target = last && dose.LastSetOpen ? SetTarget.Open : dose.Target;
        var parts = dose.Scheme?.Parts(target, last) ?? [new SchemePart(SetPartKind.Work, target, 0)];
        return parts.Select((p, i) => new SetPart(p.Kind, side, p.Target, i == 0 ? restBefore : p.RestBeforeSeconds));
    }
}
