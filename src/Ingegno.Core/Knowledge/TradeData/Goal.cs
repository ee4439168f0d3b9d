namespace Ingegno.Core.Knowledge.TradeData;

/// <summary>What the training is for.</summary>
public enum Goal
{
    Strength,
    Muscle,
    Endurance,
    GeneralFitness,
}
