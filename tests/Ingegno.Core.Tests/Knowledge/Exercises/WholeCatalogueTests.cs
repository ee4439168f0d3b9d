using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Equipment.Loading.Bands;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Knowledge.Exercises;

/// <summary>What practitioners reach for first is there, found by what they call it.</summary>
[Trait("source", "common practice")]
public class WholeCatalogueTests
{
    public static TheoryData<string> Named() =>
        [
            "mini-band-kickback",
            "mini-band-kickback-45",
            "seated-press-out",
            "monster-walk",
            "mini-band-hip-thrust",
            "pike-hold",
            "pike-lowering",
            "dive-bomber-push-up",
            "explosive-push-up",
            "leaning-one-arm-pulldown",
            "rear-foot-raised-hinge",
            "basket-pick-up-squat",
            "good-morning-squat",
            "band-ankle-triceps",
            "band-foot-kickback",
            "band-shoulder-pushdown",
            "wrist-curl",
            "reverse-wrist-curl",
            "towel-wring",
            "bag-grip-hold",
            "neck-hold",
            "straight-bridge",
            "angled-bridge",
            "half-back-bridge",
            "full-back-bridge",
            "easy-twist-hold",
            "half-twist-hold",
            "full-twist-hold",
            "deep-squat-hold",
            "turkish-get-up",
            "thruster",
            "high-pull",
            "knee-hands-raised-push-up",
            "archer-row",
            "one-foot-table-row",
            "one-arm-towel-row",
            "turning-band-row",
            "seated-one-arm-band-row",
            "knee-to-elbow-push-up",
            "uneven-hands-push-up",
            "three-support-pike-push-up",
            "dead-bug-fly",
            "sit-back-press",
            "split-squat-lateral-raise",
            "side-lunge-reach",
            "step-up-hold",
            "step-up-knee-drive",
            "box-squat-home",
            "kneeling-side-leg-drop",
            "cushion-throw",
            "fast-sliding-knee-pulls",
            "long-jump",
            "cushion-crunch",
            "cushion-leg-lowering",
            "cushion-bridge",
            "pole-pull",
            "lying-knee-raise-90",
            "lying-knee-raise-45",
            "kneeling-hamstring-lowering",
            "glute-ham-raise",
            "leg-press-calf-raise",
            "knee-supported-adduction-plank",
            "leaning-band-pulldown",
            "crossed-band-side-step",
            "band-fly",
            "lying-band-leg-press",
            "band-post-lateral-raise",
            "band-incline-press",
            "scaption-raise",
        ];

    [Theory]
    [MemberData(nameof(Named))]
    public void It_is_found_by_its_plain_name_and_by_two_others(string id)
    {
        var exercise = Examples.Exercise(id);

        exercise.Synonyms.Length.ShouldBeGreaterThanOrEqualTo(2);
        foreach (var name in exercise.Synonyms.Prepend(exercise.Name))
        {
            DomainRules.Shipped.Names.Read(name).Exercise!.Id.ShouldBe(id, name);
        }
    }

    [Fact]
    public void Every_exercise_says_how_familiar_it_is_and_each_pattern_has_something_plain()
    {
        DomainRules.Shipped.Catalogue.All.ShouldAllBe(e => e.Familiarity >= 1 && e.Familiarity <= 5);
        foreach (var pattern in DomainRules.Shipped.Catalogue.AtHome.GroupBy(e => e.Pattern))
        {
            pattern.Max(e => e.Familiarity).ShouldBeGreaterThanOrEqualTo(3, pattern.Key.ToString());
        }
    }

