using System.Collections.Immutable;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Ladders;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.Progression;

/// <summary>A floor press with 20 kg: what was done of a dose, and what is proposed.</summary>
internal static class FloorPress
{
    public static Proposal Next(
        Dose dose,
        ImmutableArray<LoggedSet> sets,
        ImmutableArray<(ReachableLoad, double)>? loads = null,
        double? minutes = null,
        string? harder = null,
        DomainRules? cost = null,
        double setSeconds = double.PositiveInfinity,
        ImmutableArray<StepTo>? others = null
    ) =>
        DoubleProgression.Next(
            new LineKey(1),
            new ProgressionContext(
                new HomeExercise
                {
                    ExerciseId = "dumbbell-floor-press",
                    Name = "Floor press",
                    SetupId = "x",
                    Setup = "x",
                    ExternalKg = 20,
                    Dose = dose,
                },
                Examples.Exercise("dumbbell-floor-press"),
                loads ?? [Load(20)],
                harder is null ? null : Examples.Exercise(harder),
                null
            )
            {
                MinutesLeft = minutes,
                Costs = cost,
                Techniques = Examples.TechniquesFor("dumbbell-floor-press"),
                SetSeconds = setSeconds,
                Others = others ?? [],
            },
            sets
        );

    public static (ReachableLoad, double) Load(double kg) => (new ReachableLoad(kg, $"{kg} kg", [$"{kg}"]), kg);

    public static Dose Dose(int min, int max, int rest) =>
        new()
        {
            Sets = 3,
            Target = new SetTarget(min, max),
            Tempo = Tempo.Parse("2-0-1-0"),
            RestSeconds = rest,
            Rir = 2,
        };

    public static ImmutableArray<LoggedSet> Sets(int rir, params int[] reps) =>
        [.. reps.Select(r => new LoggedSet { Reps = r, Rir = rir })];
}
