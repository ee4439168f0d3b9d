using System.Collections.Immutable;
using System.Numerics;
using System.Text.Json.Nodes;

namespace Ingegno.Core.Knowledge.Figures;

/// <summary>Reads a figure from its JSON, inheritance already worked in. The form is described by <c>data/figures/figure.schema.json</c>.</summary>
internal static class FigureJson
{
    /// <exception cref="FormatException">What is written is no figure; the message says where.</exception>
    public static Figure Read(string id, JsonObject o)
    {
        try
        {
            var view = Numbers(o["view"]) ?? [20, 6];
            var poses = o["poses"] as JsonArray ?? throw new FormatException("it has no poses");
            return new Figure(
                id,
                new FigureView(view[0], view.Length > 1 ? view[1] : 6),
                [.. poses.Select(p => ReadPose((JsonObject)p!))],
                Flag(o, "lowersFirst"),
                [.. List(o, "things").Select(Thing)],
                [.. List(o, "loads").Select(l => new FigureLoad(Text(l, "at")!, Text(l, "kind") ?? "dumbbell"))],
                [.. List(o, "bands").Select(b => new FigureBand(Text(b, "kind") ?? "band", Text(b, "from")!, Text(b, "to")!))],
                Text(o, "path"),
                Text(o, "loadAt"),
                Flag(o, "supported")
            );
        }
        catch (Exception e) when (e is FormatException or InvalidOperationException or InvalidCastException or NullReferenceException)
        {
            throw new FormatException($"The figure of \"{id}\" cannot be read: {e.Message}", e);
        }
    }

    private static Pose ReadPose(JsonObject o)
    {
        var trunk = Numbers(o["trunk"]) ?? [0];
        var arms = o["arms"];
        var legs = o["legs"];
        return new Pose(
            Root(o),
            trunk[0],
            trunk[^1],
            Number(o, "roll") ?? 0,
            Number(o, "lean") ?? 0,
            Number(o, "bend") ?? 0,
            Number(o, "twist") ?? 0,
            Number(o, "head") ?? 0,
            Number(o, "look") ?? 0,
            new Limbs(Arm(o["nearArm"] ?? arms), Arm(o["farArm"] ?? arms), Leg(o["nearLeg"] ?? legs), Leg(o["farLeg"] ?? legs))
        );
    }

    private static PoseRoot Root(JsonObject o)
    {
        if (o["stand"] is { } stand)
        {
            return new StandingRoot(stand.GetValue<double>(), Number(o, "over") ?? 0.5, Number(o, "hang"), Text(o, "sit"));
        }

        if (o["hip"] is JsonArray hip)
        {
            return new HipRoot(Point(hip), Text(o, "on"));
        }

        if (o["shoulder"] is JsonArray shoulder)
        {
            return new ShoulderRoot(Point(shoulder), Text(o, "on"));
        }

        if (o["kneel"] is JsonArray kneel)
        {
            return new KneelingRoot(kneel[0]!.GetValue<double>(), kneel[1]!.GetValue<double>(), Text(o, "on"));
        }

        return o["line"] is JsonObject line
            ? new LineRoot(
                Word<LinePivot>(line, "pivot") ?? LinePivot.Toes,
                Text(line, "feetOn"),
                Text(line, "handsOn"),
                Number(line, "handHeight") ?? 0,
                Number(line, "leg") ?? 1,
                Number(line, "hip") ?? 180,
                Number(line, "arm") ?? 1,
                Number(line, "wide") ?? 0,
                Number(line, "lean"),
                Flag(line, "faceUp"),
                Number(line, "angle"),
                Number(line, "shift") ?? 0
            )
            : throw new FormatException("a pose has no root (stand, hip, shoulder, kneel or line)");
    }

    private static Limb Arm(JsonNode? node) =>
        node switch
        {
            null => new LimbByAngles(0, 6, 8, 0, 0),
            JsonArray angles => Angles(angles),
            JsonObject o => End(o, LimbEnd.Grip),
            _ => throw new FormatException("an arm is a list of angles or a place"),
        };

    private static Limb Leg(JsonNode? node) =>
        node switch
        {
            null => new LimbByEnd(new Vector3(0, 0, 0.08f), LimbOrigin.World, null, LimbEnd.Flat, 12, 0, null, false),
            JsonArray angles => Angles(angles),
            JsonObject o => End(o, LimbEnd.Flat),
            _ => throw new FormatException("a leg is a list of angles or a place"),
        };

    private static LimbByAngles Angles(JsonArray angles)
    {
        var a = Numbers(angles)!;
        return new LimbByAngles(a[0], At(1), At(2), At(3), At(4));

        double At(int i) => a.Length > i ? a[i] : 0;
    }

    private static LimbByEnd End(JsonObject o, LimbEnd usual) =>
        new(
            Point((JsonArray)o["at"]!),
            Word<LimbOrigin>(o, "from") ?? LimbOrigin.World,
            Text(o, "on"),
            Word<LimbEnd>(o, "end") ?? usual,
            Number(o, "out") ?? 8,
            Number(o, "pitch") ?? 0,
            o["pole"] is JsonArray pole ? Point(pole) : null,
            Flag(o, "free"),
            Number(o, "share") ?? 1
        );

    private static FigureThing Thing(JsonObject o) =>
        new(
            Text(o, "kind") ?? "box",
            Text(o, "role"),
            Number(o, "height") ?? 0,
            Number(o, "x"),
            Number(o, "z") ?? 0,
            Number(o, "deep") ?? 0.26,
            Number(o, "wide") ?? 0.26,
            Text(o, "under")
        );

    /// <summary>Two figures are ahead and up; three are ahead, up and outward.</summary>
    private static Vector3 Point(JsonArray array)
    {
        var n = Numbers(array)!;
        return new Vector3((float)n[0], (float)n[1], n.Length > 2 ? (float)n[2] : 0);
    }

    private static IEnumerable<JsonObject> List(JsonObject o, string key) => (o[key] as JsonArray ?? []).Select(n => (JsonObject)n!);

    private static double[]? Numbers(JsonNode? node) =>
        node switch
        {
            null => null,
            JsonArray array => [.. array.Select(n => n!.GetValue<double>())],
            _ => [node.GetValue<double>()],
        };

    private static double? Number(JsonObject o, string key) => o[key]?.GetValue<double>();

    private static string? Text(JsonObject o, string key) => o[key]?.GetValue<string>();

    private static bool Flag(JsonObject o, string key) => o[key]?.GetValue<bool>() ?? false;

    private static T? Word<T>(JsonObject o, string key)
        where T : struct, Enum =>
        Text(o, key) is { } word
            ? Enum.TryParse<T>(word, true, out var value)
                ? value
                : throw new FormatException($"\"{word}\" is no {key}")
            : null;
}
