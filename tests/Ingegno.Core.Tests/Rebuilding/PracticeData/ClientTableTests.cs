using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Exchange;
using Ingegno.Core.Rebuilding.PracticeData;

namespace Ingegno.Core.Tests.Rebuilding.PracticeData;

/// <summary>Lists as coaches keep them (common practice), read as the same words in an intake would be.</summary>
public class ClientTableTests
{
    [Fact]
    public void A_list_with_heads_becomes_clients()
    {
        var preview = ClientTable.Preview(
            Table(
                ["Members of the winter group", "", "", "", "", "", "", ""],
                ["First name", "Surname", "Age", "Weight (kg)", "Height", "Goal", "Experience", "Injuries"],
                ["Tamsin", "Okoro", "34", "68", "1.72", "build muscle", "intermediate", "left shoulder"],
                ["Bruno", "Halvorsen", "47", "92,5", "183", "general fitness", "beginner", ""],
                ["", "", "", "", "", "", "", ""],
                ["", "", "50", "", "", "", "", ""]
            )
        );

        preview.Fault.ShouldBeNull();
        preview.Clients.Select(c => c.Name).ShouldBe(["Tamsin Okoro", "Bruno Halvorsen", ""]);
        var (tamsin, bruno) = (preview.Clients[0].Profile, preview.Clients[1].Profile);
        (tamsin.AgeYears, tamsin.BodyMassKg, tamsin.StatureCm, tamsin.Goal, tamsin.Level).ShouldBe(
            (34, 68, 172, Goal.Muscle, Level.Intermediate)
        );
        tamsin.SoreJoints.Single().Joint.ShouldBe(Joint.Shoulder);
        (bruno.BodyMassKg, bruno.StatureCm, bruno.Level).ShouldBe((92.5, 183, Level.Beginner));
        preview.Clients[2].Fault!.Code.ShouldBe("clients.no-name");
        preview.Clients[0].Row.ShouldBe(3);
    }

    [Fact]
    public void Pounds_are_pounds_and_what_is_not_understood_is_shown()
    {
        var client = ClientTable
            .Preview(Table(["Name", "Weight (lb)", "Goal"], ["Ines", "150", "to win the gig race"]))
            .Clients.ShouldHaveSingleItem();

        client.Profile.BodyMassKg!.Value.ShouldBe(68.04, 0.5);
        client.Left.ShouldContain(l => l.Contains("gig race"));
        client.Profile.Level.ShouldBe(Level.Beginner, "the safe side");
    }

    /// <summary>Heads as they are typed: with a unit in brackets, a colon, a dash or an underscore; what is a bracket alone heads nothing.</summary>
    [Theory]
    [InlineData("Name:", "Weight (kg)")]
    [InlineData(" name ", "Body-mass")]
    [InlineData("NAME.", "body_mass:")]
    [InlineData("Name (of the rower)", "Weight(kg)")]
    public void Heads_are_read_as_they_are_typed(string name, string mass)
    {
        var client = ClientTable.Preview(Table([name, "(kg)", mass], ["Ines", "12", "70"])).Clients.ShouldHaveSingleItem();

        (client.Name, client.Profile.BodyMassKg).ShouldBe(("Ines", 70));
    }

    [Fact]
    public void A_row_may_be_shorter_than_its_heads()
    {
        var client = ClientTable.Preview(Table(["Name", "Age", "Weight (kg)"], ["Ines", "34"])).Clients.ShouldHaveSingleItem();

        (client.Profile.AgeYears, client.Profile.BodyMassKg).ShouldBe((34, null));
    }

    /// <summary>A cell that names its unit stands, whatever its column is about.</summary>
    [Fact]
    public void A_cell_with_a_unit_of_its_own_keeps_it() =>
        ClientTable
            .Preview(Table(["Name", "Weight (lb)"], ["Ines", "68 kg"]))
            .Clients.ShouldHaveSingleItem()
            .Profile.BodyMassKg!.Value.ShouldBe(68, 0.01);

    [Fact]
    public void The_coach_says_what_a_column_holds()
    {
        var sheet = Table(["Crew", "Age"], ["Piet", "61"]);
        ClientTable.Preview(sheet).Fault!.Code.ShouldBe("clients.no-names");

        ClientTable.Preview(sheet, [ClientField.Name, ClientField.Age]).Clients.ShouldHaveSingleItem().Profile.AgeYears.ShouldBe(61);
    }

    /// <summary>A bare figure means what its column is about, and a letter in the column of the sex is that sex.</summary>
    [Fact]
    public void Bare_figures_and_letters_mean_what_their_column_says()
    {
        var clients = ClientTable
            .Preview(
                Table(
                    ["Name", "Age", "M/F", "Days", "Minutes", "Injuries", "Level"],
                    ["Ada", "29", "F", "3", "50", "sore left knee", "novice"],
                    ["Bo", "41 years old", "w", "4 days a week", "60 min", "knee injury", ""],
                    ["Cy", "", "m", "", "", "wrist", ""],
                    ["Di", "", "male", "", "", "", ""],
                    ["Ed", "", "diver", "", "", "", ""]
                )
            )
            .Clients;

        clients.Select(c => c.Profile.Sex).ShouldBe([Sex.Female, Sex.Female, Sex.Male, Sex.Male, default]);
        clients.Select(c => c.Profile.AgeYears).ShouldBe([29, 41, null, null, null]);
        clients.Select(c => c.Profile.DaysPerWeek).ShouldBe([3, 4, null, null, null]);
        clients.Select(c => c.Profile.MinutesPerSession).ShouldBe([50, 60, null, null, null]);
        clients
            .SelectMany(c => c.Profile.SoreJoints)
            .ShouldBe([
                new SoreJoint(Joint.Knee, Soreness.Sore) { Side = BodySide.Left },
                new SoreJoint(Joint.Knee, Soreness.Injured),
                new SoreJoint(Joint.Wrist, Soreness.Sore),
            ]);
        clients.Take(4).ShouldAllBe(c => c.Left.IsEmpty);
        clients[4].Left.ShouldHaveSingleItem().ShouldContain("diver");
    }

    [Fact]
    public void A_table_without_heads_and_one_that_is_too_long_are_refused_in_words()
    {
        ClientTable.Preview(Table(["Piet", "61"])).Fault!.Code.ShouldBe("clients.no-heads");
        ClientTable
            .Preview(
                Table([
                    ["Name"],
                    .. Enumerable.Range(0, 301).Select(i => new[] { $"Rower {i}" }),
                ])
            )
            .Fault!.Code.ShouldBe("clients.too-many");
    }

    private static Sheet Table(params string[][] rows) =>
        new("", [.. rows.Select((row, i) => new SheetRow(i + 1, [.. row.Select(c => new SheetCell(c))]))]);
}
