using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Figures;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Language;

namespace Ingegno.Core.Tests.Knowledge.Figures;

public class FigureBookTests
{
    private const string Family = """
        "Stand": { "poses": [{ "stand": 0.99, "arms": [0, 5, 5] }, { "stand": 0.6, "trunk": 30, "arms": [90, 0, 5] }], "lowersFirst": true }
        """;

    private static FigureBook Read(string exercises) =>
        FigureBook.Read([$$"""{ "families": { {{Family}} }, "exercises": { {{exercises}} } }"""]);

    [Fact]
    public void A_figure_takes_what_it_does_not_say_from_its_family()
    {
        var figure = Read(""" "squat": { "from": "Stand", "all": { "arms": [20, 0, 120] }, "end": { "stand": 0.5 } } """).Find("squat")!;

        figure.LowersFirst.ShouldBeTrue();
        figure.Poses[1].Pelvis.ShouldBe(30);
        ((StandingRoot)figure.Poses[1].Root).Height.ShouldBe(0.5);
        figure.Poses.Select(p => ((LimbByAngles)p.Limbs.FarArm).Bend).ShouldAllBe(b => b == 120);
    }

    [Fact]
    public void A_hold_keeps_one_pose_and_a_reversed_figure_goes_the_other_way()
    {
        var book = Read(""" "hold": { "from": "Stand", "hold": "end" }, "up": { "from": "Stand", "reverse": true } """);

        book.Find("hold")!.Holds.ShouldBeTrue();
        book.Find("hold")!.Poses[0].Pelvis.ShouldBe(30);
        book.Find("up")!.LowersFirst.ShouldBeFalse();
        book.Find("up")!.Poses[0].Pelvis.ShouldBe(30);
    }

    [Fact]
    public void Another_place_of_the_body_takes_the_place_of_the_first()
    {
        var figure = Read(""" "sit": { "from": "Stand", "all": { "hip": [0, 0.3] } } """).Find("sit")!;

        figure.Poses[0].Root.ShouldBeOfType<HipRoot>();
    }

    [Fact]
    public void A_set_up_may_look_different()
    {
        var book = Read(""" "squat": { "from": "Stand", "setups": { "held": { "loads": [{ "at": "both" }] } } } """);

        book.Find("squat", "held")!.Loads.ShouldHaveSingleItem();
        book.Find("squat", "free")!.Loads.ShouldBeEmpty();
    }

    [Theory]
    [InlineData(""" "a": { "from": "b" }, "b": { "from": "a" } """, "takes from itself")]
    [InlineData(""" "a": { "from": "Nowhere" } """, "no figure \"Nowhere\"")]
    [InlineData(""" "a": { "from": "Stand", "all": { "legs": "long" } } """, "\"a\" cannot be read")]
    [InlineData(""" "a": { "poses": [{ "trunk": 3 }] } """, "no root")]
    [InlineData(""" "a": { "from": "Stand", "all": { "legs": { "at": [0, 0], "end": "wheels" } } } """, "\"wheels\" is no end")]
    public void What_is_written_wrongly_is_named(string exercises, string said) =>
        Should.Throw<FormatException>(() => Read(exercises)).Message.ShouldContain(said);

    [Fact]
    public void Things_and_load_are_written_and_read_again()
    {
        var props = new FigureProps([new FigureProp("seat", "sofa", 44)], new FigureCarry("rucksack", "worn"));

        props.Written.ShouldBe("seat=sofa:44 load=rucksack:worn");
        FigureProps.Read(props.Written).Load.ShouldBe(props.Load);
        FigureProps.Read(props.Written).Things.ShouldBe(props.Things);
    }

    [Theory]
    [InlineData("seat=sofa:-5 load")]
    [InlineData("seat=sofa:99999")]
    [InlineData("===:::   a=b")]
    [InlineData("seat=sofa:1e3")]
    public void What_cannot_be_read_of_them_is_left_out(string text) => FigureProps.Read(text).Things.ShouldBeEmpty();

