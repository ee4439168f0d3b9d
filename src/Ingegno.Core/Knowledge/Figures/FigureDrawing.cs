using System.Collections.Immutable;
using System.Numerics;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Knowledge.Figures;

/// <summary>A thing as it stands in a drawing; lengths in thousandths of stature.</summary>
/// <param name="Kind">How it is drawn.</param>
/// <param name="Role">Role that it plays, null for what stands everywhere.</param>
/// <param name="At">Middle of its top: ahead, up, to the near side.</param>
/// <param name="Depth">Length ahead.</param>
/// <param name="Width">Width across.</param>
/// <param name="HeightCm">Height of its top, cm.</param>
public sealed record DrawnThing(string Kind, string? Role, ImmutableArray<int> At, int Depth, int Width, double HeightCm);

/// <summary>All that is needed to draw a figure: bodies along the rep, things, loads, bands.</summary>
/// <param name="Figure">Key of the figure.</param>
/// <param name="Turn">Degrees about the upright axis from which it is seen: 0 from the near side, 90 from the front.</param>
/// <param name="Over">Degrees from above.</param>
/// <param name="Frames">For each step of the rep, the joints in the order of <see cref="SolvedPose.Names"/>, three figures each, in thousandths
/// of stature.</param>
/// <param name="LowersFirst">The way to the last frame is the lowering.</param>
/// <param name="Things">What it stands, lies or hangs on.</param>
/// <param name="Loads">What it carries and where.</param>
/// <param name="Bands">What is stretched between what.</param>
/// <param name="Path">Joint whose way is drawn.</param>
/// <param name="Working">Prime movers of the exercise.</param>
/// <param name="Muscles">Involvement of each muscle, 0–1.</param>
/// <param name="InWords">What it shows, for whoever does not see it.</param>
public sealed record FigureDrawing(
    string Figure,
    double Turn,
    double Over,
    ImmutableArray<ImmutableArray<int>> Frames,
    bool LowersFirst,
    ImmutableArray<DrawnThing> Things,
    ImmutableArray<FigureLoad> Loads,
    ImmutableArray<FigureBand> Bands,
    string? Path,
    ImmutableArray<Muscle> Working,
    ImmutableSortedDictionary<Muscle, double> Muscles,
    Reason InWords
)
{
    /// <summary>Draws a figure for a scene.</summary>
    /// <param name="figure">The figure.</param>
    /// <param name="scene">For whom and with what.</param>
    /// <param name="muscles">Involvement of each muscle, 0–1.</param>
    /// <param name="working">Those that are marked on the body: prime movers.</param>
    /// <param name="steps">Steps from one key pose to the next.</param>
    public static FigureDrawing Draw(
        Figure figure,
        FigureScene scene,
        ImmutableSortedDictionary<Muscle, double> muscles,
        IEnumerable<Muscle> working,
        int steps = FigureMotion.StepsBetween
    )
    {
        ArgumentNullException.ThrowIfNull(figure);
        ArgumentNullException.ThrowIfNull(scene);
        var frames = FigureMotion.Frames(figure, scene, steps);
        return new FigureDrawing(
            figure.Id,
            figure.View.Turn,
            figure.View.Over,
            [.. frames.Select(f => f.Joints.SelectMany(Thousandths).ToImmutableArray())],
            figure.LowersFirst,
            [.. figure.Things.Select(t => Drawn(t, figure, scene, frames[0]))],
            figure.Loads,
            figure.Bands,
            figure.Path,
            [.. working],
            muscles,
            FigureWords.Describe(figure, frames[0], frames[^1])
        );
    }

    private static DrawnThing Drawn(FigureThing thing, Figure figure, FigureScene scene, SolvedPose start)
    {
        var at = FigureMotion.PlaceOf(thing, figure, scene, start);
        return new DrawnThing(
            thing.Kind,
            thing.Role,
            [.. Thousandths(at)],
            (int)Math.Round(thing.Depth * 1000),
            (int)Math.Round(thing.Width * 1000),
            Math.Round(at.Y * scene.StatureCm)
        );
    }

    private static int[] Thousandths(Vector3 v) =>
        [(int)MathF.Round(v.X * 1000), (int)MathF.Round(v.Y * 1000), (int)MathF.Round(v.Z * 1000)];
}
