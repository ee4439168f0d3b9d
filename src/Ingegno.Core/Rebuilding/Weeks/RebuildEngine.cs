using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Rebuilding.Days;
using Ingegno.Core.Rebuilding.Dosing;
using Ingegno.Core.Rebuilding.PlanChecks;

namespace Ingegno.Core.Rebuilding.Weeks;

/// <summary>
/// Rebuilds a gym week for a place. A pure function of request and trade data: the same input gives the same plan.
/// </summary>
/// <param name="domain">The domain rules of the practice.</param>
/// <param name="stop">Gives up between two lines once nobody waits for the answer, or it has taken too long.</param>
public sealed class RebuildEngine(DomainRules domain, CancellationToken stop = default)
{
    /// <summary>Work that rebuilds many times watches it too.</summary>
    public CancellationToken Stop => stop;

    private const int OptionsInJointChoice = 8;
    private const int CandidatesShown = 9;
    private const int RuledOutShown = 30;

    /// <summary>Rebuilds the week; lines that cannot be read are returned as errors and the others are planned.</summary>
    /// <exception cref="ArgumentException">The kit names a kind that does not exist.</exception>
    /// <exception cref="OperationCanceledException">It was told to stop.</exception>
    public RebuildResult Rebuild(RebuildRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);

        // Rests and techniques cost each client their own.
        return request.Client.Costs.IsDefaultOrEmpty
            ? Whole(request)
            : new RebuildEngine(domain.WithCosts(request.Client.Costs), stop).Whole(request);
    }

    private RebuildResult Whole(RebuildRequest request)
    {
        var parsed = LineKeys.Kept(new ShorthandParser(domain.Names, stop).Parse(string.Join('\n', request.GymLines)), request.Keyed);
        var (client, asked) = LineEvidence.Join(parsed.Lines, request.Client, domain);
        var at = new ClientAtPlace(client, request.Kit, domain);
        var (kit, matcher, writer) = (at.Kit, new LineMatcher(at), new CandidateWriter(at));
        var drafts = parsed
            .Lines.GroupBy(l => l.Day)
            .SelectMany(day =>
                day.Select((line, i) => Draft(line, i, day.Count(), request, parsed.Days[line.Day].Name, at, matcher, writer))
            )
            .ToImmutableArray();
        var choice = new WeekChoice(domain);
        stop.ThrowIfCancellationRequested();
        LineOptions[] options =
        [
            .. drafts.Select(d => new LineOptions(d.Home.Gym, d.Home.Role, d.Options, d.Before) { Locked = d.Home.Locked }),
        ];
        var taken = choice.Choose(options, request.Client.MinutesPerSession);
        var because = choice.Because(options, taken, request.Client.MinutesPerSession);
        var chosen = drafts.Select(
            (d, i) =>
                !d.Home.Locked && request.Stands is { } stands && stands.LeftOut.Contains(d.Home.Gym.Key)
                    ? d.Home with
                    {
                        LeftOut = true,
                    }
                    : d.Home with
                    {
                        Chosen = taken[i] < 0 ? null : ForTheWeek(d.Options[taken[i]], because[i], d.Home.Locked),
                    }
        );
        var sessions = new DosePipeline(request, at).Run(chosen, parsed.Days);
        var lines = sessions.SelectMany(s => s.Lines).OrderBy(l => l.Gym.Line).ToImmutableArray();
        lines = [.. lines.Select((line, i) => AsSaid(line, drafts[i].Match) with { Better = Better(line, drafts[i].Match, matcher) })];
        var days = parsed.Days.Select((d, i) => Day(d, sessions[i], request.Client)).ToImmutableArray();
        var plan = new HomePlan
        {
            Lines = lines,
            HardSets = PlanFigures.HardSets(lines, domain.Catalogue),
            Days = days,
            Kept = parsed.Kept,
            Notices =
            [
                .. PlanNotices.For(request, kit, lines, days, domain),
                .. asked.Select(PlanNotices.ToAsk),
                .. parsed.OnlyFirst is { } first ? [PlanNotices.ToAsk(first)] : ImmutableArray<PlanNotice>.Empty,
            ],
        };
        plan = plan with { Findings = PlanCheck.Run(AuditedPlan.From(request, plan, kit, domain), request.Accepted) };
        return new RebuildResult(plan, parsed.Errors) { Rows = parsed.Rows, Keyed = LineKeys.Remembered(parsed, request.Keyed) };
    }

    private ImmutableArray<Reason> Better(HomeLine line, LineToMatch match, LineMatcher matcher)
    {
        stop.ThrowIfCancellationRequested();
        return Improvements.For(line, match, matcher, domain);
    }

    /// <summary>What is taken though another ranks first by itself says so.</summary>
    private static Candidate ForTheWeek(Candidate taken, Reason? because, bool locked) =>
        locked || because is null ? taken : taken with { Why = [because, .. taken.Why] };

    /// <summary>What the dose, as it came out in the end, makes of what the gym line says.</summary>
    private static HomeLine AsSaid(HomeLine line, LineToMatch match) =>
        line.Chosen is { Exercises: [var first, ..] } chosen
            ? line with
            {
                Chosen = chosen with { Why = [.. AsWritten.Said(match.Line, first.Dose), .. chosen.Why] },
            }
            : line;

    private HomeDay Day(GymDay day, LaidOutSession session, ClientProfile client)
    {
        // The warm-up looks at what comes first.
        var order = session.Groups.SelectMany(g => g.Lines).ToList();
        var exercises = session
            .Lines.OrderBy(l => order.IndexOf(l.Gym.Key))
            .SelectMany(l => l.Chosen?.Exercises ?? [])
            .Select(e => (domain.Catalogue.Get(e.ExerciseId), e.Dose.Timed ? 0 : e.Dose.Target.Max, e.Dose.Sets))
            .ToList();
        var preparation = new Preparation(domain.Catalogue).For(
            exercises,
            client,
            new Days.SessionTime(domain.Session).IsShort(client.MinutesPerSession)
        );
        return new HomeDay(day.Name, session.Minutes)
        {
            Groups = session.Groups,
            Cut = session.Cut,
            WarmUp = preparation.WarmUp,
            CoolDown = preparation.CoolDown,
        };
    }

    private LineDraft Draft(
        GymLine line,
        int position,
        int count,
        RebuildRequest request,
        string day,
        ClientAtPlace at,
        LineMatcher matcher,
        CandidateWriter writer
    )
    {
        stop.ThrowIfCancellationRequested();
        var exercise = domain.Catalogue.Get(line.ExerciseId);
        var choice = request.Choices.LastOrDefault(c => c.Line == line.Key);
        var role = choice?.Role ?? RoleOfLine.Infer(line, exercise, position, count);
        var approach = request.ApproachOn(day, domain);
        var meant = AsWritten.Read(line, exercise, domain.Lexicon);
        var intent = GentleDose.Soften(
            approach.Intent(meant.Line, role, LineRest.Usual(line, request.Client.Goal, domain.Dose)),
            request.Client,
            domain.Dose
        );
        var match = new LineToMatch(
            intent,
            meant.Exercise,
            role,
            WantedEffort.ForLine(intent, exercise, at.Client, at.DomainRules, at.Strength),
            approach
        );
        var (usable, ruledOut) = matcher.Rank(match);
        var candidates = usable.Take(CandidatesShown).Select(s => writer.Write(match, s)).ToList();
        if (PairFinder.Best(match, usable, domain.Match) is { } pair)
        {
            candidates.Add(writer.Write(match, pair));
        }

        candidates =
        [
            .. candidates
                .OrderByDescending(c => c.Match)
                .ThenBy(c => c.Id == exercise.Id ? 0 : 1)
                .ThenBy(c => c.Id, StringComparer.Ordinal),
        ];
        var wanted = choice?.CandidateId is { } id
            ? candidates.FirstOrDefault(c => c.Id == id) ?? FromBeyond(id, match, usable, writer)
            : null;
        var before = request.Before.LastOrDefault(b => b.GymExerciseId == exercise.Id && (b.Day is null || b.Day == day))?.CandidateId;
        var stood =
            wanted is null && before is not null
                ? candidates.FirstOrDefault(c => c.Id == before) ?? FromBeyond(before, match, usable, writer)
                : null;
        foreach (var named in new[] { wanted, stood }.OfType<Candidate>().Where(c => !candidates.Contains(c)).ToList())
        {
            candidates.Add(named);
        }

        var home = new HomeLine
        {
            Gym = line,
            GymExerciseName = exercise.Name,
            GymDose = Shorthand.Dose(line),
            GymDetails = Shorthand.Details(line),
            GymSaid = [.. line.Modifiers.Where(m => m.Kind != NameFeatureKind.Word).Select(m => m.InWords)],
            Role = role,
            Locked = wanted is not null,
            Candidates = [.. candidates],
            RuledOut = [.. ruledOut.Take(RuledOutShown)],
        };
        var options = candidates.Take(OptionsInJointChoice);
        return new LineDraft(home, match, wanted is not null ? [wanted] : [.. stood is null ? options : options.Union([stood])], stood?.Id);
    }

    /// <summary>A choice of the coach that ranks below those shown, or a pair, as long as it can be done here at all.</summary>
    private Candidate? FromBeyond(string id, LineToMatch match, ImmutableArray<Scored> usable, CandidateWriter writer)
    {
        var halves = id.Split('+').Select(half => usable.FirstOrDefault(s => s.Exercise.Id == half)).ToList();
        return halves switch
        {
            [{ } one] => writer.Write(match, one),
            [{ } first, { } second] => writer.Write(match, PairFinder.Of(match, first, second, domain.Match)),
            _ => null,
        };
    }

    private sealed record LineDraft(HomeLine Home, LineToMatch Match, ImmutableArray<Candidate> Options, string? Before);
}
