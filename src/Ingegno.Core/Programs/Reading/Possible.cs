using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>A figure that cannot be a plan; ends the reading of its row and of no other.</summary>
internal sealed class UnreadableRowException(string code, Reason message) : Exception(code)
{
    public string Code { get; } = code;

    public Reason Said { get; } = message;
}

/// <summary>What a plan can be; whatever is beyond ends the reading of its row.</summary>
/// <exception cref="UnreadableRowException">Of each: the figure is beyond what a plan can be.</exception>
internal static class Possible
{
    /// <summary>A load above 0 that can be lifted at all.</summary>
    public static PlannedLoad? Load(PlannedLoad? load)
    {
        if (load is not null && (load.Kg <= 0 || (load.ToKg ?? load.Kg) * load.Pieces > ShorthandLimits.LoadKg))
        {
            throw Beyond(OutOfRange.Load);
        }

        return load;
    }

    /// <summary>Percent as a share.</summary>
    public static double Share(double percent) =>
        percent is >= 5 and <= 110 ? Math.Round(percent / 100, 4) : throw Beyond(OutOfRange.Share);

    /// <summary>1 to 10, in halves.</summary>
    public static double Rpe(double rpe) => rpe is >= 1 and <= 10 && rpe * 2 % 1 == 0 ? rpe : throw Beyond(OutOfRange.Rpe);

    /// <summary>0 to 10, whole.</summary>
    public static int Rir(double rir) => rir is >= 0 and <= 10 && rir % 1 == 0 ? (int)rir : throw Beyond(OutOfRange.Rir);

    /// <summary>A whole figure within its range.</summary>
    public static int Figure(double value, double lowest, double highest, Reason what) =>
        value >= lowest && value <= highest ? (int)Math.Round(value) : throw Beyond(what);

    private static UnreadableRowException Beyond(Reason what) => new("shorthand.out-of-range", what);
}
