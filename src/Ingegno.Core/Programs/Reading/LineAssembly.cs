using System.Collections.Immutable;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>What became of a row.</summary>
/// <param name="Row">As it was understood.</param>
/// <param name="Line">The exercise with its dose; null when it is none.</param>
/// <param name="Kept">Other work; null when it is none.</param>
/// <param name="Error">Why it cannot be read; null when it can.</param>
internal sealed record AssembledRow(ReadRow Row, GymLine? Line = null, KeptLine? Kept = null, ShorthandError? Error = null)
{
    /// <summary>Its load has no unit and is more than a strong member lifts in kilograms.</summary>
    public bool Beyond { get; init; }
}

/// <summary>Makes a line of what was read of a row, with what is in doubt and what else it could be.</summary>
internal sealed class LineAssembly(ExerciseNames names, Habit habit)
{
    /// <summary>Metres or seconds from which a row without a load is on the machine (common practice).</summary>
    private const double OnTheMachineMetres = 200;

    private const double OnTheMachineSeconds = 180;

    /// <summary>Makes what a row says of its parts.</summary>
    /// <param name="row">The row.</param>
    /// <param name="number">Its line in the text, 1 first.</param>
    /// <param name="draft">Its parts.</param>
    /// <param name="label">Label before it.</param>
    public AssembledRow Of(string row, int number, LineDraft draft, string? label)
    {
        var name = NameInRow.Find(row, draft, names, habit.Implement);
        if (habit.Implement is null && InEachHand(row, draft, name) is { } pair)
        {
            name = pair;
        }

        draft.SaysBells = names.ImplementOf(name.Text) is "dumbbell" or "kettlebell";

        draft.Notes.InsertRange(0, name.Notes);
        var dosed = draft.HasDose || draft.Durations.Count > 0 || draft.Bare.Count > 0;
        if (name.Reading.Certainty == Certainty.Unknown)
        {
            return dosed ? Unknown(row, number, name) : new AssembledRow(new ReadRow(number, RowKind.Comment, row.Trim()));
        }

        if (name.Reading.Other is { } other || OnTheMachine(name.Reading.Exercise!, draft, out other))
        {
            return new AssembledRow(
                new ReadRow(number, RowKind.Kept, row.Trim()) { ReadAs = string.Empty, Name = name.Text },
                Kept: new KeptLine(number, 0, other, row.Trim())
            );
        }

        // A sentence that happens to hold a movement's name is said beside the program.
        if (!dosed && (draft.Notes.Count > 1 || name.Reading.Certainty != Certainty.Sure || name.Text.Split(' ').Length > 6))
        {
            return new AssembledRow(new ReadRow(number, RowKind.Comment, row.Trim()));
        }

        try
        {
            return Read(row, number, draft, label, name, name.Reading.Exercise!);
        }
        catch (UnreadableRowException wrong)
        {
            return new AssembledRow(
                new ReadRow(number, RowKind.Unread, row.Trim()),
                Error: new ShorthandError(number, 1, Math.Max(1, row.Length), wrong.Code, wrong.Said, [])
            );
        }
    }

    /// <summary>A pair that is held says with what, where the name does not: "Lunges 3x12 2x10 kg", "Shrugs 3x15 2x30".</summary>
    private NameInRow? InEachHand(string row, LineDraft draft, NameInRow plain) =>
        plain.Reading.Exercise is { } exercise
        && PairOfTwenties.MayBeHeld(draft, exercise)
        && NameInRow.Find(row, draft, names, "dumbbell") is { Reading.Exercise: { } held } pair
        && pair.Reading.Certainty <= plain.Reading.Certainty
        && PairOfTwenties.IsHeld(held, pieces: 2)
            ? pair
            : null;

