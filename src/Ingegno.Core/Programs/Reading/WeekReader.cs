using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>Reads the rows of a week in order, and knows the day, part and group that each stands in.</summary>
internal sealed class WeekReader(ExerciseNames names, Habit habit, CancellationToken stop)
{
    private readonly ImmutableArray<GymLine>.Builder _lines = ImmutableArray.CreateBuilder<GymLine>();
    private readonly ImmutableArray<ShorthandError>.Builder _errors = ImmutableArray.CreateBuilder<ShorthandError>();
    private readonly ImmutableArray<ReadRow>.Builder _rows = ImmutableArray.CreateBuilder<ReadRow>();
    private readonly ImmutableArray<KeptLine>.Builder _kept = ImmutableArray.CreateBuilder<KeptLine>();
    private readonly List<GymDay> _days = [];
    private readonly LineAssembly _assembly = new(names, habit);
    private bool _daysFollow;
    private int? _rounds;

    /// <summary>A load without a unit is more than a strong member lifts in kilograms.</summary>
    public bool Beyond { get; private set; }

    /// <summary>How the lines of a group are done, where its heading says so.</summary>
    private Heading? _form;

    /// <summary>Rounds of an AMRAP by the clock, which nobody counted.</summary>
    private int? _guessed;
    private char _group = '@';
    private int _inGroup;
    private bool _grouped;

    public ShorthandResult Read(ImmutableArray<LaidOutRow> rows)
    {
        var leads = rows.Select(r => r.Heading is null && !r.Remark && !r.Blank ? LeadIn.TryRead(r.Text, names) : null).ToArray();
        var headings = rows.Select((r, i) => r.Heading ?? leads[i]?.Heading).ToList();
        _daysFollow = headings.Exists(h => h?.Kind is HeadingKind.Day or HeadingKind.Split);
        var daysSaid = headings.Exists(h => h?.Kind == HeadingKind.Day);
        for (var i = 0; i < rows.Length; i++)
        {
            stop.ThrowIfCancellationRequested();
            var (text, number) = (rows[i].Text, rows[i].Number);
            if (rows[i].Blank)
            {
                (_grouped, _rounds, _form, _guessed) = (false, null, null, null);
            }
            else if (leads[i] is { } lead)
            {
                Led(lead, rows[i], daysSaid);
            }
            else if (rows[i].Remark)
            {
                _rows.Add(new ReadRow(number, RowKind.Comment, text.Trim()));
            }
            else if (rows[i].Heading is { } heading)
            {
                Heads(heading, number, daysSaid);
                _guessed = heading is { Kind: HeadingKind.Rounds, Rounds: null }
                    ? LeadIn.InTheTime(
                        heading.Name,
                        [.. rows.Skip(i + 1).TakeWhile(r => r.Heading is null && !r.Blank).Select(r => r.Text)]
                    )
                    : null;
            }
            else
            {
                One(rows[i], text);
            }
        }

        return new ShorthandResult(_lines.ToImmutable(), _errors.ToImmutable())
        {
            Days = [.. _days],
            Rows = _rows.ToImmutable(),
            Kept = _kept.ToImmutable(),
        };
    }

    /// <summary>Takes a heading and the exercises that follow it in its row; rounds end with the row.</summary>
    private void Led(LeadIn lead, LaidOutRow row, bool daysSaid)
    {
        Heads(lead.Heading, row.Number, daysSaid);
        if (lead.Heading.Kind == HeadingKind.Rounds)
        {
            // Written out by itself it would head the rows below as well: sets and labels of its lines say it.
            _rows.RemoveAt(_rows.Count - 1);
        }

        if (LeadIn.TryRead(lead.Rest, names) is { } inner)
        {
            Led(inner, row, daysSaid);
            return;
        }

        _guessed = lead.Guessed;
        One(row, lead.Rest, listed: lead.Heading.Kind is HeadingKind.Rounds or HeadingKind.Section);
        _guessed = null;
        if (lead.Heading.Kind == HeadingKind.Rounds)
        {
            (_grouped, _rounds, _form) = (false, null, null);
        }
    }

