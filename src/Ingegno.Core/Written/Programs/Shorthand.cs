using System.Text;
using Ingegno.Core.Ground.Text;

namespace Ingegno.Core.Written.Programs;

/// <summary>Writes lines in the shorthand that <see cref="ShorthandParser"/> reads.</summary>
public static class Shorthand
{
    /// <summary>The line in shorthand; reading it back gives the same line.</summary>
    public static string Write(GymLine line)
    {
        ArgumentNullException.ThrowIfNull(line);
        var text = new StringBuilder();
        if (line.Label is not null)
        {
            text.Append(line.Label).Append(line.Label.Length == 1 ? ". " : " ");
        }

        text.Append(line.Name).Append(' ').Append(Dose(line));
        if (line.ShareOfMax is { } share)
        {
            text.Append(" @ ").Append(Words.Number(share * 100, 2)).Append('%');
        }

        if (line.Rpe is { } rpe)
        {
            text.Append(" @ RPE ").Append(Words.Number(rpe));
        }

        if (line.Rir is { } rir)
        {
            text.Append(" RIR ").Append(rir);
        }

        if (line.Load is { } load)
        {
            text.Append(" @ ").Append(LoadInWords(load));
        }

        if (line.Tempo is { } tempo)
        {
            text.Append(' ').Append(tempo);
        }

        if (line.RestSeconds is { } rest)
        {
            text.Append(' ').Append(rest).Append(" s");
        }

        if (line.Note is { Length: > 0 } note)
        {
            text.Append(" # ").Append(note);
        }

        return text.ToString();
    }

    /// <summary>Sets and reps alone, for instance <c>3x6 + AMRAP</c>.</summary>
    public static string Dose(GymLine line)
    {
        ArgumentNullException.ThrowIfNull(line);
        var sets = line.LastSetOpen ? line.Sets - 1 : line.Sets;
        return $"{sets}x{Target(line)}{(line.PerSide ? "/side" : string.Empty)}{(line.LastSetOpen ? " + AMRAP" : string.Empty)}";
    }

    /// <summary>The load as written: <c>2x10 kg</c>.</summary>
    public static string LoadInWords(PlannedLoad load)
    {
        ArgumentNullException.ThrowIfNull(load);
        return (load.Pieces > 1 ? load.Pieces + "x" : string.Empty) + Words.Number(load.Kg, 3) + " kg";
    }

    private static string Target(GymLine line) => line.Timed && !line.Target.IsOpen ? line.Target.Written + " s" : line.Target.Written;
}
