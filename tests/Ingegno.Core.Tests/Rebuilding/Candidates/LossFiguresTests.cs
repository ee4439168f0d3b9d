using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Rebuilding.Dosing;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Rebuilding.Candidates;

/// <summary>What an exercise loses of its match, told by ranking with and without the loss (docs/domain/substitution; figures ours).</summary>
public class LossFiguresTests
{
    private static readonly PlaceKit Pair = Examples.KitOf("2x 20 kg dumbbell; ottoman 40 cm");

    /// <summary>Thirty pike push-ups from somebody who has about sixteen: the movement itself loses half of what another loses.</summary>
    [Fact]
    public void What_falls_short_of_the_planned_reps_loses_and_the_movement_itself_half_of_that()
    {
        var line = Line("pike-push-up", new WantedEffort(30, 33, 2));
        var (own, other) = (Loss("pike-push-up"), Loss("dumbbell-floor-press"));

        own.ShouldBeGreaterThan(0.01);
        own.ShouldBe(Expected("pike-push-up") / 2, 1e-9);
        other.ShouldBe(Expected("dumbbell-floor-press"), 1e-9);
        Lost(Line("pike-push-up", new WantedEffort(8, 10, 2)), "pike-push-up", Examples.ClientA, Pair, Without).ShouldBe(0, 1e-9);

        MatchRules Without(MatchRules rules) => rules with { Shrinks = 0 };
        double Loss(string id) => Lost(line, id, Examples.ClientA, Pair, Without);
        double Expected(string id)
        {
            var reps = Ranked(line, id, Examples.ClientA, Pair, DomainRules.Shipped.Match).Loaded.Reps!.Mid;
            return DomainRules.Shipped.Match.Shrinks * DomainRules.Shipped.Dose.Kept.Shortfall(reps, 30);
        }
    }

    /// <summary>A squat that ends in a press is as heavy as the press: legs stay far from failure, shoulders do not.</summary>
    [Theory]
    [InlineData("back-squat", true)]
    [InlineData("leg-press", true)]
    [InlineData("overhead-press", false)]
    [InlineData("leg-extension", false)] // a small muscle asks for no more than its own work
    [InlineData("thruster", false)]
    public void What_gives_out_elsewhere_keeps_a_share(string gym, bool limited)
    {
        var line = Line(gym, new WantedEffort(10, 12, 2));
        double Score(double share) =>
            new ResistanceMatch(
                new ClientAtPlace(
                    Examples.ClientA,
                    Pair,
                    DomainRules.Shipped with
                    {
                        Match = DomainRules.Shipped.Match with
                        {
                            Resistance = DomainRules.Shipped.Match.Resistance with { LimitedElsewhere = share },
                        },
                    }
                )
            )
                .Best(Examples.Exercise("thruster"), line)
                .Best!.Score;

        var whole = Score(1);
        whole.ShouldBeGreaterThan(0.01);
        Score(0.5).ShouldBe(limited ? whole / 2 : whole, 1e-9);
    }

    /// <summary>One dumbbell in both hands is unhandy beside a pair, and the only way without one.</summary>
    [Theory]
    [InlineData("2x 2 kg dumbbell; 20 kg dumbbell", true)]
    [InlineData("20 kg dumbbell", false)]
    public void One_weight_for_both_hands_counts_as_unhandy_where_there_is_a_pair(string kit, bool costs)
    {
        var line = Line("barbell-curl", new WantedEffort(10, 12, 2));
        Rated(0).Load.WeightKg.ShouldBe(20);
        Rated(2).Score.ShouldBe(Rated(0).Score * (costs ? 1 - (2 * DomainRules.Shipped.Match.RigCost) : 1), 1e-9);

        (double Score, ReachableLoad Load) Rated(int parts)
        {
            var rules = DomainRules.Shipped.Match with { RigParts = DomainRules.Shipped.Match.RigParts with { OneForBoth = parts } };
            var at = new ClientAtPlace(Examples.ClientA, Examples.KitOf(kit), DomainRules.Shipped with { Match = rules });
            var best = new ResistanceMatch(at).Best(Examples.Exercise("dumbbell-curl"), line).Best!;
            return (best.Score, best.External);
        }
    }

    /// <summary>A bag is swung where nothing has a handle, and unhandy beside a bell.</summary>
    [Theory]
    [InlineData("8 kg kettlebell; rucksack 25 L; 8x 1.1 kg book", true)]
    [InlineData("rucksack 25 L; 8x 1.1 kg book", false)]
    public void A_bag_counts_as_unhandy_to_swing_where_there_is_a_bell(string kit, bool costs)
    {
        var line = Line("kettlebell-swing", new WantedEffort(10, 12, 2));
        var (handy, unhandy) = (Rated(0), Rated(5));
        handy.Load.Source.ShouldBe(LoadSource.Held);
        (unhandy.Score < handy.Score - 1e-9).ShouldBe(costs);

        (double Score, ReachableLoad Load) Rated(int parts)
        {
            var rules = DomainRules.Shipped.Match with { RigParts = DomainRules.Shipped.Match.RigParts with { BagSwung = parts } };
            var at = new ClientAtPlace(Examples.ClientA, Examples.KitOf(kit), DomainRules.Shipped with { Match = rules });
            var best = new ResistanceMatch(at).Best(Examples.Exercise("kettlebell-swing"), line).Best!;
            return (best.Score, best.External);
        }
    }

