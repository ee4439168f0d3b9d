using ArchUnitNET.Domain;
using ArchUnitNET.Domain.Extensions;
using ArchUnitNET.Fluent.Slices;
using ArchUnitNET.Loader;
using ArchUnitNET.xUnit;
using Ingegno.Core.Knowledge.Rules;
using Assembly = System.Reflection.Assembly;

namespace Ingegno.Core.Tests.Architecture;

/// <summary>The rooms of the core stand on floors; each leans on those below it alone (docs/architecture.md).</summary>
public class ModuleTests
{
    /// <summary>The rooms from the ground up. A room may use what stands above it in this list.</summary>
    private static readonly string[] Rooms =
    [
        "Foundation.Reasons",
        "Foundation.Text",
        "Foundation.Quantities",
        "Foundation.Body",
        "Equipment.Kit",
        "Equipment.Loading.Packing",
        "Equipment.Loading.Bands",
        "Equipment.Loading.Objects",
        "Equipment.Loading.Sketches",
        "Equipment.Loading",
        "Knowledge.Figures",
        "Knowledge.Exercises",
        "Knowledge.Naming",
        "Knowledge.SetSchemes",
        "Knowledge.Rules",
        "Clients.Health",
        "Clients.Profiles",
        "Clients.Strength",
        "Programs.Lines",
        "Programs.Reading",
        "Programs.Exchange",
        "Programs.HomePlans",
        "Programs.Commands",
        "Rebuilding.Dosing",
        "Rebuilding.Days",
        "Rebuilding.Candidates",
        "Rebuilding.PlanChecks",
        "Rebuilding.Weeks.Choosing",
        "Rebuilding.Weeks",
        "Rebuilding.PracticeData",
        "Progress.Logs",
        "Progress.Ladders",
        "Progress.Progression",
        "Progress.Blocks",
        "Progress.FollowUp",
        "Progress.ClientApp",
    ];

    private static readonly Assembly Core = typeof(DomainRules).Assembly;
    private static readonly Lazy<ArchUnitNET.Domain.Architecture> Model = new(() => new ArchLoader().LoadAssemblies(Core).Build());

    [Fact]
    public void Every_type_of_the_core_lives_in_a_room() =>
        Core.GetTypes()
            .Where(t => t.Namespace?.StartsWith("Ingegno.Core", StringComparison.Ordinal) ?? false)
            .Select(t => Room(t.Namespace!))
            .Distinct()
            .Except(Rooms)
            .ShouldBeEmpty();

    [Fact]
    public void A_room_leans_on_those_below_it_alone()
    {
        var upward =
            from type in Model.Value.Types
            where type.ResidesInAssembly(Core.FullName!)
            let at = Array.IndexOf(Rooms, Room(type.Namespace.FullName))
            from used in type.Dependencies.Select(d => d.Target).Where(t => t is not GenericParameter)
            where used.Namespace?.FullName.StartsWith("Ingegno.Core.", StringComparison.Ordinal) ?? false
            where Array.IndexOf(Rooms, Room(used.Namespace.FullName)) > at
            select $"{type.FullName} uses {used.FullName}";

        upward.Distinct().ShouldBeEmpty();
    }

    [Fact]
    public void No_rooms_go_round_in_a_circle() =>
        SliceRuleDefinition.Slices().Matching("Ingegno.Core.(**)").Should().BeFreeOfCycles().Check(Model.Value);

    private static string Room(string space) => space["Ingegno.Core.".Length..];
}
