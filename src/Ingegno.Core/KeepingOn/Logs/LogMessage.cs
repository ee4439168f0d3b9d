using System.Collections.Immutable;
using System.Globalization;
using Ingegno.Core.AtHome.Loading;
using Ingegno.Core.Ground.Body;
using Ingegno.Core.Ground.Text;
using Ingegno.Core.Knowledge.Catalogue;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Knowledge.TradeData;
using Ingegno.Core.Written.Plans;
using Ingegno.Core.Written.Programs;

namespace Ingegno.Core.KeepingOn.Logs;

/// <summary>What a message says of one exercise of the plan.</summary>
/// <param name="Source">The words.</param>
/// <param name="Line">Line of the plan it was read as; null when it has no place there.</param>
/// <param name="PlannedId">Exercise planned there.</param>
/// <param name="ExerciseId">Exercise done: the same, or what was taken instead.</param>
/// <param name="Text">The sets in the shorthand of the log; empty when it was skipped.</param>
/// <param name="Skipped">It was left out.</param>
/// <param name="Sure">The name says it; else it is the likeliest.</param>
public sealed record MessagePart(string Source, LineKey? Line, string? PlannedId, string? ExerciseId, string Text, bool Skipped, bool Sure);

/// <summary>What was read of a message.</summary>
/// <param name="Parts">Exercise by exercise, in the order of the message.</param>
/// <param name="Effort">Effort of the whole session, 1–10; null when not said.</param>
/// <param name="Note">What has no place elsewhere, as it was written.</param>
public sealed record ReadMessage(ImmutableArray<MessagePart> Parts, int? Effort, string Note)
{
    /// <summary>What was said to hurt; where nothing does, nothing.</summary>
    public ImmutableArray<MessagePain> Pains { get; init; } = [];
}

/// <summary>Pain in a message.</summary>
/// <param name="Words">The words.</param>
/// <param name="Where">The joint; null where none was named.</param>
/// <param name="Score">1–10; null where no figure was said.</param>
/// <param name="Asks">How much is to be asked: no figure was said, or a strong word stands for one.</param>
/// <param name="ExerciseId">Exercise it goes with; null where it has no place: then it stands apart until the coach has placed it.</param>
public sealed record MessagePain(string Words, Joint? Where, int? Score, bool Asks, string? ExerciseId);

