using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Rebuilding.Weeks;

/// <summary>
/// Lines that one exercise cannot carry: a heavy hinge without load, a heavy squat with a toy load, a vertical pull with nothing to hang from.
/// A pair stands among the first three, and in the plan where nothing plain does the job.
/// </summary>
[Trait("source", "common practice")]
public class PairRowTests
{
    private static readonly ClientProfile Strong = new()
    {
        Level = Level.Advanced,
        Goal = Goal.Strength,
        Sex = Sex.Male,
        BodyMassKg = 90,
        StatureCm = 183,
        AgeYears = 29,
        MinutesPerSession = 75,
        KnownLifts =
        [
            new KnownLift("bench-press", 120),
            new KnownLift("back-squat", 160),
            new KnownLift("deadlift", 200),
            new KnownLift("barbell-row", 105),
        ],
    };
    private static readonly ClientProfile Lifts = Strong with
    {
        Level = Level.Intermediate,
        Goal = Goal.Muscle,
        BodyMassKg = 80,
        KnownLifts = [],
    };
    private static readonly ClientProfile Woman = Lifts with { Sex = Sex.Female, BodyMassKg = 62, StatureCm = 166 };

    public static TheoryData<string, string, string, string> Rows() =>
        new()
        {
            {
                "strong",
                "24 kg kettlebell; tile floor; socks",
                "Deadlift 4x4 @ 180 kg",
                "single-leg-romanian-deadlift+prone-back-extension"
            },
            { "strong", "", "Deadlift 4x5 @ 160 kg", "single-leg-romanian-deadlift+prone-back-extension" },
            { "lifts", "tile floor; socks", "Deadlift 4x5 @ 130 kg", "sliding-leg-curl+" },
            { "strong", "24 kg kettlebell; chair 45 cm", "Pull-up 4x8", "pullover-on-the-floor+one-arm-dumbbell-row" },
            { "strong", "2x 16 kg dumbbell", "Lat pulldown 3x12", "pullover-on-the-floor+" },
            { "woman", "2x 7 kg dumbbell", "Chin-up 3x6", "curl+" },
        };

    [Theory]
    [MemberData(nameof(Rows))]
    public void A_pair_stands_among_the_first_three(string client, string kit, string line, string pair)
    {
        var who = client switch
        {
            "strong" => Strong,
            "woman" => Woman,
            _ => Lifts,
        };

        var first = Examples.Rebuild(who, Examples.KitOf(kit), line).Plan.Lines[0].Candidates.Take(3).Select(c => c.Id).ToList();

        first.ShouldContain(id => id.Contains(pair), string.Join(", ", first));
    }

    /// <summary>A lunge with a toy load is still plainer than two for it; the coach who wants them finds them among the candidates.</summary>
    [Fact]
    public void A_heavy_squat_with_a_toy_load_is_offered_a_pair() =>
        Examples
            .Rebuild(
                Strong with
                {
                    Level = Level.Novice,
                    BodyMassKg = 85,
                    KnownLifts = [],
                },
                Examples.KitOf("2x 7 kg dumbbell"),
                "Back squat 4x6 @ 120 kg"
            )
            .Plan.Lines[0]
            .Candidates.ShouldContain(c => c.Exercises.Length == 2 && c.Exercises.Any(e => e.Name.Contains("lunge")));

    /// <summary>The second half finds its muscle tired: seven tenths of the reps that it would have fresh (the table of techniques).</summary>
    [Fact]
    public void The_second_half_is_dosed_for_a_tired_muscle()
    {
        var line = Examples.Rebuild(Strong, Examples.KitOf("24 kg kettlebell; chair 45 cm"), "Pull-up 4x8").Plan.Lines[0];
        var pair = line.Candidates.First(c => c.Id == "pullover-on-the-floor+one-arm-dumbbell-row");
        var fresh = line.Candidates.First(c => c.Id == "one-arm-dumbbell-row");

        pair.Exercises[1].Expected!.Mid.ShouldBe(0.7 * fresh.Exercises[0].Expected!.Mid, 0.01);
        pair.Why.ShouldContain(w => w.Code == "pair.tires");
        line.Chosen!.Id.ShouldBe(pair.Id);
    }

    /// <summary>Where one exercise does the whole job there is no pair at all.</summary>
    [Theory]
    [InlineData("barbell 20 kg with 140 kg of plates", "Deadlift 4x4 @ 120 kg")]
    [InlineData("pull-up bar", "Pull-up 4x8")]
    [InlineData("2x 24 kg dumbbell; chair 45 cm", "Overhead press 4x6 @ 40 kg")]
    public void One_that_does_the_job_stays_alone(string kit, string line) =>
        Examples.Rebuild(Lifts, Examples.KitOf(kit), line).Plan.Lines[0].Candidates.ShouldAllBe(c => c.Exercises.Length == 1);
}
