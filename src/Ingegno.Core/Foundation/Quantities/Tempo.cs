using System.Diagnostics.CodeAnalysis;
using System.Globalization;
using System.Text.Json.Serialization;

namespace Ingegno.Core.Foundation.Quantities;

/// <summary>
/// Tempo of a rep in seconds: eccentric – pause stretched – concentric – pause shortened. The order stays the same
/// for exercises that start with the concentric. An explosive concentric is written X and counts as one second.
/// </summary>
/// <param name="Eccentric">0–30 s.</param>
/// <param name="PauseStretched">0–30 s.</param>
/// <param name="Concentric">0–30 s; 0 when <paramref name="Explosive"/>.</param>
/// <param name="PauseShortened">0–30 s.</param>
/// <param name="Explosive">The concentric is done as fast as possible.</param>
[JsonConverter(typeof(TempoConverter))]
public readonly record struct Tempo(int Eccentric, int PauseStretched, int Concentric, int PauseShortened, bool Explosive = false)
{
    /// <summary>Longest phase that makes sense, in seconds.</summary>
    public const int LongestPhase = 30;

    /// <summary>Tempo assumed where none is given.</summary>
    public static Tempo Usual { get; } = new(2, 0, 1, 0);

    /// <summary>Seconds of one rep.</summary>
    public int SecondsPerRep => Eccentric + PauseStretched + (Explosive ? 1 : Concentric) + PauseShortened;

    /// <summary>Reads <c>3-1-X-0</c>.</summary>
    public static bool TryParse([NotNullWhen(true)] string? text, out Tempo tempo)
    {
        tempo = default;
        var parts = text?.Split('-');
        if (parts is not { Length: 4 })
        {
            return false;
        }

        var explosive = parts[2] is "X" or "x";
        Span<int> phases = stackalloc int[4];
        for (var i = 0; i < 4; i++)
        {
            if (i == 2 && explosive)
            {
                continue;
            }

            if (!int.TryParse(parts[i], NumberStyles.None, CultureInfo.InvariantCulture, out phases[i]) || phases[i] > LongestPhase)
            {
                return false;
            }
        }

        tempo = new Tempo(phases[0], phases[1], phases[2], phases[3], explosive);
        return true;
    }

    /// <summary>Reads <c>3-1-X-0</c>.</summary>
    /// <exception cref="FormatException">It is no tempo.</exception>
    public static Tempo Parse(string text) =>
        TryParse(text, out var tempo) ? tempo : throw new FormatException($"\"{text}\" is no tempo: {Form}");

    /// <summary>What a tempo looks like.</summary>
    public const string Form = "A tempo has four figures, as in 3-1-1-0.";

    /// <summary>Writes the form that <see cref="TryParse"/> reads.</summary>
    public override string ToString() => $"{Eccentric}-{PauseStretched}-{(Explosive ? "X" : Concentric)}-{PauseShortened}";
}
