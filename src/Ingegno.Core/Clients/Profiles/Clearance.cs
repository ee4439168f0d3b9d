namespace Ingegno.Core.Clients.Profiles;

/// <summary>A clearance as the coach recorded it.</summary>
/// <param name="On">Day of the clearance; never in the future.</param>
/// <param name="By">Who gave it, with the role: "Dr. Hale, cardiologist"; 1–120 characters.</param>
public sealed record Clearance(DateOnly On, string By)
{
    /// <summary>Limits that the clinician set, in words; empty for none.</summary>
    public string Limits { get; init; } = string.Empty;

    /// <summary>Last day on which it holds; null for as long as is usual.</summary>
    public DateOnly? Until { get; init; }

    /// <summary>Months that a clearance holds where nobody said how long. Common practice.</summary>
    private const int UsualMonths = 12;

    /// <summary>The same in pregnancy and after surgery, where much changes.</summary>
    private const int ShortMonths = 3;

    /// <summary>Last day on which it holds for these answers.</summary>
    public DateOnly Ends(IEnumerable<ScreeningAnswer> answers) =>
        Until
        ?? On.AddMonths(
            answers.Any(a => a is ScreeningAnswer.PregnancyOrRecentBirth or ScreeningAnswer.RecentSurgery) ? ShortMonths : UsualMonths
        );
}
