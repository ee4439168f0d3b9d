using System.Collections.Immutable;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Equipment.Loading;

/// <summary>Where a place takes its loads from (common practice), and that the short question has the answer of the long one.</summary>
public class ReachableLoadsTests
{
    [Theory]
    [InlineData("mat", "")]
    [InlineData("2x 10 kg dumbbell", "Pair One")]
    [InlineData("10 kg dumbbell", "One")]
    [InlineData("10 kg dumbbell; 12 kg kettlebell", "One Mixed")]
    [InlineData("barbell 20 kg with 40 kg of plates", "One Bar")]
    [InlineData("trap bar 25 kg with 40 kg of plates", "One TrapBar")]
    [InlineData("cable column 80 kg", "Stack")]
    [InlineData("weight vest 10 kg", "Worn")]
    [InlineData("rucksack 25 L", "")]
    [InlineData("rucksack 25 L; 6 bottles 1.5 L", "Pair One Worn Held")]
    [InlineData("20 kg sandbag", "Held")]
    [InlineData("bucket 10 L", "Held")]
    [InlineData("2 buckets 10 L", "Pair Held")]
    public void A_place_has_these_sources(string kit, string sources)
    {
        var loads = new ReachableLoads(new ClientAtPlace(Examples.ClientA, Examples.KitOf(kit), DomainRules.Shipped).Kit);
        var all = Enum.GetValues<LoadSource>();

        string.Join(' ', all.Where(s => !loads.From([s]).IsEmpty)).ShouldBe(sources);
        string.Join(' ', all.Where(s => loads.Any([s]))).ShouldBe(sources);
        loads.Any([.. all]).ShouldBe(sources.Length > 0, "one of them is enough");
    }
}
