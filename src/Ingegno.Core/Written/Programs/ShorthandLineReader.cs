using System.Collections.Immutable;
using System.Diagnostics.CodeAnalysis;
using System.Globalization;
using System.Text.RegularExpressions;
using Ingegno.Core.Ground.Quantities;
using Ingegno.Core.Ground.Text;
using Ingegno.Core.Knowledge.Catalogue;

namespace Ingegno.Core.Written.Programs;

/// <summary>Recursive-descent reader of one shorthand line: label, name, dose, modifiers, note.</summary>
internal sealed partial class ShorthandLineReader(string row, int line, ExerciseNames names)
{
    private readonly TextCursor _at = new(row);
    private readonly HashSet<string> _given = [];
    private GymLine _read = new()
    {
        Line = line,
        ExerciseId = string.Empty,
        Name = string.Empty,
        Sets = 0,
        Target = SetTarget.Open,
    };

    [GeneratedRegex(@"(?<=^|\s)[0-9]+\s*[x×]\s*(?:[0-9]|amrap)", RegexOptions.IgnoreCase)]
    private static partial Regex DoseStart();

    [GeneratedRegex(@"\G(?<label>[A-Za-z][0-9]{1,2})(?:[.):]\s*|\s+)|\G(?<label>[A-Za-z])[.):]\s+")]
    private static partial Regex LabelAtStart();

    [GeneratedRegex(@"\G[0-9]+-[0-9]+-(?:[0-9]+|[xX])-[0-9]+(?![0-9-])")]
    private static partial Regex TempoHere();

    public GymLine Read()
    {
        if (row.Length > ShorthandLimits.LineLength)
        {
            Fail(
                ShorthandLimits.LineLength,
                1,
                "shorthand.line-too-long",
                $"The line is longer than {ShorthandLimits.LineLength} characters. Shorten the note or split the line."
            );
        }

        _at.SkipSpaces();
        ReadLabel();
        ReadName();
        ReadDose();
        ReadModifiers();
        return _read;
    }

    private void ReadLabel()
    {
        var label = LabelAtStart().Match(row, _at.Position);
        if (label.Success)
        {
            _read = _read with { Label = label.Groups["label"].Value.ToUpperInvariant() };
            _at.Position += label.Length;
        }
    }

    private void ReadName()
    {
        var start = _at.Position;
        var dose = DoseStart().Match(row, start);
        if (!dose.Success)
        {
            var end = row.TrimEnd().Length;
            Fail(
                Math.Min(end, row.Length),
                1,
                "shorthand.no-dose",
                "Expected sets and reps after the exercise, for instance 3x8, 4x8-12, 3x30 s or 3xAMRAP."
            );
        }

        var name = row[start..dose.Index].Trim().TrimEnd(':', ',', '-', '–').TrimEnd();
        if (name.Length == 0)
        {
            Fail(start, 1, "shorthand.no-name", "Expected the name of an exercise before the sets and reps.");
        }

        var exercise = names.Find(name);
        if (exercise is null)
        {
            var near = names.Nearest(name);
            var hint =
                near.Length == 0 ? "Check the spelling, or pick one from the catalogue." : "Nearest: " + string.Join(", ", near) + ".";
            Fail(start, name.Length, "shorthand.unknown-exercise", $"The catalogue has no exercise called \"{name}\". {hint}", near);
        }

        _read = _read with { Name = name, ExerciseId = exercise.Id, Timed = exercise.Measure == Measure.Seconds };
        _at.Position = dose.Index;
    }

    private void ReadDose()
    {
        var sets = InRange(_at.TakeInteger(), 1, ShorthandLimits.Sets, "Sets", _at.Position);
        _at.SkipSpaces();
        _at.TakeAny("xX×");
        _at.SkipSpaces();
        _read = _read with { Sets = sets };
        if (_at.TakeWord("AMRAP"))
        {
            _read = _read with { Target = SetTarget.Open, Timed = false };
        }
        else
        {
            ReadCount();
        }

        ReadPerSide();
        _at.SkipSpaces();
        if (_at.Take('+'))
        {
            _at.SkipSpaces();
            if (!_at.TakeWord("AMRAP"))
            {
                Unexpected("AMRAP after the plus sign, as in 3x6 + AMRAP");
            }

            _read = _read with { Sets = InRange(sets + 1, 1, ShorthandLimits.Sets, "Sets", _at.Position), LastSetOpen = true };
        }
    }