    private AssembledRow Read(string row, int number, LineDraft draft, string? label, NameInRow name, Exercise exercise)
    {
        var line = new GymLine
        {
            Line = number,
            Label = label,
            ExerciseId = exercise.Id,
            Name = name.Text,
            Sets = 0,
            Target = SetTarget.Open,
            Modifiers = name.Reading.Modifiers,
        };
        var spoken = names.Lexicon.Document.Loads;
        line = DoseAssembly.Assemble(line, draft, exercise, spoken);
        var beyond =
            draft.Unitless && line.Each.Select(s => s.Load).Append(line.Load).Any(load => LoadWithoutUnit.IsBeyond(exercise, load, spoken));
        AskForUnit(draft, line, beyond);
        line = line with { Note = draft.Notes.Count > 0 ? string.Join("; ", draft.Notes) : null }; // the dose may leave something to be said
        var written = Shorthand.Write(line);
        var account = RowAccount.Of(draft, name, line, written);
        return new AssembledRow(
            new ReadRow(number, RowKind.Line, written)
            {
                Fields = LineFields.Of(line, number, account, exercise.Name),
                ReadAs = exercise.Name,
                Said = [.. line.Modifiers.Where(m => m.Kind != NameFeatureKind.Word).Select(m => m.InWords)],
                ExerciseId = exercise.Id,
                Name = name.Text,
                Certainty = name.Reading.Certainty,
                Doubts =
                [
                    .. NameDoubt(line, name, exercise),
                    .. draft.Doubts.Select(d => Doubt(d, row, line)),
                    .. Unlikely(line, row),
                    .. NotUsed(account, draft, row),
                ],
            },
            line
        )
        {
            Beyond = beyond,
        };
    }

    /// <summary>A load without a unit that was taken for pounds, or is more than a strong member lifts in kilograms, is asked about.</summary>
    private static void AskForUnit(LineDraft draft, GymLine line, bool beyond)
    {
        if (!draft.Unitless || LoadOf(line) is not { } load || !(beyond || draft.Habit.Pounds))
        {
            return;
        }

        draft.Doubts.RemoveAll(d => d.What.Code is "shorthand.load-unit" or "shorthand.load-assumed" or "shorthand.loads-assumed");
        if (!draft.Doubts.Exists(d => d.What.Code == "shorthand.read-as-pounds"))
        {
            var claim = draft.Claims.Find(c => c.Field == LineField.Load);
            var figure = load.Pounds ? Math.Round(load.Kg / Foundation.Quantities.Units.KgPerPound, 1) : load.Kg;
            draft.Doubt(
                claim.Start,
                Math.Max(1, claim.End - claim.Start),
                draft.Habit.Pounds ? "shorthand.read-as-pounds" : "shorthand.heavy-for-kilograms",
                ("load", figure)
            );
        }
    }

    private static IEnumerable<ReadingDoubt> NameDoubt(GymLine line, NameInRow name, Exercise exercise)
    {
        if (name.Reading.Certainty == Certainty.Sure)
        {
            yield break;
        }

        yield return new ReadingDoubt(
            name.Start + 1,
            Math.Max(1, name.Length),
            Reason.Of("reading.name", ("name", name.Text), ("exercise", exercise.Name)),
            [.. name.Reading.Alternatives.Select(e => new OtherReading(e.Name, Shorthand.Write(line with { Name = e.Name }), e.Id))]
        )
        {
            OnlySpelling = name.Reading.OnlySpelling,
        };
    }

    private ReadingDoubt Doubt(DraftDoubt doubt, string row, GymLine line)
    {
        var others = doubt.What.Code switch
        {
            "shorthand.figure-without-unit" when doubt.What["figure"] is double figure => Units(figure, line),
            "shorthand.load-assumed" when doubt.What["figure"] is double figure => Units(figure, line with { Load = null })
                .Where(o => !o.Label.EndsWith(" kg", StringComparison.Ordinal)),
            "shorthand.loads-assumed" when line.Each.All(s => s.Load is { Kg: >= LeastShare and <= MostShare }) => [Shares(line)],
            "shorthand.load-unit" or "shorthand.heavy-for-kilograms" or "shorthand.read-as-pounds" when LoadOf(line) is not null =>
            [
                OtherUnit(line),
            ],
            "shorthand.training-max" => [OfTheMaximum(line)],
            "shorthand.in-all" => [EachSide(line)],
            "shorthand.rest-or-pair" => [Pair(line)],
            "shorthand.load-or-sets" when line.Load is { } held => [MoreSets(line, held)],
            _ => [],
        };
        return new ReadingDoubt(doubt.Start + 1, Math.Min(doubt.Length, Math.Max(1, row.Length)), doubt.What, [.. others]);
    }

