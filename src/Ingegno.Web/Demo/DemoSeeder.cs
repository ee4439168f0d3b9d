using System.Collections.Immutable;
using System.Text.Json;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Progress.Blocks;
using Ingegno.Core.Progress.ClientApp;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Simulation;
using Ingegno.Storage;
using Ingegno.Web.Features;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Identity;
using Microsoft.Extensions.Options;

namespace Ingegno.Web.Demo;

/// <summary>The demo club of <c>data/demo/club.json</c>.</summary>
public sealed record DemoClub(DemoCoach Coach, ImmutableArray<DemoMember> Members);

/// <summary>The demo coach; the password is for the demo alone and is printed at its start.</summary>
public sealed record DemoCoach(string Name, string Email, string Password);

/// <summary>A member with places and gym weeks, and what was trained at home so far; null when no plan was made yet.</summary>
public sealed record DemoMember(
    ClientRecord Client,
    ImmutableArray<PlaceKit> Places,
    ImmutableArray<GymWeek> GymWeeks,
    DemoHistory? History = null,
    PhoneStory? Phone = null
);

/// <summary>Weeks trained at home by a simulated trainee.</summary>
/// <param name="Weeks">How many weeks up to today.</param>
/// <param name="Seed">Seed of its noise.</param>
/// <param name="Traits">How it answers to training, and what happens to it.</param>
/// <param name="Block">A block that was begun meanwhile; null for none.</param>
public sealed record DemoHistory(int Weeks, int Seed, TraineeTraits Traits, DemoBlock? Block = null);

/// <summary>A block that was begun some weeks ago.</summary>
/// <param name="WeeksAgo">How long ago.</param>
/// <param name="Weeks">How many weeks it has.</param>
/// <param name="Phases">Its phases; empty for those of the approach.</param>
/// <param name="EventName">An event it leads up to.</param>
/// <param name="EventInDays">Days from today to the event.</param>
public sealed record DemoBlock(
    int WeeksAgo,
    int Weeks,
    ImmutableArray<BlockPhase> Phases = default,
    string? EventName = null,
    int? EventInDays = null
);

