using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Packets;

/// <summary>A packet as far as routers look at it.</summary>
/// <param name="Source">Where it says that it comes from.</param>
/// <param name="Target">Where it is to go.</param>
/// <param name="Protocol">Null for one that no forward is made for.</param>
/// <param name="Port">The port that it is for; 0 without a protocol.</param>
internal readonly record struct Packet(Ipv4Address Source, Ipv4Address Target, Protocol? Protocol, int Port);

/// <summary>What a router wrote over in a packet, and undoes in the answer.</summary>
/// <param name="Router">Who; "street" for the carrier.</param>
/// <param name="OfTarget">Whether it was the target (a forward), not the source (a translation).</param>
/// <param name="Before">The address before.</param>
/// <param name="After">The address after.</param>
internal sealed record Mapping(string Router, bool OfTarget, Ipv4Address Before, Ipv4Address After);

/// <summary>Where a router or a host sends a packet next.</summary>
/// <param name="Out">The side that it leaves by.</param>
/// <param name="Next">Whom it is handed to: the target itself, or a router on the way.</param>
/// <param name="ByDefault">Whether only the default gateway leads there.</param>
/// <param name="Blame">Who set that gateway.</param>
internal readonly record struct Hop(Networks.Interface Out, Ipv4Address Next, bool ByDefault, string Blame);

/// <summary>A packet on its way from one side to the next.</summary>
/// <param name="From">The side that sends it.</param>
/// <param name="To">The side that takes it; null where none does.</param>
/// <param name="Next">The address that it is handed to: whose MAC address is asked for.</param>
/// <param name="Packet">The packet as it is then.</param>
/// <param name="Answer">Whether it is the answer on its way back.</param>
internal sealed record Leg(Networks.Interface From, Networks.Interface? To, Ipv4Address Next, Packet Packet, bool Answer);
