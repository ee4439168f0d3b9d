using System.Globalization;
using System.Text;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Text;

namespace Ingegno.Core.Knowledge.Exercises;

/// <summary>Writes the catalogue as one page that a coach can read through: per pattern the families from easy to hard.</summary>
public static class CatalogueSheet
{
    /// <summary>The sheet in Markdown; the same catalogue always gives the same text.</summary>
    public static string Write(ExerciseCatalogue catalogue)
    {
        ArgumentNullException.ThrowIfNull(catalogue);
        var text = new StringBuilder();
        var home = catalogue.AtHome.Length;
        var gym = catalogue.All.Count(e => e.Venues.Contains(Venue.Gym));
        text.Append(
            CultureInfo.InvariantCulture,
            $"# The catalogue, to read through\n\nWritten from `data/catalogue` by `CatalogueSheet`; a test fails when it is stale. {catalogue.All.Length} exercises: {home} for the home, {gym} known from the gym, those in both counted once.\nPer pattern the families from easy to hard: rung, exercise, set-ups, what is moved, main muscles.\n"
        );
        foreach (var pattern in catalogue.All.GroupBy(e => e.Pattern).OrderBy(g => g.Key))
        {
            text.Append(
                CultureInfo.InvariantCulture,
                $"\n## {Words.Sentence(Words.Of(pattern.Key))}\n\n| family | rung | exercise | where | set-ups | moves | main muscles |\n|---|---|---|---|---|---|---|\n"
            );
            foreach (
                var exercise in pattern.OrderBy(e => e.AtHome ? 0 : 1).ThenBy(e => e.Family, StringComparer.Ordinal).ThenBy(e => e.Rung)
            )
            {
                text.Append(
                    CultureInfo.InvariantCulture,
                    $"| {exercise.Family} | {exercise.Rung} | {exercise.Name}{(exercise.OffByDefault is null ? string.Empty : " (off by default)")} | {string.Join(" ", exercise.Venues.Select(Words.Of))} | {Setups(exercise)} | {Moves(exercise)} | {Words.Join([.. exercise.PrimeMovers().Select(Words.Of)])} |\n"
                );
            }
        }

        return text.ToString();
    }

    private static string Setups(Exercise exercise) =>
        exercise.Setups.IsEmpty
            ? "–"
            : string.Join(
                "; ",
                exercise.Setups.Select(s =>
                    s.Text.Replace("{load}", "*load*", StringComparison.Ordinal)
                        .Replace('{', '<')
                        .Replace('}', '>')
                        .Replace("<", "*", StringComparison.Ordinal)
                        .Replace(">", "*", StringComparison.Ordinal)
                )
            );

    private static string Moves(Exercise exercise)
    {
        if (exercise.Measure == Measure.Seconds)
        {
            return "a hold";
        }

        var strength = exercise.Strength is { } s ? $"{Words.Number(s.Ratio, 2)} of {s.Anchor}" : "not measured by load";
        return exercise.Setups.IsEmpty ? strength : $"{Of(exercise.Setups[0].Load)}; {strength}";
    }

    private static string Of(LoadModel load)
    {
        var parts = new List<string>();
        if (load.Leverage is { } leverage)
        {
            parts.Add(
                $"{Words.Of(leverage.Model)}{(Math.Abs(leverage.Factor - 1) < 1e-9 ? string.Empty : $" × {Words.Number(leverage.Factor, 2)}")}"
            );
        }
        else if (load.BodyShareByHeight is not null)
        {
            parts.Add("body by height");
        }
        else if (load.BodyShare > 0)
        {
            parts.Add($"{Words.Number(load.BodyShare, 2)} of the body");
        }

        if (load.External is { } external)
        {
            parts.Add($"{string.Join("/", external.From.Select(Words.Of))}{(external.Required ? string.Empty : " if any")}");
        }

        if (load.Band is { } band)
        {
            parts.Add($"band {Words.Of(band.Rig)}");
        }

        return parts.Count == 0 ? "own effort" : string.Join(" + ", parts);
    }
}
