using System.Collections.Immutable;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading.Bands;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Rebuilding.PracticeData;

/// <summary>
/// What a schema cannot see: references that lead nowhere, neighbours that do not know each other, families out of
/// order, requirements that name unknown kit, set-up texts with roles that nothing plays.
/// </summary>
public static class CatalogueCheck
{
    /// <summary>All faults found, each as a sentence that names the exercise; empty when the catalogue is sound.</summary>
    public static ImmutableArray<string> Faults(
        ExerciseCatalogue catalogue,
        KitKinds kinds,
        StrengthTables strength,
        IReadOnlyCollection<string> techniques
    )
    {
        ArgumentNullException.ThrowIfNull(catalogue);
        var names = catalogue
            .All.SelectMany(e => e.Synonyms.Prepend(e.Name).Select(n => (Name: Words.Normalise(n), e.Id)))
            .GroupBy(n => n.Name)
            .Where(g => g.Select(n => n.Id).Distinct().Count() > 1)
            .Select(g => $"the name \"{g.Key}\" stands for {Words.Join([.. g.Select(n => n.Id)])}");
        return
        [
            .. names.Concat(catalogue.All.SelectMany(e => Faults(e, catalogue, kinds, strength, techniques).Select(f => $"{e.Id}: {f}"))),
        ];
    }

    /// <summary>
    /// What is wrong with an exercise that a practice adds or changes, as sentences; empty when nothing is. Unlike the
    /// shipped ones its neighbours need not point back.
    /// </summary>
    /// <param name="own">The exercise.</param>
    /// <param name="domain">The trade that it would be part of, itself included.</param>
    public static ImmutableArray<string> FaultsOfOwn(Exercise own, DomainRules domain)
    {
        ArgumentNullException.ThrowIfNull(own);
        ArgumentNullException.ThrowIfNull(domain);
        var names = own.Synonyms.Prepend(own.Name).Select(Words.Normalise).ToHashSet();
        var taken =
            from other in domain.Catalogue.All
            where other.Id != own.Id
            from name in other.Synonyms.Prepend(other.Name)
            where names.Contains(Words.Normalise(name))
            select $"the name \"{name}\" already stands for {other.Name}";
        var techniques = domain.Techniques.Select(t => t.Of).ToHashSet();
        return
        [
            .. OwnExerciseLimits
                .Faults(own)
                .Concat(taken)
                .Concat(Faults(own, domain.Catalogue, domain.KitKinds, domain.Strength, techniques, mutual: false))
                .Select(f => Words.Sentence(f) + "."),
        ];
    }

    private static IEnumerable<string> Faults(
        Exercise e,
        ExerciseCatalogue catalogue,
        KitKinds kinds,
        StrengthTables strength,
        IReadOnlyCollection<string> techniques,
        bool mutual = true
    )
    {
        foreach (var (id, back) in new[] { (e.Easier, (Func<Exercise, string?>)(o => o.Harder)), (e.Harder, o => o.Easier) })
        {
            if (id is null)
            {
                continue;
            }

            var other = catalogue.Find(id);
            if (other is null)
            {
                yield return $"its neighbour {id} does not exist";
            }
            else if (mutual && back(other) != e.Id)
            {
                yield return $"its neighbour {id} does not point back";
            }
            else if (other.Family != e.Family || (id == e.Harder ? other.Rung <= e.Rung : other.Rung >= e.Rung))
            {
                yield return $"its neighbour {id} is not the next rung of the same family";
            }
        }

        if (Math.Abs(e.Muscles.Values.DefaultIfEmpty().Max() - 1) > 1e-9)
        {
            yield return "the strongest involvement of a muscle must be 1";
        }

        if (e.AtHome && e.Setups.IsDefaultOrEmpty)
        {
            yield return "an exercise for the home needs a set-up";
        }

        if (e.AtHome && (e.Cues.Length is 0 or > 3))
        {
            yield return "an exercise for the home has one to three cues";
        }

        if (e.Strength is { } relation && strength.Find(relation.Anchor) is null)
        {
            yield return $"the anchor lift {relation.Anchor} does not exist";
        }

        foreach (var technique in e.Techniques.Where(t => !techniques.Contains(t)))
        {
            yield return $"the technique {technique} does not exist";
        }

        foreach (var setup in e.Setups)
        {
            foreach (var fault in Faults(setup, kinds))
            {
                yield return $"set-up {setup.Id}: {fault}";
            }
        }
    }

    private static IEnumerable<string> Faults(Setup setup, KitKinds kinds)
    {
        var leaves = setup.Needs is null ? [] : Leaves(setup.Needs).ToList();
        foreach (var leaf in leaves.Where(l => l.Thing is null || !kinds.Knows(l.Thing)))
        {
            yield return $"needs unknown kit \"{leaf.Thing}\"";
        }

        var roles = leaves.Select(l => l.As ?? l.Thing).ToHashSet();
        foreach (var role in SetupText.Roles(setup.Text).Where(r => r != SetupText.LoadRole && !roles.Contains(r)))
        {
            yield return $"nothing plays the role {{{role}}} of its text";
        }

        var played = setup
            .Checks.Select(c => c.Role)
            .Concat(new[] { setup.Load.Leverage?.Hands, setup.Load.Leverage?.Feet, setup.Load.Leverage?.Grip }.OfType<string>());
        foreach (var role in played.Where(r => !roles.Contains(r)))
        {
            yield return $"a check or its leverage rests on {role}, which nothing plays";
        }

        if (
            setup.Load.Band is { } band
            && (band.Rig == Equipment.Loading.Bands.BandRigKind.Anchored ? band.Travel <= 0 : band.Start == band.End)
        )
        {
            yield return "its band does not change its length over the rep";
        }

        if (setup.Load.BodyShareByHeight is { } byHeight)
        {
            if (!roles.Contains(byHeight.Role))
            {
                yield return $"the load depends on the height of {byHeight.Role}, which nothing plays";
            }

            if (byHeight.Points.Zip(byHeight.Points.Skip(1)).Any(p => p.First[0] >= p.Second[0]))
            {
                yield return "the heights of its load points must rise";
            }
        }
    }

    private static IEnumerable<Requirement> Leaves(Requirement need) =>
        need.All.IsDefaultOrEmpty && need.Any.IsDefaultOrEmpty ? [need] : need.All.Concat(need.Any).SelectMany(Leaves);
}
