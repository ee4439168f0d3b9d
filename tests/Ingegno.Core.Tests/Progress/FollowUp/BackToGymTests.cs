using System.Collections.Immutable;
using CsCheck;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;
using Ingegno.Core.Progress.FollowUp;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.FollowUp;

/// <summary>The way back to the gym (docs/domain/progression, common practice).</summary>
[Trait("source", "common practice (docs/domain/progression): 4+ weeks away 70, 80, 90, 100 %; shorter breaks, shorter ramps")]
public class BackToGymTests
{
    private const string Week =
        "= Day 1\nBench press 4x8 @ 80 kg RIR 2\nBack squat 4x6 @ 100 kg\n\n= Day 2\nDumbbell bench press 3x10 2x10 kg\nPlank 3x40 s\nSeated cable row 3x10";

    [Theory]
    [InlineData(0, false, "1")]
    [InlineData(1, false, "0.9 1")]
    [InlineData(3, false, "0.8 0.9 1")]
    [InlineData(4, false, "0.7 0.8 0.9 1")]
    [InlineData(26, false, "0.7 0.8 0.9 1")]
    [InlineData(26, true, "0.8 0.9 1")]
    [InlineData(1, true, "0.9 1")]
    public void The_ramp_is_as_long_as_the_break(int weeks, bool keptUp, string shares) =>
        string.Join(' ', BackToGym.Ramp(weeks, keptUp).Select(s => Words.Number(s))).ShouldBe(shares);

    /// <summary>Nothing of the old load stays below the new one, and of several weeks one is gone back to, with a word.</summary>
    [Fact]
    public void Rows_that_were_read_together_leave_no_old_load_behind()
    {
        var back = new BackToGym(DomainRules.Shipped).Plan(
            "Back squat\n4x6 @ 100 kg\nBench press 3x5 @ 185 lb",
            new TimeAtHome(4, null, ImmutableDictionary<string, double>.Empty)
        );

        back.Weeks[0].Text.ShouldNotContain("100 kg");
        back.Weeks[0].Text.ShouldContain("125 lb");
        back.Weeks[0].Text.Split('\n').Length.ShouldBe(2);
    }

    [Fact]
    public void Of_several_weeks_the_first_is_gone_back_to_and_that_is_said()
    {
        var back = new BackToGym(DomainRules.Shipped).Plan(
            "Week 1\nBack squat 4x6 @ 100 kg\nWeek 2\nBack squat 4x6 @ 105 kg",
            new TimeAtHome(4, null, ImmutableDictionary<string, double>.Empty)
        );

        back.Weeks[0].Text.ShouldNotContain("105 kg");
        back.Notes[0].Code.ShouldBe("notice.several-weeks");
    }

    [Fact]
    public void Loads_rise_to_the_old_ones_and_keep_what_was_gained()
    {
        var back = Plan(12, adherence: 0.5, ("bench-press", 0.06), ("back-squat", -0.04));

        back.Lines[0].LoadsKg.ShouldBe([57.5, 67.5, 75, 82.5], "80 kg by 1.06 and the ramp, down to the next plates");
        back.Lines[0].Reason.Said().ShouldContain("rose by about 6 %");
        back.Lines[1].LoadsKg[^1].ShouldBe(95, "100 kg less 4 %");
        back.Lines[2].LoadsKg[0].ShouldBe(7, "10 kg a hand by .74, whole kilograms");
        back.Lines[3].LoadsKg.ShouldBeEmpty();
        back.Lines[4].Reason.Said().ShouldContain("by feel");
    }

    /// <summary>Half a percent is nothing that a plate could show.</summary>
    [Theory]
    [InlineData(null, "back.not-known")]
    [InlineData(0.0, "back.held")]
    [InlineData(0.004, "back.held")]
    [InlineData(-0.004, "back.held")]
    [InlineData(0.006, "back.rose")]
    [InlineData(-0.006, "back.fell")]
    public void What_strength_did_is_told_and_what_nobody_saw_is_not(double? change, string code)
    {
        var seen = change is { } known ? new[] { ("bench-press", known) } : [];

        Plan(12, 0.5, seen).Lines[0].Reason.Code.ShouldBe(code);
    }

    [Fact]
    public void Of_sets_with_loads_of_their_own_the_heaviest_is_the_old_load()
    {
        var back = new BackToGym(DomainRules.Shipped).Plan(
            "Deadlift 5/3/1 @ 100/140/120 kg",
            new TimeAtHome(12, 0.5, ImmutableDictionary<string, double>.Empty)
        );

        back.Lines[0].OldKg.ShouldBe(140);
    }

