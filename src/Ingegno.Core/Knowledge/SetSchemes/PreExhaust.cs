namespace Ingegno.Core.Knowledge.SetSchemes;

/// <summary>An isolation exercise of the same muscle is done right before.</summary>
public sealed record PreExhaust : SetScheme
{
    public override string Key => "pre-exhaust";

    public override bool OfTheDay => true;

    public override bool Suits(SchemeFit at) => false;
}
