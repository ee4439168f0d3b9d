using CsCheck;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Clients.Profiles;

/// <summary>Joints that hurt: what is left out, what stays, and that a drawn week holds nothing else (docs/domain/cautions).</summary>
public sealed class JointSparingTests
{
    private static ClientProfile With(Joint joint, Soreness severity, params Provocation[] provoked) =>
        Examples.ClientA with
        {
            Level = Level.Advanced,
            SoreJoints = [new SoreJoint(joint, severity) { Provoked = [.. provoked] }],
        };

    /// <summary>What a physiotherapist leaves out first; common practice.</summary>
    [Theory]
    [InlineData(Joint.Hip, Soreness.Injured, "goblet-squat")]
    [InlineData(Joint.Hip, Soreness.Injured, "deep-squat-hold")]
    [InlineData(Joint.Hip, Soreness.Sore, "deep-squat-hold")]
    [InlineData(Joint.Hip, Soreness.Sore, "curtsy-lunge")]
    [InlineData(Joint.Hip, Soreness.Sore, "long-jump")]
    [InlineData(Joint.Hip, Soreness.Injured, "dumbbell-romanian-deadlift")]
    [InlineData(Joint.Neck, Soreness.Injured, "crunch")]
    [InlineData(Joint.Neck, Soreness.Sore, "wall-handstand-push-up")]
    [InlineData(Joint.Neck, Soreness.Sore, "pike-push-up")]
    [InlineData(Joint.Neck, Soreness.Injured, "hand-weight-shrug")]
    [InlineData(Joint.LowBack, Soreness.Injured, "single-leg-romanian-deadlift")]
    [InlineData(Joint.LowBack, Soreness.Injured, "seated-cable-row")]
    [InlineData(Joint.LowBack, Soreness.Injured, "kettlebell-swing")]
    [InlineData(Joint.LowBack, Soreness.Sore, "deadlift")]
    [InlineData(Joint.LowBack, Soreness.Sore, "back-squat")]
    [InlineData(Joint.Wrist, Soreness.Injured, "push-up")]
    [InlineData(Joint.Wrist, Soreness.Injured, "bear-crawl")]
    [InlineData(Joint.Wrist, Soreness.Sore, "wrist-curl")]
    [InlineData(Joint.Elbow, Soreness.Injured, "dumbbell-curl")]
    [InlineData(Joint.Elbow, Soreness.Injured, "band-triceps-pushdown")]
    [InlineData(Joint.Elbow, Soreness.Sore, "lying-triceps-extension-home")]
    [InlineData(Joint.Elbow, Soreness.Sore, "chin-up")]
    [InlineData(Joint.Ankle, Soreness.Injured, "calf-raise")]
    [InlineData(Joint.Ankle, Soreness.Injured, "walking-lunge-home")]
    [InlineData(Joint.Ankle, Soreness.Sore, "rope-skipping")]
    [InlineData(Joint.Ankle, Soreness.Sore, "single-leg-calf-raise")]
    [InlineData(Joint.Knee, Soreness.Injured, "hand-held-split-squat")]
    [InlineData(Joint.Knee, Soreness.Sore, "forward-lunge")]
    [InlineData(Joint.Shoulder, Soreness.Injured, "lat-pulldown")]
    [InlineData(Joint.Shoulder, Soreness.Sore, "dumbbell-overhead-press")]
    public void A_joint_that_hurts_leaves_out(Joint joint, Soreness severity, string exercise) =>
        JointSparing.Why(Examples.Exercise(exercise), With(joint, severity)).ShouldNotBeNull();

    /// <summary>What is given instead; common practice, the bird dog and the side plank after McGill, from memory.</summary>
    [Theory]
    [InlineData(Joint.LowBack, "glute-bridge")]
    [InlineData(Joint.LowBack, "bird-dog")]
    [InlineData(Joint.LowBack, "one-arm-dumbbell-row")]
    [InlineData(Joint.LowBack, "knee-side-plank")]
    [InlineData(Joint.Knee, "glute-bridge")]
    [InlineData(Joint.Knee, "hip-thrust-from-a-seat")]
    [InlineData(Joint.Knee, "dumbbell-romanian-deadlift")]
    [InlineData(Joint.Ankle, "seated-calf-raise-home")]
    [InlineData(Joint.Ankle, "one-arm-dumbbell-row")]
    [InlineData(Joint.Wrist, "dumbbell-floor-press")]
    [InlineData(Joint.Wrist, "one-arm-dumbbell-row")]
    [InlineData(Joint.Neck, "dead-bug")]
    [InlineData(Joint.Neck, "dumbbell-floor-press")]
    [InlineData(Joint.Elbow, "prone-elbow-row")]
    [InlineData(Joint.Hip, "clamshell")]
    [InlineData(Joint.Shoulder, "one-arm-dumbbell-row")]
    public void An_injured_joint_leaves(Joint joint, string exercise) =>
        JointSparing.Why(Examples.Exercise(exercise), With(joint, Soreness.Injured)).ShouldBeNull();

