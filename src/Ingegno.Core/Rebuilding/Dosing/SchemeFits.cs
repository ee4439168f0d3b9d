using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Rebuilding.Dosing;

/// <summary>Looks at straight sets as a scheme does.</summary>
public static class SchemeFits
{
    /// <summary>What a scheme looks at, without anything lighter to go on with.</summary>
    /// <param name="dose">The straight sets.</param>
    /// <param name="line">The gym line.</param>
    /// <param name="home">The home exercise.</param>
    /// <param name="reps">Expected reps to failure; null when reps are not the measure.</param>
    public static SchemeFit Of(Dose dose, GymLine line, Exercise home, double? reps)
    {
        ArgumentNullException.ThrowIfNull(dose);
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(home);
        var oneSided = home.Sides == Sides.Unilateral;
        return new SchemeFit(
            dose.Timed == line.Timed ? line.Target : dose.Target,
            reps,
            dose.Rir,
            home.Structure == ExerciseStructure.Compound,
            SetSchemeChoice.SecondsPerRep(dose with { PerSide = oneSided }),
            oneSided,
            LighterLoad: null,
            EasierVersion: null
        );
    }
}
