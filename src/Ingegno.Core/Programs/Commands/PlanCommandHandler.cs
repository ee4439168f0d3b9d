using System.Collections.Immutable;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Commands;

/// <summary>
/// The one verb of a home plan: what it is built from and a decision give what the next one is built from. Workbench, review, plan
/// check, blocks and the trials of the bench all go through here, so that the same decision gives the same plan everywhere.
/// </summary>
public static class PlanCommandHandler
{
    /// <summary>What the plan is built from once decisions are taken, in their order.</summary>
    /// <param name="request">What it is built from now.</param>
    /// <param name="standing">What stands in it (<see cref="HomePlan.Standing"/>): only what a decision touches changes.</param>
    /// <param name="decisions">The decisions.</param>
    public static RebuildRequest Handle(
        RebuildRequest request,
        ImmutableArray<StandingLine> standing,
        params IEnumerable<PlanCommand> decisions
    )
    {
        ArgumentNullException.ThrowIfNull(request);
        ArgumentNullException.ThrowIfNull(decisions);
        return decisions.Aggregate(request with { Before = Before(request, standing) }, (now, decision) => Handle(now, standing, decision));
    }

    /// <summary>Lines that decisions point at and the week has neither now nor, as far as it is remembered, before; each once.</summary>
    /// <param name="decisions">The decisions.</param>
    /// <param name="known">Lines of the week (<see cref="RebuildResult.Keyed"/>).</param>
    public static ImmutableArray<LineKey> Astray(IEnumerable<PlanCommand> decisions, ImmutableArray<KeyedLine> known)
    {
        ArgumentNullException.ThrowIfNull(decisions);
        return [.. decisions.SelectMany(d => d.PointsAt()).Distinct().Except(known.Select(k => k.Key))];
    }

    private static RebuildRequest Handle(RebuildRequest now, ImmutableArray<StandingLine> standing, PlanCommand decision) =>
        decision switch
        {
            ChooseCandidate choose => With(
                Freed(now with { Edits = Carried(now.Edits, standing, choose) }, choose.Line),
                choose.Line,
                c => c with { CandidateId = choose.CandidateId }
            ),
            LeaveToEngine leave => With(Freed(now, leave.Line), leave.Line, c => c with { CandidateId = null }),
            SetRole set => With(Freed(now, set.Line), set.Line, c => c with { Role = set.Role }),
            LeaveOutExercise left => now with { Choices = [.. now.Choices.Where(c => !Has(c.CandidateId, left.ExerciseId))] },
            KeepStanding keep => Keep(now, [.. standing.Where(s => keep.Lines.Contains(s.Line))]),
            SetFigures set => now with { Edits = Over(now.Edits, set.Edits) },
            RepeatFigures repeat => now with { Edits = Over(now.Edits, Repeated(repeat, standing)) },
            TakeRemedy { Remedy: var remedy } => remedy.Choices.Aggregate(
                now with
                {
                    Edits = Over(now.Edits, remedy.Edits),
                },
                (r, choice) => With(Freed(r, choice.Line), choice.Line, _ => choice)
            ),
            AcceptFinding accept => now with
            {
                Accepted =
                [
                    .. now.Accepted.Where(a => a.Key != accept.Key),
                    .. accept.Note.Length > 0 ? [new AcceptedFinding(accept.Key, accept.Note)] : Array.Empty<AcceptedFinding>(),
                ],
            },
            FollowApproach follow => Follow(Freed(now, [.. standing.Where(follow.IsAbout).Select(s => s.Line)]), follow),
            FitToMinutes fit => now with { FitToMinutes = fit.On, Stands = fit.On ? now.Stands?.GivingWay() : null },
            Calibrate calibrate => now with { Calibrate = calibrate.On, Stands = now.Stands?.WithoutOpenSets() },
            AcceptProposals accept => Accept(now, standing, accept.Proposals),
            TakeWeek week => now with
            {
                Approach = week.Approach ?? now.Approach,
                Phase = week.Phase,
                Choices = Kept(standing),
                Edits = week.Cells,
                Stands = null, // the week says every figure
            },
            _ => throw new ArgumentOutOfRangeException(nameof(decision), decision, "There is no such decision."),
        };

