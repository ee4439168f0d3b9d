using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Commands;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Rebuilding.Weeks;

namespace Ingegno.Core.Progress.Progression;

/// <summary>
/// Names what takes the place of an exercise that hurts, or that has no next step here, with its dose, from the engine that builds the plan; and
/// proposes what hurt again once its joint has been quiet.
/// </summary>
public sealed class Replacements(DomainRules domain, RebuildEngine engine)
{
    /// <summary>Expected over wanted reps up to which another exercise is worth the change.</summary>
    private const double WorthIt = 1.25;

    /// <summary>Expected reps over those of now from which another exercise is no harder.</summary>
    private const double ClearlyFewer = 0.9;

    /// <summary>The proposals with what takes the place of an exercise.</summary>
    /// <param name="said">What the log proposes.</param>
    /// <param name="request">What the plan is built from, the client as the logs teach.</param>
    /// <param name="plan">The plan.</param>
    /// <param name="log">Sessions of the plan.</param>
    /// <param name="built">Steps come with the dose that the plan will hold; what is only counted goes without.</param>
    public ImmutableArray<Proposal> Name(
        ImmutableArray<Proposal> said,
        RebuildRequest request,
        HomePlan plan,
        IReadOnlyCollection<LoggedSession> log,
        bool built = true
    )
    {
        ArgumentNullException.ThrowIfNull(request);
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(log);
        return
        [
            .. said.Select(p =>
                p.Decision switch
                {
                    Decision.Swap => StaysOut(Sparing(p, request, plan) is { } other ? Said(p, other) : p, log),
                    Decision.Change => Another(p, request, plan) is { } other ? Said(p, other) : p.Otherwise ?? p,
                    Decision.Ease or Decision.Wait or Decision.EaseIn => p,
                    _ => Again(p, request, plan, log) ?? (built ? Stepped(Held(p, request, log), request, plan) : Held(p, request, log)),
                }
            ),
        ];
    }

    /// <summary>A step to another exercise with the dose that the plan will hold: what is announced is what comes.</summary>
    private Proposal Stepped(Proposal said, RebuildRequest request, HomePlan plan)
    {
        if (said.ToExerciseId is null)
        {
            return said;
        }

        var stepped = PlanCommandHandler.Handle(request, plan.Standing, new AcceptProposals([said.Accepted]));
        return Of(said.Line, engine.Rebuild(stepped).Plan, plan)?.Replacement is { } there ? said with { Replacement = there } : said;
    }

    /// <summary>While an exercise rests nothing steps up to it, nor to what loads its joint as much.</summary>
    private Proposal Held(Proposal said, RebuildRequest request, IReadOnlyCollection<LoggedSession> log) =>
        said.ToExerciseId is { } to
        && request.Resting.FirstOrDefault(r => r.Line == said.Line) is { } rests
        && domain.Catalogue.Find(to) is { } exercise
        && (rests.CandidateId.Split('+').Contains(to) || exercise.Joints.GetValueOrDefault(rests.Joint) >= Loads)
            ? said with
            {
                Decision = Decision.Repeat,
                Reason = Reason.Of("rests", ("exercise", exercise.Name), ("joint", Term.For(rests.Joint)), ("out", IsOut(rests, log))),
                ToExerciseId = null,
                ToKg = null,
                ToSetup = null,
            }
            : said;

    /// <summary>Stress from which a joint is loaded: medium.</summary>
    private const int Loads = 2;

    private static Proposal Said(Proposal said, Replacement other) =>
        said with
        {
            Replacement = other,
            Reason = said.Reason.Then(
                Reason.Of(
                    "instead",
                    ("exercises", FactList.Of(other.Exercises.Select(e => e.Name))),
                    ("dose", other.Exercises[0].Dose.Figures)
                )
            ),
        };

    /// <summary>Tried again and stopped again, an exercise is not tried a third time.</summary>
    private Proposal StaysOut(Proposal said, IReadOnlyCollection<LoggedSession> log) =>
        said.Joint is { } joint && Stops(said.Line, said.ExerciseId, joint, log) is var times && times >= domain.Progression.TryAgain.Stops
            ? said with
            {
                Reason = said.Reason.Then(Reason.Of("stays-out", ("times", times), ("joint", Term.For(joint)))),
            }
            : said;

    private bool IsOut(RestingExercise rests, IReadOnlyCollection<LoggedSession> log) =>
        rests.CandidateId.Split('+').Any(id => Stops(rests.Line, id, rests.Joint, log) >= domain.Progression.TryAgain.Stops);

