using System.Collections.Immutable;
using System.Numerics;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Figures;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Tests.Support;
using Ingegno.Language;
using NJsonSchema;

namespace Ingegno.Core.Tests.Knowledge.Figures;

/// <summary>The figures that ship, one and all.</summary>
public class FigureDataTests
{
    private static readonly string Folder = RepositoryFolder.Path("data", "figures");
    private static readonly FigureBook Book = FigureBook.Shipped;

    /// <summary>A small, a usual and a tall person, cm.</summary>
    public static TheoryData<double> Statures => [155, AssumedBody.StatureCm, 195];

    public static TheoryData<string> Files =>
        [.. Directory.GetFiles(Folder, "*.json").Where(f => !f.EndsWith(".schema.json")).Select(f => Path.GetFileName(f))];

    [Theory]
    [MemberData(nameof(Files))]
    public async Task A_file_of_figures_keeps_to_its_schema(string file)
    {
        var schema = await JsonSchema.FromFileAsync(Path.Combine(Folder, "figure.schema.json"));
        var lines = await File.ReadAllLinesAsync(Path.Combine(Folder, file));
        var faults = schema.Validate(string.Join('\n', lines.Where(l => !l.TrimStart().StartsWith("//", StringComparison.Ordinal))));

        faults.Select(f => $"{f.Path}: {f.Kind}").ShouldBeEmpty();
    }

    [Fact]
    public void Every_exercise_has_a_figure() =>
        DomainRules.Shipped.Catalogue.All.Where(e => Book.Find(e.Id) is null).Select(e => e.Id).ShouldBeEmpty();

    [Fact]
    public void Every_figure_is_of_an_exercise_and_of_a_set_up_that_there_is() =>
        Book
            .Keys.Where(k =>
                k.Split('/') is var parts
                && (
                    DomainRules.Shipped.Catalogue.Find(parts[0]) is not { } exercise
                    || (parts.Length > 1 && exercise.Setups.All(s => s.Id != parts[1]))
                )
            )
            .ShouldBeEmpty();

    [Fact]
    public void What_something_stands_on_is_among_the_things() =>
        Book
            .Keys.SelectMany(k => RolesOf(Book.Find(k)!).Select(r => (Key: k, Role: r)))
            .Where(x => Book.Find(x.Key)!.Things.All(t => (t.Role ?? t.Kind) != x.Role))
            .ShouldBeEmpty();

    [Fact]
    public void Whatever_a_figure_names_is_a_part_of_the_body_or_one_of_its_things()
    {
        var body = FigureMotion.Frames(Book.Find("bodyweight-squat")!, FigureScene.Usual)[0];
        var strange =
            from key in Book.Keys
            let figure = Book.Find(key)!
            let things = figure.Things.Select(t => t.Role ?? t.Kind).ToHashSet()
            from name in figure
                .Bands.SelectMany(b => (string[])[b.From, b.To])
                .Concat(figure.Things.Select(t => t.Under).OfType<string>())
                .Concat(figure.Path is { } path ? [path] : [])
            where FigureMotion.PointOf(name, body) is null && !things.Contains(name)
            select $"{key}: {name}";

        strange.ShouldBeEmpty();
    }

    [Fact]
    public void The_interface_reads_the_joints_in_the_order_in_which_they_are_sent()
    {
        var written = File.ReadAllText(RepositoryFolder.Path("src", "web", "src", "shared", "figures", "skeleton.ts"));
        var list = written.Split("jointNames = [")[1].Split("] as const")[0];

        list.Split(',').Select(n => n.Trim(' ', '\n', '\'')).Where(n => n.Length > 0).ShouldBe(SolvedPose.Names);
    }

    [Fact]
    public async Task What_the_kit_is_drawn_as_can_be_drawn()
    {
        var schema = await File.ReadAllTextAsync(Path.Combine(Folder, "figure.schema.json"));

        DomainRules
            .Shipped.KitKinds.All.Select(k => k.Drawn)
            .OfType<string>()
            .Distinct()
            .Where(d => !schema.Contains($"\"{d}\"", StringComparison.Ordinal))
            .ShouldBeEmpty();
    }

