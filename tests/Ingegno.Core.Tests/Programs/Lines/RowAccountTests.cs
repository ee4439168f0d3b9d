using System.Collections.Immutable;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Programs.Lines;

/// <summary>Every word of a row is in one field, or shown as not placed.</summary>
public class RowAccountTests
{
    private const int Texts = 20_000;

    private static ReadRow Read(string row) =>
        new ShorthandParser(DomainRules.Shipped.Names).Parse(row).Rows.Single(r => r.Kind == RowKind.Line);

    private static string Words(string row, LineField field) =>
        string.Join(
            " + ",
            Read(row).Fields.Where(f => f.Field == field).SelectMany(f => f.Words).Select(w => row.Substring(w.Column - 1, w.Length))
        );

    [Theory]
    [InlineData("A1) Bench press 3x8 @ 80 kg, 2 min (pause at the bottom)", LineField.Name, "Bench press")]
    [InlineData("A1) Bench press 3x8 @ 80 kg, 2 min (pause at the bottom)", LineField.Label, "A1")]
    [InlineData("A1) Bench press 3x8 @ 80 kg, 2 min (pause at the bottom)", LineField.Sets, "3x8")]
    [InlineData("A1) Bench press 3x8 @ 80 kg, 2 min (pause at the bottom)", LineField.Load, "80 kg")]
    [InlineData("A1) Bench press 3x8 @ 80 kg, 2 min (pause at the bottom)", LineField.Rest, "2 min")]
    [InlineData("A1) Bench press 3x8 @ 80 kg, 2 min (pause at the bottom)", LineField.Remark, "pause at the bottom")]
    [InlineData("Back squat 4x6 3-1-1-0 RPE 8", LineField.Tempo, "3-1-1-0")]
    [InlineData("Back squat 4x6 3-1-1-0 RPE 8", LineField.Effort, "RPE 8")]
    public void A_field_knows_its_words(string row, LineField field, string words) => Words(row, field).Trim('@', ' ').ShouldBe(words);

    [Fact]
    public void What_nobody_wrote_has_no_words() => Read("Back squat").Fields.Single(f => f.Field == LineField.Sets).Words.ShouldBeEmpty();

    [Theory]
    [InlineData("Bench press 3x8 @ 185", "185 lb", "shorthand.read-as-pounds")]
    [InlineData("Deadlift 405x3x3", "405 lb", "shorthand.read-as-pounds")]
    [InlineData("Squat 3x5 @ 85% TM", "76.5%", "shorthand.training-max")]
    public void What_may_be_meant_otherwise_is_asked_with_the_other_reading(string row, string read, string question)
    {
        var line = Read(row);

        line.Text.ShouldContain(read);
        line.Doubts.Single(d => d.Message.Code == question).Others.ShouldNotBeEmpty();
    }

    [Fact]
    public void A_text_that_speaks_of_kilograms_keeps_them()
    {
        var read = new ShorthandParser(DomainRules.Shipped.Names).Parse("Bench press 3x8 @ 185\nRow 3x8 @ 60 kg");

        read.Lines[0].Load!.Kg.ShouldBe(185);
        read.Rows[0].Doubts.ShouldHaveSingleItem().Message.Code.ShouldBe("shorthand.heavy-for-kilograms");
    }

    /// <summary>A figure that a recogniser takes and nothing uses is not placed, also where another is as much.</summary>
    [Theory]
    [InlineData("Hack squat 3x10, 1 drop set -20%", "")]
    [InlineData("Leg curl 3x10 drop set on the last 2 sets", "")]
    [InlineData("Bench press 3x10 (3 in reserve) 5 10", "5 + 10")]
    public void What_is_not_used_is_said(string row, string words) => Words(row, LineField.NotPlaced).ShouldBe(words);