    private void ReadCount()
    {
        var start = _at.Position;
        var min = _at.TakeInteger() ?? 0;
        var max = min;
        if (_at.TakeAny("-–"))
        {
            max = _at.TakeInteger() ?? Unexpected<int>("the upper end of the rep range, as in 8-12");
        }

        var length = _at.Position - start;
        var beforeUnit = _at.Position;
        _at.SkipSpaces();
        var timed = false;
        if (_at.TakeWord("seconds", "secs", "sec", "s"))
        {
            timed = true;
        }
        else if (_at.TakeWord("minutes", "minute", "mins", "min"))
        {
            (timed, min, max) = (true, Times60(min), Times60(max));
        }
        else
        {
            _at.Position = beforeUnit;
        }

        if (timed)
        {
            CheckRange(min, 1, ShorthandLimits.HoldSeconds, "A timed set", "s", start, length);
            CheckRange(max, 1, ShorthandLimits.HoldSeconds, "A timed set", "s", start, length);
        }
        else
        {
            CheckRange(min, 1, ShorthandLimits.Reps, "Reps", null, start, length);
            CheckRange(max, 1, ShorthandLimits.Reps, "Reps", null, start, length);
        }

        if (max < min)
        {
            Fail(start, length, "shorthand.range-reversed", $"The range runs backwards; write {max}-{min}.");
        }

        _read = _read with { Target = new SetTarget(min, max), Timed = timed };
    }

    private void ReadPerSide()
    {
        var start = _at.Position;
        _at.SkipSpaces();
        if (_at.TakeWord("/side", "/ side", "/leg", "/arm", "per side", "per leg", "per arm", "each side", "each"))
        {
            _read = _read with { PerSide = true };
            return;
        }

        _at.Position = start;
    }

    private void ReadModifiers()
    {
        while (true)
        {
            _at.SkipSpaces();
            if (_at.AtEnd)
            {
                return;
            }

            if (_at.Take('#'))
            {
                SetNote(_at.Rest);
                return;
            }

            if (_at.Current == '(')
            {
                ReadBracketNote();
                continue;
            }

            var marked = _at.Take('@');
            _at.SkipSpaces();
            ReadModifier(marked);
        }
    }

    private void ReadModifier(bool marked)
    {
        var start = _at.Position;
        if (TempoHere().Match(row, start) is { Success: true } tempo)
        {
            Once("tempo", start, tempo.Length);
            if (!Tempo.TryParse(tempo.Value, out var parsed))
            {
                Fail(start, tempo.Length, "shorthand.out-of-range", $"A tempo phase takes 0–{Tempo.LongestPhase} seconds.");
            }

            _at.Position += tempo.Length;
            _read = _read with { Tempo = parsed };
        }
        else if (_at.TakeWord("tempo"))
        {
            _at.SkipSpaces();
            if (!TempoHere().IsMatch(row, _at.Position))
            {
                Unexpected("four figures after tempo, as in 3-1-1-0");
            }
        }
        else if (_at.TakeWord("RPE"))
        {
            _read = _read with { Rpe = ReadEffort("RPE", start, 1, 10) };
        }
        else if (_at.TakeWord("RIR"))
        {
            _read = _read with { Rir = (int)ReadEffort("RIR", start, 0, 10) };
        }
        else if (_at.TakeWord("rest"))
        {
            _at.SkipSpaces();
            ReadFigure(start, restExpected: true);
        }
        else if (_at.TakeWord("light", "moderate", "heavy", "bodyweight", "BW"))
        {
            SetNote(row[start.._at.Position].ToLowerInvariant());
        }
        else if (char.IsAsciiDigit(_at.Current))
        {
            ReadFigure(start, restExpected: false);
        }
        else
        {
            Unexpected(
                marked
                    ? "a percentage, RPE, RIR, tempo or load after @"
                    : "a percentage (75%), RPE 8, RIR 2, tempo 3-1-1-0, load (20 kg), rest (90 s) or a note after #"
            );
        }
    }

    private double ReadEffort(string name, int start, int lowest, int highest)
    {
        _at.SkipSpaces();
        var at = _at.Position;
        var value = _at.TakeNumber() ?? Unexpected<double>($"a number after {name}, {lowest}–{highest}");
        Once("effort", start, _at.Position - start);
        if (value < lowest || value > highest || (name == "RIR" && value % 1 != 0) || value * 2 % 1 != 0)
        {
            Fail(
                at,
                _at.Position - at,
                "shorthand.out-of-range",
                $"{name} runs from {lowest} to {highest}{(name == "RIR" ? " in whole reps" : " in halves")}; {Words.Number(value, 2)} is not possible."
            );
        }

        return value;
    }

