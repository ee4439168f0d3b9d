using System.Collections.Immutable;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Progress.ClientApp;

/// <summary>Writes the release of a plan: what its client needs on the floor.</summary>
/// <param name="domain">The domain rules.</param>
public sealed class ReleaseWriter(DomainRules domain)
{
    /// <summary>Reps less for who slept badly or is sore: one more in reserve (common practice).</summary>
    private const int TiredReps = 1;

    /// <summary>Ways in which a client may feel, in the order in which they are offered.</summary>
    private static readonly ImmutableArray<DayForm> Forms =
    [
        new("fresh", Reason.Of("form.fresh"), Reason.Of("advice.fresh")),
        new("fine", Reason.Of("form.fine"), Reason.Of("advice.fine")),
        new("slept-badly", Reason.Of("form.slept-badly"), Reason.Of("advice.slept-badly"), TiredReps),
        new("sore", Reason.Of("form.sore"), Reason.Of("advice.sore"), TiredReps),
    ];

    /// <summary>The release of a plan.</summary>
    /// <param name="title">Title of the plan.</param>
    /// <param name="request">What it is built from.</param>
    /// <param name="plan">The plan with the candidates of its lines.</param>
    /// <param name="word">A word of the coach; empty for none.</param>
    public Release Write(string title, RebuildRequest request, HomePlan plan, string word)
    {
        ArgumentNullException.ThrowIfNull(request);
        ArgumentNullException.ThrowIfNull(plan);
        var at = new ClientAtPlace(request.Client, request.Kit, domain);
        return new Release
        {
            Title = title,
            Place = request.Kit.Name,
            Word = word.Trim(),
            Days = [.. plan.Days.Select((day, i) => Day(day, i, request, plan, at))],
            Pain = new PainOnTheSpot(
                DoubleProgression.TolerablePain + 1,
                DoubleProgression.StoppingPain,
                Reason.Of("floor.ease"),
                Reason.Of("floor.stop"),
                Reason.Of("floor.stop-signs")
            ),
            Forms = Forms,
        };
    }

    /// <summary>Key of an exercise within a release.</summary>
    public static string KeyOf(LineKey line, string exerciseId) => $"{line}-{exerciseId}";

    private ReleaseDay Day(HomeDay day, int index, RebuildRequest request, HomePlan plan, ClientAtPlace at)
    {
        var lines = plan.Lines.Where(l => l.Gym.Day == index).ToImmutableArray();
        var taken = lines.SelectMany(l => l.Chosen?.Exercises ?? []).Select(e => e.ExerciseId).ToHashSet();
        var order = day.Groups.SelectMany(g => g.Lines).ToList();
        var used = lines
            .OrderBy(l => order.IndexOf(l.Gym.Key))
            .SelectMany(l => l.Chosen?.Exercises ?? [])
            .SelectMany(e => e.UsesItems)
            .Distinct();
        return new ReleaseDay
        {
            Name = day.Name,
            LayOut = [.. used.SelectMany(id => at.Kit.Things.Where(t => t.Id == id)).Select(InWords)],
            WarmUp = [.. day.WarmUp.Select(Timed)],
            CoolDown = [.. day.CoolDown.Select(Timed)],
            Kept = [.. plan.Kept.Where(k => k.Day == index).Select(k => k.Text)],
            Exercises =
            [
                .. from line in lines
                where line.Chosen is not null
                let alternatives = new Alternatives(domain).Of(line, taken)
                from home in line.Chosen!.Exercises
                select Exercise(line, home, at) with
                {
                    Why = Why(line, home),
                    Lighter = new Alternative(Exercise(line, LighterSame.Lighten(home, at), at), [SwapReason.Hurts], []),
                    Alternatives = [.. alternatives.Select(a => new Alternative(Exercise(line, a.Home, at), a.Helps, a.Spares))],
                },
            ],
            Courses = new Courses(at.DomainRules, request.Client).Of(day, lines, request.ApproachOn(day.Name, domain)),
        };
    }

