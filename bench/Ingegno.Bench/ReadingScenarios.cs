using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Reading;

namespace Ingegno.Bench;

/// <summary>How long a coach waits for what was typed to be read: with every key the whole text is.</summary>
internal static class ReadingScenarios
{
    private static readonly string[] Forms =
    [
        "Barbell back squat 5x5 @ 80%, 3 min",
        "A1. DB bench 3x8-10 RPE 8",
        "A2) one arm db rows 3x12/arm, 60s",
        "- RDLs 4 sets of 8 @ RIR 2 (3s down)",
        "lat pull downs 12/10/8 1-2 reps in the tank",
        "Bulgarian spilt squat 3x8 e/s 2x14kg",
        "| Leg ext | 3 | 15 | 60s |",
        "Pushups 3xmax",
        "OHP 5/3/1 week 2",
        "Plank 3 x 45 s",
    ];

    public static IEnumerable<Scenario> All
    {
        get
        {
            var week = string.Join('\n', Enumerable.Range(0, 30).Select(i => Forms[i % Forms.Length]));
            var longLine = string.Join(' ', Enumerable.Repeat("3x8 @ 60 kg squat,", 3_600));

            // A fresh parser each time, made before: names that were read once would be remembered. Thirty rounds warm up.
            var fresh = new Queue<ShorthandParser>(Enumerable.Range(0, 90).Select(_ => Fresh()));
            yield return new Scenario("30 messy lines read, nothing remembered", 60, () => fresh.Dequeue().Parse(week));
            var known = Fresh();
            var many = string.Join('\n', Enumerable.Repeat(week, 10));
            yield return new Scenario("300 messy lines", 60, () => known.Parse(many));
            yield return new Scenario("the same 30 lines with every key after", 200, () => known.Parse(week));
            yield return new Scenario($"a line of {longLine.Length:N0} characters", 40, () => known.Parse(longLine));
            var kit = new KitParagraph(new KitShorthand(DomainRules.Shipped.KitKinds, DomainRules.Shipped.ReadyItems));
            yield return new Scenario(
                "a paragraph of kit",
                200,
                () =>
                    kit.Read(
                        "loop bands, a chair 45 cm, stairs, rucksack and a 16 kg kettlebell, some 5s and 10s, rack and bench, two big bottles"
                    )
            );
        }
    }

    private static ShorthandParser Fresh() => new(new(DomainRules.Shipped.Names.Lexicon, DomainRules.Shipped.Catalogue.All));
}
