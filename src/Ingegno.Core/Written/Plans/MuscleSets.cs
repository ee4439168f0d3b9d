using System.Collections.Immutable;
using Ingegno.Core.Ground.Body;

namespace Ingegno.Core.Written.Plans;

/// <summary>Hard sets of one muscle.</summary>
public sealed record MuscleSets(Muscle Muscle, double Gym, double Home);
