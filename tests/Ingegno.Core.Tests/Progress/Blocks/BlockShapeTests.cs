using System.Collections.Immutable;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Blocks;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Rebuilding.Dosing;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.Blocks;

/// <summary>How many weeks, in which phases, which of them lighter, and what leads up to an event.</summary>
public class BlockShapeTests
{
    private static readonly DateOnly Monday = BlockExamples.Monday;
    private static readonly BlockRules Rules = DomainRules.Shipped.Blocks;

    [Fact]
    public void Phases_share_the_weeks_and_the_last_week_is_lighter()
    {
        var six = Propose("tension", 6);
        six.Phases.Select(p => (p.Name, p.Weeks))
            .ShouldBe([("Stability", 2), ("Strength", 2), ("Size", 2)], "five weeks of work in three, and the lighter one");
        six.LighterWeeks.ShouldBe([6]);
        six.Ends.ShouldBe(Monday.AddDays(41));
        Propose("tension", 4).Phases.Select(p => p.Weeks).ShouldBe([1, 1, 2]);
        Propose("mirror", null).Phases.ShouldBe([new BlockPhase("Mirror", 5, "mirror")], "without phases it is one");
    }

    [Theory]
    [InlineData(2, 4)]
    [InlineData(9, 6)]
    [InlineData(5, 5)]
    public void Four_to_six_weeks(int asked, int weeks) => Propose("mirror", asked).Weeks.ShouldBe(weeks, "docs/domain/progression");

    [Fact]
    public void A_block_ends_with_the_week_of_its_event_and_needs_no_other_lighter_week()
    {
        var setup = BlockShape.Propose(DomainRules.Shipped.ApproachOf("mirror"), Rules, Monday, null, Monday.AddDays(33));
        setup.Weeks.ShouldBe(5);
        setup.LighterWeeks.ShouldBeEmpty();
        Enumerable
            .Range(1, 5)
            .Select(w => BlockShape.KindOf(setup, w))
            .ShouldBe([WeekKind.Build, WeekKind.Build, WeekKind.Build, WeekKind.Taper, WeekKind.Event]);

        var far = BlockShape.Propose(DomainRules.Shipped.ApproachOf("mirror"), Rules, Monday, null, Monday.AddDays(100));
        (far.Weeks, far.LighterWeeks[0]).ShouldBe((6, 6));
        Enumerable.Range(1, 6).ShouldAllBe(w => BlockShape.KindOf(far, w) == (w == 6 ? WeekKind.Lighter : WeekKind.Build));
        BlockShape.KindOf(setup with { EventOn = Monday.AddDays(16) }, 4).ShouldBe(WeekKind.Lighter, "the week after an event");
    }

    [Fact]
    public void Weeks_run_seven_days_from_the_start()
    {
        var setup = Propose("tension", 6);
        setup.WeekOf(Monday.AddDays(-1)).ShouldBe(0);
        setup.WeekOf(Monday).ShouldBe(1);
        setup.WeekOf(Monday.AddDays(6)).ShouldBe(1);
        setup.WeekOf(Monday.AddDays(7)).ShouldBe(2);
        setup.StartOf(3).ShouldBe(Monday.AddDays(14));
        setup.PhaseOf(3).Name.ShouldBe("Strength");
        setup.PhaseOf(9).Name.ShouldBe("Size");
    }

    [Theory]
    [InlineData(2)]
    [InlineData(3)]
    [InlineData(4)]
    [InlineData(5)]
    [InlineData(6)]
    [Trait(
        "source",
        "Bosquet, Montpetit, Arvisais, Mujika 2007, Effects of tapering on performance: a meta-analysis (from memory): 41-60 % less volume over two weeks"
    )]
    public void The_last_two_weeks_before_an_event_take_away_about_half_of_the_work(int sets)
    {
        var dose = Dose(sets);
        var left = BlockShape.Shaped(dose, WeekKind.Taper, Rules).Sets + BlockShape.Shaped(dose, WeekKind.Event, Rules).Sets;
        (1 - (left / (2.0 * sets))).ShouldBeInRange(0.40, 0.60);
    }

