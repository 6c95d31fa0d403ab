using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Kernel.Tests;

/// <summary>What a DHCP server hands out.</summary>
/// <param name="Pool">Addresses.</param>
/// <param name="PrefixLength">Their prefix.</param>
/// <param name="Gateway">The default gateway; null for none.</param>
/// <param name="Names">DNS servers.</param>
internal sealed record Serving(AddressRange Pool, int PrefixLength, Ipv4Address? Gateway, IReadOnlyList<Ipv4Address> Names)
{
    /// <summary>Addresses kept for one MAC address.</summary>
    public IReadOnlyList<Reservation> Kept { get; init; } = [];

    /// <summary>How many leases at once; null for as many as the pool has.</summary>
    public int? Most { get; init; }

    /// <summary>Whether it tries an address before it offers it.</summary>
    public bool Checks { get; init; }

    /// <summary>The domain name that it hands out; null for none.</summary>
    public string? Domain { get; init; }

    /// <summary>How long a lease lasts, two minutes at least.</summary>
    public int LeaseMinutes { get; init; } = DhcpServerSetting.UsualLeaseMinutes;
}
