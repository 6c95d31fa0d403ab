namespace Altrin.Core.Sites;

/// <summary>
/// Everything of a home that can be set or noted, one by one: the closed list that every change of a set-up and every correction of the
/// survey is mapped to. Settings of a box are what its pages set.
/// </summary>
public enum Setting
{
    /// <summary>Whether a box or device is in the set-up at all; everything that is set of it there goes with it.</summary>
    InUse,

    /// <summary>The mode of a box.</summary>
    Mode,

    /// <summary>The LAN address of a router, with its prefix.</summary>
    LanAddress,

    /// <summary>How the page of a box that does not route comes by its address.</summary>
    PageAddress,

    /// <summary>How the WAN side of a router comes by its address.</summary>
    Wan,

    /// <summary>Whether the DHCP server answers.</summary>
    DhcpServer,

    /// <summary>The first address of the DHCP pool.</summary>
    PoolFirst,

    /// <summary>The last address of the DHCP pool.</summary>
    PoolLast,

    /// <summary>The default gateway that the DHCP server hands out.</summary>
    HandedGateway,

    /// <summary>The DNS servers that the DHCP server hands out.</summary>
    HandedDns,

    /// <summary>The domain name that the DHCP server hands out.</summary>
    HandedDomain,

    /// <summary>How long leases last.</summary>
    LeaseTime,

    /// <summary>A DHCP reservation, by MAC address.</summary>
    Reservation,

    /// <summary>A port forwarding, by protocol and outside port.</summary>
    Forward,

    /// <summary>The DMZ host.</summary>
    Dmz,

    /// <summary>Whether devices may open ports themselves (UPnP and the like).</summary>
    PortRequests,

    /// <summary>Whether a router does NAT.</summary>
    Nat,

    /// <summary>A static route, by where it leads.</summary>
    Route,

    /// <summary>What a router tells its line, by part: login, tag or MAC address.</summary>
    Line,

    /// <summary>To whom a gateway passes its public address.</summary>
    Passing,

    /// <summary>Whether a radio sends, by radio.</summary>
    RadioOn,

    /// <summary>The Wi-Fi name (SSID) of a radio.</summary>
    WifiName,

    /// <summary>The Wi-Fi security of a radio.</summary>
    WifiSecurity,

    /// <summary>The Wi-Fi password of a radio.</summary>
    WifiPassword,

    /// <summary>The channel of a radio.</summary>
    Channel,

    /// <summary>The channel width of a radio.</summary>
    ChannelWidth,

    /// <summary>Whether a radio hides its name.</summary>
    HiddenName,

    /// <summary>Protection of management frames of a radio.</summary>
    FrameProtection,

    /// <summary>The boxes that a radio knows as WDS peers.</summary>
    WdsPeers,

    /// <summary>Names that a radio sends beside its first.</summary>
    FurtherNames,

    /// <summary>The country that a radio is set to.</summary>
    Region,

    /// <summary>
    /// The guest network of a router or the guest name of an access point, by part; whether there is one, without a part.
    /// </summary>
    Guest,

    /// <summary>The radio link by which a box joins another, by part; whether there is one, without a part.</summary>
    Uplink,

    /// <summary>Whose satellite a node is, by part.</summary>
    Satellite,

    /// <summary>What a port of a managed switch does with VLANs, by port.</summary>
    Vlans,

    /// <summary>The admin password of a box.</summary>
    AdminPassword,

    /// <summary>Where a box stands in this set-up.</summary>
    StandsIn,

    /// <summary>How a customer's device comes by its address.</summary>
    DeviceAddress,

    /// <summary>The Wi-Fi that a customer's device remembers.</summary>
    DeviceWifi,

    /// <summary>Whether a cable is plugged in, and where; everything that is known of it goes with it.</summary>
    Plugged,

    /// <summary>What is known of a cable that stays where it is, by part.</summary>
    Cable,

    /// <summary>That a finding may stay.</summary>
    Acceptance,

    /// <summary>A set-up as a whole.</summary>
    SetUp,

    /// <summary>What the home is called.</summary>
    HomeName,

    /// <summary>How Wi-Fi is named in the home.</summary>
    Naming,

    /// <summary>The country that the home stands in.</summary>
    Country,

    /// <summary>What the provider delivers and its line asks for, by part.</summary>
    Service,

    /// <summary>A box of the survey, by part; all of it, without one.</summary>
    Box,

    /// <summary>What stands on the label of a box, by part.</summary>
    Label,

    /// <summary>Of what kind a box is.</summary>
    Profile,

    /// <summary>A customer's device of the survey, by part; all of it, without one.</summary>
    Device,

    /// <summary>A building, by part; all of it, without one.</summary>
    Building,

    /// <summary>A place, by part; all of it, without one.</summary>
    Place,

    /// <summary>A socket in the wall, by part; all of it, without one.</summary>
    Socket,

    /// <summary>A cable in the walls, by part; all of it, without one.</summary>
    Run,

    /// <summary>Something that the customer asked for.</summary>
    Need,

    /// <summary>A speed that was measured and kept.</summary>
    Speed,
}
