using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Rebuilding.Weeks;

/// <summary>Every figure can be set, and what is expected follows.</summary>
public class HomeEditTests
{
    private static readonly RebuildRequest Request = new()
    {
        Client = Examples.ClientA,
        Kit = Examples.Kit("dumbbell 12 x2", "dumbbell 20 x2"),
        GymLines = ["Dumbbell overhead press 3x10 RIR 2 2 min"],
        Choices = [new CoachChoice(new LineKey(1), "dumbbell-overhead-press")],
    };

    [Fact]
    public void A_slower_tempo_costs_reps_by_its_share()
    {
        var (plain, slow) = (
            With(Edit() with { Tempo = Tempo.Parse("2-0-1-0"), ExternalKg = 40 }),
            With(Edit() with { Tempo = Tempo.Parse("5-0-1-0"), ExternalKg = 40 })
        );

        slow.RepsToFailure!.Value.ShouldBe(plain.RepsToFailure!.Value * 0.65, 0.1);
        slow.Effect!.SecondsUnderTension.ShouldBeGreaterThan(plain.Effect!.SecondsUnderTension);
    }

    [Fact]
    public void A_lighter_load_gives_more_reps_and_shows_the_reserve()
    {
        var (heavy, light) = (
            With(Edit() with { ExternalKg = 40, Target = new(8, 8) }),
            With(Edit() with { ExternalKg = 24, Target = new(8, 8) })
        );

        light.RepsToFailure!.Value.ShouldBeGreaterThan(heavy.RepsToFailure!.Value);
        light.Effect!.ReserveFirst!.Value.ShouldBeGreaterThan(heavy.Effect!.ReserveFirst!.Value);
        heavy.Effect.RepsBySet.Length.ShouldBe(3);
        heavy.Effect.RepsBySet[2].ShouldBeLessThanOrEqualTo(heavy.Effect.RepsBySet[0]);
    }

    [Fact]
    public void A_load_that_stays_changes_nothing_of_what_is_expected()
    {
        var plain = new RebuildEngine(DomainRules.Shipped).Rebuild(Request).Plan.Lines[0].Chosen!.Exercises[0];
        With(Edit() with { ExternalKg = plain.ExternalKg }).Expected.ShouldBe(plain.Expected);
    }

    [Fact]
    public void What_is_set_stands_and_is_marked_and_the_rest_stays()
    {
        var plain = new RebuildEngine(DomainRules.Shipped).Rebuild(Request).Plan.Lines[0].Chosen!.Exercises[0];
        var set = With(Edit() with { Rir = 4, SetsBefore = 5 });

        (set.Dose.Rir, set.Dose.SetsBefore, set.EditedByCoach).ShouldBe((4, 5, true));
        (set.Dose.Sets, set.Dose.Target, set.Dose.RestSeconds).ShouldBe((plain.Dose.Sets, plain.Dose.Target, plain.Dose.RestSeconds));
        (plain.Dose.Rir, plain.EditedByCoach).ShouldBe((2, false));
    }

    [Fact]
    public void Only_other_reps_move_the_zone()
    {
        // Nothing known of the client: the dose starts below its goal, and the goal is its zone.
        var unknown = Request with
        {
            Client = Examples.ClientB,
            Kit = Examples.Kit("dumbbell 5 x2"),
            GymLines = ["Overhead press 3x10 RIR 2 2 min"],
        };
        HomeExercise Set(HomeEdit edit) =>
            new RebuildEngine(DomainRules.Shipped).Rebuild(unknown with { Edits = [edit] }).Plan.Lines[0].Chosen!.Exercises[0];
        var prescribed = new RebuildEngine(DomainRules.Shipped).Rebuild(unknown).Plan.Lines[0].Chosen!.Exercises[0].Dose;
        prescribed.Target.Min.ShouldBeLessThan(10);
        prescribed.Zone.ShouldBe(new(10, 10));

        Set(Edit() with { RestSeconds = 60 }).Dose.Zone.ShouldBe(prescribed.Zone);
        Set(Edit() with { Target = new(6, 6) }).Dose.Zone.ShouldBeNull();
        Set(Edit() with { Target = new(6, 6), Zone = new(6, 9) }).Dose.Zone.ShouldBe(new(6, 9));
    }

    [Theory]
    [Trait(
        "source",
        "docs/domain/prescription: one rest-pause set stands for the sets of the line, a drop belongs to a set that is done anyway"
    )]
    [InlineData("rest-pause", 1, 4, true)]
    [InlineData("drop", 2, 2, false)]
    public void Taking_a_scheme_off_brings_back_what_it_stood_for(string scheme, int sets, int then, bool asTheGym)
    {
        var line = new RebuildEngine(DomainRules.Shipped)
            .Rebuild(Request with { GymLines = ["Dumbbell overhead press 4x10 RIR 2 2 min"] })
            .Plan.Lines[0];
        var home = line.Chosen!.Exercises[0];
        var run = home with
        {
            Dose = home.Dose with { Sets = sets, Scheme = SetScheme.TryParse(scheme, out var runs) ? runs : null, Target = new(22, 22) },
        };

        var off = new HomeEdits([], new ClientAtPlace(Request.Client, Request.Kit, DomainRules.Shipped))
            .Apply(run, Edit() with { Techniques = [] }, line.Gym)
            .Dose;

        (off.Scheme, off.Sets, off.Target == line.Gym.Target).ShouldBe((null, then, asTheGym));
        off.Instructions.ShouldBeEmpty();
    }

