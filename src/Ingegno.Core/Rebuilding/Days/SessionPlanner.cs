using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Rebuilding.Days;

/// <summary>Lays out a day: order, lines in turn, and what gives way when it takes longer than the client has.</summary>
public sealed class SessionPlanner(DomainRules domain, ClientProfile client)
{
    private readonly SessionTime _time = new(domain.Session);

    /// <summary>The session of a day.</summary>
    /// <param name="lines">Lines of the day in the order of the gym text.</param>
    /// <param name="approach">Approach of the day.</param>
    /// <param name="fit">Whether it may be cut to the client's minutes.</param>
    /// <param name="inTurn">Lines that are done in turn as they stand; those of other days among them.</param>
    public LaidOutSession Plan(
        ImmutableArray<HomeLine> lines,
        Approach approach,
        bool fit,
        ImmutableArray<ImmutableArray<LineKey>> inTurn = default
    )
    {
        ArgumentNullException.ThrowIfNull(approach);
        var draft = new SessionDraft(lines, domain, client.MinutesPerSession);
        foreach (var group in inTurn.IsDefault ? [] : inTurn)
        {
            var together = group.Select(key => draft.Free.FirstOrDefault(l => l.Gym.Key == key)).OfType<HomeLine>().ToList();
            if (together.Count == group.Length)
            {
                draft.Join(together, Reason.Of("group.stands"));
            }
        }

        if (approach.Prefers.Contains(TechniqueName.PreExhaust))
        {
            PreExhaust(draft);
        }

        Pair(draft, approach);
        var limit = client.MinutesPerSession;
        var cut = fit && limit is { } minutes ? SessionFit.Cut(draft, approach, client, minutes) : [];
        var groups = draft.Groups(approach);
        return new LaidOutSession(draft.Lines, groups, new SessionMinutes(_time.Minutes(groups, draft.ByKey(), limit), limit), cut);
    }

    /// <summary>Code of what is said of lines that are put in turn.</summary>
    public const string InTurn = "fit.in-turn";

    /// <summary>Code of what is said when nothing is left to cut and the day is still too long.</summary>
    public const string StillOver = "fit.still-over";

    /// <summary>
    /// A day cut to fewer minutes than planned, on the spot: what is done together stays together, and figures that a coach set give way
    /// like any other, for the choice is a shorter day or none.
    /// </summary>
    /// <param name="lines">Lines of the day as they stand.</param>
    /// <param name="groups">Its groups.</param>
    /// <param name="approach">Its approach.</param>
    /// <param name="minutes">Minutes that there are.</param>
    public LaidOutSession Shorter(ImmutableArray<HomeLine> lines, ImmutableArray<RoundGroup> groups, Approach approach, int minutes)
    {
        ArgumentNullException.ThrowIfNull(approach);
        var draft = new SessionDraft([.. lines.Select(Free)], domain, minutes);
        foreach (var group in groups.Where(g => g.Lines.Length > 1 && draft.Free.Any(l => g.Lines.Contains(l.Gym.Key))))
        {
            draft.Join(
                draft.Lines.Where(l => group.Lines.Contains(l.Gym.Key)).OrderBy(l => group.Lines.IndexOf(l.Gym.Key)),
                group.Why ?? Reason.None
            );
        }

        ImmutableArray<Reason> warmUp =
            _time.PreparationMinutes(minutes) < _time.PreparationMinutes(client.MinutesPerSession)
                ? [Reason.Of("fit.warm-up", ("minutes", _time.PreparationMinutes(minutes)))]
                : [];
        var cut = warmUp.AddRange(SessionFit.Cut(draft, approach, client, minutes));
        var left = draft.Groups(approach);
        return new LaidOutSession(draft.Lines, left, new SessionMinutes(_time.Minutes(left, draft.ByKey(), minutes), minutes), cut);
    }

    private static HomeLine Free(HomeLine line) =>
        line with
        {
            Locked = false,
            Chosen = line.Chosen is { } chosen
                ? chosen with
                {
                    Exercises = [.. chosen.Exercises.Select(e => e with { EditedByCoach = false, Stands = false })],
                }
                : null,
        };