    [Theory]
    [InlineData("Barbell curl 3x10 30 lb", "3x10 @ 30 lb")]
    [InlineData("Bench press 100kg 3x3, 90kg 3x6", "3x3 @ 100 kg, 3x6 @ 90 kg")]
    [InlineData("Bench press 185 lb x5, 5, 5", "3x5 @ 185 lb")]
    [InlineData("Goblet squat 24k 4x10", "4x10 @ 24 kg")]
    [InlineData("Deadlift 1x5+", "1x5+")]
    [InlineData("Back squat 8 @ 60, 6 @ 80, 2x2 @ 100", "1x8 @ 60 kg, 1x6 @ 80 kg, 2x2 @ 100 kg")]
    [InlineData("Bench press top single @ RPE 8, then 4x4 @ 85% of top", "1x1 @ RPE 8, 4x4 -15% top set")]
    [InlineData("Back squat 4 Sätze à 8 Wdh, 80 kg", "4x8 @ 80 kg")]
    [InlineData("Split squat 3x8 par jambe, 90 s repos", "3x8/side 90 s rest")]
    [InlineData("Hack squat 3x10, 1 drop set -20%", "3x10 drop set # drop by 20%")]
    [InlineData("Close grip bench 4x8 @ 70% of bench 1RM", "4x8 @ 70% # 70% of bench 1RM")]
    public void A_dose_is_written_as_it_was_meant(string row, string dose) => Read(row).Text.ShouldEndWith(dose);

    /// <summary>Corpora with their words dropped, doubled, swapped, misspelt, joined with others and parted by other marks.</summary>
    [Fact]
    public void No_word_of_a_line_is_in_two_fields_or_in_none()
    {
        var rows = CorpusRows();
        var random = new Random(4301);
        var parser = new ShorthandParser(DomainRules.Shipped.Names);
        var breaches = new List<string>();
        for (var i = 0; i < Texts; i++)
        {
            var text = Mutated(rows, random);
            foreach (var row in parser.Parse(text).Rows.Where(r => r.Kind == RowKind.Line))
            {
                breaches.AddRange(Breaches(text, row));
            }
        }

        breaches.Take(20).ShouldBeEmpty($"{breaches.Count} of {Texts}");
    }

    private static string[] CorpusRows() => [.. Corpus.Rows("gym-lines.tsv").Select(r => string.Join(' ', r[..^2]))];

    private static string Mutated(string[] rows, Random random)
    {
        var words = rows[random.Next(rows.Length)].Split(' ').ToList();
        var at = random.Next(words.Count);
        switch (random.Next(7))
        {
            case 0:
                words.RemoveAt(at);
                break;
            case 1:
                words.Insert(at, words[at]);
                break;
            case 2:
                var other = random.Next(words.Count);
                (words[at], words[other]) = (words[other], words[at]);
                break;
            case 3 when words[at].Length > 3:
                words[at] = words[at].Remove(1 + random.Next(words[at].Length - 2), 1);
                break;
            case 4:
                words.AddRange(rows[random.Next(rows.Length)].Split(' '));
                break;
            case 5:
                return string.Join(random.Next(2) == 0 ? ", " : " - ", words);
            default:
                words.Insert(at, $"{random.Next(1, 300)}");
                break;
        }

        return string.Join(' ', words);
    }

    private static IEnumerable<string> Breaches(string text, ReadRow row)
    {
        var taken = new LineField?[text.Length];
        foreach (var (field, words) in row.Fields.SelectMany(f => f.Words.Select(w => (f.Field, w))))
        {
            for (var i = words.Column - 1; i < Math.Min(text.Length, words.Column - 1 + words.Length); i++)
            {
                if (taken[i] is { } before && before != field)
                {
                    yield return $"{text} → \"{text.Substring(words.Column - 1, words.Length)}\" is {before} and {field}";
                    yield break;
                }

                taken[i] = field;
            }
        }

        // Of a row with several exercises each line answers for its own words.
        if (new ShorthandParser(DomainRules.Shipped.Names).Parse(text).Rows.Length > 1)
        {
            yield break;
        }

        for (var i = 0; i < text.Length; i++)
        {
            if (char.IsLetterOrDigit(text[i]) && taken[i] is null)
            {
                yield return $"{text} → \"{text[i..]}\" is in no field";
                yield break;
            }
        }

        foreach (var left in row.Fields.Where(f => f.Field == LineField.NotPlaced).SelectMany(f => f.Words))
        {
            if (!row.Doubts.Any(d => d.Column <= left.Column + left.Length && left.Column <= d.Column + d.Length))
            {
                yield return $"{text} → \"{text.Substring(left.Column - 1, left.Length)}\" is not placed, and nothing says so";
            }
        }
    }
}
