using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;

namespace Ingegno.Core.Progress.Progression;

/// <summary>Less work at the same load, so that fatigue goes and strength shows.</summary>
public static class LighterWeek
{
    /// <summary>Half the sets, rounded up, at the same load and reps (docs/domain/progression).</summary>
    public static Dose Half(Dose dose)
    {
        ArgumentNullException.ThrowIfNull(dose);
        var full = dose.SetsBefore ?? dose.Sets;
        return dose with { Sets = Math.Max(1, (int)Math.Ceiling(full / 2.0)), SetsBefore = full, LastSetOpen = false };
    }

    /// <summary>
    /// A week before an event: a share of the sets, rounded down, at the same load, and reps given up for what must stay in reserve.
    /// </summary>
    public static Dose Lighten(Dose dose, TaperWeek taper)
    {
        ArgumentNullException.ThrowIfNull(dose);
        ArgumentNullException.ThrowIfNull(taper);
        var full = dose.SetsBefore ?? dose.Sets;
        var spared = Math.Max(0, taper.Rir - dose.Rir);
        return dose with
        {
            Sets = Math.Max(1, (int)Math.Floor(full * taper.Sets)),
            SetsBefore = full,
            LastSetOpen = false,
            Rir = dose.Rir + spared,
            Target =
                dose.Target.IsOpen || dose.Timed
                    ? dose.Target
                    : new SetTarget(Math.Max(1, dose.Target.Min - spared), Math.Max(1, dose.Target.Max - spared)),
        };
    }

    /// <summary>The dose as it was before sets were taken away.</summary>
    public static Dose Full(Dose dose)
    {
        ArgumentNullException.ThrowIfNull(dose);
        return dose.SetsBefore is { } full ? dose with { Sets = full, SetsBefore = null } : dose;
    }
}
