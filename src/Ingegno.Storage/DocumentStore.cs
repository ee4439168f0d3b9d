namespace Ingegno.Storage;

/// <summary>Documents of one kind; whoever asks for one that is another coach's is told that there is none.</summary>
public abstract class DocumentStore<T>
    where T : class
{
    private readonly Func<T, string> _nameOf;

    private protected DocumentStore(DocumentTable<T> table, Func<T, string> nameOf) => (Table, _nameOf) = (table, nameOf);

    private protected DocumentTable<T> Table { get; }

    /// <summary>One of them; null when the coach has none with that key.</summary>
    public Saved<T>? Find(long coachId, long id) => Table.Find(coachId, id);

    /// <summary>Changes one, if nobody else did since that revision.</summary>
    public Written<T> Update(long coachId, long id, int revision, T value) =>
        Table.Update(coachId, id, revision, NameOf(value), Tidy(value));

    /// <summary>Erases one with all that hangs on it; false when the coach has none with that key.</summary>
    public bool Delete(long coachId, long id) => Table.Delete(coachId, id);

    private protected string NameOf(T value) => _nameOf(Tidy(value));

    /// <summary>The value as it is kept, for instance without blanks around its name.</summary>
    private protected virtual T Tidy(T value) => value;
}

/// <summary>Documents of a practice.</summary>
public abstract class PracticeDocumentStore<T> : DocumentStore<T>
    where T : class
{
    private protected PracticeDocumentStore(DocumentTable<T> table, Func<T, string> nameOf)
        : base(table, nameOf) { }

    /// <summary>All of them.</summary>
    public IReadOnlyList<Saved<T>> List(long coachId) => Table.List(coachId, null);

    /// <summary>Adds one; null when it was made under this key before and is gone since.</summary>
    public Saved<T>? Add(long coachId, T value, string? once) => Table.Add(coachId, null, NameOf(value), Tidy(value), once);

    /// <summary>Adds one.</summary>
    public Saved<T> Add(long coachId, T value) => Add(coachId, value, null)!;
}

/// <summary>Documents of a client.</summary>
public abstract class ClientDocumentStore<T> : DocumentStore<T>
    where T : class
{
    private protected ClientDocumentStore(DocumentTable<T> table, Func<T, string> nameOf)
        : base(table, nameOf) { }

    /// <summary>Those of one client.</summary>
    public IReadOnlyList<Saved<T>> List(long coachId, long clientId) => Table.List(coachId, clientId);

    /// <summary>Adds one; null when the client is not this coach's.</summary>
    public Saved<T>? Add(long coachId, long clientId, T value, string? once = null) =>
        Table.Add(coachId, clientId, NameOf(value), Tidy(value), once);
}
