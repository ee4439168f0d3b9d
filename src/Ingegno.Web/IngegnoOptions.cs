namespace Ingegno.Web;

/// <summary>Settings of the application, from the command line (<c>--data DIR --demo</c>) or the environment.</summary>
public sealed class IngegnoOptions
{
    /// <summary>Folder of the database and of the keys that protect cookies.</summary>
    public string Data { get; set; } = "ingegno-data";

    /// <summary>Fill an empty database with the demo club.</summary>
    public bool Demo { get; set; }

    /// <summary>Sign-in attempts a minute from one address.</summary>
    public int SignInsPerMinute { get; set; } = 10;

    /// <summary>Days without use after which a session is over.</summary>
    public int SessionIdleDays { get; set; } = 14;

    /// <summary>Days after which a session is over however much it is used.</summary>
    public int SessionLongestDays { get; set; } = 60;

    /// <summary>Path of the database file.</summary>
    public string DatabaseFile => Path.Combine(Data, "ingegno.db");
}
