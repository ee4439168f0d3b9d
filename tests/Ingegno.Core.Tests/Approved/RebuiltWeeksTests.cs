using System.Globalization;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Progress.Blocks;
using Ingegno.Core.Progress.ClientApp;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Progress.Blocks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Approved;

/// <summary>Whole weeks, blocks and what is sent of them, as somebody read and approved them.</summary>
public class RebuiltWeeksTests
{
    private static readonly string[] Folder = ["tests", "Ingegno.Core.Tests", "Approved"];

    public static IEnumerable<object[]> Numbers => Enumerable.Range(0, ApprovedClients.All.Length).Select(n => new object[] { n });

    [Theory]
    [MemberData(nameof(Numbers))]
    public Task A_week_is_as_approved(int number)
    {
        var (title, request) = ApprovedClients.All[number];
        return new WeekPage(title, request).Write().ShouldBeApproved([.. Folder, "weeks", $"{number + 1:00}.md"]);
    }

    [Theory]
    [MemberData(nameof(Numbers))]
    public Task A_block_is_as_approved(int number)
    {
        var (title, request) = ApprovedClients.All[number];
        var approaches = DomainRules.Shipped.Approaches;
        var followed = request with { Approach = request.Approach ?? approaches[number % approaches.Length].Id };
        var setup = BlockExamples.Setup(followed, weeks: 6 + (number % 3 * 2));
        var block = BlockExamples.Block(followed, setup);
        var rows = block.Weeks.SelectMany(week =>
            week.Cells.Select(c =>
                    string.Create(
                        CultureInfo.InvariantCulture,
                        $"| {c.Name} | {c.Dose.Figures} {c.Dose.Tempo} {c.Dose.RestSeconds} s RIR {c.Dose.Rir} {string.Join(' ', c.Dose.Techniques)} | {c.ExternalKg:0.##} kg | {c.Step} | {c.Reason.Said()} |"
                    )
                )
                .Prepend(
                    $"\n### {week.Number} {week.Kind} {week.Phase}: {week.Idea.Said()} {string.Join(", ", week.Days.Select(d => d.ToString()))}\n"
                )
        );
        var page = string.Join(
            '\n',
            [$"## {title}: {followed.Approach}", .. block.Notices.Select(n => $"- {n.Said()}"), .. rows, string.Empty]
        );
        return page.ShouldBeApproved([.. Folder, "blocks", $"{number + 1:00}.md"]);
    }

    [Theory]
    [MemberData(nameof(Numbers))]
    public Task A_release_is_as_approved(int number)
    {
        var (title, request) = ApprovedClients.All[number];
        var plan = new RebuildEngine(DomainRules.Shipped).Rebuild(request).Plan;
        var release = new ReleaseWriter(DomainRules.Shipped).Write(title, request, plan, word: string.Empty);
        var rows = release.Days.SelectMany(d =>
            (string[])
                [
                    $"\n### {d.Name}\n",
                    $"- lay out {string.Join(", ", d.LayOut)}",
                    .. d.WarmUp.Concat(d.CoolDown).Select(s => $"- {s.Seconds} s {s.Text.Said()}"),
                    .. d.Courses.Select(Course),
                    .. d.Exercises.SelectMany(Exercise),
                ]
        );
        return string.Join('\n', [$"## {title}", .. rows, string.Empty]).ShouldBeApproved([.. Folder, "releases", $"{number + 1:00}.md"]);
    }

    private static string Course(Course course) =>
        $"- {course.Minutes} min {course.GivesWay.Said()}: {string.Join(' ', course.Turns.Select(t => $"{t.Group}{t.Round}/{t.Rounds}:{t.Exercise}:{t.Set}/{t.Of}:{t.RestSeconds}s"))}";

    private static IEnumerable<string> Exercise(ReleaseExercise e) =>
        [
            $"- **{e.Name}** {e.Dose.Said()} {e.Tempo.Said()}; {e.Doubt.MostReps} reps, {e.Doubt.MostKg.ToString("0.#", CultureInfo.InvariantCulture)} kg; {string.Join(" | ", e.Sets.Select(s => string.Join(" + ", s.Parts.Select(p => $"{p.Kind} {p.Side} {p.Target.Written} after {p.RestBeforeSeconds}"))))}",
            .. e.Alternatives.Select(a =>
                $"  - {a.Exercise.Name} {a.Exercise.Figures}: {string.Join(", ", a.Helps)}; spares {string.Join(", ", a.Spares)}"
            ),
        ];
}
