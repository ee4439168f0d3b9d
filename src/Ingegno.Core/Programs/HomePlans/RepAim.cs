namespace Ingegno.Core.Programs.HomePlans;

/// <summary>How expected reps lie to those that are wanted.</summary>
public enum RepFit
{
    /// <summary>In the zone.</summary>
    InZone,

    /// <summary>More than wanted: the load is lighter than planned.</summary>
    Easier,

    /// <summary>Fewer than wanted.</summary>
    Harder,
}

/// <summary>Reps to failure that a line aims at.</summary>
/// <param name="Low">Fewest that still allow the planned reps.</param>
/// <param name="High">Most that count as on target, with the tolerance of the line's role.</param>
public sealed record RepAim(double Low, double High)
{
    /// <summary>How so many reps lie to the aim.</summary>
    public RepFit Of(double reps) =>
        reps < Low ? RepFit.Harder
        : reps > High ? RepFit.Easier
        : RepFit.InZone;
}