    /// <summary>What is pulled fast is stopped when it slows: it is no hard set of a line that is done slowly, and whole for one that is not.</summary>
    [Theory]
    [InlineData("deadlift", true)]
    [InlineData("power-clean", false)]
    public void A_fast_lift_keeps_a_share_for_a_slow_line(string gym, bool loses)
    {
        var line = Line(gym, new WantedEffort(5, 8, 2));
        double Score(double share)
        {
            var rules = DomainRules.Shipped.Match with { Resistance = DomainRules.Shipped.Match.Resistance with { FastForSlow = share } };
            var at = new ClientAtPlace(Examples.ClientA, Examples.KitOf("24 kg kettlebell"), DomainRules.Shipped with { Match = rules });
            return new ResistanceMatch(at).Best(Examples.Exercise("one-arm-clean"), line).Best!.Score;
        }

        Score(0.5).ShouldBe(loses ? Score(1) / 2 : Score(1), 1e-9);
    }

    /// <summary>A light hinge on one leg for a heavy one is forgiven its lightness; one held in one hand, on two legs, is not.</summary>
    [Theory]
    [InlineData("single-leg-romanian-deadlift", true)]
    [InlineData("suitcase-deadlift", false)]
    [InlineData("one-arm-clean", false)]
    public void Only_one_leg_makes_up_for_a_light_hinge(string home, bool forgiven)
    {
        var line = Line("deadlift", new WantedEffort(5, 8, 2));
        line = line with { Line = line.Line with { Target = new SetTarget(5, 5) } };
        double Score(double spread)
        {
            var rules = DomainRules.Shipped.Match with
            {
                Resistance = DomainRules.Shipped.Match.Resistance with { TooEasyOnOneLegSpread = spread },
            };
            var at = new ClientAtPlace(Examples.ClientA, Examples.KitOf("8 kg kettlebell"), DomainRules.Shipped with { Match = rules });
            return new ResistanceMatch(at).Best(Examples.Exercise(home), line).Best!.Score;
        }

        (Score(2) > Score(0.2) + 1e-9).ShouldBe(forgiven);
    }

    /// <summary>A pair of sevens is next to a pair of sixes, a pair of eights is not; nor is anything where no weight is named.</summary>
    [Theory]
    [InlineData("2x 7 kg dumbbell", 6.0, true)]
    [InlineData("2x 5 kg dumbbell", 6.0, true)]
    [InlineData("2x 8 kg dumbbell", 6.0, false)]
    [InlineData("2x 7 kg dumbbell", null, false)]
    public void The_next_weight_on_the_rack_is_taken_for_a_small_muscle(string kit, double? named, bool taken)
    {
        double Score(double worth)
        {
            var rules = DomainRules.Shipped.Match with { Resistance = DomainRules.Shipped.Match.Resistance with { NextWeight = worth } };
            var at = new ClientAtPlace(Examples.ClientB, Examples.KitOf(kit), DomainRules.Shipped with { Match = rules });
            var line = Line("dumbbell-lateral-raise", new WantedEffort(17, 19, 2));
            line = line with { Line = line.Line with { Load = named is { } kg ? new PlannedLoad(kg, Pieces: 2) : null } };
            return new ResistanceMatch(at).Best(Examples.Exercise("dumbbell-lateral-raise"), line).Best!.Score;
        }

        (Score(1) > Score(0) + 1e-6).ShouldBe(taken);
    }

    /// <summary>Curls with bottles are no work for somebody who has a band; without one they stay, slow and squeezed.</summary>
    [Theory]
    [Trait("source", "common practice")]
    [InlineData("2 bottles 1.5 L; band 104 cm 22 mm", "one-arm-band-curl")]
    [InlineData("2 bottles 1.5 L", "dumbbell-curl")]
    public void The_exercise_itself_gives_way_where_another_thing_makes_it_work(string kit, string first) =>
        Examples.Rebuild(Examples.ClientA, Examples.KitOf(kit), "Dumbbell curl 3x12").Plan.Lines[0].Candidates[0].Id.ShouldBe(first);

    private static double Lost(LineToMatch line, string id, ClientProfile client, PlaceKit kit, Func<MatchRules, MatchRules> without) =>
        Ranked(line, id, client, kit, without(DomainRules.Shipped.Match)).Match
        - Ranked(line, id, client, kit, DomainRules.Shipped.Match).Match;

    private static Scored Ranked(LineToMatch line, string id, ClientProfile client, PlaceKit kit, MatchRules rules) =>
        new LineMatcher(new ClientAtPlace(client, kit, DomainRules.Shipped with { Match = rules }))
            .Rank(line)
            .Usable.Single(s => s.Exercise.Id == id);

    private static LineToMatch Line(string id, WantedEffort effort)
    {
        var exercise = Examples.Exercise(id);
        var gym = new GymLine
        {
            Line = 1,
            ExerciseId = id,
            Name = exercise.Name,
            Sets = 3,
            Target = new SetTarget((int)effort.Low, (int)effort.Low),
        };
        return new LineToMatch(gym, exercise, LineRole.Main, effort, DomainRules.Shipped.ApproachOf(null));
    }
}
