namespace Altrin.Core.Addressing;

/// <summary>
/// What is known of the addresses of one subnet: where its server's pool lies, what is reserved and what is taken.
/// Answers whether a proposed address is a good one, and finds one that is.
/// </summary>
/// <param name="Subnet">The main box's subnet: the one that counts, not the one printed on the further box.</param>
/// <param name="Pool">What the DHCP server hands out; null where there is none.</param>
/// <param name="Reserved">Addresses kept for one MAC address, inside the pool or not.</param>
/// <param name="Taken">Addresses set by hand on some box or device.</param>
public sealed record AddressPlan(Subnet Subnet, AddressRange? Pool, IReadOnlySet<Ipv4Address> Reserved, IReadOnlySet<Ipv4Address> Taken)
{
    /// <summary>Says what a proposed fixed address would be. Taken weighs more than reserved, and reserved more than the pool.</summary>
    public AddressStanding Classify(Ipv4Address address) =>
        !Subnet.IsHost(address) ? AddressStanding.Outside
        : Taken.Contains(address) ? AddressStanding.Taken
        : Reserved.Contains(address) ? AddressStanding.Reserved
        : Pool is { } pool && pool.Contains(address) ? AddressStanding.InPool
        : AddressStanding.Free;

    /// <summary>
    /// The lowest address that is free: inside the subnet, outside the pool, neither reserved nor taken; null when there is none.
    /// </summary>
    public Ipv4Address? FirstFree()
    {
        var unfit = new HashSet<Ipv4Address>(Taken);
        unfit.UnionWith(Reserved);
        return FreeOutsidePool().Select(r => r.FirstFree(unfit)).FirstOrDefault(a => a is not null);
    }

    /// <summary>The stretches of the subnet that the pool leaves for fixed addresses.</summary>
    public IReadOnlyList<AddressRange> FreeOutsidePool() => Pool is { } pool ? Subnet.Hosts.Outside(pool) : [Subnet.Hosts];
}

/// <summary>How a proposed fixed address stands to a subnet and its pool.</summary>
public enum AddressStanding
{
    /// <summary>Not a host address of the subnet.</summary>
    Outside,

    /// <summary>The server may hand it to another host.</summary>
    InPool,

    /// <summary>Kept by the server for one MAC address.</summary>
    Reserved,

    /// <summary>A host already has it by hand.</summary>
    Taken,

    /// <summary>Safe to set by hand.</summary>
    Free,
}
