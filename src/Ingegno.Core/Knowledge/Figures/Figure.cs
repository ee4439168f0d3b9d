using System.Collections.Immutable;

namespace Ingegno.Core.Knowledge.Figures;

/// <summary>From where a figure is seen, in degrees.</summary>
/// <param name="Turn">0 from its near side, 90 from the front.</param>
/// <param name="Over">0 level, 90 from above.</param>
public sealed record FigureView(double Turn, double Over);

/// <summary>A thing of a figure: furniture, an anchor, a mat.</summary>
/// <param name="Kind">How it is drawn when the kit says nothing: box, chair, table, wall, post, bar, step, block, slider, cushion, mat.</param>
/// <param name="Role">Role of the set-up that it plays; its height comes from the kit. Null for what stands everywhere.</param>
/// <param name="HeightCm">Usual height of its top, cm.</param>
/// <param name="X">Middle ahead of the figure's origin, in shares of stature; null where it follows <see cref="Under"/>.</param>
/// <param name="Z">Middle to the near side.</param>
/// <param name="Depth">Length ahead, in shares of stature.</param>
/// <param name="Width">Width across, in shares of stature.</param>
/// <param name="Under">A part of the body that it follows in the start pose: hands, feet, farFoot, nearFoot, hips, neck, head, knees.</param>
public sealed record FigureThing(
    string Kind,
    string? Role,
    double HeightCm,
    double? X,
    double Z,
    double Depth,
    double Width,
    string? Under
);

/// <summary>Where a load is carried.</summary>
/// <param name="Where">hands (one in each), nearHand, farHand, both (one between the hands), back, shoulders, hips, chest, nearThigh,
/// thighs, nearFoot, feet.</param>
/// <param name="Kind">What is drawn when the kit says nothing: dumbbell, kettlebell, bottle, rucksack, bag, bar, jug, towel, cushion.</param>
public sealed record FigureLoad(string Where, string Kind);

/// <summary>A band, strap or towel between two places of the figure.</summary>
/// <param name="Kind">band, miniBand, strap, towel.</param>
/// <param name="From">A joint or a thing: anchor, feet, nearFoot, hands …</param>
/// <param name="To">A joint: hands, nearHand, nearAnkle, knees, ankles, shoulders, hips.</param>
public sealed record FigureBand(string Kind, string From, string To);

/// <summary>How an exercise looks: key poses, things, loads and from where it is seen.</summary>
/// <param name="Id">Exercise, or family of poses.</param>
/// <param name="View">From where.</param>
/// <param name="Poses">Key poses in the order of the rep; one for a hold.</param>
/// <param name="LowersFirst">The way to the last pose is the lowering; else the lifting.</param>
/// <param name="Things">What it stands, lies or hangs on.</param>
/// <param name="Loads">What it carries.</param>
/// <param name="Bands">What is stretched.</param>
/// <param name="Path">Joint whose way is drawn, null for none.</param>
/// <param name="LoadAt">Where a load is carried that the exercise may do without; null for the usual place of such a load.</param>
/// <param name="Supported">Held by a wall, a hand or a band: balance is not asked of it.</param>
public sealed record Figure(
    string Id,
    FigureView View,
    ImmutableArray<Pose> Poses,
    bool LowersFirst,
    ImmutableArray<FigureThing> Things,
    ImmutableArray<FigureLoad> Loads,
    ImmutableArray<FigureBand> Bands,
    string? Path,
    string? LoadAt,
    bool Supported
)
{
    /// <summary>Nothing moves: a hold.</summary>
    public bool Holds => Poses.Length == 1;
}