    [Fact]
    public void A_shorter_rest_lowers_the_last_set() =>
        With(Edit() with { RestSeconds = 40 })
            .Effect!.RepsBySet[^1]
            .ShouldBeLessThan(With(Edit() with { RestSeconds = 240 }).Effect!.RepsBySet[^1]);

    [Fact]
    public void Techniques_can_be_put_on_and_taken_off()
    {
        var on = With(Edit() with { Techniques = ["slow-eccentric-5", "pause-2"], ExternalKg = 24 });
        var off = With(Edit() with { Techniques = [], ExternalKg = 24 });

        on.Dose.Tempo.ToString().ShouldStartWith("5-");
        on.Dose.Instructions.Length.ShouldBe(2);
        on.RepsToFailure!.Value.ShouldBe(off.RepsToFailure!.Value * 0.65 * 0.85, 0.1);
        (off.Dose.Tempo, off.Dose.Techniques.Length).ShouldBe((Tempo.Usual, 0));
        off.TechniquesThatFit.ShouldContain("slow-eccentric-5");
    }

    [Fact]
    public void A_technique_the_client_should_not_do_is_taken_but_found()
    {
        var beginner = Request with
        {
            Client = Request.Client with { Level = Level.Beginner, HighBloodPressure = true },
            Edits = [Edit() with { Techniques = ["isometric-first", "pause-2"] }],
        };
        var findings = new RebuildEngine(DomainRules.Shipped).Rebuild(beginner).Plan.Findings;

        findings.ShouldContain(f => f.Code == "technique" && f.Severity == Core.Programs.HomePlans.Severity.Serious);
        findings.ShouldContain(f => f.Code == "two-techniques");
    }

    [Theory]
    [InlineData("4x8-12 @ 16 kg 3-1-1-0 90 s RIR 1", 4, "8-12", "3-1-1-0", 90, 1, 16.0)]
    [InlineData("5x5", 5, "5-5", null, null, null, null)]
    [InlineData("10", null, "10-10", null, null, null, null)]
    [InlineData("8-12", null, "8-12", null, null, null, null)]
    [InlineData("4 sets", 4, null, null, null, null, null)]
    [InlineData("90 s", null, null, null, 90, null, null)]
    [InlineData("2:30", null, null, null, 150, null, null)]
    [InlineData("3-1-X-0", null, null, "3-1-X-0", null, null, null)]
    [InlineData("RIR 1", null, null, null, null, 1, null)]
    [InlineData("16 kg", null, null, null, null, null, 16.0)]
    [InlineData("2x12 kg", null, null, null, null, null, 24.0)]
    public void A_cell_takes_shorthand_whole_or_in_part(
        string text,
        int? sets,
        string? reps,
        string? tempo,
        int? rest,
        int? rir,
        double? kg
    )
    {
        var read = new DoseShorthand(DomainRules.Shipped.Names).Read(text, new LineKey(3), "push-up", "Push-up");

        read.Error.ShouldBeNull();
        var edit = read.Edit!;
        (
            edit.Line,
            edit.Sets,
            edit.Target is { } t ? $"{t.Min}-{t.Max}" : null,
            edit.Tempo?.ToString(),
            edit.RestSeconds,
            edit.Rir,
            edit.ExternalKg
        ).ShouldBe((new LineKey(3), sets, reps, tempo, rest, rir, kg));
    }

    [Theory]
    [InlineData("", true)]
    [InlineData("often", false)]
    [InlineData("0x8", false)]
    [InlineData("99 sets", false)]
    [InlineData("4x8 hop", false)]
    public void What_cannot_be_read_says_what_is_wrong_and_what_to_write(string text, bool nothing)
    {
        var read = new DoseShorthand(DomainRules.Shipped.Names).Read(text, new LineKey(1), "push-up", "Push-up");

        read.Edit.ShouldBeNull();
        read.Error.ShouldNotBeNull().Parts.Last().Code.ShouldBe("dose.example");
        (read.Error.Parts.First().Code == "dose.nothing").ShouldBe(nothing, read.Error.Said());
    }

    private static HomeEdit Edit() => new() { Line = new LineKey(1), ExerciseId = "dumbbell-overhead-press" };

    private static HomeExercise With(HomeEdit edit) =>
        new RebuildEngine(DomainRules.Shipped).Rebuild(Request with { Edits = [edit] }).Plan.Lines[0].Chosen!.Exercises[0];
}
