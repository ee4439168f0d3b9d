using Ingegno.Core.Knowledge.Catalogue;

namespace Ingegno.Storage;

/// <summary>The exercises that a practice added or changed.</summary>
public sealed class OwnExerciseStore(Database database, TimeProvider clock)
{
    private readonly DocumentTable<Exercise> _table = new(database, clock, "own_exercise", null);

    public IReadOnlyList<Saved<Exercise>> List(long coachId) => _table.List(coachId, null);

    public Saved<Exercise>? Find(long coachId, long id) => _table.Find(coachId, id);

    public Saved<Exercise> Add(long coachId, Exercise exercise) => _table.Add(coachId, null, exercise.Name, exercise)!;

    public Written<Exercise> Update(long coachId, long id, int revision, Exercise exercise) =>
        _table.Update(coachId, id, revision, exercise.Name, exercise);

    public bool Delete(long coachId, long id) => _table.Delete(coachId, id);
}
