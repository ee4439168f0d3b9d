using System.Collections.Immutable;
using CsCheck;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Programs.Lines;

/// <summary>A line keeps its key through what happens to the text: decisions belong to exercises, not to places.</summary>
public class LineKeyTests
{
    private const string Week = "= Push\nBench press 3x8\nOverhead press 3x8\n= Legs\nBack squat 3x5\nBench press 2x12";

    [Fact]
    public void The_first_reading_takes_the_places() => KeysOf(Read(Week)).ShouldBe([2, 3, 5, 6]);

    [Fact]
    public void A_blank_line_above_moves_no_key() => After(Week, "\n\n" + Week).ShouldBe([2, 3, 5, 6]);

    [Fact]
    public void A_day_that_moves_takes_its_keys_along() =>
        After(Week, "= Legs\nBack squat 3x5\nBench press 2x12\n= Push\nBench press 3x8\nOverhead press 3x8").ShouldBe([5, 6, 2, 3]);

    [Fact]
    public void A_line_that_moves_to_another_day_keeps_its_key() =>
        After(Week, "= Push\nBench press 3x8\n= Legs\nBack squat 3x5\nBench press 2x12\nOverhead press 3x8").ShouldBe([2, 5, 6, 3]);

    [Fact]
    public void Other_figures_of_an_exercise_are_the_same_line() =>
        After(Week, Week.Replace("3x5", "5x5 RIR 2", StringComparison.Ordinal)).ShouldBe([2, 3, 5, 6]);

    [Fact]
    public void A_renamed_day_keeps_its_lines() =>
        After(Week, Week.Replace("= Legs", "= Lower body", StringComparison.Ordinal)).ShouldBe([2, 3, 5, 6]);

    [Fact]
    public void Another_exercise_in_its_place_is_a_new_line_with_a_key_that_nothing_had() =>
        After(Week, Week.Replace("Overhead press", "Barbell row", StringComparison.Ordinal)).ShouldBe([2, 7, 5, 6]);

    [Fact]
    public void A_line_taken_out_gets_its_key_back_when_it_returns()
    {
        var without = Step(Step((Read(Week), []), Week), Week.Replace("Overhead press 3x8\n", string.Empty, StringComparison.Ordinal));
        var grown = Step(without, Week.Replace("Overhead press 3x8\n", "Barbell row 3x8\n", StringComparison.Ordinal));

        KeysOf(grown.Read).ShouldBe([2, 7, 5, 6], "3 is remembered and not given away");
        KeysOf(Step(grown, Week).Read).ShouldBe([2, 3, 5, 6]);
    }

    [Fact]
    public void A_lock_stays_with_its_exercise_when_a_line_is_put_above_it()
    {
        var engine = new RebuildEngine(DomainRules.Shipped);
        var request = new RebuildRequest
        {
            Client = Examples.ClientA,
            Kit = Examples.Kit("dumbbell 16 x2", "sofa 44"),
            GymLines = ["Bench press 3x8", "Back squat 3x8"],
        };
        var first = engine.Rebuild(request);
        var other = first.Plan.Lines[0].Candidates.First(c => c.Id != first.Plan.Lines[0].Chosen!.Id).Id;
        var locked = request with { Choices = [new CoachChoice(first.Plan.Lines[0].Gym.Key, other)], Keyed = first.Keyed };

        var plan = engine.Rebuild(locked with { GymLines = ["Barbell row 3x8", string.Empty, .. request.GymLines] }).Plan;

        plan.Lines.Single(l => l.Locked).Gym.ExerciseId.ShouldBe("bench-press");
        plan.Lines.Single(l => l.Locked).Chosen!.Id.ShouldBe(other);
    }

    [Fact]
    public void Keys_are_never_given_twice_whatever_the_order()
    {
        var names = new[] { "Bench press", "Back squat", "Barbell row", "Overhead press", "Deadlift" };
        var line = Gen.Select(Gen.OneOfConst(names), Gen.Int[2, 4], Gen.Int[5, 8]).Select(t => $"{t.Item1} {t.Item2}x{t.Item3}");
        var text = line.Array[1, 6].Select(l => string.Join('\n', l));
        text.List[2, 5]
            .Sample(
                edits =>
                {
                    var at = (Read(edits[0]), ImmutableArray<KeyedLine>.Empty);
                    foreach (var edit in edits)
                    {
                        at = Step(at, edit);
                        KeysOf(at.Item1).ShouldBeUnique();
                    }

                    KeysOf(Step(at, edits[^1]).Read).ShouldBe(KeysOf(at.Item1), "reading again changes nothing");
                },
                iter: 300
            );
    }

    private static ShorthandResult Read(string text) => new ShorthandParser(DomainRules.Shipped.Names).Parse(text);

    private static int[] KeysOf(ShorthandResult read) => [.. read.Lines.Select(l => l.Key.Value)];

    private static int[] After(string before, string now) => KeysOf(Step(Step((Read(before), []), before), now).Read);

    private static (ShorthandResult Read, ImmutableArray<KeyedLine> Keyed) Step(
        (ShorthandResult Read, ImmutableArray<KeyedLine> Keyed) at,
        string text
    )
    {
        var read = LineKeys.Kept(Read(text), at.Keyed);
        return (read, LineKeys.Remembered(read, at.Keyed));
    }
}
