namespace Ingegno.Core.Foundation.Body;

/// <summary>Side of the body.</summary>
public enum BodySide
{
    Left,
    Right,
    Both,
}
