using System.Collections.Immutable;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Knowledge.SetSchemes;

/// <summary>
/// Rest-pause: one set near failure of n reps, then rests of 20 s and mini-sets until n more are done (docs/domain/prescription,
/// common practice: with 20 in the first set it ends when 20 more are done).
/// </summary>
public sealed record RestPause : SetScheme
{
    /// <summary>Code of what is said of the small sets.</summary>
    public const string SmallSetsCode = "instruction.rest-pause";

    /// <summary>Rest before each mini-set, s.</summary>
    public const int RestSeconds = 20;

    /// <summary>Fewest reps to failure with which a long set makes sense.</summary>
    private const int LongSet = 12;

    /// <summary>Longest first part: 25 reps at the usual tempo are 75 s under tension.</summary>
    private const int LongestFirst = 25;

    /// <summary>Compound sets of so many reps and fewer are too heavy for it (docs/domain/prescription).</summary>
    private const int HeavyCompound = 8;

    /// <summary>Share of the first part that several straight sets with full rests hold (own estimate).</summary>
    private const double OfFirst = 0.8;

    // What comes back in 20 s, and how much less each time: own estimate.
    private const double Recovered = 0.35;
    private const double LessEachTime = 0.9;

    public override string Key => "rest-pause";

    public override ImmutableArray<SetMethod> TakesUp => [SetMethod.RestPause, SetMethod.MyoReps];

    public override int StandsForSets => 3;

    public override bool OneFigure => true;

    public override string ToldAs => SmallSetsCode;

    public override Reason Because => Reason.Of("dose.rest-pause", ("sets", StandsForSets));

    public override string InTable => "rest-pause";

    public override bool Suits(SchemeFit at)
    {
        ArgumentNullException.ThrowIfNull(at);
        return at.Reps >= LongSet && !(at.Compound && at.Planned.Max <= HeavyCompound);
    }

    public override SchemeFigures Run(SchemeFigures straight, SchemeFit at)
    {
        ArgumentNullException.ThrowIfNull(straight);
        ArgumentNullException.ThrowIfNull(at);
        var first = Math.Clamp((int)Math.Floor(at.Reps ?? straight.Target.Max) - 1, 1, LongestFirst);
        return straight with { Sets = 1, Target = new SetTarget(first, first), Rir = Math.Min(straight.Rir, 1) };
    }

    public override SetTarget Straightened(SetTarget target)
    {
        ArgumentNullException.ThrowIfNull(target);
        return new SetTarget(Math.Max(1, (int)Math.Round(target.Max * OfFirst)), target.Max);
    }

    public override Reason Told(string how, SetTarget target, string? goesOnWith)
    {
        ArgumentNullException.ThrowIfNull(target);
        return Reason.Of(
            "instruction.rest-pause",
            ("how", how),
            ("first", target.Max),
            ("rest", Quantity.Seconds(RestSeconds)),
            ("small", FactList.Of(MiniSets(target.Max)))
        );
    }

    public override IEnumerable<SchemePart> Parts(SetTarget target, bool last)
    {
        ArgumentNullException.ThrowIfNull(target);
        return
        [
            new SchemePart(SetPartKind.Work, target, 0),
            .. target.IsOpen
                ? []
                : MiniSets(target.Max).Select(reps => new SchemePart(SetPartKind.Small, new SetTarget(reps, reps), RestSeconds)),
        ];
    }

    /// <summary>As long again in small sets, and their rests.</summary>
    public override double SecondsBeside(int sets, SetTarget target, double setSeconds)
    {
        ArgumentNullException.ThrowIfNull(target);
        return target.IsOpen ? 0 : (sets * setSeconds) + (sets * RestSeconds * MiniSets(target.Max).Length);
    }

    public override string Behind(SetTarget target)
    {
        ArgumentNullException.ThrowIfNull(target);
        return $" + {target.Max} in small sets";
    }

    /// <summary>Reps of the mini-sets to be expected; they add up to <paramref name="first"/>.</summary>
    /// <param name="first">Reps of the first part, 1 and more.</param>
    public static ImmutableArray<int> MiniSets(int first)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(first);
        var sets = ImmutableArray.CreateBuilder<int>();
        for (var left = first; left > 0; )
        {
            var next = Math.Clamp((int)Math.Round(first * Recovered * Math.Pow(LessEachTime, sets.Count)), 1, left);
            sets.Add(next);
            left -= next;
        }

        return sets.ToImmutable();
    }
}