/// <summary>
/// Reads a log as clients text it: "squats 12 11 10 ok, rows 8/8/7 easy, press 9,8,7 last one ugly, knee sore 3". Exercises of the plan are
/// found by what their names say, effort and pain in words; what cannot be placed stays as a note. Words of effort: common practice.
/// </summary>
public sealed class LogMessage(HomePlan plan, Trade trade)
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

        var parts = new List<Draft>();
        var (notes, effort) = (new List<string>(), (int?)null);
        var plain = PlainText.Of(text.ReplaceLineEndings(";"));
        var rounds = LogPhrases.Rounds().Match(plain);
        var times = rounds.Success ? Math.Min(MostRounds, int.Parse(rounds.Groups["n"].ValueSpan, CultureInfo.InvariantCulture)) : 1;
        var (spoken, pains) = PainTalk.TakeOut(plain[rounds.Length..]);
        var apart = new List<PainSaid>();
        foreach (var marked in Pieces(spoken).Take(MostParts))
        {
            var (bare, said) = PainTalk.In(marked, pains);
            var piece = PainTalk.Whole(marked, pains);
            if (!bare.Any(char.IsLetterOrDigit))
            {
                apart.AddRange(said.Where(pain => !Hurts(parts, pain)));
                continue;
            }

            var words = LogWords.Of(bare);
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

    /// <summary>A part of the message for each exercise: commas part reps too, so what begins with a figure goes on with what stood before.</summary>
    private static List<string> Pieces(string text)
    {
        var pieces = new List<string>();
        foreach (var raw in Split(text))
        {
            var piece = raw.Trim(' ', '-', '•', '*', ',', '.');
            if (piece.Length == 0)
            {
                continue;
            }

            var goesOn = pieces.Count > 0 && char.IsAsciiDigit(piece[0]) && !LogWords.Of(piece).NameAfterFigures;
            if (goesOn)
            {
                pieces[^1] += ", " + piece;
            }
            else
            {
                pieces.Add(piece);
            }
        }

        return pieces;
    }

    private static IEnumerable<string> Split(string text)
    {
        var start = 0;
        for (var i = 0; i <= text.Length; i++)
        {
            var ends =
                i == text.Length
                || text[i] is ';' or '!' or '\n'
                || (text[i] == ',' && !OtherSide(text.AsSpan(i + 1)))
                || (
                    text[i] == '-' && i > 0 && text[i - 1] == ' ' && i + 2 < text.Length && text[i + 1] == ' ' && char.IsLetter(text[i + 2])
                )
                || (text[i] == '.' && !(i > 0 && char.IsAsciiDigit(text[i - 1]) && i + 1 < text.Length && char.IsAsciiDigit(text[i + 1])));
            var and =
                !ends
                && text[i] == ' '
                && string.Compare(text, i, " and ", 0, 5, StringComparison.OrdinalIgnoreCase) == 0
                && i + 5 < text.Length
                && char.IsLetter(text[i + 5]);
            if (ends || and)
            {
                yield return text[start..i];
                start = Math.Min(text.Length, i + (and ? 5 : 1));
                i = Math.Max(i, start - 1);
            }
        }
    }

    /// <summary>"left 12, right 10" is one set.</summary>
    private static bool OtherSide(ReadOnlySpan<char> rest)
    {
        var after = rest.TrimStart();
        var side =
            after.StartsWith("right", StringComparison.OrdinalIgnoreCase) ? 5
            : after.StartsWith("left", StringComparison.OrdinalIgnoreCase) ? 4
            : 0;
        return side > 0 && after[side..].TrimStart() is [>= '0' and <= '9', ..];
    }

    private Draft? Placed(string piece, LogWords words, List<Draft> before)
    {
        if (words.Name.Length == 0 || (words.IsEmpty && !words.Skipped && words.InsteadOf is null))
        {
            return null; // a name alone says nothing that a log can hold
        }

        if (words.InsteadOf is { } instead)
        {
            var taken = trade.Names.Read(words.Name).Exercise;
            var planned = instead.Length > 0 ? Find(instead, before) : Open(before, taken);
            return planned is { } at && taken is not null ? new Draft(piece, at.Line, at.Home, taken.Id, words, true, trade) : null;
        }

        return Find(words.Name, before) is { } found
            ? new Draft(piece, found.Line, found.Home, found.Home.ExerciseId, words, found.Sure, trade)
            : null;
    }

    /// <summary>The exercise of the plan that a name means: by its own name or the gym line's, else by its movement.</summary>
    private (HomeLine Line, HomeExercise Home, bool Sure)? Find(string name, List<Draft> before)
    {
        var read = trade.Names.Read(name).Exercise;
        var free = _planned.Where(p => !before.Exists(b => b.Home == p.Home)).ToList();
        var said = trade.Names.Lexicon.Read(name);
        (HomeLine Line, HomeExercise Home, bool Sure)? Taken(Func<(HomeLine Line, HomeExercise Home), bool> fits, bool sure) =>
            free.Where(fits).Select(p => ((HomeLine, HomeExercise, bool)?)(p.Line, p.Home, sure)).FirstOrDefault();

        return Taken(p => read is not null && (p.Home.ExerciseId == read.Id || p.Line.Gym.ExerciseId == read.Id), true)
            ?? Taken(
                p =>
                    said.Movement is not null
                    && (
                        trade.Names.Lexicon.Read(p.Home.Name).Movement == said.Movement
                        || trade.Names.Lexicon.Read(p.Line.GymExerciseName).Movement == said.Movement
                    ),
                true
            )
            ?? Taken(p => Shares(name, p.Home.Name) || Shares(name, p.Line.GymExerciseName) || Shares(name, p.Line.Gym.Name), false)
            ?? Taken(p => read is not null && trade.Catalogue.Find(p.Home.ExerciseId)?.Pattern == read.Pattern, false);
    }

    /// <summary>Names share a word that tells them apart.</summary>
    private bool Shares(string name, string other)
    {
        var words = trade.Names.Lexicon.Plain(other).Split(' ').ToHashSet();
        return trade.Names.Lexicon.Plain(name).Split(' ').Any(w => w.Length > 3 && words.Contains(w));
    }

    /// <summary>What was taken instead of an exercise that is not named: of the same pattern, not yet spoken of.</summary>
    private (HomeLine Line, HomeExercise Home, bool Sure)? Open(List<Draft> before, Exercise? taken)
    {
        var open = _planned
            .Where(p =>
                taken is not null
                && !before.Exists(b => b.Home == p.Home)
                && trade.Catalogue.Find(p.Home.ExerciseId)?.Pattern == taken.Pattern
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
    private bool Hurts(List<Draft> parts, PainSaid pain)
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

    private int Load(Draft part, Joint joint) => trade.Catalogue.Find(part.ExerciseId)?.Joints.GetValueOrDefault(joint) ?? 0;

    /// <summary>Words that go on with the exercise before: "last one ugly", "left 2 in the tank".</summary>
    private static bool Adds(List<Draft> parts, LogWords words)
    {
        if (parts.Count == 0 || words.Name.Length > 0 || words.IsEmpty)
        {
            return false;
        }

        parts[^1].More.Add(words);
        return true;
    }

    private sealed class Draft(string source, HomeLine line, HomeExercise home, string exerciseId, LogWords words, bool sure, Trade trade)
    {
        public HomeLine Line => line;

        public HomeExercise Home => home;

        public string ExerciseId => exerciseId;

        public LogWords Words => words;

        /// <summary>What hurt at it.</summary>
        public List<PainSaid> Pains { get; } = [];

        public List<LogWords> More { get; } = [];

        /// <param name="rounds">So often the whole was done.</param>
        public MessagePart Part(int rounds) =>
            new(
                source,
                line.Gym.Key,
                home.ExerciseId,
                exerciseId,
                words.Skipped ? LeftOut()
                    : Text(rounds) is { Length: > 0 } sets ? sets + Asked()
                    : LeftOut(),
                words.Skipped,
                sure && IsMeasured
            );

        private PainSaid? Worst => Pains.Where(p => p.Score is not null).MaxBy(p => p.Score);

        /// <summary>A line holds one pain; the others.</summary>
        public IEnumerable<PainSaid> NotWritten => Pains.Where(p => !ReferenceEquals(p, Worst ?? Pains.Find(a => a.Score is null)));

        /// <summary>Pain without a figure asks for one.</summary>
        private string Asked() =>
            Worst is null && Pains.Find(p => p.Score is null) is { } asked ? $" {LogShorthand.AsksPain(asked.Where)}" : string.Empty;

        /// <summary>Of what was left out because it hurt, the pain: a set of no reps.</summary>
        private string LeftOut() =>
            Worst is { } pain
                ? LogShorthand.Write([
                    new LoggedSet
                    {
                        Reps = 0,
                        Pain = pain.Score,
                        PainJoint = pain.Where,
                        Sharp = pain.Sharp,
                    },
                ])
            : Asked() is { Length: > 0 } asked ? $"0{asked}"
            : string.Empty;

        private string Text(int rounds)
        {
            var all = More.Prepend(words).ToList();
            var reps = all.SelectMany(w => w.Reps).ToList();
            if (reps.Count == 0 && (all.Exists(w => w.AsPlanned) || all.Exists(w => w.Rir is not null)))
            {
                return LogShorthand.AsPlanned(home);
            }

            if (reps.Count == 0)
            {
                return string.Empty;
            }

            var reserves = all.SelectMany(w => w.Reserves).ToList();
            var times = words.EverySet && !home.Dose.PerSide ? home.Dose.Sets : rounds; // "10 each" of one side at a time are ten a side
            if (reps.Count == 1 && times > 1)
            {
                (reps, reserves) = ([.. Enumerable.Repeat(reps[0], times)], [.. Enumerable.Repeat(reserves[0], times)]);
            }

            if (all.Find(w => w.InTurn.Length == reps.Count) is { } each)
            {
                reserves = [.. each.InTurn.Select(r => (int?)r)];
            }

            var loads = all.SelectMany(w => w.Loads).ToList();

            var weighed = all.Find(w => w.LoadKg is not null);
            var effort = weighed is null ? null : EffortOf(weighed);
            var load = effort is null && weighed?.LoadKg is { } kg ? InBothHands(kg) : (double?)null;
            var rir = all.Select(w => w.Rir).LastOrDefault(r => r is not null) ?? effort ?? Hardest(all);
            var lastHard = all.Exists(w => w.LastSetHard);
            ImmutableArray<LoggedSet> sets =
            [
                .. reps.Select(
                    (r, i) =>
                        new LoggedSet
                        {
                            Reps = r,
                            LoadKg = loads.Count == reps.Count ? InBothHands(loads[i]!.Value) : load,
                            Rir = reserves[i] ?? (lastHard ? (i == reps.Count - 1 ? 0 : rir ?? 1) : rir),
                            Pain = i == reps.Count - 1 ? Worst?.Score : null,
                            PainJoint = i == reps.Count - 1 ? Worst?.Where : null,
                            Sharp = i == reps.Count - 1 && Worst is { Sharp: true },
                        }
                ),
            ];
            return LogShorthand.Write(sets);
        }

        /// <summary>As many efforts as sets were not said: the hardest holds for all.</summary>
        private static int? Hardest(List<LogWords> all) => all.SelectMany(w => w.InTurn).Select(r => (int?)r).Min();

        /// <summary>Seconds of what is counted, or reps of what is held, are asked.</summary>
        private bool IsMeasured =>
            !words.InSeconds || exerciseId != home.ExerciseId || trade.Catalogue.Find(exerciseId) is null or { Measure: Measure.Seconds };

        /// <summary>Reps in reserve that a bare "@8" stands for: an effort where nothing is held, or nothing of about that weight; null for a load.</summary>
        private int? EffortOf(LogWords said) =>
            said is { LoadIsBare: true, LoadKg: { } figure and >= LeastEffort and <= 10 }
            && (home.ExternalKg <= 0 || Math.Abs(home.ExternalKg - InBothHands(figure)) > home.ExternalKg / 3)
                ? (int)Math.Floor(10 - figure)
                : null;

        /// <summary>Of a pair the weight of one is said: nearer to the plan twice than once.</summary>
        private double InBothHands(double kg) =>
            (words.OfEachHand && IsOfAPair) || (IsOfAPair && Math.Abs((2 * kg) - home.ExternalKg) < Math.Abs(kg - home.ExternalKg))
                ? 2 * kg
                : kg;

        private bool IsOfAPair =>
            exerciseId == home.ExerciseId
            && trade
                .Catalogue.Find(exerciseId)
                ?.Setups.FirstOrDefault(s => s.Id == home.SetupId)
                ?.Load.External?.From.Contains(LoadSource.Pair) == true;

        private const double LeastEffort = 5;
    }

    internal static bool SaysAsPlanned(string text) => AsPlanned.Any(p => text.Contains(p, StringComparison.Ordinal));
}
