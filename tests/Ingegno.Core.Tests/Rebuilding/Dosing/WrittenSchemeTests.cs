using CsCheck;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;
using Ingegno.Core.Progress.ClientApp;
using Ingegno.Core.Rebuilding.Dosing;
using Ingegno.Core.Tests.Support;
using Ingegno.Language;

namespace Ingegno.Core.Tests.Rebuilding.Dosing;

/// <summary>Clusters and sets every minute: taken up as the gym line writes them where the home load allows it, else straight.</summary>
public class WrittenSchemeTests
{
    [Theory] // Worked by hand: six at a load of which seven are the most need the breaths, at a load of twelve they do not.
    [InlineData("Pull-up 5x2+2+2", 7, "5x2+2+2")]
    [InlineData("Pull-up 5x3+2+1", 7, "5x3+2+1")]
    [InlineData("Pull-up 5x6 cluster", 7, "5x2+2+2")]
    [InlineData("Pull-up 5x2+2+2", 12, null)]
    [InlineData("Pull-up 5x2+2+2", 2, null)]
    [InlineData("Pull-up EMOM 10 min x 4", 12, "10x4 every minute")]
    [InlineData("Pull-up 8x4 every 90 s", 12, "8x4 every 90 s")]
    [InlineData("Pull-up EMOM 10 min x 4", 6, null)] // near failure every minute: nobody gets to the third minute
    [InlineData("Pull-up EMOM 10 min x 4", 30, "10x10 every minute")] // a toy of a load: a third of what goes in one go
    [InlineData("Pull-up EMOM 10 min x 18", 60, null)] // eighteen slow reps leave no rest
    [Trait("source", "common practice: clusters and sets on the minute")]
    public void A_scheme_is_taken_up_where_the_load_allows_it(string text, double reps, string? figures)
    {
        var dose = Dosed(text, reps);
        (dose.Scheme is null ? null : dose.Figures).ShouldBe(figures);
    }

    [Fact]
    public void A_set_every_minute_rests_for_what_is_left_of_it()
    {
        var dose = Dosed("Pull-up EMOM 10 min x 4", 12);
        dose.RestSeconds.ShouldBe(60 - 12, "four reps of three seconds");
        dose.Minutes.ShouldBe(10, 0.01);
        dose.Instructions.ShouldHaveSingleItem();
        Phrasebook.English.Say(dose.Instructions[0]).ShouldEndWith("A set starts every 60 s.");
    }

    [Fact]
    public void A_cluster_is_led_piece_by_piece_and_counted_whole()
    {
        var dose = Dosed("Pull-up 4x3+2+1", 7);
        var parts = SetParts.Build(dose, DomainRules.Shipped.Session)[0].Parts;
        parts
            .Select(p => (p.Kind, p.Target.Max, p.RestBeforeSeconds))
            .ShouldBe([(SetPartKind.Work, 3, 0), (SetPartKind.More, 2, Cluster.RestSeconds), (SetPartKind.More, 1, Cluster.RestSeconds)]);
        (dose.Target, dose.HardSets).ShouldBe((new SetTarget(6, 6), 4));
        dose.WorkSeconds().ShouldBe(4 * ((6 * 3) + (2 * Cluster.RestSeconds)));
        Phrasebook.English.Say(dose.Instructions.Single()).ShouldContain("In each set: 3 + 2 + 1");
    }

    [Theory]
    [InlineData(Goal.Strength, LineRole.Main, true)] // what a coach wrote is for the heavy lifts above all
    [InlineData(Goal.Muscle, LineRole.Accessory, true)]
    [InlineData(Goal.Muscle, LineRole.Activation, false)]
    public void A_cluster_is_for_main_lifts_and_strength_too(Goal goal, LineRole role, bool taken) =>
        (Dosed("Pull-up 5x2+2+2", 7, goal, role).Scheme is Cluster).ShouldBe(taken);

    [Fact]
    public void Straight_sets_in_place_of_a_scheme_keep_nothing_of_it()
    {
        var straight = StraightSets.InPlaceOf(Dosed("Pull-up 5x2+2+2", 7));
        (straight.Scheme, straight.Figures, straight.Instructions.Length, straight.Techniques.Length).ShouldBe((null, "5x6", 0, 0));
    }

    [Fact]
    public void A_rest_that_is_typed_makes_the_interval_and_reps_that_are_typed_the_rest()
    {
        var dose = Dosed("Pull-up EMOM 10 min x 4", 12);
        var longer = SetSchemeChoice.Settled(dose with { RestSeconds = 78 }, typedRest: 78);
        (longer.Figures, longer.RestSeconds).ShouldBe(("10x4 every 90 s", 78));
        var more = SetSchemeChoice.Settled(dose with { Target = new SetTarget(6, 6) }, typedRest: null);
        (more.Figures, more.RestSeconds).ShouldBe(("10x6 every minute", 42));
        SetSchemeChoice.Settled(dose, dose.RestSeconds).ShouldBe(dose);
        var cluster = Dosed("Pull-up 5x2+2+2", 7);
        SetSchemeChoice.Settled(cluster with { RestSeconds = 240 }, 240).ShouldBe(cluster with { RestSeconds = 240 });
    }

