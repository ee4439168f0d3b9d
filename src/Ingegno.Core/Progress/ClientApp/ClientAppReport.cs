using System.Collections.Immutable;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Progress.Logs;

namespace Ingegno.Core.Progress.ClientApp;

/// <summary>An exercise of a session from a phone, as the coach reads it.</summary>
/// <param name="Name">Name of what was done.</param>
/// <param name="ExerciseId">Its key.</param>
/// <param name="Planned">Its dose as it was sent; null for what the release does not have.</param>
/// <param name="Sets">The sets in the shorthand of the log.</param>
/// <param name="InPlaceOf">Name of the exercise that it took the place of.</param>
public sealed record ClientAppLine(string Name, string ExerciseId, string? Planned, string Sets, string? InPlaceOf);

/// <summary>Something that the coach should know of a session.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Text">In a sentence.</param>
public sealed record ClientAppRemark(ClientAppRemarkKind Kind, Reason Text);

/// <summary>Kinds of remarks on a session, the gravest first.</summary>
public enum ClientAppRemarkKind
{
    /// <summary>It hurt so much that it was stopped.</summary>
    Stopped,

    /// <summary>It hurt.</summary>
    Hurts,

    /// <summary>The client asks or writes.</summary>
    Asks,

    /// <summary>Another exercise was taken.</summary>
    Swapped,

    /// <summary>Something was left out.</summary>
    LeftOut,

    /// <summary>A figure far from the plan that the client meant.</summary>
    Doubted,

    /// <summary>How the client felt, how hard it was.</summary>
    Felt,
}

/// <summary>Reads a session from a phone beside its release.</summary>
/// <param name="release">What was sent.</param>
/// <param name="session">What was done.</param>
public sealed class ClientAppReport(Release release, ClientAppSession session)
{
    /// <summary>Effort of a session from which it is remarked.</summary>
    private const int VeryHard = 9;

    private readonly ReleaseDay _day = release.Days[Math.Clamp(session.Day, 0, release.Days.Length - 1)];

    /// <summary>Name of the day.</summary>
    public string Day => _day.Name;

    /// <summary>Sets of the way through the day that was taken.</summary>
    public int SetsPlanned => _day.Courses[Math.Clamp(session.Course, 0, _day.Courses.Length - 1)].Turns.Length;

    /// <summary>What was done, in the order in which it was done.</summary>
    public ImmutableArray<ClientAppLine> Lines() =>
        [
            .. from done in session.Exercises
            where !done.Sets.IsEmpty
            let planned = Planned(done)
            select new ClientAppLine(
                planned?.Name ?? done.ExerciseId,
                done.ExerciseId,
                planned?.Figures,
                LogShorthand.Write(done.Sets),
                done.InPlaceOf is { } before ? NameOf(done, before) : null
            ),
        ];

    /// <summary>What the coach should know, the gravest first.</summary>
    public ImmutableArray<ClientAppRemark> Remarks() => [.. All().OrderBy(r => r.Kind)];

    private IEnumerable<ClientAppRemark> All()
    {
        foreach (var done in session.Exercises)
        {
            var name = Planned(done)?.Name ?? done.ExerciseId;
            if (done.Sets.Where(s => s.PainCounted > 0 || s.Sharp).MaxBy(s => s.PainCounted ?? 0) is { } worst)
            {
                yield return new ClientAppRemark(
                    done.Stopped || worst.Sharp || worst.Pain >= release.Pain.StopFrom
                        ? ClientAppRemarkKind.Stopped
                        : ClientAppRemarkKind.Hurts,
                    Reason.Of(
                        done.Stopped ? "came-in.stopped" : "came-in.pain",
                        [
                            ("exercise", name),
                            .. worst.Pain is { } pain ? [("pain", pain)] : Array.Empty<Fact>(),
                            ("sharp", worst.Sharp),
                            .. worst.PainJoint is { } joint ? [("joint", Term.For(joint))] : Array.Empty<Fact>(),
                        ]
                    )
                );
            }

            if (done.InPlaceOf is { } before)
            {
                yield return new ClientAppRemark(
                    ClientAppRemarkKind.Swapped,
                    Reason.Of(
                        "came-in.swapped",
                        ("now", name),
                        ("before", NameOf(done, before)),
                        ("why", Term.For(done.Why ?? SwapReason.Dull))
                    )
                );
            }

            if (done.Skipped)
            {
                yield return new ClientAppRemark(ClientAppRemarkKind.LeftOut, Reason.Of("came-in.skipped", ("exercise", name)));
            }

            if (!done.Meant.IsDefaultOrEmpty)
            {
                yield return new ClientAppRemark(
                    ClientAppRemarkKind.Doubted,
                    Reason.Of("came-in.meant", ("exercise", name), ("sets", FactList.Of(done.Meant)))
                );
            }
        }

        if (session.Note.Length > 0)
        {
            yield return new ClientAppRemark(ClientAppRemarkKind.Asks, Reason.Of("came-in.note", ("text", session.Note)));
        }

        if (session.Course > 0 && session.Course < _day.Courses.Length)
        {
            yield return new ClientAppRemark(
                ClientAppRemarkKind.LeftOut,
                Reason.Of("came-in.shorter", ("minutes", _day.Courses[session.Course].Minutes))
            );
        }

        if (session.Hurts is { } hurts)
        {
            yield return new ClientAppRemark(ClientAppRemarkKind.Hurts, Reason.Of("came-in.hurts-before", ("joint", Term.For(hurts))));
        }

        if (release.Forms.FirstOrDefault(f => f.Id == session.Form) is { Id: not "fine" } form)
        {
            yield return new ClientAppRemark(ClientAppRemarkKind.Felt, Reason.Of("came-in.felt", ("form", form.Label)));
        }

        if (session.Effort >= VeryHard)
        {
            yield return new ClientAppRemark(ClientAppRemarkKind.Felt, Reason.Of("came-in.hard", ("effort", session.Effort.Value)));
        }
    }

    private ReleaseExercise? Planned(ClientAppExercise done) =>
        Everything().FirstOrDefault(e => e.Line == done.Line && e.ExerciseId == done.ExerciseId)
        ?? Everything().FirstOrDefault(e => e.ExerciseId == done.ExerciseId);

    private string NameOf(ClientAppExercise done, string exerciseId) =>
        Everything().FirstOrDefault(e => e.Line == done.Line && e.ExerciseId == exerciseId)?.Name ?? exerciseId;

    private IEnumerable<ReleaseExercise> Everything() => _day.Exercises.SelectMany(e => e.Alternatives.Select(a => a.Exercise).Prepend(e));
}
