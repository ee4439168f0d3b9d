using FluentValidation;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;

namespace Ingegno.Web.Features;

public sealed class KitItemValidator : AbstractValidator<KitItem>
{
    public KitItemValidator()
    {
        RuleFor(i => i.Id).NotEmpty().MaximumLength(40).WithMessage("Every thing needs a key of at most 40 characters.");
        RuleFor(i => i.Kind)
            .Must(k => DomainRules.Shipped.KitKinds.Find(k) is not null)
            .WithMessage(i => $"\"{i.Kind}\" is no known kind of kit.");
        RuleFor(i => i.Name).OneLine("The name of a thing");
        RuleFor(i => i.Name).MaximumLength(60).WithMessage("The name of a thing takes at most 60 characters.");
        RuleFor(i => i.Count).InclusiveBetween(1, 100).WithMessage("The count lies between 1 and 100.");
        RuleFor(i => i.MassKg).GreaterThan(0).LessThanOrEqualTo(500).WithMessage("A mass lies above 0 and at most at 500 kg.");
        RuleFor(i => i.ForceKg)
            .GreaterThan(0)
            .LessThanOrEqualTo(150)
            .WithMessage("The force of a band lies above 0 and at most at 150 kg.");
        RuleFor(i => i.HeightCm).InclusiveBetween(1, 250).WithMessage("A height lies between 1 and 250 cm.");
        RuleFor(i => i.HandleKg).GreaterThan(0).LessThanOrEqualTo(100).WithMessage("A handle or bar lies above 0 and at most at 100 kg.");
        RuleFor(i => i.Plates.Length).LessThanOrEqualTo(20).WithMessage("At most 20 sizes of plates.");
        RuleForEach(i => i.Plates)
            .Must(p => p.MassKg is > 0 and <= 50 && p.Count is >= 1 and <= 40)
            .WithMessage("A plate lies above 0 and at most at 50 kg, 1 to 40 of them.");
        RuleFor(i => i.RestLengthCm).InclusiveBetween(10, 500).WithMessage("The length of a band lies between 10 and 500 cm.");
        RuleFor(i => i.WidthMm).InclusiveBetween(1, 200).WithMessage("A band is 1 to 200 mm wide.");
        RuleFor(i => i.ThicknessMm).InclusiveBetween(0.1, 20).WithMessage("A band is 0.1 to 20 mm thick.");
        RuleFor(i => i.Calibration.Length).LessThanOrEqualTo(30).WithMessage("At most 30 calibration points.");
        RuleForEach(i => i.Calibration)
            .Must(p => p.LengthCm is > 0 and <= 2000 && p.ForceKg is > 0 and <= 300)
            .WithMessage("A calibration point has a length up to 2,000 cm and a force up to 300 kg, both above 0.");
        RuleFor(i => i.DensityKgPerL).InclusiveBetween(0.05, 12).WithMessage("A density lies between 0.05 and 12 kg/L.");
        RuleFor(i => i.OverhangCm).InclusiveBetween(0, 100).WithMessage("An overhang lies between 0 and 100 cm.");
        RuleFor(i => i.LegToCentreCm).InclusiveBetween(1, 150).WithMessage("From the legs to the middle lie 1 to 150 cm.");
        RuleFor(i => i.Hazards.Length).LessThanOrEqualTo(6).WithMessage("At most 6 hazards.");
        RuleFor(i => i.Tested.Length).LessThanOrEqualTo(20).WithMessage("At most 20 test steps.");
        RuleFor(i => i.VolumeL).GreaterThan(0).LessThanOrEqualTo(1000).WithMessage("A volume lies above 0 and at most at 1,000 L.");
        RuleFor(i => i.MaxLoadKg)
            .GreaterThan(0)
            .LessThanOrEqualTo(1000)
            .WithMessage("What a thing carries lies above 0 and at most at 1,000 kg.");
    }
}

public sealed class PlaceKitValidator : AbstractValidator<PlaceKit>
{
    public PlaceKitValidator()
    {
        RuleFor(p => p.Name).Must(n => !string.IsNullOrWhiteSpace(n)).WithMessage("The place needs a name.");
        RuleFor(p => p.Name).OneLine("The name of a place");
        RuleFor(p => p.Name).MaximumLength(60).WithMessage("The name of a place takes at most 60 characters.");
        RuleFor(p => p.Items.Length).LessThanOrEqualTo(Limits.KitItems).WithMessage($"A place holds at most {Limits.KitItems} things.");
        RuleFor(p => p.Items)
            .Must(items => items.Select(i => i.Id).Distinct().Count() == items.Length)
            .WithMessage("Two things share one key.");
        RuleForEach(p => p.Items).SetValidator(new KitItemValidator()).When(p => p.Items.Length <= Limits.KitItems);
    }
}

public sealed class PlaceChangeValidator : AbstractValidator<Change<PlaceKit>>
{
    public PlaceChangeValidator() => RuleFor(c => c.Value).SetValidator(new PlaceKitValidator());
}

/// <summary>Places of a client and their kit.</summary>
public static class PlaceEndpoints
{
    public static void MapPlaces(this IEndpointRouteBuilder api) =>
        api.MapGroup("").WithTags("places").MapOfClient<PlaceStore, PlaceKit>("places", "place");
}
