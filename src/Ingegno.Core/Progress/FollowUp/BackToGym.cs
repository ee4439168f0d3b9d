using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;

namespace Ingegno.Core.Progress.FollowUp;

/// <summary>How the time at home went.</summary>
/// <param name="WeeksAway">Weeks since the last gym session, 0–520.</param>
/// <param name="Adherence">Home sessions done of those planned, as a share; null when nothing is logged.</param>
/// <param name="Change">Change of strength at home by anchor lift, as a share: .05 is 5 % more.</param>
public sealed record TimeAtHome(int WeeksAway, double? Adherence, ImmutableDictionary<string, double> Change);

/// <summary>A gym line on the way back.</summary>
/// <param name="Line">Line of the text.</param>
/// <param name="Name">The exercise.</param>
/// <param name="OldKg">Load before, kg a piece; null when the plan names none.</param>
/// <param name="LoadsKg">Load of each week, kg a piece; empty when the plan names none.</param>
/// <param name="Reason">Why, in a sentence.</param>
public sealed record ReturnLine(int Line, string Name, double? OldKg, ImmutableArray<double> LoadsKg, Reason Reason);

/// <summary>A week on the way back, in shorthand.</summary>
public sealed record ReturnWeek(string Name, string Text);

/// <summary>The way back to the gym.</summary>
/// <param name="Shares">Share of the old load in each week, before what was gained at home.</param>
/// <param name="Weeks">The weeks as a gym program in shorthand.</param>
/// <param name="Lines">What happens to each line.</param>
/// <param name="Notes">What to know, in sentences.</param>
public sealed record GymReturn(
    ImmutableArray<double> Shares,
    ImmutableArray<ReturnWeek> Weeks,
    ImmutableArray<ReturnLine> Lines,
    ImmutableArray<Reason> Notes
);

/// <summary>
/// First loads and a ramp for the return (docs/domain/progression, common practice): four weeks away and more 70, 80, 90, 100 % of the old
/// load, shorter breaks shorter ramps; one step is spared when the home plan was kept and strength held. What was gained at
/// home, at most a tenth, is added to where the ramp ends.
/// </summary>
public sealed class BackToGym(DomainRules domain)
{
    /// <summary>Home sessions kept from which a step of the ramp is spared.</summary>
    public const double KeptUp = 0.75;

    /// <summary>Farthest that strength at home moves the loads, as a share: home sets say less of the gym lift than the lift
    /// itself.</summary>
    public const double FarthestChange = 0.10;

    private static readonly ImmutableArray<double> WholeRamp = [0.7, 0.8, 0.9, 1];

    /// <summary>Share of the old load by week for a time away.</summary>
    public static ImmutableArray<double> Ramp(int weeksAway, bool keptUp)
    {
        ArgumentOutOfRangeException.ThrowIfNegative(weeksAway);
        var steps = weeksAway switch
        {
            0 => 1,
            1 => 2,
            < 4 => 3,
            _ => 4,
        };
        return WholeRamp[^Math.Max(1, keptUp && steps > 2 ? steps - 1 : steps)..];
    }

    /// <summary>The way back for a gym week.</summary>
    /// <param name="text">The gym week in shorthand, as it was.</param>
    /// <param name="home">How the time at home went.</param>
    /// <param name="client">The client with what logs teach; null leaves lines without a load to feel.</param>
    public GymReturn Plan(string text, TimeAtHome home, ClientProfile? client = null)
    {
        ArgumentNullException.ThrowIfNull(text);
        ArgumentNullException.ThrowIfNull(home);
        var parser = new ShorthandParser(domain.Names);
        var whole = parser.Parse(text);
        (text, var read) = LineByLine(text, whole, parser);
        var held = home.Change.Count == 0 || home.Change.Values.Average() >= 0;
        var shares = Ramp(home.WeeksAway, home.Adherence >= KeptUp && held);
        var lines = read
            .Lines.Select(l =>
                HasOldLoad(l) ? Line(l, shares, home)
                : l.WorkingShare is { } percent ? InPercent(l, percent, shares)
                : client is not null && Estimated(l, shares, client) is { } estimated ? estimated
                : ByFeel(l)
            )
            .ToImmutableArray();
        var weeks = shares.Select(
            (share, week) => new ReturnWeek($"Back, week {week + 1} of {shares.Length}", Week(text, read, lines, week, shares))
        );
        return new GymReturn(
            shares,
            [.. weeks],
            lines,
            [.. whole.OnlyFirst is { } first ? [first] : ImmutableArray<Reason>.Empty, .. Notes(home, shares, lines)]
        );
    }

