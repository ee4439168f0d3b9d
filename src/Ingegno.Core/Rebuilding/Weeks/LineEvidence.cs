using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Rebuilding.Candidates;

namespace Ingegno.Core.Rebuilding.Weeks;

/// <summary>
/// What the gym plan says of the client's strength (docs/domain/strength-relations): who has 3x8 at 60 kg with two in reserve does ten with
/// it, and who has pull-ups 3x8 does about eight. It joins what is known; where it contradicts that, it is asked and not believed.
/// </summary>
public static class LineEvidence
{
    /// <summary>What the lines add to a client's known lifts, and what is to be asked.</summary>
    /// <param name="lines">The gym lines, as they were read.</param>
    /// <param name="client">The client.</param>
    /// <param name="domain">The domain rules.</param>
    public static (ClientProfile Client, ImmutableArray<Reason> Asked) Join(
        IEnumerable<GymLine> lines,
        ClientProfile client,
        DomainRules domain
    )
    {
        ArgumentNullException.ThrowIfNull(lines);
        ArgumentNullException.ThrowIfNull(client);
        ArgumentNullException.ThrowIfNull(domain);
        var anywhere = new ClientAtPlace(client, new PlaceKit { Name = string.Empty }, domain);
        var strength = anywhere.Strength;
        var (known, asked) = (client.KnownLifts.ToList(), new List<Reason>());
        var told = lines
            .Select(l => Of(l, domain.Catalogue.Get(l.ExerciseId), anywhere, domain))
            .OfType<Told>()
            .GroupBy(t => t.Lift.Anchor, StringComparer.Ordinal)
            .OrderBy(g => g.Key, StringComparer.Ordinal);
        foreach (var family in told)
        {
            // Several lines of a family: the lift itself before what is only related to it, and of those the strongest, for lighter ones may be
            // meant light. Who squats 100 kg for five is not told stronger by lunges.
            var most = family.OrderByDescending(t => t.IsTheLift).ThenByDescending(t => t.Lift.LoadKg).First();
            var typed = client.KnownLifts.LastOrDefault(k => k.Anchor == family.Key);
            var expected = strength.ForAnchor(family.Key)!;
            var apart = most.SystemKg / expected.OneRepMaxKg;
            if (typed is not null && apart > domain.Strength.Evidence.Contradicts)
            {
                asked.Add(
                    Reason.Of(
                        "evidence.contradicts",
                        ("line", most.Text),
                        ("lift", domain.Strength.Find(family.Key)!.Label),
                        ("known", Quantity.Kg(typed.LoadKg)),
                        ("reps", typed.Reps)
                    )
                );
            }
            else if (typed is null && 1 + (domain.Strength.Evidence.MostSpreads * expected.Spread) is var likely && apart > likely)
            {
                var code = most.HasLoad ? "evidence.taken-lower" : "evidence.not-believed";
                asked.Add(Reason.Of(code, ("line", most.Text), ("times", Math.Round(apart, 1)), ("taken", Math.Round(likely, 1))));

                // A load that somebody wrote down says more than a table of levels, as far as is likely; a body may have been helped.
                if (most.HasLoad)
                {
                    var body = domain.Strength.Find(family.Key)!.BodyShare(client.Sex) * strength.BodyMassKg;
                    known.Add(most.Lift with { LoadKg = Math.Round(Math.Max(1, (likely * expected.OneRepMaxKg) - body), 1) });
                }
            }
            else if (typed is null && !(apart < 1 && !most.IsLimit) && !client.Learned.Any(l => l.Anchor == family.Key))
            {
                known.Add(most.Lift);
            }
        }

        return (
            client with
            {
                KnownLifts = [.. known],
                Learned = [.. client.Learned, .. SmallMuscles.Estimate(lines, client, strength, domain)],
            },
            [.. asked]
        );
    }

    /// <summary>The client of a plan with what its gym lines tell.</summary>
    public static ClientProfile Learn(IEnumerable<HomeLine> lines, ClientProfile client, DomainRules domain)
    {
        ArgumentNullException.ThrowIfNull(lines);
        return Join(lines.Select(l => l.Gym).Where(g => domain.Catalogue.Find(g.ExerciseId) is not null), client, domain).Client;
    }

    /// <param name="Lift">The lift as it would be typed.</param>
    /// <param name="SystemKg">The anchor's one-rep maximum that follows, kg.</param>
    /// <param name="Text">The line.</param>
    /// <param name="IsLimit">It says what the client does at most: its effort was named and nothing heavier was wanting, or it is a hang, which
    /// is near the limit for most. Any other says at least: fifteen bridges, or tens with the kettlebell that was there, may be all that was asked.</param>
    /// <param name="HasLoad">Its load was written down.</param>
    /// <param name="IsTheLift">It is the anchor itself, or as good as it: both sides together, and nearly its load.</param>
    private sealed record Told(KnownLift Lift, double SystemKg, string Text, bool IsLimit, bool HasLoad, bool IsTheLift);

