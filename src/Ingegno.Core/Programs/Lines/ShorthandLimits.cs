namespace Ingegno.Core.Programs.Lines;

/// <summary>Limits past which a figure is a typing error and not a plan.</summary>
public static class ShorthandLimits
{
    /// <summary>Longest text, in characters.</summary>
    public const int TextLength = 64_000;

    /// <summary>Longest line, in characters.</summary>
    public const int LineLength = 400;

    /// <summary>Most lines.</summary>
    public const int Lines = 2_000;

    /// <summary>Most sets of a line.</summary>
    public const int Sets = 20;

    /// <summary>Most reps of a set.</summary>
    public const int Reps = 200;

    /// <summary>Longest timed set, in seconds.</summary>
    public const int HoldSeconds = 1_800;

    /// <summary>Longest distance of a set, in metres.</summary>
    public const int Metres = 2_000;

    /// <summary>Longest rest, in seconds.</summary>
    public const int RestSeconds = 900;

    /// <summary>Heaviest load, in kg.</summary>
    public const double LoadKg = 500;

    /// <summary>Most errors reported at once: more help nobody.</summary>
    public const int Errors = 50;
}
