using System.Collections.Immutable;
using Ingegno.Core.Ground.Body;

namespace Ingegno.Core.Trainee.Clients;

/// <summary>A joint to spare.</summary>
public sealed record SoreJoint(Joint Joint, Soreness Severity);
