namespace Ingegno.Core.Programs.Lines;

/// <summary>A load that is named and not weighed.</summary>
public enum LoadWord
{
    BodyWeight,
    Light,
    Moderate,
    Heavy,

    /// <summary>The empty bar.</summary>
    BarOnly,
}
