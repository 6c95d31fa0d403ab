using Altrin.Core.Planning;
using Altrin.Core.Sites;

namespace Altrin.Formats.Tests.Planning;

/// <summary>
/// For the techniques of the trade a survey in which each is right, and the planner finds it first, or the way of working makes it so; and
/// a near miss, the same survey but for one thing, in which it is not (common practice).
/// </summary>
public sealed class TechniqueTests
{
    private static readonly string Surveys = Path.Combine(AppContext.BaseDirectory, "samples", "surveys");

    private static Design Read(string survey) =>
        DesignFile.Read(File.ReadAllText(Path.Combine(Surveys, $"{survey}.json"))).Value!.AsFound();

    /// <summary>A house whose study needs calls and gets none from the gateway in the hall, with some boxes lying there.</summary>
    private static Design House(params string[] spares)
    {
        var found = Read("stone-house");
        return found with
        {
            Site = found.Site with { Boxes = [found.Box("gateway")!, .. spares.Select((kind, i) => Spare($"own-{i + 1}", kind))] },
        };
    }

    private static Box Spare(string id, string kind, string place = "hall") =>
        new(id, $"Own {id}", ProfileFile.BuiltIn.Find(kind)!, null, null)
        {
            Place = place,
            WanMac = Home.WithGateway().Router("r").Design.Box("r")!.WanMac,
        };

    /// <summary>The same with a cable in the walls from one place to another.</summary>
    private static Design Run(Design found, string from = "hall", string to = "study") =>
        found with
        {
            Site = found.Site with
            {
                Sockets =
                [
                    .. found.Site.Sockets,
                    new("run-from", "Run, one end", SocketKind.Data) { Place = from },
                    new("run-to", "Run, other end", SocketKind.Data) { Place = to },
                ],
                Runs = [.. found.Site.Runs, new("run", "run-from", "run-to", Medium.Cat6) { Pairs = 4, LengthMetres = 18 }],
            },
        };

    private static Design Site(Design found, Func<Site, Site> edit) => found with { Site = edit(found.Site) };

    private static Design Without(Design found, params string[] boxes) =>
        Site(found, s => s with { Boxes = [.. s.Boxes.Where(b => !boxes.Contains(b.Id))] });

    private static Design Kind(Design found, string box, string kind) =>
        Site(found, s =>
            s with
            {
                Boxes = [.. s.Boxes.Select(b => b.Id == box ? b with { Profile = ProfileFile.BuiltIn.Find(kind)! } : b)],
            }
        );

    private static Design FourAddresses(Design found) =>
        Site(found, s => s with { Boxes = [.. s.Boxes.Select(b => b.Id == "gateway" ? b with { Profile = Knowing(b.Profile) } : b)] });

    private static Profile Knowing(Profile kind) => kind with { Radios = [.. kind.Radios.Select(r => r with { FourAddress = Known.Yes })] };

    /// <summary>Whether both ends are on one channel, each told of the other, and the far one hands out no addresses.</summary>
    private static bool Pair(PlanOption option)
    {
        var design = new Design(option.Site, option.SetUp);
        var (own, gateway) = ((RouterMode)design.Mode("own-1")!, (RouterMode)design.Mode("gateway")!);
        return own is { Server.On: false, Uplink: { Frames: UplinkFrames.Wds, Channel: { } channel } link }
            && gateway.Wifi.Single(r => r.WdsPeers.Contains("own-1")).Channel == channel
            && own.Wifi.Single(r => r.Radio == link.Radio).Channel == channel
            && own.Lan.Address != gateway.Lan.Address
            && own.Lan.Subnet == gateway.Lan.Subnet;
    }

    private static Design Needs(Design found, params Need[] needs) => Site(found, s => s with { Needs = needs });

    private static Design Asked(Design found) => Site(found, s => s with { Service = s.Service with { Line = Home.Asked } });

    private static Func<PlanOption, bool> Is(string box, RoleKind kind, string? behind = null) =>
        o => o.Roles.Single(r => r.Box == box) is var role && role.Kind == kind && (behind is null || role.Behind == behind);

