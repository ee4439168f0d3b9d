using System.Collections.Immutable;

namespace Ingegno.Core.Kit;

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
        Things = [.. place.Items
            .Select(item => new Thing(item, kinds.Find(item.Kind)
                ?? throw new ArgumentException($"Unknown kind of kit \"{item.Kind}\".", nameof(place))))
            .OrderBy(t => t.Id, StringComparer.Ordinal)];
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
            var missing = new List<string>();
            foreach (var part in need.Any)
            {
                var (fit, next) = Meet(part, used);
                if (fit.Possible)
                {
                    return (fit, next);
                }

                missing.Add(fit.Missing!);
            }

            return (Fit.No(string.Join(", or ", missing.Distinct())), used);
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

    private static bool AnchorFits(Requirement need, Thing thing) =>
        need.At.IsDefaultOrEmpty || thing.AnchorAt.Any(need.At.Contains);

    private string Describe(Requirement need, List<Thing> known)
    {
        var what = _kinds.Label(need.Thing!);
        if (need.Count > 1)
        {
            what = $"{need.Count} × {what}";
        }

        if (need.HeightCm.Length == 2)
        {
            what += $" {Words.Number(need.HeightCm[0], 0)}–{Words.Number(need.HeightCm[1], 0)} cm high";
        }

        if (!need.At.IsDefaultOrEmpty)
        {
            what += " at " + string.Join(" or ", need.At.Select(Words.Of)) + " height";
        }

        var here = known.Count == 0 ? "none here" : "here only " + string.Join(", ", known.Take(3).Select(t => t.RuledOut is { } why ? $"{t.InWords}, never: {why}" : t.InWords));
        return $"needs {what} ({here})";
    }
}
