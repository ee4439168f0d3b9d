using System.Collections.Immutable;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;

namespace Ingegno.Core.Progress.Logs;

/// <summary>What a message has said so far of one exercise of the plan.</summary>
internal sealed class MessageDraft(
    string source,
    HomeLine line,
    HomeExercise home,
    string exerciseId,
    LogWords words,
    bool sure,
    DomainRules domain
)
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
            var planned = LogShorthand.AsPlanned(home);
            return all.Select(w => w.Rir).LastOrDefault(r => r is not null) is { } felt
                ? LogShorthand.Write([.. LogShorthand.Read(planned).Sets.Select(s => s with { Rir = felt })])
                : planned;
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
        !words.InSeconds || exerciseId != home.ExerciseId || domain.Catalogue.Find(exerciseId) is null or { Measure: Measure.Seconds };

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
        && domain
            .Catalogue.Find(exerciseId)
            ?.Setups.FirstOrDefault(s => s.Id == home.SetupId)
            ?.Load.External?.From.Contains(LoadSource.Pair) == true;

    private const double LeastEffort = 5;
}