    /// <summary>A technique.</summary>
    /// <param name="Found">A survey in which it is right.</param>
    /// <param name="Miss">One in which it is not.</param>
    /// <param name="Is">Whether an option goes it.</param>
    /// <param name="Ways">The way of working.</param>
    private sealed record Case(Func<Design> Found, Func<Design> Miss, Func<PlanOption, bool> Is, params string[] Ways);

    private static readonly Dictionary<string, Case> Cases = new(StringComparer.Ordinal)
    {
        // A router without the mode for it has its DHCP server off and the cable in a LAN port; one with it is set to that.
        ["T1 access point, LAN to LAN"] = new(
            () => Run(House("relic-router")),
            () => Run(House("desk-router")),
            Is("own-1", RoleKind.LanToLan, "gateway"),
            "further=accessPointMode"
        ),
        ["T2 access-point mode"] = new(
            () => Run(House("desk-router")),
            () => Run(House("wired-router")),
            Is("own-1", RoleKind.AccessPoint, "gateway"),
            "further=accessPointMode"
        ),
        // What is behind it is shielded from nothing and found by no one outside: with a need for that it is an access point after all.
        ["T3 cascade"] = new(
            () => Run(House("desk-router")),
            () => Run(Needs(House("desk-router"), new CallsInPlace("calls", "study"), new FoundByOthers("found", "study-laptop"))),
            Is("own-1", RoleKind.Cascade, "gateway"),
            "further=cascade"
        ),
        // The cable leads from the second to the third; where one leads from the first, it hangs there.
        ["T4 daisy chain"] = new(
            () => Read("third-near-second"),
            () => Run(Read("third-near-second"), to: "attic"),
            Is("attic-router", RoleKind.AccessPoint, "landing-router")
        ),
        ["T5 repeater"] = new(() => House("plug-repeater"), () => Run(House("plug-repeater")), Is("own-1", RoleKind.Repeater)),
        // No cable, no repeater: two routers of which both know four addresses; where the gateway does not, there is nothing to join.
        ["T6 WDS pair"] = new(
            () => FourAddresses(House("wds-router")),
            () => House("wds-router"),
            o => Is("own-1", RoleKind.Wds, "gateway")(o) && Pair(o)
        ),
        // The computer has a socket and nothing to plug it into; with a cable in the walls the bridge stays where it is.
        ["T7 wireless bridge"] = new(() => Read("one-desk"), () => Run(Read("one-desk")), Is("desk-bridge", RoleKind.WirelessBridge)),
        ["T8 two buildings"] = new(
            () => Read("house-and-barn"),
            () =>
                Run(
                    Site(Read("house-and-barn"), s => s with { Places = [.. s.Places.Select(p => p with { Building = null })] }),
                    to: "barn-loft"
                ),
            o => Is("barn-radio", RoleKind.WirelessBridge)(o) || Is("house-radio", RoleKind.WirelessBridge)(o)
        ),
        // With a telephone in it, a gateway that may not keep it alive goes on as it is.
        ["T9 own router behind bridge mode"] = new(
            () => Needs(Asked(Site(Read("two-routers"), s => s with { Boxes = [.. s.Boxes.Select(b => b with { Holds = [] })] }))),
            () => Asked(Read("two-routers")),
            Is("gateway", RoleKind.Bridge),
            "gateway=bridge"
        ),
        ["T10 pass-through"] = new(
            () => Kind(Read("heating-from-away"), "gateway", "fibre-gateway-passing"),
            () => Kind(Read("heating-from-away"), "gateway", "mobile-gateway"),
            Is("gateway", RoleKind.Passing),
            "gateway=passThrough"
        ),
        ["T11 public-address mapping"] = new(
            () => Kind(Read("heating-from-away"), "gateway", "mapping-gateway"),
            () => Kind(Read("heating-from-away"), "gateway", "mobile-gateway"),
            Is("gateway", RoleKind.Passing),
            "gateway=mapping"
        ),
        ["T11 DMZ host"] = new(
            () => Read("heating-from-away"),
            () => Kind(Read("heating-from-away"), "gateway", "mobile-gateway"),
            Is("gateway", RoleKind.Passing),
            "gateway=dmz"
        ),
        // The television lives in the gateway, which stays the router; without it the kit may route behind a bridge.
        ["T12 kit behind the gateway"] = new(
            () => Read("kit-and-television"),
            () => Needs(Asked(Site(Read("kit-and-television"), s => s with { Boxes = [.. s.Boxes.Select(b => b with { Holds = [] })] }))),
            Is("main-node", RoleKind.AccessPoint, "gateway"),
            "gateway=bridge"
        ),
        ["T13 no way in behind carrier-grade NAT"] = new(
            () => Inbound(new CarrierNat(100, 20) { HandOff = "gateway" }),
            () => Inbound(new PublicDynamic(100, 20) { HandOff = "gateway", Line = Home.Asked }),
            o => o.Score.Missed == 1
        ),
        ["T14 kit"] = new(
            () => House("mesh-main", "mesh-node"),
            () => House("mesh-main-three", "mesh-node"),
            Is("own-2", RoleKind.Satellite)
        ),
        // Five devices and four ports; with three the switch stays where it is.
        ["T15 switch"] = new(() => Read("wires-only"), () => Fewer(Read("wires-only"), 3), Is("switch", RoleKind.Switch)),
        ["T16 powerline pair"] = new(
            () => Read("stone-house"),
            () => Run(Read("stone-house")),
            o => o.SetUp.Cables.Any(c => c.Medium == Medium.Powerline)
        ),
        ["T17 access point with injector"] = new(
            () => Run(House("wall-access-point", "injector")),
            () => Run(House("plug-repeater", "injector")),
            o => o.SetUp.Boxes.Any(b => b.Box == "own-2")
        ),
        ["T18 the name stays"] = new(
            () => Read("gateway-swap"),
            () =>
                Site(Read("gateway-swap"), s => s with { Needs = [] }) is var free
                    ? free with
                    {
                        SetUp = free.SetUp with { Devices = [] },
                    }
                    : null!,
            o => o.SetUp.Boxes.Any(b => b.Mode.Radios.Any(r => r is { On: true, Name: "heron" }))
        ),
        ["T19 nothing"] = new(
            () => Read("flat-needs-nothing"),
            () => Run(House("desk-router")),
            o => o.Score.Effort is { Minutes: 0, BoxesInUse: 1 }
        ),
    };