    [Fact]
    public void A_role_of_a_figure_is_one_of_its_exercise()
    {
        var strange =
            from key in Book.Keys
            let exercise = DomainRules.Shipped.Catalogue.Get(key.Split('/')[0])
            where exercise.AtHome
            let texts = string.Join(' ', exercise.Setups.Select(s => s.Text + System.Text.Json.JsonSerializer.Serialize(s.Needs)))
            from thing in Book.Find(key)!.Things
            where
                thing.Role is { } role
                && role is not ("grip" or "straps" or "support")
                && !(role == "seat" && texts.Contains("sitting", StringComparison.Ordinal))
                && !texts.Contains(role, StringComparison.Ordinal)
            select $"{key}: {thing.Role}";

        strange.ShouldBeEmpty();
    }

    [Theory]
    [MemberData(nameof(Statures))]
    public void No_figure_has_a_fault(double stature)
    {
        var scene = new FigureScene(stature, ImmutableDictionary<string, double>.Empty);
        var faults = Book.Keys.SelectMany(k => FigureCheck.Check(Book.Find(k)!, scene).Select(f => $"{k}: {Phrasebook.English.Say(f)}"));

        faults.ShouldBeEmpty();
    }

    [Fact]
    public void No_limb_changes_its_length()
    {
        var wrong =
            from key in Book.Keys
            let worst = FigureMotion.Frames(Book.Find(key)!, FigureScene.Usual).Max(Stretched)
            where worst > 1e-3
            select $"{key}: {worst}";

        wrong.ShouldBeEmpty();
    }

    [Fact]
    public void A_rep_is_a_movement_that_can_be_seen() =>
        Book
            .Keys.Where(k => !Book.Find(k)!.Holds)
            .Where(k =>
            {
                var frames = FigureMotion.Frames(Book.Find(k)!, FigureScene.Usual);
                return frames[0].Joints.Zip(frames[^1].Joints, (a, b) => (a - b).Length()).Max() < 0.03;
            })
            .ShouldBeEmpty();

    private static double Stretched(SolvedPose pose) =>
        (
            (IEnumerable<(Vector3 From, Vector3 To, double Long)>)
                [
                    .. ((SolvedArm[])[pose.NearArm, pose.FarArm]).SelectMany<SolvedArm, (Vector3, Vector3, double)>(a =>
                        [(a.Shoulder, a.Elbow, BodyLengths.UpperArm), (a.Elbow, a.Wrist, BodyLengths.Forearm)]
                    ),
                    .. ((SolvedLeg[])[pose.NearLeg, pose.FarLeg]).SelectMany<SolvedLeg, (Vector3, Vector3, double)>(l =>
                        [(l.Hip, l.Knee, BodyLengths.Thigh), (l.Knee, l.Ankle, BodyLengths.Shank)]
                    ),
                    (pose.Hips, pose.Middle, (BodyLengths.ShoulderHeight - BodyLengths.HipHeight) / 2),
                    (pose.Middle, pose.Neck, (BodyLengths.ShoulderHeight - BodyLengths.HipHeight) / 2),
                ]
        ).Max(b => Math.Abs((b.To - b.From).Length() - b.Long));

    private static IEnumerable<string> RolesOf(Figure figure) =>
        figure
            .Poses.SelectMany(p =>
                p.Limbs.All.OfType<LimbByEnd>()
                    .Select(l => l.On)
                    .Concat(
                        p.Root switch
                        {
                            HipRoot r => [r.On],
                            ShoulderRoot r => [r.On],
                            KneelingRoot r => [r.On],
                            LineRoot r => [r.FeetOn, r.HandsOn],
                            StandingRoot r => [r.Seat],
                            _ => [],
                        }
                    )
            )
            .OfType<string>()
            .Distinct();
}