    /// <summary>Takes a row that heads something.</summary>
    private void Heads(Heading heading, int number, bool daysSaid)
    {
        switch (heading)
        {
            case { Kind: HeadingKind.Week }:
                (_grouped, _rounds, _form) = (false, null, null);
                _rows.Add(new ReadRow(number, RowKind.Week, "== " + heading.Name));
                break;
            case { Kind: HeadingKind.Section }:
            case { Kind: HeadingKind.Split } when daysSaid:
                (_grouped, _rounds, _form) = (false, null, null);
                _rows.Add(new ReadRow(number, RowKind.Section, heading.Name));
                break;
            case { Kind: HeadingKind.Rounds }:
                (_grouped, _rounds, _form, _inGroup) = (true, heading.Rounds, heading, 0);
                _group = Free((char)(_group + 1));
                _rows.Add(new ReadRow(number, RowKind.Section, heading.Name));
                break;
            default:
                (_grouped, _rounds, _form) = (false, null, null);
                _group = '@';
                _days.Add(new GymDay(_days.Count, Unused(heading.Name), number));
                _rows.Add(new ReadRow(number, RowKind.Day, DayHeading.Write(_days[^1].Name)));
                break;
        }
    }

    private void One(LaidOutRow from, string row, bool listed = false)
    {
        var number = from.Number;
        if (row.Length > ShorthandLimits.LineLength)
        {
            _errors.Add(
                new ShorthandError(
                    number,
                    ShorthandLimits.LineLength + 1,
                    1,
                    "shorthand.line-too-long",
                    Reason.Of("shorthand.line-too-long", ("most", ShorthandLimits.LineLength)),
                    []
                )
            );
            _rows.Add(new ReadRow(number, RowKind.Unread, row.Trim()[..ShorthandLimits.LineLength]));
            return;
        }

        var plain = RowText.Plain(row);
        var letter = Free('S');
        foreach (var part in RowParts.Apart(plain, names, listed))
        {
            var (draft, label) = RowReader.Read(part.Row, names, habit);
            if (_rounds is { } rounds && draft.Groups.TrueForAll(g => g.Sets is null))
            {
                WithRounds(draft, rounds);
            }

            if (_form is { } form)
            {
                WithForm(draft, form);
            }

            if (_guessed is { } likely && draft.Groups.TrueForAll(g => g.Sets is null))
            {
                WithRounds(draft, likely);
                draft.Doubt(part.Row.TakeWhile(char.IsWhiteSpace).Count(), 1, "shorthand.rounds-guessed", ("rounds", likely));
            }

            var read = _assembly.Of(part.Row, number, draft, label ?? Own(part.Label, letter) ?? GroupLabel());
            if (_days.Count == 0 && IsTitle(read, draft))
            {
                _rows.Add(new ReadRow(number, RowKind.Comment, part.Row.Trim()));
                continue;
            }

            read = InText(read, from);
            Beyond |= read.Beyond;
            Take(read, number, part.Place);
        }
    }

    /// <summary>What was read, with the places of the text that was given and not of the row that was joined or spelt out of it.</summary>
    private static AssembledRow InText(AssembledRow read, LaidOutRow from)
    {
        if (from.Pieces.IsEmpty && from.Cells is null)
        {
            return read;
        }

        // A doubt stands at its row: what it is about in a further one is shown at the first.
        ReadingDoubt Doubt(ReadingDoubt doubt)
        {
            var place = from.Place(doubt.Column - 1, doubt.Length);
            return place.Line == from.Number
                ? doubt with
                {
                    Column = place.Column,
                    Length = place.Length,
                }
                : doubt with
                {
                    Column = 1,
                    Length = 1,
                };
        }

        ShorthandError Error(ShorthandError error)
        {
            var place = from.Place(error.Column - 1, error.Length);
            return error with { Line = place.Line, Column = place.Column, Length = place.Length };
        }

        return read with
        {
            Row = read.Row with
            {
                JoinedLines = [.. from.Pieces.Select(p => p.Line).Where(l => l != from.Number).Distinct()],
                Doubts = [.. read.Row.Doubts.Select(Doubt)],
                Fields = [.. read.Row.Fields.Select(f => f with { Words = [.. f.Words.Select(w => from.Place(w.Column - 1, w.Length))] })],
            },
            Error = read.Error is { } error ? Error(error) : null,
        };
    }