    private static Design Inbound(Service service) =>
        Site(House(), s => s with { Service = service, Needs = [new ReachFromOutside("in", "study-laptop", Protocol.Tcp, 443, false)] });

    /// <summary>The same with its first devices only.</summary>
    private static Design Fewer(Design found, int devices)
    {
        var gone = found.Site.Devices.Skip(devices).Select(d => d.Id).ToHashSet(StringComparer.Ordinal);
        return new(
            found.Site with
            {
                Devices = [.. found.Site.Devices.Where(d => !gone.Contains(d.Id))],
                Needs = [.. found.Site.Needs.Where(n => !gone.Contains(n.About))],
            },
            found.SetUp with
            {
                Devices = [.. found.SetUp.Devices.Where(d => !gone.Contains(d.Device))],
                Cables = [.. found.SetUp.Cables.Where(c => !gone.Any(c.Ends))],
            }
        );
    }

    public static TheoryData<string> Techniques => [.. Cases.Keys];

    [Theory]
    [MemberData(nameof(Techniques))]
    public void A_technique_comes_first_where_it_is_right_and_not_where_it_is_not(string technique)
    {
        var it = Cases[technique];
        Assert.True(it.Is(First(it.Found(), it.Ways)), $"{technique}: {Told(it.Found(), it.Ways)}");
        Assert.False(it.Is(First(it.Miss(), it.Ways)), $"{technique}, near miss: {Told(it.Miss(), it.Ways)}");
    }

    private static PlanOption First(Design found, string[] ways) =>
        Planner.Plan(new(found) { Ways = WayText.Of(ways).Value }, stop: TestContext.Current.CancellationToken).Options[0];

    private static string Told(Design found, string[] ways)
    {
        var option = First(found, ways);
        return $"{string.Join("; ", option.Roles.Select(r => $"{r.Box} {r.Kind} behind {r.Behind} in {r.Place}"))}; {option.Points:0.0} "
            + string.Join(", ", option.Score.Told().Where(c => c.Count > 0).Select(c => $"{c.Says} {c.Count}"));
    }
}
