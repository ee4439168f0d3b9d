using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Equipment.Loading.Objects;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Programs.HomePlans;

namespace Ingegno.Core.Rebuilding.Candidates;

/// <summary>What a way to do an exercise makes of it on paper: set-up and load in words, figure, checks, steps and cautions.</summary>
internal static class Rigging
{
    /// <summary>The exercise in a set-up with a load; its dose and what is expected stay as they are.</summary>
    /// <param name="home">The exercise.</param>
    /// <param name="exercise">Its catalogue entry.</param>
    /// <param name="way">The way to do it.</param>
    /// <param name="system">What the limbs move; null where load is not the measure.</param>
    /// <param name="at">The client at the place.</param>
    public static HomeExercise On(HomeExercise home, Exercise exercise, Way way, SystemLoad? system, ClientAtPlace at)
    {
        var load = way.Load.InWords;
        return home with
        {
            SetupId = way.Setup.Id,
            Spots = way.Spots,
            DrawnWith = FigureSetting.Describe(way.Bindings, way.Load, at.Kit),
            Setup = SetupText.Fill(way.Setup.Text, way.Bindings, load),
            ExternalKg = Math.Round(way.Load.MassKg, 2),
            SystemLoadKg = system is null ? null : Math.Round(system.Kg, 1),
            Resistance = system is { Range: var range }
                ? new ResistanceRange(Math.Round(range.Start, 1), Math.Round(range.Middle, 1), Math.Round(range.End, 1))
                : null,
            LoadEstimated = system is { Estimated: true },
            LoadBasis = system?.Basis,
            Checks = way.Checks,
            Bag = way.Load.Bag,
            Bands = way.Load.Rigged,
            Steps = [.. way.Setup.Steps.Select(s => SetupText.Fill(s, way.Bindings, load))],
            Cautions =
            [
                .. exercise.Cautions.Concat(way.Setup.Cautions).Select(Reason.Text),
                .. CandidateFilter.Cautions(exercise, at.Client),
                .. AtHomeCautions.Find(exercise, way, at.Client),
                .. LoadCautions(way),
            ],
            UsesItems = [.. way.Bindings.Select(b => b.Thing.Id).Concat(way.Load.ItemIds).Distinct().Order(StringComparer.Ordinal)],
        };
    }

    /// <summary>What bands, objects and things that nobody tested yet add.</summary>
    private static IEnumerable<Reason> LoadCautions(Way way)
    {
        if (way.Load.Warning is { } warning)
        {
            yield return warning;
        }

        foreach (var check in way.Checks.Where(c => c.Verdict == Verdict.Care))
        {
            yield return Reason.Of("caution.object", ("thing", check.Thing), ("sum", check.Sum), ("advice", check.Advice));
        }

        var untested = way
            .Bindings.Select(b => b.Thing)
            .Where(t => t.Kind.FirstUse.Except(t.Item.Tested).Any())
            .Select(t => t.InWords)
            .Distinct()
            .ToList();
        if (untested.Count > 0 && way.Setup.Checks.Any(BearsTheBody))
        {
            yield return Reason.Of("caution.untested", ("things", FactList.Of(untested)));
        }
    }

    /// <summary>A hand or a foot on it is tried by every rep; what carries all of somebody is tried before.</summary>
    private static bool BearsTheBody(SetupCheck check) =>
        check.Kind != CheckKind.HeightFits && !(check.Kind == CheckKind.Bears && check.Body is not >= 1);
}