    /// <summary>What it is for. Why the coach's program ranks it is between the program and the coach, and tells of the profile.</summary>
    private Reason Why(HomeLine line, HomeExercise home)
    {
        var muscles = FactList.Of(domain.Catalogue.Get(home.ExerciseId).PrimeMovers());
        return line.Gym.ExerciseId == home.ExerciseId
            ? Reason.Of("floor.trains", ("muscles", muscles))
            : Reason.Of("floor.trains-for", ("muscles", muscles), ("gym", line.GymExerciseName));
    }

    /// <summary>Facts of the profile stay with the coach, also inside another sentence.</summary>
    private static bool TellsOfProfile(Reason said) =>
        said.Facts.Any(f =>
            f.Name is "stature" or "soreness" or "mass" or "level"
            || (f.Value is Reason inner && TellsOfProfile(inner))
            || (f.Value is FactList list && list.Items.OfType<Reason>().Any(TellsOfProfile))
        );

    private static Reason InWords(Dose dose)
    {
        Fact[] every = dose.Scheme is EveryMinute minute ? [("every", Quantity.Seconds(minute.Interval))] : [];
        return Reason.Of(
            "floor.dose",
            [
                ("sets", dose.LastSetOpen ? dose.Sets - 1 : dose.Sets),
                ("target", dose.Target.IsOpen ? string.Empty : InWords(dose.Scheme, dose.Target)),
                ("timed", dose.Timed),
                ("side", dose.PerSide),
                ("open", dose.LastSetOpen),
                ("small", dose.Scheme is RestPause),
                ("drop", dose.Scheme is GoingOn),
                .. every,
            ]
        );
    }

    /// <summary>Reps of a set as they stand in a sentence: those of a scheme with figures of its own as it writes them.</summary>
    private static string InWords(SetScheme? scheme, SetTarget target) => scheme is Cluster ? scheme.Reps(target) : target.InWords;

    private static string InWords(Equipment.Kit.Thing thing) => thing.Count > 1 ? $"{thing.Count} × {thing.InWords}" : thing.InWords;

    private TimedStep Timed(Reason step) => new(step, domain.Session.Timed.TryGetValue(step.Code, out var seconds) ? seconds : null);

    private ReleaseExercise Exercise(HomeLine line, HomeExercise home, ClientAtPlace at)
    {
        var phases = home.Dose.Timed
            ? []
            : RepCounting.Phases(home.Dose.Tempo, domain.Session.CountOf(domain.Catalogue.Get(home.ExerciseId).Pattern));
        var heaviest = at.Ways.Of(home)?.Ways.Select(w => (double?)w.Load.MassKg).Max();
        return new ReleaseExercise
        {
            Key = KeyOf(line.Gym.Key, home.ExerciseId),
            Line = line.Gym.Key,
            ExerciseId = home.ExerciseId,
            Name = home.Name,
            Setup = home.Setup,
            SetupId = home.SetupId,
            DrawnWith = home.DrawnWith,
            Bag = home.Bag,
            Bands = home.Bands,
            Steps = home.Steps,
            How = home.How,
            Cues = home.Cues,
            Cautions = [.. home.Cautions.Where(c => !TellsOfProfile(c))],
            // The phone leads through small sets by itself.
            Instructions = home.Dose.Instructions.RemoveAll(i => i.Code is RestPause.SmallSetsCode),
            Figures = home.Dose.Figures,
            Dose = InWords(home.Dose),
            Timed = home.Dose.Timed,
            PerSide = home.Dose.PerSide,
            Phases = phases,
            Tempo = phases.IsEmpty ? Reason.None : RepCounting.InWords(phases),
            Rir = home.Dose.Rir,
            ExternalKg = home.ExternalKg,
            Sets = SetParts.Build(home.Dose, domain.Session),
            EverySeconds = (home.Dose.Scheme as EveryMinute)?.Interval,
            Loads = [.. domain.Catalogue.Get(home.ExerciseId).Joints.Keys],
            Doubt = DoubtOf(home, LogDoubts.LimitsOf(home, heaviest)),
        };
    }

    private static FigureDoubt DoubtOf(HomeExercise home, DoubtLimits limits) =>
        new(
            limits.MostReps,
            limits.MostKg,
            Reason.Of(home.Dose.Timed ? "floor.doubt-seconds" : "floor.doubt-reps", ("most", limits.MostReps)),
            Reason.Of("floor.doubt-load", ("most", Quantity.Kg(limits.MostKg, 0)))
        );
}
