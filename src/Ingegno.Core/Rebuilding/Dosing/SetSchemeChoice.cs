using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Rebuilding.Dosing;

/// <summary>What the choice of a set scheme looks at.</summary>
/// <param name="Line">What is asked for under the approach.</param>
/// <param name="Role">What the line is for.</param>
/// <param name="Home">The home exercise.</param>
/// <param name="Reps">Expected reps to failure; null when reps are not the measure.</param>
/// <param name="LighterLoad">A clearly lighter load in words that can be taken at once; null when there is none.</param>
/// <param name="EasierVersion">Name of an easier version that can be done here; null when there is none.</param>
public sealed record SetSchemeQuestion(
    GymLine Line,
    LineRole Role,
    Exercise Home,
    double? Reps,
    string? LighterLoad,
    string? EasierVersion
);

/// <summary>
/// How the sets run, where the approach prefers something other than straight sets: rest-pause for light work, a drop in
/// the last set. Main lifts, heavy sets and strength work keep straight sets.
/// </summary>
public static class SetSchemeChoice
{
    /// <summary>Fewest reps to failure with which a long rest-pause set makes sense.</summary>
    private const int LongSet = 12;

    /// <summary>Longest first part: 25 reps at the usual tempo are 75 s under tension.</summary>
    private const int LongestFirst = 25;

    /// <summary>Compound sets of so many reps and fewer are too heavy for rest-pause (docs/domain/prescription).</summary>
    private const int HeavyCompound = 8;

    /// <summary>The scheme, or null for straight sets.</summary>
    public static Technique? For(SetSchemeQuestion at, ClientProfile client, Approach approach, ImmutableArray<Technique> all)
    {
        ArgumentNullException.ThrowIfNull(at);
        ArgumentNullException.ThrowIfNull(client);
        ArgumentNullException.ThrowIfNull(approach);
        return
            at.Role == LineRole.Main
            || at.Role == LineRole.Activation
            || client.Goal == Goal.Strength
            || client.NeedsClearance
            || at.Line.Sets < 2
            || at.Line.Target.IsOpen
            ? null
            : all.Where(t =>
                    t.Scheme is not null
                    && (approach.Prefers.Contains(t.Of) || AskedBy(at.Line.Method).Contains(t.Scheme))
                    && t.Fits(at.Home, client)
                    && Suits(t.Scheme.Value, at)
                )
                .OrderBy(t => AskedBy(at.Line.Method).Contains(t.Scheme) ? 0 : 1)
                .ThenBy(t => approach.RankOf(t.Of))
                .FirstOrDefault();
    }

    /// <summary>Schemes that take up a method of the gym line.</summary>
    public static ImmutableArray<SetScheme?> AskedBy(SetMethod? method) =>
        method switch
        {
            SetMethod.DropSet => [SetScheme.Drop, SetScheme.MechanicalDrop],
            SetMethod.RestPause or SetMethod.MyoReps => [SetScheme.RestPause],
            _ => [],
        };

    private static bool Suits(SetScheme scheme, SetSchemeQuestion at) =>
        scheme switch
        {
            SetScheme.RestPause => at.Reps >= LongSet && !IsHeavyCompound(at),
            SetScheme.Drop => at.LighterLoad is not null,
            SetScheme.MechanicalDrop => at.EasierVersion is not null && at.Reps is not null,
            _ => false, // pre-exhaust is a matter of the whole day
        };

    private static bool IsHeavyCompound(SetSchemeQuestion at) =>
        at.Home.Structure == ExerciseStructure.Compound && at.Line.Target.Max <= HeavyCompound;

    /// <summary>The dose with its sets run that way.</summary>
    /// <param name="dose">Straight sets.</param>
    /// <param name="scheme">The scheme.</param>
    /// <param name="reps">Expected reps to failure; null when reps are not the measure.</param>
    /// <param name="goesOnWith">Lighter load or easier version for a drop.</param>
    public static Dose Apply(Dose dose, Technique scheme, double? reps, string? goesOnWith)
    {
        ArgumentNullException.ThrowIfNull(dose);
        ArgumentNullException.ThrowIfNull(scheme);
        var changed = dose with { Scheme = scheme.Scheme, LastSetOpen = false, Techniques = dose.Techniques.Add(scheme.Id) };
        if (scheme.Scheme == SetScheme.RestPause)
        {
            var first = Math.Clamp((int)Math.Floor(reps ?? dose.Target.Max) - 1, 1, LongestFirst);
            return changed with
            {
                Sets = 1,
                Target = new SetTarget(first, first),
                Zone = null,
                Rir = Math.Min(dose.Rir, 1),
                Instructions = changed.Instructions.Add(SmallSets(scheme.How, first)),
                Reason = dose.Reason.Then(Reason.Of("dose.rest-pause", ("sets", RestPause.StandsForSets))),
            };
        }

        return changed with
        {
            Instructions = changed.Instructions.Add(
                goesOnWith is null ? Reason.Text(scheme.How) : Reason.Of("instruction.goes-on", ("how", scheme.How), ("with", goesOnWith))
            ),
        };
    }

    /// <summary>The dose with its small sets said as its target has them: figures that were typed bring others with them.</summary>
    public static Dose SaidAnew(Dose dose)
    {
        ArgumentNullException.ThrowIfNull(dose);
        return dose.Scheme != SetScheme.RestPause || dose.Target.IsOpen
            ? dose
            : dose with
            {
                Instructions =
                [
                    .. dose.Instructions.Select(i =>
                        i.Code == RestPauseCode ? SmallSets(i["how"] as string ?? string.Empty, dose.Target.Max) : i
                    ),
                ],
            };
    }

    /// <summary>Code of what is said of the small sets of a rest-pause.</summary>
    public const string RestPauseCode = "instruction.rest-pause";

    private static Reason SmallSets(string how, int first) =>
        Reason.Of(
            RestPauseCode,
            ("how", how),
            ("first", first),
            ("rest", Quantity.Seconds(RestPause.RestSeconds)),
            ("small", FactList.Of(RestPause.MiniSets(first)))
        );
}
