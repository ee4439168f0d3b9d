using Ingegno.Core.Foundation.Quantities;

namespace Ingegno.Storage;

/// <summary>The clock's moments as the core has them.</summary>
public static class Moments
{
    /// <summary>A moment of the core by the clock.</summary>
    public static DateTimeOffset At(Moment moment) => new(moment.Day, moment.Time, TimeSpan.FromMinutes(moment.OffsetMinutes));

    public static Moment ToMoment(DateTimeOffset at) =>
        new(DateOnly.FromDateTime(at.DateTime), TimeOnly.FromDateTime(at.DateTime), (int)at.Offset.TotalMinutes);
}
