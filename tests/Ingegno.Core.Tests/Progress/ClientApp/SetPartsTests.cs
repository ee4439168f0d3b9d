using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Progress.ClientApp;

namespace Ingegno.Core.Tests.Progress.ClientApp;

public class SetPartsTests
{
    private static readonly Dose Plain = new()
    {
        Sets = 3,
        Target = new SetTarget(8, 10),
        Tempo = Tempo.Usual,
        RestSeconds = 90,
        Rir = 2,
    };

    [Fact]
    public void Straight_sets_are_one_part_each()
    {
        var sets = SetParts.Build(Plain, DomainRules.Shipped.Session);

        sets.Length.ShouldBe(3);
        sets.ShouldAllBe(s => s.Parts.Length == 1 && s.Parts[0].Kind == SetPartKind.Work && s.Parts[0].Target == new SetTarget(8, 10));
    }

    [Fact]
    public void Only_the_last_set_is_open() =>
        SetParts
            .Build(Plain with { LastSetOpen = true }, DomainRules.Shipped.Session)
            .Select(s => s.Parts[0].Target.IsOpen)
            .ShouldBe([false, false, true]);

    [Fact]
    public void One_side_follows_the_other()
    {
        var set = SetParts.Build(Plain with { PerSide = true }, DomainRules.Shipped.Session)[0];

        set.Parts.Select(p => p.Side).ShouldBe([BodySide.Left, BodySide.Right]);
        set.Parts[1].RestBeforeSeconds.ShouldBe(DomainRules.Shipped.Session.OtherSideSeconds);
    }

    /// <summary>Twenty, then rests of 20 s and small sets until twenty more are done (common practice).</summary>
    [Fact]
    public void Rest_pause_has_small_sets_that_add_up()
    {
        var set = SetParts.Build(
            Plain with
            {
                Sets = 1,
                Target = new SetTarget(20, 20),
                Scheme = new RestPause(),
            },
            DomainRules.Shipped.Session
        )[0];

        set.Parts[0].Kind.ShouldBe(SetPartKind.Work);
        set.Parts.Skip(1).ShouldAllBe(p => p.Kind == SetPartKind.Small && p.RestBeforeSeconds == 20);
        set.Parts.Skip(1).Sum(p => p.Target.Max).ShouldBe(20);
    }

    [Fact]
    public void A_drop_goes_on_after_the_last_set_alone()
    {
        var sets = SetParts.Build(Plain with { Scheme = new Drop() }, DomainRules.Shipped.Session);

        sets.Select(s => s.Parts.Length).ShouldBe([1, 1, 2]);
        sets[2].Parts[1].ShouldBe(new SetPart(SetPartKind.GoOn, null, SetTarget.Open, 0));
    }
}
