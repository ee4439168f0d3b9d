using System.Collections.Immutable;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Equipment.Loading.Objects;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;

namespace Ingegno.Core.Rebuilding.Candidates;

/// <summary>One way to do an exercise at a place: a set-up with a load or band, and what it weighs on the client.</summary>
/// <param name="Setup">The set-up.</param>
/// <param name="Bindings">Things that play its roles.</param>
/// <param name="Load">External load or band; <see cref="ReachableLoad.None"/> for neither.</param>
/// <param name="System">Load that the working limbs move.</param>
/// <param name="Checks">What the objects say to it.</param>
public sealed record Way(
    Setup Setup,
    ImmutableArray<Binding> Bindings,
    ReachableLoad Load,
    SystemLoad System,
    ImmutableArray<ObjectVerdict> Checks
)
{
    /// <summary>Which thing, and which part of it, plays which role; empty when none does.</summary>
    public string Spots => Binding.Spots(Bindings);

    /// <summary>The object that is not up to it; null when all are.</summary>
    public ObjectVerdict? Refused => Checks.FirstOrDefault(c => c.Verdict == Verdict.Refused);
}

/// <summary>A set-up of an exercise at a place.</summary>
/// <param name="Setup">The set-up.</param>
/// <param name="Missing">What is missing here; null when it can be set up.</param>
/// <param name="Ways">Every height, load and band that it can take, lightest load first, those that an object refuses among them; empty
/// when nothing here loads it.</param>
public sealed record SetupHere(Setup Setup, Reason? Missing, ImmutableArray<Way> Ways)
{
    /// <summary>Ways that no object refuses.</summary>
    public IEnumerable<Way> Safe => Ways.Where(w => w.Refused is null);
}
