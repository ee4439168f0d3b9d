using System.Collections.Immutable;
using FluentValidation;
using Ingegno.Core;
using Ingegno.Core.Clients;
using Ingegno.Core.Kit;
using Ingegno.Core.Loading.Bands;
using Ingegno.Core.Loading.Packing;
using Ingegno.Core.Matching;
using Ingegno.Core.Strength;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Web.Features;

/// <summary>A thing as typed.</summary>
public sealed record KitText(string Text);

/// <summary>A client at a place.</summary>
public sealed record ClientAtPlace(ClientProfile Client, PlaceKit Kit);

/// <summary>An exercise for a client at a place.</summary>
public sealed record ExerciseAtPlace(ClientProfile Client, PlaceKit Kit, string ExerciseId);

/// <summary>A load to build from a kit.</summary>
/// <param name="Kit">What there is; counts and masses may be changed for trying out.</param>
/// <param name="TargetKg">Wanted mass of one hand, container included.</param>
/// <param name="Hands">1, or 2 for the same in both hands.</param>
/// <param name="ContainerId">Only this container; null for the best of all.</param>
public sealed record LoadToBuild(PlaceKit Kit, double TargetKg, int Hands = 1, string? ContainerId = null);

/// <summary>What can be built.</summary>
/// <param name="Answer">The recipe, or the nearest ones.</param>
/// <param name="ReachableKg">Every mass of one hand that can be reached, lightest first, for the ruler.</param>
public sealed record BuiltLoads(LoadAnswer Answer, ImmutableArray<double> ReachableKg);

/// <summary>A band on the bench.</summary>
/// <param name="Band">The band with its measures and calibration.</param>
/// <param name="StatureCm">Stature of the client; null assumes one and says so.</param>
/// <param name="ExerciseId">Exercise to rig it for; null for the curve alone.</param>
/// <param name="SetupId">Set-up of the exercise; null takes the first with a band.</param>
/// <param name="Grip">How it is gripped.</param>
/// <param name="Knob">What may be turned to reach the wanted force.</param>
/// <param name="WantedKg">Wanted force where the rep is hardest.</param>
public sealed record BandOnBench(
    KitItem Band, double? StatureCm = null, string? ExerciseId = null, string? SetupId = null, BandGrip? Grip = null, BandKnob? Knob = null, double? WantedKg = null);

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
    string? Problem, BandForceCurve? Curve, ImmutableArray<ForceAtLength> Points, BandRep? Rep, string? RepProblem, double? SolvedCm, string? SolveProblem,
    bool StatureAssumed, string HowInWords);

public sealed class ClientAtPlaceValidator : AbstractValidator<ClientAtPlace>
{
    public ClientAtPlaceValidator()
    {
        RuleFor(c => c.Client).SetValidator(new ClientProfileValidator());
        RuleFor(c => c.Kit).SetValidator(new PlaceKitValidator());
    }
}

public sealed class ExerciseAtPlaceValidator : AbstractValidator<ExerciseAtPlace>
{
    public ExerciseAtPlaceValidator()
    {
        RuleFor(c => c.Client).SetValidator(new ClientProfileValidator());
        RuleFor(c => c.Kit).SetValidator(new PlaceKitValidator());
        RuleFor(c => c.ExerciseId).Must(id => Trade.Shipped.Catalogue.Find(id) is { AtHome: true }).WithMessage("That exercise is not one for the home.");
    }
}

public sealed class LoadToBuildValidator : AbstractValidator<LoadToBuild>
{
    public LoadToBuildValidator()
    {
        RuleFor(l => l.Kit).SetValidator(new PlaceKitValidator());
        RuleFor(l => l.TargetKg).GreaterThan(0).LessThanOrEqualTo(LoadBuilder.MostKg).WithMessage($"A load to build lies above 0 and at most at {LoadBuilder.MostKg} kg in a hand.");
        RuleFor(l => l.Hands).InclusiveBetween(1, 2).WithMessage("A load is built for one hand or two.");
    }
}

public sealed class BandOnBenchValidator : AbstractValidator<BandOnBench>
{
    public BandOnBenchValidator()
    {
        RuleFor(b => b.Band.Kind).Must(k => Trade.Shipped.KitKinds.Find(k)?.Has(KitMeasure.Force) == true).WithMessage("That is no band.");
        RuleFor(b => b.StatureCm).InclusiveBetween(100, 250).WithMessage("Stature lies between 100 and 250 cm.");
        RuleFor(b => b.Band.Calibration.Length).LessThanOrEqualTo(30).WithMessage("At most 30 calibration points.");
        RuleFor(b => b.WantedKg).GreaterThan(0).LessThanOrEqualTo(150).WithMessage("A wanted force lies above 0 and at most at 150 kg.");
        RuleFor(b => b.Grip!.ChokeCm).InclusiveBetween(0, 400).WithMessage("A band is gripped 0 to 400 cm short.").When(b => b.Grip is not null);
        RuleFor(b => b.Grip!.StanceCm).InclusiveBetween(0, 200).WithMessage("The feet stand 0 to 200 cm apart.").When(b => b.Grip is not null);
        RuleFor(b => b.Grip!.AnchorHeightCm).InclusiveBetween(0, 300).WithMessage("An anchor is 0 to 300 cm high.").When(b => b.Grip is not null);
        RuleFor(b => b.Grip!.AnchorCm).InclusiveBetween(0, 1000).WithMessage("The anchor is 0 to 1,000 cm away.").When(b => b.Grip is not null);
    }
}

