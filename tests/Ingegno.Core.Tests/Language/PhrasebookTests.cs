using System.Collections.Immutable;
using System.Text.Json;
using System.Text.RegularExpressions;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Progress.Blocks;
using Ingegno.Core.Progress.FollowUp;
using Ingegno.Core.Progress.Ladders;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Language;
using Ingegno.Simulation;

namespace Ingegno.Core.Tests.Language;

/// <summary>Reasons are facts until they are said, and they are said in one place.</summary>
public partial class PhrasebookTests
{
    private static readonly Phrasebook Marked = new(MessageFile.Read("en").Marked("⟦", "⟧"));

    [Fact]
    public void Figures_lists_plurals_and_terms_are_put_in()
    {
        Say(Reason.Of("strength.logs-of-family", ("exercises", 1))).ShouldBe("logs of 1 exercise of the family");
        Say(Reason.Of("strength.logs-of-family", ("exercises", 3))).ShouldBe("logs of 3 exercises of the family");
        Say(Reason.Of("prepare.stretch", ("muscles", FactList.Of([Muscle.Lats, Muscle.UpperBack, Muscle.Calves]))))
            .ShouldStartWith("Stretch lats, upper back and calves:");
        Say(Reason.Of("gap.fill", ("count", 2), ("thing", "bottle"), ("step", Quantity.Percent(0.125))))
            .ShouldBe("2 × bottle: the largest step is then 13 %");
        Say(
                Reason.Of(
                    "ease.longer-rest",
                    ("short", Reason.Of("short.hardest", ("fewest", Reason.Of("count.reps", ("reps", 6))), ("wanted", 8))),
                    ("rest", Quantity.Seconds(120))
                )
            )
            .ShouldBe("6 reps in the hardest set, 8 wanted: the first set is there, the last fall off. Rest 120 s.");
    }

    [Fact]
    public void Several_are_said_one_after_the_other_and_nothing_is_said_of_nothing()
    {
        var both = Reason.Of("dose.as-planned").Then(Reason.Of("dose.rest-pause", ("sets", 3)));
        Say(both).ShouldBe("Reps as in the gym plan. One long set with small ones after it stands for 3 sets.");
        both.Without("dose.rest-pause").ShouldBe(Reason.Of("dose.as-planned"));
        Say(Reason.None).ShouldBeEmpty();
    }

    [Fact]
    public void What_is_kept_is_said_in_todays_words()
    {
        var reason = Reason.Row(
            Reason.Of(
                "pain.stop",
                ("what", Reason.Of("pain.what", ("sharp", true), ("pain", 7), ("joint", Term.For(Joint.Knee)))),
                ("rising", false)
            ),
            Reason.Of(
                "kit.needs",
                ("thing", "band"),
                ("count", 1),
                ("at", FactList.Of(["low"])),
                ("here", FactList.Of([Reason.Text("a chair")]))
            ),
            Reason.Of("check.rated", ("carries", Quantity.Kg(110)), ("entered", true), ("load", Quantity.Kg(62)), ("factor", 1.8))
        );
        var kept = JsonSerializer.Serialize(reason, RulesJson.Lenient);

        JsonSerializer.Deserialize<Reason>(kept, RulesJson.Lenient).ShouldBe(reason);
        kept.ShouldNotContain("Sharp pain");
        new Phrasebook(MessageFile.Read("en") with { Messages = MessageFile.Read("en").Messages.SetItem("pain.stop", "Halt: {{ what }}.") })
            .Say(JsonSerializer.Deserialize<Reason>(kept, RulesJson.Lenient)!)
            .ShouldStartWith("Halt: Sharp pain 7 of 10 in the knee.");
    }

    [Fact]
    public void A_text_of_before_and_a_code_without_words_are_said_as_they_are()
    {
        Say(JsonSerializer.Deserialize<Reason>("\"Reps as ever.\"", RulesJson.Lenient)!).ShouldBe("Reps as ever.");
        Say(Reason.Of("of.tomorrow")).ShouldBe("[of.tomorrow]");
    }

    [Theory]
    [InlineData("12")]
    [InlineData("{}")]
    [InlineData("""{ "code": 3 }""")]
    [InlineData("""{ "code": "x", "facts": { "a": { "furlong": 2 } } }""")]
    [InlineData("""{ "code": "x", "facts": { "a": null } }""")]
    public void What_is_no_reason_is_refused(string json) =>
        Should.Throw<JsonException>(() => JsonSerializer.Deserialize<Reason>(json, RulesJson.Lenient));

