using System.Collections.Immutable;
using System.Globalization;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Progress.Logs;

/// <summary>
/// Reads a log as clients text it: "squats 12 11 10 ok, rows 8/8/7 easy, press 9,8,7 last one ugly, knee sore 3". Exercises of the plan are
/// found by what their names say, effort and pain in words; what cannot be placed stays as a note. Words of effort: common practice.
/// </summary>
public sealed class LogMessage(HomePlan plan, DomainRules domain)
{
    /// <summary>Longest message.</summary>
    public const int Longest = 2_000;

    private const int MostParts = 60;

    private const int MostRounds = 20;

    /// <summary>Sets taken for "did them as planned".</summary>
    private static readonly string[] AsPlanned =
    [
        "as planned",
        "all done",
        "done as written",
        "as written",
        "as prescribed",
        "did everything",
        "everything done",
        "all sets",
        "all good",
        "done",
    ];

    private readonly ImmutableArray<(HomeLine Line, HomeExercise Home)> _planned =
    [
        .. from line in plan.Lines from home in line.Chosen?.Exercises ?? [] select (line, home),
    ];

    /// <summary>Reads a message.</summary>
    public ReadMessage Read(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        if (text.Length > Longest)
        {
            return new ReadMessage([], null, text[..Longest]);
        }

        var parts = new List<MessageDraft>();
        var (notes, effort) = (new List<string>(), (int?)null);
        var plain = PlainText.Normalize(text.ReplaceLineEndings(";"));
        var rounds = LogPhrases.Rounds().Match(plain);
        var times = rounds.Success ? Math.Min(MostRounds, int.Parse(rounds.Groups["n"].ValueSpan, CultureInfo.InvariantCulture)) : 1;
        var (spoken, pains) = PainTalk.TakeOut(plain[rounds.Length..]);
        var apart = new List<PainSaid>();
        foreach (var marked in MessagePieces.Cut(spoken).Take(MostParts))
        {
            var (bare, said) = PainTalk.In(marked, pains);
            var piece = PainTalk.Whole(marked, pains);
            if (!bare.Any(char.IsLetterOrDigit))
            {
                apart.AddRange(said.Where(pain => !Hurts(parts, pain)));
                continue;
            }

            var words = LogWords.Read(bare);
            if (words.SessionEffort is { } whole)
            {
                effort = whole;
            }
            else if (Placed(piece, words, parts) is { } draft)
            {
                draft.Pains.AddRange(said.Where(p => !p.IsNone));
                parts.Add(draft);
                continue;
            }
            else if (!Adds(parts, words))
            {
                notes.Add(piece);
            }

            apart.AddRange(said.Where(pain => !Hurts(parts, pain)));
        }

        // What hurts where nothing was logged, and what a line has no room for beside a worse pain, stays readable in the note.
        notes.AddRange(
            apart
                .Concat(parts.SelectMany(p => p.NotWritten))
                .Select(p => p.Words)
                .Where(w => !notes.Exists(n => n.Contains(w, StringComparison.Ordinal)))
        );
        return new ReadMessage([.. parts.Select(p => p.Part(times))], effort, string.Join("; ", notes))
        {
            Pains = [.. parts.SelectMany(p => p.Pains.Select(pain => Told(pain, p.ExerciseId))), .. apart.Select(pain => Told(pain, null))],
        };
    }

    private MessageDraft? Placed(string piece, LogWords words, List<MessageDraft> before)
    {
        if (words.Name.Length == 0 || (words.IsEmpty && !words.Skipped && words.InsteadOf is null))
        {
            return null; // a name alone says nothing that a log can hold
        }

        if (words.InsteadOf is { } instead)
        {
            var taken = domain.Names.Read(words.Name).Exercise;
            var planned = instead.Length > 0 ? Find(instead, before) : Open(before, taken);
            return planned is { } at && taken is not null ? new MessageDraft(piece, at.Line, at.Home, taken.Id, words, true, domain) : null;
        }

        return Find(words.Name, before) is { } found
            ? new MessageDraft(piece, found.Line, found.Home, found.Home.ExerciseId, words, found.Sure, domain)
            : null;
    }

