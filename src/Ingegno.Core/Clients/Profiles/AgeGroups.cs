namespace Ingegno.Core.Clients.Profiles;

/// <summary>Ages from which other rules hold. An age that nobody knows is in none of the groups.</summary>
public static class AgeGroups
{
    /// <summary>Under this age nobody lifts to the limit, and an adult is at home (Lloyd 2014, from memory).</summary>
    private const int Adult = 18;

    /// <summary>From this age on balance is trained, jumps are the coach's choice and a wall is within reach (Fragala 2019, from memory).</summary>
    private const int Older = 65;

    /// <summary>The client is not an adult yet.</summary>
    public static bool IsMinor(this ClientProfile client) => (client ?? throw new ArgumentNullException(nameof(client))).AgeYears < Adult;

    /// <summary>The client is an older adult.</summary>
    public static bool IsOlder(this ClientProfile client) => (client ?? throw new ArgumentNullException(nameof(client))).AgeYears >= Older;
}
