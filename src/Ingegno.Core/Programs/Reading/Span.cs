using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>A figure or a range; both ends are the same for a figure.</summary>
internal readonly record struct Span(double From, double To)
{
    public double? Upper => To > From ? To : null;
}

/// <summary>A duration of which only the rest of the line tells whether it is a rest or a hold.</summary>
/// <param name="Seconds">From and to, s.</param>
/// <param name="Start">Where it stands.</param>
/// <param name="Length">How long it is.</param>
/// <param name="Plural">It ends with an s that hangs on the figure, as a pair of twenties does: 20s.</param>
internal sealed record Duration(Span Seconds, int Start, int Length, bool Plural = false);