    /// <summary>
    /// A row above the first day that asks for nothing and is no exercise's name is what the program is called: never a day of its own, and
    /// nothing to train. Where the text has no days, work that is known by its words alone stays work.
    /// </summary>
    private bool IsTitle(AssembledRow read, LineDraft draft) =>
        draft.Groups.TrueForAll(g => g.Sets is null)
        && (
            read.Line is not null ? _daysFollow && read.Row.Certainty != Certainty.Sure
            : read.Kept is { } kept ? _daysFollow || kept.Kind == OtherWork.Unknown
            : _daysFollow
        );

    /// <summary>Sets that the heading of a group names hold for its lines.</summary>
    private static void WithRounds(LineDraft draft, int rounds)
    {
        if (draft.Current is { } group)
        {
            draft.Groups[^1] = group with { Sets = rounds };
        }
        else
        {
            draft.Groups.Add(new SetGroup { Sets = rounds });
        }
    }

    /// <summary>Work and rest by the clock that the heading of a group names hold for its lines: 40 s on, 20 s off.</summary>
    private static void WithForm(LineDraft draft, Heading form)
    {
        var counted = draft.Groups.Exists(g => g.Counts.Count > 0 || g.Open) || draft.Durations.Count > 0 || draft.Bare.Count > 0;
        if (form.Work is { } work && !counted)
        {
            var sets = draft.Current ?? new SetGroup();
            draft.Groups.Clear();
            draft.Groups.Add(sets with { Counts = [new Span(work, work)], Unit = CountUnit.Seconds });
            draft.Rest ??= form.Off is { } off ? new Span(off, off) : null;
        }
    }

    /// <summary>A superset that was given no letter has one that no other of its day has: two of them are no giant set.</summary>
    private static string? Own(string? label, char letter) => label is ['S', .. var place] ? letter + place : label;

    /// <summary>The first letter from this one on that no line of the day has.</summary>
    private char Free(char letter)
    {
        var day = _days.Count - 1;
        while (letter < 'Z' && _lines.Any(l => l.Day == day && l.SupersetLetter == letter))
        {
            letter++;
        }

        return letter;
    }

    /// <summary>Lines under "Superset" belong together.</summary>
    private string? GroupLabel() => _grouped && _group is >= 'A' and <= 'Z' ? $"{_group}{_inGroup + 1}" : null;

    private void Take(AssembledRow read, int number, int place)
    {
        if (read.Line is not null || read.Kept is not null)
        {
            _inGroup++;
            if (_days.Count == 0)
            {
                _days.Add(new GymDay(0, string.Empty, 0));
            }
        }

        if (read.Line is { } line)
        {
            // What else stands in the row is known apart from the first.
            line = line with
            {
                Day = _days.Count - 1,
            };
            _lines.Add(place > 0 ? line with { Key = new LineKey((RowParts.KeyOfPart * place) + number) } : line);
        }

        if (read.Kept is { } kept)
        {
            _kept.Add(kept with { Day = _days.Count - 1 });
        }

        if (read.Error is { } error)
        {
            _errors.Add(error);
        }

        _rows.Add(read.Row);
    }

    /// <summary>Two days of one name would be mixed up: the second becomes "Upper (2)".</summary>
    private string Unused(string name)
    {
        var unused = name;
        for (var n = 2; _days.Exists(d => d.Name == unused); n++)
        {
            unused = $"{name} ({n})";
        }

        return unused;
    }
}
