using Altrin.Core.Changes;
using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Procedures.Sheets;
using Altrin.Core.Sites;
using Altrin.Formats;

namespace Altrin.Kernel.Tests.Evenings;

/// <summary>An evening that is played on the kernel: a home, the set-up that it begins in, and what is done.</summary>
internal sealed record KernelEvening(HomeFile Home, Design Found, IReadOnlyList<Act> Acts)
{
    /// <summary>The same with acts left out.</summary>
    public KernelEvening Without(Predicate<Act> slip) => this with { Acts = [.. Acts.Where(a => !slip(a))] };

    public Play Played() => Play.Of(State.Morning(Found), Acts, null);
}

/// <summary>The evenings: of the technique samples as they are kept as data, and typed here.</summary>
internal static class KernelEvenings
{
    public static IReadOnlyDictionary<string, KernelEvening> All { get; } =
        new Dictionary<string, KernelEvening>
        {
            ["an access point, LAN to LAN (T1)"] = Sample("t01-access-point-by-hand"),
            ["a repeater set at the table (T5)"] = Sample("t05-repeater"),
            ["pass-through to a router (T10)"] = Sample("t10-pass-through"),
            ["a router made an access point, as derived (T2)"] = Derived("t02-access-point-mode"),
            ["points in a chain, as derived (T4)"] = Derived("t04-daisy-chain"),
            ["points behind a gateway, as derived (T12)"] = Derived("t12-points-behind-gateway"),
            ["one subnet on both sides, made flat"] = Flat(),
            ["a renumbered main router"] = Renumbered(null, new NewLink("pc")),
            ["a renumbered main router with leases of two minutes"] = Renumbered(2, new WaitFor(150)),
            ["a laptop by cable and Wi-Fi, and boxes reset, carried and put away"] = Handled(),
        };

    private static KernelEvening Sample(string name)
    {
        var (home, acts) = (Samples.Home($"{name}.json"), ActsFile.Read(Samples.Evening($"{name}.json")).Value!);
        return new(home, home.Design(acts.Begins)!, acts.Acts);
    }

    /// <summary>What is derived for a sample, in place of what was typed for it.</summary>
    private static KernelEvening Derived(string name)
    {
        var home = Samples.Home($"{name}.json");
        var found = home.Design("found")!;
        var sheet = RunSheet.Derive(State.Morning(found), home.Design("planned")!.SetUp, Ways.Usual);
        return new(home, found, [.. sheet.Play.Steps.Select(s => s.Act)]);
    }

    private static KernelEvening Typed(Home home, params IReadOnlyList<Act> acts) =>
        new(new(home.Design.Site, [home.Design.SetUp]), home.Design, acts);

    /// <summary>Two routers that both call themselves 192.168.8.1: the inner one becomes an access point.</summary>
    private static KernelEvening Flat() =>
        Typed(
            Home.WithGateway()
                .Router("loft", "192.168.8.1/24", canBePoint: false)
                .Cable("gw/lan1", "loft/wan")
                .Wired("tv", "gw/lan2")
                .Wired("pc", "loft/lan1"),
            [
                // While both are joined, it is luck which of them is 192.168.8.1.
                new UnpatchCable("gw-lan1-loft-wan"),
                .. Recorded(),
                To("loft/lan3"),
                new ClearTable(),
                new OpenPage("loft"),
                new TryLogin("loft"),
                new LaptopAddress(new Fixed(Home.Own("192.168.8.250/24"), null, [])),
                .. Saved("loft", new SetLanAddress("loft", Home.Own("192.168.8.2/24"))),
                new ClearTable(),
                new OpenPage("loft", Home.At("192.168.8.2")),
                .. Saved("loft", new SwitchDhcpServer("loft", false)),
                new LaptopOutOfPort(),
                new LaptopAddress(new Automatic()),
                new PatchCable(PortRef.Read("gw/lan1"), PortRef.Read("loft/lan2")),
                new WaitFor(30),
                To("loft/lan3"),
                new ClearTable(),
                new Verify(Verifiable.Internet),
                new Verify(Verifiable.OneDhcpServer),
                new OpenPage("loft", Home.At("192.168.8.2")),
                new Verify(Verifiable.Device, "pc"),
                new Verify(Verifiable.Device, "tv"),
                new LaptopOutOfPort(),
            ]
        );

