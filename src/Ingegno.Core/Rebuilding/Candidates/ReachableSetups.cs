using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Equipment.Loading.Objects;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Rebuilding.Candidates;

/// <summary>One way to do an exercise here, with its load.</summary>
/// <param name="SetupId">Set-up of the exercise.</param>
/// <param name="Text">Set-up and load in words.</param>
/// <param name="SystemKg">System load in kg.</param>
/// <param name="Range">Resistance over the rep in kg.</param>
/// <param name="ExternalKg">External load or mean band force in kg.</param>
/// <param name="Reps">Expected straight-set reps to failure in words; null where reps are not the measure.</param>
/// <param name="Step">Step of system load from the one before, as a share; null for the first.</param>
/// <param name="Estimated">The body's part is an estimate.</param>
/// <param name="Basis">What it rests on.</param>
/// <param name="Warnings">What to take care of.</param>
public sealed record ReachableSetup(
    string SetupId,
    string Text,
    double SystemKg,
    ResistanceRange Range,
    double ExternalKg,
    string? Reps,
    double? Step,
    bool Estimated,
    Reason Basis,
    ImmutableArray<Reason> Warnings
);

/// <summary>The largest step between neighbours.</summary>
/// <param name="After">Index of the set-up below the gap.</param>
/// <param name="Step">The step as a share of the lighter one.</param>
/// <param name="Fill">What would fill it, each with the step that is left.</param>
public sealed record LoadGap(int After, double Step, ImmutableArray<Reason> Fill);

/// <summary>All set-ups of an exercise at a place, lightest first.</summary>
public sealed record SetupRange(
    string ExerciseId,
    string Name,
    ImmutableArray<ReachableSetup> Setups,
    LoadGap? Gap,
    ImmutableArray<Reason> Missing
);

/// <summary>Lists every reachable set-up of an exercise at a place: what a ladder is built from.</summary>
public sealed class ReachableSetups(DomainRules domain)
{
    /// <summary>A step above this is worth filling: the ACSM position stand of 2009 raises load by 2–10 %.</summary>
    public const double WorthFilling = 0.10;

    /// <summary>Set-ups nearer to one another than this are one to a client; the simpler is kept.</summary>
    private const double Same = 0.015;

    private const int Most = 60;
    private const int MostFills = 3;

    /// <summary>Small things that a client can usually find, tried one by one to fill a gap.</summary>
    internal static readonly ImmutableArray<KitItem> EasyToFind =
    [
        new()
        {
            Id = "fill-bottle",
            Kind = "bottle",
            Count = 2,
            MassKg = 1.53,
        },
        new()
        {
            Id = "fill-half-bottle",
            Kind = "bottle",
            Name = "half-litre bottle of water",
            Count = 2,
            MassKg = 0.52,
        },
        new()
        {
            Id = "fill-rice",
            Kind = "rice",
            Count = 2,
            MassKg = 1,
        },
        new()
        {
            Id = "fill-brick",
            Kind = "brick",
            Count = 2,
            MassKg = 2.3,
        },
        new() { Id = "fill-rucksack", Kind = "rucksack" },
        new()
        {
            Id = "fill-jug",
            Kind = "jug",
            VolumeL = 5,
        },
        new()
        {
            Id = "fill-band",
            Kind = "band-loop",
            Name = "loop of 6 mm",
            RestLengthCm = 104,
            WidthMm = 6,
            ThicknessMm = 4.5,
        },
        new()
        {
            Id = "fill-band-2",
            Kind = "band-loop",
            Name = "loop of 13 mm",
            RestLengthCm = 104,
            WidthMm = 13,
            ThicknessMm = 4.5,
        },
        new()
        {
            Id = "fill-block",
            Kind = "books-block",
            HeightCm = 20,
        },
        new()
        {
            Id = "fill-step",
            Kind = "step",
            HeightCm = 30,
        },
        new()
        {
            Id = "fill-chair",
            Kind = "chair",
            HeightCm = 46,
        },
        new()
        {
            Id = "fill-table",
            Kind = "dining-table",
            HeightCm = 74,
        },
    ];