    [Fact]
    public void Who_comes_back_is_told_to_expect_sore_muscles()
    {
        Plan(12, adherence: 0.5).Notes.Select(n => n.Code).ShouldBe(["back.away", "back.note-loads", "back.sore"]);
        Plan(12, adherence: 0.9).Notes.ShouldContain(n => n.Code == "back.kept-up");
    }

    /// <summary>From 12 kg down dumbbells come by the kilogram, above it plates by two and a half; less than one is none.</summary>
    [Theory]
    [Trait("source", "common practice")]
    [InlineData("20 kg", 13.9, 12.5)]
    [InlineData("17 kg", 11.8, 11)]
    [InlineData("17.5 kg", 12.2, 12)]
    [InlineData("1 kg", 0.7, 1)]
    public void Loads_go_down_to_what_a_gym_has(string load, double less, double rounded)
    {
        // A year away: the ramp begins at seven tenths.
        var back = new BackToGym(DomainRules.Shipped).Plan(
            $"Bench press 3x8 {load}",
            new TimeAtHome(52, 0, ImmutableDictionary<string, double>.Empty)
        );

        back.Lines[0].LoadsKg[0].ShouldBe(rounded, $"about {less}");
    }

    [Fact]
    public void It_is_a_gym_program_that_can_be_read_again()
    {
        var back = Plan(12, adherence: 0.9, ("bench-press", 0.02));

        back.Weeks.Select(w => w.Name).ShouldBe(["Back, week 1 of 3", "Back, week 2 of 3", "Back, week 3 of 3"]);
        foreach (var week in back.Weeks)
        {
            var read = new ShorthandParser(DomainRules.Shipped.Names).Parse(week.Text);
            read.Errors.ShouldBeEmpty(week.Text);
            read.Lines.Length.ShouldBe(5);
            read.Days.Length.ShouldBe(2);
        }

        back.Weeks[0].Text.ShouldContain("RIR 3", Case.Sensitive, "easier in the first week");
        back.Weeks[2].Text.ShouldContain("RIR 2");
    }

    [Fact]
    public void A_main_lift_without_a_load_starts_from_what_is_known_of_it()
    {
        GymReturn Plan(Core.Clients.Profiles.ClientProfile client) =>
            new BackToGym(DomainRules.Shipped).Plan(
                "Bench press 4x8 RIR 2\nBack squat 3x5\nSeated cable row 3x10",
                new TimeAtHome(1, null, ImmutableDictionary<string, double>.Empty),
                client
            );
        var known = Plan(Support.Examples.ClientA);

        // Bench 85 kg, ten reps to failure: 85 · 30 / 40 = 63.75; 90 % of it is 57.4. Down to the next plates.
        known.Lines[0].LoadsKg.ShouldBe([55, 62.5]);
        known.Lines[0].Reason.Said().ShouldContain("rests on bench press 85 kg");
        known.Lines[1].LoadsKg[^1].ShouldBeInRange(75, 100, "squat 110 kg, seven reps to failure, the body's part taken off");
        known.Lines[2].LoadsKg.ShouldBeEmpty("no main lift: by feel");
        Plan(Support.Examples.ClientB).Lines.ShouldAllBe(l => l.LoadsKg.IsEmpty, "level alone is too little to load a bar by");
    }

