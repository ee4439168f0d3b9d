using System.Collections.Immutable;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Progress.Progression;

/// <summary>Writes proposals about one exercise: what it is now, what was logged, and the words of a decision.</summary>
internal sealed class ProposalWriter
{
    /// <summary>A rest changes in steps of half a minute.</summary>
    public const int RestStep = 30;

    /// <summary>From this lowering on a tempo is slow, s (docs/domain/prescription).</summary>
    public const int SlowStep = 3;

    private readonly LineKey _line;
    private readonly double _usedKg;

    public ProposalWriter(LineKey line, ProgressionContext context, ImmutableArray<LoggedSet> sets)
    {
        (_line, Context, Sets) = (line, context, sets);
        Dose = context.Home.Dose with { Zone = context.Home.Dose.Zone ?? context.Home.Dose.Target };
        _usedKg = sets.IsDefaultOrEmpty ? context.Home.ExternalKg : sets.Select(s => s.LoadKg ?? context.Home.ExternalKg).Max();
    }

    public ProgressionContext Context { get; }

    /// <summary>Sets of the last session; empty when none were logged.</summary>
    public ImmutableArray<LoggedSet> Sets { get; }

    /// <summary>Reps in reserve were noted of at least one set.</summary>
    public bool EffortNoted => Sets.Any(s => s.Rir is not null);

    /// <summary>The dose as it is, with its zone.</summary>
    public Dose Dose { get; }

    /// <summary>Its scheme aims at a single figure, and takes no set more.</summary>
    public bool IsOneFigure => Dose.Scheme is { OneFigure: true };

    /// <summary>Its rest belongs to its scheme and is no step.</summary>
    public bool OwnsItsRest => Dose.Scheme is { OwnsItsRest: true };

    /// <summary>
    /// Reps beyond which this line's sets train something else: thirty, and less where few were meant, for twenty reps are no answer
    /// to a set of five (<see cref="PastZoneRules"/>).
    /// </summary>
    public int MostReps => Math.Min(MostUseful, Dose.Scheme?.MostReps(SetSchemeChoice.SecondsPerRep(Dose)) ?? MostUseful);

    private int MostUseful =>
        Dose is { Timed: false, Zone: { IsOpen: false } zone }
            ? Math.Min(
                DosePrescriber.MostUsefulReps,
                Math.Max(Context.Rules.PastZone.AtLeast, (int)(zone.Max * Context.Rules.PastZone.TimesZone))
            )
            : DosePrescriber.MostUsefulReps;

    /// <summary>
    /// A range that can be aimed at (docs/domain/prescription): what a coach wrote stands, and the part of it that is left; what the
    /// progression makes beyond it gets no wider than a new plan's.
    /// </summary>
    public SetTarget Aimed(SetTarget made)
    {
        ArgumentNullException.ThrowIfNull(made);
        var zone = Dose.Zone!;
        return Dose.Timed || made.IsOpen || (made.Min >= zone.Min && made.Max <= zone.Max)
            ? made
            : KeptTarget.NarrowUp(made, (Context.Costs ?? DomainRules.Shipped).Dose.Kept);
    }

    /// <summary>The tempo as it is.</summary>
    public Tempo Tempo => Dose.Tempo;

    /// <summary>The load that was used, with its system load in kg.</summary>
    public (ReachableLoad Load, double SystemKg) Here
    {
        get
        {
            var nearest = Context.Loads.IsEmpty ? default : Context.Loads.MinBy(l => Math.Abs(l.Load.MassKg - _usedKg));
            return nearest.Load is not null && SameLoad.IsSame(nearest.Load.MassKg, _usedKg)
                ? nearest
                : (
                    new ReachableLoad(_usedKg, _usedKg > 0 ? $"{Words.Number(_usedKg)} kg" : string.Empty, []),
                    Context.Home.SystemLoadKg ?? _usedKg
                );
        }
    }

    /// <summary>So many reps, or seconds of a hold, in words.</summary>
    public Reason Count(int reps) =>
        Dose.Timed ? Reason.Of("count.seconds", ("hold", Quantity.Seconds(reps))) : Reason.Of("count.reps", ("reps", reps));

    /// <summary>Share of straight-set reps that is left in the manner of the dose.</summary>
    public double Left() => Context.ShareLeft(Dose);

    /// <summary>Reps of a set in another manner, of which so many were there in this one; the same are left over.</summary>
    public double RepsIn(Dose other, double reps) => ((reps + Dose.Rir) * Context.ShareLeft(other) / Left()) - Dose.Rir;

    /// <summary>Steps of a slow lowering that may be taken here, slowest first.</summary>
    public IEnumerable<Technique> SlowLowerings =>
        Context
            .Techniques.Where(t => t is { Of: TechniqueName.SlowEccentric, Order: <= TechniqueChoice.LastUsualOrder })
            .OrderByDescending(t => t.Eccentric);

    /// <summary>Tempo without any technique.</summary>
    public Tempo Plain => Context.Exercise.Tempo ?? Tempo.Usual;

    /// <summary>The dose with a step beside those it has.</summary>
    public Dose With(Technique step) => With(Dose, step);

    /// <summary>A dose with a step beside those it has.</summary>
    public Dose With(Dose dose, Technique step) => Manner.With(dose, step, Context.Exercise, All);

    /// <summary>The dose with this step alone.</summary>
    public Dose Only(Technique step) => Manner.Only(Dose, [step], Plain, Context.Exercise, All);

    /// <summary>A dose without the steps of the rep that these are; its tempo is to be set.</summary>
    public Dose Without(Dose dose, Func<Technique, bool> which) =>
        Manner.Without(dose, All.Where(t => t.Scheme is null && !t.Explosive && which(t)));

    /// <summary>Steps of techniques that the dose has.</summary>
    public IEnumerable<Technique> Taken => All.Where(t => Dose.Techniques.Contains(t.Id));

    private ImmutableArray<Technique> All => (Context.Costs ?? DomainRules.Shipped).Techniques;

    public static Reason Name(ReachableLoad load) => load.MassKg <= 0 ? Reason.Of("load.none") : Reason.Text(load.InWords);

    /// <summary>The dose and the load as they are.</summary>
    public Proposal Keep(Decision decision, Reason reason, bool flag = false) => Make(decision, reason, Dose, Here.Load, flag);

    /// <summary>Another dose at the load that was used.</summary>
    public Proposal Make(Decision decision, Reason reason, Dose dose, bool flag = false) => Make(decision, reason, dose, Here.Load, flag);

    public Proposal Make(Decision decision, Reason reason, Dose dose, ReachableLoad load, bool flag = false) =>
        new(
            _line,
            Context.Home.ExerciseId,
            Context.Home.Name,
            decision,
            reason,
            SetSchemeChoice.Settled(dose, typedRest: null),
            Math.Round(load.MassKg, 2),
            load.InWords,
            flag
        );
}
