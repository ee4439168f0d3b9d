using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;

namespace Ingegno.Core.Tests.Foundation.Text;

public class WordsTests
{
    [Theory]
    [InlineData("Push-ups", "push up")]
    [InlineData("DB  Lateral raises", "dumbbell lateral raise")]
    [InlineData("Farmer's carry", "farmer carry")]
    [InlineData("RDL", "romanian deadlift")]
    [InlineData("  Élévation ", "elevation")]
    public void Names_are_compared_in_one_form(string name, string normal) => Words.Normalise(name).ShouldBe(normal);

    [Fact]
    public void Numbers_lists_and_values_read_like_language()
    {
        Words.Number(2.50).ShouldBe("2.5");
        Words.Number(4.04).ShouldBe("4");
        Words.Percent(0.076).ShouldBe("8 %");
        Words.Join(["a", "b", "c"]).ShouldBe("a, b and c");
        Words.Of(MovementPattern.HorizontalPull).ShouldBe("horizontal pull");
        Words.Sentence("table row").ShouldBe("Table row");
    }
}
