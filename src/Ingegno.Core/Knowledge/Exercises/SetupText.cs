using System.Text.RegularExpressions;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Text;

namespace Ingegno.Core.Knowledge.Exercises;

/// <summary>Fills the text of a set-up with the things and the load that are used.</summary>
public static partial class SetupText
{
    /// <summary>The role that stands for the load.</summary>
    public const string LoadRole = "load";

    [GeneratedRegex(@"\{(?<role>[a-z-]+)\}", RegexOptions.None, Patterns.TimeoutMs)]
    private static partial Regex Role();

    /// <summary>Roles named in a text.</summary>
    public static IEnumerable<string> Roles(string text) => Role().Matches(text).Select(m => m.Groups["role"].Value);

    /// <summary>The text with every role replaced by its thing, and the load by its recipe.</summary>
    public static string Fill(string text, IEnumerable<Binding> bindings, string load)
    {
        ArgumentNullException.ThrowIfNull(bindings);
        var things = bindings.GroupBy(b => b.Role).ToDictionary(g => g.Key, g => g.First().Thing.InWords);
        var filled = Role()
            .Replace(
                text,
                m =>
                    m.Groups["role"].Value switch
                    {
                        LoadRole => load.Length == 0 ? "no extra load" : load,
                        var role => things.GetValueOrDefault(role, role),
                    }
            );
        return Words.Sentence(filled);
    }
}
