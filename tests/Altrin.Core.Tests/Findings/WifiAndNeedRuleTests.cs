using Altrin.Core.Findings;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Findings;

public sealed class WifiPasswordDiffersTests() : RuleTests("wifi-password-differs")
{
    private static Home Second(string? key, WifiSecurity security, string name = "home") =>
        Home.WithGateway().Point("point", name: name, key: key, security: security).Cable("gw/lan1", "point/wan").Wifi("phone", "gw");

    [Theory]
    [InlineData("other", WifiSecurity.Wpa2)]
    [InlineData("key", WifiSecurity.Wpa3)]
    public void Triggers(string key, WifiSecurity security) => One(Second(key, security), Severity.Concern, "gw/r5", "point/r5");

    [Fact]
    public void Near_miss() => None(Second("key", WifiSecurity.Wpa2));

    [Fact]
    public void Different_names_may_differ() => None(Second("other", WifiSecurity.Wpa3, "guests"));

    [Fact]
    public void Cures() => Cured(Second("other", WifiSecurity.Wpa2), "Password and WPA2 of gw everywhere");
}

public sealed class SplitWifiNameTests() : RuleTests("split-wifi-name")
{
    private static Home Two(NamingSchool school) =>
        Home.WithGateway()
            .Naming(school)
            .Point("point", name: "upstairs")
            .Cable("gw/lan1", "point/wan")
            .Wifi("phone", "gw")
            .Wifi("tablet", "point", "upstairs")
            .Wifi("watch", "gw");

    [Theory]
    [InlineData(NamingSchool.OneName, 1)]
    [InlineData(NamingSchool.OnePerBand, 1)]
    [InlineData(NamingSchool.OnePerBox, 0)]
    public void Follows_the_installers_school(NamingSchool school, int findings) => Assert.Equal(findings, In(Two(school)).Count);

    [Fact]
    public void The_name_that_most_devices_know_comes_first_and_the_others_are_retyped()
    {
        Assert.Equal("Call all of them \"home\"", In(Two(NamingSchool.OneName))[0].Remedies[0].Label);
        var after = Cured(Two(NamingSchool.OneName), "Call all of them \"home\"");
        Assert.All(after.SetUp.Devices, d => Assert.Equal("home", d.Wifi!.Name));
    }

    /// <summary>A box that is renamed takes along what joins it by radio: nothing is stranded by the cure.</summary>
    [Theory]
    [InlineData(UplinkFrames.ThreeAddress)]
    [InlineData(UplinkFrames.FourAddress)]
    public void What_joins_by_radio_follows_the_new_name(UplinkFrames frames)
    {
        var home = Two(NamingSchool.OneName)
            .FourAddresses("point")
            .Repeater("rep", "point", frames, link: l => l with { Name = "upstairs" })
            .Bridge("far", "point", frames, l => l with { Name = "upstairs" })
            .Repeater("other", "gw");
        Assert.DoesNotContain(Judging.Prove(home.Design).Findings, f => f.Idle is not null);
        var after = Cured(home, "Call all of them \"home\"");
        Assert.DoesNotContain(Judging.Prove(after).Findings, f => f.Idle is not null || f.Code == "uplink-not-joined");
        Assert.All(new[] { "rep", "far", "other" }, id => Assert.Equal("home", after.Mode(id)!.Joins!.Name));
    }

    /// <summary>The name of a pair of radios between two buildings is no name of the home.</summary>
    [Theory]
    [InlineData(false, 0)]
    [InlineData(true, 1)]
    public void A_point_to_point_link_has_a_name_of_its_own(bool used, int findings)
    {
        var home = Home.WithGateway()
            .Naming(NamingSchool.OneName)
            .Point("near", name: "link-7")
            .Profile("near", p => p with { Modes = [ModeKind.WirelessBridge, ModeKind.AccessPoint] })
            .Cable("gw/lan1", "near/wan")
            .Bridge("far", "near", link: l => l with { Name = "link-7" })
            .Wifi("phone", "gw");
        Assert.Equal(findings, In(used ? home.Wifi("tablet", "near", "link-7") : home).Count);
    }
}

public sealed class WifiNotJoinedTests() : RuleTests("wifi-not-joined")
{
    [Theory]
    [InlineData("elsewhere", "key", Severity.WillNotWork)]
    [InlineData("home", "wrong", Severity.WillNotWork)]
    [InlineData("home", null, Severity.Concern)]
    public void Triggers_for_another_name_another_key_or_one_not_recorded(string name, string? key, Severity severity) =>
        One(Home.WithGateway().Wifi("phone", "gw", name, key), severity, "phone");

