using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Loading.Objects;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Equipment.Loading;

/// <summary>What somebody sits, steps, lies, leans or hangs on carries the body, whatever helps it.</summary>
[Trait("source", "statics; a maker's greatest mass of a user holds a margin already, common practice")]
public class BearingTests
{
    /// <summary>The worst verdict over all ways of an exercise with the heaviest load that the kit has.</summary>
    private static Verdict Worst(double mass, string exercise, string kit)
    {
        var client = new ClientProfile
        {
            Level = Level.Intermediate,
            Goal = Goal.Muscle,
            Sex = Sex.Male,
            BodyMassKg = mass,
            StatureCm = 180,
        };
        var at = new ClientAtPlace(client, Examples.KitOf(kit), DomainRules.Shipped);
        var ways = at.Ways.SetupsOf(Examples.Exercise(exercise)).SelectMany(s => s.Ways).ToList();
        ways.ShouldNotBeEmpty();
        return ways.Where(w => w.Load.WeightKg >= ways.Max(o => o.Load.WeightKg)).SelectMany(w => w.Checks).Max(c => c.Verdict);
    }

    [Theory]
    [InlineData(110, "hip-thrust-from-a-seat", "coffee table 45 cm rated 30 kg; 20 kg sandbag", Verdict.Refused)]
    [InlineData(80, "chair-squat", "chair 45 cm rated 60 kg", Verdict.Refused)]
    [InlineData(80, "chair-squat", "chair 45 cm rated 100 kg", Verdict.Care)] // 96 kg come down on it
    [InlineData(80, "chair-squat", "chair 45 cm rated 120 kg", Verdict.Fine)]
    [InlineData(85, "hands-raised-push-up", "dining table 74 cm", Verdict.Fine)] // a usual value refuses nobody
    [InlineData(140, "chair-squat", "chair 45 cm", Verdict.Care)] // it asks for a test
    [InlineData(100, "step-up", "step 20 cm rated 110 kg", Verdict.Refused)] // 120 kg step on it
    public void It_carries_what_comes_down_on_it(double mass, string exercise, string kit, Verdict verdict) =>
        Worst(mass, exercise, kit).ShouldBe(verdict);

    /// <summary>A band that helps hangs from the same bar, and a foot that helps may slip.</summary>
    [Theory]
    [InlineData("band-assisted-pull-up")]
    [InlineData("foot-assisted-pull-up")]
    [InlineData("hanging-knee-raise")]
    [InlineData("dead-hang")]
    public void What_helps_takes_nothing_off_the_bar(string exercise)
    {
        const string Kit = "pull-up bar rated 110 kg; band 104 cm 44 mm; chair 45 cm; rucksack 30 L";
        Worst(95, "pull-up", Kit).ShouldBe(Verdict.Refused);
        Worst(95, exercise, Kit).ShouldBe(Verdict.Refused);
        Worst(60, exercise, Kit).ShouldNotBe(Verdict.Refused);
    }

    /// <summary>Nothing that bears a client is without a check: roles are those that a body rests on.</summary>
    [Fact]
    public void Whatever_one_sits_steps_or_hangs_on_is_checked()
    {
        var unchecked_ =
            from exercise in DomainRules.Shipped.Catalogue.AtHome
            from setup in exercise.Setups
            from role in Roles(setup.Needs)
            where role.Thing is "sit-on" or "step-on" or "hang-from" && role.As is "seat" or "step" or "bar"
            where !setup.Checks.Any(c => c.Role == role.As && c.Kind is CheckKind.Bears or CheckKind.Rated)
            select $"{exercise.Id} {setup.Id}: {role.Thing}";

        unchecked_.ShouldBeEmpty();
    }

    private static IEnumerable<(string? Thing, string? As)> Roles(Ingegno.Core.Equipment.Kit.Requirement? need) =>
        need is null ? [] : [(need.Thing, need.As), .. need.All.Concat(need.Any).SelectMany(Roles)];
}