    /// <summary>What stands, as choices: an accepted plan keeps its exercises.</summary>
    public static ImmutableArray<CoachChoice> Kept(ImmutableArray<StandingLine> standing) =>
        [.. standing.Where(s => !s.LeftOut).Select(s => s.AsChoice())];

    private static ImmutableArray<StoodBefore> Before(RebuildRequest request, ImmutableArray<StandingLine> standing) =>
        standing.IsDefaultOrEmpty ? request.Before : [.. standing.Where(s => !s.LeftOut).Select(s => s.AsBefore())];

    /// <summary>The engine has the lines again: what stood for them does not hold them any more.</summary>
    private static RebuildRequest Freed(RebuildRequest now, params ImmutableArray<LineKey> lines) =>
        now with
        {
            Stands = now.Stands?.Without(lines.Contains),
        };

    private static RebuildRequest Keep(RebuildRequest now, ImmutableArray<StandingLine> kept)
    {
        var (lines, stands) = (kept.Select(k => k.Line).ToHashSet(), StandingWeek.From(kept));
        var others = now.Stands?.Without(lines.Contains) ?? new StandingWeek();
        return now with
        {
            Choices = [.. now.Choices.Where(c => !lines.Contains(c.Line)), .. Kept(kept)],
            Stands = others with
            {
                Figures = [.. others.Figures, .. stands.Figures],
                InTurn = [.. others.InTurn, .. stands.InTurn.Where(t => t.All(lines.Contains))],
                LeftOut = [.. others.LeftOut, .. stands.LeftOut],
            },
        };
    }

    private static RebuildRequest With(RebuildRequest now, LineKey line, Func<CoachChoice, CoachChoice> change)
    {
        var changed = change(now.Choices.LastOrDefault(c => c.Line == line) ?? new CoachChoice(line));
        var others = now.Choices.Where(c => c.Line != line);
        return now with { Choices = changed is { CandidateId: null, Role: null } ? [.. others] : [.. others, changed] };
    }

    private static bool Has(string? candidateId, string exerciseId) => candidateId?.Split('+').Contains(exerciseId) ?? false;

    /// <summary>
    /// What the coach typed for an exercise goes along to the one chosen in its place, as far as it makes sense there; what was typed for that
    /// one itself stands.
    /// </summary>
    private static ImmutableArray<HomeEdit> Carried(
        ImmutableArray<HomeEdit> edits,
        ImmutableArray<StandingLine> standing,
        ChooseCandidate choose
    )
    {
        var (stood, comes) = (
            standing.FirstOrDefault(s => s.Line == choose.Line)?.CandidateId.Split('+') ?? [],
            choose.CandidateId.Split('+')
        );
        var typed = edits.LastOrDefault(e => e.Line == choose.Line && stood.Contains(e.ExerciseId) && !comes.Contains(e.ExerciseId));
        return typed is null
            ? edits
            :
            [
                .. edits.Where(e => !(e.Line == choose.Line && e.CarriedFrom is not null && comes.Contains(e.ExerciseId))),
                .. from id in comes
                where !edits.Any(e => e.CarriedFrom is null && e.IsOf(choose.Line, id))
                let carried = typed.CarriedTo(id)
                where carried is not null
                select carried,
            ];
    }

    /// <summary>New figures over those set before, exercise by exercise.</summary>
    private static ImmutableArray<HomeEdit> Over(ImmutableArray<HomeEdit> edits, IEnumerable<HomeEdit> added)
    {
        var result = edits.ToList();
        foreach (var edit in added)
        {
            var at = result.FindLastIndex(e => e.IsOf(edit.Line, edit.ExerciseId));
            if (at < 0)
            {
                result.Add(edit);
            }
            else
            {
                result[at] = edit.Over(result[at]);
            }
        }

        return [.. result];
    }

