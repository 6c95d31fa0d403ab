using Altrin.Core.Findings.Rules;

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
        By("Same address on two boxes", AddressConflict.Rule),
        By("Same subnet on both sides of a router", OverlappingSubnets.Rule),
        By("Two DHCP servers", TwoDhcpServers.Rule),
        By("Fixed address inside the pool", FixedAddressInPool.Rule),
        By("Gateway or mask wrong on a fixed device", GatewayWrong.Rule, SubnetMaskWrong.Rule, OutsideSubnet.Rule),
        By("Cable in the wrong port for the mode", WrongPort.Rule),
        Not("Setting a box up while it is plugged into the live network, or the laptop still on the house Wi-Fi", DuringWork),
        Not("Changing the address and looking for the page at the old one", DuringWork),
        Not("Switching the DHCP server off before the address is changed and noted", DuringWork),
        By("Wrong Wi-Fi password on a repeater", UplinkNotJoined.Rule),
        By("Different security mode under one name", WifiPasswordDiffers.Rule),
        By("Automatic channel under WDS", UplinkNotJoined.Rule),
        By("A switch before the router", SwitchBeforeRouter.Rule),
        By("A loop of cables", LoopRule.Rule),
        By("A cable beside a radio backhaul", LoopRule.Rule),
        By("Satellite chained too far", RepeaterChain.Rule),
        By(
            "Expecting port forwarding through double NAT or carrier-grade NAT",
            NeedNotMet.Rule,
            DoubleNat.Rule,
            CarrierNatRule.Rule,
            ServiceUnknown.Rule
        ),
        By("Leaving the gateway's Wi-Fi on beside the new one", SplitWifiName.Rule, WifiPasswordDiffers.Rule),
        By("Leaving admin passwords at factory", FactoryPassword.Rule),
        By("Leaving an open factory Wi-Fi on the air", WeakWifi.Rule),
        By("A recorder's or printer's device on the wrong side of a cascade", NeedNotMet.Rule, DoubleNat.Rule),
        Not("Laptop left on a fixed address", DuringWork),
        Not("Taking the picture of the device list after instead of before", DuringWork),
        By("Guest network of a box in access-point mode opening into the main segment", GuestsNotIsolatedRule.Rule),
        By("Guests inside a cascade", GuestsInCascade.Rule),
        By("LAN that overlaps the page of a bridged or pass-through gateway", ManagementPageHidden.Rule),
        By("A further box's DHCP server that switches itself on when the main one is silent", DhcpServerWakes.Rule),
        By("Fixed device pointing at a gateway or DNS server that is gone", GatewayWrong.Rule, DnsServerWrong.Rule),
        By("Forward or DMZ aimed at a leased, unreserved address", PortForwardToLease.Rule),
        Not("One port forwarded twice", "refused where it is typed: a page takes a port once"),
        By("A forward left on the box that no longer routes", PortForwardIdle.Rule),
        By("Reservation on the wrong interface's or a private, changing MAC address", ReservationIdle.Rule),
        By("Two reservations on one address, or one outside the subnet", ReservationClash.Rule),
        By("Pool too small or lease too long for phones and guests", PoolTooSmall.Rule, LeaseTooLong.Rule),
        By("Leases shortened before a move and not put back", LeaseTooShort.Rule),
        By("Bridge mode without the provider's login, tag or lock known", LineNotAsked.Rule, LineNotMet.Rule),
        By("Telephone, TV or alarm that depends on the gateway and stops with it", ServiceInGateway.Rule),
        By("TV box on the wrong side, its multicast flooding powerline or radio", TvOnWrongSide.Rule),
        By("Home device on a bridged gateway's other port", DeviceBeforeRouter.Rule, SeveralBeforeRouter.Rule),
        By("A 100 Mb/s port below the service sold", SlowLink.Rule),
        By("A two-pair lead below the service sold", SlowLink.Rule),
        By("Power budget, type or class too small", PowerShort.Rule),
        By("Passive injector into a standard device", PassivePower.Rule),
        By("Main box on a channel, width or security that a repeater or gadget cannot use", UplinkNotJoined.Rule, WifiNotJoined.Rule),
        By("A 2.4-only gadget that finds only a 5 GHz name", BandMissing.Rule),
        By("TKIP or WEP capping newer radios at 54 Mb/s", WeakWifi.Rule),
        By("A repeater joining another repeater or itself", RepeaterJoinsOther.Rule, UplinkNotJoined.Rule),
        By("More than three or four names on a 2.4 GHz radio", TooManyNames.Rule),
        By("Two managed boxes at one factory address", AddressConflict.Rule),
        By("DNS for all served by a device behind a radio hop", DnsOverWifi.Rule),
        By("End-of-life firmware on the outermost box", FirmwareUnsupported.Rule),
        Not("Pairing by button or remote administration left on at the outermost box", DuringWork),
        By("UPnP on at the outermost box", UpnpOn.Rule),
        By("A DMZ host that is no firewall", DmzExposed.Rule),
        By("Copper between buildings", CopperBetweenBuildings.Rule),
        By("Powerline across two supplies", PowerlineAcrossSupplies.Rule),
        By("A box outside its temperature or damp rating", OutsideRating.Rule),
        By("A copper cable longer than its channel may be", CableTooLong.Rule),
    ];

    private static Mistake By(string what, params IEnumerable<Rule> rules) => new(what, [.. rules.Select(r => r.Code)], null);

    private static Mistake Not(string what, string otherwise) => new(what, [], otherwise);
}