    [Fact]
    public void Near_miss() => None(Home.WithGateway().Wifi("phone", "gw"));

    [Fact]
    public void Cures() => Cured(Home.WithGateway().Wifi("phone", "gw", "elsewhere"), "Type \"home\"");
}

public sealed class WeakWifiTests() : RuleTests("weak-wifi")
{
    private static Home With(WifiSecurity security) =>
        Home.WithGateway()
            .Edit<RouterMode>("gw", m => m with { Wifi = Home.Radios("home", security == WifiSecurity.Open ? null : "key", security) });

    [Theory]
    [InlineData(WifiSecurity.Open, 1)]
    [InlineData(WifiSecurity.Wep, 1)]
    [InlineData(WifiSecurity.WpaTkip, 1)]
    [InlineData(WifiSecurity.Wpa2, 0)]
    [InlineData(WifiSecurity.Wpa3, 0)]
    public void Triggers_for_what_is_broken(WifiSecurity security, int findings) => Assert.Equal(findings, In(With(security)).Count);

    [Fact]
    public void Cures()
    {
        Cured(With(WifiSecurity.WpaTkip), "Protect \"home\" with WPA2");
        // A radio that knows nothing that holds is left off.
        var relic = With(WifiSecurity.Wep).Profile("gw", p => p with { Radios = [p.Radios[0] with { NewestSecurity = WifiSecurity.Wep }] });
        Assert.Contains("leave its Wi-Fi off", Assert.Single(In(relic)[0].Advice), StringComparison.Ordinal);
        Cured(relic, "Switch \"home\" of gw off");
    }
}

public sealed class NeedNotMetTests() : RuleTests("need-not-met")
{
    /// <summary>The router at the line sends a name for guests that fits, with a key of its own; not with its Wi-Fi off.</summary>
    [Theory]
    [InlineData("home", "key", "home guests", "guest-key")]
    [InlineData("öööööööööööööö", "guest-key", "guests", "guest-key-2")]
    public void Guests_get_a_network_of_their_own(string name, string key, string guests, string kept)
    {
        Home House(bool on) =>
            Home.WithGateway()
                .Edit<RouterMode>("gw", m => m with { Wifi = [.. Home.Radios(name, key).Select(r => r with { On = on })] })
                .Need(new GuestsKeptApart("n"));
        var guest = ((RouterMode)Cured(House(on: true), $"Let gw send \"{guests}\" for guests").Mode("gw")!).Guest!;
        Assert.Equal((guests, kept, WifiSecurity.Wpa2), (guest.Name, guest.Password, guest.Security));
        Assert.Empty(In(House(on: false))[0].Remedies);
    }

    [Fact]
    public void A_missing_forward_is_added_with_a_reservation()
    {
        var after = Cured(Home.WithGateway().Wired("kiln", "gw/lan1").Reach("kiln", 8443), "Forward port 8443 on gw");
        Assert.Equal("192.168.8.2", ((RouterMode)after.Mode("gw")!).Server.Reservations[0].Address.ToString());
    }

    [Fact]
    public void Two_routers_are_both_told() =>
        Cured(
            Home.WithGateway().Router("in").Cable("gw/lan1", "in/wan").Wired("kiln", "in/lan1").Reach("kiln", 8443),
            "Forward port 8443 on gw and in"
        );

    [Fact]
    public void The_outermost_router_gives_the_port_of_the_device()
    {
        var after = Cured(
            Home.WithGateway()
                .Router("in")
                .Cable("gw/lan1", "in/wan")
                .Wired("kiln", "in/lan1")
                .Reach("kiln", 8443)
                .Needs(n => n is ReachFromOutside reach ? reach with { OutsidePort = 443 } : n),
            "Forward port 443 (8443 on the device) on gw and in"
        );
        Assert.Equal(
            [(443, 8443), (8443, 8443)],
            new[] { "gw", "in" }.Select(r => ((RouterMode)after.Mode(r)!).Forwards[0]).Select(f => (f.OutsidePort, f.InsidePort))
        );
    }