    [Theory]
    [InlineData(Provocation.BackBending, Joint.LowBack, "bent-over-row-home", "prone-back-extension")]
    [InlineData(Provocation.BackArching, Joint.LowBack, "prone-superman", "glute-bridge")]
    [InlineData(Provocation.KneeBent, Joint.Knee, "goblet-squat", "box-squat-home")]
    [InlineData(Provocation.HipReplaced, Joint.Hip, "side-lying-adduction", "chair-squat")]
    [InlineData(Provocation.HipPinches, Joint.Hip, "goblet-squat", "box-squat-home")]
    [InlineData(Provocation.ShoulderOverhead, Joint.Shoulder, "band-pulldown", "dumbbell-floor-press")]
    [InlineData(Provocation.ShoulderSlips, Joint.Shoulder, "dumbbell-fly-on-the-floor", "dumbbell-floor-press")]
    [InlineData(Provocation.WristFlat, Joint.Wrist, "push-up", "dumbbell-floor-press")]
    public void What_brings_a_sore_joint_on_is_out_and_the_rest_stays(Provocation provoked, Joint joint, string outs, string stays)
    {
        JointSparing.Why(Examples.Exercise(outs), With(joint, Soreness.Sore, provoked)).ShouldNotBeNull();
        JointSparing.Why(Examples.Exercise(stays), With(joint, Soreness.Sore, provoked)).ShouldBeNull();
    }

    [Theory]
    [InlineData(Provocation.KneeLocks, Joint.Knee, "step-up")]
    [InlineData(Provocation.LegSigns, Joint.LowBack, "dumbbell-romanian-deadlift")]
    public void Signs_for_a_clinician_make_a_sore_joint_an_injured_one(Provocation signs, Joint joint, string exercise)
    {
        JointSparing.Why(Examples.Exercise(exercise), With(joint, Soreness.Sore)).ShouldBeNull();
        JointSparing.Why(Examples.Exercise(exercise), With(joint, Soreness.Sore, signs)).ShouldNotBeNull();
    }

    [Fact]
    public void Every_joint_leaves_exercises_out_and_leaves_some_for_every_pattern_that_has_any_kind_one()
    {
        foreach (var joint in Enum.GetValues<Joint>())
        {
            var (sore, injured) = (Out(joint, Soreness.Sore), Out(joint, Soreness.Injured));
            sore.ShouldBeGreaterThanOrEqualTo(10, joint.ToString());
            injured.ShouldBeGreaterThan(sore, joint.ToString());
            injured.ShouldBeLessThan(DomainRules.Shipped.Catalogue.All.Length / 3, joint.ToString());
        }

        static int Out(Joint joint, Soreness severity) =>
            DomainRules.Shipped.Catalogue.All.Count(e => JointSparing.Why(e, With(joint, severity)) is not null);
    }

    /// <summary>A strain belongs to a joint that the exercise loads.</summary>
    [Fact]
    public void Every_strain_has_its_joint()
    {
        foreach (var exercise in DomainRules.Shipped.Catalogue.All)
        {
            foreach (var strain in exercise.Strains)
            {
                exercise.Joints.GetValueOrDefault(JointOf(strain)).ShouldBeGreaterThan(0, $"{exercise.Id} {strain}");
            }
        }

        static Joint JointOf(JointStrain strain) =>
            strain switch
            {
                JointStrain.BackBending or JointStrain.BackArching => Joint.LowBack,
                JointStrain.KneeDeep => Joint.Knee,
                JointStrain.HipDeep or JointStrain.HipCrossing => Joint.Hip,
                JointStrain.Overhead or JointStrain.ShoulderOpen => Joint.Shoulder,
                _ => Joint.Wrist,
            };
    }

    /// <summary>The harder of two of one family never spares a joint that the easier one loads heavily, by name of what loads it.</summary>
    [Fact]
    public void What_is_done_head_down_loads_the_neck() =>
        DomainRules.Shipped.Catalogue.All.Where(e => e.HeadDown).ShouldAllBe(e => e.Joints.GetValueOrDefault(Joint.Neck) >= 2);

    private static readonly string[] Gym =
    [
        "Back squat 4x6 @ 80 kg",
        "Bench press 4x8 @ 60 kg tempo 3-1-1-0",
        "Barbell row 4x8 @ 50 kg",
        "Romanian deadlift 3x10 @ 60 kg, 3 s down",
        "Overhead press 3x8 @ 35 kg",
        "Lat pulldown 3x12",
        "Walking lunge 3x12",
        "Leg press 3x12",
        "Dumbbell curl 3x12 @ 10 kg",
        "Triceps pushdown 3x12",
        "Lateral raise 3x15",
        "Seated cable row 3x12",
        "Hip thrust 3x10 @ 80 kg",
        "Standing calf raise 4x12",
        "Push-up 3x15",
        "Crunch 3x20",
        "Plank 3x40 s",
        "Leg curl 3x12",
        "Goblet squat 3x12 @ 20 kg, 2 s pause",
        "Farmer's carry 3x30 m",
    ];

