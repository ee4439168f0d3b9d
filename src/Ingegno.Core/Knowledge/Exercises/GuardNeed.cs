namespace Ingegno.Core.Knowledge.Exercises;

/// <summary>What a set-up asks of who trains alone: a bar can pin.</summary>
public enum GuardNeed
{
    /// <summary>It can be put down at any time.</summary>
    None,

    /// <summary>Safeties or somebody beside; until the place says so, no set is open.</summary>
    Asked,

    /// <summary>It can be rolled off the floor; without a guard no set is open and three reps stay.</summary>
    Spares,

    /// <summary>Over chest or face: as asked, and left out where nobody and nothing takes it.</summary>
    Needed,
}
