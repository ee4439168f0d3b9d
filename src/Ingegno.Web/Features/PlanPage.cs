using System.Text;
using System.Text.Encodings.Web;
using Ingegno.Storage;

namespace Ingegno.Web.Features;

/// <summary>A plan as a page of HTML that stands by itself, to read and print long after.</summary>
internal static class PlanPage
{
    public static string Render(string client, PlanInFile plan)
    {
        static string Text(string text) => HtmlEncoder.Default.Encode(text);
        var home = plan.Versions.First(v => v.Number == plan.Head).Document.Plan;
        var page = new StringBuilder(
            $"""
            <!doctype html>
            <html lang="en">
            <meta charset="utf-8">
            <title>{Text(plan.Title)}</title>
            <style>body {"{"} font: 12pt/1.4 sans-serif; max-width: 60em; margin: 2em auto {"}"} table {"{"} border-collapse: collapse; width: 100% {"}"} td, th {"{"} border-bottom: 1px solid #888; padding: .3em; text-align: left; vertical-align: top {"}"}</style>
            <h1>{Text(client)}: {Text(plan.Title)}</h1>

            """
        );
        foreach (var day in home.Lines.GroupBy(l => l.Gym.Day))
        {
            var name = day.Key < home.Days.Length ? home.Days[day.Key].Name : string.Empty;
            page.Append($"<h2>{Text(name)}</h2>\n<table><tr><th>Gym<th>Home<th>Set-up<th>Dose</tr>\n");
            foreach (var line in day)
            {
                foreach (var exercise in line.Chosen?.Exercises ?? [])
                {
                    page.Append(
                        $"<tr><td>{Text(line.GymExerciseName)} {Text(line.GymDose)}<td>{Text(exercise.Name)}<td>{Text(exercise.Setup)}<td>{Text(exercise.Dose.Figures)}</tr>\n"
                    );
                }
            }

            page.Append("</table>\n");
        }

        return page.Append("</html>\n").ToString();
    }
}
