using System.Collections.Immutable;
using Ingegno.Core.Ground.Reasons;
using Ingegno.Core.Ground.Text;

namespace Ingegno.Core.AtHome.Kit;

/// <summary>The kit of a place joined with the kinds: answers which requirements it meets and with what.</summary>
public sealed class KitAtPlace
{
    private readonly KitKinds _kinds;

    /// <summary>Joins a kit with the known kinds.</summary>
    /// <exception cref="ArgumentException">An item names a kind that does not exist.</exception>
    public KitAtPlace(PlaceKit place, KitKinds kinds)
    {
        ArgumentNullException.ThrowIfNull(place);
        ArgumentNullException.ThrowIfNull(kinds);
        _kinds = kinds;
        Name = place.Name;
        Things =
        [
            .. place
                .Items.Select(item => new Thing(
                    item,
                    kinds.Find(item.Kind) ?? throw new ArgumentException($"Unknown kind of kit \"{item.Kind}\".", nameof(place))
                ))
                .OrderBy(t => t.Id, StringComparer.Ordinal),
        ];
    }

    public string Name { get; }

    /// <summary>All things, in a fixed order that does not depend on how the kit was typed in.</summary>
    public ImmutableArray<Thing> Things { get; }

    public IEnumerable<Thing> ThatAre(string thing) => Things.Where(t => t.Kind.Is(thing));

    /// <summary>Those that may be used: nothing is known against them.</summary>
    public IEnumerable<Thing> UsableThatAre(string thing) => ThatAre(thing).Where(t => t.RuledOut is null);

    /// <summary>Whether the requirement is met here; when it is, with which things, each used once.</summary>
    public Fit Meets(Requirement? requirement) =>
        requirement is null ? Fit.Yes([]) : Meet(requirement, ImmutableDictionary<string, int>.Empty).Fit;

    private (Fit Fit, ImmutableDictionary<string, int> Used) Meet(Requirement need, ImmutableDictionary<string, int> used)
    {
        if (!need.All.IsDefaultOrEmpty)
        {
            var bindings = ImmutableArray.CreateBuilder<Binding>();
            foreach (var part in need.All)
            {
                var (fit, next) = Meet(part, used);
                if (!fit.Possible)
                {
                    return (fit, used);
                }

                bindings.AddRange(fit.Bindings);
                used = next;
            }

            return (Fit.Yes(bindings.ToImmutable()), used);
        }

        if (!need.Any.IsDefaultOrEmpty)
        {
            var missing = new List<Reason>();
            foreach (var part in need.Any)
            {
                var (fit, next) = Meet(part, used);
                if (fit.Possible)
                {
                    return (fit, next);
                }

                missing.Add(fit.Missing!);
            }

            return (
                Fit.No(
                    missing.Distinct().ToList() is [var one] ? one : Reason.Of("kit.any-of", ("needs", FactList.Of(missing.Distinct())))
                ),
                used
            );
        }

        return MeetThing(need, used);
    }

    private (Fit Fit, ImmutableDictionary<string, int> Used) MeetThing(Requirement need, ImmutableDictionary<string, int> used)
    {
        var thing = need.Thing!;
        var known = ThatAre(thing).ToList();
        var suitable = known
            .Where(t => t.RuledOut is null && HeightFits(need, t) && AnchorFits(need, t))
            .OrderBy(t => need.HeightCm.Length == 2 ? Math.Abs(t.HeightCm - ((need.HeightCm[0] + need.HeightCm[1]) / 2)) : 0)
            .ThenBy(t => t.Id, StringComparer.Ordinal)
            .FirstOrDefault(t => t.Count - used.GetValueOrDefault(t.Id) >= need.Count);
        if (suitable is null)
        {
            return (Fit.No(Describe(need, known)), used);
        }

        var taken = used.SetItem(suitable.Id, used.GetValueOrDefault(suitable.Id) + need.Count);
        return (Fit.Yes([new Binding(need.As ?? thing, suitable)]), taken);
    }

    private static bool HeightFits(Requirement need, Thing thing) =>
        need.HeightCm.Length != 2 || (thing.HeightCm >= need.HeightCm[0] && thing.HeightCm <= need.HeightCm[1]);

    private static bool AnchorFits(Requirement need, Thing thing) => need.At.IsDefaultOrEmpty || thing.AnchorAt.Any(need.At.Contains);

    private Reason Describe(Requirement need, List<Thing> known)
    {
        List<Fact> facts = [("thing", _kinds.Label(need.Thing!)), ("count", need.Count)];
        if (need.HeightCm.Length == 2)
        {
            facts.AddRange([("low", Math.Round(need.HeightCm[0])), ("high", Math.Round(need.HeightCm[1]))]);
        }

        if (!need.At.IsDefaultOrEmpty)
        {
            facts.Add(("at", FactList.Of(need.At)));
        }

        facts.Add(
            (
                "here",
                FactList.Of(
                    known
                        .Take(3)
                        .Select(t =>
                            t.RuledOut is { } why ? Reason.Of("kit.never", ("thing", t.InWords), ("why", why)) : Reason.Text(t.InWords)
                        )
                )
            )
        );
        return new Reason("kit.needs", [.. facts]);
    }
}
