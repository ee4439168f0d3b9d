using System.Collections.Immutable;
using Ingegno.Core.Catalogue;
using Ingegno.Core.Kit;
using Ingegno.Core.Matching;

namespace Ingegno.Core.Rebuilding;

/// <summary>Applies the coach's figures to the lines they belong to.</summary>
public sealed class HomeEdits(ImmutableArray<HomeEdit> edits, ExerciseCatalogue catalogue, KitAtPlace kit, ResistanceMatch resistance)
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
            .Select(e => edits.LastOrDefault(x => x.Line == line.Gym.Line && x.ExerciseId == e.ExerciseId) is { } edit ? Apply(e, edit) : e)
            .ToImmutableArray();
        return line with { Chosen = chosen with { Exercises = exercises } };
    }

    private HomeExercise Apply(HomeExercise home, HomeEdit edit)
    {
        var dose = home.Dose with
        {
            Sets = edit.Sets ?? home.Dose.Sets,
            Target = edit.Target ?? home.Dose.Target,
            Tempo = edit.Tempo ?? home.Dose.Tempo,
            RestSeconds = edit.RestSeconds ?? home.Dose.RestSeconds,
            Rir = edit.Rir ?? home.Dose.Rir,
            Reason = "Set by the coach.",
        };
        return edit.ExternalKg is { } kg ? Load(home, kg) with { Dose = dose } : home with { Dose = dose };
    }

    private HomeExercise Load(HomeExercise home, double kg)
    {
        if (SetupLoads.Of(home, catalogue, kit, resistance) is not { Loads.IsEmpty: false } at)
        {
            return home;
        }

        var (load, system) = at.Loads.MinBy(l => Math.Abs(l.Load.MassKg - kg));
        var range = resistance.SystemLoad(at.Setup.Load, at.Bindings, load).Range;
        return home with
        {
            ExternalKg = Math.Round(load.MassKg, 2),
            SystemLoadKg = home.SystemLoadKg is null ? null : Math.Round(system, 1),
            Resistance = home.SystemLoadKg is null ? null : range,
            Setup = SetupText.Fill(at.Setup.Text, at.Bindings, load.InWords),
            UsesItems = [.. at.Bindings.Select(b => b.Thing.Id).Concat(load.ItemIds).Distinct().Order(StringComparer.Ordinal)],
        };
    }
}
