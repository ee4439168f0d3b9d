using Ingegno.Core.Knowledge.Exercises;

namespace Ingegno.Storage;

/// <summary>The exercises that a practice added or changed.</summary>
public sealed class OwnExerciseStore(Database database, TimeProvider clock)
    : PracticeDocumentStore<Exercise>(new DocumentTable<Exercise>(database, clock, "own_exercise", null), e => e.Name);