    /// <summary>A number whose unit decides what it is: percent, load or rest.</summary>
    private void ReadFigure(int start, bool restExpected)
    {
        var value = _at.TakeNumber() ?? Unexpected<double>("a number of seconds or minutes");
        if (_at.Take(':'))
        {
            var seconds = _at.TakeInteger() ?? Unexpected<int>("seconds after the colon, as in 3:00");
            SetRest((value * 60) + seconds, start);
            return;
        }

        var pieces = 1;
        if (!restExpected && _at.TakeAny("xX×"))
        {
            (pieces, value) = ((int)Math.Min(value, 99), _at.TakeNumber() ?? Unexpected<double>("the load of one piece, as in 2x10 kg"));
        }

        _at.SkipSpaces();
        if (_at.Take('%'))
        {
            Once("percent", start, _at.Position - start);
            CheckRange(value, 5, 110, "A percentage of the one-rep maximum", "%", start, _at.Position - start);
            _read = _read with { ShareOfMax = value / 100 };
        }
        else if (_at.TakeWord("kg", "kilos", "kgs"))
        {
            SetLoad(value, pieces, start);
        }
        else if (_at.TakeWord("lbs", "lb", "pounds"))
        {
            SetLoad(value * Units.KgPerPound, pieces, start);
        }
        else if (_at.TakeWord("seconds", "secs", "sec", "s") || restExpected && !_at.TakeWord("minutes", "mins", "min"))
        {
            SetRest(value, start);
        }
        else if (restExpected || _at.TakeWord("minutes", "mins", "min"))
        {
            SetRest(value * 60, start);
        }
        else
        {
            Fail(
                start,
                Math.Max(1, _at.Position - start),
                "shorthand.unexpected",
                $"The figure {row[start.._at.Position].Trim()} has no unit. Write %, kg, lb, s or min after it."
            );
        }
    }

    private void SetLoad(double kg, int pieces, int start)
    {
        var length = _at.Position - start;
        Once("load", start, length);
        if (kg <= 0 || kg * pieces > ShorthandLimits.LoadKg || pieces is < 1 or > 4)
        {
            Fail(
                start,
                length,
                "shorthand.out-of-range",
                $"A load lies above 0 and at most at {Words.Number(ShorthandLimits.LoadKg, 0)} kg, in 1 to 4 pieces."
            );
        }

        _read = _read with { Load = new PlannedLoad(kg, pieces) };
    }

    private void SetRest(double seconds, int start)
    {
        Once("rest", start, _at.Position - start);
        CheckRange(seconds, 0, ShorthandLimits.RestSeconds, "A rest", "s", start, _at.Position - start);
        _read = _read with { RestSeconds = (int)Math.Round(seconds) };
    }

    private void ReadBracketNote()
    {
        var start = _at.Position;
        var end = row.IndexOf(')', start);
        if (end < 0)
        {
            Fail(start, 1, "shorthand.unexpected", "The bracket is not closed; add ) at the end of the note.");
        }

        SetNote(row[(start + 1)..end]);
        _at.Position = end + 1;
    }

    private void SetNote(string note)
    {
        note = note.Trim();
        if (note.Length > 0)
        {
            _read = _read with { Note = _read.Note is null ? note : $"{_read.Note}; {note}" };
        }
    }

    private void Once(string what, int start, int length)
    {
        if (!_given.Add(what))
        {
            Fail(start, Math.Max(1, length), "shorthand.twice", $"The {what} of this line is given twice; keep one.");
        }
    }

    private static int Times60(int minutes) => minutes > 1000 ? int.MaxValue : minutes * 60;

    private int InRange(int? value, int lowest, int highest, string what, int end)
    {
        var number = value ?? 0;
        var length = number.ToString(CultureInfo.InvariantCulture).Length;
        CheckRange(number, lowest, highest, what, null, Math.Max(0, end - length), length);
        return number;
    }

    private void CheckRange(double value, double lowest, double highest, string what, string? unit, int start, int length)
    {
        if (value < lowest || value > highest)
        {
            var suffix = unit is null ? string.Empty : " " + unit;
            Fail(
                start,
                Math.Max(1, length),
                "shorthand.out-of-range",
                $"{what} must be between {Words.Number(lowest, 0)} and {Words.Number(highest, 0)}{suffix}; check the figure."
            );
        }
    }

    [DoesNotReturn]
    private void Unexpected(string expected)
    {
        var found = _at.AtEnd
            ? "the end of the line"
            : $"\"{row.Substring(_at.Position, Math.Min(_at.WordLength(), row.Length - _at.Position))}\"";
        Fail(_at.Position, _at.AtEnd ? 1 : _at.WordLength(), "shorthand.unexpected", $"Expected {expected}; found {found}.");
    }

    [DoesNotReturn]
    private T Unexpected<T>(string expected)
    {
        Unexpected(expected);
        return default;
    }

    [DoesNotReturn]
    private void Fail(int position, int length, string code, string message, ImmutableArray<string> suggestions = default) =>
        throw new ShorthandException(
            new ShorthandError(line, position + 1, length, code, message, suggestions.IsDefault ? [] : suggestions)
        );
}
