using Ingegno.Core.Foundation.Quantities;

namespace Ingegno.Core.Knowledge.SetSchemes;

/// <summary>What a scheme looks at in an exercise and its straight sets.</summary>
/// <param name="Planned">Target of the gym line.</param>
/// <param name="Reps">Expected reps to failure; null when reps are not the measure.</param>
/// <param name="Rir">Reps in reserve.</param>
/// <param name="Compound">More than one joint moves.</param>
/// <param name="SecondsPerRep">Seconds of a rep, both sides counted where one works at a time; 1 for holds.</param>
/// <param name="OneSided">One side works at a time.</param>
/// <param name="LighterLoad">A clearly lighter load in words that can be taken at once; null when there is none.</param>
/// <param name="EasierVersion">Name of an easier version that can be done here; null when there is none.</param>
public sealed record SchemeFit(
    SetTarget Planned,
    double? Reps,
    int Rir,
    bool Compound,
    double SecondsPerRep,
    bool OneSided,
    string? LighterLoad,
    string? EasierVersion
);

/// <summary>The figures of sets that a scheme changes.</summary>
/// <param name="Sets">Number of sets.</param>
/// <param name="Target">What a set aims at.</param>
/// <param name="Rir">Reps in reserve.</param>
/// <param name="RestSeconds">Rest between sets, s.</param>
public sealed record SchemeFigures(int Sets, SetTarget Target, int Rir, int RestSeconds);

/// <summary>Part of a set of one side.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Target">Reps or seconds; open for as many as possible.</param>
/// <param name="RestBeforeSeconds">Rest before it, s.</param>
public sealed record SchemePart(SetPartKind Kind, SetTarget Target, int RestBeforeSeconds);