    [Fact]
    public void A_lighter_week_halves_the_sets_and_gives_up_reps_only_for_what_must_stay_in_reserve()
    {
        BlockShape
            .Shaped(Dose(3), WeekKind.Lighter, Rules)
            .ShouldBe(Dose(3) with { Sets = 2, SetsBefore = 3 }, "docs/domain/progression: half the sets, same load");
        BlockShape.Shaped(Dose(1), WeekKind.Lighter, Rules).Sets.ShouldBe(1);
        BlockShape.Shaped(Dose(4), WeekKind.Build, Rules).ShouldBe(Dose(4));

        var toEvent = BlockShape.Shaped(Dose(4) with { Rir = 0 }, WeekKind.Event, Rules);
        (toEvent.Sets, toEvent.Rir, toEvent.Target).ShouldBe(
            (2, 2, new SetTarget(6, 10)),
            "two reps less, two more in reserve: the load stays"
        );
        var twice = BlockShape.Shaped(BlockShape.Shaped(Dose(4), WeekKind.Taper, Rules), WeekKind.Event, Rules);
        (twice.Sets, twice.SetsBefore).ShouldBe((2, 4), "a share of the full sets, not of those left");
        LighterWeek.Full(twice).Sets.ShouldBe(4);
    }

    [Fact]
    public void What_cannot_be_is_said()
    {
        var good = Propose("tension", 6);
        Faults(good).ShouldBeEmpty();
        Faults(good with { Phases = [] }).ShouldContain(f => f.Contains("at least one phase"));
        Faults(good with { Phases = [new BlockPhase("Long", 7)] }).ShouldContain("A block has 4 to 6 weeks; these phases have 7.");
        Faults(good with { Phases = [new BlockPhase("x", 4, "nothing")] }).ShouldContain(f => f.Contains("no approach \"nothing\""));
        Faults(good with { Phases = [new BlockPhase("x", 4, "tension", "Speed")] }).ShouldContain("Tension has no phase \"Speed\".");
        Faults(good with { LighterWeeks = [7] }).ShouldContain("Lighter weeks lie between 1 and 6.");
        Faults(good with { EventOn = Monday.AddDays(-1) })
            .ShouldContain(f => f.StartsWith("The event lies before the block", StringComparison.Ordinal));
        Faults(good with { EventName = new string('x', 61) }).ShouldNotBeEmpty();
        Faults(good with { EventName = new string('x', 60) }).ShouldBeEmpty();
        BlockEdit InWeek(int week) => new(week, new() { Line = new LineKey(1), ExerciseId = "push-up" });
        Faults(good with { Edits = [InWeek(0)] }).ShouldNotBeEmpty();
        Faults(good with { Edits = [InWeek(1), InWeek(6)] }).ShouldBeEmpty();
        Faults(good with { Edits = [InWeek(1), InWeek(7)] }).ShouldHaveSingleItem().ShouldContain("6");
        Faults(good with { Edits = [.. Enumerable.Repeat(InWeek(2), 500)] }).ShouldBeEmpty();
        Faults(good with { Edits = [.. Enumerable.Repeat(InWeek(2), 501)] }).ShouldNotBeEmpty();
        Faults(good with { Edits = default }).ShouldNotBeEmpty();
    }

    [Fact]
    public void A_phase_changes_what_main_lines_ask_for_and_leaves_accessories_their_reps()
    {
        var strength = DomainRules.Shipped.ApproachOf("tension").InPhase("Strength");
        var line = new GymLine
        {
            Line = 1,
            ExerciseId = "bench-press",
            Name = "Bench press",
            Sets = 3,
            Target = new SetTarget(12, 15),
        };
        strength.Intent(line, LineRole.Main, 90).Target.ShouldBe(new SetTarget(5, 8));
        strength.Intent(line, LineRole.Accessory, 90).Target.ShouldBe(new SetTarget(12, 15), "five reps of a lateral raise help nobody");
        strength.Intent(line, LineRole.Accessory, 90).Rir.ShouldBe(2);
        DomainRules.Shipped.ApproachOf("tension").InPhase("Size").Intent(line, LineRole.Main, 90).Rir.ShouldBe(1);
        DomainRules.Shipped.ApproachOf("tension").InPhase("no such").Phase.ShouldBeNull();
    }

    private static BlockSetup Propose(string approach, int? weeks) =>
        BlockShape.Propose(DomainRules.Shipped.ApproachOf(approach), Rules, Monday, weeks);

    private static ImmutableArray<string> Faults(BlockSetup setup) =>
        [.. BlockShape.Faults(setup, Rules, DomainRules.Shipped).Select(f => f.Said())];

    private static Dose Dose(int sets) =>
        new()
        {
            Sets = sets,
            Target = new SetTarget(8, 12),
            Tempo = Tempo.Parse("2-0-1-0"),
            RestSeconds = 90,
            Rir = 2,
        };
}
