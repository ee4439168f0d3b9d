using CsCheck;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.Logs;

/// <summary>Logs as clients text them (common practice): what each message says was written down by hand.</summary>
public class LogMessageTests
{
    private static readonly LogMessage Reader = new(Plan(), DomainRules.Shipped);

    [Fact]
    public void At_least_98_percent_of_the_messages_say_what_they_say()
    {
        var rows = Corpus.Rows("log-messages.tsv").Where(r => !r[1].EndsWith("planned", StringComparison.Ordinal)).ToList();
        var wrong = rows.Where(r => Said(r[0]) != r[1]).Select(r => $"{r[0]} → {Said(r[0])}, not {r[1]}").ToList();

        (1 - (wrong.Count / (double)rows.Count)).ShouldBeGreaterThanOrEqualTo(0.98, string.Join('\n', wrong));
    }

    [Fact]
    public void Done_as_planned_is_what_the_plan_says() =>
        LogShorthand.Read(Reader.Read("squats as planned").Parts.ShouldHaveSingleItem().Text).Sets.Length.ShouldBe(3);

    /// <summary>Figures that are none of the reps: which set it was, a time, how hard it was of ten, the load that comes first.</summary>
    [Theory]
    [InlineData("squats were 4/10 hard", 1, "13,13,13 r6")]
    [InlineData("curls 10kg x 12 x 2", 6, "12,12 @20kg")]
    [InlineData("plank 1:00, 0:50", 4, "60,50")]
    [InlineData("calf raises 8 each x3", 5, "8,8,8")]
    [InlineData("plank 1min x3", 4, "60,60,60")]
    [InlineData("press: 8,8,7 (last one ok)", 3, "8,8,7 r2")]
    [InlineData("curls 3x10 w 8", 6, "10,10,10 @16kg")]
    [InlineData("calf raises 15 15, could have done 3 more", 5, "15,15 r3")]
    public void A_figure_is_what_it_is_said_to_be(string text, int line, string sets)
    {
        var part = Reader.Read(text).Parts.ShouldHaveSingleItem();

        part.Line!.Value.Value.ShouldBe(line);
        LogShorthand.Read(part.Text).Sets.Select(s => (s.Reps, s.Rir)).ShouldBe(LogShorthand.Read(sets).Sets.Select(s => (s.Reps, s.Rir)));
    }

    [Theory]
    [InlineData("dizzy after the 2nd set of squats so sat down")]
    [InlineData("only did the first 2 sets of everything")]
    [InlineData("knee is all good now")]
    [InlineData("couldn't get everything done")]
    [InlineData("not everything done as planned")]
    [InlineData("sleep all good")]
    public void What_cannot_be_placed_is_a_note(string text)
    {
        var read = Reader.Read(text);

        read.Parts.ShouldBeEmpty();
        read.Note.ShouldNotBeEmpty();
    }

    /// <summary>The rest of the day was done as the plan says; what is excepted was not.</summary>
    [Theory]
    [InlineData("did everything as planned", 7, 0)]
    [InlineData("all done!!", 7, 0)]
    [InlineData("everything as planned except the calf raises", 7, 1)]
    [InlineData("plank 30 30 20, the rest as written", 7, 0)]
    public void Everything_as_planned_fills_the_day(string text, int lines, int skipped)
    {
        var parts = Reader.Read(text).Parts;

        parts.Length.ShouldBe(lines);
        parts.Count(p => p.Skipped).ShouldBe(skipped);
        parts.Where(p => !p.Skipped).ShouldAllBe(p => LogShorthand.Read(p.Text).Error == null);
    }

    [Fact]
    public void What_is_read_is_in_the_shorthand_of_the_log()
    {
        foreach (
            var part in Corpus
                .Rows("log-messages.tsv")
                .SelectMany(r => Reader.Read(r[0]).Parts)
                .Where(p => p.Text.Length > 0 && !p.Text.Contains("p?", StringComparison.Ordinal))
        )
        {
            LogShorthand.Read(part.Text).Error.ShouldBeNull(part.Text);
        }
    }

