namespace Ingegno.Core.Foundation.Body;

/// <summary>How an exercise loads a joint where it depends on the way: what provokes one back is kind to another (common practice).</summary>
public enum JointStrain
{
    /// <summary>Low back: bent forward under load, or held against bending.</summary>
    BackBending,

    /// <summary>Low back: arched under load, or held against arching.</summary>
    BackArching,

    /// <summary>Knee: bent far under load, which presses on the kneecap.</summary>
    KneeDeep,

    /// <summary>Hip: bent to about a right angle and more.</summary>
    HipDeep,

    /// <summary>Hip: the leg across the middle, or turned far.</summary>
    HipCrossing,

    /// <summary>Shoulder: the arm above shoulder height.</summary>
    Overhead,

    /// <summary>Shoulder: the arm far out, behind or turned out, where a loose one slips.</summary>
    ShoulderOpen,

    /// <summary>Wrist: bent back on a flat hand.</summary>
    WristFlat,
}
