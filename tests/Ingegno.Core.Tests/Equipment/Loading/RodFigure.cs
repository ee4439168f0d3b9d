namespace Ingegno.Core.Tests.Equipment.Loading;

/// <summary>
/// A body of rods in the plane, made for the tests alone: masses as shares of body mass, lengths as shares of stature. Says what a support
/// or a muscle has to carry at a distance from a pivot. Knows nothing of the core.
/// Masses: de Leva 1996, J Biomech 29(9), men, from memory. Lengths: Drillis and Contini 1966, as given in Winter, from memory.
/// </summary>
internal sealed class RodFigure
{
    public const double Head = 0.0694;
    public const double Trunk = 0.4346;
    public const double UpperArm = 0.0271;
    public const double Forearm = 0.0162;
    public const double Hand = 0.0061;
    public const double Thigh = 0.1416;
    public const double Shank = 0.0433;
    public const double Foot = 0.0137;

    public const double TrunkLength = 0.818 - 0.530;
    public const double NeckAndHead = 1 - 0.818;
    public const double UpperArmLength = 0.186;
    public const double ForearmLength = 0.146;
    public const double ThighLength = 0.245;
    public const double ShankLength = 0.246;
    public const double AnkleHeight = 0.039;

    private double moment;

    /// <summary>A rod from one end to the other, x measured from the pivot along the level; its mass in the middle.</summary>
    public RodFigure Rod(double mass, double from, double to)
    {
        moment += mass * (from + to) / 2;
        return this;
    }

    /// <summary>Force, as a share of body weight, that holds it up at a distance from the pivot.</summary>
    public double At(double distance) => moment / distance;
}
