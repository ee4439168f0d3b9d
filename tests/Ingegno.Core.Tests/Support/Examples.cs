using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Dosing;
using Ingegno.Core.Rebuilding.Weeks;

namespace Ingegno.Core.Tests.Support;

/// <summary>Clients and kits that several tests share; the two clients are those of docs/domain/strength-relations.</summary>
internal static class Examples
{
    /// <summary>Client A of docs/domain/strength-relations: man, 80 kg, 1.80 m, intermediate, four lifts known.</summary>
    public static ClientProfile ClientA { get; } =
        new()
        {
            Level = Level.Intermediate,
            Goal = Goal.Muscle,
            Sex = Sex.Male,
            BodyMassKg = 80,
            StatureCm = 180,
            KnownLifts = [new("bench-press", 85), new("overhead-press", 55), new("back-squat", 110), new("barbell-row", 75)],
        };

    /// <summary>Client B of docs/domain/strength-relations: woman, 62 kg, 1.65 m, beginner, nothing known.</summary>
    public static ClientProfile ClientB { get; } =
        new()
        {
            Level = Level.Beginner,
            Goal = Goal.GeneralFitness,
            Sex = Sex.Female,
            BodyMassKg = 62,
            StatureCm = 165,
        };

    /// <summary>A kit from short words such as "dumbbell 8 x2", "ottoman", "band-loop 12".</summary>
    public static PlaceKit Kit(params string[] items) => new() { Name = "home", Items = [.. items.Select(Item)] };

    /// <summary>A place as a coach would type it, things parted by semicolons.</summary>
    public static PlaceKit KitOf(string text)
    {
        var reader = new KitParagraph(new KitShorthand(DomainRules.Shipped.KitKinds, DomainRules.Shipped.ReadyItems));
        var things = text.Split(';', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)
            .SelectMany(t => reader.Read(t));
        return new PlaceKit { Name = "here", Items = [.. things.Select((f, i) => f.Entry.Item! with { Id = $"thing-{i}" })] };
    }

    public static RebuildResult Rebuild(ClientProfile client, PlaceKit kit, params string[] gymLines) =>
        new RebuildEngine(DomainRules.Shipped).Rebuild(
            new RebuildRequest
            {
                Client = client,
                Kit = kit,
                GymLines = [.. gymLines],
            }
        );

    /// <summary>Ids of the home exercises chosen for the last line.</summary>
    public static ImmutableArray<string> ChosenForLast(RebuildResult result)
    {
        result.Errors.ShouldBeEmpty();
        return [.. result.Plan.Lines[^1].Chosen!.Exercises.Select(e => e.ExerciseId)];
    }

    public static Exercise Exercise(string id) => DomainRules.Shipped.Catalogue.Get(id);

    /// <summary>Steps of techniques that client A may take in an exercise, whatever is at the place.</summary>
    public static ImmutableArray<Technique> TechniquesFor(string id) =>
        TechniqueFit.Fitting(Exercise(id), ClientA, DomainRules.Shipped.ApproachOf(null), DomainRules.Shipped.Techniques);

    private static KitItem Item(string words, int index)
    {
        var parts = words.Split(' ');
        var item = new KitItem { Id = $"k{index + 1}", Kind = parts[0] };
        foreach (var part in parts.Skip(1))
        {
            if (part[0] == 'x')
            {
                item = item with { Count = int.Parse(part[1..]) };
                continue;
            }

            var number = double.Parse(part);
            var measures = DomainRules.Shipped.KitKinds.Find(item.Kind)!.Measures;
            item =
                measures.Contains(KitMeasure.Height) ? item with { HeightCm = number }
                : measures.Contains(KitMeasure.Force) ? item with { ForceKg = number }
                : item with { MassKg = number };
        }

        return item;
    }
}