    private static readonly PlaceKit[] Kits =
    [
        Examples.KitOf("adjustable dumbbells up to 20 kg; a rucksack; a chair"),
        Examples.KitOf("a pair of 10 kg dumbbells; a 16 kg kettlebell; two long loop bands; a door anchor; a chair; a towel"),
        Examples.KitOf("a rucksack; a chair; a towel; a broomstick; a step 30 cm"),
    ];

    /// <summary>Thirty intakes with an ordinary day, on a small home and on a poor one: no place of any list holds what a physiotherapist would not
    /// give.</summary>
    [Fact]
    public void Thirty_joints_with_an_ordinary_day()
    {
        string[] day =
        [
            "Goblet squat 3x10 @ 20 kg",
            "Romanian deadlift 3x10 @ 40 kg, 3 s down",
            "Bench press 3x8 @ 40 kg",
            "Seated cable row 3x10",
            "Overhead press 3x8 @ 25 kg",
            "Dumbbell curl 3x12 @ 8 kg",
            "Crunch 3x20",
            "Standing calf raise 3x15",
            "Walking lunge 3x12",
        ];
        var wrong = new List<string>();
        foreach (var row in Corpus.In("Clients", "Profiles", "joint-days.tsv"))
        {
            var client = Examples.ClientA with { Level = Level.Intermediate, SoreJoints = IntakeSentence.Read(row[0]).SoreJoints };
            client.SoreJoints.ShouldNotBeEmpty(row[0]);
            row[1].Split(' ').ShouldAllBe(e => DomainRules.Shipped.Catalogue.Find(e.TrimEnd('*')) != null, row[0]);
            foreach (var kit in Kits)
            {
                wrong.AddRange(
                    Examples
                        .Rebuild(client, kit, day)
                        .Plan.Lines.SelectMany(l => l.Candidates)
                        .SelectMany(c => c.Exercises)
                        .SelectMany(e => e.ExternalKg > 0 ? new[] { e.ExerciseId, e.ExerciseId + "*" } : [e.ExerciseId])
                        .Intersect(row[1].Split(' '))
                        .Select(e => $"{row[0]}: {e}")
                );
            }
        }

        wrong.Distinct().ShouldBeEmpty();
    }

    /// <summary>
    /// Drawn days, kits, levels and joints: no line offers, at any place of its list, what the joint rules out; an injured joint bears no added
    /// load, no slow lowering and no pause.
    /// </summary>
    [Fact]
    public void No_week_offers_what_a_joint_rules_out() =>
        Gen.Select(
                Gen.Int[0, Gym.Length - 1].List[4],
                Gen.Int[0, Kits.Length - 1],
                Gen.Enum<Joint>(),
                Gen.Enum<Soreness>(),
                Gen.Enum<Level>(),
                Gen.Enum<Provocation>()
            )
            .Sample(
                (lines, kit, joint, severity, level, provoked) =>
                {
                    var sore = new SoreJoint(joint, severity)
                    {
                        Provoked = DomainRules.Shipped.Joints.Of(provoked).Joint == joint ? [provoked] : [],
                    };
                    var client = Examples.ClientA with { Level = level, SoreJoints = [sore] };
                    var plan = Examples.Rebuild(client, Kits[kit], [.. lines.Distinct().Select(l => Gym[l])]).Plan;
                    foreach (var home in plan.Lines.SelectMany(l => l.Candidates).SelectMany(c => c.Exercises))
                    {
                        var exercise = Examples.Exercise(home.ExerciseId);
                        var stress = exercise.Joints.GetValueOrDefault(joint);
                        JointSparing.Why(exercise, client).ShouldBeNull(home.ExerciseId);
                        stress.ShouldBeLessThan(sore.Spared == Soreness.Injured ? 2 : 3, home.ExerciseId);
                        var slow = home.Dose.Tempo;
                        if (sore.Spared == Soreness.Injured && stress > 0)
                        {
                            home.ExternalKg.ShouldBe(0, 0.001, home.ExerciseId);
                            slow.Eccentric.ShouldBeLessThan(3, home.ExerciseId);
                            Math.Max(slow.PauseStretched, slow.PauseShortened).ShouldBe(0, home.ExerciseId);
                        }
                        else if (stress == 2)
                        {
                            slow.Eccentric.ShouldBeLessThan(4, home.ExerciseId);
                        }
                    }
                },
                iter: 150,
                threads: 1
            );
}