    /// <summary>Every code in the rules has words, and no words lie idle.</summary>
    [Fact]
    public void Codes_of_the_rules_and_of_the_file_are_the_same()
    {
        var used = new[] { "src/Ingegno.Core", "src/Ingegno.Exchange", "src/Ingegno.Web" }
            .SelectMany(folder => Directory.EnumerateFiles(RepositoryFolder.Path(folder), "*.cs", SearchOption.AllDirectories))
            .Where(file => !file.Contains("/obj/", StringComparison.Ordinal))
            .SelectMany(file => Codes().Matches(File.ReadAllText(file)).Select(m => m.Value.Trim('"')))
            .ToHashSet();
        var known = Phrasebook.English.Codes.ToHashSet();

        known.Except(used).Except([Reason.TextCode]).ShouldBeEmpty("words without a code");
        ReasonCodes()
            .Matches(
                string.Join(
                    '\n',
                    Directory
                        .EnumerateFiles(RepositoryFolder.Path("src/Ingegno.Core"), "*.cs", SearchOption.AllDirectories)
                        .Select(File.ReadAllText)
                )
            )
            .Select(m => m.Groups["code"].Value)
            .Except(known)
            .ShouldBeEmpty("codes without words");
    }

    /// <summary>
    /// Every reason of whole rebuilds, reviews, blocks, ladders and returns stands between the marks of the pseudo-language: no sentence
    /// is made
    /// anywhere else. What stands as text comes from the data: catalogue, techniques, approaches, sources.
    /// </summary>
    [Fact]
    public void No_sentence_is_made_elsewhere()
    {
        var data = Data();
        var reasons = Enumerable.Range(0, 24).SelectMany(Everything).Distinct().ToList();

        reasons.Count.ShouldBeGreaterThan(1000);
        reasons.Select(Marked.Say).Where(s => s.Length > 0).ShouldAllBe(s => s.StartsWith('⟦') && s.EndsWith('⟧'));
        reasons
            .SelectMany(Texts)
            .Where(t => t.Contains(' ', StringComparison.Ordinal) && t.EndsWith('.'))
            .Distinct()
            .Except(data)
            .ShouldBeEmpty("a sentence that the rules made");
        reasons
            .Select(Phrasebook.English.Say)
            .Where(s =>
                s.Contains("  ", StringComparison.Ordinal)
                || s.Contains("{{", StringComparison.Ordinal)
                || s.Contains(" .", StringComparison.Ordinal)
            )
            .ShouldBeEmpty();
    }

    private static string Say(Reason reason) => Phrasebook.English.Say(reason);

    private static HashSet<string> Data()
    {
        var domain = DomainRules.Shipped;
        var exercises = domain.Catalogue.All.SelectMany(e =>
            e.Cautions.Concat(e.Setups.SelectMany(s => s.Cautions)).Append(e.OffByDefault ?? string.Empty)
        );
        var techniques = domain.Techniques.SelectMany(t => new[] { t.How, t.Caution ?? string.Empty });
        var approaches = domain.Approaches.SelectMany(a =>
            new[] { a.Idea, a.Against, a.Note ?? string.Empty }.Concat(a.Phases.Select(p => p.Idea))
        );
        return [.. exercises, .. techniques, .. approaches];
    }

    private static IEnumerable<string> Texts(Reason reason) => reason.Facts.SelectMany(f => Texts(f.Value));

    private static IEnumerable<string> Texts(object value) =>
        value switch
        {
            string text => [text],
            Reason reason => Texts(reason),
            FactList list => list.Items.SelectMany(Texts),
            _ => [],
        };

