using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>Figures past which a line is a typing error and not a plan (<see cref="ShorthandLimits"/>).</summary>
internal static class OutOfRange
{
    public static readonly Reason Sets = Reason.Of("shorthand.out-of-range-sets");

    public static readonly Reason Reps = Reason.Of("shorthand.out-of-range-reps");

    public static readonly Reason Seconds = Reason.Of("shorthand.out-of-range-seconds");

    public static readonly Reason Share = Reason.Of("shorthand.out-of-range-share");

    public static readonly Reason Rpe = Reason.Of("shorthand.out-of-range-rpe");

    public static readonly Reason Rir = Reason.Of("shorthand.out-of-range-rir");

    public static readonly Reason Load = Reason.Of("shorthand.out-of-range-load");

    public static readonly Reason Rest = Reason.Of("shorthand.out-of-range-rest");
}
