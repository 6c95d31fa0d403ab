using Altrin.Core.Addressing;

namespace Altrin.Core.Packets;

/// <summary>A router whose sides share addresses.</summary>
/// <param name="Router">The router.</param>
/// <param name="Outer">Subnet on its WAN side.</param>
/// <param name="Inner">Subnet on its LAN side.</param>
/// <param name="SharedAddress">Its own LAN address, where a host on the WAN side has it too.</param>
/// <param name="MovedTo">An example of the subnet that the router took for its LAN instead, where it renumbers itself; null where it does
/// not.</param>
public sealed record OverlapFact(string Router, Subnet Outer, Subnet Inner, Ipv4Address? SharedAddress, Subnet? MovedTo);
