namespace Ingegno.Core.Knowledge.SetSchemes;

/// <summary>What a part of a set is.</summary>
public enum SetPartKind
{
    /// <summary>The set itself, or the first reps of it.</summary>
    Work,

    /// <summary>A small set after a short rest, which is not counted in the log.</summary>
    Small,

    /// <summary>Going on at once with less load or an easier version.</summary>
    GoOn,

    /// <summary>More reps of the same set after a short rest: they are counted with those before.</summary>
    More,
}
