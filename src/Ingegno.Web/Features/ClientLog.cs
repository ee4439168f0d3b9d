using System.Collections.Immutable;
using Ingegno.Core.Clients.Health;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Progress.FollowUp;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Storage;

namespace Ingegno.Web.Features;

/// <summary>Brings stored logs and plans together with what the core makes of them.</summary>
public sealed class ClientLog(
    DomainRules domain,
    PlanStore plans,
    LogStore logs,
    ActivityStore pulses,
    PlanBlocks blocks,
    NextSession next,
    RebuildEngine engine,
    Replacements replacements,
    AlertStore alerts,
    TimeProvider clock
)
{
    /// <summary>Half a year: with a half-life of four weeks an older day weighs next to nothing.</summary>
    private const int DaysRead = 182;

    /// <summary>The day it is for the server.</summary>
    public DateOnly Today => DateOnly.FromDateTime(clock.GetUtcNow().Date);

    /// <summary>What is wrong with the day of a session; null when nothing is. Tomorrow is somebody's today.</summary>
    public string? WrongDay(DateOnly day) =>
        day > Today.AddDays(1) ? "The day of the session lies in the future."
        : day < Earliest ? $"The day of the session lies before {Earliest:yyyy}: look at the year."
        : null;

    /// <summary>Nobody brings older logs.</summary>
    private static readonly DateOnly Earliest = new(2000, 1, 1);

    /// <summary>A client with what the logs of all plans teach of strength and costs, whatever was said of that.</summary>
    public ClientProfile Taught(long coach, long clientId, ClientProfile profile)
    {
        var sessions = logs.OfClient(coach, clientId, Today.AddDays(-DaysRead)).Select(s => s.Value.AsLogged).ToList();
        var costs = new CostModel(domain).Learn(sessions, Today);
        var observations =
            from session in sessions
            from logged in session.Exercises
            let exercise = domain.Catalogue.Find(logged.ExerciseId)
            where exercise is not null
            let seen = StrengthObservation.FromSets(session.Day, exercise, Evidence.FromSets(logged.Sets, costs))
            where seen is not null
            select seen;
        return profile.AsOf(Today) with
        {
            Learned = new StrengthModel(profile, domain.Strength).Learn(observations, domain.Catalogue.Find, Today),
            Costs = costs,
        };
    }

    /// <summary>A request with what the client's logs teach now.</summary>
    public RebuildRequest Taught(long coach, long clientId, RebuildRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        return request with { Client = Taught(coach, clientId, request.Client) };
    }

    /// <summary>The client of a plan with what the logs teach now.</summary>
    public ClientProfile ClientNow(long coach, PlanRecord plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return Taught(coach, plan.ClientId, plan.Document.Request.Client);
    }

    /// <summary>What has changed since a plan was made.</summary>
    /// <param name="coach">The coach.</param>
    /// <param name="plan">The plan.</param>
    /// <param name="stands">Its client, place and gym week as they stand now.</param>
    public ImmutableArray<Drift> DriftOf(long coach, PlanRecord plan, PlanBasis stands)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(stands);
        return PlanDrift.Compare(plan.Document.Request, Taught(coach, plan.ClientId, stands.Client), stands.Kit, stands.GymText);
    }

    /// <summary>What is proposed for the next session, and what of the log no line answers to.</summary>
    /// <param name="coach">The coach.</param>
    /// <param name="planId">The plan.</param>
    /// <param name="plan">Its version that stands.</param>
    /// <param name="built">Steps come with the dose that the plan will hold.</param>
    /// <param name="held">What signs of danger hold waits; what the roster keeps of a log outlives them.</param>
    public (ImmutableArray<Proposal> Proposals, MatchedLogs Logs) Review(
        long coach,
        long planId,
        PlanRecord plan,
        bool built = true,
        bool held = true
    )
    {
        ArgumentNullException.ThrowIfNull(plan);
        var matched = MatchedLogs.Of(plan.Document.Plan.Lines, Sessions(coach, planId));
        var document = plan.Document;
        var client = ClientNow(coach, plan);
        var days = document.Request.FitToMinutes ? document.Plan.Days : []; // days left whole take what they take
        var proposals = next.Propose(
            client,
            document.Request.Kit,
            document.Plan.Lines,
            matched.Sessions,
            Today,
            blocks.Guide(coach, planId, plan),
            days,
            held ? HeldNow(coach, plan.ClientId) : HeldTraining.None
        );
        if (AfterCalibration.IsDue(document.Plan))
        {
            proposals = AfterCalibration.Set(
                proposals,
                document.Plan.Lines,
                engine.Rebuild(AfterCalibration.Anew(document.Request, document.Plan) with { Client = client }).Plan.Lines
            );
        }

        return (replacements.Name(proposals, document.Request with { Client = client }, document.Plan, matched.Sessions, built), matched);
    }

    /// <summary>What signs of danger hold of a client's training.</summary>
    public HeldTraining HeldNow(long coach, long clientId) =>
        HeldTraining.By(alerts.OfClient(coach, clientId).Where(a => a.AnsweredAt is null).Select(a => a.Alert), domain.Red);

    /// <summary>Stamps exercises with what they were under a version of the plan.</summary>
    public ImmutableArray<LoggedExercise> Stamped(PlanDocument trained, ImmutableArray<LoggedExercise> exercises)
    {
        var stamps = Stamps(trained);
        return
        [
            .. exercises
                .Where(e => !e.Sets.IsDefaultOrEmpty)
                .Select(e => stamps.Stamp(e with { Sets = [.. e.Sets.Select(s => s with { Stamp = null })] })),
        ];
    }

    /// <summary>What looks like a slip of the pen.</summary>
    public ImmutableArray<LogDoubt> Doubts(PlanDocument trained, ImmutableArray<LoggedExercise> exercises)
    {
        var stamps = Stamps(trained);
        return [.. exercises.SelectMany(e => stamps.PlannedFor(e) is { } at ? LogDoubts.About(at.Home, at.HeaviestKg, e) : [])];
    }

    /// <summary>The version of a plan that a session trained: a session that is changed or brought back stays with its own.</summary>
    public PlanDocument? Trained(long coach, long planId, PlanRecord plan, int version)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return version == plan.Version ? plan.Document : plans.FindVersion(coach, planId, version);
    }

    private LogStamps Stamps(PlanDocument trained)
    {
        ArgumentNullException.ThrowIfNull(trained);
        return new LogStamps(domain, trained.Request.Client, trained.Request.Kit, trained.Plan.Lines);
    }

    /// <summary>Works out anew what the roster shows of a plan.</summary>
    public void RenewPulse(long coach, long planId) =>
        RenewPulse(coach, planId, pulses.Due(coach).TryGetValue(planId, out var mark) ? mark : null);

    /// <summary>Makes the pulses that a log overtook, for instance because the server ended between the two.</summary>
    public void RenewDuePulses(long coach)
    {
        foreach (var (plan, mark) in pulses.Due(coach))
        {
            RenewPulse(coach, plan, mark);
        }
    }

    private void RenewPulse(long coach, long planId, long? seen)
    {
        if (plans.Find(coach, planId) is not { } plan)
        {
            return;
        }

        var (proposals, matched) = Review(coach, planId, plan.Value, built: false, held: false);
        var counts = plan
            .Value.Document.Plan.Lines.SelectMany(l => (l.Chosen?.Exercises ?? []).Select(e => (l.Gym.Key, e)))
            .ToDictionary(at => (at.Key, at.e.ExerciseId), at => at.e.Dose.CountsAfter);
        pulses.Put(
            coach,
            planId,
            new ActivitySummary(
                plan.Value.Version,
                matched.Sessions.IsEmpty ? null : matched.Sessions.Max(s => s.Day),
                matched.Sessions.Length,
                [
                    .. proposals.Select(p =>
                    {
                        var history = next.History(
                            p.Line,
                            p.ExerciseId,
                            matched.Sessions,
                            Today,
                            counts.GetValueOrDefault((p.Line, p.ExerciseId))
                        );
                        var worst = history.Days.IsEmpty ? null : history.Days[0].Worst;
                        return new ActivityLine(p.Name, p.Decision, p.Reason, worst?.Pain, worst?.PainJoint, history.Stalled);
                    }),
                ]
            ),
            seen
        );
    }

    private ImmutableArray<LoggedSession> Sessions(long coach, long planId) => [.. logs.List(coach, planId).Select(s => s.Value.AsLogged)];
}
