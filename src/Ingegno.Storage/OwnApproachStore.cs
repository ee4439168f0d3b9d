using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Storage;

/// <summary>The approaches that a practice made of those that ship.</summary>
public sealed class OwnApproachStore(Database database, TimeProvider clock)
    : PracticeDocumentStore<Approach>(new DocumentTable<Approach>(database, clock, "own_approach", null), a => a.Name);
