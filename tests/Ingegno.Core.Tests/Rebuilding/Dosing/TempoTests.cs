using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;

namespace Ingegno.Core.Tests.Rebuilding.Dosing;

public class TempoTests
{
    [Theory]
    [InlineData("3-1-1-0", 5)]
    [InlineData("3-1-X-0", 5)]
    [InlineData("0-0-0-0", 0)]
    public void Seconds_of_a_rep_add_up(string text, int seconds)
    {
        Tempo.TryParse(text, out var tempo).ShouldBeTrue();
        tempo.SecondsPerRep.ShouldBe(seconds);
        tempo.ToString().ShouldBe(text);
    }

    [Theory]
    [InlineData(null)]
    [InlineData("3-1-1")]
    [InlineData("3-1-1-0-2")]
    [InlineData("3-X-1-0")]
    [InlineData("31-0-0-0")]
    [InlineData("-1-0-0-0")]
    [InlineData("a-b-c-d")]
    public void What_is_no_tempo_is_refused(string? text) => Tempo.TryParse(text, out _).ShouldBeFalse();

    [Fact]
    [Trait("source", "common practice: pause at the bottom of squats and push-ups, at the top of raises, bridges, rows")]
    public void A_pause_goes_to_the_hard_end_of_the_range()
    {
        var pause = DomainRules.Shipped.Techniques.Single(t => t.Id == "pause-3");

        pause.ApplyTo(Tempo.Usual, Profile.Stretched).ShouldBe(new Tempo(2, 3, 1, 0));
        pause.ApplyTo(Tempo.Usual, Profile.Shortened).ShouldBe(new Tempo(2, 0, 1, 3));
    }

    /// <summary>Locked out a press, a squat and a lunge rest; a band alone leaves nothing to hold at the bottom.</summary>
    [Theory]
    [Trait("source", "common practice: pause at the bottom of squats, lunges and presses, at the top of raises, bridges and rows")]
    [InlineData("dumbbell-floor-press", Profile.Stretched)]
    [InlineData("one-arm-floor-press", Profile.Stretched)]
    [InlineData("band-squat", Profile.Stretched)]
    [InlineData("goblet-squat", Profile.Stretched)]
    [InlineData("reverse-lunge", Profile.Stretched)]
    [InlineData("band-chest-press", Profile.Shortened)]
    [InlineData("lying-band-leg-press", Profile.Shortened)]
    [InlineData("one-arm-strap-row", Profile.Shortened)]
    [InlineData("glute-bridge", Profile.Shortened)]
    [InlineData("dumbbell-romanian-deadlift", Profile.Stretched)]
    public void An_exercise_is_held_where_it_does_not_rest(string exercise, Profile at) =>
        DomainRules.Shipped.Catalogue.Get(exercise).PausedAt.ShouldBe(at);

    [Fact]
    [Trait("source", "docs/domain/check-values, common practice: even-count 3-3-3 of eight reps is 72 s under tension")]
    public void Time_under_tension_of_an_even_count()
    {
        var dose = new Dose
        {
            Sets = 1,
            Target = new SetTarget(8, 8),
            Tempo = Tempo.Parse("3-3-3-0"),
            RestSeconds = 60,
            Rir = 1,
        };

        dose.WorkSeconds().ShouldBe(72);
        (dose with { PerSide = true, Sets = 3 }).WorkSeconds().ShouldBe(72 * 2 * 3);
    }
}
