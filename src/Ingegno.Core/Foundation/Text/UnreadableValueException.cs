using System.Text.Json;

namespace Ingegno.Core.Foundation.Text;

/// <summary>A value of a document is not what it should be, and it can be said what that is.</summary>
public sealed class UnreadableValueException : JsonException
{
    public UnreadableValueException() { }

    public UnreadableValueException(string message)
        : base(message) { }

    public UnreadableValueException(string message, Exception innerException)
        : base(message, innerException) { }
}
