using System.Collections.Immutable;
using Ingegno.Core.Clients.Health;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Progress.ClientApp;

namespace Ingegno.Storage;

/// <summary>
/// One client with everything that is kept of them, to take out and to bring in elsewhere. Keys are places in the lists of the file, so that
/// it fits into any installation. docs/client-file.md describes it.
/// </summary>
/// <param name="Format">Always <see cref="Name"/>.</param>
/// <param name="Version">Version of the form, 1 first.</param>
/// <param name="ExportedAt">When it was taken out.</param>
/// <param name="Client">The client.</param>
/// <param name="Places">Places with their kit.</param>
/// <param name="GymWeeks">The gym program.</param>
/// <param name="Plans">Home plans, the one worked on last first.</param>
/// <param name="OwnExercises">Exercises of the practice's own that the client's program and plans name.</param>
/// <param name="OwnApproaches">Approaches of the practice's own that they follow.</param>
/// <param name="TaughtNames">Names that the practice taught and the program uses.</param>
public sealed record ClientFile(
    string Format,
    int Version,
    DateTimeOffset ExportedAt,
    ClientRecord Client,
    ImmutableArray<PlaceKit> Places,
    ImmutableArray<GymWeek> GymWeeks,
    ImmutableArray<PlanInFile> Plans,
    ImmutableArray<Exercise> OwnExercises,
    ImmutableArray<Approach> OwnApproaches,
    ImmutableArray<TaughtName> TaughtNames
)
{
    /// <summary>Notes between client and coach, the first first.</summary>
    public ImmutableArray<NoteInFile> Notes { get; init; } = [];

    /// <summary>Signs of danger that the client told of, the first first.</summary>
    public ImmutableArray<AlertInFile> Alerts { get; init; } = [];

    /// <summary>Name of the form.</summary>
    public const string Name = "ingegno-client";

    /// <summary>The version that is written.</summary>
    public const int Written = 2;
}

/// <summary>A home plan with its history.</summary>
/// <param name="Title">Title.</param>
/// <param name="Place">Which of the places, from 0; null for none.</param>
/// <param name="GymWeek">Which of the gym weeks, from 0; null for none.</param>
/// <param name="Head">Number of the version that stands.</param>
/// <param name="Versions">All versions by their number.</param>
/// <param name="Blocks">Its blocks.</param>
/// <param name="Sessions">Its log, oldest first.</param>
public sealed record PlanInFile(
    string Title,
    int? Place,
    int? GymWeek,
    int Head,
    ImmutableArray<PlanVersionInFile> Versions,
    ImmutableArray<BlockRecord> Blocks,
    ImmutableArray<SessionRecord> Sessions
)
{
    /// <summary>What was sent to the client of it, the first first.</summary>
    public ImmutableArray<ReleaseInFile> Releases { get; init; } = [];

    /// <summary>What came from the client's phone, the first first.</summary>
    public ImmutableArray<ClientAppSessionInFile> PhoneSessions { get; init; } = [];
}

/// <summary>A plan as it was sent.</summary>
/// <param name="Number">Among the releases of the plan, 1 first.</param>
/// <param name="PlanVersion">Version of the plan.</param>
/// <param name="MadeAt">When it was sent.</param>
/// <param name="Release">What was sent.</param>
public sealed record ReleaseInFile(int Number, int PlanVersion, DateTimeOffset MadeAt, Release Release);

/// <summary>A session as it came from the client's phone.</summary>
/// <param name="Session">As the phone had it; its release is named by its number.</param>
/// <param name="PerformedOn">Day on which it was trained.</param>
/// <param name="ClockWasOff">The phone's clock was wrong; the day is put right.</param>
/// <param name="LoggedAs">Which of the plan's sessions it is, from 0; null when it is none.</param>
/// <param name="ChangedSince">The coach changed it in the log.</param>
/// <param name="Differs">The phone sent another state after that.</param>
/// <param name="ReceivedAt">When it came in last.</param>
/// <param name="SeenAt">When the coach looked at it; null before.</param>
public sealed record ClientAppSessionInFile(
    ClientAppSession Session,
    DateOnly PerformedOn,
    bool ClockWasOff,
    int? LoggedAs,
    bool ChangedSince,
    bool Differs,
    DateTimeOffset ReceivedAt,
    DateTimeOffset? SeenAt
);

/// <summary>A note of the client or the coach on a session.</summary>
/// <param name="Key">Key that it was sent with.</param>
/// <param name="Session">Key of the session.</param>
/// <param name="ExerciseId">Exercise it is about; null for the day.</param>
/// <param name="FromClient">Who wrote it.</param>
/// <param name="Text">The note.</param>
/// <param name="At">When it came in.</param>
/// <param name="SeenAt">When the other read it; null before.</param>
public sealed record NoteInFile(
    string Key,
    string Session,
    string? ExerciseId,
    bool FromClient,
    string Text,
    DateTimeOffset At,
    DateTimeOffset? SeenAt
);

/// <summary>A sign of danger that the client told of.</summary>
/// <param name="Key">Told twice under one key it is one.</param>
/// <param name="Alert">The alert.</param>
/// <param name="MadeAt">When it came in.</param>
/// <param name="AnsweredAt">When the coach answered; null while it stands.</param>
/// <param name="Answer">The answer.</param>
public sealed record AlertInFile(string Key, SafetyAlert Alert, DateTimeOffset MadeAt, DateTimeOffset? AnsweredAt, string? Answer);

/// <summary>A version of a plan.</summary>
/// <param name="Number">1 first.</param>
/// <param name="Parent">The version it was made from; null for the first.</param>
/// <param name="Note">What was changed.</param>
/// <param name="Document">What was asked, and what came of it.</param>
public sealed record PlanVersionInFile(int Number, int? Parent, string Note, PlanDocument Document);
