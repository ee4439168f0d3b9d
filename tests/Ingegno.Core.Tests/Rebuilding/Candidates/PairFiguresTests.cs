using System.Collections.Immutable;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Rebuilding.Dosing;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Rebuilding.Candidates;

/// <summary>When two exercises stand for one heavy line, and what that costs (docs/domain/substitution; figures ours).</summary>
public class PairFiguresTests
{
    private static readonly MatchRules Rules = DomainRules.Shipped.Match;
    private static readonly LineToMatch Squat = Line("back-squat");
    private static readonly ReachableLoad Bag = new(10, "bag", ["bag"]);

    [Fact]
    public void Doing_two_costs_three_hundredths_of_the_match()
    {
        var (a, b) = (Half("back-squat", 0.9), Half("glute-bridge", 0.9));
        var free = Rules with { Pairs = Rules.Pairs with { Cost = 0 } };

        (PairFinder.Of(Squat, a, b, free).Match - PairFinder.Of(Squat, a, b, Rules).Match).ShouldBe(0.03, 1e-9);
    }

    [Fact]
    [Trait("source", "common practice: speed is lost behind another exercise, and nobody jumps for a burn")]
    public void No_pair_holds_a_jump_and_no_line_for_speed_is_one()
    {
        var (hips, thighs, jump) = (
            Part("glute-bridge", 0.9, Muscle.Glutes),
            Part("back-squat", 0.5, Muscle.Quads),
            Part("squat-jump", 0.5, Muscle.Quads)
        );
        PairFinder.Best(Squat, [thighs, hips], Rules).ShouldNotBeNull();
        PairFinder.Best(Squat, [jump, hips], Rules).ShouldBeNull();
        PairFinder.Best(Squat with { Exercise = Squat.Exercise with { Power = true } }, [thighs, hips], Rules).ShouldBeNull();
    }

    [Fact]
    public void The_half_with_the_load_goes_first_and_makes_three_quarters_of_the_resistance()
    {
        var pair = PairFinder.Of(Squat, Half("glute-bridge", 0.2), Half("back-squat", 0.8), Rules);

        pair.First.Exercise.Id.ShouldBe("back-squat");
        pair.Parts.First(p => p.Part == MatchPart.Resistance).Score.ShouldBe((0.75 * 0.8) + (0.25 * 0.2), 1e-9);
    }

    [Fact]
    public void The_half_with_the_load_decides_how_the_pattern_counts()
    {
        var heavy = Part("back-squat", 0.8, Muscle.Quads);
        var light = Part("glute-bridge", 0.2, Muscle.Glutes);
        var pair = PairFinder.Of(
            Squat,
            heavy with
            {
                Scores = heavy.Scores with { Pattern = 0.9 },
            },
            light with
            {
                Scores = light.Scores with { Pattern = 0.3 },
            },
            Rules
        );

        // Weights .85 and .25: (.85 · .9 + .25 · .3) / 1.1, worked by hand.
        pair.Parts.First(p => p.Part == MatchPart.Pattern).Score.ShouldBe(0.84 / 1.1, 1e-9);
    }

    [Fact]
    public void The_half_that_reaches_more_prime_movers_says_where_it_is_hardest()
    {
        var one = Saying(Part("glute-bridge", 0.8, Muscle.Glutes), "one");
        var both = Saying(Half("back-squat", 0.5) with { Exercise = Squat.Exercise }, "both");

        Profile(PairFinder.Of(Squat, one, both, Rules)).ShouldBe(Reason.Text("both"));
        Profile(PairFinder.Of(Squat, both, one, Rules)).ShouldBe(Reason.Text("both"));
        Profile(PairFinder.Of(Squat, one, Saying(Part("back-squat", 0.5, Muscle.Quads), "other"), Rules))
            .ShouldBe(Reason.Text("one"), "of equals the first");

        static Reason Profile(ScoredPair pair) => pair.Parts.First(p => p.Part == MatchPart.Profile).Reason;
        static Scored Saying(Scored scored, string text) =>
            scored with
            {
                Said = new Lazy<ImmutableArray<PartScore>>([.. scored.Parts.Select(p => p with { Reason = Reason.Text(text) })]),
            };
    }

    [Theory]
    [InlineData(0.54, true)]
    [InlineData(0.55, false)]
    public void A_pair_is_looked_for_when_the_single_one_is_too_light(double resistance, bool looked)
    {
        var thighs = Part("back-squat", resistance, Muscle.Quads);
        var hips = Part("glute-bridge", 0.9, Muscle.Glutes);

        // The single one reaches both prime movers, only how hard it is decides.
        var single = thighs with
        {
            Exercise = Squat.Exercise,
            Match = 0,
        };
        (PairFinder.Best(Squat, [single, thighs, hips], Rules) is not null).ShouldBe(looked);
    }