    /// <summary>Days on which an exercise of a line had to be stopped for a joint.</summary>
    private static int Stops(LineKey line, string exerciseId, Joint joint, IReadOnlyCollection<LoggedSession> log) =>
        log.Where(s =>
                s.Exercises.Any(e =>
                    e.Line == line
                    && e.ExerciseId == exerciseId
                    && e.Sets.Any(set => set.PainJoint == joint && (set.Pain >= DoubleProgression.StoppingPain || set.Sharp))
                )
            )
            .DistinctBy(s => s.Day)
            .Count();

    /// <summary>The next best that spares the joint.</summary>
    private Replacement? Sparing(Proposal said, RebuildRequest request, HomePlan plan)
    {
        var client = request.Client;
        if (said.Joint is { } joint)
        {
            client = client with
            {
                SoreJoints = [.. client.SoreJoints.Where(j => j.Joint != joint), new SoreJoint(joint, Soreness.Injured)],
            };
        }

        // What hurt so much that it was stopped is not answered by what loads the joint a little less, nor, where another movement does nearly as much, by
        // the same one with another thing.
        var (leftAlone, rules) = (LeftAlone(client, said.Joint), domain.Progression.TryAgain);
        if (Built(said, request, leftAlone, plan, rules.LeastMatch) is not { } spares)
        {
            return Built(said, request, client, plan)?.Replacement;
        }

        return
            OtherMovement(leftAlone, said.ExerciseId) is { } without
            && Built(said, request, without, plan, Math.Max(rules.LeastMatch, spares.Match - rules.OtherMovement)) is { } other
            ? other.Replacement
            : spares.Replacement;
    }

    private ClientProfile LeftAlone(ClientProfile client, Joint? joint) =>
        joint is { } hurts ? Without(client, e => e.Joints.GetValueOrDefault(hurts) > 0) : client;

    /// <summary>A squat that hurt with a bell hurts with a band; a small muscle has one movement and stays with it.</summary>
    private ClientProfile? OtherMovement(ClientProfile client, string exerciseId) =>
        domain.Catalogue.Find(exerciseId) is { Structure: ExerciseStructure.Compound } hurt && domain.Names.MovementOf(hurt) is { } movement
            ? Without(client, e => domain.Names.MovementOf(e) == movement)
            : null;

    private ClientProfile Without(ClientProfile client, Func<Exercise, bool> isOut) =>
        client with
        {
            Refuses = [.. client.Refuses, .. domain.Catalogue.AtHome.Where(isOut).Select(e => e.Id)],
        };

    /// <summary>Another exercise for the same muscles with which the line is done as it was meant; null when none does.</summary>
    private Replacement? Another(Proposal said, RebuildRequest request, HomePlan plan) =>
        Built(said, request, request.Client, plan)?.Replacement is { } other
        && other.Exercises[0] is { Expected: { } expected, Wanted: { } wanted }
        && (said.Eases ? expected.Mid >= wanted.Min * domain.Dose.Kept.LeastOfPlanned : IsHarder(expected, wanted, Now(said, plan)))
            ? other
            : null;

    private static bool IsHarder(RepRange expected, Bounds wanted, RepRange? now) =>
        expected.Mid <= wanted.Max * WorthIt && !(now is { } before && expected.Mid >= before.Mid * ClearlyFewer);

    private static RepRange? Now(Proposal said, HomePlan plan) =>
        plan
            .Lines.FirstOrDefault(l => l.Gym.Key == said.Line)
            ?.Chosen?.Exercises.FirstOrDefault(e => e.ExerciseId == said.ExerciseId)
            ?.Expected;

    private (Replacement Replacement, double Match)? Built(
        Proposal said,
        RebuildRequest request,
        ClientProfile client,
        HomePlan plan,
        double leastMatch = 0
    )
    {
        var asked = request with
        {
            Client = client with { Refuses = [.. client.Refuses, said.ExerciseId] },
            Choices = [.. PlanCommandHandler.Kept(plan.Standing).Select(c => c.Line == said.Line ? c with { CandidateId = null } : c)],
            Edits = [.. request.Edits.Where(e => e.Line != said.Line)],
            Stands = request.Stands?.Without(line => line == said.Line),
        };
        return Of(said.Line, engine.Rebuild(asked).Plan, plan, leastMatch);
    }

