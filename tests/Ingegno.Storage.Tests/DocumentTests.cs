using Ingegno.Core.Equipment.Kit;

namespace Ingegno.Storage.Tests;

public sealed class DocumentTests : IDisposable
{
    private readonly TestDatabase _db = new();

    public void Dispose() => _db.Dispose();

    [Fact]
    public void What_was_stored_comes_back()
    {
        var client = _db.AddClient();
        var kit = new PlaceKit
        {
            Name = "Flat",
            Items =
            [
                new KitItem
                {
                    Id = "db",
                    Kind = "dumbbell",
                    Count = 2,
                    MassKg = 8,
                },
            ],
        };
        var place = _db.Places.Add(_db.Coach, client, kit)!;

        var back = _db.Places.Find(_db.Coach, place.Id)!;
        back.Revision.ShouldBe(1);
        back.Value.Items.ShouldBe(kit.Items);
        _db.Places.List(_db.Coach, client).ShouldHaveSingleItem();
    }

    [Fact]
    public void A_second_writer_is_told_and_shown_what_stands()
    {
        var client = _db.Clients.Add(_db.Coach, TestDatabase.Client("Tamsin"));
        _db.Clients.Update(_db.Coach, client.Id, 1, TestDatabase.Client("Tamsin O.")).Outcome.ShouldBe(WriteOutcome.Done);

        var late = _db.Clients.Update(_db.Coach, client.Id, 1, TestDatabase.Client("Tam"));

        late.Outcome.ShouldBe(WriteOutcome.Conflict);
        late.Current!.Value.Name.ShouldBe("Tamsin O.");
        late.Current.Revision.ShouldBe(2);
    }

    [Fact]
    public void A_write_whose_answer_was_lost_may_be_sent_again()
    {
        var client = _db.Clients.Add(_db.Coach, TestDatabase.Client("Tamsin"));
        _db.Clients.Update(_db.Coach, client.Id, 1, TestDatabase.Client("Tamsin O."));

        var again = _db.Clients.Update(_db.Coach, client.Id, 1, TestDatabase.Client("Tamsin O."));

        (again.Outcome, again.Current!.Revision).ShouldBe((WriteOutcome.Done, 2), "it stands there already");
    }

    [Fact]
    public void Another_coach_sees_changes_and_deletes_nothing()
    {
        var client = _db.AddClient();

        _db.Clients.List(_db.Other).ShouldBeEmpty();
        _db.Clients.Find(_db.Other, client).ShouldBeNull();
        _db.Clients.Update(_db.Other, client, 1, TestDatabase.Client("Stolen")).Outcome.ShouldBe(WriteOutcome.NotFound);
        _db.Clients.Delete(_db.Other, client).ShouldBeFalse();
        _db.Places.Add(_db.Other, client, new PlaceKit { Name = "x" }).ShouldBeNull();
        _db.Weeks.Add(_db.Other, client, new GymWeek("x", "y")).ShouldBeNull();
        _db.Plans.Add(_db.Other, client, null, null, TestDatabase.Plan()).ShouldBeNull();
        _db.Clients.Find(_db.Coach, client).ShouldNotBeNull();
    }

    [Fact]
    public void Markup_and_quotes_in_names_are_only_text()
    {
        const string name = "Robert'); DROP TABLE client;-- <script>alert(1)</script>";
        var client = _db.Clients.Add(_db.Coach, TestDatabase.Client(name));

        _db.Clients.Find(_db.Coach, client.Id)!.Value.Name.ShouldBe(name);
    }

    [Fact]
    public void Deleting_a_client_erases_all_that_hangs_on_it()
    {
        var plan = _db.AddPlan();
        var client = plan.Value.ClientId;
        _db.Places.Add(_db.Coach, client, new PlaceKit { Name = "Flat" });
        _db.Weeks.Add(_db.Coach, client, new GymWeek("Day 1", "Bench press 4x8"));

        _db.Clients.Delete(_db.Coach, client).ShouldBeTrue();

        _db.Places.List(_db.Coach, client).ShouldBeEmpty();
        _db.Weeks.List(_db.Coach, client).ShouldBeEmpty();
        _db.Plans.Find(_db.Coach, plan.Id).ShouldBeNull();
    }
}
