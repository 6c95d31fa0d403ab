namespace Altrin.Core.Packets;

/// <summary>Codes that facts cite as causes and findings carry, so that a finding can be told which answers it breaks.</summary>
public static class CauseCodes
{
    /// <summary>Two translations in the home on the way out. Subject: the inner router.</summary>
    public const string DoubleNat = "double-nat";

    /// <summary>The provider does NAT. Subject: street.</summary>
    public const string CarrierNat = "carrier-nat";

    /// <summary>One address on two hosts of one segment. Subjects: the hosts.</summary>
    public const string AddressConflict = "address-conflict";

    /// <summary>Overlapping subnets on both sides of a router. Subject: the router.</summary>
    public const string OverlappingSubnets = "overlapping-subnets";

    /// <summary>Several DHCP servers in one segment. Subjects: the servers.</summary>
    public const string TwoDhcpServers = "two-dhcp-servers";

    /// <summary>No server hands out addresses in a segment. Subject: the segment.</summary>
    public const string NoDhcpServer = "no-dhcp-server";

    /// <summary>A fixed address inside the pool of its own segment's server. Subjects: the host and the server.</summary>
    public const string FixedAddressInPool = "fixed-address-in-pool";

    /// <summary>A host set outside its segment's subnet. Subject: the host.</summary>
    public const string OutsideSubnet = "outside-subnet";

    /// <summary>A default gateway that is missing, outside the subnet, or no router. Subject: who set it.</summary>
    public const string GatewayWrong = "gateway-wrong";

    /// <summary>A ring of cables. Subjects: the cables.</summary>
    public const string Loop = "loop";

    /// <summary>Several boxes or devices ask the provider, who gives one lease. Subject: street.</summary>
    public const string SeveralBeforeRouter = "several-before-router";

    /// <summary>The laptop has two ways into one subnet, by cable and by Wi-Fi. Subjects: both adapters.</summary>
    public const string TwoWays = "two-ways";

    /// <summary>A Wi-Fi that the device looks for and does not get into. Subject: the device.</summary>
    public const string WifiNotJoined = "wifi-not-joined";

    /// <summary>A Wi-Fi that is sent on no band that the device knows. Subject: the device.</summary>
    public const string BandMissing = "band-missing";

    /// <summary>A device with neither cable nor Wi-Fi. Subject: the device.</summary>
    public const string NotConnected = "not-connected";

    /// <summary>A router with nothing on its WAN side. Subject: the router.</summary>
    public const string WanPortEmpty = "wan-port-empty";

    /// <summary>More devices than addresses. Subject: the server.</summary>
    public const string PoolTooSmall = "pool-too-small";

    /// <summary>A fixed public address that is not typed into the box that takes it. Subject: the box.</summary>
    public const string WanNotSet = "wan-not-set";

    /// <summary>The kind of service was not asked. Subject: street.</summary>
    public const string ServiceUnknown = "service-unknown";

    /// <summary>A forward that aims at an address which its owner may lose. Subjects: the router and the target.</summary>
    public const string PortForwardToLease = "port-forward-to-lease";

    /// <summary>A port that no router forwards, or that is forwarded to another host. Subject: the router that stops it.</summary>
    public const string NotForwarded = "not-forwarded";

    /// <summary>Two devices that are in no network together. Subjects: both. The need that asks for it says so.</summary>
    public const string Apart = "apart";

    /// <summary>No host answers at an address of the client's own subnet. Subject: the host that asks for it.</summary>
    public const string NoAnswer = "no-answer";

    /// <summary>A host whose mask makes it see another subnet than the one it is in. Subject: the host.</summary>
    public const string SubnetMaskWrong = "subnet-mask-wrong";

    /// <summary>
    /// A router, or the provider, that knows no way to an address, or one that leads to no host. Subject: who does not.
    /// </summary>
    public const string NoRoute = "no-route";

    /// <summary>
    /// The answer does not come back to whom it is for, or not from whom it was asked. Subject: who answers, or the router that loses it.
    /// </summary>
    public const string NoReturnRoute = "no-return-route";

    /// <summary>An address of the home goes out to the provider untranslated. Subject: the router.</summary>
    public const string NoNat = "no-nat";

    /// <summary>A box that keeps guests apart. Subject: the box.</summary>
    public const string GuestsApart = "guests-apart";

    /// <summary>A guest name that opens into the home, or may. Subject: the access point.</summary>
    public const string GuestsNotIsolated = "guests-not-isolated";

    /// <summary>A guest network before which the family's devices lie. Subject: the router that sends it.</summary>
    public const string GuestsInCascade = "guests-in-cascade";

    /// <summary>What lives in a gateway that stops routing. Subject: the gateway.</summary>
    public const string ServiceInGateway = "service-in-gateway";

    /// <summary>
    /// A way with radio links, mains wiring or a satellite on it. Subjects: the device and what delays it. The need that asks for it says
    /// so.
    /// </summary>
    public const string NotQuick = "not-quick";

    /// <summary>No box sends a name for guests. The need that asks for it says so.</summary>
    public const string NoGuestName = "no-guest-name";

    /// <summary>
    /// A name that is to stay is not sent, or otherwise than it was. Subject: the box. The need that asks for it says so.
    /// </summary>
    public const string NameNotKept = "name-not-kept";

    /// <summary>A level that was not measured. Subject: the place. The need that asks for it says so.</summary>
    public const string NotMeasured = "not-measured";

    /// <summary>A level that is too weak for what is asked for. Subject: the place. The need that asks for it says so.</summary>
    public const string TooWeak = "too-weak";

    /// <summary>A router that does not lead from inside to its own outer address, or may not. Subject: the router.</summary>
    public const string NoHairpin = "no-hairpin";

    /// <summary>DNS servers that are missing or do not answer. Subject: who set them.</summary>
    public const string DnsServerWrong = "dns-server-wrong";

    /// <summary>A box that does not join another by radio, or it is not known whether it does. Subject: the box.</summary>
    public const string UplinkNotJoined = "uplink-not-joined";

    /// <summary>A box that may join another than it should. Subject: the box.</summary>
    public const string RepeaterJoinsOther = "repeater-joins-other";

    /// <summary>A radio link with three addresses, through which leases are unreliable. Subject: the box that joins by it.</summary>
    public const string DhcpThroughBridge = "dhcp-through-bridge";

    /// <summary>A line that asks for what the box does not tell it. Subject: the box or device.</summary>
    public const string LineNotMet = "line-not-met";

    /// <summary>A gateway that passes its address on and leaves its other ports without internet, or may. Subject: the gateway.</summary>
    public const string PassThroughCutsOff = "pass-through-cuts-off";

    /// <summary>An answer that would take more work than one proof does. No subject: it is about the size of the home.</summary>
    public const string NotWorkedOut = "not-worked-out";

    /// <summary>Two routers, one behind each other in a ring: packets go round. Subject: a router of it.</summary>
    public const string RoutingLoop = "routing-loop";
}