    /// <summary>Prime movers of the movements, from a standard anatomy text (from memory: Platzer, Color Atlas of Human Anatomy,
    /// locomotor system).</summary>
    [Theory]
    [InlineData(MovementPattern.Squat, Muscle.Quads, Muscle.Glutes)]
    [InlineData(MovementPattern.Hinge, Muscle.Glutes, Muscle.Hamstrings)]
    [InlineData(MovementPattern.Lunge, Muscle.Quads, Muscle.Glutes)]
    [InlineData(MovementPattern.HorizontalPush, Muscle.MidChest, Muscle.Triceps)]
    [InlineData(MovementPattern.VerticalPush, Muscle.FrontDelt, Muscle.FrontDelt)]
    [InlineData(MovementPattern.HorizontalPull, Muscle.Lats, Muscle.UpperBack)]
    [InlineData(MovementPattern.VerticalPull, Muscle.Lats, Muscle.Lats)]
    [InlineData(MovementPattern.ElbowFlexion, Muscle.Biceps, Muscle.Forearms)]
    [InlineData(MovementPattern.ElbowExtension, Muscle.Triceps, Muscle.Triceps)]
    [InlineData(MovementPattern.LateralRaise, Muscle.SideDelt, Muscle.FrontDelt)]
    [InlineData(MovementPattern.RearShoulder, Muscle.RearDelt, Muscle.RotatorCuff)]
    [InlineData(MovementPattern.Fly, Muscle.MidChest, Muscle.UpperChest)]
    [InlineData(MovementPattern.HipExtension, Muscle.Glutes, Muscle.Glutes)]
    [InlineData(MovementPattern.HipAbduction, Muscle.GluteMed, Muscle.GluteMed)]
    [InlineData(MovementPattern.HipAdduction, Muscle.Adductors, Muscle.Adductors)]
    [InlineData(MovementPattern.KneeFlexion, Muscle.Hamstrings, Muscle.Hamstrings)]
    [InlineData(MovementPattern.KneeExtension, Muscle.Quads, Muscle.Quads)]
    [InlineData(MovementPattern.PlantarFlexion, Muscle.Calves, Muscle.Calves)]
    [InlineData(MovementPattern.TrunkExtension, Muscle.Erectors, Muscle.Erectors)]
    public void A_movement_is_done_by_its_prime_movers(MovementPattern pattern, Muscle one, Muscle other)
    {
        foreach (var exercise in DomainRules.Shipped.Catalogue.All.Where(e => e.Pattern == pattern && e.Measure == Measure.Reps))
        {
            Math.Max(exercise.InvolvementOf(one), exercise.InvolvementOf(other)).ShouldBeGreaterThanOrEqualTo(0.5, exercise.Id);
        }
    }

    [Fact]
    [Trait("source", "docs/domain/cautions: never landing or jumping for a sore knee, nor overhead work for a sore shoulder")]
    public void Sore_joints_rule_out_what_hurts_them()
    {
        ClientProfile With(Joint joint, Soreness severity) => Examples.ClientA with { SoreJoints = [new SoreJoint(joint, severity)] };
        foreach (var jump in DomainRules.Shipped.Catalogue.AtHome.Where(e => e.Pattern == MovementPattern.Jump))
        {
            CandidateFilter.Why(jump, With(Joint.Knee, Soreness.Injured)).ShouldNotBeNull(jump.Id);
        }

        foreach (
            var press in DomainRules.Shipped.Catalogue.AtHome.Where(e =>
                e.Pattern == MovementPattern.VerticalPush && e.Measure == Measure.Reps
            )
        )
        {
            if (press.Joints.GetValueOrDefault(Joint.Shoulder) < 3)
            {
                press.Id.ShouldBeOneOf("band-incline-press", "one-arm-band-incline-press", "leaning-wall-press", "landmine-press");
            }
        }
    }

    [Fact]
    public void Each_approach_finds_enough_to_fill_its_week_in_an_ordinary_home()
    {
        var kit = Examples.Kit(
            "chair 45",
            "sofa 44",
            "dining-table 74",
            "stairs 18",
            "rucksack",
            "bottle x6",
            "book x8",
            "towel",
            "closed-door"
        );
        string[] week =
        [
            "= A",
            "Back squat 3x8",
            "Bench press 3x8",
            "Seated cable row 3x10",
            "Lying leg curl 3x12",
            "Plank 3x40 s",
            "= B",
            "Deadlift 3x6",
            "Overhead press 3x8",
            "Lat pulldown 3x10",
            "Dumbbell lateral raise 3x15",
            "Standing calf raise 3x15",
        ];
        foreach (var approach in DomainRules.Shipped.Approaches)
        {
            var plan = new RebuildEngine(DomainRules.Shipped)
                .Rebuild(
                    new RebuildRequest
                    {
                        Client = Examples.ClientA,
                        Kit = kit,
                        GymLines = [.. week],
                        Approach = approach.Id,
                    }
                )
                .Plan;
            plan.Lines.ShouldAllBe(l => l.Chosen != null, approach.Id);
        }
    }

    [Fact]
    [Trait("source", "common practice: about 25 kg a hand, 60 kg over the shoulders; stretch preferred under 2.5 times the rest length")]
    public void Bands_stay_within_comfort_for_two_hundred_clients_and_bands()
    {
        var random = new Random(12);
        for (var i = 0; i < 200; i++)
        {
            var stature = 150 + random.Next(50);
            var kit = new Core.Equipment.Kit.KitAtPlace(
                Examples.Kit($"band-loop {3 + random.Next(30)}", "band-tube 8", "band-mini", "railing", "closed-door"),
                DomainRules.Shipped.KitKinds
            );
            foreach (var setup in DomainRules.Shipped.Catalogue.AtHome.SelectMany(e => e.Setups).Where(s => s.Load.Band is not null))
            {
                foreach (var load in BandOptions.For(kit, setup.Load.Band!, stature))
                {
                    load.Band!.Most.ShouldBeLessThanOrEqualTo(setup.Load.Band!.CapKg ?? 60, setup.Text);
                    load.Stretch!.Value.ShouldBeLessThanOrEqualTo(BandForceCurve.WarnStretch + 0.6, setup.Text);
                }
            }
        }
    }
}
