using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Rebuilding.PracticeData;

namespace Ingegno.Core.Tests.Rebuilding.Dosing;

/// <summary>Approaches that a coach writes are looked over before they are kept.</summary>
public class ApproachCheckTests
{
    private static readonly Approach Good = DomainRules.Shipped.ApproachOf("tension") with { Id = "boathouse", Name = "Boathouse" };

    [Fact]
    public void Every_approach_that_ships_is_good() =>
        DomainRules.Shipped.Approaches.ShouldAllBe(a => ApproachCheck.Faults(a, DomainRules.Shipped).IsEmpty);

    public static TheoryData<string, Approach> Wrong() =>
        new()
        {
            { "key is made of lower-case words", Good with { Id = "Boat house" } },
            { "name has 1 to 60", Good with { Name = "" } },
            { "idea takes 1 to 400", Good with { Idea = "" } },
            { "speaks against it takes", Good with { Against = new string('x', 401) } },
            { "note takes at most", Good with { Note = new string('x', 401) } },
            { "Reps run from", Good with { Reps = new Bounds(12, 8) } },
            { "Sets run from", Good with { Sets = new Bounds(0, 3) } },
            { "Rests run from", Good with { Rest = new Bounds(30, 900) } },
            { "Reps in reserve lie", Good with { Rir = 11 } },
            { "no technique \"levitate\"", Good with { Prefers = ["levitate"] } },
            { "preferred and avoided", Good with { Prefers = ["pause"], Avoids = ["pause"] } },
            { "Standards are at most", Good with { Standards = [500] } },
            { "A phase has a name", Good with { Phases = [new ApproachPhase("Size", 0, null, null, 1, "more")] } },
            { "Reps of Size", Good with { Phases = [new ApproachPhase("Size", 1, new Bounds(9, 3), null, 1, "more")] } },
        };

    [Theory]
    [MemberData(nameof(Wrong))]
    public void What_is_wrong_is_said(string says, Approach wrong)
    {
        ApproachCheck.Faults(Good, DomainRules.Shipped).ShouldBeEmpty();
        ApproachCheck.Faults(wrong, DomainRules.Shipped).ShouldContain(f => f.Contains(says));
    }

    [Theory]
    [InlineData(-1, false)]
    [InlineData(0, true)]
    [InlineData(10, true)]
    [InlineData(11, false)]
    public void Reps_in_reserve_run_from_none_to_ten(int rir, bool good) =>
        ApproachCheck.Faults(Good with { Rir = rir }, DomainRules.Shipped).IsEmpty.ShouldBe(good);

    /// <summary>Both sides of every limit of a phase.</summary>
    [Theory]
    [InlineData(1, 1, 0, true)]
    [InlineData(0, 1, 0, false)]
    [InlineData(60, 1, 0, true)]
    [InlineData(61, 1, 0, false)]
    [InlineData(5, 0, 0, false)]
    [InlineData(5, 100, 0, true)]
    [InlineData(5, 101, 0, false)]
    [InlineData(5, 1, -1, false)]
    [InlineData(5, 1, 10, true)]
    [InlineData(5, 1, 11, false)]
    public void A_phase_keeps_to_its_limits(int nameLength, int share, int rir, bool good)
    {
        var phase = new ApproachPhase(new string('x', nameLength), share, null, null, rir, "more");
        var faults = ApproachCheck.Faults(Good with { Phases = [phase] }, DomainRules.Shipped);

        faults.IsEmpty.ShouldBe(good);
        ApproachCheck
            .Faults(Good with { Phases = [phase with { Rir = null }] }, DomainRules.Shipped)
            .Length.ShouldBe(nameLength is 0 or 61 || share is 0 or 101 ? 1 : 0, "said once");
    }

    [Fact]
    public void Lists_that_were_left_out_do_not_break_it() =>
        ApproachCheck
            .Faults(Good with { Prefers = default, Avoids = default, Standards = default, Phases = default }, DomainRules.Shipped)
            .ShouldBeEmpty();
}