    /// <summary>One week with a row for each exercise: what was joined from several rows would leave its old load below the new one.</summary>
    private static (string Text, ShorthandResult Read) LineByLine(string text, ShorthandResult read, ShorthandParser parser)
    {
        if (read.Weeks.Length > 1)
        {
            text = read.Weeks[0].Text;
            read = parser.Parse(text);
        }

        return read.Rows.Any(r => !r.JoinedLines.IsEmpty) ? (read.InOwnForm, parser.Parse(read.InOwnForm)) : (text, read);
    }

    private ReturnLine Line(GymLine line, ImmutableArray<double> shares, TimeAtHome home)
    {
        var exercise = domain.Catalogue.Find(line.ExerciseId);
        var old = (line.Load ?? line.Each.Select(e => e.Load).OfType<PlannedLoad>().MaxBy(l => l.Kg))!;
        var change =
            exercise?.Strength is { } strength && home.Change.TryGetValue(strength.Anchor, out var seen)
                ? Math.Clamp(seen, -FarthestChange, FarthestChange)
                : 0;
        var loads = shares.Select(s => Rounded(old.Kg * s * (1 + change))).ToImmutableArray();
        var code =
            exercise?.Strength is not { } measured || !home.Change.ContainsKey(measured.Anchor) ? "back.not-known"
            : Math.Abs(change) < 0.005 ? "back.held"
            : change > 0 ? "back.rose"
            : "back.fell";
        return new ReturnLine(
            line.Line,
            NameOf(line),
            old.Kg,
            loads,
            Reason.Of(code, ("change", Quantity.Percent(Math.Abs(change))), ("loads", FactList.Of(loads)))
        );
    }

    private static bool HasOldLoad(GymLine line) => line.Load is not null || line.Each.Any(e => e.Load is not null);

    private string NameOf(GymLine line) => domain.Catalogue.Find(line.ExerciseId)?.Name ?? line.Name;

    private ReturnLine ByFeel(GymLine line) => new(line.Line, NameOf(line), null, [], Reason.Of("back.by-feel"));

    /// <summary>A plan written in percent comes back in percent.</summary>
    private ReturnLine InPercent(GymLine line, double percent, ImmutableArray<double> shares) =>
        new(
            line.Line,
            NameOf(line),
            null,
            [],
            Reason.Of("back.percent", ("percents", FactList.Of(shares.Select(s => Quantity.Percent(Percent(percent * s))))))
        );

    /// <summary>Down to the next two and a half percent.</summary>
    private static double Percent(double share) => Math.Max(0.025, Math.Floor((share / 0.025) + 1e-9) * 0.025);

    /// <summary>
    /// A lift whose plan names no load, from known lifts and logs: the load that leaves the planned reps and reserve. Null for
    /// machines, which count their stacks each in their own way, and where level alone speaks: that is too little to load a bar by.
    /// </summary>
    private ReturnLine? Estimated(GymLine line, ImmutableArray<double> shares, ClientProfile client)
    {
        if (
            line.Timed
            || line.Target.IsOpen
            || domain.Catalogue.Find(line.ExerciseId) is not { Strength: { } relation, AtHome: true } exercise
        )
        {
            return null;
        }

        var strength = new ClientStrength(client, domain.Strength);
        var ofBody = new BodyShares(BodySegments.ForSex(client.Sex), strength.StatureCm, domain.Leverage);
        if (
            FreeWeight.Find(exercise.Setups.Select(s => s.Load), ofBody, strength.BodyMassKg) is not { } weight
            || strength.For(exercise) is not { Spread: <= ClientStrength.SpreadRelated } estimate
        )
        {
            return null;
        }

        if (exercise.Id == relation.Anchor)
        {
            weight = weight with { BodyKg = domain.Strength.Find(relation.Anchor)!.BodyShare(client.Sex) * strength.BodyMassKg };
        }

        var reps = line.Target.Max + (line.Reserve ?? domain.Dose.Unsaid.Rir);
        var share = 1 / RepMaxCurve.MaxOverLoad(reps, relation.Curve);
        var kg = weight.PieceKg(estimate.OneRepMaxKg * share);
        return kg <= 0
            ? null
            : new ReturnLine(
                line.Line,
                exercise.Name,
                null,
                [.. shares.Select(s => Rounded(kg * s))],
                Reason.Of(
                    "back.estimated",
                    ("load", Quantity.Kg(Rounded(kg))),
                    ("spread", Quantity.Percent(estimate.Spread / 2)),
                    ("basis", estimate.RestsOn)
                )
            );
    }

