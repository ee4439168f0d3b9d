using CsCheck;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Progress.ClientApp;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.ClientApp;

/// <summary>What the phone offers when something hurts: the same but lighter first, and nothing that asks more of the joint.</summary>
public sealed class PainOnThePhoneTests
{
    private static readonly string[] Gym =
    [
        "Goblet squat 3x10 @ 20 kg",
        "Romanian deadlift 3x10 @ 40 kg, 3 s down",
        "Bench press 3x8 @ 50 kg",
        "Barbell row 3x8 @ 40 kg",
        "Overhead press 3x8 @ 25 kg",
        "Lat pulldown 3x10",
        "Walking lunge 3x12",
        "Dumbbell curl 3x12 @ 8 kg",
        "Lateral raise 3x15",
        "Plank 3x40 s",
        "Push-up 3x12",
        "Standing calf raise 3x15",
    ];

    private static readonly PlaceKit[] Kits =
    [
        Examples.KitOf("a pair of 10 kg dumbbells; a 16 kg kettlebell; two long loop bands; a door anchor; a chair; a rucksack; a towel"),
        Examples.KitOf("a rucksack; a chair; a towel; a step 30 cm"),
        Examples.KitOf("adjustable dumbbells up to 20 kg; a bench; a rucksack"),
    ];

    private static Release Sent(PlaceKit kit, ClientProfile client, IEnumerable<string> lines)
    {
        var request = new RebuildRequest
        {
            Client = client,
            Kit = kit,
            GymLines = [.. lines],
        };
        return new ReleaseWriter(DomainRules.Shipped).Write("Plan", request, Examples.Rebuild(client, kit, [.. lines]).Plan, string.Empty);
    }

    /// <summary>Drawn days and kits: the lighter one is never heavier than half, longer, slower or with more sets; what spares a joint and still
    /// touches it is neither heavier nor longer.</summary>
    [Fact]
    public void Nothing_offered_for_pain_asks_more() =>
        Gen.Select(Gen.Int[0, Gym.Length - 1].List[4], Gen.Int[0, Kits.Length - 1], Gen.Enum<Level>())
            .Sample(
                (lines, kit, level) =>
                {
                    var client = Examples.ClientA with { Level = level };
                    foreach (var now in Sent(Kits[kit], client, lines.Distinct().Select(l => Gym[l])).Days.SelectMany(d => d.Exercises))
                    {
                        var lighter = now.Lighter!.Exercise;
                        lighter.ExerciseId.ShouldBe(now.ExerciseId);
                        lighter.ExternalKg.ShouldBeLessThanOrEqualTo(now.ExternalKg);
                        (
                            lighter.ExternalKg <= (now.ExternalKg / 2) + 0.01 || Most(lighter) <= Math.Max(1, (Most(now) + 1) / 2)
                        ).ShouldBeTrue($"{now.Name} {now.ExternalKg} kg {now.Figures} → {lighter.ExternalKg} kg {lighter.Figures}");
                        lighter.Sets.Length.ShouldBeLessThanOrEqualTo(Math.Max(1, now.Sets.Length - 1));
                        Most(lighter).ShouldBeLessThanOrEqualTo(Most(now));
                        foreach (var other in now.Alternatives.Where(a => a.Helps.Contains(SwapReason.Hurts)))
                        {
                            foreach (var joint in other.Spares.Where(j => Stress(other.Exercise, j) > 0))
                            {
                                Stress(other.Exercise, joint).ShouldBeLessThan(Stress(now, joint), other.Exercise.Name);
                                other.Exercise.ExternalKg.ShouldBeLessThanOrEqualTo(now.ExternalKg, $"{now.Name} → {other.Exercise.Name}");
                                Most(other.Exercise).ShouldBeLessThanOrEqualTo(Most(now), $"{now.Name} → {other.Exercise.Name}");
                            }
                        }
                    }
                },
                iter: 60,
                threads: 1
            );

    [Fact]
    public void Who_slept_badly_or_is_sore_aims_lower_today() =>
        Sent(Kits[0], Examples.ClientA, ["Goblet squat 3x10"])
            .Forms.Select(f => (f.Id, f.RepsLess))
            .ShouldBe([("fresh", 0), ("fine", 0), ("slept-badly", 1), ("sore", 1)]);

    [Fact]
    public void The_phone_knows_which_joints_an_exercise_loads() =>
        Sent(Kits[0], Examples.ClientA, ["Goblet squat 3x10"]).Days[0].Exercises[0].Loads.ShouldContain(Joint.Knee);

    private static int Stress(ReleaseExercise exercise, Joint joint) =>
        Examples.Exercise(exercise.ExerciseId).Joints.GetValueOrDefault(joint);

    private static int Most(ReleaseExercise exercise) =>
        exercise.Sets.SelectMany(s => s.Parts).Where(p => p.Kind == SetPartKind.Work).Max(p => p.Target.IsOpen ? 99 : p.Target.Max);
}