/// <summary>Fills an empty database with the demo club, always with the same data.</summary>
public sealed class DemoSeeder(
    IOptions<IngegnoOptions> options,
    CoachStore coaches,
    ClientStore clients,
    PlaceStore places,
    GymWeekStore weeks,
    PlanStore plans,
    LogStore logs,
    ActivityStore pulses,
    BlockStore blocks,
    ReleaseStore releases,
    ClientLinks links,
    ClientLinkStore linkStore,
    ClientAppStore floor,
    AlertStore alerts,
    IPasswordHasher<Coach> hasher,
    TimeProvider clock
)
{
    private static readonly Lazy<DemoClub> Club = new(() =>
    {
        using var stream = typeof(DemoSeeder).Assembly.GetManifestResourceStream("demo/club.json")!;
        return JsonSerializer.Deserialize<DemoClub>(stream, RulesJson.Strict)!;
    });

    /// <summary>Seeds when the demo was asked for and nobody has signed up yet.</summary>
    public void SeedIfAsked()
    {
        if (!options.Value.Demo || !coaches.IsEmpty())
        {
            return;
        }

        var club = Club.Value;
        var coach = coaches.AddFirst(club.Coach.Email, club.Coach.Name, hasher.HashPassword(null!, club.Coach.Password))!.Id;
        var planned = club.Members.Select(m => (Member: m, Plan: Plan(coach, m))).ToList();

        // Weeks of training are reckoned at the same time; what is written is written in the order of the club.
        var trained = planned.AsParallel().AsOrdered().Select(p => p.Plan is { } plan ? Trained(plan, p.Member.History!) : null).ToList();
        foreach (var ((member, plan), run) in planned.Zip(trained))
        {
            if (plan is null)
            {
                continue;
            }

            Keep(coach, plan, member.History!, run!);
            if (member.Phone is { } story)
            {
                Send(coach, plans.Find(coach, plan.Id)!, story);
            }
        }
    }

    /// <summary>How to sign in to the demo; null outside it.</summary>
    public string? Welcome() =>
        options.Value.Demo ? $"Sign in as {Club.Value.Coach.Email} with the password {Club.Value.Coach.Password}" : null;

    /// <summary>A member of the club with what belongs to it, and its first plan; null for one who has not trained at home.</summary>
    private Saved<PlanRecord>? Plan(long coach, DemoMember member)
    {
        var client = clients.Add(coach, member.Client).Id;
        var placeIds = member.Places.Select(p => places.Add(coach, client, p)!.Id).ToList();
        var weekIds = member.GymWeeks.Select(d => weeks.Add(coach, client, d)!.Id).ToList();
        if (member.History is null)
        {
            return null;
        }

        var request = new RebuildRequest
        {
            Client = member.Client.Profile,
            Kit = member.Places[0],
            GymLines = [.. member.GymWeeks[0].Text.Split('\n')],
        };
        var engine = new RebuildEngine(DomainRules.Shipped);
        var title = $"{member.GymWeeks[0].Name}, {member.Places[0].Name}";
        return plans.Add(coach, client, placeIds[0], weekIds[0], PlanEndpoints.Document(title, request, engine))!;
    }

    /// <summary>Weeks of training up to today.</summary>
    private TrialResult Trained(Saved<PlanRecord> plan, DemoHistory history)
    {
        var (trial, document) = (new TrainingTrial(DomainRules.Shipped), plan.Value.Document);
        var request = document.Request;
        var day = document.Plan.Lines.ToDictionary(l => l.Gym.Key, l => l.Gym.Day);
        return trial.Run(
            trial.Plan(request, document.Plan),
            line => day[line],
            new SimulatedTrainee(DomainRules.Shipped, request.Client, history.Traits, history.Seed),
            trial.Engine(request, keepsMinutes: true),
            First(history),
            history.Weeks,
            request.Client.DaysPerWeek
        );
    }

    private DateOnly First(DemoHistory history) => DateOnly.FromDateTime(clock.GetUtcNow().Date).AddDays(-7 * history.Weeks);

    /// <summary>Sends the plan, and plays what its client does with it in this week.</summary>
    private void Send(long coach, Saved<PlanRecord> plan, PhoneStory story)
    {
        var engine = new RebuildEngine(DomainRules.Shipped);
        var written = ClientAppLog.Release(plan.Value.Document, engine, new ReleaseWriter(DomainRules.Shipped), story.Word);
        var sent = releases.Add(coach, plan.Id, plan.Value.Version, written)!;
        var link = links.Renew(coach, plan.Value.ClientId, null)!;
        if (!story.Opened)
        {
            return;
        }

        linkStore.Seen(link);
        var ofBlocks = new PlanBlocks(
            DomainRules.Shipped,
            blocks,
            logs,
            new BlockPlanner(DomainRules.Shipped, engine, new NextSession(DomainRules.Shipped)),
            clock
        );
        var log = new ClientLog(
            DomainRules.Shipped,
            plans,
            logs,
            pulses,
            ofBlocks,
            new NextSession(DomainRules.Shipped),
            engine,
            new Replacements(DomainRules.Shipped, engine),
            alerts,
            clock
        );
        for (var i = 0; i < story.Sessions; i++)
        {
            var last = i == story.Sessions - 1;
            var began = clock.GetUtcNow().Date.AddDays(-2 * (story.Sessions - 1 - i)).AddHours(-6);
            var session = SimulatedPhone.Train(
                sent.Id,
                sent.Release,
                i % sent.Release.Days.Length,
                Moments.ToMoment(new DateTimeOffset(began, TimeSpan.Zero)),
                last ? story : new PhoneStory(true),
                $"demo-{plan.Id}-{i + 1:00}"
            );
            session = session with { SentAt = Moments.ToMoment(clock.GetUtcNow()) }; // The phone's clock is right.
            var day = session.TrainedOn(Moments.ToMoment(clock.GetUtcNow())).Day;
            floor.Keep(coach, plan.Value.ClientId, sent, session, ClientAppLog.ToSessionRecord(coach, sent, session, day, plan.Value, log));
        }

        log.RenewPulse(coach, plan.Id);
    }

    private const int MostTrims = 6;

    /// <summary>Keeps the weeks that were trained; the last version is what the last week trained.</summary>
    private void Keep(long coach, Saved<PlanRecord> plan, DemoHistory history, TrialResult done)
    {
        var document = plan.Value.Document;
        var request = document.Request;
        var day = document.Plan.Lines.ToDictionary(l => l.Gym.Key, l => l.Gym.Day);
        var first = First(history);
        var sets = document
            .Plan.Lines.GroupBy(l => l.Gym.Day)
            .ToDictionary(g => g.Key, g => g.Sum(l => l.Chosen?.Exercises.Sum(e => e.Dose.Sets) ?? 0));
        logs.AddAll(
            coach,
            plan.Id,
            done.Log.Select(s => new SessionRecord(
                1,
                s.Day,
                s.Exercises,
                s.Effort,
                40 + (s.Effort ?? 7),
                PlannedSets: sets[day[s.Exercises[0].Line]]
            ))
        );
        var (engine, next) = (new RebuildEngine(DomainRules.Shipped), new NextSession(DomainRules.Shipped));
        var ofBlocks = new PlanBlocks(DomainRules.Shipped, blocks, logs, new BlockPlanner(DomainRules.Shipped, engine, next), clock);
        var log = new ClientLog(
            DomainRules.Shipped,
            plans,
            logs,
            pulses,
            ofBlocks,
            next,
            engine,
            new Replacements(DomainRules.Shipped, engine),
            alerts,
            clock
        );
        var now = plan;
        if (history.Block is { } block)
        {
            var week = history.Weeks - block.WeeksAgo;
            now = Save("as trained when the block began", done.Trained[week]);
            Begin(block, now, first.AddDays(7 * week));
        }

        PlanEndpoints.Followed(
            coach,
            plan.Id,
            new Written<PlanRecord>(WriteOutcome.Done, Save("as trained in the last week", done.Trained[^1])),
            ofBlocks
        );
        log.RenewPulse(coach, plan.Id);

        Saved<PlanRecord> Save(string note, ImmutableArray<PlannedExercise> trained)
        {
            var then = request with
            {
                Choices =
                [
                    .. document.Plan.Lines.Where(l => l.Chosen is not null).Select(l => new CoachChoice(l.Gym.Key, Candidate(l, trained))),
                ],
                Edits = [.. trained.Select(t => HomeEdit.From(t.Line, t.Home.ExerciseId, t.Home.Dose, t.Home.ExternalKg))],
            };
            var taught = log.Taught(coach, plan.Value.ClientId, then);
            return plans.Save(coach, plan.Id, now.Revision, note, WithinMinutes(taught)).Current!;
        }

        // What the weeks taught makes warm-ups longer; a coach takes a set from the last small thing of a day that has become too long.
        PlanDocument WithinMinutes(RebuildRequest then)
        {
            var written = PlanEndpoints.Document(document.Title, then, engine);
            for (var tries = 0; tries < MostTrims && Shorter(written, then) is { } less; tries++)
            {
                then = less;
                written = PlanEndpoints.Document(document.Title, then, engine);
            }

            return written;
        }

        static RebuildRequest? Shorter(PlanDocument written, RebuildRequest then)
        {
            var tooLong = written
                .Plan.Days.Select((d, i) => (Day: i, d.Minutes))
                .Where(d => d.Minutes.Limit is { } limit && d.Minutes.Total > limit)
                .Select(d => d.Day)
                .ToHashSet();
            return
                written
                    .Plan.Lines.Where(l => tooLong.Contains(l.Gym.Day) && l.Chosen is { } c && c.Exercises.All(e => e.Dose.Sets > 2))
                    .OrderBy(l => l.Role)
                    .LastOrDefault()
                    is { } last
                ? then with
                {
                    Edits = [.. then.Edits.Select(e => e.Line == last.Gym.Key && e.Sets is > 2 ? e with { Sets = e.Sets - 1 } : e)],
                }
                : null;
        }

        void Begin(DemoBlock block, Saved<PlanRecord> begun, DateOnly starts)
        {
            var eventOn = block.EventInDays is { } days ? ofBlocks.Today.AddDays(days) : (DateOnly?)null;
            var setup = ofBlocks.Propose(begun.Value, starts, block.Weeks, eventOn) with { EventName = block.EventName };
            setup = block.Phases.IsDefaultOrEmpty ? setup : setup with { Phases = block.Phases };
            var planner = new BlockPlanner(DomainRules.Shipped, engine, next);
            var laid = planner.Plan(begun.Value.Document.Request, begun.Value.Document.Plan, setup, null, starts);
            blocks.Add(coach, plan.Id, new BlockRecord(setup, laid));
        }
    }

    /// <summary>The candidate of a line with the exercises that were trained in their places.</summary>
    private static string Candidate(HomeLine line, ImmutableArray<PlannedExercise> trained)
    {
        var now = trained.Where(p => p.Line == line.Gym.Key).Select(p => p.Home.ExerciseId).ToList();
        return now.Count == line.Chosen!.Exercises.Length ? string.Join('+', now) : line.Chosen.Id;
    }
}
