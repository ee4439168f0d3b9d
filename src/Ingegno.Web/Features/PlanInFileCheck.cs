using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Progress.ClientApp;
using Ingegno.Exchange;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;

namespace Ingegno.Web.Features;

/// <summary>
/// A plan of a client's file hangs together, and each part of it is asked what the screens' doors ask: what a hand could not have typed does
/// not come in by a file.
/// </summary>
internal static class PlanInFileCheck
{
    /// <summary>Longest name of a day, a place or an exercise, characters.</summary>
    private const int MostName = 200;

    /// <summary>Longest word of the coach with a release, characters.</summary>
    private const int MostWord = 600;

    private static readonly RebuildRequestValidator Requests = new();

    private static readonly BlockSetupValidator Setups = new();

    private static readonly HomeEditValidator Edits = new();

    /// <summary>The plan with every list in its place.</summary>
    /// <exception cref="UnreadableFileException">Something in it cannot be.</exception>
    public static PlanInFile Checked(PlanInFile plan)
    {
        var whole = plan with
        {
            Versions = FileCheck.Or(plan.Versions),
            Blocks = FileCheck.Or(plan.Blocks),
            Sessions = FileCheck.Or(plan.Sessions),
            Releases = FileCheck.Or(plan.Releases),
            PhoneSessions = FileCheck.Or(plan.PhoneSessions),
        };
        var numbers = whole.Versions.Select(v => v.Number).ToHashSet();
        var sent = whole.Releases.Select(r => (long)r.Number).ToHashSet();
        var told =
            string.IsNullOrWhiteSpace(whole.Title) || whole.Title.Length > 80 ? "a plan has no title of at most 80 characters"
            : !whole.Versions.Select(v => v.Number).SequenceEqual(Enumerable.Range(1, whole.Versions.Length))
                ? "versions of a plan are missing"
            : !numbers.Contains(whole.Head) ? "the version of a plan that stands is not there"
            : whole.Versions.Any(v => v.Parent is { } parent && !(numbers.Contains(parent) && parent < v.Number))
                ? "a version comes from one that is not there"
            : whole.Versions.Any(v => v.Document?.Plan is null || v.Document.Request is null || v.Note is null)
                ? "a version of a plan is empty"
            : whole.Sessions.Any(s => !numbers.Contains(s.PlanVersion)) ? "a session belongs to a version that is not there"
            : sent.Count < whole.Releases.Length || whole.Releases.Any(r => r.Number < 1 || !numbers.Contains(r.PlanVersion))
                ? "a release belongs to a version that is not there"
            : whole.PhoneSessions.Any(s => !sent.Contains(s.Session.Release))
                ? "a session of the phone belongs to a release that is not there"
            : whole.PhoneSessions.Any(s => s.LoggedAs is { } at && (at < 0 || at >= whole.Sessions.Length))
                ? "a session of the phone is one of the log that is not there"
            : null;
        if (told is not null)
        {
            throw new UnreadableFileException($"The file is damaged: {told}.");
        }

        foreach (var version in whole.Versions)
        {
            FileCheck.Ask(Requests, version.Document.Request, "a version of a plan");
            Figures(version.Document.Plan);
        }

        foreach (var block in whole.Blocks)
        {
            FileCheck.Ask(Setups, block.Setup, "a block");
        }

        foreach (var release in whole.Releases)
        {
            Sent(release.Release);
        }

        var sessions = new SessionRecordValidator();
        foreach (var session in whole.Sessions)
        {
            FileCheck.Ask(sessions, session, "a session");
        }

        var onPhone = new ClientAppSessionValidator();
        foreach (var session in whole.PhoneSessions)
        {
            FileCheck.Ask(onPhone, session.Session, "a session of the phone");
        }

        return whole;
    }

    /// <summary>What a plan asks of a client lies where a coach could have typed it.</summary>
    private static void Figures(HomePlan plan)
    {
        if (plan.Lines.Length > Limits.GymLines || plan.Lines.Any(l => l?.Gym is null || l.Chosen is { Exercises.IsDefault: true }))
        {
            throw new UnreadableFileException("The file is damaged: a plan has more lines than there can be, or an empty one.");
        }

        foreach (var exercise in plan.Lines.SelectMany(l => (l.Chosen?.Exercises ?? []).Select(e => (l.Gym.Key, Home: e))))
        {
            if (exercise.Home is not { Name.Length: > 0 and <= MostName, Dose: not null })
            {
                throw new UnreadableFileException("The file is damaged: an exercise of a plan has no name or no dose.");
            }

            FileCheck.Ask(Edits, HomeEdit.From(exercise.Key, exercise.Home), "a plan");
        }
    }

    private static void Sent(Release? release)
    {
        if (
            release
            is not {
                Title.Length: <= 80,
                Place.Length: <= MostName,
                Word.Length: <= MostWord,
                Days: { IsDefaultOrEmpty: false, Length: <= Limits.GymLines } days
            }
        )
        {
            throw new UnreadableFileException("The file is damaged: a release has no days, or its words are longer than any that is sent.");
        }

        if (days.Any(d => d is not { Name.Length: <= MostName, Exercises: { IsDefault: false, Length: <= 2 * Limits.GymLines } }))
        {
            throw new UnreadableFileException("The file is damaged: a day of a release is empty or longer than any that is sent.");
        }
    }
}
