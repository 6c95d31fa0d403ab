namespace Altrin.Core.Sites;

/// <summary>
/// What one kind of box does by itself, as nothing on its page says. Boxes differ in all of it (common practice); what was not
/// found out stays unknown and makes answers luck where they depend on it.
/// </summary>
public sealed record BoxHabits
{
    /// <summary>Nothing found out.</summary>
    public static BoxHabits NotKnown { get; } = new();

    /// <summary>Whether its DHCP server tries an address before it offers it (RFC 2131, section 2.2).</summary>
    public Known ChecksOffer { get; init; }

    /// <summary>
    /// Whether it tries an address that it was leased before using it, and declines one that is taken (RFC 2131, section 4.4.1; RFC
    /// 5227).
    /// </summary>
    public Known ChecksLease { get; init; }

    /// <summary>What it does when both its sides share addresses.</summary>
    public OverlapHabit OnOverlap { get; init; }

    /// <summary>
    /// Whether it answers on one side for its address on the other side (ARP); Linux does unless told otherwise (measured).
    /// </summary>
    public Known AnswersAcross { get; init; }

    /// <summary>Whether it drops what comes from a side that it would not answer to (reverse-path check, RFC 3704).</summary>
    public Known ChecksReversePath { get; init; }

    /// <summary>Whether it answers pings (ICMP echo, RFC 792) that come in by its WAN side.</summary>
    public Known AnswersPings { get; init; }

    /// <summary>
    /// Whether its firewall lets out by the WAN side again what came in by it; the usual default drops it (common practice).
    /// </summary>
    public Known ForwardsOutside { get; init; }

    /// <summary>
    /// Whether its firewall still drops what was not asked for from inside while its NAT is off; on some the two are one switch (common
    /// practice).
    /// </summary>
    public Known FirewallWithoutNat { get; init; }

    /// <summary>Whether its DHCP server comes on in access-point mode while it hears no other.</summary>
    public Known ServesWhenAlone { get; init; }

    /// <summary>Whether its guest name stays apart from the rest in access-point mode.</summary>
    public Known GuestsApart { get; init; }

    /// <summary>Whether leases get through it reliably while it joins by radio with three addresses.</summary>
    public Known LeasesThrough { get; init; }

    /// <summary>Whether it stops its radio link while a cable leads the same way.</summary>
    public Known StopsRings { get; init; }

    /// <summary>Whether its other ports keep the internet while it passes its public address on.</summary>
    public Known KeepsOthers { get; init; }

    /// <summary>Whether its Wi-Fi goes off while it passes its public address on.</summary>
    public Known WifiOffWhilePassing { get; init; }

    /// <summary>Whether the telephone, television or alarm in it goes on while it bridges or passes its public address on.</summary>
    public Known KeepsServices { get; init; }

    /// <summary>Whether it still announces itself as an IPv6 router when it no longer routes.</summary>
    public Known AnnouncesIpv6 { get; init; }

    /// <summary>Whether a device inside reaches a forwarded port by the public address (hairpinning, RFC 4787, section 6).</summary>
    public Known LoopsBack { get; init; }
}
