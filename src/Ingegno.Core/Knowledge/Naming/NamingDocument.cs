using System.Collections.Immutable;
using Ingegno.Core.Foundation.Body;

namespace Ingegno.Core.Knowledge.Naming;

/// <summary>How coaches name exercises: <c>data/names/naming.json</c>. Common practice, no source.</summary>
/// <param name="Words">Spellings, joined words and short forms, each with the words it stands for.</param>
/// <param name="Fillers">Words that say nothing.</param>
/// <param name="Concepts">What words and short phrases say.</param>
/// <param name="Compounds">Concepts that make up a movement together, whatever their order.</param>
/// <param name="Implied">What goes without saying for a movement.</param>
/// <param name="Names">Names of exercises of the catalogue beside those that stand there.</param>
/// <param name="Other">Work that is no exercise of the catalogue.</param>
/// <param name="Effects">What a modifier changes of a line.</param>
/// <param name="Costs">How far a reading is from what was written.</param>
/// <param name="Loads">What loads are taken for where their unit or their whole is not said.</param>
public sealed record NamingDocument(
    ImmutableSortedDictionary<string, string> Words,
    ImmutableArray<string> Fillers,
    ImmutableArray<NameConcept> Concepts,
    ImmutableArray<NameCompound> Compounds,
    ImmutableArray<ImpliedFeatures> Implied,
    ImmutableArray<KnownNames> Names,
    ImmutableArray<OtherWorkNames> Other,
    ImmutableArray<ModifierEffect> Effects,
    NamingCosts Costs,
    SpokenLoads Loads
);

/// <summary>What loads are taken for where their unit or their whole is not said.</summary>
/// <param name="StrongKg">What a strong member of a club lifts once, kg, by anchor lift: more without a unit is likelier pounds (common practice).</param>
/// <param name="TrainingMax">Share of the maximum that a training maximum is (published wave of 5/3/1, from memory).</param>
public sealed record SpokenLoads(ImmutableSortedDictionary<string, double> StrongKg, double TrainingMax);

/// <summary>What a word or short phrase says.</summary>
public sealed record NameConcept(string Id, NameFeatureKind Kind, ImmutableArray<string> Forms);

/// <summary>A movement and the sets of concepts of which each makes it up.</summary>
public sealed record NameCompound(string Movement, ImmutableArray<ImmutableArray<string>> Of);

/// <summary>Concepts that add nothing to a movement: biceps to a curl.</summary>
public sealed record ImpliedFeatures(string Movement, ImmutableArray<string> Says);

/// <summary>Names of an exercise.</summary>
/// <param name="Exercise">Its id.</param>
/// <param name="Names">Names that mean it.</param>
/// <param name="Nearest">Names of what the catalogue lacks, for which it is the nearest.</param>
public sealed record KnownNames(string Exercise, ImmutableArray<string> Names = default, ImmutableArray<string> Nearest = default);

/// <summary>Names of work that no exercise of the catalogue stands for.</summary>
public sealed record OtherWorkNames(OtherWork Kind, ImmutableArray<string> Names);

/// <summary>Work in a gym program that is no exercise with sets and reps.</summary>
public enum OtherWork
{
    /// <summary>Running, cycling, rowing, battle ropes.</summary>
    Conditioning,

    /// <summary>Handstand practice, rope climbing.</summary>
    Skill,

    /// <summary>Stretching, rolling, warming up.</summary>
    Mobility,

    /// <summary>A name that nothing is known of.</summary>
    Unknown,
}

/// <summary>What a modifier changes of the gym line.</summary>
/// <param name="Modifier">Its id.</param>
/// <param name="Emphasis">Muscles that take part at least this much, 0–1; a muscle below what it had is lowered to it.</param>
/// <param name="On">Movements it holds for; empty for all.</param>
/// <param name="Eccentric">Seconds down, 0–30.</param>
/// <param name="Pause">Seconds of pause where the muscle is long, 0–30.</param>
/// <param name="Explosive">Up as fast as possible.</param>
/// <param name="OneSided">One side at a time.</param>
/// <param name="Stability">Demand on balance that is left: 0 where the trunk is held.</param>
public sealed record ModifierEffect(
    string Modifier,
    ImmutableSortedDictionary<Muscle, double>? Emphasis = null,
    ImmutableArray<string> On = default,
    int? Eccentric = null,
    int? Pause = null,
    bool Explosive = false,
    bool OneSided = false,
    int? Stability = null
);

/// <summary>Distances by which the nearest name is found (own estimates).</summary>
/// <param name="Missing">By kind: what was written and the name does not say.</param>
/// <param name="Extra">By kind: what the name says and was not written.</param>
/// <param name="OtherImplement">Another implement than the exercise is done with.</param>
/// <param name="SideOfOneSided">One-sided, said of an exercise that is.</param>
/// <param name="Nearest">A name of what the catalogue lacks.</param>
/// <param name="AtHomeOnly">An exercise that gyms do not have.</param>
/// <param name="SureUpTo">A reading no farther than this is sure.</param>
/// <param name="ClearBy">How much nearer than the next exercise a sure reading is.</param>
/// <param name="OfferedUpTo">Alternatives are offered as far as this.</param>
public sealed record NamingCosts(
    ImmutableSortedDictionary<NameFeatureKind, double> Missing,
    ImmutableSortedDictionary<NameFeatureKind, double> Extra,
    double OtherImplement,
    double SideOfOneSided,
    double Nearest,
    double AtHomeOnly,
    double SureUpTo,
    double ClearBy,
    double OfferedUpTo
);
