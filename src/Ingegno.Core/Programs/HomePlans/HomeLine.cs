using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>One gym line and what takes its place.</summary>
public sealed record HomeLine
{
    public required GymLine Gym { get; init; }

    public required string GymExerciseName { get; init; }

    /// <summary>The gym line's dose in shorthand.</summary>
    public required string GymDose { get; init; }

    /// <summary>Effort, load, tempo, rest and method of the gym line in shorthand.</summary>
    public string GymDetails { get; init; } = string.Empty;

    /// <summary>What the gym line's name says beyond its exercise: paused, low bar.</summary>
    public ImmutableArray<string> GymSaid { get; init; } = [];

    public required LineRole Role { get; init; }

    /// <summary>What is taken; null when nothing in the catalogue serves.</summary>
    public Candidate? Chosen { get; init; }

    /// <summary>The client's minutes have no room for it: nothing is taken, until a coach takes one of the candidates.</summary>
    public bool LeftOut { get; init; }

    /// <summary>True when the coach made the choice.</summary>
    public bool Locked { get; init; }

    /// <summary>All proposals, best first, the chosen one among them.</summary>
    public ImmutableArray<Candidate> Candidates { get; init; } = [];

    /// <summary>Relevant exercises that cannot be used here, with reasons.</summary>
    public ImmutableArray<RuledOut> RuledOut { get; init; } = [];

    /// <summary>What would make the line better.</summary>
    public ImmutableArray<Reason> Better { get; init; } = [];
}