    [Fact]
    public void A_router_without_NAT_that_keeps_devices_apart_is_made_one_network()
    {
        var home = Home.WithGateway()
            .Router("in", wan: new Fixed(Home.Own("192.168.8.3/24"), Home.At("192.168.8.1"), [Home.At("192.168.8.1")]))
            .Cable("gw/lan1", "in/wan")
            .Wired("a", "in/lan1")
            .Wired("b", "gw/lan2")
            .Found("b")
            .Edit<RouterMode>("in", m => m with { Nat = false })
            .Edit<RouterMode>("gw", m => m with { Routes = [new(Home.Own("192.168.20.1/24").Subnet, Home.At("192.168.8.3"))] });
        Assert.DoesNotContain(In(home)[0].CausedBy, c => c.StartsWith("double-nat", StringComparison.Ordinal));
        Cured(home, "Set in to access-point mode");
    }

    [Fact]
    public void Near_miss() =>
        None(
            Home.WithGateway()
                .Wired("kiln", "gw/lan1")
                .Reach("kiln", 8443)
                .Reserve("gw", "kiln", "192.168.8.5")
                .Forward("gw", 8443, "192.168.8.5")
        );

    [Fact]
    public void A_forward_to_someone_else_does_not_count() =>
        Cured(
            Home.WithGateway().Wired("kiln", "gw/lan1", "192.168.8.5/24").Reach("kiln", 8443).Forward("gw", 8443, "192.168.8.6"),
            "Forward port 8443"
        );

    [Fact]
    public void Not_knowing_the_service_is_a_concern() =>
        Assert.Equal(
            Severity.Concern,
            In(
                Home.WithGateway()
                    .Service(new UnknownService(null, null))
                    .Wired("kiln", "gw/lan1", "192.168.8.5/24")
                    .Reach("kiln", 8443)
                    .Forward("gw", 8443, "192.168.8.5")
            )[0].Severity
        );
}

public sealed class ServiceUnknownTests() : RuleTests("service-unknown")
{
    [Theory]
    [InlineData(true, 1)]
    [InlineData(false, 0)]
    public void Matters_only_where_a_need_depends_on_it(bool needed, int findings)
    {
        var home = Home.WithGateway()
            .Service(new UnknownService(null, null))
            .Wired("kiln", "gw/lan1", "192.168.8.5/24")
            .Forward("gw", 8443, "192.168.8.5");
        Assert.Equal(findings, In(needed ? home.Reach("kiln", 8443) : home).Count);
    }
}

public sealed class PortForwardToLeaseTests() : RuleTests("port-forward-to-lease")
{
    private static Home Aimed() => Home.WithGateway().Wired("kiln", "gw/lan1").Reach("kiln", 8443).Forward("gw", 8443, "192.168.8.20");

    [Fact]
    public void Triggers() => One(Aimed(), Severity.WillNotWork, "gw", "kiln");

    [Fact]
    public void Cures() => Cured(Aimed(), "Keep 192.168.8.2 for kiln");

    /// <summary>It is found whether or not a need rests on it, for a forward as for a DMZ host.</summary>
    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public void Is_found_where_nobody_asks_for_it(bool forward)
    {
        static Home Kiln() => Home.WithGateway().Wired("kiln", "gw/lan1").Wired("other", "gw/lan2", "192.168.8.9/24");
        Home Open(string to) => forward ? Kiln().Forward("gw", 8443, to) : Kiln().Edit<RouterMode>("gw", m => m with { Dmz = Home.At(to) });
        One(Open("192.168.8.20"), Severity.Concern, "gw");
        var shut = (RouterMode)Cured(Open("192.168.8.20"), "Let nothing in to 192.168.8.20").Mode("gw")!;
        Assert.True(shut is { Forwards.Count: 0, Dmz: null });
        if (forward)
        {
            Cured(Open("192.168.8.20"), "Keep 192.168.8.20 for kiln");
        }
        None(Open("192.168.8.9"));
        None(Open("192.168.8.20").Reserve("gw", "kiln", "192.168.8.20"));
        // An address that no server leases is given to no device by chance.
        None(Open("192.168.8.250"));
    }

    [Fact]
    public void Near_miss() => None(Aimed().Reserve("gw", "kiln", "192.168.8.20"));
}

public sealed class NoInternetTests() : RuleTests("no-internet")
{
    [Fact]
    public void Follows_from_its_cause()
    {
        var home = Home.New().Gateway().Wired("a", "gw/lan1");
        Assert.Equal(["wan-port-empty(gw)"], One(home, Severity.WillNotWork, "a").CausedBy);
    }

    [Fact]
    public void Near_miss() => None(Home.WithGateway().Wired("a", "gw/lan1"));
}
