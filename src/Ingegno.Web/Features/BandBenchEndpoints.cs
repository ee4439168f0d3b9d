using System.Collections.Immutable;
using FluentValidation;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Equipment.Loading.Bands;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Web.Features;

/// <summary>A band on the bench.</summary>
/// <param name="Band">The band with its measures and calibration.</param>
/// <param name="StatureCm">Stature of the client; null assumes one and says so.</param>
/// <param name="ExerciseId">Exercise to rig it for; null for the curve alone.</param>
/// <param name="SetupId">Set-up of the exercise; null takes the first with a band.</param>
/// <param name="Grip">How it is gripped.</param>
/// <param name="Knob">What may be turned to reach the wanted force.</param>
/// <param name="WantedKg">Wanted force where the rep is hardest.</param>
public sealed record BandOnBench(
    KitItem Band,
    double? StatureCm = null,
    string? ExerciseId = null,
    string? SetupId = null,
    BandGrip? Grip = null,
    BandKnob? Knob = null,
    double? WantedKg = null
);

/// <summary>Force of a band at a length.</summary>
public sealed record ForceAtLength(double LengthCm, double ForceKg);

/// <summary>What the bench shows.</summary>
/// <param name="Problem">What is wrong with the measures; null when a curve could be made.</param>
/// <param name="Curve">The fitted curve.</param>
/// <param name="Points">The curve as points, from rest to its limit.</param>
/// <param name="Rep">Force over the rep in the set-up.</param>
/// <param name="RepProblem">Why the rig cannot be.</param>
/// <param name="SolvedCm">Value of the knob for the wanted force.</param>
/// <param name="SolveProblem">Why there is none.</param>
/// <param name="StatureAssumed">The stature was not known.</param>
/// <param name="HowInWords">The grip in words.</param>
public sealed record BandBench(
    Reason? Problem,
    BandForceCurve? Curve,
    ImmutableArray<ForceAtLength> Points,
    BandRep? Rep,
    Reason? RepProblem,
    double? SolvedCm,
    Reason? SolveProblem,
    bool StatureAssumed,
    string HowInWords
);

public sealed class BandOnBenchValidator : AbstractValidator<BandOnBench>
{
    public BandOnBenchValidator()
    {
        RuleFor(b => b.Band.Kind)
            .Must(k => DomainRules.Shipped.KitKinds.Find(k)?.Has(KitMeasure.Force) == true)
            .WithMessage("That is no band.");
        RuleFor(b => b.StatureCm).InclusiveBetween(100, 250).WithMessage("Stature lies between 100 and 250 cm.");
        RuleFor(b => b.Band.Calibration.Length).LessThanOrEqualTo(30).WithMessage("At most 30 calibration points.");
        RuleFor(b => b.WantedKg).GreaterThan(0).LessThanOrEqualTo(150).WithMessage("A wanted force lies above 0 and at most at 150 kg.");
        RuleFor(b => b.Grip!.ChokeCm)
            .InclusiveBetween(0, 400)
            .WithMessage("A band is gripped 0 to 400 cm short.")
            .When(b => b.Grip is not null);
        RuleFor(b => b.Grip!.StanceCm)
            .InclusiveBetween(0, 200)
            .WithMessage("The feet stand 0 to 200 cm apart.")
            .When(b => b.Grip is not null);
        RuleFor(b => b.Grip!.AnchorHeightCm)
            .InclusiveBetween(0, 300)
            .WithMessage("An anchor is 0 to 300 cm high.")
            .When(b => b.Grip is not null);
        RuleFor(b => b.Grip!.AnchorCm)
            .InclusiveBetween(0, 1000)
            .WithMessage("The anchor is 0 to 1,000 cm away.")
            .When(b => b.Grip is not null);
    }
}

/// <summary>The band bench: stateless, nothing is stored.</summary>
public static class BandBenchEndpoints
{
    private const int CurvePoints = 60;

    public static void MapBandBench(this IEndpointRouteBuilder api) =>
        api.MapPost("/bands/bench", Bench).Validate<BandOnBench>().WithTags("kit tools");

    private static Ok<BandBench> Bench(BandOnBench bench, DomainRules domain)
    {
        var assumed = bench.StatureCm is null;
        var stature = bench.StatureCm ?? AssumedBody.StatureCm;
        BandForceCurve curve;
        try
        {
            curve = BandCalibration.CurveOf(new Thing(bench.Band, domain.KitKinds.Find(bench.Band.Kind)!));
        }
        catch (BandMeasureException wrong)
        {
            return TypedResults.Ok(new BandBench(wrong.Reason, null, [], null, null, null, null, assumed, string.Empty));
        }

        var points = Enumerable
            .Range(0, CurvePoints + 1)
            .Select(i => curve.FlatCm * (1 + ((curve.Limit - 1) * i / CurvePoints)))
            .Select(cm => new ForceAtLength(Math.Round(cm, 1), Math.Round(curve.ForceKg(cm), 2)));
        var found = new BandBench(null, curve, [.. points], null, null, null, null, assumed, string.Empty);
        return TypedResults.Ok(Rigged(found, bench, domain, stature));
    }

    private static BandBench Rigged(BandBench found, BandOnBench bench, DomainRules domain, double stature)
    {
        var setups = bench.ExerciseId is { } id ? domain.Catalogue.Find(id)?.Setups.Where(s => s.Load.Band is not null) : null;
        if (setups?.FirstOrDefault(s => bench.SetupId is null || s.Id == bench.SetupId)?.Load.Band is not { } load)
        {
            return found;
        }

        var grip = bench.Grip ?? new BandGrip();
        try
        {
            found = found with { Rep = BandRig.Rep(found.Curve!, load, grip, stature), HowInWords = BandOptions.InWords(load, grip) };
        }
        catch (StretchLimitException wrong)
        {
            found = found with { RepProblem = wrong.Reason };
        }
        catch (BandMeasureException wrong)
        {
            found = found with { RepProblem = wrong.Reason };
        }

        if (bench is not { Knob: { } knob, WantedKg: { } wanted })
        {
            return found;
        }

        return BandSolver.Solve(found.Curve!, load, grip, stature, knob, wanted) is { } cm
            ? found with
            {
                SolvedCm = Math.Round(cm, 1),
            }
            : found with
            {
                SolveProblem = Reason.Of("band.not-reached", ("wanted", Quantity.Kg(wanted))),
            };
    }
}
