using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>Reads the rows of a week in order, and knows the day, part and group that each stands in.</summary>
internal sealed class WeekReader(ExerciseNames names, string? usual, CancellationToken stop)
{
    private readonly ImmutableArray<GymLine>.Builder _lines = ImmutableArray.CreateBuilder<GymLine>();
    private readonly ImmutableArray<ShorthandError>.Builder _errors = ImmutableArray.CreateBuilder<ShorthandError>();
    private readonly ImmutableArray<ReadRow>.Builder _rows = ImmutableArray.CreateBuilder<ReadRow>();
    private readonly ImmutableArray<KeptLine>.Builder _kept = ImmutableArray.CreateBuilder<KeptLine>();
    private readonly List<GymDay> _days = [];
    private readonly LineAssembly _assembly = new(names, usual);
    private bool _daysFollow;
    private TableHead? _table;
    private int? _rounds;

    /// <summary>Rounds of an AMRAP by the clock, which nobody counted.</summary>
    private int? _guessed;
    private char _group = '@';
    private int _inGroup;
    private bool _grouped;

    public ShorthandResult Read(string[] rows)
    {
        var headings = rows.Select(HeadingReader.Read).ToArray();
        var leads = rows.Select((row, i) => headings[i] is null ? LeadIn.TryRead(row, names) : null).ToArray();
        _daysFollow = headings.Concat(leads.Select(l => l?.Heading)).Any(h => h?.Kind is HeadingKind.Day or HeadingKind.Split);
        var daysSaid = headings.Concat(leads.Select(l => l?.Heading)).Any(h => h?.Kind == HeadingKind.Day);
        for (var i = 0; i < rows.Length && _errors.Count < ShorthandLimits.Errors; i++)
        {
            stop.ThrowIfCancellationRequested();
            if (string.IsNullOrWhiteSpace(rows[i]))
            {
                (_grouped, _rounds, _guessed) = (false, null, null);
                continue;
            }

            if (leads[i] is { } lead)
            {
                Led(lead, rows[i], i + 1, daysSaid);
            }
            else if (Heads(headings[i], rows[i], i + 1, daysSaid))
            {
                _guessed = headings[i] switch
                {
                    null => _guessed, // a comment
                    { Kind: HeadingKind.Rounds, Rounds: null } rounds => LeadIn.InTheTime(rounds.Name, [.. Below(rows, headings, i)]),
                    _ => null,
                };
            }
            else
            {
                One(rows[i], i + 1);
            }
        }

        return new ShorthandResult(_lines.ToImmutable(), _errors.ToImmutable())
        {
            Days = [.. _days],
            Rows = _rows.ToImmutable(),
            Kept = _kept.ToImmutable(),
        };
    }

    /// <summary>The rows of a group: to the next heading, or an empty row.</summary>
    private static IEnumerable<string> Below(string[] rows, Heading?[] headings, int heading) =>
        Enumerable
            .Range(heading + 1, rows.Length - heading - 1)
            .TakeWhile(i => headings[i] is null && !string.IsNullOrWhiteSpace(rows[i]))
            .Select(i => rows[i]);

    /// <summary>Takes a heading and the exercises that follow it in its row; rounds end with the row.</summary>
    private void Led(LeadIn lead, string row, int number, bool daysSaid)
    {
        Heads(lead.Heading, row, number, daysSaid);
        if (lead.Heading.Kind == HeadingKind.Rounds)
        {
            // Written out by itself it would head the rows below as well: sets and labels of its lines say it.
            _rows.RemoveAt(_rows.Count - 1);
        }

        if (LeadIn.TryRead(lead.Rest, names) is { } inner)
        {
            Led(inner, row, number, daysSaid);
            return;
        }

        _guessed = lead.Guessed;
        One(lead.Rest, number, listed: lead.Heading.Kind is HeadingKind.Rounds or HeadingKind.Section);
        _guessed = null;
        (_grouped, _rounds) = lead.Heading.Kind == HeadingKind.Rounds ? (false, null) : (_grouped, _rounds);
    }

    /// <summary>Takes a row that heads something, or that is said beside the program.</summary>
    private bool Heads(Heading? heading, string row, int number, bool daysSaid)
    {
        if (heading is null && RowMarks.IsComment(row))
        {
            _rows.Add(new ReadRow(number, RowKind.Comment, row.Trim()));
            return true;
        }

        switch (heading)
        {
            case null:
                return false;
            case { Kind: HeadingKind.Week }:
                _errors.Add(
                    new ShorthandError(
                        number,
                        1,
                        row.Length,
                        "shorthand.several-weeks",
                        Reason.Of("shorthand.several-weeks", ("week", heading.Name)),
                        []
                    )
                );
                _rows.Add(new ReadRow(number, RowKind.Week, "== " + heading.Name));
                return true;
            case { Kind: HeadingKind.Section }:
            case { Kind: HeadingKind.Split } when daysSaid:
                (_grouped, _rounds) = (false, null);
                _rows.Add(new ReadRow(number, RowKind.Section, heading.Name));
                return true;
            case { Kind: HeadingKind.Rounds }:
                (_grouped, _rounds, _inGroup) = (true, heading.Rounds, 0);
                _group = Free((char)(_group + 1));
                _rows.Add(new ReadRow(number, RowKind.Section, heading.Name));
                return true;
            default:
                (_grouped, _rounds, _table) = (false, null, null);
                _group = '@';
                _days.Add(new GymDay(_days.Count, Unused(heading.Name), number));
                _rows.Add(new ReadRow(number, RowKind.Day, DayHeading.Write(_days[^1].Name)));
                return true;
        }
    }

    private void One(string row, int number, bool listed = false)
    {
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

        if (TableHead.TryRead(row) is { } head)
        {
            _table = head;
            _rows.Add(new ReadRow(number, RowKind.Comment, row.Trim()));
            return;
        }

        var plain = RowText.Plain(_table?.Spelt(row) ?? row);
        var letter = Free('S');
        foreach (var part in RowParts.Apart(plain, names, listed))
        {
            var (draft, label) = RowReader.Read(part.Row, names);
            if (_rounds is { } rounds && draft.Groups.TrueForAll(g => g.Sets is null))
            {
                WithRounds(draft, rounds);
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

            Take(read, number, part.Place);
        }
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
