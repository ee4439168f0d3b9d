namespace Ingegno.Core.Knowledge.Rules;

/// <summary>In which order the lines of a day are done.</summary>
public enum SessionOrder
{
    /// <summary>As the gym plan has them.</summary>
    Gym,

    /// <summary>Power and skill first, main lifts, other compound lines, isolation, trunk last (docs/domain/prescription).</summary>
    Trade,

    /// <summary>Muscle by muscle, each stretched first, then shortened, then in the middle: weakest first, strongest last.</summary>
    RangeByMuscle,
}
