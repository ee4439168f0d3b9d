using System.Collections.Immutable;
using Ingegno.Core.Foundation.Body;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>Hard sets of one muscle.</summary>
public sealed record MuscleSets(Muscle Muscle, double Gym, double Home);