    private static string Week(string text, ShorthandResult read, ImmutableArray<ReturnLine> lines, int week, ImmutableArray<double> shares)
    {
        var rows = text.ReplaceLineEndings("\n").Split('\n');
        foreach (var (line, back) in read.Lines.Zip(lines))
        {
            rows[line.Line - 1] = Shorthand.Write(AsWritten(line, back, shares, week));
        }

        return string.Join('\n', rows);
    }

    /// <summary>Of what was written in pounds down to five of them, as plates come there (common practice).</summary>
    private static double InPlates(double kg, PlannedLoad load) =>
        load.Pounds ? Math.Round(Math.Floor((kg / Units.KgPerPound / PoundsOfPlates) + 1e-6) * PoundsOfPlates * Units.KgPerPound, 3) : kg;

    private const double PoundsOfPlates = 5;

    /// <summary>The line in the way that it was written: kilograms in kilograms, percent in percent, RPE in RPE, waves set by set; the first week
    /// is easier.</summary>
    private static GymLine AsWritten(GymLine line, ReturnLine back, ImmutableArray<double> shares, int week)
    {
        var (share, first) = (shares[week], week == 0 && shares.Length > 1);
        var old = line.Load ?? line.Each.Select(e => e.Load).OfType<PlannedLoad>().MaxBy(l => l.Kg);
        var ofOld = old is { Kg: > 0 } && !back.LoadsKg.IsEmpty ? back.LoadsKg[^1] * share / old.Kg : share;
        double? Scaled(double? percent) => percent is { } p && old is null ? Percent(p * share) : null;
        double? Easier(double? rpe) => first && rpe is { } r ? Math.Min(r, EasyRpe) : rpe;
        var noted = line.Rpe is not null || line.Each.Any(e => e.Rpe is not null || e.Rir is not null);
        double? kg = back.LoadsKg.IsEmpty ? null : back.LoadsKg[week];
        return line with
        {
            Load =
                line.Load is { } load ? load with { Kg = InPlates(kg ?? load.Kg, load), ToKg = null }
                : old is null && kg is { } estimated ? new PlannedLoad(estimated)
                : null,
            ShareOfMax = Scaled(line.ShareOfMax),
            ShareOfMaxTo = Scaled(line.ShareOfMaxTo),
            Rir = line.Timed || noted || !first ? line.Rir : Math.Max(line.Rir ?? 0, EasyRir),
            Rpe = Easier(line.Rpe),
            RpeTo = first && line.Rpe is not null ? null : line.RpeTo,
            Each =
            [
                .. line.Each.Select(e =>
                    e with
                    {
                        Load = e.Load is { } each ? each with { Kg = Rounded(each.Kg * ofOld), ToKg = null } : null,
                        ShareOfMax = Scaled(e.ShareOfMax),
                        Rpe = Easier(e.Rpe),
                        Rir = first && e.Rir is { } rir ? Math.Max(rir, EasyRir) : e.Rir,
                    }
                ),
            ],
        };
    }

    private const double EasyRpe = 7;
    private const int EasyRir = 3;

    /// <summary>Down to the next plate: 2.5 kg steps, from 12 kg down whole kilograms.</summary>
    private static double Rounded(double kg) =>
        kg <= ByTheKilogram ? Math.Max(1, Math.Floor(kg + 1e-9)) : Math.Max(ByTheKilogram, Math.Floor((kg / 2.5) + 1e-9) * 2.5);

    /// <summary>Dumbbells come by the kilogram up to so many, kg.</summary>
    private const double ByTheKilogram = 12;

    private static IEnumerable<Reason> Notes(TimeAtHome home, ImmutableArray<double> shares, ImmutableArray<ReturnLine> lines)
    {
        yield return Reason.Of("back.away", ("weeks", home.WeeksAway), ("shares", FactList.Of(shares.Select(Quantity.Percent))));
        if (home.Adherence >= KeptUp)
        {
            yield return Reason.Of("back.kept-up", ("share", Quantity.Percent(home.Adherence!.Value)));
        }

        if (lines.Any(l => l.Reason.Code == "back.by-feel"))
        {
            yield return Reason.Of("back.note-loads");
        }

        yield return Reason.Of("back.sore");
    }
}
