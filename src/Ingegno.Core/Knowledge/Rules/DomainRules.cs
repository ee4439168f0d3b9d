using System.Collections.Immutable;
using System.Text.Json;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Figures;
using Ingegno.Core.Knowledge.Naming;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>
/// Everything that is data and not code: the catalogue, kit kinds, strength tables, weights of the match, pattern
/// neighbours and techniques. Immutable; the shipped copy is built once.
/// </summary>
public sealed record DomainRules(
    ExerciseCatalogue Catalogue,
    KitKinds KitKinds,
    ImmutableArray<ReadyItem> ReadyItems,
    ImmutableArray<KitTemplate> KitTemplates,
    ImmutableArray<Purchase> Purchases,
    StrengthTables Strength,
    LeverageTables Leverage,
    MatchRules Match,
    ImmutableArray<Technique> Techniques,
    ImmutableArray<Approach> Approaches,
    SetFatigue Fatigue,
    DoseRules Dose,
    ProgressionRules Progression,
    BlockRules Blocks,
    SessionRules Session,
    RedSigns Red,
    HealthRules Health,
    JointRules Joints,
    NamingLexicon Lexicon
)
{
    private static readonly Lazy<DomainRules> LazyShipped = new(ReadShipped);

    /// <summary>The trade data that ships with the program.</summary>
    public static DomainRules Shipped => LazyShipped.Value;

    /// <summary>Names under which the shorthand finds exercises.</summary>
    public ExerciseNames Names { get; private init; } = new(Lexicon, Catalogue.All);

    /// <summary>How exercises look.</summary>
    public FigureBook Figures { get; } = FigureBook.Shipped;

    /// <summary>What a tempo costs in reps.</summary>
    public TempoCost TempoCost { get; private init; } = new(Techniques);

    /// <summary>Costs of a client that rests and techniques are counted with; empty for the usual ones.</summary>
    public ImmutableArray<LearnedCost> Costs { get; private init; } = [];

    /// <summary>The approach of that key; the default when there is none.</summary>
    public Approach ApproachOf(string? id) => Approaches.FirstOrDefault(a => a.Id == id) ?? Approaches.First(a => a.Id == Approach.Default);

    /// <summary>The trade with a practice's own exercises; one of the same id takes the place of the shipped one.</summary>
    public DomainRules With(IReadOnlyCollection<Exercise> own)
    {
        ArgumentNullException.ThrowIfNull(own);
        var replaced = own.Select(e => e.Id).ToHashSet();
        return own.Count == 0
            ? this
            : new DomainRules(
                new ExerciseCatalogue(Catalogue.All.Where(e => !replaced.Contains(e.Id)).Concat(own)),
                KitKinds,
                ReadyItems,
                KitTemplates,
                Purchases,
                Strength,
                Leverage,
                Match,
                Techniques,
                Approaches,
                Fatigue,
                Dose,
                Progression,
                Blocks,
                Session,
                Red,
                Health,
                Joints,
                Lexicon
            );
    }

    /// <summary>The trade with the names that a practice taught.</summary>
    public DomainRules WithNames(ImmutableArray<TaughtName> taught) =>
        taught.IsDefaultOrEmpty ? this : this with { Names = new ExerciseNames(Lexicon, Catalogue.All, taught) };

    /// <summary>The trade with a practice's own approaches after those that ship.</summary>
    public DomainRules WithApproaches(IReadOnlyCollection<Approach> own)
    {
        ArgumentNullException.ThrowIfNull(own);
        return own.Count == 0 ? this : this with { Approaches = [.. Approaches, .. own] };
    }

    /// <summary>The trade with rests and techniques as they cost a client; the same costs count once.</summary>
    public DomainRules WithCosts(ImmutableArray<LearnedCost> costs)
    {
        if (costs.IsDefaultOrEmpty || Costs.SequenceEqual(costs))
        {
            return this;
        }

        var techniques = Techniques
            .Select(t =>
                t.RepsLeft < 1 && costs.FirstOrDefault(c => c.Of == t.Of) is { } own ? t with { RepsLeft = own.Left(t.RepsLeft) } : t
            )
            .ToImmutableArray();
        var fatigue = costs.FirstOrDefault(c => c.Of == LearnedCost.Rests) is { } rests
            ? Fatigue with
            {
                Left = [.. Fatigue.Left.Select(p => ImmutableArray.Create(p[0], rests.Left(p[1])))],
            }
            : Fatigue;
        return this with { Techniques = techniques, TempoCost = new TempoCost(techniques), Fatigue = fatigue, Costs = costs };
    }

    private static DomainRules ReadShipped()
    {
        var assembly = typeof(DomainRules).Assembly;
        var exercises = assembly
            .GetManifestResourceNames()
            .Where(n => n.StartsWith("catalogue/", StringComparison.Ordinal) && !n.EndsWith(".schema.json", StringComparison.Ordinal))
            .Order(StringComparer.Ordinal)
            .SelectMany(n => Read<ImmutableArray<Exercise>>(n));
        return new DomainRules(
            new ExerciseCatalogue(exercises),
            new KitKinds(Read<KitKindsDocument>("rules/kit-kinds.json")),
            Read<ImmutableArray<ReadyItem>>("rules/ready-items.json"),
            Read<ImmutableArray<KitTemplate>>("rules/kit-templates.json"),
            Read<ImmutableArray<Purchase>>("rules/purchases.json"),
            Read<StrengthTables>("rules/strength.json"),
            Read<LeverageTables>("rules/leverage.json"),
            Read<MatchRules>("rules/matching.json"),
            Read<ImmutableArray<Technique>>("rules/techniques.json"),
            Read<ImmutableArray<Approach>>("rules/approaches.json"),
            Read<SetFatigue>("rules/set-fatigue.json"),
            Read<DoseRules>("rules/dose.json"),
            Read<ProgressionRules>("rules/progression.json"),
            Read<BlockRules>("rules/blocks.json"),
            Read<SessionRules>("rules/session.json"),
            Read<RedSigns>("rules/red-words.json"),
            Read<HealthRules>("rules/health.json"),
            Read<JointRules>("rules/joints.json"),
            new NamingLexicon(Read<NamingDocument>("names/naming.json"))
        );

        T Read<T>(string name)
        {
            using var stream =
                assembly.GetManifestResourceStream(name)
                ?? throw new InvalidOperationException($"The data file {name} is missing from the program.");
            try
            {
                return JsonSerializer.Deserialize<T>(stream, RulesJson.Strict)
                    ?? throw new InvalidOperationException($"The data file {name} is empty.");
            }
            catch (JsonException wrong)
            {
                throw new InvalidOperationException($"The data file {name} cannot be read: {wrong.Message}", wrong);
            }
        }
    }
}
