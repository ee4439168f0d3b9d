using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Rebuilding.Dosing;

/// <summary>What an approach makes of a gym line before anything is chosen for it.</summary>
public static class ApproachIntent
{
    /// <summary>What a gym line asks for under an approach. Timed and open sets keep their target.</summary>
    /// <param name="approach">The school.</param>
    /// <param name="line">The gym line.</param>
    /// <param name="role">What it is for.</param>
    /// <param name="usualRest">Rest when the line names none, s.</param>
    public static GymLine Intent(this Approach approach, GymLine line, LineRole role, int usualRest)
    {
        ArgumentNullException.ThrowIfNull(approach);
        ArgumentNullException.ThrowIfNull(line);
        var heavy = role == LineRole.Main && line.IsHeavy;
        var ofPhase =
            approach.Phase is { Reps: { } wanted } phase && (phase.RepsFor.IsDefaultOrEmpty || phase.RepsFor.Contains(role))
                ? wanted
                : null;
        var zone = ofPhase ?? (heavy && approach.KeepsHeavy ? null : approach.Reps);
        var reps = line.Timed || line.Target.IsOpen ? null : zone;
        var sets =
            (approach.Phase?.Sets ?? approach.Sets) is { } bounds && (approach.SetsFor.IsEmpty || approach.SetsFor.Contains(role))
                ? bounds.Clamp(line.Sets)
                : line.Sets;
        var rir = approach.Phase?.Rir ?? approach.Rir;
        var half = approach.HalvedPerSide && line.PerSide ? 2 : 1;
        return line with
        {
            Target = reps is null ? line.Target : new SetTarget(Math.Max(1, reps.Min / half), Math.Max(1, reps.Max / half)),
            ShareOfMax = reps is null ? line.ShareOfMax : null,
            ShareOfMaxTo = reps is null ? line.ShareOfMaxTo : null,
            Each = reps is null && rir is null && sets == line.Sets ? line.Each : [],
            RepMax = reps is null && rir is null ? line.RepMax : null,
            Rpe = rir is null ? line.Rpe : null,
            RpeTo = rir is null ? line.RpeTo : null,
            RirTo = rir is null ? line.RirTo : null,
            Sets = sets,
            LastSetOpen = line.LastSetOpen && sets > 1,
            RestSeconds = approach.Rest is null ? line.RestSeconds : approach.Rest.Clamp(line.RestSeconds ?? usualRest),
            Rir = rir ?? line.Rir,
        };
    }
}
