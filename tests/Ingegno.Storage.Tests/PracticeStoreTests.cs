using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Storage.Tests;

/// <summary>What a practice keeps for itself: exercises, prices, weeks in their order.</summary>
public sealed class PracticeStoreTests : IDisposable
{
    private readonly TestDatabase _db = new();

    public void Dispose() => _db.Dispose();

    [Fact]
    public void An_own_exercise_comes_back_as_it_was_and_stays_with_its_practice()
    {
        var store = new OwnExerciseStore(_db.Database, FixedClock.Monday);
        var row = DomainRules.Shipped.Catalogue.Get("table-row");
        var added = store.Add(_db.Coach, row);

        store.Find(_db.Coach, added.Id)!.Value.Setups.Length.ShouldBe(row.Setups.Length);
        store.Find(_db.Coach, added.Id)!.Value.Muscles.ShouldBe(row.Muscles);
        store.List(_db.Other).ShouldBeEmpty();
        store.Delete(_db.Other, added.Id).ShouldBeFalse();
    }

    [Fact]
    public void A_practice_has_one_exercise_of_a_key()
    {
        var store = new OwnExerciseStore(_db.Database, FixedClock.Monday);
        store.Add(_db.Coach, DomainRules.Shipped.Catalogue.Get("table-row"));

        Should.Throw<Microsoft.Data.Sqlite.SqliteException>(() => store.Add(_db.Coach, DomainRules.Shipped.Catalogue.Get("table-row")));
        Should.NotThrow(() => store.Add(_db.Other, DomainRules.Shipped.Catalogue.Get("table-row")));
    }

    [Fact]
    public void Prices_are_set_changed_and_cleared_for_one_practice_alone()
    {
        var store = new PriceStore(_db.Database);
        store.Set(_db.Coach, "Pull-up bar", 30);
        store.Set(_db.Coach, "Pull-up bar", 25);
        store.Set(_db.Other, "Pull-up bar", 40);

        store.All(_db.Coach).ShouldBe(new Dictionary<string, double> { ["Pull-up bar"] = 25 });
        store.Clear(_db.Coach);
        store.All(_db.Coach).ShouldBeEmpty();
        store.All(_db.Other).Count.ShouldBe(1);
    }

    [Fact]
    public void Weeks_stay_in_the_order_they_came_and_come_all_or_none()
    {
        var client = _db.AddClient();
        _db.Weeks.AddAll(_db.Coach, client, [new GymWeek("Week 9", "a"), new GymWeek("Week 10", "b"), new GymWeek("Deload", "c")])!
            .Count.ShouldBe(3);

        _db.Weeks.List(_db.Coach, client).Select(w => w.Value.Name).ShouldBe(["Week 9", "Week 10", "Deload"]);
        _db.Weeks.AddAll(_db.Other, client, [new GymWeek("x", "y")]).ShouldBeNull();
        _db.Weeks.List(_db.Coach, client).Count.ShouldBe(3);
    }
}
