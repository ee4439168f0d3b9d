using System.Globalization;
using System.Text.Json;
using CsCheck;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Clients.Profiles;

/// <summary>Intakes as coaches jot them down (common practice): what each says was written down by hand.</summary>
public class IntakeSentenceTests
{
    [Fact]
    public void At_least_98_percent_of_the_intakes_say_what_they_say()
    {
        var rows = Corpus.Rows("intakes.tsv");
        var wrong = rows.Where(r => Said(r[0]) != r[1]).Select(r => $"{r[0]} → {Said(r[0])}, not {r[1]}").ToList();

        (1 - (wrong.Count / (double)rows.Count)).ShouldBeGreaterThanOrEqualTo(0.98, string.Join('\n', wrong));
    }

    [Fact]
    public void What_is_not_understood_stays_visible() =>
        IntakeSentence.Read("52, female, plays the accordion").Left.ShouldContain("accordion");

    /// <summary>Common practice: a lift beside a body mass.</summary>
    [Theory]
    [InlineData("squats 70x5, bench 40 kg x 8", null, "bench 40 kg x 8")]
    [InlineData("benches 100 kg for 5, 82 kg", 82.0, "benches 100 kg for 5")]
    [InlineData("deadlifts about 140 kg, rower 66 kg", 66.0, "deadlifts about 140 kg")]
    [InlineData("wants to squat and weighs 68 kg", 68.0, "squat")]
    public void What_somebody_lifts_is_no_body_mass(string text, double? kg, string left)
    {
        var read = IntakeSentence.Read(text);
        read.BodyMassKg.ShouldBe(kg);
        read.Left.ShouldContain(left);
    }

    [Fact]
    public void Whatever_is_jotted_down_is_answered() =>
        Gen.String[Gen.Char["fm 0159,.;-'kgcm½٣１\u202e\nyo"], 0, 150].Sample(text => IntakeSentence.Read(text).ShouldNotBeNull());

    private static string Said(string text)
    {
        var read = IntakeSentence.Read(text);
        string?[] all =
        [
            read.AgeYears is { } age ? $"age {age}" : null,
            Word(read.Sex),
            read.BodyMassKg is { } kg ? string.Create(CultureInfo.InvariantCulture, $"{kg:0.#}kg") : null,
            read.StatureCm is { } cm ? string.Create(CultureInfo.InvariantCulture, $"{cm:0.#}cm") : null,
            read.DaysPerWeek is { } days ? $"{days}d" : null,
            read.MinutesPerSession is { } minutes ? $"{minutes}min" : null,
            Word(read.Goal),
            Word(read.Level),
            .. read.SoreJoints.Select(j =>
                Word<Core.Foundation.Body.Joint>(j.Joint) + (j.Severity == Soreness.Injured ? "!" : string.Empty)
            ),
            .. read.Screening.Select(s => Word<ScreeningAnswer>(s)),
            read.HighBloodPressure ? "bp" : null,
        ];
        return string.Join(' ', all.OfType<string>());
    }

    private static string? Word<T>(T? value)
        where T : struct, Enum => value is { } known ? JsonNamingPolicy.KebabCaseLower.ConvertName(known.ToString()) : null;
}
