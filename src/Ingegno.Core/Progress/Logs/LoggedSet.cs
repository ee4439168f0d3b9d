using System.Text.Json.Serialization;
using Ingegno.Core.Foundation.Body;

namespace Ingegno.Core.Progress.Logs;

/// <summary>One set as it was done.</summary>
public sealed record LoggedSet
{
    /// <summary>Reps, or seconds of a timed exercise, 0–500.</summary>
    public required int Reps { get; init; }

    /// <summary>External load used in kg, 0–500; null when as prescribed.</summary>
    public double? LoadKg { get; init; }

    /// <summary>Reps in reserve, 0–10; null when not noted.</summary>
    public int? Rir { get; init; }

    /// <summary>Pain 0–10; null when not noted.</summary>
    public int? Pain { get; init; }

    /// <summary>It hurt: more was not said, or not yet.</summary>
    public bool Hurts { get; init; }

    /// <summary>Pain as it counts: where it hurt and no figure was said, as much as is eased until somebody has asked.</summary>
    [JsonIgnore]
    public int? PainCounted => Pain ?? (Hurts || PainJoint is not null ? WithoutFigure : null);

    private const int WithoutFigure = 4;

    /// <summary>Where it hurt.</summary>
    public Joint? PainJoint { get; init; }

    /// <summary>The pain was sharp: it stops the exercise, however little it was.</summary>
    public bool Sharp { get; init; }

    /// <summary>What the set was against the plan of its day; null until the log has looked at it.</summary>
    public SetStamp? Stamp { get; init; }
}
