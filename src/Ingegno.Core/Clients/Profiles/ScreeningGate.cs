namespace Ingegno.Core.Clients.Profiles;

/// <summary>A short question of the screening; what stands behind it is asked where the answer is yes (after PAR-Q+, from memory).</summary>
public enum ScreeningGate
{
    Heart,
    Illness,
    Body,
    Birth,
    HeldBack,
}
