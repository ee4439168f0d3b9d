using System.Collections.Immutable;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;

namespace Ingegno.Core.Equipment.Kit;

/// <summary>The kit of a place joined with the kinds: answers which requirements it meets and with what.</summary>
public sealed class KitAtPlace
{
    /// <summary>Most ways to put things at heights that are told apart.</summary>
    private const int MostFits = 12;

    /// <summary>Two heights nearer than this are one, in cm.</summary>
    private const double SameHeightCm = 3;

    private readonly KitKinds _kinds;
    private readonly ImmutableArray<Thing> _spots;

    /// <summary>Joins a kit with the known kinds.</summary>
    /// <exception cref="ArgumentException">An item names a kind that does not exist.</exception>
    public KitAtPlace(PlaceKit place, KitKinds kinds)
    {
        ArgumentNullException.ThrowIfNull(place);
        ArgumentNullException.ThrowIfNull(kinds);
        _kinds = kinds;
        (Name, Guarded) = (place.Name, place.Guarded);
        Things =
        [
            .. place
                .Items.Select(item => new Thing(
                    item,
                    kinds.Find(item.Kind) ?? throw new ArgumentException($"Unknown kind of kit \"{item.Kind}\".", nameof(place))
                ))
                .OrderBy(t => t.Id, StringComparer.Ordinal),
        ];
        _spots = [.. Things.SelectMany(t => t.Spots)];
    }

    public string Name { get; }

    /// <summary>Whether safeties, or somebody beside, take a bar that pins; null while nobody has been asked.</summary>
    public bool? Guarded { get; }

    /// <summary>All things, in a fixed order that does not depend on how the kit was typed in.</summary>
    public ImmutableArray<Thing> Things { get; }

    public IEnumerable<Thing> ThatAre(string thing) => Things.Where(t => t.Kind.Is(thing));

    /// <summary>Those that may be used: nothing is known against them.</summary>
    public IEnumerable<Thing> UsableThatAre(string thing) => ThatAre(thing).Where(t => t.RuledOut is null);

    /// <summary>Whether the requirement is met here; when it is, with which things, each used once: those nearest to the best height.</summary>
    /// <param name="requirement">What is needed; null for nothing.</param>
    /// <param name="statureCm">Stature of the client, for heights that follow from it.</param>
    public Fit Meets(Requirement? requirement, double statureCm = AssumedBody.StatureCm) => Fits(requirement, statureCm)[0];

    /// <summary>
    /// Every way to meet the requirement that differs in a height, best first; one that says what is missing when there is none.
    /// </summary>
    /// <param name="requirement">What is needed; null for nothing.</param>
    /// <param name="statureCm">Stature of the client, for heights that follow from it.</param>
    public ImmutableArray<Fit> Fits(Requirement? requirement, double statureCm = AssumedBody.StatureCm)
    {
        if (requirement is null)
        {
            return [Fit.Yes([])];
        }

        var (met, missing) = Meet(requirement, ImmutableDictionary<string, int>.Empty, statureCm);
        return met.Count == 0 ? [Fit.No(missing!)] : [.. met.Take(MostFits).Select(m => Fit.Yes(m.Bindings))];
    }

    /// <summary>Things taken so far, and how many of each.</summary>
    private sealed record Met(ImmutableArray<Binding> Bindings, ImmutableDictionary<string, int> Used);

    private (List<Met> Met, Reason? Missing) Meet(Requirement need, ImmutableDictionary<string, int> used, double statureCm)
    {
        if (!need.All.IsDefaultOrEmpty)
        {
            var met = new List<Met> { new([], used) };
            foreach (var part in need.All)
            {
                var next = new List<Met>();
                Reason? lacks = null;
                foreach (var sofar in met)
                {
                    var (found, missing) = Meet(part, sofar.Used, statureCm);
                    lacks ??= missing;
                    next.AddRange(found.Select(f => f with { Bindings = [.. sofar.Bindings, .. f.Bindings] }));
                }

                if (next.Count == 0)
                {
                    return ([], lacks);
                }

                met = next.Count > MostFits ? next[..MostFits] : next;
            }

            return (met, null);
        }

        if (!need.Any.IsDefaultOrEmpty)
        {
            var each = need.Any.Select(part => Meet(part, used, statureCm)).ToList();
            var lacks = each.Select(e => e.Missing).OfType<Reason>().Distinct().ToList();
            return ([.. each.SelectMany(e => e.Met)], lacks is [var one] ? one : Reason.Of("kit.any-of", ("needs", FactList.Of(lacks))));
        }

        return MeetThing(need, used, statureCm);
    }

    private (List<Met> Met, Reason? Missing) MeetThing(Requirement need, ImmutableDictionary<string, int> used, double statureCm)
    {
        var thing = need.Thing!;
        var heights = Heights(need, statureCm);
        var suitable = _spots
            .Where(t => t.Is(thing) && t.RuledOut is null && HeightFits(heights, t) && AnchorFits(need, t))
            .Where(t => t.Count - used.GetValueOrDefault(t.Id) >= need.Count)
            .OrderBy(t => heights is { } range ? Math.Abs(t.HeightCm - (need.BestCm ?? ((range.Low + range.High) / 2))) : 0)
            .ThenBy(t => t.SpotId, StringComparer.Ordinal)
            .ToList();

        // Where no height matters one is as good as another; two of one height are one choice.
        IEnumerable<Thing> apart = heights is null ? suitable.Take(1) : suitable.DistinctBy(t => Math.Round(t.HeightCm / SameHeightCm));
        List<Met> met =
        [
            .. apart.Select(t => new Met(
                [new Binding(need.As ?? thing, t)],
                used.SetItem(t.Id, used.GetValueOrDefault(t.Id) + need.Count)
            )),
        ];
        return (met, met.Count > 0 ? null : Describe(need, heights, [.. ThatAre(thing)]));
    }

    private static (double Low, double High)? Heights(Requirement need, double statureCm)
    {
        if (need.HeightCm.Length != 2 && need.HeightOfStature.Length != 2)
        {
            return null;
        }

        var (low, high) = need.HeightCm.Length == 2 ? (need.HeightCm[0], need.HeightCm[1]) : (0, double.MaxValue);
        return need.HeightOfStature.Length == 2
            ? (Math.Max(low, need.HeightOfStature[0] * statureCm), Math.Min(high, need.HeightOfStature[1] * statureCm))
            : (low, high);
    }

    private static bool HeightFits((double Low, double High)? heights, Thing thing) =>
        heights is not { } range || (thing.HeightCm >= range.Low && thing.HeightCm <= range.High);

    private static bool AnchorFits(Requirement need, Thing thing) => need.At.IsDefaultOrEmpty || thing.AnchorAt.Any(need.At.Contains);

    private Reason Describe(Requirement need, (double Low, double High)? heights, List<Thing> known)
    {
        List<Fact> facts = [("thing", _kinds.Label(need.Thing!)), ("count", need.Count)];
        if (heights is { } range)
        {
            facts.AddRange([("low", Math.Round(range.Low)), ("high", Math.Round(range.High))]);
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
