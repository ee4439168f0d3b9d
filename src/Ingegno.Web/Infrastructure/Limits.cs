namespace Ingegno.Web.Infrastructure;

/// <summary>Limits past which a request is refused before it costs anything.</summary>
public static class Limits
{
    /// <summary>Largest request body, in bytes.</summary>
    public const int RequestBytes = 512 * 1024;

    /// <summary>Most kit items of a place.</summary>
    public const int KitItems = 500;

    /// <summary>Most gym weeks brought in at once.</summary>
    public const int GymWeeks = 60;

    /// <summary>Most exercises of a practice's own.</summary>
    public const int OwnExercises = 500;

    /// <summary>Most approaches of a practice's own.</summary>
    public const int OwnApproaches = 50;

    /// <summary>Names that a practice may teach.</summary>
    public const int TaughtNames = 500;

    /// <summary>Most gym lines of a rebuild.</summary>
    public const int GymLines = 200;
}
