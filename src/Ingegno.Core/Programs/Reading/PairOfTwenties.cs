using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>
/// Twenties: "flat DB press 4x8 36s" is done with a pair of 36 kg. An s behind a figure is a rest as well, so the figure decides:
/// nobody rests 36 seconds, and 30 s may be either, which is asked (common practice).
/// </summary>
internal static class PairOfTwenties
{
    /// <summary>Rests that coaches write in seconds, up to the heaviest pair, s.</summary>
    public static readonly double[] Rests = [10, 15, 20, 30, 40, 45, 60];

    private const double LightestKg = 4;

    public const double HeaviestKg = 60;

    /// <summary>Takes a time, or a second dose, that is none for the weights that it is.</summary>
    public static void Settle(LineDraft draft, List<SetGroup> groups, Exercise exercise)
    {
        HeldBeside(draft, groups, exercise);
        var repeated = draft.Groups.Exists(g => g.Unit == CountUnit.Reps && (g.Counts.Count > 0 || g.Open));
        if (!repeated || draft.Load is not null || draft.LoadWord is not null || draft.Shares.Count > 0 || !IsDoneWithAPair(exercise))
        {
            return;
        }

        if (draft.Durations.Find(IsWeight) is not { } weight)
        {
            return;
        }

        if (!Rests.Contains(weight.Seconds.From) || IsRestBeside(draft, weight))
        {
            draft.Durations.Remove(weight);
            draft.Load = new PlannedLoad(weight.Seconds.From, Pieces: 2);
        }
        else
        {
            draft.Doubt(
                weight.Start,
                weight.Length,
                "shorthand.rest-or-pair",
                ("seconds", Quantity.Seconds(weight.Seconds.From)),
                ("pair", Quantity.Kg(weight.Seconds.From))
            );
        }
    }

    /// <summary>It speaks of a pair, whatever is lifted: 2x10 kg, or 2x30 beside the dose of anything but a bar's own lift.</summary>
    public static bool MayBeHeld(LineDraft draft, Exercise exercise) =>
        draft is { Load: { Pieces: 2, Added: false, Kg: <= HeaviestKg } }
        || (
            draft is { Load: null, LoadWord: null, Shares.Count: 0 }
            && exercise.Id is not ("back-squat" or "front-squat" or "deadlift" or "bench-press" or "overhead-press")
            && draft.Groups is [_, { Beside: true, Sets: 2, Counts: [{ Upper: null, From: >= LightestKg and <= HeaviestKg }] }]
        );

    /// <summary>Split squat 3x8 2x15, goblet squat 3x12 1x16: what stands beside the dose with nothing between is what is held; asked.</summary>
    private static void HeldBeside(LineDraft draft, List<SetGroup> groups, Exercise exercise)
    {
        if (
            groups is not [{ Unit: CountUnit.Reps }, { Beside: true, Unit: CountUnit.Reps, Sets: 1 or 2, SetsTo: null } beside]
            || beside is not { Counts: [{ Upper: null, From: >= LightestKg and <= HeaviestKg } kg], LastOpen: false, Open: false }
            || beside is not { Load: null, Share: null, OfTop: null, Rpe: null, Rir: null }
            || draft.Load is not null
            || draft.LoadWord is not null
            || !(IsHeld(exercise, beside.Sets.Value) || (draft.SaysBells && beside.Sets == 2))
        )
        {
            return;
        }

        groups.RemoveAt(1);
        draft.Groups.Remove(beside);
        draft.Load = new PlannedLoad(kg.From, Pieces: beside.Sets.Value);
        draft.Doubt(
            0,
            1,
            "shorthand.load-or-sets",
            ("load", Quantity.Kg(kg.From)),
            ("pieces", beside.Sets.Value),
            ("sets", $"{beside.Sets}x{kg.From:0}")
        );
    }

    /// <summary>So many weights are held in it: two in any of its ways, one in its plainest.</summary>
    public static bool IsHeld(Exercise exercise, int pieces) =>
        pieces == 2
            ? IsDoneWithAPair(exercise) || exercise.Setups.Any(s => s.Load.External is { } load && load.From.Contains(LoadSource.Pair))
            : exercise.Setups is [{ Load.External: { Required: true } one }, ..] && one.From.Contains(LoadSource.One);

    private static bool IsWeight(Duration duration) =>
        duration is { Plural: true, Seconds: { Upper: null, From: >= LightestKg and <= HeaviestKg } };

    /// <summary>Another time is the rest: 4x8 30s 90s.</summary>
    private static bool IsRestBeside(LineDraft draft, Duration weight) =>
        draft.Rest is not null || draft.Durations.Exists(d => d != weight && d.Seconds.From > weight.Seconds.From);

    /// <summary>Its plainest set-up has a weight in each hand, or it is known from the gym alone and lifts a pair there.</summary>
    private static bool IsDoneWithAPair(Exercise exercise) =>
        exercise.GymLoad == LoadSource.Pair
        || exercise.Setups is [{ Load.External: { Required: true } load }, ..] && load.From.Contains(LoadSource.Pair);
}
