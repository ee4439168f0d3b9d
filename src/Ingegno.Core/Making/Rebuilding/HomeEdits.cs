using System.Collections.Immutable;
using Ingegno.Core.AtHome.Kit;
using Ingegno.Core.Ground.Quantities;
using Ingegno.Core.Ground.Reasons;
using Ingegno.Core.Knowledge.Catalogue;
using Ingegno.Core.Knowledge.TradeData;
using Ingegno.Core.Making.Matching;
using Ingegno.Core.Making.Prescribing;
using Ingegno.Core.Trainee.Strength;
using Ingegno.Core.Written.Plans;
using Ingegno.Core.Written.Programs;

namespace Ingegno.Core.Making.Rebuilding;

/// <summary>Applies the coach's figures to the lines they belong to; what is expected follows the figures.</summary>
public sealed class HomeEdits(ImmutableArray<HomeEdit> edits, ClientAtPlace at)
{
    /// <summary>The line with every edit of its exercises applied.</summary>
    public HomeLine Apply(HomeLine line)
    {
        ArgumentNullException.ThrowIfNull(line);
        if (line.Chosen is not { } chosen)
        {
            return line;
        }

        var exercises = chosen
            .Exercises.Select(e =>
                edits.LastOrDefault(x => x.Line == line.Gym.Key && x.ExerciseId == e.ExerciseId) is { } edit ? Apply(e, edit, line.Gym) : e
            )
            .ToImmutableArray();
        return line with { Chosen = chosen with { Exercises = exercises } };
    }

    /// <summary>The exercise of a gym line with the figures of an edit; what is expected follows them.</summary>
    public HomeExercise Apply(HomeExercise home, HomeEdit edit, GymLine gym)
    {
        ArgumentNullException.ThrowIfNull(home);
        ArgumentNullException.ThrowIfNull(edit);
        ArgumentNullException.ThrowIfNull(gym);
        var changed = home;
        if (edit.ExternalKg is { } kg)
        {
            changed = Load(changed, kg);
        }

        if (edit.Techniques is { } techniques)
        {
            changed = With(changed, techniques, gym);
        }

        if (edit.Tempo is { } tempo && tempo != changed.Dose.Tempo)
        {
            var share = at.Trade.TempoCost.Of(tempo) / at.Trade.TempoCost.Of(changed.Dose.Tempo);
            changed = changed.WithReps(changed.Expected?.Times(share)) with { Dose = changed.Dose with { Tempo = tempo } };
        }

        var dose = changed.Dose with
        {
            Sets = edit.Sets ?? changed.Dose.Sets,
            Target = edit.Target ?? changed.Dose.Target,
            Zone = edit.Zone ?? (edit.Target is null ? changed.Dose.Zone : null), // other reps typed are a zone of their own
            SetsBefore = edit.SetsBefore,
            DecidedAfter = edit.DecidedAfter,
            BlockWeek = edit.BlockWeek,
            RestSeconds = edit.RestSeconds ?? changed.Dose.RestSeconds,
            Rir = edit.Rir ?? changed.Dose.Rir,
            Reason = Reason.Of("dose.by-coach"),
        };
        return changed with { Dose = SetSchemeChoice.SaidAnew(dose), EditedByCoach = true };
    }

    /// <summary>The exercise with these techniques in place of those it has; straight sets when none is named.</summary>
    private HomeExercise With(HomeExercise home, ImmutableArray<string> ids, GymLine gym)
    {
        var exercise = at.Trade.Catalogue.Get(home.ExerciseId);
        var taken = at.Trade.Techniques.Where(t => ids.Contains(t.Id)).ToImmutableArray();
        var before = TechniqueChoice.RepsLeft(at.Trade.Techniques.Where(t => home.Dose.Techniques.Contains(t.Id)));
        var reps = home.Expected?.Times(TechniqueChoice.RepsLeft(taken) / before);
        var plain = exercise.Tempo ?? gym.Tempo ?? Tempo.Usual;
        var inRep = taken.Where(t => t.Scheme is null).ToList();
        var dose = home.Dose with
        {
            Sets = home.Dose.Scheme == SetScheme.RestPause ? gym.Sets : home.Dose.Sets,
            Scheme = null,
            Techniques = [.. inRep.Select(t => t.Id)],
            Tempo = inRep.Aggregate(plain, (t, technique) => technique.ApplyTo(t, exercise.PausedAt)),
            Instructions = Manner.Told(inRep),
        };
        if (home.Dose.Scheme == SetScheme.RestPause)
        {
            dose = dose with { Target = gym.Target };
        }

        var scheme = taken.FirstOrDefault(t => t.Scheme is not null);
        return home.WithReps(reps) with { Dose = scheme is null ? dose : SetSchemeChoice.Apply(dose, scheme, reps?.Mid, null) };
    }

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

        return home.WithReps(Reps(home, way.System.Kg)) with
        {
            ExternalKg = Math.Round(way.Load.MassKg, 2),
            SystemLoadKg = home.SystemLoadKg is null ? null : Math.Round(way.System.Kg, 1),
            Resistance = home.SystemLoadKg is null ? null : way.System.Range,
            Setup = SetupText.Fill(way.Setup.Text, way.Bindings, way.Load.InWords),
            DrawnWith = FigureSetting.Of(way.Bindings, way.Load, at.Kit),
            Bag = way.Load.Bag,
            Bands = way.Load.Rigged,
            Checks = way.Checks,
            UsesItems = [.. way.Bindings.Select(b => b.Thing.Id).Concat(way.Load.ItemIds).Distinct().Order(StringComparer.Ordinal)],
        };
    }

    /// <summary>Expected reps at another system load, with the same techniques.</summary>
    private RepRange? Reps(HomeExercise home, double systemKg)
    {
        var exercise = at.Trade.Catalogue.Get(home.ExerciseId);
        if (home.Expected is not { } now || home.SystemLoadKg is not { } before || at.Strength.For(exercise) is not { } estimate)
        {
            return home.Expected;
        }

        var straight = ClientStrength.RepsAt(estimate, before, exercise.Strength!.Curve).Mid;
        var share = straight > 0 ? Math.Min(1, now.Mid / straight) : 1;
        return ClientStrength.RepsAt(estimate, systemKg, exercise.Strength.Curve).Times(share);
    }
}
