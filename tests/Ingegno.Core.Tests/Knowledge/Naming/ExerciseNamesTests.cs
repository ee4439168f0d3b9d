using CsCheck;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Knowledge.Naming;

public class ExerciseNamesTests
{
    private static readonly ExerciseNames Names = DomainRules.Shipped.Names;

    [Fact]
    public void Every_exercise_is_read_surely_by_its_own_name() =>
        DomainRules
            .Shipped.Catalogue.All.Where(e =>
                Names.Read(e.Name) is not { Certainty: Certainty.Sure, Exercise: { } read } || read.Id != e.Id
            )
            .Select(e => $"{e.Name} → {Names.Read(e.Name).Exercise?.Name}")
            .ShouldBeEmpty();

    [Theory]
    [InlineData("push ups", "push-up")]
    [InlineData("PUSH-UP", "push-up")]
    [InlineData("pushup", "push-up")]
    [InlineData("press-ups", "push-up")]
    [InlineData("  Púsh   úp ", "push-up")]
    [InlineData("triceps push-down", "triceps-pushdown")]
    [InlineData("tricep pushdowns", "triceps-pushdown")]
    [InlineData("roll-out, ab wheel", "ab-wheel-roll-out")]
    [InlineData("calve raise, standing", "standing-calf-raise")]
    public void Spelling_joins_plurals_and_order_make_no_difference(string name, string exercise) =>
        Names.Read(name).ShouldSatisfyAllConditions(r => r.Exercise!.Id.ShouldBe(exercise), r => r.Certainty.ShouldBe(Certainty.Sure));

    [Theory]
    [InlineData("bench", "bench-press")]
    [InlineData("row", "barbell-row")]
    [InlineData("squat", "back-squat")]
    [InlineData("press", "overhead-press")]
    [InlineData("RDL", "barbell-romanian-deadlift")]
    [InlineData("DB curl", "dumbbell-curl")]
    [Trait("source", "docs/domain/naming: what the crowd means")]
    public void A_bare_name_means_what_the_crowd_means(string name, string exercise) => Names.Read(name).Exercise!.Id.ShouldBe(exercise);

    [Fact]
    public void A_program_of_dumbbells_means_dumbbells()
    {
        Names.Read("RDL", "dumbbell").Exercise!.Id.ShouldBe("dumbbell-romanian-deadlift");
        Names.Read("row", "dumbbell").Exercise!.Id.ShouldBe("one-arm-dumbbell-row");
        Names.Read("bench press", "dumbbell").Exercise!.Id.ShouldBe("dumbbell-bench-press");
    }

    [Theory]
    [InlineData("low bar squat", "low-bar")]
    [InlineData("paused bench press", "paused")]
    [InlineData("wide grip cable row", "wide")]
    [InlineData("weighted pull-up", "weighted")]
    [InlineData("deficit reverse lunge", "deficit")]
    [InlineData("half kneeling landmine press", "half-kneeling")]
    public void What_a_name_says_beyond_its_exercise_goes_with_it(string name, string modifier) =>
        Names.Read(name).Modifiers.Select(m => m.Id).ShouldContain(modifier);

    [Theory]
    [InlineData("DB flyes", "lunge")]
    [InlineData("Bench", "dip")]
    [InlineData("Ham curl", "biceps")]
    [InlineData("Lat raise", "pulldown")]
    public void Alternatives_are_of_the_same_kind(string name, string never) =>
        Names.Read(name).Alternatives.ShouldAllBe(e => !e.Name.Contains(never, StringComparison.OrdinalIgnoreCase));

    [Theory]
    [InlineData("battle ropes", OtherWork.Conditioning)]
    [InlineData("easy 5 k run", OtherWork.Conditioning)]
    [InlineData("handstand practice", OtherWork.Skill)]
    [InlineData("foam rolling", OtherWork.Mobility)]
    public void Other_work_is_told_apart(string name, OtherWork kind) => Names.Read(name).Other.ShouldBe(kind);

    [Fact]
    public void A_taught_name_is_known_in_the_practice_and_nowhere_else()
    {
        var domain = DomainRules.Shipped.WithNames([new TaughtName("Boathouse special", "front-squat")]);

        domain
            .Names.Read("boathouse specials")
            .ShouldSatisfyAllConditions(r => r.Exercise!.Id.ShouldBe("front-squat"), r => r.Certainty.ShouldBe(Certainty.Sure));
        Names.Read("boathouse special").Certainty.ShouldBe(Certainty.Unknown);
    }

    [Fact]
    public void Names_of_the_corpus_mean_what_they_mean()
    {
        var wrong = Corpus
            .Rows("names.tsv")
            .Where(r => Names.Read(r[0]).Exercise?.Id != r[1])
            .Select(r => $"{r[0]} → {Names.Read(r[0]).Exercise?.Id}, not {r[1]}")
            .ToList();

        wrong.ShouldBeEmpty();
    }

    [Fact]
    public void Whatever_is_written_is_answered() => Gen.String[0, 80].Sample(text => Names.Read(text).ShouldNotBeNull());
}
