using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Rebuilding.Days;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Rebuilding.Days;

/// <summary>Minutes of a session, worked by hand.</summary>
[Trait("source", "docs/domain/prescription: work, rests, change-overs, warm-up and cool-down")]
public class SessionTimeTests
{
    private static readonly SessionTime Time = new(DomainRules.Shipped.Session);

    private static readonly Dictionary<LineKey, HomeLine> Lines = Examples
        .Rebuild(
            Examples.ClientA,
            Examples.KitOf("2x 12 kg dumbbell; chair 45 cm"),
            "Push-up 3x10",
            "Biceps curl 3x10",
            "Lat pulldown 3x10"
        )
        .Plan.Lines.Select((l, i) => i == 2 ? l with { Chosen = null } : WithTens(l))
        .ToDictionary(l => l.Gym.Key);

    [Fact]
    public void Lines_in_turn_share_a_rest_and_change_within_the_round()
    {
        // Each 3 × 10 reps of 3 s; two change-overs of 75 s, three rests of 60 s, ten seconds between the two in each round.
        var seconds = Time.Seconds(Group(rounds: 3, rest: 60, 1, 2), Lines);

        seconds.ShouldBe((2 * 90) + (2 * 75) + (3 * 60) + (3 * 10));
        Time.Minutes([Group(3, 60, 1, 2)], Lines, null).ShouldBe(20, "nine minutes and eleven of warm-up and cool-down");
    }

    [Fact]
    public void A_line_alone_has_no_change_within_and_what_has_no_exercise_takes_no_time()
    {
        Time.Seconds(Group(3, 60, 1), Lines).ShouldBe(90 + 75 + 180);
        Time.Seconds(Group(3, 60, 1, 3), Lines).ShouldBe(90 + 75 + 180);
        Time.Minutes([Group(3, 60, 1), Group(3, 60, 2)], Lines, null).ShouldBe(11 + 12, "690 s, begun minutes counted whole");
        Time.Minutes([Group(3, 60, 1)], Lines, 28).ShouldBe(7 + 6, "a quarter of a short session at most");
    }

    private static RoundGroup Group(int rounds, int rest, params int[] lines) =>
        new(RoundGroup.KindOf(lines.Length), "A", [.. lines.Select(l => new LineKey(l))], rounds, rest);

    private static HomeLine WithTens(HomeLine line) =>
        line with
        {
            Chosen = line.Chosen! with
            {
                Exercises =
                [
                    line.Chosen.Exercises[0] with
                    {
                        Dose = line.Chosen.Exercises[0].Dose with
                        {
                            Sets = 3,
                            Target = new(10, 10),
                            Tempo = Core.Foundation.Quantities.Tempo.Usual,
                            PerSide = false,
                            Scheme = null,
                        },
                    },
                ],
            },
        };
}