    private static IEnumerable<Reason> Everything(int seed)
    {
        var request = SimulatedClients.Draw(seed);
        var approaches = DomainRules.Shipped.Approaches;
        request = request with
        {
            Approach = approaches[seed % approaches.Length].Id,
            FitToMinutes = seed % 2 == 0,
            Calibrate = seed % 3 == 0,
            Client = request.Client with
            {
                MinutesPerSession = 30 + (seed % 4 * 10),
                HighBloodPressure = seed % 5 == 0,
                BodyMassKg = seed % 7 == 0 ? null : request.Client.BodyMassKg,
                SoreJoints = seed % 4 == 0 ? [new SoreJoint((Joint)(seed / 4 % 8), Soreness.Injured)] : [],
                Screening = seed % 6 == 0 ? [ScreeningAnswer.RecentSurgery] : [],
            },
        };
        var (domain, engine) = (DomainRules.Shipped, new RebuildEngine(DomainRules.Shipped));
        var next = new NextSession(domain);
        var plan = engine.Rebuild(request).Plan;
        var day = plan.Lines.ToDictionary(l => l.Gym.Key, l => l.Gym.Day);
        var (trial, start) = (new TrainingTrial(domain), new DateOnly(2026, 9, 7));
        var traits = TraineeTraits.ForLevel(request.Client.Level) with { Hurts = Joint.Shoulder, HurtsFromWeek = 3 };
        var run = trial.Run(
            trial.Plan(request, plan),
            line => day[line],
            new SimulatedTrainee(domain, request.Client, traits, seed),
            new OneRepMoreEachWeek(),
            start,
            5
        );
        var proposals = next.Propose(request.Client, request.Kit, plan.Lines, run.Log, start.AddDays(35 + (seed % 3 * 7)), days: plan.Days);
        var setup = new BlockSetup
        {
            Starts = start,
            Phases = [new BlockPhase("One", 3), new BlockPhase("Two", 2, "tension")],
            EventOn = seed % 2 == 0 ? start.AddDays(30) : null,
        };
        var block = new BlockPlanner(domain, engine, next).Plan(request, plan, setup, null, start);
        var pulse = new ActivitySummary(1, start, 4, [.. proposals.Select(p => new ActivityLine(p.Name, p.Decision, p.Reason))]);
        var first = plan.Lines.SelectMany(l => l.Chosen?.Exercises ?? []).FirstOrDefault(e => e.SystemLoadKg is not null);
        var ladder = first is null
            ? null
            : new LadderBuilder(domain).Of(first.ExerciseId, request.Client, request.Kit, first.SystemLoadKg, null, 8);
        var back = new BackToGym(domain).Plan(
            string.Join('\n', request.GymLines),
            new TimeAtHome(5, 0.8, ImmutableDictionary<string, double>.Empty.Add("bench-press", 0.05)),
            request.Client
        );

        return Of(plan)
            .Concat(proposals.Select(p => p.Reason))
            .Concat(block.Notices)
            .Concat(block.Weeks.SelectMany(w => w.Cells.Select(c => c.Reason).Append(w.Idea)))
            .Concat(Attention.Notes(pulse, 1, start, 3, start.AddDays(50), start.AddDays(48)).Select(a => a.Text))
            .Concat(ladder?.Gaps.SelectMany(g => g.Fill) ?? [])
            .Concat(ladder?.Rungs.Select(r => r.Standard) ?? [])
            .Concat(
                first is null ? []
                : new ReachableSetups(domain).For(domain.Catalogue.Get(first.ExerciseId), request.Client, request.Kit) is var s
                    ? s.Missing.Concat(s.Setups.SelectMany(x => x.Warnings)).Concat(s.Gap?.Fill ?? [])
                : []
            )
            .Concat(back.Notes)
            .Concat(back.Lines.Select(l => l.Reason));
    }

    private static IEnumerable<Reason> Of(HomePlan plan)
    {
        var candidates = plan.Lines.SelectMany(l => l.Candidates).ToList();
        var homes = candidates.SelectMany(c => c.Exercises).Concat(plan.Lines.SelectMany(l => l.Chosen?.Exercises ?? [])).ToList();
        return plan
            .Notices.Select(n => n.Text)
            .Concat(plan.Findings.SelectMany(f => new[] { f.Text, f.Evidence, f.Remedy?.Label }.OfType<Reason>()))
            .Concat(
                plan.Days.SelectMany(d => d.Cut.Concat(d.WarmUp).Concat(d.CoolDown).Concat(d.Groups.Select(g => g.Why).OfType<Reason>()))
            )
            .Concat(plan.Lines.SelectMany(l => l.Better.Concat(l.RuledOut.Select(r => r.Reason))))
            .Concat(candidates.SelectMany(c => c.Why.Concat(c.Lost).Concat(c.Parts.Select(p => p.Reason))))
            .Concat(
                homes.SelectMany(h =>
                    h.Cautions.Concat(h.Dose.Instructions)
                        .Append(h.Dose.Reason)
                        .Concat(new[] { h.LoadBasis, h.RestsOn }.OfType<Reason>())
                        .Concat(h.Checks.SelectMany(c => new[] { c.Sum, c.Advice }))
                )
            );
    }

    [GeneratedRegex("\"[a-z]+(-[a-z]+)*(\\.[a-z]+(-[a-z]+)*)?\"")]
    private static partial Regex Codes();

    [GeneratedRegex("Reason\\.Of\\(\"(?<code>[^\"]+)\"")]
    private static partial Regex ReasonCodes();
}
