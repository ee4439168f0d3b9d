using System.Text.Json.Nodes;

namespace Ingegno.Core.Knowledge.Figures;

/// <summary>
/// Works what a figure takes from another into it: keys of its own replace those of the other; <c>all</c>, <c>start</c> and
/// <c>end</c> patch its key poses.
/// </summary>
internal static class FigureInheritance
{
    private static readonly string[] Roots = ["stand", "hip", "shoulder", "kneel", "line"];
    private static readonly (string Both, string Near, string Far)[] Pairs = [("arms", "nearArm", "farArm"), ("legs", "nearLeg", "farLeg")];

    /// <exception cref="FormatException">It takes from what is not there, or from itself.</exception>
    public static JsonObject Resolve(string id, IReadOnlyDictionary<string, JsonObject> all) => Resolve(id, all, []);

    private static JsonObject Resolve(string id, IReadOnlyDictionary<string, JsonObject> all, HashSet<string> seen)
    {
        if (!seen.Add(id))
        {
            throw new FormatException($"The figure \"{id}\" takes from itself.");
        }

        var own = all.GetValueOrDefault(id) ?? throw new FormatException($"There is no figure \"{id}\" to take from.");
        var figure = own["from"] is { } from ? Resolve(from.GetValue<string>(), all, seen) : [];
        return Over(figure, own);
    }

    /// <summary>A figure with the keys of another over it.</summary>
    public static JsonObject Over(JsonObject figure, JsonObject own)
    {
        var result = (JsonObject)figure.DeepClone();
        foreach (var (key, value) in own.Where(p => p.Key is not ("from" or "all" or "start" or "end" or "setups" or "hold" or "reverse")))
        {
            result[key] = value?.DeepClone();
        }

        Cut(own, result);
        var poses = result["poses"] as JsonArray;
        Patch(own["all"], poses, (_, _) => true);
        Patch(own["start"], poses, (i, _) => i == 0);
        Patch(own["end"], poses, (i, count) => i == count - 1);
        return result;
    }

    /// <summary>A hold keeps the last pose alone, or the first; a reversed figure goes the other way.</summary>
    private static void Cut(JsonObject own, JsonObject result)
    {
        if (result["poses"] is not JsonArray poses)
        {
            return;
        }

        if (own["hold"]?.GetValue<string>() is { } which)
        {
            result["poses"] = new JsonArray(poses[which == "start" ? 0 : poses.Count - 1]!.DeepClone());
            result.Remove("path");
        }

        if (own["reverse"]?.GetValue<bool>() ?? false)
        {
            result["poses"] = new JsonArray([.. poses.Reverse().Select(p => p!.DeepClone())]);
            result["lowersFirst"] = !(result["lowersFirst"]?.GetValue<bool>() ?? false);
        }
    }

    private static void Patch(JsonNode? patch, JsonArray? poses, Func<int, int, bool> which)
    {
        if (patch is not JsonObject changes || poses is null)
        {
            return;
        }

        for (var i = 0; i < poses.Count; i++)
        {
            if (which(i, poses.Count))
            {
                Patch((JsonObject)poses[i]!, changes);
            }
        }
    }

    private static void Patch(JsonObject pose, JsonObject changes)
    {
        if (Roots.Any(changes.ContainsKey))
        {
            foreach (var root in Roots.Where(r => !changes.ContainsKey(r)))
            {
                pose.Remove(root);
            }
        }

        foreach (var (both, near, far) in Pairs.Where(p => changes.ContainsKey(p.Both)))
        {
            pose.Remove(near);
            pose.Remove(far);
        }

        foreach (var (key, value) in changes)
        {
            if (key == "line" && pose["line"] is JsonObject line && value is JsonObject parts)
            {
                foreach (var (part, of) in parts)
                {
                    line[part] = of?.DeepClone();
                }
            }
            else
            {
                pose[key] = value?.DeepClone();
            }
        }
    }
}
