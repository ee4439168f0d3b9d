using System.Text;
using CsCheck;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Programs.Lines;

/// <summary>Lines as coaches type them (common practice): what each means was written down by hand.</summary>
public class GymLineCorpusTests
{
    private static readonly ShorthandParser Parser = new(DomainRules.Shipped.Names);
    private static readonly IReadOnlyList<string[]> Lines =
    [
        .. Corpus.Rows("gym-lines.tsv").Select(r => new[] { string.Join('\t', r[..^2]), r[^2], r[^1] }),
    ];

    [Fact]
    public void At_least_98_percent_are_read_right_and_none_wrong_without_a_mark()
    {
        var wrong = Lines.Where(l => !Right(l)).ToList();
        var unmarked = wrong
            .Where(l =>
                Parser.Parse(l[0]) is { Errors.IsEmpty: true } read && read.Rows.All(r => r.Doubts.IsEmpty && r.Kind == RowKind.Line)
            )
            .Select(l => l[0]);

        (1 - (wrong.Count / (double)Lines.Count)).ShouldBeGreaterThanOrEqualTo(0.98, string.Join('\n', wrong.Select(l => l[0])));
        unmarked.ShouldBeEmpty();
    }

    [Fact]
    public void Writing_what_was_read_and_reading_it_again_changes_nothing()
    {
        foreach (var line in Lines.SelectMany(l => Parser.Parse(l[0]).Lines))
        {
            var again = Parser.Parse(Shorthand.Write(line)).Lines.ShouldHaveSingleItem(Shorthand.Write(line));
            (again with { Key = line.Key }).ShouldBe(line);
        }
    }

    [Fact]
    public void Spaces_case_and_marks_of_a_list_change_nothing()
    {
        foreach (var line in Lines.Where(l => l[1] is not ("kept" or "superset") && l[2][0] is not ('A' or 'B')))
        {
            foreach (
                var noisy in new[]
                {
                    "  " + line[0] + "  ",
                    "- " + line[0],
                    "• " + line[0].ToUpperInvariant(),
                    line[0].Replace(" ", "  ", StringComparison.Ordinal),
                }
            )
            {
                Right([noisy, line[1], line[2]]).ShouldBeTrue(noisy);
            }
        }
    }

    [Fact]
    public void The_dose_may_stand_before_the_name()
    {
        foreach (
            var (name, dose) in from n in new[] { "Bench press", "DB row", "Back squat", "Leg curl" }
            from d in new[] { "4x8-10", "5x5 @ 80%", "3x8 @ RPE 8", "3x12 60 s rest", "3x8 RIR 2" }
            select (n, d)
        )
        {
            var (after, before) = (Parser.Parse($"{name} {dose}").Lines.Single(), Parser.Parse($"{dose} {name}").Lines.Single());
            before.ShouldBe(after);
        }
    }

    [Fact]
    public void No_beginning_of_a_line_is_too_short_to_be_answered() =>
        Gen.OneOfConst([.. Lines.Select(l => l[0])])
            .SelectMany(l => Gen.Int[0, l.Length], (l, length) => l[..length])
            .Sample(text => Parser.Parse(text).ShouldNotBeNull(), iter: 400);

    [Theory]
    [InlineData("１２ push ups")]
    [InlineData("Back squat ５ｘ５")]
    [InlineData("\u202eBack squat 5x5\u202c")]
    [InlineData("\u0000\u0001\u0007")]
    [InlineData("٣x٨ bench")]
    [InlineData("()[]{}@@@###")]
    [InlineData("999999999999999x999999999999")]
    [InlineData("5x5x5x5x5x5x5x5x5x5x5x5x5")]
    [InlineData("🏋️ 3x8 🏋️")]
    public void Whatever_comes_from_outside_is_read_or_doubted(string text) => Parser.Parse(text).ShouldNotBeNull();

    [Fact]
    public void Figures_of_other_scripts_are_figures()
    {
        Parser.Parse("Bench press ３x１２").Lines.ShouldHaveSingleItem().Sets.ShouldBe(3);
        Parser.Parse("Back squat ٥x٥").Lines.ShouldHaveSingleItem().Sets.ShouldBe(5);
    }

    [Fact]
    public void Reading_is_linear_in_the_length_of_what_is_read()
    {
        // Steps are counted by the clock nowhere: a line past the limit is not read at all, and a text of long lines is.
        var longLine = new string('3', 200) + new string('x', 190);
        var text = new StringBuilder();
        for (var i = 0; i < 150; i++)
        {
            text.AppendLine(longLine);
        }

        Parser.Parse(text.ToString()).Rows.ShouldNotBeEmpty();
        Parser.Parse(new string('a', 64_000)).Errors.ShouldHaveSingleItem().Code.ShouldBe("shorthand.line-too-long");
    }

    private static bool Right(string[] line)
    {
        var read = Parser.Parse(line[0]);
        return line[1] switch
        {
            "kept" => read is { Lines.IsEmpty: true, Kept.Length: 1, Errors.IsEmpty: true },
            "superset" => read.Lines.Length == 2,
            _ => read.Lines is [var got]
                && got.ExerciseId == line[1]
                && Shorthand.Write(got with { Name = "§", Note = null }).Replace("§ ", string.Empty, StringComparison.Ordinal) == line[2],
        };
    }
}
