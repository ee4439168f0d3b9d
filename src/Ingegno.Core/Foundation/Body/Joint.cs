namespace Ingegno.Core.Foundation.Body;

/// <summary>Joints that a client may have to spare.</summary>
public enum Joint
{
    Wrist,
    Elbow,
    Shoulder,
    Neck,
    LowBack,
    Hip,
    Knee,
    Ankle,
}