    /// <summary>
    /// The main router gets another subnet, with a computer behind a switch that notices nothing, and a printer set by hand.
    /// </summary>
    private static KernelEvening Renumbered(int? leaseMinutes, Act then) =>
        Typed(
            Home.WithGateway()
                .Edit<RouterMode>("gw", r => r with { Server = r.Server with { LeaseMinutes = leaseMinutes } })
                .Switch("sw")
                .Cable("gw/lan1", "sw/lan1")
                .Wired("pc", "sw/lan2")
                .Wired("tv", "gw/lan2")
                .Wired("printer", "gw/lan3", "192.168.8.9/24"),
            [
                .. Recorded(),
                To("gw/lan4"),
                new LaptopAddress(new Fixed(Home.Own("192.168.8.250/24"), null, [])),
                new OpenPage("gw"),
                .. Saved("gw", new SetLanAddress("gw", Home.Own("192.168.20.1/24"))),
                new LaptopAddress(new Automatic()),
                new ClearTable(),
                new OpenPage("gw", Home.At("192.168.20.1")),
                new Verify(Verifiable.OneDhcpServer),
                then,
                new DeviceTakesAddress(
                    "printer",
                    new Fixed(Home.Own("192.168.20.9/24"), Home.At("192.168.20.1"), [Home.At("192.168.20.1")])
                ),
                new Verify(Verifiable.Device, "pc"),
                new Verify(Verifiable.Device, "tv"),
                new Verify(Verifiable.Device, "printer"),
                new LaptopOutOfPort(),
            ]
        );

    /// <summary>Whatever hands do to a box; the laptop has a path into each of two subnets, one by cable and one by Wi-Fi.</summary>
    private static KernelEvening Handled() =>
        Typed(
            Home.WithGateway()
                .Traits("gw", new() { PageSides = [PageSide.Cable, PageSide.Wifi] })
                .Router("in")
                .Profile("in", p =>
                    p with
                    {
                        FactoryAddress = Home.Own("192.168.1.1/24"),
                        FactoryPool = Home.Range("192.168.1.10-192.168.1.50"),
                    }
                )
                .Cable("gw/lan1", "in/wan")
                .Wired("tv", "in/lan1")
                .Point("ap")
                .Cable("gw/lan3", "ap/wan")
                .Wifi("pc", "ap")
                .Place("attic"),
            [
                To("in/lan3"),
                new LaptopToWifi("gw", "home", "key"),
                new Verify(Verifiable.Internet),
                new OpenPage("in"),
                new OpenPage("gw"),
                new LaptopOffWifi(),
                new PowerOff("ap"),
                new PowerOn("ap"),
                new WaitUntilReady("ap"),
                new LaptopOutOfPort(),
                To("gw/lan4"),
                new ClearTable(),
                new FindPage("ap"),
                new Verify(Verifiable.Device, "pc"),
                new ResetBox("in"),
                new WaitUntilReady("in"),
                new LaptopOutOfPort(),
                To("in/lan3"),
                new OpenPage("in"),
                new Verify(Verifiable.Device, "tv"),
                new CarryBox("ap", "attic"),
                new WaitUntilReady("ap"),
                new Verify(Verifiable.Device, "pc"),
                new PutBoxAway("ap"),
                new WaitFor(30),
                new LaptopOutOfPort(),
            ]
        );

    private static IReadOnlyList<Act> Recorded() =>
        [To("gw/lan4"), new Verify(Verifiable.Internet), new OpenPage("gw"), new TryLogin("gw"), new LaptopOutOfPort()];

    private static IReadOnlyList<Act> Saved(string box, params IReadOnlyList<Change> changes) =>
        [new SavePage(box, changes), new WaitUntilReady(box)];

    private static LaptopToPort To(string port) => new(PortRef.Read(port));
}
