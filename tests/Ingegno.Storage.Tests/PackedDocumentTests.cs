using System.Text.Json;
using Dapper;
using Ingegno.Core.Foundation.Text;

namespace Ingegno.Storage.Tests;

/// <summary>Versions of plans are stored packed; those of before are text and open as ever.</summary>
public sealed class PackedDocumentTests : IDisposable
{
    private readonly TestDatabase _db = new();

    public void Dispose() => _db.Dispose();

    [Fact]
    public void A_version_takes_a_fifth_of_its_text_and_comes_back_as_it_was()
    {
        var document = TestDatabase.Plan();
        var plan = _db.Plans.Add(_db.Coach, _db.AddClient(), null, null, document)!;
        using var connection = _db.Database.Open();

        var (kind, bytes) = connection.QuerySingle<(string, long)>("SELECT typeof(document), length(document) FROM plan_version");

        kind.ShouldBe("blob");
        bytes.ShouldBeLessThan(Text(document).Length / 5);
        Text(_db.Plans.Find(_db.Coach, plan.Id)!.Value.Document).ShouldBe(Text(document));
        Text(_db.Plans.FindVersion(_db.Coach, plan.Id, 1)!).ShouldBe(Text(document));
        Text(_db.Plans.Versions(_db.Coach, plan.Id)[0].Document).ShouldBe(Text(document));
        DatabaseCheck.FindFaults(_db.Database.File).ShouldBeEmpty();
    }

    [Fact]
    public void A_version_that_was_written_as_text_opens_and_gets_its_next_one()
    {
        var plan = _db.AddPlan();
        var old = TestDatabase.Plan("as it was");
        Put(Text(old));

        var found = _db.Plans.Find(_db.Coach, plan.Id)!;
        Text(found.Value.Document).ShouldBe(Text(old));
        DatabaseCheck.FindFaults(_db.Database.File).ShouldBeEmpty();
        _db.Plans.Save(_db.Coach, plan.Id, found.Revision, "next", TestDatabase.Plan("next")).Outcome.ShouldBe(WriteOutcome.Done);
        _db.Plans.Versions(_db.Coach, plan.Id).Select(v => v.Document.Title).ShouldBe(["as it was", "next"]);
    }

    [Theory]
    [InlineData(new byte[0])]
    [InlineData(new byte[] { 1, 2, 3 })]
    [InlineData(new byte[] { 0xFF, 0xFF, 0xFF, 0xFF, 0xFF, 0xFF })]
    public void A_damaged_version_is_found_by_the_check(byte[] damaged)
    {
        _db.AddPlan();
        Put(damaged);

        DatabaseCheck.FindFaults(_db.Database.File).ShouldHaveSingleItem().ShouldContain("plan_version");
    }

    [Fact]
    public void A_version_that_was_cut_short_is_found_by_the_check()
    {
        _db.AddPlan();
        using var connection = _db.Database.Open();
        var whole = connection.ExecuteScalar<byte[]>("SELECT document FROM plan_version")!;
        Put(whole[..(whole.Length / 2)]);

        DatabaseCheck.FindFaults(_db.Database.File).ShouldHaveSingleItem().ShouldContain("plan_version");
    }

    /// <summary>Versions cannot be rewritten; what a program of before wrote is put in their place without the guard.</summary>
    private void Put(object document)
    {
        using var connection = _db.Database.Open();
        foreach (
            var guard in connection.Query<string>("SELECT name FROM sqlite_master WHERE type = 'trigger' AND tbl_name = 'plan_version'")
        )
        {
            connection.Execute($"DROP TRIGGER {guard}");
        }

        connection.Execute("UPDATE plan_version SET document = @document", new { document });
    }

    private static string Text(PlanDocument document) => JsonSerializer.Serialize(document, RulesJson.Lenient);
}