    /// <summary>What one's own body weighs in an exercise that needs nothing but floor and wall, kg; null for any other.</summary>
    private static double? OwnBody(Exercise exercise, ClientAtPlace anywhere) =>
        anywhere.Ways.Of(exercise).FirstOrDefault(w => w.Setup.Needs is null && w.Load.MassKg <= 0 && w.System.Kg > 0)?.System.Kg;

    private static Told? Of(GymLine line, Exercise exercise, ClientAtPlace anywhere, DomainRules domain)
    {
        var (client, strength) = (anywhere.Client, anywhere.Strength);
        if (
            line.Timed
            || line.Target.IsOpen
            || line.Method == SetMethod.Density // a total says nothing of one set
            || exercise.Strength is not { } relation
            || relation.Ratio < domain.Strength.Evidence.LeastRatio
            || line.Target.Max > domain.Strength.Evidence.MostReps
            || domain.Strength.Find(relation.Anchor) is not { } anchor
            || exercise.Structure != ExerciseStructure.Compound
            || exercise is { AtHome: false, GymLoad: null } or { IsOnStack: true }
        )
        {
            return null;
        }

        var hangs = exercise.Setups.Any(s => s.Load.Leverage is { Model: LeverageKind.LessForearms, Factor: >= 1 });
        var own = hangs ? strength.BodyMassKg * LessForearms : OwnBody(exercise, anywhere);
        var body = own ?? (anchor.BodyShare(client.Sex) * strength.BodyMassKg);
        if (line.Load is null && own is null)
        {
            return null;
        }

        var external =
            line.Load is { } load ? TypedLoad.TotalKg(load with { ToKg = null }, exercise)
            : line.Modifiers.Any(m => m.Id == Weighted) ? domain.Strength.Evidence.LeastHung * strength.BodyMassKg
            : 0;
        var reps = line.Target.Min + (line.Reserve ?? domain.Dose.Unsaid.Rir);
        // A lunge moves three quarters of body and bar: the share of its own set-up, or of the same movement's at home.
        var moved = (external > 0 ? anywhere.Ways.Carrying(WithSetup(exercise, domain), external) : null) ?? (external + body);
        var system = RepMaxCurve.OneRepMax(moved, Math.Min(reps, 20), relation.Curve) / relation.At(client.Level);
        var bar = Math.Max(1, system - (anchor.BodyShare(client.Sex) * strength.BodyMassKg));
        return new Told(
            new KnownLift(relation.Anchor, Math.Round(bar, 1)) { Line = Shorthand.Write(line) },
            system,
            Shorthand.Write(line),
            IsLimit: hangs || (line.Reserve <= domain.Strength.Evidence.StatedReserve && IsLoadedAsWanted(line, exercise)),
            HasLoad: line.Load is not null,
            IsTheLift: exercise.Sides == Sides.Bilateral
                && Math.Abs(relation.Ratio - 1) <= domain.Strength.Evidence.AsGoodAs
                && (own is not null || IsLoadedLikeALift(exercise))
        );
    }

    /// <summary>The exercise, or where it is one of the gym alone the same movement, as heavy and as many-sided, that has a set-up.</summary>
    private static Exercise WithSetup(Exercise exercise, DomainRules domain) =>
        exercise.Setups.IsEmpty && domain.Names.MovementOf(exercise) is { } movement
            ? domain.Catalogue.All.FirstOrDefault(e =>
                e.AtHome && e.Strength == exercise.Strength && e.Sides == exercise.Sides && domain.Names.MovementOf(e) == movement
            ) ?? exercise
            : exercise;

    /// <summary>On a bar or in both hands; what is held at the chest is as heavy as the arms allow, and says little of the legs.</summary>
    private static bool IsLoadedLikeALift(Exercise exercise) =>
        exercise.GymLoad is LoadSource.Bar or LoadSource.TrapBar or LoadSource.Pair
        || exercise.Setups.Any(s => s.Load.External?.From.Any(f => f is LoadSource.Bar or LoadSource.TrapBar or LoadSource.Pair) == true);

    /// <summary>A bar takes any weight; a dumbbell, a kettlebell, a bag may have been the heaviest there.</summary>
    private static bool IsLoadedAsWanted(GymLine line, Exercise exercise) =>
        line.Modifiers.All(m => m.Kind != NameFeatureKind.Implement || m.Id.Contains("bar", StringComparison.Ordinal))
        && (
            exercise.GymLoad is LoadSource.Bar or LoadSource.TrapBar
            || exercise.Setups.Any(s => s.Load.External?.From.Any(f => f is LoadSource.Bar or LoadSource.TrapBar) == true)
        );

    /// <summary>A name that says that weight is hung on the body, not how much.</summary>
    private const string Weighted = "weighted";

    /// <summary>Share of the body above the grip of a hang: all but hands and forearms (de Leva 1996, mean of both sexes).</summary>
    private const double LessForearms = 0.956;
}