/// <summary>Working tools of the kit screen: all stateless, nothing is stored.</summary>
public static class KitToolEndpoints
{
    private const int CurvePoints = 60;
    private const int MostReachable = 600;

    public static void MapKitTools(this IEndpointRouteBuilder api)
    {
        var tools = api.MapGroup("").WithTags("kit tools");
        tools.MapPost("/kit/read", Read);
        tools.MapPost("/kit/possibilities", Possibilities).Validate<ClientAtPlace>();
        tools.MapPost("/loads/build", Build).Validate<LoadToBuild>();
        tools.MapPost("/bands/bench", Bench).Validate<BandOnBench>();
        tools.MapPost("/setups", Setups).Validate<ExerciseAtPlace>();
    }

    private static Ok<KitEntry> Read(KitText text, KitShorthand shorthand) => TypedResults.Ok(shorthand.Read(text.Text));

    private static Ok<KitPossibilities> Possibilities(ClientAtPlace at, KitValue value) => TypedResults.Ok(value.Of(at.Client, at.Kit));

    private static Ok<SetupRange> Setups(ExerciseAtPlace at, ReachableSetups setups, Trade trade) =>
        TypedResults.Ok(setups.For(trade.Catalogue.Get(at.ExerciseId), at.Client, at.Kit));

    private static Ok<BuiltLoads> Build(LoadToBuild load, Trade trade)
    {
        var kit = new KitAtPlace(load.Kit, trade.KitKinds);
        var containers = PlaceLoads.Containers(kit);
        var chosen = load.ContainerId is { } id ? [.. containers.Where(c => c.Id == id)] : containers;
        var builder = new LoadBuilder(chosen, PlaceLoads.Objects(kit), PlaceLoads.Fillers(kit));
        var reachable = chosen.Where(c => c.Count >= load.Hands)
            .SelectMany(c => builder.Reachable(c, load.Hands)).Select(r => r.MassKg).Distinct().Order().ToList();
        var every = Math.Max(1, (int)Math.Ceiling(reachable.Count / (double)MostReachable));
        return TypedResults.Ok(new BuiltLoads(builder.Build(new LoadWish(load.TargetKg, load.Hands)), [.. reachable.Where((_, i) => i % every == 0)]));
    }

    private static Ok<BandBench> Bench(BandOnBench bench, Trade trade)
    {
        var assumed = bench.StatureCm is null;
        var stature = bench.StatureCm ?? ClientStrength.AssumedStatureCm;
        BandForceCurve curve;
        try
        {
            curve = BandCalibration.CurveOf(new Thing(bench.Band, trade.KitKinds.Find(bench.Band.Kind)!));
        }
        catch (BandMeasureException wrong)
        {
            return TypedResults.Ok(new BandBench(wrong.Message, null, [], null, null, null, null, assumed, string.Empty));
        }

        var points = Enumerable.Range(0, CurvePoints + 1)
            .Select(i => curve.FlatCm * (1 + ((curve.Limit - 1) * i / CurvePoints)))
            .Select(cm => new ForceAtLength(Math.Round(cm, 1), Math.Round(curve.ForceKg(cm), 2)));
        var found = new BandBench(null, curve, [.. points], null, null, null, null, assumed, string.Empty);
        return TypedResults.Ok(Rigged(found, bench, trade, stature));
    }

    private static BandBench Rigged(BandBench found, BandOnBench bench, Trade trade, double stature)
    {
        var setups = bench.ExerciseId is { } id ? trade.Catalogue.Find(id)?.Setups.Where(s => s.Load.Band is not null) : null;
        if (setups?.FirstOrDefault(s => bench.SetupId is null || s.Id == bench.SetupId)?.Load.Band is not { } load)
        {
            return found;
        }

        var grip = bench.Grip ?? new BandGrip();
        try
        {
            found = found with { Rep = BandRig.Rep(found.Curve!, load, grip, stature), HowInWords = BandOptions.InWords(load, grip) };
        }
        catch (Exception wrong) when (wrong is StretchLimitException or BandMeasureException)
        {
            found = found with { RepProblem = wrong.Message };
        }

        if (bench is not { Knob: { } knob, WantedKg: { } wanted })
        {
            return found;
        }

        return BandSolver.Solve(found.Curve!, load, grip, stature, knob, wanted) is { } cm
            ? found with { SolvedCm = Math.Round(cm, 1) }
            : found with { SolveProblem = $"{Words.Number(wanted)} kg cannot be reached this way with this band. Double it, take another, or ask for a force nearer to what it gives." };
    }
}
