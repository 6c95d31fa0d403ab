namespace Altrin.Core.Findings;

/// <summary>A mistake of the trade, and where it is caught.</summary>
/// <param name="What">The mistake, as installers name it.</param>
/// <param name="Codes">Rules that catch it; empty where no rule does.</param>
/// <param name="Otherwise">What catches it, or why nothing does yet; null where a rule does.</param>
public sealed record Mistake(string What, IReadOnlyList<string> Codes, string? Otherwise)
{
    /// <summary>Nothing in a design tells it; it shows while the work is done.</summary>
    public const string DuringWork = "seen only during the work";

    /// <summary>Every mistake that is to be caught, in the trade's order.</summary>
    public static IReadOnlyList<Mistake> All { get; } =
    [
        By("Same address on two boxes", "address-conflict"),
        By("Same subnet on both sides of a router", "overlapping-subnets"),
        By("Two DHCP servers", "two-dhcp-servers"),
        By("Fixed address inside the pool", "fixed-address-in-pool"),
        By("Gateway or mask wrong on a fixed device", "gateway-wrong", "subnet-mask-wrong", "outside-subnet"),
        By("Cable in the wrong port for the mode", "wrong-port"),
        Not("Setting a box up while it is plugged into the live network, or the laptop still on the house Wi-Fi", DuringWork),
        Not("Changing the address and looking for the page at the old one", DuringWork),
        Not("Switching the DHCP server off before the address is changed and noted", DuringWork),
        By("Wrong Wi-Fi password on a repeater", "uplink-not-joined"),
        By("Different security mode under one name", "wifi-password-differs"),
        By("Automatic channel under WDS", "uplink-not-joined"),
        By("A switch before the router", "switch-before-router"),
        By("A loop of cables", "loop"),
        By("A cable beside a radio backhaul", "loop"),
        By("Satellite chained too far", "repeater-chain"),
        By("Expecting port forwarding through double NAT or carrier-grade NAT", "need-not-met", "double-nat", "carrier-nat", "service-unknown"),
        By("Leaving the gateway's Wi-Fi on beside the new one", "split-wifi-name", "wifi-password-differs"),
        Not("Leaving admin passwords at factory", DuringWork),
        By("Leaving an open factory Wi-Fi on the air", "weak-wifi"),
        By("A recorder's or printer's device on the wrong side of a cascade", "need-not-met", "double-nat"),
        Not("Laptop left on a fixed address", DuringWork),
        Not("Taking the picture of the device list after instead of before", DuringWork),
        By("Guest network of a box in access-point mode opening into the main segment", "guests-not-isolated"),
        By("Guests inside a cascade", "guests-in-cascade"),
        By("LAN that overlaps the page of a bridged or pass-through gateway", "management-page-hidden"),
        By("A further box's DHCP server that switches itself on when the main one is silent", "dhcp-server-wakes"),
        By("Fixed device pointing at a gateway or DNS server that is gone", "gateway-wrong", "dns-server-wrong"),
        By("Forward or DMZ aimed at a leased, unreserved address", "port-forward-to-lease"),
        Not("One port forwarded twice", "refused where it is typed: a page takes a port once"),
        By("A forward left on the box that no longer routes", "port-forward-idle"),
        By("Reservation on the wrong interface's or a private, changing MAC address", "reservation-idle"),
        By("Two reservations on one address, or one outside the subnet", "reservation-clash"),
        By("Pool too small or lease too long for phones and guests", "pool-too-small", "lease-too-long"),
        By("Bridge mode without the provider's login, tag or lock known", "line-not-asked", "line-not-met"),
        By("Telephone, TV or alarm that lives in the gateway and dies with it", "service-in-gateway"),
        By("TV box on the wrong side, its multicast flooding powerline or radio", "tv-on-wrong-side"),
        By("Home device on a bridged gateway's other port", "device-before-router", "several-before-router"),
        By("A 100 Mb/s port below the service sold", "slow-link"),
        By("A two-pair lead below the service sold", "slow-link"),
        By("Power budget, type or class too small", "power-short"),
        By("Passive injector into a standard device", "passive-power"),
        By("Main box on a channel, width or security that a repeater or gadget cannot use", "uplink-not-joined", "wifi-not-joined"),
        By("A 2.4-only gadget that finds only a 5 GHz name", "wifi-not-joined"),
        By("TKIP or WEP capping newer radios at 54 Mb/s", "weak-wifi"),
        By("A repeater joining another repeater or itself", "repeater-joins-other", "uplink-not-joined"),
        Not("More than three or four names on a 2.4 GHz radio", "not possible here: a radio sends one name, and one for guests"),
        By("Two managed boxes at one factory address", "address-conflict"),
        By("Names for all served by a device behind a radio hop", "dns-over-wifi"),
        By("End-of-life firmware on the outermost box", "firmware-unsupported"),
        Not("Pairing by button or remote administration left on at the outermost box", DuringWork),
        By("UPnP on at the outermost box", "upnp-on"),
        By("A DMZ host that is no firewall", "dmz-exposed"),
        By("Copper between buildings", "copper-between-buildings"),
        By("Powerline across two supplies", "powerline-across-supplies"),
        By("A box outside its temperature or damp rating", "outside-rating"),
        By("A copper cable longer than its channel may be", "cable-too-long"),
    ];

    private static Mistake By(string what, params string[] codes) => new(what, codes, null);

    private static Mistake Not(string what, string otherwise) => new(what, [], otherwise);
}
