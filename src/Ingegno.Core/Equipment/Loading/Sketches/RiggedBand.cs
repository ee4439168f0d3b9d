using Ingegno.Core.Equipment.Loading.Bands;

namespace Ingegno.Core.Equipment.Loading.Sketches;

/// <summary>A band as it is rigged, with the measures that are drawn beside it; the same that its force is reckoned from.</summary>
/// <param name="Name">The band.</param>
/// <param name="Rig">How it is rigged.</param>
/// <param name="Doubled">Folded.</param>
/// <param name="ShortenedCm">So much shorter it is gripped, cm.</param>
/// <param name="FeetApartCm">Stood on: distance between the feet, cm; 0 for one foot.</param>
/// <param name="HeightCm">Anchored: height of the pull over the floor, cm; null for the others.</param>
/// <param name="StartCm">At the start of the rep: from the anchor to the hand, height of the hand over the floor, or length of the band, cm.</param>
/// <param name="EndCm">The same at the end of the rep, cm.</param>
/// <param name="StartKg">Force at the start, kg.</param>
/// <param name="EndKg">Force at the end, kg.</param>
/// <param name="Stretch">Largest stretch of the rep, times the rest length.</param>
public sealed record RiggedBand(
    string Name,
    BandRigKind Rig,
    bool Doubled,
    double ShortenedCm,
    double FeetApartCm,
    double? HeightCm,
    double StartCm,
    double EndCm,
    double StartKg,
    double EndKg,
    double Stretch
)
{
    /// <summary>The drawing of a rig.</summary>
    /// <param name="name">The band in words.</param>
    /// <param name="load">How the catalogue rigs it.</param>
    /// <param name="grip">How it is gripped on the spot.</param>
    /// <param name="rep">Its force over the rep.</param>
    /// <param name="statureCm">Stature of the client, above 0.</param>
    public static RiggedBand From(string name, BandLoad load, BandGrip grip, BandRep rep, double statureCm)
    {
        ArgumentNullException.ThrowIfNull(load);
        ArgumentNullException.ThrowIfNull(grip);
        ArgumentNullException.ThrowIfNull(rep);
        var (start, end) = BandRig.Positions(load, grip, statureCm);
        return new RiggedBand(
            name,
            load.Rig,
            grip.Doubled,
            grip.ChokeCm,
            load.Rig == BandRigKind.StoodOn ? grip.StanceCm : 0,
            load.Rig == BandRigKind.Anchored ? Math.Round(grip.AnchorHeightCm ?? (load.HandHeight * statureCm)) : null,
            Math.Round(start),
            Math.Round(end),
            Math.Round(rep.Force.Start, 1),
            Math.Round(rep.Force.End, 1),
            Math.Round(rep.MostStretch, 1)
        );
    }
}
