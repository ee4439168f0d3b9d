using System.Collections.Immutable;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Rebuilding.Weeks;

/// <summary>
/// Applies what stands, and the coach's figures over it, to the lines they belong to; what is expected follows the figures.
/// </summary>
/// <param name="edits">Figures that a coach set or accepted.</param>
/// <param name="at">The client at the place.</param>
/// <param name="stands">What stands though nobody decided on it; null for nothing.</param>
public sealed class HomeEdits(ImmutableArray<HomeEdit> edits, ClientAtPlace at, StandingWeek? stands = null)
{
    /// <summary>The line with what stands of its exercises, and every edit of them over it.</summary>
    public HomeLine Apply(HomeLine line)
    {
        ArgumentNullException.ThrowIfNull(line);
        if (line.Chosen is not { } chosen)
        {
            return line;
        }

        var exercises = chosen.Exercises.Select(e => Edited(Standing(e, line.Gym), line.Gym)).ToImmutableArray();
        return line with { Chosen = chosen with { Exercises = exercises } };
    }

    private HomeExercise Edited(HomeExercise home, GymLine gym) =>
        edits.LastOrDefault(e => e.IsOf(gym.Key, home.ExerciseId)) is { } edit ? Apply(home, Fitting(home, edit), gym) : home;

    /// <summary>Reps that were typed for one exercise are no seconds of another.</summary>
    private HomeEdit Fitting(HomeExercise home, HomeEdit edit) =>
        edit.CarriedFrom is { } from
        && at.DomainRules.Catalogue.Find(from) is { } before
        && before.Measure != at.DomainRules.Catalogue.Get(home.ExerciseId).Measure
            ? edit with
            {
                Target = null,
            }
            : edit;

    private HomeExercise Standing(HomeExercise home, GymLine gym)
    {
        if (stands?.Figures.LastOrDefault(f => f.IsOf(gym.Key, home.ExerciseId)) is not { } stood || !CanBeDone(home, stood))
        {
            return home;
        }

        var held = Figures(home, stood, gym);
        return held with
        {
            Stands = !stands.MayGiveWay,
            Dose = held.Dose with
            {
                Reason = HomeEdit.From(gym.Key, home).AsksTheSameAs(HomeEdit.From(gym.Key, held))
                    ? home.Dose.Reason
                    : Reason.Of("dose.stands"),
            },
        };
    }

    /// <summary>The set-up and the load are still here; what hung on things that are gone is the engine's again.</summary>
    private bool CanBeDone(HomeExercise home, HomeEdit stood) =>
        stood.SetupId is not { } setup
        || at.Ways.Of(home with { SetupId = setup, Spots = stood.Spots ?? string.Empty })
            ?.Safe.Any(w => stood.ExternalKg is not { } kg || SameLoad.IsSame(w.Load.MassKg, kg)) == true;

    /// <summary>The exercise of a gym line with the figures of an edit; what is expected follows them.</summary>
    public HomeExercise Apply(HomeExercise home, HomeEdit edit, GymLine gym)
    {
        ArgumentNullException.ThrowIfNull(home);
        ArgumentNullException.ThrowIfNull(edit);
        ArgumentNullException.ThrowIfNull(gym);
        var changed = Figures(home, edit, gym);
        return changed with { Dose = changed.Dose with { Reason = Reason.Of("dose.by-coach") }, EditedByCoach = true, Stands = false };
    }

    private HomeExercise Figures(HomeExercise home, HomeEdit edit, GymLine gym)
    {
        var changed = edit.SetupId is { } setup && (setup != home.SetupId || edit.Spots != home.Spots) ? SetUp(home, setup, edit) : home;
        if (edit.ExternalKg is { } kg)
        {
            changed = Load(changed, kg);
        }

        if (edit.Techniques is { } techniques && !techniques.SequenceEqual(changed.Dose.Techniques))
        {
            changed = With(changed, techniques, gym);
        }

        if (edit.Tempo is { } tempo && tempo != changed.Dose.Tempo)
        {
            var share = at.DomainRules.TempoCost.Of(tempo) / at.DomainRules.TempoCost.Of(changed.Dose.Tempo);
            changed = changed.WithReps(changed.Expected?.Times(share)) with { Dose = changed.Dose with { Tempo = tempo } };
        }

        var dose = changed.Dose with
        {
            Sets = edit.Sets ?? changed.Dose.Sets,
            Target = edit.Target ?? changed.Dose.Target,
            Zone = edit.Zone ?? (edit.Target is null ? changed.Dose.Zone : null), // other reps typed are a zone of their own
            SetsBefore = edit.SetsBefore ?? changed.Dose.SetsBefore,
            DecidedAfter = edit.DecidedAfter ?? changed.Dose.DecidedAfter,
            CountsAfter = edit.CountsAfter ?? changed.Dose.CountsAfter,
            BlockWeek = edit.BlockWeek ?? changed.Dose.BlockWeek,
            LastSetOpen = edit.LastSetOpen ?? changed.Dose.LastSetOpen,
            Calibrates = edit.Calibrates ?? changed.Dose.Calibrates,
            RestSeconds = edit.RestSeconds ?? changed.Dose.RestSeconds,
            Rir = edit.Rir ?? changed.Dose.Rir,
        };
        return changed with { Dose = SetSchemeChoice.SaidAnew(SetSchemeChoice.Settled(dose, edit.RestSeconds)) };
    }

