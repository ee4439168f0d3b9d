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
        var (notes, effort, wholes) = (new List<string>(), (int?)null, new List<string>());
        var (day, onDay) = ((int?)null, (string?)null);
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
            if (parts.Count > 0 && parts[^1].Words.OfSides && words.Name.Length == 0)
            {
                words = LogWords.Read(bare, sides: true);
            }

            if (words.SessionEffort is { } felt)
            {
                effort = felt;
            }
            else if (DayAlone(bare) is { } named)
            {
                (day, onDay) = (named, bare.Trim()); // what follows was done on it
            }
            else if (SaysWhole(bare, words))
            {
                wholes.Add(piece);
            }
            else if (Placed(piece, words, parts, day) is { } draft)
            {
                draft.Pains.AddRange(said.Where(p => !p.IsNone));
                parts.Add(draft);
                continue;
            }
            else if (!Adds(parts, words))
            {
                notes.Add(onDay is null ? piece : $"{onDay}: {piece}");
            }

            apart.AddRange(said.Where(pain => !Hurts(parts, pain)));
        }

        foreach (var whole in wholes)
        {
            var days = DaysOf(whole, plain, parts);
            if (days.Count == 0)
            {
                notes.Add(whole);
            }

            Fill(parts, days, whole);
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

    /// <summary>
    /// Everything as planned, the rest as written: said of all of a day, and of nothing else. Every word of it must be one that such a
    /// sentence is made of: "knee is all good now" and "couldn't get everything done" fill no day.
    /// </summary>
    private bool SaysWhole(string piece, LogWords words)
    {
        var said = $" {piece.ToLowerInvariant()} ";
        return words is { Reps.IsEmpty: true, Skipped: false }
            && LogVocabulary.Whole.Any(w => said.Contains($" {w}", StringComparison.Ordinal))
            && (words.AsPlanned || LogVocabulary.Fine.Any(f => said.Contains($" {f} ", StringComparison.Ordinal)))
            && said.Split([' ', ',', '.', '!', ':', '(', ')', '-'], StringSplitOptions.RemoveEmptyEntries)
                .All(w => LogVocabulary.OfWhole.Contains(w) || LogVocabulary.Fine.Contains(w) || Named(w).Count > 0);
    }

    private List<int> Named(string text)
    {
        var lower = $" {text.ToLowerInvariant()} ";
        return [.. Enumerable.Range(0, plan.Days.Length).Where(d => IsNamed(plan.Days[d].Name, lower))];
    }

    /// <summary>A piece that is the name of a day and nothing else.</summary>
    private int? DayAlone(string piece) => !piece.Trim().Contains(' ', StringComparison.Ordinal) && Named(piece) is [var day] ? day : null;

    /// <summary>The days that it is said of: those it names, else the only one that the message names, else the one that most of its
    /// exercises belong to, else the only one there is.</summary>
    private List<int> DaysOf(string piece, string text, List<MessageDraft> parts)
    {
        var said = Named(piece);
        var named = Named(text);
        return said.Count > 0 ? said
            : named.Count > 0 ? (named.Count == 1 ? named : [])
            : parts.Count > 0 ? [parts.GroupBy(p => p.Line.Gym.Day).OrderByDescending(g => g.Count()).ThenBy(g => g.Key).First().Key]
            : plan.Lines.Select(l => l.Gym.Day).Distinct().ToList() is [var only] ? [only]
            : [];
    }

    /// <summary>By its whole name, or by its weekday cut short: "thurs" of "Thursday – pull".</summary>
    private static bool IsNamed(string day, string text)
    {
        var name = day.ToLowerInvariant();
        var first = new string([.. name.TakeWhile(char.IsLetter)]);
        return name.Length > 0
            && (
                text.Contains($" {name} ", StringComparison.Ordinal)
                || (
                    first.EndsWith("day", StringComparison.Ordinal)
                    && first.Length > "day".Length
                    && text.Split(' ', ',', '.', ':', ';')
                        .Any(w => w.Length >= ShortestDay && first.StartsWith(w, StringComparison.Ordinal))
                )
            );
    }

    private const int ShortestDay = 3;

    /// <summary>What nobody spoke of was done as the plan says.</summary>
    private void Fill(List<MessageDraft> parts, List<int> days, string piece)
    {
        foreach (var (line, home) in _planned.Where(p => days.Contains(p.Line.Gym.Day) && !parts.Exists(d => d.Home == p.Home)).ToList())
        {
            parts.Add(new MessageDraft(piece, line, home, home.ExerciseId, LogWords.Read("as planned"), true, domain));
        }
    }

    private MessageDraft? Placed(string piece, LogWords words, List<MessageDraft> before, int? day)
    {
        if (words.Name.Length == 0 || (words.IsEmpty && !words.Skipped && words.InsteadOf is null))
        {
            return null; // a name alone says nothing that a log can hold
        }

        if (words.InsteadOf is { } instead)
        {
            var taken = domain.Names.Read(words.Name).Exercise;
            var planned = instead.Length > 0 ? Find(instead, before, day) : Open(before, taken);
            return planned is { } at && taken is not null ? new MessageDraft(piece, at.Line, at.Home, taken.Id, words, true, domain) : null;
        }

        return Find(words.Name, before, day) is { } found
            ? new MessageDraft(piece, found.Line, found.Home, found.Home.ExerciseId, words, found.Sure && !IsSwapped(piece), domain)
            : null;
    }

    /// <summary>Something else was done, and it is not known what.</summary>
    private static bool IsSwapped(string piece) =>
        piece.Contains("swap", StringComparison.OrdinalIgnoreCase) || piece.Contains("replaced", StringComparison.OrdinalIgnoreCase);

    /// <summary>The exercise of the plan that a name means: by its own name or the gym line's, else by its movement.</summary>
    private (HomeLine Line, HomeExercise Home, bool Sure)? Find(string name, List<MessageDraft> before, int? day)
    {
        var read = domain.Names.Read(name).Exercise;
        var free = _planned.Where(p => !before.Exists(b => b.Home == p.Home)).OrderBy(p => p.Line.Gym.Day == day ? 0 : 1).ToList();
        if (free.Exists(p => p.Line.Gym.Day == day && Fits(p, name)))
        {
            free.RemoveAll(p => p.Line.Gym.Day != day);
        }

        var said = domain.Names.Lexicon.Read(name);
        (HomeLine Line, HomeExercise Home, bool Sure)? Taken(Func<(HomeLine Line, HomeExercise Home), bool> fits, bool sure) =>
            free.Where(fits).Select(p => ((HomeLine, HomeExercise, bool)?)(p.Line, p.Home, sure)).FirstOrDefault();

        // The plan's own names come first, to the word; where several of a movement are planned, the one that shares most words with what was said.
        var plainName = domain.Names.Lexicon.Plain(name);
        bool Called(string own) => domain.Names.Lexicon.Plain(own) == plainName;
        return Taken(p => Called(p.Home.Name) || Called(p.Line.Gym.Name) || Called(p.Line.GymExerciseName), true)
            ?? Taken(p => read is not null && (p.Home.ExerciseId == read.Id || p.Line.Gym.ExerciseId == read.Id), true)
            ?? Nearest(free, name, said.Movement)
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

    /// <summary>It is an exercise of the movement that is named, or shares a word with it.</summary>
    private bool Fits((HomeLine Line, HomeExercise Home) planned, string name)
    {
        var movement = domain.Names.Lexicon.Read(name).Movement;
        return (movement is not null && domain.Names.Lexicon.Read(planned.Home.Name).Movement == movement)
            || Shares(name, planned.Home.Name)
            || Shares(name, planned.Line.Gym.Name);
    }

    /// <summary>Of several exercises of a movement the one whose names share most with what was said; null where that is none, or not one.</summary>
    private (HomeLine Line, HomeExercise Home, bool Sure)? Nearest(
        List<(HomeLine Line, HomeExercise Home)> free,
        string name,
        string? movement
    )
    {
        var lexicon = domain.Names.Lexicon;
        var words = lexicon.Plain(name).Split(' ').ToHashSet();
        int Shared(HomeLine line, HomeExercise home) =>
            new[] { home.Name, line.Gym.Name, line.GymExerciseName }.Max(n => lexicon.Plain(n).Split(' ').Count(words.Contains));
        var ranked = free.Where(p =>
                movement is not null
                && (lexicon.Read(p.Home.Name).Movement == movement || lexicon.Read(p.Line.GymExerciseName).Movement == movement)
            )
            .Select(p => (p.Line, p.Home, Shared: Shared(p.Line, p.Home)))
            .OrderByDescending(p => p.Shared)
            .ToList();
        return ranked.Count > 1 && ranked[0].Shared > ranked[1].Shared ? (ranked[0].Line, ranked[0].Home, true) : null;
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
