using Ingegno.Core.Knowledge.Naming;

namespace Ingegno.Storage;

/// <summary>Names that a practice taught: what its coaches call an exercise.</summary>
public sealed class TaughtNameStore(Database database, TimeProvider clock)
    : PracticeDocumentStore<TaughtName>(new DocumentTable<TaughtName>(database, clock, "taught_name", null), n => n.Name)
{
    private protected override TaughtName Tidy(TaughtName value) => value with { Name = value.Name.Trim() };
}
