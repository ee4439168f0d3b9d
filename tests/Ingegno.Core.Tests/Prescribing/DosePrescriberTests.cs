using Ingegno.Core.Clients;
using Ingegno.Core.Prescribing;
using Ingegno.Core.Programs;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Prescribing;

public class DosePrescriberTests
{
    [Fact]
    public void Reps_stay_when_the_load_fits() => Prescribe("Bench press 4x8", 10).Figures.ShouldBe("4x8");

    [Fact]
    public void Reps_fall_when_the_load_is_heavy()
    {
        var dose = Prescribe("Bench press 4x8", 6);

        dose.Figures.ShouldBe("4x4", "six to failure, two in reserve");
        dose.Reason.ShouldContain("Fewer reps");
    }

    [Fact]
    public void Reps_rise_when_the_load_is_light_and_stop_at_thirty()
    {
        Prescribe("Bench press 4x8", 22).Target.ShouldBe(new SetTarget(16, 20));
        Prescribe("Bench press 4x8", 80).Target.Max.ShouldBe(30, "handbook 04: past thirty a set does less");
    }

    [Fact]
    public void A_beginner_keeps_two_in_reserve() =>
        Prescribe("Bench press 3x8 RIR 0", 10, Examples.ClientB).Rir.ShouldBe(2);

    [Fact]
    public void Tempo_and_rest_of_the_gym_line_are_kept_and_filled_in_where_missing()
    {
        var kept = Prescribe("Bench press 4x8 3-1-X-0 75 s", 10);
        (kept.Tempo, kept.RestSeconds).ShouldBe(("3-1-X-0", 75));

        var filled = Prescribe("Bench press 4x8", 10);
        (filled.Tempo, filled.RestSeconds).ShouldBe(("2-0-1-0", 90), "muscle: 1–2 min of rest (handbook 04)");
    }

    [Fact]
    public void The_open_last_set_survives() => Prescribe("Overhead press 3x6 + AMRAP", 8, exercise: "pike-push-up").Figures.ShouldBe("3x6 + AMRAP");

    [Fact]
    public void A_hold_takes_seconds() => Prescribe("Plank 3x40 s", null, exercise: "plank").Figures.ShouldBe("3x40 s");

    private static Dose Prescribe(string text, double? toFailure, ClientProfile? client = null, string exercise = "push-up")
    {
        client ??= Examples.ClientA;
        var line = new ShorthandParser(Trade.Shipped.Names).Parse(text).Lines[0];
        var effort = WantedEffort.Of(line, Examples.Exercise(line.ExerciseId), client.Level);
        return DosePrescriber.Prescribe(line, Examples.Exercise(exercise), client, effort, toFailure, []);
    }
}
