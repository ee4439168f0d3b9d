using System.Collections.Immutable;
using Ingegno.Core.Catalogue;
using Ingegno.Core.Kit;
using Ingegno.Core.Matching;
using Ingegno.Core.Prescribing;
using Ingegno.Core.Programs;
using Ingegno.Core.Strength;

namespace Ingegno.Core.Rebuilding;

/// <summary>Applies the coach's figures to the lines they belong to; what is expected follows the figures.</summary>
public sealed class HomeEdits(ImmutableArray<HomeEdit> edits, Trade trade, KitAtPlace kit, ResistanceMatch resistance, ClientStrength strength)
{
    /// <summary>The line with every edit of its exercises applied.</summary>
    public HomeLine Apply(HomeLine line)
    {
        ArgumentNullException.ThrowIfNull(line);
        if (line.Chosen is not { } chosen)
        {
            return line;
        }

        var exercises = chosen.Exercises
            .Select(e => edits.LastOrDefault(x => x.Line == line.Gym.Line && x.ExerciseId == e.ExerciseId) is { } edit ? Apply(e, edit, line.Gym) : e)
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
            var share = Cost(tempo) / Cost(changed.Dose.Tempo);
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
            Reason = "Set by the coach.",
        };
        return changed with { Dose = dose, EditedByCoach = true };
    }

    private double Cost(string tempo) => Tempo.TryParse(tempo, out var read) ? trade.TempoCost.Of(read) : 1;

    /// <summary>The exercise with these techniques in place of those it has; straight sets when none is named.</summary>
    private HomeExercise With(HomeExercise home, ImmutableArray<string> ids, GymLine gym)
    {
        var exercise = trade.Catalogue.Get(home.ExerciseId);
        var taken = trade.Techniques.Where(t => ids.Contains(t.Id)).ToImmutableArray();
        var before = TechniqueChoice.RepsLeft(trade.Techniques.Where(t => home.Dose.Techniques.Contains(t.Id)));
        var reps = home.Expected?.Times(TechniqueChoice.RepsLeft(taken) / before);
        var plain = Tempo.TryParse(exercise.Tempo, out var own) ? own : gym.Tempo ?? Tempo.Usual;
        var inRep = taken.Where(t => t.Scheme is null).ToList();
        var dose = home.Dose with
        {
            Sets = home.Dose.Scheme == SetScheme.RestPause ? gym.Sets : home.Dose.Sets,
            Scheme = null,
            Techniques = [.. inRep.Select(t => t.Id)],
            Tempo = inRep.Aggregate(plain, (t, technique) => technique.ApplyTo(t, exercise.Profile)).ToString(),
            Instructions = [.. inRep.Select(t => t.How), .. inRep.Select(t => t.Caution).OfType<string>()],
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
        if (SetupLoads.Of(home, trade.Catalogue, kit, resistance) is not { Loads.IsEmpty: false } at)
        {
            return home;
        }

        var (load, system) = at.Loads.MinBy(l => Math.Abs(l.Load.MassKg - kg));
        if (Math.Round(load.MassKg, 2) == home.ExternalKg)
        {
            return home; // the load that it has: nothing is reckoned anew from rounded figures
        }

        var range = resistance.SystemLoad(at.Setup.Load, at.Bindings, load).Range;
        return home.WithReps(Reps(home, system)) with
        {
            ExternalKg = Math.Round(load.MassKg, 2),
            SystemLoadKg = home.SystemLoadKg is null ? null : Math.Round(system, 1),
            Resistance = home.SystemLoadKg is null ? null : range,
            Setup = SetupText.Fill(at.Setup.Text, at.Bindings, load.InWords),
            UsesItems = [.. at.Bindings.Select(b => b.Thing.Id).Concat(load.ItemIds).Distinct().Order(StringComparer.Ordinal)],
        };
    }

    /// <summary>Expected reps at another system load, with the same techniques.</summary>
    private RepRange? Reps(HomeExercise home, double systemKg)
    {
        var exercise = trade.Catalogue.Get(home.ExerciseId);
        if (home.Expected is not { } now || home.SystemLoadKg is not { } before || strength.For(exercise) is not { } estimate)
        {
            return home.Expected;
        }

        var straight = ClientStrength.RepsAt(estimate, before, exercise.Strength!.Curve).Mid;
        var share = straight > 0 ? Math.Min(1, now.Mid / straight) : 1;
        return ClientStrength.RepsAt(estimate, systemKg, exercise.Strength.Curve).Times(share);
    }
}