    /// <summary>A word that a name has names it, if not for sure; "one" and "the" are in every second name.</summary>
    [Theory]
    [InlineData("that odd calf business 15 15 14", 5)]
    [InlineData("my overhead whatsit 9 9 8", 3)]
    [InlineData("the odd one of all 9 9 8", null)]
    public void A_word_that_tells_it_apart_is_enough(string text, int? line) =>
        Reader.Read(text).Parts.Where(p => p.Line is not null).Select(p => p.Line!.Value.Value).ShouldBe(line is { } l ? [l] : []);

    /// <summary>Loads that differ stand at their sets, whichever of the two comes first; one that holds for all stands at the end. A bare
    /// figure that changes from set to set is a load and no effort.</summary>
    [Theory]
    [InlineData("curls 10 kg 12, 12 kg 10 8", "12@20,10@24,8@24")]
    [InlineData("curls 12 @ 10, 10 @ 12, 8 @ 13", "12@20,10@24,8@26")]
    [InlineData("curls 12 @ 10, 10 @ 9", "12@20,10@18")]
    [InlineData("curls 10 kg 12, 10 kg 10", "12,10 @20kg")]
    [InlineData("curls 12 @ 10, 10 8", "12,10,8 @20kg")]
    [InlineData("squats 12 12 12 @ 8", "12,12,12 r2")]
    public void Loads_stand_at_their_sets(string text, string said) => Reader.Read(text).Parts.ShouldHaveSingleItem().Text.ShouldBe(said);

    [Fact]
    public void No_more_than_thirty_sets_are_read()
    {
        var many = LogShorthand.Read(Reader.Read("curls 10 kg 12, 12 kg " + string.Join(' ', Enumerable.Repeat("10", 40))).Parts[0].Text);

        many.Sets.Length.ShouldBe(30);
        many.Sets[^1].LoadKg.ShouldBe(24);
    }

    /// <summary>A joint is one that hurts only where something hurts; an effort is no part of a name.</summary>
    [Theory]
    [InlineData("knee raises 12 12 12", false)]
    [InlineData("squats 8 8 8, knee hurt", true)]
    public void A_joint_in_a_name_hurts_nobody(string text, bool hurts) =>
        Reader
            .Read(text)
            .Parts.ShouldAllBe(p => p.Text.Contains("knee", StringComparison.OrdinalIgnoreCase) == hurts || p.Text.Length == 0);

    [Fact]
    public void Whatever_is_texted_is_answered() =>
        Gen.String[Gen.Char["squatrow 0159,.;-@kgx/½٣１\u202e\npain"], 0, 150]
            .Sample(text => Reader.Read(text).Parts.IsDefault.ShouldBeFalse());

    private static string Said(string text)
    {
        var read = Reader.Read(text.Replace("\\n", "\n", StringComparison.Ordinal));
        return string.Join(
            "; ",
            [
                .. read.Parts.Select(p =>
                    $"{p.Line}{(p.ExerciseId == p.PlannedId ? string.Empty : "=" + p.ExerciseId)} {(p.Skipped ? "skip" : p.Text)}"
                ),
                .. read.Effort is { } effort ? [$"effort {effort}"] : Array.Empty<string>(),
                .. read.Note.Length == 0 ? [] : read.Note.Split("; ").Select(n => "note " + n),
            ]
        );
    }

    private static HomePlan Plan() =>
        new RebuildEngine(DomainRules.Shipped)
            .Rebuild(
                new RebuildRequest
                {
                    Client = new ClientProfile
                    {
                        Level = Level.Intermediate,
                        Goal = Goal.Muscle,
                        Sex = Sex.Male,
                        BodyMassKg = 80,
                        StatureCm = 180,
                    },
                    Kit = new PlaceKit
                    {
                        Name = "Home",
                        Items = [.. Examples.Kit("chair 45", "dining-table 74", "rucksack", "dumbbell 10 x2").Items],
                    },
                    GymLines =
                    [
                        "Back squat 3x12",
                        "Barbell row 3x8",
                        "Overhead press 3x9",
                        "Plank 3x45 s",
                        "Standing calf raise 3x15",
                        "Dumbbell curl 3x12",
                        "Hip thrust 3x10",
                    ],
                }
            )
            .Plan;
}
