using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading.Bands;
using Ingegno.Core.Equipment.Loading.Sketches;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Text;

namespace Ingegno.Core.Equipment.Loading;

/// <summary>Every way in which the bands of a place can be rigged for a set-up, weakest first.</summary>
public static class BandOptions
{
    /// <summary>Two rigs whose mean forces differ by less than this share count as one; the simpler is kept.</summary>
    private const double SameForce = 0.06;

    /// <summary>A band that never pulls as much hangs slack, and is none, kg (common practice).</summary>
    private const double LeastForceKg = 1;

    private static readonly double[] ChokesCm = [0, 15, 30, 45];
    private static readonly double[] GripsCm = [0, 15, 30, 45];
    private static readonly double[] AnchorSteps = [1, 1.3, 1.6];

    /// <summary>All useful rigs of single bands, and of two bands together.</summary>
    public static IReadOnlyList<ReachableLoad> For(KitAtPlace kit, BandLoad load, double statureCm)
    {
        ArgumentNullException.ThrowIfNull(kit);
        ArgumentNullException.ThrowIfNull(load);
        var bands = kit.UsableThatAre(load.Of).Where(t => load.Rig != BandRigKind.Assist || t.Kind.Is("closed-loop")).ToList();
        var single = bands.SelectMany(b => Rigged(b, load, statureCm)).ToList();
        var together = Together(bands, single).Where(l => l.Band!.Most <= (load.CapKg ?? double.PositiveInfinity));
        return Merge(single.Select(s => s.Load).Concat(together));
    }

    /// <summary>The rig in words: where the feet and hands are.</summary>
    public static string InWords(BandLoad load, BandGrip grip)
    {
        ArgumentNullException.ThrowIfNull(load);
        ArgumentNullException.ThrowIfNull(grip);
        var parts = new List<string>();
        if (grip.Doubled)
        {
            parts.Add("doubled");
        }

        if (load.Rig == BandRigKind.StoodOn)
        {
            parts.Add(grip.StanceCm <= 0 ? "under one foot" : $"feet {Words.Number(grip.StanceCm, 0)} cm apart on it");
        }

        if (load.Rig == BandRigKind.Anchored)
        {
            parts.Add($"starting {Words.Number(grip.AnchorCm, 0)} cm from the anchor");
        }

        if (grip.ChokeCm > 0)
        {
            parts.Add($"gripped {Words.Number(grip.ChokeCm, 0)} cm short");
        }

        return string.Join(", ", parts);
    }

    private sealed record Rig(Thing Band, int Order, ReachableLoad Load);

    private static IEnumerable<Rig> Rigged(Thing band, BandLoad load, double statureCm)
    {
        BandForceCurve curve;
        try
        {
            curve = BandCalibration.CurveOf(band);
        }
        catch (BandMeasureException)
        {
            yield break; // The kit screen says what is wrong with it; a plan cannot rest on it.
        }

        var order = 0;
        foreach (var grip in Grips(curve, load, statureCm))
        {
            if (
                BandRig.RepWithin(curve, load, grip, statureCm) is { } rep
                && rep.Force.Most >= LeastForceKg
                && rep.Force.Most <= (load.CapKg ?? double.PositiveInfinity)
            )
            {
                yield return new Rig(band, order, ToLoad(band, load, grip, rep, statureCm));
            }

            order++;
        }
    }

    private static ReachableLoad ToLoad(Thing band, BandLoad load, BandGrip grip, BandRep rep, double statureCm)
    {
        var how = InWords(load, grip);
        var force = load.Assists
            ? $"takes {Words.Number(rep.Force.Start)} kg off at the bottom, {Words.Number(rep.Force.End)} kg at the top"
            : $"{Words.Number(rep.Force.Start)} kg at the start, {Words.Number(rep.Force.End)} kg at the end";
        return new ReachableLoad(rep.Force.Mean, $"{band.InWords}{(how.Length > 0 ? ", " + how : string.Empty)}: {force}", [band.Id])
        {
            Band = rep.Force,
            Rigged = [RiggedBand.From(band.InWords, load, grip, rep, statureCm)],
            Stretch = rep.MostStretch,
            WeightKg = 0,
            Warning = rep.Warning,
        };
    }

    /// <summary>Simplest first.</summary>
    private static IEnumerable<BandGrip> Grips(BandForceCurve curve, BandLoad load, double statureCm)
    {
        var hip = Math.Round(BodyLengths.HipWidth * statureCm);
        var folds = curve.Strands == 2 ? new[] { false, true } : [false];
        return load.Rig switch
        {
            BandRigKind.StoodOn => from fold in folds
            from choke in ChokesCm
            from stance in new[] { hip, 0, Math.Round(1.8 * hip) }
            select new BandGrip(fold, choke, stance),
            BandRigKind.Anchored => from fold in folds
            from step in AnchorSteps
            let taut = BandRig.TautCm(curve, new BandGrip(fold))
            select new BandGrip(fold, AnchorCm: Math.Round(taut * step / 5) * 5),
            BandRigKind.Between => from fold in folds from choke in GripsCm select new BandGrip(fold, choke),
            _ => [new BandGrip()],
        };
    }

    /// <summary>Two bands in the same simplest rig: forces add.</summary>
    private static IEnumerable<ReachableLoad> Together(List<Thing> bands, List<Rig> rigged)
    {
        var simplest = rigged.GroupBy(r => r.Band.Id).ToDictionary(g => g.Key, g => g.MinBy(r => r.Order)!.Load);
        var each = bands.Where(b => simplest.ContainsKey(b.Id)).SelectMany(b => Enumerable.Repeat(b, Math.Min(2, b.Count))).ToList();
        for (var i = 0; i < each.Count; i++)
        {
            for (var j = i + 1; j < each.Count; j++)
            {
                var (a, b) = (simplest[each[i].Id], simplest[each[j].Id]);
                var force = a.Band!.Plus(b.Band!);
                yield return new ReachableLoad(
                    force.Mean,
                    each[i].Id == each[j].Id ? $"2 × {a.InWords} each" : $"{a.InWords}; with it {b.InWords}",
                    [.. a.ItemIds.Union(b.ItemIds)]
                )
                {
                    Band = force,
                    Rigged = [.. a.Rigged, .. b.Rigged],
                    Stretch = Math.Max(a.Stretch ?? 0, b.Stretch ?? 0),
                    WeightKg = 0,
                    Warning = a.Warning ?? b.Warning,
                };
            }
        }
    }

    private static List<ReachableLoad> Merge(IEnumerable<ReachableLoad> loads)
    {
        var kept = new List<ReachableLoad>();
        foreach (var load in loads)
        {
            // They come simplest first, so what is already there stays; one that stretches less far than is wise is better than one that does not.
            var same = kept.FindIndex(k => Math.Abs(k.MassKg - load.MassKg) <= SameForce * Math.Max(k.MassKg, load.MassKg));
            if (same < 0)
            {
                kept.Add(load);
            }
            else if (kept[same].IsFarStretched && !load.IsFarStretched)
            {
                kept[same] = load;
            }
        }

        return [.. kept.OrderBy(l => l.MassKg).ThenBy(l => l.InWords, StringComparer.Ordinal)];
    }
}
