namespace Ingegno.Core.Knowledge.Rules;

/// <summary>Names of techniques that rules ask for; what each step of them does is data (<c>data/rules/techniques.json</c>).</summary>
public static class TechniqueName
{
    public const string SlowEccentric = "slow-eccentric";
    public const string Pause = "pause";
    public const string LongerRange = "longer-range";
    public const string Explosive = "explosive";
    public const string PreExhaust = "pre-exhaust";
}
