using System.Collections.Immutable;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Knowledge.SetSchemes;

/// <summary>The last set goes on at once with something lighter.</summary>
public abstract record GoingOn : SetScheme
{
    public override ImmutableArray<SetMethod> TakesUp => [SetMethod.DropSet];

    public override string ToldAs => "instruction.goes-on";

    public override string InTable => "drop set";

    public override Reason Told(string how, SetTarget target, string? goesOnWith) =>
        goesOnWith is null ? base.Told(how, target, goesOnWith) : Reason.Of("instruction.goes-on", ("how", how), ("with", goesOnWith));

    public override IEnumerable<SchemePart> Parts(SetTarget target, bool last) =>
        last ? [.. base.Parts(target, last), new SchemePart(SetPartKind.GoOn, SetTarget.Open, 0)] : base.Parts(target, last);

    /// <summary>What follows the last set lasts about as long as a set.</summary>
    public override double SecondsBeside(int sets, SetTarget target, double setSeconds) => setSeconds;

    public override string Behind(SetTarget target) => " + drop";
}

/// <summary>The last set goes on with less load.</summary>
public sealed record Drop : GoingOn
{
    public override string Key => "drop";

    public override bool Suits(SchemeFit at)
    {
        ArgumentNullException.ThrowIfNull(at);
        return at.LighterLoad is not null;
    }

    public override string? GoesOnWith(SchemeFit at)
    {
        ArgumentNullException.ThrowIfNull(at);
        return at.LighterLoad;
    }
}

/// <summary>The last set goes on with an easier version.</summary>
public sealed record MechanicalDrop : GoingOn
{
    public override string Key => "mechanical-drop";

    public override bool Suits(SchemeFit at)
    {
        ArgumentNullException.ThrowIfNull(at);
        return at is { EasierVersion: not null, Reps: not null };
    }

    public override string? GoesOnWith(SchemeFit at)
    {
        ArgumentNullException.ThrowIfNull(at);
        return at.EasierVersion;
    }
}
