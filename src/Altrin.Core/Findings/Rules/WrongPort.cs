using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A box cabled in the wrong port for its mode.</summary>
public static class WrongPort
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "wrong-port",
            "wrong port",
            "A cable is in a port that does not fit the mode of the box.",
            "The same cable is right in one mode and wrong in another: the network behind it is cut off, or two DHCP servers meet.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e.Routers.SelectMany(r => ByHandInWan(e, r.Box, r.Mode).Concat(ServingInLan(e, r.Box, r.Mode))).Concat(LeftOut(e));

    /// <summary>
    /// Its DHCP server is off, as for an access point (LAN to LAN, DHCP off), but the cable is in the WAN port: no DHCP server answers
    /// behind it.
    /// </summary>
    private static IEnumerable<Finding> ByHandInWan(Evidence e, Box box, RouterMode mode)
    {
        var inner = e.SegmentOf(box.Id, Side.Lan)!;
        if (
            !mode.Server.On
            && e.WanCable(box.Id) is { } cable
            && inner.Servers.Count == 0
            && e.SegmentOf(box.Id, Side.Wan) is { HasStreet: false }
        )
        {
            yield return e.BreaksLike(
                e.Finding(
                    Rule,
                    [box.Id],
                    $"{box.Name} has its DHCP server off, but its cable is in port {Label(box, cable)}",
                    "What is plugged into it gets no address.",
                    Move(e, box, cable)
                ),
                Cause.Of(CauseCodes.NoDhcpServer, "", inner.Id)
            );
        }
    }

    /// <summary>It hands out addresses through a LAN port into a network that another router rules.</summary>
    private static IEnumerable<Finding> ServingInLan(Evidence e, Box box, RouterMode mode)
    {
        var segment = e.SegmentOf(box.Id, Side.Lan)!;
        var others = segment
            .Interfaces.Where(i => i.Side == Side.Lan && i.Owner != box.Id && e.Network.Find(i.Owner, Side.Wan) is { Linked: true })
            .Select(i => i.Owner)
            .ToList();
        if (
            mode.Server.On
            && others.Count > 0
            && e.Network.Find(box.Id, Side.Wan) is { Linked: false }
            && e.WanPorts(box.Id).Where(p => e.Design.CableAt(p) is null).Select(p => (PortRef?)p).FirstOrDefault() is { } wan
        )
        {
            var uplinks = e
                .Design.SetUp.Cables.Where(c =>
                    (c.A.Owner == box.Id && others.Contains(c.B.Owner)) || (c.B.Owner == box.Id && others.Contains(c.A.Owner))
                )
                .ToList();
            yield return e.BreaksLike(
                e.Finding(
                    Rule,
                    [box.Id],
                    $"{box.Name} is in router mode, but is connected to {e.Name(others[0])} by a LAN port",
                    "Devices of the main network get its addresses and then no internet.",
                    [
                        Cures.Hopeful($"Switch the DHCP server of {box.Name} off", new SwitchDhcpServer(box.Id, false)),
                        .. uplinks
                            .Take(1)
                            .Select(c =>
                                Cures.Hopeful(
                                    $"Move the cable to port {box.Profile.Port(wan.Port)!.Label}",
                                    new Unpatch(c.Id),
                                    new Patch(c.OtherEnd(c.A.Owner == box.Id ? c.A : c.B), wan, c.Known)
                                )
                            ),
                    ]
                ),
                Cause.Of(CauseCodes.TwoDhcpServers, "", segment.Servers.Select(s => s.Owner))
            );
        }
    }

    /// <summary>In access-point mode its WAN port does not join the others, and the cable is in it.</summary>
    private static IEnumerable<Finding> LeftOut(Evidence e) =>
        e
            .Design.SetUp.Boxes.Where(b => b.Mode is AccessPointMode && !e.Design.Box(b.Box)!.Profile.WanPortJoins)
            .OrderBy(b => b.Box, StringComparer.Ordinal)
            .Select(b => (Box: e.Design.Box(b.Box)!, Cable: e.WanCable(b.Box)))
            .Where(b => b.Cable is not null)
            .Select(b =>
                e.BreaksLike(
                    e.Finding(
                        Rule,
                        [b.Box.Id],
                        $"{b.Box.Name} leaves port {Label(b.Box, b.Cable!)} out in access-point mode, and the cable is in it",
                        "Nothing passes: what is plugged into it is cut off.",
                        Move(e, b.Box, b.Cable!)
                    ),
                    Cause.Of(CauseCodes.NoDhcpServer, "", b.Box.Id)
                )
            );

    private static IEnumerable<Remedy> Move(Evidence e, Box box, Cable cable) =>
        Cures.MoveToLan(e, box.Id, cable) is { } move ? [Cures.Hopeful($"Move the cable to a LAN port of {box.Name}", move)] : [];

    private static string Label(Box box, Cable cable) => box.Profile.Port((cable.A.Owner == box.Id ? cable.A : cable.B).Port)!.Label;
}