    /// <summary>The pull-up of who has nothing to hang from: a pullover tires the lats, and a row that is light for them goes on.</summary>
    [Theory]
    [Trait("source", "common practice: pre-exhaust")]
    [InlineData(0.35, 0.15, true)]
    [InlineData(0.34, 0.15, false)] // what tires is work by itself
    [InlineData(0.35, 0.14, false)] // what follows is some
    [InlineData(0.35, 0.36, false)] // what is harder goes first, and is no second half
    public void A_small_movement_tires_what_a_light_compound_goes_on_with(double tiring, double tired, bool found)
    {
        var pullover = Part("pullover-on-the-floor", tiring, Muscle.Quads);
        var row = Part("one-arm-dumbbell-row", tired, Muscle.Quads);
        var single = row with { Scores = row.Scores with { Resistance = 0.1 } };

        var pair = PairFinder.Best(Squat, [single, pullover, row], Rules);

        (pair?.First.Exercise.Id).ShouldBe(found ? "pullover-on-the-floor" : null);
        pair?.SecondIsTired.ShouldBeTrue();
        pair?.Parts.First(p => p.Part == MatchPart.Muscles).Reason.Code.ShouldBe("pair.tires");
        PairFinder
            .Best(Squat, [single, row with { Exercise = row.Exercise with { Id = "other" } }, row], Rules)
            .ShouldBeNull("two compounds");
    }

    [Fact]
    public void To_tire_one_muscle_costs_five_hundredths_more()
    {
        var (pullover, row) = (Part("pullover-on-the-floor", 0.6, Muscle.Quads), Part("one-arm-dumbbell-row", 0.6, Muscle.Quads));
        var free = Rules with { Pairs = Rules.Pairs with { Tiring = 0 } };

        (PairFinder.Of(Squat, pullover, row, free).Match - PairFinder.Of(Squat, pullover, row, Rules).Match).ShouldBe(0.05, 1e-9);
        PairFinder.Of(Squat, row, pullover, Rules).First.ShouldBe(pullover, "of equals the small movement");
        var (hips, thighs) = (Part("glute-bridge", 0.6, Muscle.Glutes), Part("back-squat", 0.6, Muscle.Quads));
        PairFinder.Of(Squat, hips, thighs, free).Match.ShouldBe(PairFinder.Of(Squat, hips, thighs, Rules).Match, "each brings its own");
    }

    /// <summary>The harder half of two that reach more is as hard as the single one, at least; what is hard by itself is hard enough.</summary>
    [Theory]
    [InlineData(0.3, 0.29, false)]
    [InlineData(0.3, 0.3, true)]
    [InlineData(0.9, 0.55, true)]
    [InlineData(0.9, 0.54, false)]
    public void A_pair_is_no_easier_than_the_single_one(double aloneIs, double half, bool found)
    {
        var (thighs, hips) = (Part("back-squat", half, Muscle.Quads), Part("glute-bridge", 0.1, Muscle.Glutes));
        var alone = Part("front-squat", aloneIs, Muscle.Erectors); // reaches no prime mover, so a pair is looked for

        (PairFinder.Best(Squat, [alone, thighs, hips], Rules) is not null).ShouldBe(found);
    }

    [Fact]
    public void Two_halves_never_want_one_bag_at_two_loads()
    {
        var thighs = Part("back-squat", 0.5, Muscle.Quads, Bag);
        var alike = Part("glute-bridge", 0.9, Muscle.Glutes, Bag);
        var heavier = Part("glute-bridge", 0.9, Muscle.Glutes, Bag with { MassKg = 20 });

        PairFinder.Best(Squat, [thighs, alike], Rules).ShouldNotBeNull();
        PairFinder.Best(Squat, [thighs, heavier], Rules).ShouldBeNull();
    }

    [Fact]
    public void An_accessory_is_never_worth_two() =>
        PairFinder
            .Best(
                Squat with
                {
                    Role = LineRole.Accessory,
                },
                [Part("back-squat", 0.1, Muscle.Quads), Part("glute-bridge", 0.9, Muscle.Glutes)],
                Rules
            )
            .ShouldBeNull();

    private static LineToMatch Line(string id)
    {
        var exercise = Examples.Exercise(id) with
        {
            Muscles = ImmutableSortedDictionary<Muscle, double>.Empty.Add(Muscle.Quads, 1).Add(Muscle.Glutes, 1),
        };
        var gym = new GymLine
        {
            Line = 1,
            ExerciseId = id,
            Name = id,
            Sets = 3,
            Target = new SetTarget(6, 6),
        };
        return new LineToMatch(gym, exercise, LineRole.Main, new WantedEffort(6, 8, 2), DomainRules.Shipped.ApproachOf(null));
    }

    private static Scored Part(string id, double resistance, Muscle muscle, ReachableLoad? load = null)
    {
        var half = Half(id, resistance, load);
        return half with { Exercise = half.Exercise with { Muscles = ImmutableSortedDictionary<Muscle, double>.Empty.Add(muscle, 1) } };
    }

    private static Scored Half(string id, double resistance, ReachableLoad? load = null)
    {
        var exercise = Examples.Exercise(id);
        var loaded = new LoadedSetup(
            Examples.Exercise("glute-bridge").Setups[0],
            [],
            load ?? ReachableLoad.None,
            null,
            new RepRange(6, 8, 10),
            [],
            resistance,
            null
        );
        ImmutableArray<PartScore> parts =
        [
            .. Enum.GetValues<MatchPart>()
                .Select(p => new PartScore(
                    p,
                    p == MatchPart.Resistance ? resistance : 0.8,
                    Rules.Weights[LineRole.Main][p],
                    Reason.Text("so")
                )),
        ];
        return new Scored(
            exercise,
            loaded,
            new MatchScores(0.8, 0.8, 0.8, resistance, 0.8, 0.8, 0.8),
            0.1,
            new Lazy<ImmutableArray<PartScore>>(parts)
        );
    }
}