    /// <summary>The exercise of the plan that a name means: by its own name or the gym line's, else by its movement.</summary>
    private (HomeLine Line, HomeExercise Home, bool Sure)? Find(string name, List<MessageDraft> before)
    {
        var read = domain.Names.Read(name).Exercise;
        var free = _planned.Where(p => !before.Exists(b => b.Home == p.Home)).ToList();
        var said = domain.Names.Lexicon.Read(name);
        (HomeLine Line, HomeExercise Home, bool Sure)? Taken(Func<(HomeLine Line, HomeExercise Home), bool> fits, bool sure) =>
            free.Where(fits).Select(p => ((HomeLine, HomeExercise, bool)?)(p.Line, p.Home, sure)).FirstOrDefault();

        return Taken(p => read is not null && (p.Home.ExerciseId == read.Id || p.Line.Gym.ExerciseId == read.Id), true)
            ?? Taken(
                p =>
                    said.Movement is not null
                    && (
                        domain.Names.Lexicon.Read(p.Home.Name).Movement == said.Movement
                        || domain.Names.Lexicon.Read(p.Line.GymExerciseName).Movement == said.Movement
                    ),
                true
            )
            ?? Taken(p => Shares(name, p.Home.Name) || Shares(name, p.Line.GymExerciseName) || Shares(name, p.Line.Gym.Name), false)
            ?? Taken(p => read is not null && domain.Catalogue.Find(p.Home.ExerciseId)?.Pattern == read.Pattern, false);
    }

    /// <summary>Names share a word that tells them apart.</summary>
    private bool Shares(string name, string other)
    {
        var words = domain.Names.Lexicon.Plain(other).Split(' ').ToHashSet();
        return domain.Names.Lexicon.Plain(name).Split(' ').Any(w => w.Length > 3 && words.Contains(w));
    }

    /// <summary>What was taken instead of an exercise that is not named: of the same pattern, not yet spoken of.</summary>
    private (HomeLine Line, HomeExercise Home, bool Sure)? Open(List<MessageDraft> before, Exercise? taken)
    {
        var open = _planned
            .Where(p =>
                taken is not null
                && !before.Exists(b => b.Home == p.Home)
                && domain.Catalogue.Find(p.Home.ExerciseId)?.Pattern == taken.Pattern
            )
            .ToList();
        if (open.Count > 0)
        {
            return (open[0].Line, open[0].Home, false);
        }

        // "skipped the press, did push-ups instead"
        var skipped = before.FindLastIndex(b => b.Words.Skipped);
        if (skipped < 0)
        {
            return null;
        }

        var at = before[skipped];
        before.RemoveAt(skipped);
        return (at.Line, at.Home, true);
    }

    private static MessagePain Told(PainSaid pain, string? exerciseId) => new(pain.Words, pain.Where, pain.Score, pain.Asks, exerciseId);

    /// <summary>
    /// Pain goes to the exercise before it that loads the joint or was left out, else to the one that loads it most, else to the one before
    /// it: a figure is kept where nothing loads the joint, too. False where nothing was said of any exercise yet.
    /// </summary>
    private bool Hurts(List<MessageDraft> parts, PainSaid pain)
    {
        if (pain.IsNone || parts.Count == 0)
        {
            return pain.IsNone;
        }

        var last = parts[^1];
        var at =
            pain.Where is not { } joint || last.Words.Skipped || Load(last, joint) > 0 ? last
            : parts.OrderByDescending(p => Load(p, joint)).First() is var most && Load(most, joint) > 0 ? most
            : last;
        at.Pains.Add(pain);
        return true;
    }

    private int Load(MessageDraft part, Joint joint) => domain.Catalogue.Find(part.ExerciseId)?.Joints.GetValueOrDefault(joint) ?? 0;

    /// <summary>Words that go on with the exercise before: "last one ugly", "left 2 in the tank".</summary>
    private static bool Adds(List<MessageDraft> parts, LogWords words)
    {
        if (parts.Count == 0 || words.Name.Length > 0 || words.IsEmpty)
        {
            return false;
        }

        parts[^1].More.Add(words);
        return true;
    }

    internal static bool SaysAsPlanned(string text) => AsPlanned.Any(p => text.Contains(p, StringComparison.Ordinal));
}
