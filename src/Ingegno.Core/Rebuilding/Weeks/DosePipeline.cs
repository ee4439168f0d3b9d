using System.Collections.Immutable;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Rebuilding.Days;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Rebuilding.Weeks;

/// <summary>
/// Who has the last word on a dose, in order; each hand takes the lines as the one before left them.
/// <list type="number">
/// <item>The gym line under its approach (<see cref="ApproachIntent"/>): before anything is matched, for what is wanted decides what is found.</item>
/// <item>What the load makes of it (<see cref="DosePrescriber"/>) and</item>
/// <item>how its sets run (<see cref="SetSchemeChoice"/>): both for every candidate, which shows its dose before it is taken.</item>
/// <item>A bar that pins, where nobody guards it (<see cref="Guarding"/>).</item>
/// <item>What stands though nobody decided on it, to the gram (<see cref="StandingWeek"/>).</item>
/// <item>Figures of the coach, of a proposal that was accepted or of a block (<see cref="HomeEdits"/>).</item>
/// <item>Calibration, where it is on (<see cref="Calibration"/>): a last set without a figure.</item>
/// <item>The day (<see cref="SessionPlanner"/>): tired beforehand, done in turn, cut to the minutes; what a coach set is not cut.</item>
/// </list>
/// This file runs the last four, once the week's exercises are chosen.
/// </summary>
internal sealed class DosePipeline(RebuildRequest request, ClientAtPlace at)
{
    /// <summary>The days laid out with their final doses.</summary>
    /// <param name="chosen">Lines with the candidates taken, in the order of the text.</param>
    /// <param name="days">Days of the week.</param>
    public ImmutableArray<LaidOutSession> Run(IEnumerable<HomeLine> chosen, ImmutableArray<GymDay> days)
    {
        var figures = new HomeEdits(request.Edits, at, request.Stands);
        var lines = chosen.Select(Guarded).Select(figures.Apply).Select(Calibrated).ToLookup(l => l.Gym.Day);
        var planner = new SessionPlanner(at.DomainRules, request.Client);
        return
        [
            .. days.Select(d =>
                Shown(
                    planner.Plan(
                        [.. lines[d.Index]],
                        request.ApproachOn(d.Name, at.DomainRules),
                        request.FitToMinutes,
                        request.Stands?.InTurn ?? []
                    )
                )
            ),
        ];
    }

    /// <summary>Before what a coach set himself: his word on a set counts, and the plan check says what it means.</summary>
    private HomeLine Guarded(HomeLine line) =>
        OfEach(line, home => Guarding.Guard(home, at.DomainRules.Catalogue.Get(home.ExerciseId), at.Kit));

    private HomeLine Calibrated(HomeLine line) =>
        OfEach(
            line,
            home =>
            {
                var exercise = at.DomainRules.Catalogue.Get(home.ExerciseId);
                return request.Edits.Any(e => e.FindAnew && e.IsOf(line.Gym.Key, home.ExerciseId))
                        ? Calibration.Again(home, exercise, request.Client, at.Kit).Home
                    : request.Calibrate && !HasSaidOpen(line.Gym.Key, home) ? Calibration.Open(home, exercise, request.Client, at.Kit).Home
                    : home;
            }
        );

    /// <summary>Whether its last set is open stands already, for it was trained or decided so.</summary>
    private bool HasSaidOpen(LineKey line, HomeExercise home) =>
        request.Edits.Concat(request.Stands?.Figures ?? []).Any(f => f.LastSetOpen is not null && f.IsOf(line, home.ExerciseId));

    /// <summary>What is shown of a final dose: its effect, the techniques that could be added.</summary>
    private LaidOutSession Shown(LaidOutSession session) =>
        session with
        {
            Lines =
            [
                .. session.Lines.Select(l =>
                    OfEach(l, h => h with { Effect = DoseEffect.Estimate(h, at.DomainRules.Fatigue), TechniquesThatFit = Fit(h) })
                ),
            ],
        };

    private ImmutableArray<string> Fit(HomeExercise home)
    {
        var exercise = at.DomainRules.Catalogue.Get(home.ExerciseId);
        var fit = at.DomainRules.Techniques.Where(t => t.Fits(exercise, request.Client) && at.Kit.Meets(t.Needs).Possible);
        return [.. fit.OrderBy(t => t.Order).Select(t => t.Id)];
    }

    private static HomeLine OfEach(HomeLine line, Func<HomeExercise, HomeExercise> change) =>
        line.Chosen is { } chosen ? line with { Chosen = chosen with { Exercises = [.. chosen.Exercises.Select(change)] } } : line;
}