    private void Pair(SessionDraft draft, Approach approach)
    {
        if (approach.Pairing == PairingRule.Opposite)
        {
            var free = draft
                .Free.Where(l =>
                    l.Role != LineRole.Activation
                    && l.Chosen!.Exercises.All(e => e is { Stands: false, Dose.Scheme: not { OwnsItsRest: true } })
                )
                .ToList();
            foreach (var (first, second, fit) in Pairing.Find(free, 2, domain.Catalogue))
            {
                draft.Join([first, second], Reason.Of(fit == 3 ? "group.opposite" : "group.halves"));
            }
        }
    }

    /// <summary>
    /// A compound line that stays too easy is tired beforehand by an isolation line of the same muscle on the same day.
    /// </summary>
    private void PreExhaust(SessionDraft draft)
    {
        if (domain.Techniques.FirstOrDefault(t => t.Scheme is PreExhaust) is not { } technique)
        {
            return;
        }

        foreach (var line in draft.Free.Where(l => IsTooEasy(l, technique)).ToList())
        {
            var muscles = domain.Catalogue.Get(line.Chosen!.Exercises[0].ExerciseId).PrimeMovers().ToList();
            var first = draft.Free.FirstOrDefault(l =>
                l.Gym.Key != line.Gym.Key
                && l.Chosen!.Exercises.All(e => e.RestMayGiveWay)
                && IsIsolation(l)
                && domain.Catalogue.Get(l.Chosen!.Exercises[0].ExerciseId).PrimeMovers().Intersect(muscles).Any()
                && !RigUse.Conflict(l.Chosen.Exercises[0], line.Chosen.Exercises[0])
            );
            if (first is null)
            {
                continue;
            }

            var tired = Tired(line, technique);
            draft.Replace(tired);
            draft.Replace(first = Straight(first));
            draft.Join(
                [first, tired],
                Reason.Of("group.pre-exhaust", ("first", first.Chosen!.Exercises[0].Name), ("second", tired.Chosen!.Exercises[0].Name))
            );
        }
    }

    private bool IsTooEasy(HomeLine line, Technique technique) =>
        line
            is {
                Role: LineRole.Main or LineRole.Secondary,
                Chosen.Exercises: [{ MayGiveWay: true, Dose.Scheme: null, Expected: not null, Wanted: not null } home]
            }
        && home.Expected.Mid > home.Wanted.Max * domain.Dose.TooEasy
        && technique.Fits(domain.Catalogue.Get(home.ExerciseId), client);

    private bool IsIsolation(HomeLine line) =>
        line.Chosen is { Exercises: [{ Dose.Timed: false } home] }
        && domain.Catalogue.Get(home.ExerciseId).Structure == ExerciseStructure.Isolation;

    /// <summary>Straight sets in place of one rest-pause set, so that both lines run the same rounds.</summary>
    private static HomeLine Straight(HomeLine line)
    {
        var home = line.Chosen!.Exercises[0];
        if (home.Dose.Scheme is not { StandsForSets: > 1 })
        {
            return line;
        }

        var dose = StraightSets.InPlaceOf(home.Dose) with { Sets = line.Gym.Sets };
        return line with { Chosen = line.Chosen with { Exercises = [home with { Dose = dose }] } };
    }

    private static HomeLine Tired(HomeLine line, Technique technique)
    {
        var home = line.Chosen!.Exercises[0];
        var reps = home.Expected!.Times(technique.RepsLeft);
        var top = Math.Clamp((int)Math.Floor(reps.Mid) - home.Dose.Rir, home.Wanted!.Min, DosePrescriber.MostUsefulReps);
        var bottom = Math.Min(home.Dose.Target.Min, Math.Max(home.Wanted.Min, (int)Math.Round(top * 0.8)));
        var dose = home.Dose with
        {
            Scheme = technique.Scheme,
            Target = new Foundation.Quantities.SetTarget(bottom, Math.Max(bottom, top)),
            Techniques = home.Dose.Techniques.Add(technique.Id),
            Instructions = home.Dose.Instructions.Add(Reason.Text(technique.How)),
        };
        return line with { Chosen = line.Chosen with { Exercises = [home.WithReps(reps) with { Dose = dose }] } };
    }
}
