using System.Collections.Immutable;
using Ingegno.Core.AtHome.Kit;
using Ingegno.Core.Knowledge.Catalogue;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Knowledge.TradeData;

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
    /// <summary>Name of the form.</summary>
    public const string Name = "ingegno-client";

    /// <summary>The version that is written.</summary>
    public const int Written = 1;
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
);

/// <summary>A version of a plan.</summary>
/// <param name="Number">1 first.</param>
/// <param name="Parent">The version it was made from; null for the first.</param>
/// <param name="Note">What was changed.</param>
/// <param name="Document">What was asked, and what came of it.</param>
public sealed record PlanVersionInFile(int Number, int? Parent, string Note, PlanDocument Document);
