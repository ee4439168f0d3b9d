using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading.Bands;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Web.Features;

/// <summary>An exercise in a list.</summary>
public sealed record ExerciseSummary(
    string Id,
    string Name,
    ImmutableArray<string> Synonyms,
    MovementPattern Pattern,
    bool AtHome,
    int Skill,
    ImmutableArray<BandSetup> BandSetups
);

/// <summary>A set-up of an exercise that uses a band.</summary>
public sealed record BandSetup(string Id, string Text, BandRigKind Rig);

/// <summary>An anchor lift that a client may know.</summary>
public sealed record AnchorSummary(string Id, string Label);

/// <summary>What the interface needs to know of the domain rules.</summary>
public sealed record RulesSummary(
    ImmutableArray<ExerciseSummary> Exercises,
    ImmutableArray<KitKind> KitKinds,
    ImmutableArray<FirstUseStep> FirstUse,
    ImmutableArray<ReadyItem> ReadyItems,
    ImmutableArray<KitTemplate> KitTemplates,
    ImmutableArray<AnchorSummary> Anchors,
    ImmutableArray<string> Techniques,
    ImmutableArray<ApproachSummary> Approaches,
    ImmutableArray<TechniqueStep> TechniqueSteps,
    ImmutableDictionary<string, ImmutableArray<string>> Vocabulary,
    ImmutableDictionary<string, int> SkillCeilings,
    ClientWords ClientWords
)
{
    /// <summary>Longest text of a gym week, characters.</summary>
    public int GymTextLength => ShorthandLimits.TextLength;

    /// <summary>Body mass taken where none is known, kg.</summary>
    public double AssumedMassKg => AssumedBody.MassKg;

    /// <summary>Stature taken where none is known, cm.</summary>
    public double AssumedStatureCm => AssumedBody.StatureCm;
}

/// <summary>Words that a client and the lines of a week are described with.</summary>
public sealed record ClientWords(
    ImmutableArray<Level> Levels,
    ImmutableArray<Goal> Goals,
    ImmutableArray<Sex> Sexes,
    ImmutableArray<Joint> Joints,
    ImmutableArray<Soreness> Sorenesses,
    ImmutableArray<BodySide> BodySides,
    ImmutableArray<ProvocationQuestion> Provocations,
    ImmutableArray<LineRole> Roles,
    ImmutableArray<ScreeningQuestion> Screening,
    ImmutableArray<ScreeningGateQuestion> Gates
);

/// <summary>What may bring a joint's complaint on.</summary>
/// <param name="Id">What is kept when it holds.</param>
/// <param name="Joint">The joint that it is asked of.</param>
/// <param name="Asked">What is asked.</param>
/// <param name="Clinician">A clinician is asked first; the joint counts as injured.</param>
public sealed record ProvocationQuestion(Provocation Id, Joint Joint, Reason Asked, bool Clinician);

/// <summary>One question of the screening.</summary>
/// <param name="Answer">What is kept when it holds.</param>
/// <param name="Asked">What is asked.</param>
/// <param name="Gate">The short question that it stands behind.</param>
public sealed record ScreeningQuestion(ScreeningAnswer Answer, Reason Asked, ScreeningGate Gate);

/// <summary>A short question, and whether high blood pressure is asked behind it.</summary>
public sealed record ScreeningGateQuestion(ScreeningGate Gate, Reason Asked, bool Pressure);

/// <summary>A technique step to choose.</summary>
public sealed record TechniqueStep(string Id, string Of, string Label, string How, double RepsLeft, string? Caution);

/// <summary>An approach to choose.</summary>
public sealed record ApproachSummary(string Id, string Name, string Idea, string Against, bool Conditioning, ImmutableArray<string> Phases);

/// <summary>The trade data of the signed-in practice, read-only.</summary>
public static class CatalogueEndpoints
{
    public static void MapCatalogue(this IEndpointRouteBuilder api)
    {
        api.MapGet("/trade", Summary).WithTags("trade");
        api.MapGet("/catalogue", All).WithTags("trade");
        api.MapGet("/catalogue/names", Named).WithTags("trade").ProducesProblem(StatusCodes.Status400BadRequest);
    }

