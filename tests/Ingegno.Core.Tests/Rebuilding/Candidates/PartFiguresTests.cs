using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Rebuilding.Candidates;

/// <summary>
/// Figures of the match, each worked out by hand from what it means and held on both of its sides: who changes one in
/// <c>data/rules/matching.json</c> on purpose changes it here too.
/// </summary>
public class PartFiguresTests
{
    private static readonly PartRules Rules = DomainRules.Shipped.Match.Parts;
    private static readonly Exercise Plain = Examples.Exercise("push-up");

    [Fact]
    public void Muscles_are_three_parts_what_is_kept_and_one_part_how_little_is_added()
    {
        var gym = Of((Muscle.MidChest, 1), (Muscle.Triceps, 0.5));

        Score(gym, gym).ShouldBe(1, 1e-9);
        Score(gym, Of((Muscle.Lats, 1))).ShouldBe(0, 1e-9);

        // Chest alone: kept 1 of 1.25 in squares, shared 1 of 1.5 in sums.
        Score(gym, Of((Muscle.MidChest, 1))).ShouldBe((0.75 * (1 / 1.25)) + (0.25 * (1 / 1.5)), 1e-9);

        // The same with the lats beside it: nothing less is kept, more is added.
        Score(gym, Of((Muscle.MidChest, 1), (Muscle.Triceps, 0.5), (Muscle.Lats, 1))).ShouldBe(0.75 + (0.25 * (1.5 / 2.5)), 1e-9);
    }

    [Theory]
    [InlineData(0.19, true)]
    [InlineData(0.2, false)]
    public void A_helper_is_missed_below_a_stabilisers_part(double involvement, bool missed)
    {
        var (_, reason) = PartMatches.Muscles(
            Of((Muscle.MidChest, 1), (Muscle.Triceps, 0.5)),
            Of((Muscle.MidChest, 1), (Muscle.Triceps, involvement)),
            Rules
        );
        ((FactList)reason["helpers"]!).Items.Contains(Term.For(Muscle.Triceps)).ShouldBe(missed);
    }

    [Fact]
    public void Another_plane_loses_fifteen_hundredths_of_the_pattern()
    {
        PartMatches.PatternScore(Plain, Plain, DomainRules.Shipped.Match).ShouldBe(1);
        PartMatches.PatternScore(Plain, Plain with { Plane = Other(Plain.Plane) }, DomainRules.Shipped.Match).ShouldBe(0.85, 1e-9);
    }

    [Fact]
    public void Structure_loses_nearly_all_for_isolation_more_for_a_lost_side_than_for_a_second_one_little_for_the_chain_and_by_degrees_for_balance()
    {
        var both = Plain with { Structure = ExerciseStructure.Compound, Sides = Sides.Bilateral, Chain = Chain.Closed, Stability = 1 };
        double Of(Exercise gym, Exercise home) => PartMatches.Structure(gym, home, Rules).Score;

        Of(both, both).ShouldBe(1);
        Of(both, both with { Structure = ExerciseStructure.Isolation }).ShouldBe(0.1, 1e-9);
        Of(both with { Sides = Sides.Unilateral }, both).ShouldBe(0.75, 1e-9);
        Of(both, both with { Sides = Sides.Unilateral }).ShouldBe(0.85, 1e-9);
        Of(both, both with { Chain = Chain.Open }).ShouldBe(0.9, 1e-9);
        Of(both, both with { Stability = 3 }).ShouldBe(0.86, 1e-9, "two degrees more");
        Of(both with { Stability = 3 }, both).ShouldBe(1, "less balance is no loss");
        Of(both, both with { Impact = 1 }).ShouldBe(0.5, 1e-9, "a jump for what is no jump");
        Of(both with { Sides = Sides.Unilateral }, both with { Structure = ExerciseStructure.Isolation, Chain = Chain.Open, Stability = 5 })
            .ShouldBe(0, "never below nothing");
    }

    [Theory]
    [InlineData(Profile.Stretched, Profile.Stretched, 1)]
    [InlineData(Profile.Stretched, Profile.Middle, 0.65)]
    [InlineData(Profile.Even, Profile.Shortened, 0.65)]
    [InlineData(Profile.Stretched, Profile.Shortened, 0.3)]
    public void The_profile_loses_a_third_to_the_middle_and_two_thirds_to_the_other_end(Profile gym, Profile home, double score) =>
        PartMatches.Profile(Plain with { Profile = gym }, Plain with { Profile = home }, Rules).Score.ShouldBe(score, 1e-9);

    [Theory]
    [Trait("source", "common practice: beginners are trusted with the two simplest of five, each level with one more")]
    [InlineData(Level.Beginner, 1, 1)]
    [InlineData(Level.Beginner, 2, 0.75)]
    [InlineData(Level.Beginner, 3, 0)]
    [InlineData(Level.Novice, 3, 0.75)]
    [InlineData(Level.Intermediate, 4, 0.75)]
    [InlineData(Level.Intermediate, 5, 0)]
    [InlineData(Level.Advanced, 5, 0.75)]
    public void Skill_fits_well_at_the_edge_or_not_at_all(Level level, int skill, double score) =>
        PartMatches.Skill(Plain with { Skill = skill }, level, Rules).Score.ShouldBe(score, 1e-9);

    [Theory]
    [InlineData(39, 1)]
    [InlineData(40, 1)]
    [InlineData(41, 0.99)]
    [InlineData(60, 0.8)]
    [InlineData(100, 0.5)]
    [Trait("source", "docs/domain/strength-relations: about 1 % less a year past 40, common practice")]
    public void Strength_falls_by_a_hundredth_a_year_past_forty_and_never_below_half(int age, double share)
    {
        double Max(int years) => new Core.Clients.Strength.ClientStrength(
                new ClientProfile
                {
                    Level = Level.Novice,
                    Goal = Goal.Muscle,
                    Sex = Sex.Male,
                    BodyMassKg = 80,
                    AgeYears = years,
                },
                DomainRules.Shipped.Strength
            ).ForAnchor("bench-press")!.OneRepMaxKg;
        (Max(age) / Max(30)).ShouldBe(share, 1e-9);
    }

    private static double Score(Dictionary<Muscle, double> gym, Dictionary<Muscle, double> home) =>
        PartMatches.MuscleScore(gym, home, Rules);

    private static Dictionary<Muscle, double> Of(params (Muscle Muscle, double Involvement)[] muscles) =>
        muscles.ToDictionary(m => m.Muscle, m => m.Involvement);

    private static Plane Other(Plane plane) => plane == Plane.Sagittal ? Plane.Frontal : Plane.Sagittal;
}
