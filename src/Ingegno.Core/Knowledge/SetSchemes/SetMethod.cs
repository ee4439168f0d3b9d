namespace Ingegno.Core.Knowledge.SetSchemes;

/// <summary>How the sets of a gym line run when they are not straight.</summary>
public enum SetMethod
{
    /// <summary>One heavy set, then lighter ones.</summary>
    TopSet,

    /// <summary>Reps fall or rise from set to set.</summary>
    Pyramid,

    /// <summary>Reps fall and begin again, within a day or over weeks.</summary>
    Wave,

    /// <summary>Sets of five, three and one over three weeks, the last one open.</summary>
    FiveThreeOne,

    /// <summary>The last set goes on with less load.</summary>
    DropSet,

    /// <summary>The last set goes on after a few breaths.</summary>
    RestPause,

    /// <summary>A long set, then small ones after short rests.</summary>
    MyoReps,

    /// <summary>Short rests within each set.</summary>
    Cluster,

    /// <summary>A set at the start of every minute.</summary>
    Emom,

    /// <summary>As much as fits into a time.</summary>
    Density,

    /// <summary>Reps that climb from set to set.</summary>
    Ladder,

    /// <summary>Seven reps low, seven high, seven whole.</summary>
    TwentyOnes,

    /// <summary>Several exercises in rounds.</summary>
    Circuit,
}
