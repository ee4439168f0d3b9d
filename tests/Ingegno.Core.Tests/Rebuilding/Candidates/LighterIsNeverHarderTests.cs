using CsCheck;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Rebuilding.Dosing;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Rebuilding.Candidates;

/// <summary>Reps to failure never rise with the load, whatever a line says of a load of its own (a fact of arithmetic).</summary>
public class LighterIsNeverHarderTests
{
    private static readonly string[] Lines =
    [
        "One-arm dumbbell row 3x10/side @ 8 kg",
        "Dumbbell bench press 3x10 @ 18 kg",
        "Dumbbell floor press 4x6 @ 26 kg RIR 1",
        "Goblet squat 3x12 @ 14 kg",
        "Dumbbell Romanian deadlift 3x10 @ 20 kg RPE 8",
        "Dumbbell lateral raise 3x15 @ 7 kg",
        "Dumbbell curl 3x12 @ 10 kg",
        "Split squat 3x8/side 2x12 kg",
        "Bench press 3x10 @ 50 kg",
        "Seated dumbbell shoulder press 3x10 2x14 kg",
    ];

    [Fact]
    public void Reps_never_rise_with_the_load() =>
        Gen.Select(Gen.Enum<Level>(), Gen.Enum<Sex>(), Gen.Int[45, 120], Gen.OneOfConst(Lines), Gen.Bool)
            .Sample(
                (level, sex, mass, text, pair) =>
                {
                    var line = new ShorthandParser(DomainRules.Shipped.Names).Parse(text).Lines.Single();
                    var asked = new ClientProfile
                    {
                        Level = level,
                        Goal = Goal.Muscle,
                        Sex = sex,
                        BodyMassKg = mass,
                        StatureCm = 172,
                    };
                    var client = LineEvidence.Join([line], asked, DomainRules.Shipped).Client;
                    var last = double.PositiveInfinity;
                    for (var kg = 2; kg <= 40; kg += 1)
                    {
                        var reps = Straight(client, line, $"{(pair ? 2 : 1)}x {kg} kg dumbbell; bench 44 cm");
                        if (double.IsPositiveInfinity(reps))
                        {
                            continue; // more than hands and arms bear, or nothing that takes it
                        }

                        reps.ShouldBeLessThanOrEqualTo(last + 1e-6, $"{text}, {kg} kg: {level} {sex} {mass} kg");
                        last = reps;
                    }
                },
                iter: 60,
                seed: "0000Q7mR2Jd1"
            );

    /// <summary>Expected reps of the line's own exercise with the heaviest load that the kit has, nothing slowed.</summary>
    private static double Straight(ClientProfile client, GymLine line, string kit)
    {
        var at = new ClientAtPlace(client, Examples.KitOf(kit), DomainRules.Shipped);
        var exercise = DomainRules.Shipped.Catalogue.Get(line.ExerciseId);
        var match = new LineToMatch(
            line,
            exercise,
            LineRole.Main,
            WantedEffort.ForLine(line, exercise, client, DomainRules.Shipped, at.Strength),
            DomainRules.Shipped.ApproachOf(null)
        );
        return
            at.Ways.Of(exercise).Where(w => w.Load.MassKg > 0).MaxBy(w => w.Load.MassKg) is { } way
            && at.Strength.For(exercise) is { } estimate
            ? new NamedLoad(at)
                .Reps(
                    exercise,
                    way,
                    match,
                    Ingegno.Core.Clients.Strength.ClientStrength.RepsAt(estimate, way.System.Kg, exercise.Strength!.Curve)
                )
                .Mid
            : double.PositiveInfinity;
    }
}
