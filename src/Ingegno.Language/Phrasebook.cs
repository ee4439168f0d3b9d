using System.Collections.Concurrent;
using Fluid;
using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Language;

/// <summary>
/// Puts reasons into the words of a language: a message file (<c>data/words/en.json</c>) with a Liquid template for each code. A second
/// language
/// is a second file.
/// </summary>
public sealed class Phrasebook
{
    /// <summary>Phrases that are remembered: the same reason is said on many lines.</summary>
    private const int Remembered = 20_000;

    private static readonly Lazy<Phrasebook> LazyEnglish = new(() => new Phrasebook(MessageFile.Read("en")));

    private readonly Dictionary<string, IFluidTemplate> _templates;
    private readonly TemplateOptions _options;
    private readonly ConcurrentDictionary<Reason, string> _said = new();

    /// <param name="file">Messages and words of the language.</param>
    /// <exception cref="InvalidOperationException">A template of the file cannot be read.</exception>
    public Phrasebook(MessageFile file)
    {
        ArgumentNullException.ThrowIfNull(file);
        _options = FactFilters.For(file, Say);
        var parser = new FluidParser();
        _templates = file.Messages.ToDictionary(
            m => m.Key,
            m =>
                parser.TryParse(m.Value, out var template, out var error)
                    ? template
                    : throw new InvalidOperationException($"The message {m.Key} cannot be read: {error}")
        );
    }

    /// <summary>Codes that the language has words for.</summary>
    public IReadOnlyCollection<string> Codes => _templates.Keys;

    /// <summary>English, which ships.</summary>
    public static Phrasebook English => LazyEnglish.Value;

    /// <summary>The reason in words; several one after the other. A code without words is said as it is, in brackets.</summary>
    public string Say(Reason reason)
    {
        ArgumentNullException.ThrowIfNull(reason);
        if (_said.TryGetValue(reason, out var known))
        {
            return known;
        }

        if (_said.Count >= Remembered)
        {
            _said.Clear();
        }

        return _said[reason] = reason.Code == Reason.RowCode ? string.Join(' ', reason.Parts.Select(Say)) : Written(reason);
    }

    private string Written(Reason reason)
    {
        if (!_templates.TryGetValue(reason.Code, out var template))
        {
            return $"[{reason.Code}]"; // kept by a version that had words for it: no reason to fail
        }

        var context = new TemplateContext(_options);
        foreach (var fact in reason.Facts)
        {
            context.SetValue(fact.Name, FactFilters.ToFluid(fact.Value, _options, Say));
        }

        return template.Render(context);
    }
}