    /// <summary>Percentages that are planned.</summary>
    private const double LeastShare = 30,
        MostShare = 110;

    /// <summary>The load of each set as a share of the most that can be lifted.</summary>
    private static OtherReading Shares(GymLine line)
    {
        var shares = line with { Each = [.. line.Each.Select(s => new PlannedSet(s.Target) { ShareOfMax = s.Load!.Kg / 100 })] };
        return new OtherReading($"{string.Join('/', line.Each.Select(s => $"{s.Load!.Kg:0.#}"))} %", Shorthand.Write(shares));
    }

    /// <summary>The same figures, pounds for kilograms.</summary>
    private static OtherReading OtherUnit(GymLine line)
    {
        var other = LoadWithoutUnit.InTheOtherUnit(line);
        return new OtherReading(Shorthand.LoadInWords(LoadOf(other)!), Shorthand.Write(other));
    }

    /// <summary>The load of all sets, or of the first that has one.</summary>
    private static PlannedLoad? LoadOf(GymLine line) => line.Load ?? line.Each.Select(s => s.Load).FirstOrDefault(l => l is not null);

    /// <summary>The same share of what can be lifted once.</summary>
    private OtherReading OfTheMaximum(GymLine line)
    {
        double? More(double? share) => share is { } s ? Math.Round(s / names.Lexicon.Document.Loads.TrainingMax, 4) : null;
        var whole = line with
        {
            ShareOfMax = More(line.ShareOfMax),
            ShareOfMaxTo = More(line.ShareOfMaxTo),
            Each = [.. line.Each.Select(s => s with { ShareOfMax = More(s.ShareOfMax) })],
        };
        var share = whole.ShareOfMax ?? whole.Each.Select(s => s.ShareOfMax).FirstOrDefault(s => s is not null) ?? 0;
        return new OtherReading($"{share * 100:0.#} % of the maximum", Shorthand.Write(whole));
    }

    /// <summary>The same figure, counted for each side.</summary>
    private static OtherReading EachSide(GymLine line)
    {
        var each = line with { Target = new SetTarget(2 * line.Target.Min, 2 * line.Target.Max) };
        return new OtherReading($"{each.Target.InWords} a side", Shorthand.Write(each));
    }

    /// <summary>The seconds of rest as kilograms in each hand.</summary>
    private static OtherReading Pair(GymLine line)
    {
        var pair = line with { RestSeconds = null, RestTo = null, Load = new PlannedLoad(line.RestSeconds ?? 0, Pieces: 2) };
        return new OtherReading($"2 x {line.RestSeconds} kg", Shorthand.Write(pair));
    }

    /// <summary>The pair that is held as so many sets of that many reps.</summary>
    private static OtherReading MoreSets(GymLine line, PlannedLoad held)
    {
        var more = new SetTarget((int)held.Kg, (int)held.Kg);
        var sets = line with
        {
            Load = null,
            Sets = line.Sets + held.Pieces,
            Target = new SetTarget(Math.Min(line.Target.Min, more.Min), Math.Max(line.Target.Max, more.Max)),
            Each = [.. Enumerable.Repeat(new PlannedSet(line.Target), line.Sets), .. Enumerable.Repeat(new PlannedSet(more), held.Pieces)],
        };
        return new OtherReading($"{held.Pieces}x{more.InWords}", Shorthand.Write(sets));
    }

    /// <summary>What a figure without a unit could be.</summary>
    private static IEnumerable<OtherReading> Units(double figure, GymLine line)
    {
        if (figure is >= LeastShare and <= MostShare)
        {
            var percent = line with { ShareOfMax = figure / 100 };
            yield return new OtherReading($"{figure:0.#} %", Shorthand.Write(percent));
        }

        if (figure is > 0 and <= ShorthandLimits.LoadKg)
        {
            yield return new OtherReading($"{figure:0.#} kg", Shorthand.Write(line with { Load = new PlannedLoad(figure) }));
            yield return new OtherReading(
                $"{figure:0.#} lb",
                Shorthand.Write(
                    line with
                    {
                        Load = new PlannedLoad(Math.Round(figure * Foundation.Quantities.Units.KgPerPound, 3)) { Pounds = true },
                    }
                )
            );
        }

        if (figure is >= 15 and <= ShorthandLimits.RestSeconds)
        {
            yield return new OtherReading($"{figure:0} s rest", Shorthand.Write(line with { RestSeconds = (int)figure }));
        }
    }

    /// <summary>Figures that stand in the row and in nothing that was made of it, unless they are asked about already.</summary>
    private static IEnumerable<ReadingDoubt> NotUsed(ImmutableArray<Claim> account, LineDraft draft, string row) =>
        from claim in account
        where claim.Field == LineField.NotPlaced && claim.Start < row.Length
        where !draft.Doubts.Exists(d => d.Start < claim.End && claim.Start < d.Start + d.Length)
        select new ReadingDoubt(
            claim.Start + 1,
            claim.End - claim.Start,
            Reason.Of("reading.not-used", ("words", row[claim.Start..Math.Min(claim.End, row.Length)])),
            []
        );

    /// <summary>Figures that are possible and that nobody plans.</summary>
    private static IEnumerable<ReadingDoubt> Unlikely(GymLine line, string row)
    {
        if (line is { Timed: false, Metres: null } && !line.Target.IsOpen && line.Target.Max > 50 && line.Sets > 1)
        {
            yield return new ReadingDoubt(1, Math.Max(1, row.Length), Reason.Of("reading.many-reps", ("reps", line.Target.Max)), []);
        }
    }

    private AssembledRow Unknown(string row, int number, NameInRow name)
    {
        var near = names.Nearest(name.Text);
        return name.Text.Length == 0
            ? new AssembledRow(
                new ReadRow(number, RowKind.Unread, row.Trim()),
                Error: new ShorthandError(number, 1, Math.Max(1, row.Length), "shorthand.no-name", Reason.Of("shorthand.no-name"), [])
            )
            : new AssembledRow(
                new ReadRow(number, RowKind.Kept, row.Trim()) { Name = name.Text, Certainty = Certainty.Unknown },
                Kept: new KeptLine(number, 0, OtherWork.Unknown, row.Trim()),
                Error: new ShorthandError(
                    number,
                    name.Start + 1,
                    Math.Max(1, name.Length),
                    "shorthand.unknown-exercise",
                    Reason.Of("shorthand.unknown-exercise", ("name", name.Text), ("near", FactList.Of(near))),
                    near
                )
            );
    }

    /// <summary>Rows of hundreds of metres or of minutes are done on the machine: "Row 500 m".</summary>
    private static bool OnTheMachine(Exercise exercise, LineDraft draft, out OtherWork other)
    {
        other = OtherWork.Conditioning;
        if (exercise.Pattern != MovementPattern.HorizontalPull || draft.Load is not null)
        {
            return false;
        }

        var reps = draft.Groups.Exists(g => g.Counts.Count > 0 && g.Unit == CountUnit.Reps);
        return draft.Groups.Exists(g => g.Unit == CountUnit.Metres && g.Counts[0].To >= OnTheMachineMetres)
            || (
                !reps
                && (
                    draft.Groups.Exists(g => g.Unit == CountUnit.Seconds && g.Counts[0].To >= OnTheMachineSeconds)
                    || draft.Durations.Exists(d => d.Seconds.To >= OnTheMachineSeconds)
                )
            );
    }
}
