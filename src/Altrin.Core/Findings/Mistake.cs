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
        By("Same address on two boxes", "address-twice"),
        By("Same subnet on both sides of a router", "same-subnet-both-sides"),
        By("Two address servers", "two-address-servers"),
        By("Fixed address inside the pool", "fixed-inside-pool"),
        By("Gateway or mask wrong on a fixed device", "gateway-wrong", "mask-wrong", "outside-subnet"),
        By("Cable in the wrong port for the mode", "wrong-port"),
        Not("Setting a box up while it is plugged into the live network, or the laptop still on the house Wi-Fi", DuringWork),
        Not("Changing the address and looking for the page at the old one", DuringWork),
        Not("Switching the address server off before the address is changed and noted", DuringWork),
        By("Wrong Wi-Fi key on a repeater", "uplink-not-joined"),
        By("Different security mode under one name", "one-name-two-keys"),
        By("Automatic channel under WDS", "uplink-not-joined"),
        By("A switch before the router", "switch-before-router"),
        By("A loop of cables", "loop"),
        By("A cable beside a radio backhaul", "loop"),
        By("Satellite chained too far", "radio-chain"),
        By("Expecting port forwarding through two translations or the carrier's", "need-not-met", "translated-twice", "carrier-translation", "service-unknown"),
        By("Leaving the gateway's Wi-Fi on beside the new one", "different-names", "one-name-two-keys"),
        Not("Leaving admin passwords at factory", DuringWork),
        By("Leaving an open factory Wi-Fi on the air", "weak-wifi"),
        By("A recorder's or printer's device on the wrong side of a cascade", "need-not-met", "translated-twice"),
        Not("Laptop left on a fixed address", DuringWork),
        Not("Taking the picture of the device list after instead of before", DuringWork),
        By("Guest network of a box in access-point mode opening into the main segment", "guests-open"),
        By("Guests inside a cascade", "guests-in-cascade"),
        By("LAN that overlaps the page of a bridged or pass-through gateway", "page-hidden"),
        By("A further box's address server that switches itself on when the main one is silent", "server-wakes"),
        By("Fixed device pointing at a gateway or name server that is gone", "gateway-wrong", "names-wrong"),
        By("Forward or DMZ aimed at a leased, unreserved address", "forward-to-lease"),
        Not("One port forwarded twice", "refused where it is typed: a page takes a port once"),
        By("A forward left on the box that no longer routes", "forward-idle"),
        By("Reservation on the wrong interface's or a private, changing hardware address", "reservation-idle"),
        By("Two reservations on one address, or one outside the subnet", "reservation-clash"),
        By("Pool too small or lease too long for phones and guests", "pool-too-small", "lease-too-long"),
        By("Bridge mode without the provider's login, tag or lock known", "line-not-asked", "line-not-met"),
        By("Telephone, TV or alarm that lives in the gateway and dies with it", "lives-in-gateway"),
        By("TV box on the wrong side, its multicast flooding powerline or radio", "television-astray"),
        By("Home device on a bridged gateway's other port", "device-at-street", "several-at-street"),
        By("A 100 Mb/s port below the service sold", "slow-link"),
        By("A two-pair lead below the service sold", "slow-link"),
        By("Power budget, type or class too small", "power-short"),
        By("Passive injector into a standard device", "passive-power"),
        By("Main box on a channel, width or security that a repeater or gadget cannot use", "uplink-not-joined", "wifi-not-joined"),
        By("A 2.4-only gadget that finds only a 5 GHz name", "wifi-not-joined"),
        By("TKIP or WEP capping newer radios at 54 Mb/s", "weak-wifi"),
        By("A repeater joining another repeater or itself", "repeater-strays", "uplink-not-joined"),
        Not("More than three or four names on a 2.4 GHz radio", "not possible here: a radio sends one name, and one for guests"),
        By("Two managed boxes at one factory address", "address-twice"),
        By("Names for all served by a device behind a radio hop", "names-over-radio"),
        By("End-of-life firmware on the outermost box", "software-ended"),
        Not("Pairing by button or remote administration left on at the outermost box", DuringWork),
        By("Port requests open on the outermost box", "port-requests-on"),
        By("A DMZ host that is no firewall", "dmz-exposed"),
        By("Copper between buildings", "copper-between-buildings"),
        By("Powerline across two supplies", "supplies-apart"),
        By("A box outside its temperature or damp rating", "outside-rating"),
        By("A copper cable longer than its channel may be", "cable-too-long"),
    ];

    private static Mistake By(string what, params string[] codes) => new(what, codes, null);

    private static Mistake Not(string what, string otherwise) => new(what, [], otherwise);
}
