namespace Ingegno.Core.Knowledge.Rules;

/// <summary>What the training is for.</summary>
public enum Goal
{
    Strength,
    Muscle,
    Endurance,
    GeneralFitness,
}