    private static (Replacement Replacement, double Match)? Of(LineKey line, HomePlan built, HomePlan before, double leastMatch = 0) =>
        built.Lines.FirstOrDefault(l => l.Gym.Key == line)?.Chosen is { } chosen
        && chosen.Match >= leastMatch
        && before.Lines.FirstOrDefault(l => l.Gym.Key == line)?.Chosen is { } old
        && chosen.Id != old.Id
            ? (new Replacement(chosen.Id, chosen.Exercises, old.Id), chosen.Match)
            : null;

    /// <summary>What rested, once its joint has been quiet for long enough while training went on; null before.</summary>
    private Proposal? Again(Proposal said, RebuildRequest request, HomePlan plan, IReadOnlyCollection<LoggedSession> log)
    {
        if (request.Resting.FirstOrDefault(r => r.Line == said.Line) is not { } rests || log.Count == 0)
        {
            return null;
        }

        var days = domain.Progression.TryAgain.Days;
        var since = log.Where(s => s.Day > rests.Since).ToList();
        var quiet =
            since.Count > 0
            && since.Max(s => s.Day).DayNumber - rests.Since.DayNumber >= days
            && !since
                .SelectMany(s => s.Exercises)
                .SelectMany(e => e.Sets)
                .Any(s => s.PainJoint == rests.Joint && (s.Pain > DoubleProgression.TolerablePain || s.Sharp));
        if (!quiet || IsOut(rests, log))
        {
            return null;
        }

        // Sets logged "as set up" name no load: half of what the client would be given today stands for half of what hurt.
        var asBefore = Back(null, null);
        var most = (HurtKg(rests, log) ?? asBefore?.Exercises.Max(e => e.ExternalKg) ?? 0) * HalfOfWhatHurt;
        return Lightly() is { } back
            ? said with
            {
                Decision = Decision.TryAgain,
                Reason = Reason.Of(
                    "try-again",
                    ("exercises", FactList.Of(back.Exercises.Select(e => e.Name))),
                    ("joint", Term.For(rests.Joint)),
                    ("days", days),
                    ("rir", Spared)
                ),
                Replacement = back,
                ToExerciseId = null,
                FlagsCoach = true,
            }
            : null;

        // As it was set up, or, where that has no such load, as it is set up with less.
        Replacement? Lightly()
        {
            if (most <= 0 || asBefore is null)
            {
                return asBefore;
            }

            var here = new ClientAtPlace(request.Client, request.Kit, domain);
            return
                here.Ways.Lighter(asBefore.Exercises[0], most + SameLoad) is { } way
                && Back(way.Load.MassKg, way) is { } back
                && back.Exercises.All(e => e.ExternalKg <= most + SameLoad)
                ? back
                : null;
        }

        string First() => rests.CandidateId.Split('+')[0];

        Replacement? Back(double? kg, Way? way)
        {
            var edit = new HomeEdit
            {
                Line = said.Line,
                ExerciseId = First(),
                SetupId = way?.Setup.Id,
                Spots = way?.Spots,
                Rir = Spared,
                ExternalKg = kg,
                Sets = Math.Max(1, SetsOf(said, plan) - 1),
            };
            var kept = PlanCommandHandler.Kept(plan.Standing);
            var asked = request with
            {
                Choices = [.. kept.Select(c => c.Line == said.Line ? c with { CandidateId = rests.CandidateId } : c)],
                Edits = [.. request.Edits.Where(e => e.Line != said.Line), edit],
                Stands = request.Stands?.Without(line => line == said.Line),
            };
            return Of(said.Line, engine.Rebuild(asked).Plan, plan)?.Replacement is { } back && back.CandidateId == rests.CandidateId
                ? back
                : null;
        }
    }

    /// <summary>Load of the sets that hurt, the lightest of them, kg; null where none was logged with one.</summary>
    private static double? HurtKg(RestingExercise rests, IReadOnlyCollection<LoggedSession> log) =>
        log.SelectMany(s => s.Exercises)
            .Where(e => rests.CandidateId.Split('+').Contains(e.ExerciseId))
            .SelectMany(e => e.Sets)
            .Where(s => s.PainJoint == rests.Joint && s.LoadKg is > 0)
            .Min(s => s.LoadKg);

    private static int SetsOf(Proposal said, HomePlan plan) => plan.Lines.FirstOrDefault(l => l.Gym.Key == said.Line)?.Gym.Sets ?? 2;

    /// <summary>"Again, lightly" is at most so much of the load that hurt.</summary>
    private const double HalfOfWhatHurt = 0.5;

    /// <summary>Loads that differ by less are one, kg.</summary>
    private const double SameLoad = 0.01;

    /// <summary>Reps in reserve of the first time back.</summary>
    private const int Spared = 4;
}
