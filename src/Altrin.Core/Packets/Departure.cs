using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Packets;

/// <summary>How a packet leaves the host that sends it: by which side, with which address, or not at all.</summary>
internal readonly struct Departure(World world, Choices choices, Addresses addresses, Trail trail)
{
    /// <summary>
    /// The packet as it leaves a host. A router's own packets leave by the side that leads to their target, with the address of that
    /// side (RFC 1122, section 3.3.4.3, from memory): that side is then the one it begins at.
    /// </summary>
    public bool Begin(ref Interface from, Ipv4Address target, Protocol? protocol, int port, out Packet packet)
    {
        packet = default;
        var routes = world.Network.Router(from.Owner) is not null;
        if (routes && (from.Side != Side.Wan || from.Linked))
        {
            if ((Itself(from, target) ?? Onto(from, target, false)?.Out) is not { } side)
            {
                trail.Segments.Add(from.Segment);
                return false;
            }
            from = side;
        }
        trail.Segments.Add(from.Segment);
        if (!from.Linked && (!routes || from.Side == Side.Wan))
        {
            var (cause, owner) = (world.Unlinked(from), from.Owner);
            var keyOpen =
                cause.Code == CauseCodes.WifiNotJoined
                && world.Network.Refusals.Any(r => r.Device == owner && r.Why == RefusalReason.PasswordNotKnown);
            (keyOpen ? trail.Open : trail.Wrong).Add(cause);
            trail.StopsAt(owner);
            return false;
        }
        if (addresses.Of(from) is not { } own)
        {
            trail.Stop(from.Owner, world.NoAddress(from));
            return false;
        }
        packet = new(own, target, protocol, port);
        return true;
    }

    /// <summary>
    /// The side by which a host has an address itself, so that a packet for it never leaves the host; a router that moved its LAN out of
    /// the way does not have that address any more.
    /// </summary>
    public Interface? Itself(Interface from, Ipv4Address target) =>
        addresses.Receiver(from, target) is { } side && !(side.IsInner && new Lookup(world, choices, addresses).HasMoved(from.Owner))
            ? side
            : null;

    /// <summary>Where a host sends a packet of its own; a router asks as from its WAN side, whichever side it then takes.</summary>
    public Hop? Onto(Interface from, Ipv4Address target, bool answer) =>
        new Lookup(world, choices, addresses).At(
            (world.Network.Router(from.Owner) is null ? null : world.Network.Find(from.Owner, Side.Wan)) ?? from,
            target,
            answer,
            Stop
        );

    private Interface? Stop(string by, Cause cause)
    {
        trail.Stop(by, cause);
        return null;
    }
}
