namespace Ingegno.Core.Programs.Reading;

/// <summary>What goes without saying in a program: what one works with where nothing is named, and the unit of loads that have none.</summary>
/// <param name="Implement">For instance <c>dumbbell</c>; null for a gym's.</param>
/// <param name="Pounds">Loads without a unit are pounds.</param>
internal sealed record Habit(string? Implement, bool Pounds)
{
    /// <summary>A gym with a bar and kilograms.</summary>
    public static Habit Plain { get; } = new(null, false);

    /// <summary>Kilograms of one of its units.</summary>
    public double KgOfUnit => Pounds ? Foundation.Quantities.Units.KgPerPound : 1;
}
