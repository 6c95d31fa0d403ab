using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Packets;

/// <summary>
/// What a router does with a packet that is for its own address: its forwards, what a device asked it for, its DMZ host, or nothing.
/// </summary>
/// <param name="world">What every packet meets.</param>
/// <param name="addresses">Addresses on this way.</param>
/// <param name="trail">What is written down of it.</param>
/// <param name="need">The need that the connection stands for; null for others.</param>
/// <param name="ping">Whether it is a ping, which a router may answer where it answers nothing else.</param>
internal readonly struct Entrance(World world, Addresses addresses, Trail trail, ReachFromOutside? need, bool ping)
{
    /// <summary>Whether the packet goes on, to the router itself or to whom the router sends it.</summary>
    public bool Enter(Interface at, ref Packet packet)
    {
        if (world.Network.Router(at.Owner) is not { } router)
        {
            return true;
        }
        var (target, protocol, port) = (packet.Target, packet.Protocol, packet.Port);
        var wan = world.Network.Find(at.Owner, Side.Wan);
        if (wan is null || !addresses.MayHave(wan, target) || addresses.Of(wan) != target)
        {
            return at.Side == Side.Lan || addresses.Receiver(at, target) is null || Answers(at, port);
        }
        if (at.Side == Side.Guest)
        {
            return Answers(at, port);
        }
        if (at.Side == Side.Wan && world.KeptPorts(at.Owner).Contains(port))
        {
            return Closed(at.Owner, port);
        }
        var forward = router.Forwards.FirstOrDefault(f => f.Protocol == protocol && f.OutsidePort == port);
        var (to, inside) = forward is not null ? (forward.To, forward.InsidePort) : (Asked(at, router, protocol, port) ?? router.Dmz, port);
        if (to is not { } host)
        {
            return Answers(at, port);
        }
        if (at.Side != Side.Wan && forward is null && world.HabitsOf(at.Owner).LoopsBack is var loops and not Known.Yes)
        {
            // What comes from inside goes to the DMZ host only with hairpin NAT; without it the router answers for itself (measured).
            if (loops == Known.Unknown)
            {
                trail.Open.Add(HairpinNotKnown(at.Owner));
            }
            return true;
        }
        trail.Forward(at.Owner, ref packet, host, inside);
        return at.Side == Side.Wan || LoopsBack(at, ref packet);
    }

    /// <summary>
    /// Whether the router itself answers: everything on its LAN side, names for its guests, pings on its WAN side or not.
    /// </summary>
    private bool Answers(Interface at, int port)
    {
        if (at.Side == Side.Lan || (at.Side == Side.Guest && port == 53))
        {
            return true;
        }
        var pings = ping && at.Side == Side.Wan ? world.HabitsOf(at.Owner).AnswersPings : Known.No;
        if (pings == Known.Unknown)
        {
            trail.Open.Add(
                Cause.Of(
                    CauseCodes.NotForwarded,
                    $"Whether {world.Name(at.Owner)} answers pings on its WAN side was not found out.",
                    at.Owner
                )
            );
        }
        return pings != Known.No || Closed(at.Owner, port);
    }

    /// <summary>A forwarded port asked for from inside by the outer address (hairpin, RFC 4787, section 6).</summary>
    private bool LoopsBack(Interface at, ref Packet packet)
    {
        var habit = world.HabitsOf(at.Owner).LoopsBack;
        if (habit == Known.No)
        {
            trail.Stop(
                at.Owner,
                Cause.Of(
                    CauseCodes.NoHairpin,
                    $"{world.Name(at.Owner)} has no hairpin NAT: its WAN address is not reached from inside.",
                    at.Owner
                )
            );
            return false;
        }
        if (habit == Known.Unknown)
        {
            trail.Open.Add(HairpinNotKnown(at.Owner));
        }
        trail.Translate(at.Owner, ref packet, World.Own(at).Address);
        return true;
    }

    private Cause HairpinNotKnown(string router) =>
        Cause.Of(CauseCodes.NoHairpin, $"Whether {world.Name(router)} has hairpin NAT was not found out.", router);

    /// <summary>To whom a port goes that the device asked for itself: only the nearest router hears it (RFC 6887).</summary>
    private Ipv4Address? Asked(Interface at, RouterMode router, Protocol? protocol, int port) =>
        need is { AsksItself: true } asked
        && router.PortRequests
        && at.Side == Side.Wan
        && asked.Protocol == protocol
        && asked.Port == port
        && world.Network.Find(asked.Device, Side.Device) is { } device
        && world.Network.Find(at.Owner, Side.Lan)?.Segment == device.Segment
            ? addresses.Of(device)
            : null;

    /// <summary>The router takes nothing on that port: the packet goes no further.</summary>
    private bool Closed(string router, int port)
    {
        trail.Stop(
            router,
            Cause.Of(
                CauseCodes.NotForwarded,
                port == 0 ? $"{world.Name(router)} does not answer on that side." : $"{world.Name(router)} does not forward port {port}.",
                router
            )
        );
        return false;
    }
}
