using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Facts;

/// <summary>A guest network gets to the internet and to nothing else (common practice).</summary>
public sealed class GuestTests
{
    private static Home House() =>
        Home.WithGateway()
            .Wired("printer", "gw/lan1")
            .Wifi("phone", "gw")
            .Guests("gw")
            .Wifi("visitor", "gw", "guests", "guest-key")
            .Wifi("other", "gw", "guests", "guest-key");

    private static Observation See(Home home) => Observer.Observe(Compiler.Compile(home.Design, Situation.Settled));

    [Fact]
    public void Guests_get_an_address_of_their_own_subnet_and_out()
    {
        var sheet = See(House()).Sheet;
        var visitor = sheet.Addresses.Single(a => a.Owner == "visitor");
        Assert.Equal(
            ("gw:guest", "192.168.30.1", "192.168.30.20-192.168.30.99"),
            (visitor.Segment, visitor.Gateway.ToString(), visitor.From.ToString())
        );
        var way = sheet.Internet.Single(i => i.Device == "visitor");
        Assert.Equal((AnswerKind.Yes, "gw"), (way.Answer.Kind, Assert.Single(way.NatBy)));
        Assert.Equal(["wifi:visitor", "street-gw-wan"], way.Links);
        Assert.Equal("gw", sheet.Uplinks.Single(u => u.Owner == "visitor").To);
        var territory = sheet.Segments.Single(s => s.Id == "gw:guest");
        Assert.Equal(("192.168.30.0/24", "street"), (territory.Subnets.Single().ToString(), territory.Above));
    }

    [Theory]
    [InlineData("visitor", "printer", AnswerKind.No)]
    [InlineData("printer", "visitor", AnswerKind.No)]
    [InlineData("visitor", "other", AnswerKind.Yes)]
    [InlineData("phone", "printer", AnswerKind.Yes)]
    public void Guests_and_the_home_do_not_reach_each_other(string from, string to, AnswerKind kind) =>
        Assert.Equal(kind, See(House()).Reach(from, to)!.Answer.Kind);

    [Fact]
    public void Guests_need_not_find_what_the_home_finds() => Assert.True(See(House().Found("printer")).Sheet.Needs.Single().Answer.IsYes);

    [Fact]
    public void A_sound_home_with_guests_is_sound() => Assert.Equal(VerdictKind.Sound, Judging.Prove(House().Design).Verdict.Kind);

    [Theory]
    [InlineData("guests", "another", RefusalReason.PasswordDiffers)]
    [InlineData("guests", null, RefusalReason.PasswordNotKnown)]
    [InlineData("elsewhere", "guest-key", RefusalReason.NameNotSent)]
    public void A_guest_gets_in_with_the_right_key_only(string name, string? key, RefusalReason why) =>
        Assert.Equal(why, Assert.Single(Compiler.Compile(House().Wifi("late", "gw", name, key).Design, Situation.Settled).Refusals).Why);

    [Fact]
    public void No_one_is_a_guest_while_the_radios_are_off()
    {
        var home = House().Edit<RouterMode>("gw", m => m with { Wifi = [.. m.Wifi.Select(r => r with { On = false })] });
        Assert.Equal(
            ["other", "phone", "visitor"],
            Compiler.Compile(home.Design, Situation.Settled).Refusals.Select(r => r.Device).Order(StringComparer.Ordinal)
        );
    }

    [Fact]
    public void A_small_pool_of_guests_is_told_apart_from_that_of_the_home()
    {
        var proof = Judging.Prove(House().Guests("gw", pool: "192.168.30.20-192.168.30.20").Design);
        var finding = Assert.Single(proof.Findings, f => f.Code == "pool-too-small");
        Assert.Equal("gw:guest", Assert.Single(finding.Subjects));
        Assert.Contains("the guest network of gw", finding.What, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("192.168.8.1/24", "192.168.8.20-192.168.8.99", "Guests need a subnet of their own")]
    [InlineData("192.168.30.1/24", "192.168.31.20-192.168.31.99", "does not lie inside 192.168.30.0/24")]
    [InlineData("192.168.30.0/24", "192.168.30.20-192.168.30.99", "network address")]
    public void A_page_takes_no_guest_network_that_cannot_be(string lan, string pool, string why)
    {
        var design = House().Design;
        var change = new SetGuest("gw", Home.All(new GuestNetwork("guests", WifiSecurity.Wpa2, "key", Home.Own(lan), Home.Range(pool))));
        Assert.Contains(why, change.ApplyTo(design).Error, StringComparison.Ordinal);
    }

    [Fact]
    public void The_router_keeps_off_the_subnet_of_its_guests() =>
        Assert.Contains(
            "overlaps",
            new SetLanAddress("gw", Home.Own("192.168.30.1/24")).ApplyTo(House().Design).Error,
            StringComparison.Ordinal
        );
}
