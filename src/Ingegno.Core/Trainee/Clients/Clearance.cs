using System.Collections.Immutable;

namespace Ingegno.Core.Trainee.Clients;

/// <summary>A clearance as the coach recorded it.</summary>
/// <param name="On">Day of the clearance.</param>
/// <param name="By">Who gave it, 1–120 characters.</param>
public sealed record Clearance(DateOnly On, string By);