    /// <summary>Exercises that a typed name may mean, likeliest first.</summary>
    private static Results<Ok<ImmutableArray<FoundName>>, ProblemHttpResult> Named(
        DomainRules domain,
        string? wanted = null,
        int most = 12
    ) =>
        wanted?.Length > ShorthandLimits.LineLength || most is < 1 or > 100
            ? Problems.Invalid("wanted", "A name has at most a line, and 1 to 100 exercises are found.")
            : TypedResults.Ok(NameSearch.Find(domain.Catalogue.All, wanted ?? string.Empty, most));

    /// <summary>Every exercise with all that the catalogue says of it.</summary>
    private static Ok<ImmutableArray<Exercise>> All(DomainRules domain) => TypedResults.Ok(domain.Catalogue.All);

    private static Ok<RulesSummary> Summary(DomainRules domain) =>
        TypedResults.Ok(
            new RulesSummary(
                [
                    .. domain.Catalogue.All.Select(e => new ExerciseSummary(
                        e.Id,
                        e.Name,
                        e.Synonyms,
                        e.Pattern,
                        e.AtHome,
                        e.Skill,
                        BandSetups(e)
                    )),
                ],
                domain.KitKinds.All,
                domain.KitKinds.FirstUse,
                domain.ReadyItems,
                domain.KitTemplates,
                [.. domain.Strength.Anchors.Select(a => new AnchorSummary(a.Id, a.Label))],
                [.. domain.Techniques.OrderBy(t => t.Order).Select(t => t.Of).Distinct()],
                [
                    .. domain.Approaches.Select(a => new ApproachSummary(
                        a.Id,
                        a.Name,
                        a.Idea,
                        a.Against,
                        a.Conditioning,
                        [.. a.Phases.Select(p => p.Name)]
                    )),
                ],
                [
                    .. domain
                        .Techniques.OrderBy(t => t.Order)
                        .Select(t => new TechniqueStep(t.Id, t.Of, t.Label, t.How, t.RepsLeft, t.Caution)),
                ],
                Vocabulary,
                Enum.GetValues<Level>().ToImmutableDictionary(WordOf, CandidateFilter.SkillCeiling),
                new ClientWords(
                    [.. Enum.GetValues<Level>()],
                    [.. Enum.GetValues<Goal>()],
                    [.. Enum.GetValues<Sex>()],
                    [.. Enum.GetValues<Joint>()],
                    [.. Enum.GetValues<Soreness>()],
                    [.. Enum.GetValues<BodySide>()],
                    [.. domain.Joints.Provocations.Select(p => new ProvocationQuestion(p.Id, p.Joint, Term.For(p.Id).Said(), p.Clinician))],
                    [.. Enum.GetValues<LineRole>()],
                    [.. Enum.GetValues<ScreeningAnswer>().Select(a => new ScreeningQuestion(a, Term.For(a).Said(), ScreeningGates.Of(a)))],
                    [
                        .. Enum.GetValues<ScreeningGate>()
                            .Select(g => new ScreeningGateQuestion(g, Term.For(g).Said(), g == ScreeningGate.Heart)),
                    ]
                )
            )
        );

    /// <summary>Words of the catalogue's schema that an exercise is described with.</summary>
    private static ImmutableDictionary<string, ImmutableArray<string>> Vocabulary { get; } =
        new Dictionary<string, ImmutableArray<string>>
        {
            ["pattern"] = Words<MovementPattern>(),
            ["plane"] = Words<Plane>(),
            ["structure"] = Words<ExerciseStructure>(),
            ["sides"] = Words<Sides>(),
            ["chain"] = Words<Chain>(),
            ["profile"] = Words<Profile>(),
            ["measure"] = Words<Measure>(),
            ["muscles"] = Words<Muscle>(),
            ["joints"] = Words<Joint>(),
        }.ToImmutableDictionary();

    private static ImmutableArray<string> Words<T>()
        where T : struct, Enum => [.. Enum.GetValues<T>().Distinct().Select(WordOf)];

    private static string WordOf<T>(T value)
        where T : struct, Enum => Term.For(value).Word;

    private static ImmutableArray<BandSetup> BandSetups(Exercise exercise) =>
        [
            .. exercise
                .Setups.Where(s => s.Load.Band is not null)
                .Select(s => new BandSetup(
                    s.Id,
                    s.Text.Replace("{load}", "the band", StringComparison.Ordinal)
                        .Replace("{anchor}", "an anchor", StringComparison.Ordinal),
                    s.Load.Band!.Rig
                )),
        ];
}