    /// <summary>Percent come back in percent, RPE in RPE, waves set by set.</summary>
    [Theory]
    [InlineData("Back squat 5x5 @ 80%", 12, "5x5 @ 55%", "5x5 @ 80%")]
    [InlineData("Bench press 3x8 @ RPE 9", 12, "@ RPE 7", "@ RPE 9")]
    [InlineData("Deadlift 5/3/1 @ 75/85/95%", 12, "52.5/57.5/65%", "75/85/95%")]
    [InlineData("Bench press 4x8 @ 80 kg RIR 1", 12, "RIR 3 @ 55 kg", "RIR 1 @ 80 kg")]
    [InlineData("Bench press 4x8 @ 80 kg", 12, "RIR 3 @ 55 kg", "Bench press 4x8 @ 80 kg")]
    [InlineData("Bench press 4x8 @ 80 kg RIR 4", 12, "RIR 4 @ 55 kg", "RIR 4 @ 80 kg")]
    [InlineData("Bench press 3x8 @ RPE 8-9", 12, "@ RPE 7", "@ RPE 8-9")]
    [InlineData("Bench press 3x8 @ RPE 6", 12, "@ RPE 6", "@ RPE 6")]
    [InlineData("Deadlift 5/3/1 @ 100/120/140 kg", 12, "70/82.5/97.5 kg", "100/120/140 kg")]
    [InlineData("Deadlift 5/3/1 @ RPE 7/8/9", 12, "RPE 7/7/7", "RPE 7/8/9")]
    [InlineData(
        "Bench press 12/10/8 @ 40/45/50 kg",
        12,
        "1x12 @ 27.5 kg, 1x10 @ 30 kg, 1x8 @ 35 kg",
        "1x12 @ 40 kg, 1x10 @ 45 kg, 1x8 @ 50 kg"
    )]
    [InlineData("Bench press 4x8 @ 80 kg RIR 1", 0, "RIR 1 @ 80 kg", "RIR 1 @ 80 kg")] // nobody was away
    public void The_way_it_was_written_is_kept(string line, int weeks, string first, string last)
    {
        var back = new BackToGym(DomainRules.Shipped).Plan(line, new TimeAtHome(weeks, null, ImmutableDictionary<string, double>.Empty));

        back.Weeks[0].Text.Replace(" ", "").ShouldContain(first.Replace(" ", ""), Case.Insensitive, back.Weeks[0].Text);
        back.Weeks[^1].Text.Replace(" ", "").ShouldContain(last.Replace(" ", ""), Case.Insensitive, back.Weeks[^1].Text);
        back.Lines[0].Reason.Said().ShouldNotContain("held", Case.Insensitive, "nothing was logged");
    }

    /// <summary>A hold has no reps to keep in reserve, and a share of the maximum that is told by itself stays one.</summary>
    [Fact]
    public void A_hold_comes_back_as_it_was_and_an_estimated_load_is_written_down()
    {
        GymReturn Back(string line) =>
            new BackToGym(DomainRules.Shipped).Plan(
                line,
                new TimeAtHome(12, null, ImmutableDictionary<string, double>.Empty),
                Support.Examples.ClientA
            );

        Back("Plank 3x40 s").Weeks[0].Text.ShouldBe("Plank 3x40 s");
        Back("Bench press 4x8 RIR 2").Weeks[^1].Text.ShouldBe("Bench press 4x8 RIR 2 @ 62.5 kg");
    }

    [Fact]
    public void A_lift_that_is_related_to_a_known_one_gets_its_load_a_piece()
    {
        var back = new BackToGym(DomainRules.Shipped).Plan(
            "Dumbbell bench press 3x8 RIR 2\nRomanian deadlift 3x8",
            new TimeAtHome(0, null, ImmutableDictionary<string, double>.Empty),
            Support.Examples.ClientA
        );

        // Bench 85, both dumbbells .82 of it: 69.7; ten to failure 52.3, in each hand 26.1, down to the next.
        back.Lines[0].LoadsKg.ShouldBe([25]);
        back.Lines[1].LoadsKg[0].ShouldBeInRange(50, 90);
    }

    [Fact]
    public void Strength_that_fell_spares_no_step() => Plan(12, adherence: 0.9, ("bench-press", -0.05)).Shares.Length.ShouldBe(4);

    [Fact]
    public void Loads_never_fall_from_week_to_week_nor_pass_the_old_by_more_than_a_tenth() =>
        Gen.Select(Gen.Int[0, 60], Gen.Double[0, 1], Gen.Double[-0.5, 0.5])
            .Sample(
                (weeks, adherence, change) =>
                    Plan(weeks, adherence, ("bench-press", change)).Lines[0].LoadsKg is var loads
                    && loads.SequenceEqual(loads.Order())
                    && loads.All(kg => kg <= 80 * 1.1 + 1e-9)
                    && loads[0] >= 80 * 0.7 * 0.9 - 2.5
            );

    [Fact]
    public void An_empty_week_leads_nowhere_and_says_so() =>
        new BackToGym(DomainRules.Shipped)
            .Plan("", new TimeAtHome(5, null, ImmutableDictionary<string, double>.Empty))
            .Lines.ShouldBeEmpty();

    private static GymReturn Plan(int weeks, double adherence, params (string Anchor, double Change)[] change) =>
        new BackToGym(DomainRules.Shipped).Plan(
            Week,
            new TimeAtHome(weeks, adherence, change.ToImmutableDictionary(c => c.Anchor, c => c.Change))
        );
}
