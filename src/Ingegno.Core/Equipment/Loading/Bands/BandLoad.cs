namespace Ingegno.Core.Equipment.Loading.Bands;

/// <summary>How a band is rigged in a set-up.</summary>
public enum BandRigKind
{
    /// <summary>Under the feet, held in the hands (or laid over the shoulders).</summary>
    StoodOn,

    /// <summary>Fixed to an anchor, pulled away from it.</summary>
    Anchored,

    /// <summary>Held at both ends, or led round the back: its own length is what changes.</summary>
    Between,

    /// <summary>From a bar above under foot or knee: it takes load off.</summary>
    Assist,
}

/// <summary>The band of a set-up, as the catalogue describes it. All lengths are shares of stature.</summary>
/// <param name="Rig">How it is rigged.</param>
/// <param name="Start">
/// Stood on: height of the hands over the floor at the start of the rep (muscle long). Between and assist: length of the
/// band there. Anchored: not used, the distance to the anchor is free.
/// </param>
/// <param name="End">The same at the end of the rep (muscle short).</param>
/// <param name="Travel">Anchored: how far the hand or foot moves away from the anchor.</param>
/// <param name="HandHeight">Anchored: height of the hands or feet over the floor.</param>
/// <param name="Hands">Between: 2 when both hands press against their own end, so that the force counts twice.</param>
/// <param name="Peak">
/// How much the hardest point counts beside the mean, 0–1: nothing where the movement gets easier toward its end (squat,
/// hinge, press), a half where it gets harder (pulls, raises, curls). A decision of ours.
/// </param>
/// <param name="Of">Which bands it takes: <c>long-band</c>, or <c>mini-band</c> for a short loop round the legs.</param>
/// <param name="CapKg">
/// Most force at any point that hands, elbows, ankles (about 25 kg each) or shoulders (60 kg) bear in comfort; null for no limit. Common
/// practice.
/// </param>
/// <param name="Required">True when the exercise makes no sense without a band.</param>
public sealed record BandLoad(
    BandRigKind Rig,
    double Start = 0,
    double End = 0,
    double Travel = 0,
    double HandHeight = 0,
    int Hands = 1,
    double Peak = 0,
    string Of = "long-band",
    double? CapKg = null,
    bool Required = true
)
{
    /// <summary>The band takes load off instead of adding it.</summary>
    public bool Assists => Rig == BandRigKind.Assist;
}
