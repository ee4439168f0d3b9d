using System.Collections.Immutable;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Clients.Health;

/// <summary>Where a sign of danger was told.</summary>
public enum AlertSource
{
    /// <summary>Tapped among the stop signs of the phone.</summary>
    StopSign,

    /// <summary>Written on the phone, with a session or in a thread.</summary>
    MessageInClientApp,

    /// <summary>In a message that the coach read in.</summary>
    Message,

    /// <summary>In a note of the log.</summary>
    Log,

    /// <summary>In the notes about the client.</summary>
    ClientNote,
}

/// <summary>A sign and where it is.</summary>
/// <param name="Id">Key of the sign.</param>
/// <param name="Joint">The joint; null for the whole body, or where none was named.</param>
public readonly record struct AlertSign(string Id, Joint? Joint);

/// <summary>A sign of danger that stands until the coach has answered it: what it touches is not trained until then.</summary>
public sealed record SafetyAlert
{
    public required AlertSource Source { get; init; }

    /// <summary>The signs, the most urgent first; at least one.</summary>
    public required ImmutableArray<AlertSign> Signs { get; init; }

    /// <summary>What was written; empty where a sign was tapped.</summary>
    public string Words { get; init; } = string.Empty;

    /// <summary>Key of the session on the phone; null for none.</summary>
    public string? Session { get; init; }

    /// <summary>Exercise at which it was; null where it is not known.</summary>
    public string? ExerciseId { get; init; }

    /// <summary>When it was, by the phone's clock; null where only its coming in is known.</summary>
    public Moment? ToldAt { get; init; }

    /// <summary>The alert of what was heard; null where nothing was.</summary>
    /// <param name="heard">The signs.</param>
    /// <param name="source">Where.</param>
    /// <param name="words">What was written.</param>
    public static SafetyAlert? FromSigns(ImmutableArray<HeardSign> heard, AlertSource source, string words) =>
        heard.IsDefaultOrEmpty
            ? null
            : new SafetyAlert
            {
                Source = source,
                Signs = [.. heard.Select(h => new AlertSign(h.Sign.Id, h.Where))],
                Words = words,
            };
}

/// <summary>What may not be trained while alerts stand.</summary>
/// <param name="All">Nothing at all.</param>
/// <param name="Joints">Nothing that loads these joints.</param>
public sealed record HeldTraining(bool All, ImmutableArray<Joint> Joints)
{
    /// <summary>Nothing is held.</summary>
    public static HeldTraining None { get; } = new(false, []);

    /// <summary>Whether anything is.</summary>
    public bool Any => All || !Joints.IsEmpty;

    /// <summary>
    /// What open alerts hold. A sign of the whole body, and one of a limb that was not named, hold everything; one of a joint what loads it.
    /// </summary>
    public static HeldTraining By(IEnumerable<SafetyAlert> open, RedSigns signs)
    {
        ArgumentNullException.ThrowIfNull(open);
        ArgumentNullException.ThrowIfNull(signs);
        var all = open.SelectMany(a => a.Signs).ToList();
        return all.Count == 0
            ? None
            : new HeldTraining(
                all.Exists(s => s.Joint is null || signs.Find(s.Id) is not { OfLimb: true }),
                [.. all.Where(s => s.Joint is not null).Select(s => s.Joint!.Value).Distinct().Order()]
            );
    }

    /// <summary>Whether an exercise is held.</summary>
    public bool Holds(Exercise exercise)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        return All || Joints.Any(j => exercise.Joints.GetValueOrDefault(j) > 0);
    }
}

/// <summary>What is said of signs of danger, to the client and to the coach.</summary>
public static class AlertWords
{
    /// <summary>What it is called: "pressure or pain in chest, jaw or arm".</summary>
    public static Reason Name(string sign) => new Term("red-sign", sign).Said();

    /// <summary>What the client is to do now.</summary>
    public static Reason ToDo(RedSign sign)
    {
        ArgumentNullException.ThrowIfNull(sign);
        var name = new Term("red-sign", sign.Id);
        return sign.Id switch
        {
            "self-harm" => Reason.Of("red.self-harm"),
            "pregnancy" => Reason.Of("red.pregnancy", ("sign", name)),
            "seizure" => Reason.Of("red.seizure", ("sign", name)),
            _ => sign.Urgency switch
            {
                RedUrgency.Emergency => Reason.Of("red.emergency", ("sign", name)),
                RedUrgency.SameDay => Reason.Of("red.same-day", ("sign", name)),
                _ => Reason.Of("red.before-loading", ("sign", name)),
            },
        };
    }

    /// <summary>What the client is to do now, of several signs: each way once, the most urgent first.</summary>
    public static ImmutableArray<Reason> ToDo(IEnumerable<AlertSign> signs, RedSigns all) =>
        [.. signs.Select(s => all.Find(s.Id)).OfType<RedSign>().DistinctBy(s => s.Id).OrderBy(s => s.Urgency).Select(ToDo)];

    /// <summary>An alert in a sentence for the coach: the signs with their joints.</summary>
    public static Reason InBrief(SafetyAlert alert)
    {
        ArgumentNullException.ThrowIfNull(alert);
        return Reason.Of(
            "alert.brief",
            (
                "signs",
                FactList.Of(
                    alert.Signs.Select(s =>
                        Reason.Of(
                            "alert.sign",
                            [
                                ("sign", new Term("red-sign", s.Id)),
                                .. s.Joint is { } joint ? [("joint", Term.For(joint))] : Array.Empty<Fact>(),
                            ]
                        )
                    )
                )
            ),
            ("source", Term.For(alert.Source))
        );
    }

    /// <summary>What is held while alerts stand.</summary>
    /// <param name="held">What is held.</param>
    /// <param name="toCoach">It is told to the coach, who answers; else to the client, who waits.</param>
    public static Reason Held(HeldTraining held, bool toCoach)
    {
        ArgumentNullException.ThrowIfNull(held);
        return held.All
            ? Reason.Of("alert.holds-all", ("coach", toCoach))
            : Reason.Of("alert.holds-joints", ("joints", FactList.Of(held.Joints)), ("coach", toCoach));
    }
}