    /// <summary>All set-ups of an exercise for a client at a place, with the largest gap and what would fill it.</summary>
    /// <exception cref="ArgumentException">The kit names a kind that does not exist.</exception>
    public SetupRange For(Exercise exercise, ClientProfile client, PlaceKit place)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        ArgumentNullException.ThrowIfNull(client);
        ArgumentNullException.ThrowIfNull(place);
        var (setups, missing) = List(exercise, client, place);
        return new SetupRange(exercise.Id, exercise.Name, setups, Gap(exercise, client, place, setups), missing);
    }

    private (ImmutableArray<ReachableSetup> Setups, ImmutableArray<Reason> Missing) List(
        Exercise exercise,
        ClientProfile client,
        PlaceKit place
    )
    {
        var at = new ClientAtPlace(client, place, domain);
        var estimate = at.Strength.For(exercise);
        var found = new List<ReachableSetup>();
        var missing = new List<Reason>();
        foreach (var here in at.Ways.SetupsOf(exercise))
        {
            if (here.Missing is { } lacks)
            {
                missing.Add(Reason.Of("setups.missing", ("missing", lacks)));
            }

            foreach (var way in here.Ways)
            {
                if (way.Refused is { } refused)
                {
                    missing.Add(
                        Reason.Of(
                            "setups.not-up-to-it",
                            ("thing", refused.Thing),
                            ("load", Quantity.Kg(way.System.Kg, 0)),
                            ("sum", refused.Sum),
                            ("advice", refused.Advice)
                        )
                    );
                }
                else
                {
                    found.Add(Of(exercise, way, estimate));
                }
            }
        }

        return (Ordered(found), [.. missing.Distinct().Take(8)]);
    }

    private static ReachableSetup Of(Exercise exercise, Way way, StrengthEstimate? estimate)
    {
        var (setup, system) = (way.Setup, way.System);
        var reps =
            estimate is null || exercise.Measure == Measure.Seconds || system.Kg <= 0
                ? null
                : ClientStrength.RepsAt(estimate, system.Kg, exercise.Strength!.Curve).InWords;
        var care = way
            .Checks.Where(c => c.Verdict == Verdict.Care)
            .Select(c => Reason.Of("setups.check", ("sum", c.Sum), ("advice", c.Advice)));
        return new ReachableSetup(
            setup.Id,
            SetupText.Fill(setup.Text, way.Bindings, way.Load.InWords),
            system.Kg,
            system.Range,
            way.Load.MassKg,
            reps,
            null,
            system.Estimated,
            system.Basis,
            [.. care.Prepend(way.Load.Warning).OfType<Reason>()]
        );
    }

    /// <summary>Lightest first, nearly equal ones merged, with the step from one to the next.</summary>
    private static ImmutableArray<ReachableSetup> Ordered(List<ReachableSetup> found)
    {
        var ordered = new List<ReachableSetup>();
        foreach (var setup in found.OrderBy(s => s.SystemKg).ThenBy(s => s.Text.Length).ThenBy(s => s.Text, StringComparer.Ordinal))
        {
            if (ordered.Count > 0 && setup.SystemKg - ordered[^1].SystemKg <= Same * ordered[^1].SystemKg)
            {
                continue;
            }

            ordered.Add(
                setup with
                {
                    Step = ordered.Count == 0 || ordered[^1].SystemKg <= 0 ? null : (setup.SystemKg / ordered[^1].SystemKg) - 1,
                }
            );
        }

        return [.. ordered.Take(Most)];
    }

    private LoadGap? Gap(Exercise exercise, ClientProfile client, PlaceKit place, ImmutableArray<ReachableSetup> setups)
    {
        var widest = setups
            .Select((s, i) => (s.Step, Index: i))
            .Where(s => s.Step is not null)
            .OrderByDescending(s => s.Step)
            .FirstOrDefault();
        if (widest.Step is not { } step)
        {
            return null;
        }

        var (below, above) = (setups[widest.Index - 1].SystemKg, setups[widest.Index].SystemKg);
        return new LoadGap(widest.Index - 1, step, step <= WorthFilling ? [] : [.. Fills(exercise, client, place, below, above, step)]);
    }

    /// <summary>Tries easy finds one by one and keeps those that leave clearly smaller steps between the two.</summary>
    private IEnumerable<Reason> Fills(Exercise exercise, ClientProfile client, PlaceKit place, double below, double above, double step)
    {
        var helped =
            from item in EasyToFind
            let with = List(exercise, client, place with { Items = place.Items.Add(item) }).Setups
            let between = with.Where(s => s.SystemKg > below * (1 + Same) && s.SystemKg < above * (1 - Same))
                .Select(s => s.SystemKg)
                .Order()
                .ToList()
            where between.Count > 0
            let left = between.Prepend(below).Zip(between.Append(above), (a, b) => (b / a) - 1).Max()
            where left < step * 0.8
            orderby left, item.Id
            select (Name: new Thing(item, domain.KitKinds.Find(item.Kind)!).InWords, item.Count, Left: left);
        foreach (var (name, count, left) in helped.DistinctBy(h => Math.Round(h.Left, 3)).Take(MostFills))
        {
            yield return Reason.Of("gap.fill", ("count", count), ("thing", name), ("step", Quantity.Percent(left)));
        }

        if (exercise.Techniques.Contains(TechniqueName.SlowEccentric))
        {
            yield return Reason.Of("gap.slow-first");
        }
    }
}
