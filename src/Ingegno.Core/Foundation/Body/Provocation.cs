namespace Ingegno.Core.Foundation.Body;

/// <summary>What brings a joint's complaint on, asked where it decides what is left out (<c>data/rules/joints.json</c>).</summary>
public enum Provocation
{
    BackBending,
    BackArching,
    LegSigns,
    KneeBent,
    KneeLocks,
    HipReplaced,
    HipPinches,
    ShoulderOverhead,
    ShoulderSlips,
    WristFlat,
}