    /// <summary>A day that is too long takes no rest from sets that start by the clock, and puts nothing into them.</summary>
    [Theory]
    [InlineData("Push-up EMOM 8 min x 6", 60)]
    [InlineData("Push-up 8x6 every 90 s", 90)]
    public void A_short_day_leaves_the_clock_alone(string text, int interval)
    {
        var client = Examples.ClientA with { Level = Level.Intermediate, MinutesPerSession = 32 };
        string[] day = [text, "Hammer curl 3x10 120 s", "Goblet squat 3x15 120 s", "Dumbbell row 3x10 120 s"];
        var plan = Examples.Rebuild(client, Examples.KitOf("pair of 10 kg dumbbells"), day).Plan;

        var line = plan.Lines.Single(l => l.Chosen?.Exercises[0].Dose.Scheme is EveryMinute);
        var dose = line.Chosen!.Exercises[0].Dose;
        (dose.RestSeconds + SetSchemeChoice.SecondsPerRep(dose) * dose.Target.Max).ShouldBe(interval, 1);
        plan.Days[0].Groups.Single(g => g.Lines.Contains(line.Gym.Key)).Lines.ShouldHaveSingleItem();
        plan.Days[0].Cut.ShouldNotBeEmpty("the day was too long");
    }

    /// <summary>Whatever the total becomes, the pieces add up to it, and none is longer than the longest that was written.</summary>
    [Fact]
    public void The_pieces_of_a_cluster_add_up() =>
        Gen.Select(Gen.Int[1, 6].Array[1, 5], Gen.Int[1, 40])
            .Sample(
                (pieces, total) =>
                {
                    var cluster = (Cluster)new Cluster().WithFigures(string.Join('+', pieces));
                    var parts = cluster.InTotal(total);
                    parts.Sum().ShouldBe(total);
                    parts.ShouldAllBe(p => p > 0 && p <= pieces.Max());
                    new Cluster("1+1+1").InTotal(pieces.Sum()).Length.ShouldBe(pieces.Sum());
                }
            );

    /// <summary>A set every minute fits into its minute with a third of it to spare, whatever the figures.</summary>
    [Fact]
    public void A_set_by_the_clock_leaves_a_third_of_it_free() =>
        Gen.Select(Gen.Int[1, 20], Gen.Int[1, 60], Gen.Int[20, 180], Gen.Int[1, 12])
            .Sample(
                (planned, reps, interval, secondsPerRep) =>
                {
                    var at = new SchemeFit(new SetTarget(planned, planned), reps, 2, true, secondsPerRep, false, null, null);
                    var scheme = new EveryMinute(interval);
                    if (scheme.Suits(at))
                    {
                        var run = scheme.Run(new SchemeFigures(10, at.Planned, 2, 90), at);
                        (run.Target.Max * secondsPerRep).ShouldBeLessThanOrEqualTo((int)(interval * 2 / 3.0));
                        run.RestSeconds.ShouldBeGreaterThanOrEqualTo((interval / 3) - 1);
                        (run.Target.Max * 2).ShouldBeLessThanOrEqualTo(reps);
                        run.Target.Max.ShouldBeGreaterThanOrEqualTo(planned);
                    }
                }
            );

    [Theory]
    [InlineData("rest-pause")]
    [InlineData("drop")]
    [InlineData("mechanical-drop")]
    [InlineData("pre-exhaust")]
    [InlineData("cluster")]
    [InlineData("cluster 3+2+1")]
    [InlineData("every")]
    [InlineData("every 90")]
    public void A_scheme_is_kept_and_read_again(string text)
    {
        SetScheme.TryParse(text, out var scheme).ShouldBeTrue();
        scheme.Text.ShouldBe(text);
        SetScheme.TryParse(scheme.Text, out var again).ShouldBeTrue();
        again.ShouldBe(scheme);
        DomainRules.Shipped.Techniques.ShouldContain(
            t => t.Id == scheme.Key && t.Scheme == scheme.WithFigures(null),
            "each scheme has its technique"
        );
    }

    [Theory]
    [InlineData("")]
    [InlineData(null)]
    [InlineData("superset")]
    [InlineData("cluster 0+0")]
    [InlineData("cluster two")]
    [InlineData("every 5")]
    [InlineData("every 99999")]
    public void What_is_no_scheme_is_none(string? text) => SetScheme.TryParse(text, out _).ShouldBeFalse();

    private static Dose Dosed(string text, double reps, Goal goal = Goal.Muscle, LineRole role = LineRole.Secondary)
    {
        var line = new ShorthandParser(DomainRules.Shipped.Names).Parse(text).Lines.ShouldHaveSingleItem();
        var home = Examples.Exercise(line.ExerciseId);
        var straight = new Dose
        {
            Sets = line.Sets,
            Target = line.Target,
            Tempo = Tempo.Usual,
            RestSeconds = 120,
            Rir = 2,
        };
        var fit = SchemeFits.Of(straight, line, home, reps);
        var technique = SetSchemeChoice.For(
            new SetSchemeQuestion(line, role, home, fit),
            Examples.ClientA with
            {
                Goal = goal,
                Level = Level.Intermediate,
            },
            DomainRules.Shipped.ApproachOf(null),
            DomainRules.Shipped.Techniques
        );
        return technique is null ? straight : SetSchemeChoice.Apply(straight, technique, fit, line.MethodFigures);
    }
}