    [Fact]
    public void The_clients_own_sofa_and_rucksack_are_in_the_figure()
    {
        var squat = DomainRules.Shipped.DrawingOf("chair-squat", "floor", "seat=sofa:40 load=rucksack:worn", 180)!;

        squat.Things.ShouldContain(t => t.Kind == "sofa" && t.HeightCm == 40);
        squat.Loads.ShouldHaveSingleItem().ShouldBe(new FigureLoad("back", "rucksack"));
        DomainRules.Shipped.DrawingOf("chair-squat", "floor", "seat=sofa:40", 180)!.Loads.ShouldBeEmpty();
    }

    [Fact]
    public void A_load_on_the_hips_stays_there()
    {
        var bridge = DomainRules.Shipped.DrawingOf("glute-bridge", "floor", "load=rucksack:worn", null)!;

        bridge.Loads.ShouldHaveSingleItem().Where.ShouldBe("hips");
    }

    [Fact]
    public void A_practices_own_exercise_takes_the_figure_of_the_one_it_was_made_from()
    {
        var own = DomainRules.Shipped.Catalogue.Get("goblet-squat") with { Id = "our-squat", Figure = "sumo-squat" };
        var domain = DomainRules.Shipped.With([own]);

        domain.FigureOf("our-squat")!.Id.ShouldBe("sumo-squat");
        DomainRules.Shipped.With([own with { Figure = null }]).FigureOf("our-squat").ShouldNotBeNull();
        DomainRules.Shipped.With([own with { Id = "goblet-squat" }]).FigureOf("goblet-squat")!.Id.ShouldBe("sumo-squat");
        domain.DrawingOf("nothing-like-it", null, null, null).ShouldBeNull();
    }

    [Fact]
    public void A_figure_is_told_in_words()
    {
        var told = DomainRules.Shipped.DrawingOf("bodyweight-squat", null, null, null)!.InWords;

        told.Code.ShouldBe("figure.rep");
        Phrasebook.English.Say(told).ShouldStartWith("Start: standing, trunk upright");
        Phrasebook.English.Say(told).ShouldContain("knees bent 1");
    }

    [Theory]
    [InlineData("glute-bridge", "figure.below-hips")]
    [InlineData("dumbbell-floor-press", "figure.at-shoulders")]
    [InlineData("dumbbell-lateral-raise", "figure.below-hips")]
    [InlineData("pull-up", "figure.above-head")]
    [InlineData("goblet-squat", "figure.at-shoulders")]
    public void Where_the_hands_are_at_the_start_is_told(string exercise, string code)
    {
        var told = DomainRules.Shipped.DrawingOf(exercise, null, null, null)!.InWords;
        var posture = told.Facts.Select(f => f.Value).OfType<Reason>().First();

        posture.Facts.Select(f => f.Value).OfType<Reason>().Last().Code.ShouldBe(code);
    }

    [Theory]
    [InlineData("push-up", "figure.on-hands")]
    [InlineData("pull-up", "figure.hanging")]
    [InlineData("table-row", "figure.hanging-back")]
    [InlineData("bird-dog", "figure.hands-and-knees")]
    [InlineData("single-leg-romanian-deadlift", "figure.one-leg")]
    [InlineData("side-plank", "figure.on-the-side")]
    [InlineData("crunch", "figure.on-the-back")]
    [InlineData("prone-y-raise", "figure.on-the-front")]
    [InlineData("seated-dumbbell-press", "figure.sitting")]
    public void How_the_body_is_held_is_told(string exercise, string code)
    {
        var told = DomainRules.Shipped.DrawingOf(exercise, null, null, null)!.InWords;
        var posture = told.Facts.Select(f => f.Value).OfType<Reason>().First();

        posture.Facts.Select(f => f.Value).OfType<Reason>().First().Code.ShouldBe(code);
    }
}
