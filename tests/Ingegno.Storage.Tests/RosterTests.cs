using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Progress.FollowUp;
using Ingegno.Core.Progress.Progression;
using Ingegno.Storage;

namespace Ingegno.Storage.Tests;

/// <summary>What the roster reads at once: places without their kit, and the pulses of plans.</summary>
public sealed class RosterTests : IDisposable
{
    private static readonly ActivitySummary Pulse = new(
        1,
        new DateOnly(2026, 11, 20),
        4,
        [new ActivityLine("Push-up", Decision.Swap, Reason.Text("Pain 6 of 10."), 6, Core.Foundation.Body.Joint.Wrist, true)]
    );

    private readonly TestDatabase _db = new();

    [Fact]
    public void An_empty_practice_has_nothing_at_a_glance()
    {
        _db.Places.AtAGlance(_db.Coach).ShouldBeEmpty();
        new ActivityStore(_db.Database).All(_db.Coach).ShouldBeEmpty();
    }

    [Fact]
    public void Places_are_counted_by_client()
    {
        var client = _db.AddClient();
        _db.Places.Add(
            _db.Coach,
            client,
            new PlaceKit { Name = "Garage", Items = [new KitItem { Id = "a", Kind = "chair" }, new KitItem { Id = "b", Kind = "mat" }] }
        );

        _db.Places.AtAGlance(_db.Coach)[client]
            .ShouldHaveSingleItem()
            .ShouldSatisfyAllConditions(p => p.Items.ShouldBe(2), p => p.Name.ShouldBe("Garage"));
        _db.Places.AtAGlance(_db.Other).ShouldBeEmpty();
    }

    [Fact]
    public void A_pulse_takes_the_place_of_the_one_before_and_stays_with_its_coach()
    {
        var plan = _db.AddPlan().Id;
        var pulses = new ActivityStore(_db.Database);
        pulses.Put(_db.Coach, plan, Pulse with { Sessions = 3 });
        pulses.Put(_db.Coach, plan, Pulse);

        var back = pulses.All(_db.Coach)[plan];
        (back.Sessions, back.LastTrained).ShouldBe((4, new DateOnly(2026, 11, 20)));
        back.Lines.ShouldBe(Pulse.Lines);
        pulses.All(_db.Other).ShouldBeEmpty();
        _db.Plans.Delete(_db.Coach, plan);
        pulses.All(_db.Coach).ShouldBeEmpty("it goes with its plan");
    }

    public void Dispose() => _db.Dispose();
}
