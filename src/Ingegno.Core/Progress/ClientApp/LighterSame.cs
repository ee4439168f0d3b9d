using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Progress.ClientApp;

/// <summary>
/// The first answer to pain on the spot: the same exercise with at most half of its load, a set less and nothing slow; where there is no load to
/// take off, half the reps of a shorter way (common practice; handbook of the trade: at most half of what hurt).
/// </summary>
public static class LighterSame
{
    private const double Half = 0.5;

    /// <summary>The exercise lighter; never heavier, longer or with more sets than it is.</summary>
    /// <param name="home">The exercise as planned.</param>
    /// <param name="at">The client at the place.</param>
    public static HomeExercise Lighten(HomeExercise home, ClientAtPlace at)
    {
        ArgumentNullException.ThrowIfNull(home);
        ArgumentNullException.ThrowIfNull(at);
        var exercise = at.DomainRules.Catalogue.Get(home.ExerciseId);
        var lighter = home.ExternalKg <= 0 ? null : at.Ways.Lighter(home, Half * home.ExternalKg);
        var straight = StraightSets.InPlaceOf(home.Dose);
        var dose = straight with
        {
            Sets = Math.Max(1, home.Dose.Sets - 1),
            Target = lighter is null ? Halved(straight.Target) : straight.Target,
            LastSetOpen = false,
            Calibrates = false,
            Tempo = straight.Tempo with
            {
                Eccentric = Math.Min(straight.Tempo.Eccentric, Tempo.Usual.Eccentric),
                PauseStretched = 0,
                PauseShortened = 0,
            },
            Instructions = [Reason.Of(lighter is null ? "instruction.shorter-way" : "instruction.lighter")],
        };
        var same = home with { Dose = dose };
        return lighter is null ? same : Rigging.On(same, exercise, lighter, lighter.System, at);
    }

    private static SetTarget Halved(SetTarget target) =>
        target.IsOpen ? new SetTarget(1, 5) : new SetTarget(Math.Max(1, target.Min / 2), Math.Max(1, target.Max / 2));
}
