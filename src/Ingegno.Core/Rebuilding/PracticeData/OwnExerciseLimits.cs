using System.Text.RegularExpressions;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;

namespace Ingegno.Core.Rebuilding.PracticeData;

/// <summary>Ranges of <c>data/catalogue/exercise.schema.json</c> for an exercise that a practice writes itself.</summary>
internal static partial class OwnExerciseLimits
{
    private const int NameLength = 80;
    private const int TextLength = 300;
    private const int Few = 12;
    private const double LargestFigure = 10_000;

    /// <summary>What lies outside its range, in words without a full stop.</summary>
    public static IEnumerable<string> Faults(Exercise own)
    {
        var texts = own
            .Synonyms.Concat(own.Cues)
            .Concat(own.Cautions)
            .Append(own.How ?? "")
            .Concat(own.Setups.SelectMany(s => s.Steps.Concat(s.Cautions).Append(s.Text).Append(s.Id)));
        var checks = new (bool Wrong, string Fault)[]
        {
            (!Key().IsMatch(own.Id) || own.Id.Length > NameLength, "its key is lower-case words joined by hyphens, at most 80 characters"),
            (string.IsNullOrWhiteSpace(own.Name) || own.Name.Length > NameLength, "it needs a name of at most 80 characters"),
            (
                Unreadable().IsMatch(own.Name),
                "its name cannot hold figures such as 3x8, a line break or #, which the shorthand reads as a dose or a note"
            ),
            (!Key().IsMatch(own.Family), "its family is lower-case words joined by hyphens"),
            (own.Venues.IsDefaultOrEmpty, "say where it can be done: gym, home or both"),
            (own.Muscles.Count == 0, "name the muscles that it trains"),
            (own.Muscles.Values.Any(m => m is not (>= 0 and <= 1)), "the involvement of a muscle lies between 0 and 1"),
            (own.Stability is < 0 or > 3, "its demand on balance runs from 0 to 3"),
            (own.Skill is < 1 or > 5, "its skill runs from 1 to 5"),
            (own.Familiarity is < 1 or > 5, "how familiar it is runs from 1 to 5"),
            (own.Impact is < 0 or > 3, "its impact runs from 0 to 3"),
            (own.Rung is < 1 or > 99, "its rung runs from 1 to 99"),
            (
                own.Figure is { } like && (!Key().IsMatch(like) || like.Length > NameLength),
                "what it is drawn like is the key of an exercise"
            ),
            (own.Posed is { WithinLimits: false }, "no part of its figure is moved by more than 0.8 of the stature, the trunk by 120°"),
            (own.Joints.Values.Any(j => j is < 1 or > 3), "the stress on a joint runs from 1 to 3"),
            (
                own.Strength is { Ratio: not (> 0 and <= 10) } or { BeginnerRatio: not (null or (> 0 and <= 10)) },
                "its strength is a share of the anchor lift above 0 and at most 10"
            ),
            (
                own.Synonyms.Length > Few
                    || own.Cautions.Length > Few
                    || own.Setups.Length > Few
                    || own.Setups.Any(s => s.Steps.Length > Few || s.Cautions.Length > Few || s.Checks.Length > Few),
                "no list holds more than 12 entries"
            ),
            (texts.Any(t => t.Length > TextLength), "no text is longer than 300 characters"),
            (own.Setups.Select(s => s.Id).Distinct().Count() != own.Setups.Length, "two set-ups share a key"),
            (
                own.Setups.Any(s => !Figures(s.Load).All(f => f is >= -LargestFigure and <= LargestFigure)),
                "a figure of a load lies beyond anything that can be"
            ),
        };
        return checks.Where(c => c.Wrong).Select(c => c.Fault);
    }

    private static IEnumerable<double> Figures(Equipment.Loading.LoadModel load) =>
        (load.BodyShareByHeight?.Points ?? [])
            .SelectMany(p => p)
            .Concat([load.BodyShare, load.AssistedShare, load.External?.Share ?? 0, load.Leverage?.Factor ?? 0])
            .Concat(load.Band is { } band ? [band.Start, band.End, band.Travel] : []);

    [GeneratedRegex("^[a-z0-9]+(-[a-z0-9]+)*$", RegexOptions.None, Patterns.TimeoutMs)]
    private static partial Regex Key();

    [GeneratedRegex(@"[0-9]\s*[xX×]\s*[0-9]|[\r\n#]", RegexOptions.None, Patterns.TimeoutMs)]
    private static partial Regex Unreadable();
}