    /// <summary>The exercise in another set-up, or on other things; as it is where that cannot be done here any more.</summary>
    private HomeExercise SetUp(HomeExercise home, string setup, HomeEdit edit) =>
        at.Ways.Of(home with { SetupId = setup, Spots = edit.Spots ?? string.Empty }) is { } here
        && here.Safe.MinBy(w => Math.Abs(w.Load.MassKg - (edit.ExternalKg ?? home.ExternalKg))) is { } way
            ? Moved(home, way)
            : home;

    /// <summary>The exercise with these techniques in place of those it has; straight sets when none is named.</summary>
    private HomeExercise With(HomeExercise home, ImmutableArray<string> ids, GymLine gym)
    {
        var exercise = at.DomainRules.Catalogue.Get(home.ExerciseId);
        var taken = at.DomainRules.Techniques.Where(t => ids.Contains(t.Id)).ToImmutableArray();
        var before = TechniqueChoice.RepsLeft(at.DomainRules.Techniques.Where(t => home.Dose.Techniques.Contains(t.Id)));
        var reps = home.Expected?.Times(TechniqueChoice.RepsLeft(taken) / before);
        var plain = exercise.Tempo ?? gym.Tempo ?? Tempo.Usual;
        var inRep = taken.Where(t => t.Scheme is null).ToList();
        var dose = home.Dose with
        {
            Sets = home.Dose.Scheme is { StandsForSets: > 1 } ? gym.Sets : home.Dose.Sets,
            RestSeconds = home.Dose.Scheme is { OwnsItsRest: true } ? UsualRest(gym) : home.Dose.RestSeconds,
            Scheme = null,
            Techniques = [.. inRep.Select(t => t.Id)],
            Tempo = inRep.Aggregate(plain, (t, technique) => technique.ApplyTo(t, exercise.PausedAt)),
            Instructions = Manner.Told(inRep),
        };
        if (home.Dose.Scheme is { StandsForSets: > 1 })
        {
            dose = dose with { Target = gym.Target };
        }

        var scheme = taken.FirstOrDefault(t => t.Scheme is not null);
        return home.WithReps(reps) with
        {
            Dose = scheme is null
                ? dose
                : SetSchemeChoice.Apply(dose, scheme, SchemeFits.Of(dose, gym, exercise, reps?.Mid), FiguresOf(scheme, gym)),
        };
    }

    /// <summary>The figures that the gym line has for a scheme; null where it runs otherwise.</summary>
    private static string? FiguresOf(Technique technique, GymLine gym) =>
        SetSchemeChoice.TakesUp(technique.Scheme, gym.Method) ? gym.MethodFigures : null;

    private int UsualRest(GymLine gym) => gym.RestSeconds ?? LineRest.Usual(gym, at.Client.Goal, at.DomainRules.Dose);

    private HomeExercise Load(HomeExercise home, double kg)
    {
        if (at.Ways.Of(home)?.Safe.MinBy(w => Math.Abs(w.Load.MassKg - kg)) is not { } way)
        {
            return home;
        }

        if (Math.Round(way.Load.MassKg, 2) == home.ExternalKg)
        {
            return home; // the load that it has: nothing is reckoned anew from rounded figures
        }

        return Moved(home, way);
    }

    private HomeExercise Moved(HomeExercise home, Way way) =>
        Rigging.On(
            home.WithReps(Reps(home, way.System.Kg)),
            at.DomainRules.Catalogue.Get(home.ExerciseId),
            way,
            home.SystemLoadKg is null ? null : way.System,
            at
        );

    /// <summary>Expected reps at another system load, with the same techniques.</summary>
    private RepRange? Reps(HomeExercise home, double systemKg)
    {
        var exercise = at.DomainRules.Catalogue.Get(home.ExerciseId);
        if (home.Expected is not { } now || home.SystemLoadKg is not { } before || at.Strength.For(exercise) is not { } estimate)
        {
            return home.Expected;
        }

        var straight = ClientStrength.RepsAt(estimate, before, exercise.Strength!.Curve).Mid;
        var share = straight > 0 ? Math.Min(1, now.Mid / straight) : 1;
        return ClientStrength.RepsAt(estimate, systemKg, exercise.Strength.Curve).Times(share);
    }
}
