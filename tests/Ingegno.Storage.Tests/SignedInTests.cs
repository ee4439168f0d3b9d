using Dapper;

namespace Ingegno.Storage.Tests;

public sealed class SignedInTests : IDisposable
{
    private static readonly DateTimeOffset Start = new(2026, 3, 2, 9, 0, 0, TimeSpan.Zero);
    private static readonly TimeSpan Idle = TimeSpan.FromDays(14);
    private static readonly TimeSpan Longest = TimeSpan.FromDays(60);

    private readonly TestDatabase _db = new();

    public void Dispose() => _db.Dispose();

    [Theory]
    [InlineData(14, true)]
    [InlineData(14.1, false)]
    public void A_session_is_over_when_nobody_used_it_for_so_long(double days, bool runs) =>
        Runs(At(0).Begin(_db.Coach, "a browser"), days).ShouldBe(runs);

    [Fact]
    public void Use_keeps_it_running_but_not_for_ever()
    {
        var key = At(0).Begin(_db.Coach, "a browser");
        foreach (var day in new double[] { 13, 26, 39, 52, 60 })
        {
            Runs(key, day).ShouldBeTrue($"day {day}");
        }

        Runs(key, 60.1).ShouldBeFalse("however much it is used");
        Runs(key, 60.1).ShouldBeFalse();
        At(60.1).List(_db.Coach).ShouldBeEmpty();
    }

    [Fact]
    public void A_key_is_good_for_its_own_coach_alone_and_stands_nowhere_in_the_file()
    {
        var key = At(0).Begin(_db.Coach, "a browser");

        At(0).Runs(key, _db.Other, Idle, Longest).ShouldBeFalse();
        At(0).Runs(key + "x", _db.Coach, Idle, Longest).ShouldBeFalse();
        At(0).List(_db.Coach, key).ShouldHaveSingleItem().Here.ShouldBeTrue();
        At(0).List(_db.Coach).ShouldHaveSingleItem().Here.ShouldBeFalse();
        using var connection = _db.Database.Open();
        connection.QuerySingle<string>("SELECT key_hash FROM signed_in").ShouldNotContain(key);
    }

    [Fact]
    public void All_but_one_end_at_once()
    {
        var (here, there) = (At(0).Begin(_db.Coach, "here"), At(0).Begin(_db.Coach, "there"));
        var others = At(0).Begin(_db.Other, "somebody else's");

        At(0).EndAll(_db.Coach, here).ShouldBe(1);

        Runs(here, 0).ShouldBeTrue();
        Runs(there, 0).ShouldBeFalse();
        At(0).Runs(others, _db.Other, Idle, Longest).ShouldBeTrue();
    }

    private SignedInStore At(double days) => new(_db.Database, new FixedClock(Start.AddDays(days)));

    private bool Runs(string key, double days) => At(days).Runs(key, _db.Coach, Idle, Longest);
}