    private static IEnumerable<HomeEdit> Repeated(RepeatFigures repeat, ImmutableArray<StandingLine> standing) =>
        from line in standing
        where !line.LeftOut && repeat.Lines.Contains(line.Line)
        from exercise in line.CandidateId.Split('+')
        select repeat.Figures with
        {
            Line = line.Line,
            ExerciseId = exercise,
            ExternalKg = null,
        };

    private static RebuildRequest Follow(RebuildRequest now, FollowApproach follow)
    {
        if (follow.Day is not { } day)
        {
            return now with { Approach = follow.Approach, Phase = null };
        }

        var others = now.DayApproaches.Where(a => a.Day != day);
        var asWeek = follow.Approach == (now.Approach ?? now.Client.Approach ?? Approach.Default);
        return now with { DayApproaches = asWeek ? [.. others] : [.. others, new DayApproach(day, follow.Approach)] };
    }

    private static RebuildRequest Accept(
        RebuildRequest now,
        ImmutableArray<StandingLine> standing,
        ImmutableArray<AcceptedProposal> accepted
    )
    {
        var figures =
            from a in accepted
            where a.Typed is not null || (a.Figures is not null && a is { ToExerciseId: null, ToCandidateId: null })
            let before = now.Edits.LastOrDefault(e => e.IsOf(a.Line, a.ExerciseId))

            // Techniques that were set before stay so: a proposal without any of its own must not bring back what was taken off.
            let kept = new HomeEdit
            {
                Line = a.Line,
                ExerciseId = a.ExerciseId,
                Techniques = before?.Techniques,
            }
            let proposed = a.Figures is null ? kept : a.Figures.Replacing(kept)
            select a.Typed is null ? proposed : a.Typed.Replacing(proposed);
        var steps = accepted.Where(a => a is { Typed: null } and ({ ToExerciseId: not null } or { ToCandidateId: not null })).ToList();
        var there = steps.SelectMany(s => s.Others.Prepend(s.Figures)).OfType<HomeEdit>().ToList();
        return now with
        {
            Edits =
            [
                .. now.Edits.Where(e =>
                    !accepted.Any(a => e.IsOf(a.Line, a.ExerciseId)) && !there.Exists(t => e.IsOf(t.Line, t.ExerciseId))
                ),
                .. figures,
                .. there,
            ],
            Stands = StandingWeek
                .From(standing)
                .Without(line => steps.Exists(s => s.Line == line))
                .DecidedAnew((line, exercise) => accepted.Any(a => a.Line == line && a.ExerciseId == exercise)),
            Resting = Resting(now.Resting, steps),
            Choices =
            [
                .. Kept(standing)
                    .Select(c =>
                        steps.FirstOrDefault(s => s.Line == c.Line) is { } step ? c with { CandidateId = Stepped(c.CandidateId!, step) } : c
                    ),
            ],
        };
    }

    /// <summary>What hurts rests; of a line that hurts again the first stays in mind, and what is taken back rests no longer.</summary>
    private static ImmutableArray<RestingExercise> Resting(ImmutableArray<RestingExercise> now, List<AcceptedProposal> steps) =>
        [
            .. now.Where(r => !steps.Exists(s => s.Line == r.Line && s.ToCandidateId == r.CandidateId))
                .Select(r => steps.Find(s => s.Line == r.Line)?.Rests is { } again ? r with { Since = again.Since } : r),
            .. steps.Select(s => s.Rests).OfType<RestingExercise>().Where(r => now.All(n => n.Line != r.Line)),
        ];

    /// <summary>A candidate with the exercise that is stepped from replaced; in a pair the other half stays.</summary>
    private static string Stepped(string candidateId, AcceptedProposal step) =>
        step.ToCandidateId ?? string.Join('+', candidateId.Split('+').Select(id => id == step.ExerciseId ? step.ToExerciseId : id));
}
