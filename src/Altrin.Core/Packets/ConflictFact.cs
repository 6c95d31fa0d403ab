using Altrin.Core.Addressing;

namespace Altrin.Core.Packets;

/// <summary>One address that two hosts of one segment hold or may come to hold.</summary>
/// <param name="Segment">Where.</param>
/// <param name="Address">Which.</param>
/// <param name="Holders">Hosts that hold it for certain, by id.</param>
/// <param name="Pool">The server whose pool holds it too; null for a certain duplicate.</param>
/// <param name="Guarded">Whether a host tries the address before it is used twice: it holds for as long as its holder is on and
/// answers.</param>
/// <param name="Exposure">How likely the server of the pool leases it to another; null for a certain duplicate.</param>
public sealed record ConflictFact(
    string Segment,
    Ipv4Address Address,
    IReadOnlyList<string> Holders,
    string? Pool,
    bool Guarded,
    Exposure? Exposure
);
