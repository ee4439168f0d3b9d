using System.Collections.Immutable;

namespace Ingegno.Core.Trainee.Clients;

/// <summary>What the training is for.</summary>
public enum Goal { Strength, Muscle, Endurance, GeneralFitness }
