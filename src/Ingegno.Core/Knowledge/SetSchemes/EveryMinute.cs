using System.Collections.Immutable;
using System.Globalization;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Knowledge.SetSchemes;

/// <summary>
/// A set at the start of every interval; what is left of it is the rest. The sets stay far from failure, and leave a third of the interval
/// free (common practice).
/// </summary>
/// <param name="Interval">Seconds from one start to the next, 20–900.</param>
public sealed record EveryMinute(int Interval = EveryMinute.Usual) : SetScheme
{
    private const int Usual = 60;
    private const int Shortest = 20;
    private const int Longest = 900;

    /// <summary>Share of the interval that a set may fill (common practice: two thirds).</summary>
    private const double MostOfInterval = 2.0 / 3;

    /// <summary>So many times the reps of a set must be possible in one go (own estimate: half of them each minute goes on).</summary>
    private const double FarFromFailure = 2;

    /// <summary>Of a load that is far too light the sets are this share of what is possible in one go (own estimate).</summary>
    private const double OfLight = 1.0 / 3;

    public override string Key => "every";

    public override string Text => Interval == Usual ? Key : $"{Key} {Interval.ToString(CultureInfo.InvariantCulture)}";

    public override ImmutableArray<SetMethod> TakesUp => [SetMethod.Emom];

    public override bool OnlyAsWritten => true;

    public override bool OwnsItsRest => true;

    public override bool OneFigure => true;

    public override string ToldAs => "instruction.every";

    public override string InTable => Interval == Usual ? "EMOM" : $"every {Interval.ToString(CultureInfo.InvariantCulture)} s";

    public override SetScheme WithFigures(string? figures) =>
        figures?.Split(' ')[0] is { } seconds
        && int.TryParse(seconds, NumberStyles.None, CultureInfo.InvariantCulture, out var interval)
        && interval is >= Shortest and <= Longest
            ? new EveryMinute(interval)
            : new EveryMinute();

    public override bool Suits(SchemeFit at)
    {
        ArgumentNullException.ThrowIfNull(at);
        return !at.Planned.IsOpen
            && at.Planned.Max <= MostReps(at.SecondsPerRep)
            && (at.Reps is not { } reps || reps >= FarFromFailure * at.Planned.Max);
    }

    public override SchemeFigures Run(SchemeFigures straight, SchemeFit at)
    {
        ArgumentNullException.ThrowIfNull(straight);
        ArgumentNullException.ThrowIfNull(at);
        var light = (int)Math.Floor((at.Reps ?? 0) * OfLight);
        var target = light > at.Planned.Max ? Math.Min(light, MostReps(at.SecondsPerRep)!.Value) : at.Planned.Max;
        return straight with
        {
            Target = target > at.Planned.Max ? new SetTarget(target, target) : at.Planned,
            RestSeconds = Rest(straight.RestSeconds, target * at.SecondsPerRep),
        };
    }

    public override Reason Told(string how, SetTarget target, string? goesOnWith) =>
        Reason.Of("instruction.every", ("how", how), ("every", Quantity.Seconds(Interval)));

    public override string Behind(SetTarget target) => Interval == Usual ? " every minute" : $" every {Interval} s";

    /// <summary>What is left of the interval.</summary>
    public override int Rest(int restSeconds, double setSeconds) => Math.Max(0, Interval - (int)Math.Round(setSeconds));

    /// <summary>A rest that was typed makes the interval longer or shorter.</summary>
    public override SetScheme ByRest(int restSeconds, double setSeconds) =>
        Rest(restSeconds, setSeconds) == restSeconds
            ? this
            : new EveryMinute(Math.Clamp(restSeconds + (int)Math.Round(setSeconds), Shortest, Longest));

    /// <summary>As many as leave the rest its share.</summary>
    public override int? MostReps(double secondsPerRep) => (int)Math.Floor(Interval * MostOfInterval / Math.Max(1, secondsPerRep));
}
