using System.Collections.Frozen;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>Words of a dose as gyms elsewhere write them (German, French, Spanish, Italian; common practice). Names stay as they are and are taught.</summary>
internal static class ForeignWords
{
    private static readonly FrozenDictionary<string, string> Words = new Dictionary<string, string>
    {
        ["satz"] = "sets",
        ["sätze"] = "sets",
        ["saetze"] = "sets",
        ["série"] = "sets",
        ["séries"] = "sets",
        ["serie"] = "sets",
        ["serien"] = "sets",
        ["wdh"] = "reps",
        ["wiederholung"] = "reps",
        ["wiederholungen"] = "reps",
        ["répétition"] = "reps",
        ["répétitions"] = "reps",
        ["répéts"] = "reps",
        ["repeticiones"] = "reps",
        ["repes"] = "reps",
        ["ripetizioni"] = "reps",
        ["sek"] = "sec",
        ["sekunde"] = "sec",
        ["sekunden"] = "sec",
        ["seg"] = "sec",
        ["segundos"] = "sec",
        ["secondes"] = "sec",
        ["secondi"] = "sec",
        ["minuten"] = "min",
        ["minutos"] = "min",
        ["minuti"] = "min",
        ["seite"] = "side",
        ["côté"] = "side",
        ["cote"] = "side",
        ["lado"] = "side",
        ["lato"] = "side",
        ["bein"] = "leg",
        ["jambe"] = "leg",
        ["pierna"] = "leg",
        ["gamba"] = "leg",
        ["bras"] = "arm",
        ["brazo"] = "arm",
        ["pausa"] = "pause",
        ["repos"] = "rest",
        ["récup"] = "rest",
        ["descanso"] = "rest",
        ["recupero"] = "rest",
        ["versagen"] = "failure",
        ["fallo"] = "failure",
        ["échec"] = "failure",
        ["cedimento"] = "failure",
    }.ToFrozenDictionary(StringComparer.Ordinal);

    /// <summary>Short words that mean something beside a dose alone.</summary>
    private static readonly FrozenDictionary<string, string> Beside = new Dictionary<string, string>
    {
        ["à"] = "of",
        ["de"] = "of",
        ["da"] = "of",
        ["pro"] = "per",
        ["par"] = "per",
        ["por"] = "per",
        ["je"] = "per",
        ["jede"] = "per",
        ["chaque"] = "per",
        ["cada"] = "per",
        ["c"] = "per",
        ["bis"] = "to",
        ["zum"] = "to",
        ["al"] = "to",
    }.ToFrozenDictionary(StringComparer.Ordinal);

    /// <summary>Puts the words that are read in the place of those that were written.</summary>
    public static void Settle(List<LineToken> tokens)
    {
        for (var i = 0; i < tokens.Count; i++)
        {
            if (tokens[i].Kind == TokenKind.Word && Words.TryGetValue(tokens[i].Text, out var word))
            {
                tokens[i] = tokens[i] with { Text = word, Room = tokens[i].Text.Length };
            }
        }

        for (var i = 0; i + 1 < tokens.Count; i++)
        {
            if (tokens[i].Kind != TokenKind.Word || !Beside.TryGetValue(tokens[i].Text, out var word))
            {
                continue;
            }

            // "4 sätze à 8", "c/pierna", "al fallo": known by what stands behind.
            var next = tokens[i + 1].Is("/") && i + 2 < tokens.Count ? tokens[i + 2] : tokens[i + 1];
            var fits = word switch
            {
                "of" => i > 0 && tokens[i - 1].Is("sets") && next.IsNumber,
                "per" => next.Text is "side" or "leg" or "arm",
                _ => next.Text is "failure" or "to",
            };
            if (fits)
            {
                tokens[i] = tokens[i] with { Text = word, Room = tokens[i].Text.Length };
            }
        }
    }
}
