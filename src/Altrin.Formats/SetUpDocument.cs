using System.ComponentModel.DataAnnotations;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>One set-up.</summary>
public sealed record SetUpDocument
{
    /// <summary>Unique in the file.</summary>
    [Required, RegularExpression(BoxDocument.Slug)]
    public required string Name { get; init; }

    /// <summary>Boxes in use; any other is not in use.</summary>
    [Required, MaxLength(Site.MostBoxes)]
    public required IReadOnlyList<BoxSettingDocument> Boxes { get; init; }

    /// <summary>What is plugged in where.</summary>
    [Required, MaxLength(SetUp.MostCables)]
    public required IReadOnlyList<CableDocument> Cables { get; init; }

    /// <summary>Customer's devices in use.</summary>
    [Required, MaxLength(Site.MostDevices)]
    public required IReadOnlyList<DeviceSettingDocument> Devices { get; init; }

    /// <summary>Findings that a person answers for; none where left out. Since version 2.</summary>
    [MaxLength(Acceptance.Most)]
    public IReadOnlyList<AcceptanceDocument>? Accepted { get; init; }
}

/// <summary>A person's word that a finding may stay.</summary>
public sealed record AcceptanceDocument
{
    /// <summary>Code and subjects of the finding, such as "double-nat(loft-router)".</summary>
    [Required, StringLength(Acceptance.LongestFinding, MinimumLength = 1)]
    public required string Finding { get; init; }

    /// <summary>Whether it meant "will not work" then.</summary>
    [Required]
    public required bool Severe { get; init; }

    /// <summary>Why it may stay.</summary>
    [Required, StringLength(Acceptance.LongestReason, MinimumLength = 1)]
    public required string Reason { get; init; }

    /// <summary>Who says so.</summary>
    [Required, StringLength(Acceptance.LongestName, MinimumLength = 1)]
    public required string By { get; init; }
}

/// <summary>How one box is set. Which of the optional parts belong to it follows from the mode.</summary>
public sealed record BoxSettingDocument
{
    /// <summary>Id of the box.</summary>
    [Required, RegularExpression(BoxDocument.Slug)]
    public required string Box { get; init; }

    /// <summary>What it is set to.</summary>
    [Required]
    public required ModeKind Mode { get; init; }

    /// <summary>Id of the place where it stands. Since version 5.</summary>
    [RegularExpression(BoxDocument.Slug)]
    public string? Place { get; init; }

    /// <summary>Reference to the password of its page. Since version 5.</summary>
    [RegularExpression(BoxDocument.Slug)]
    public string? Password { get; init; }

    /// <summary>Router only: how its WAN side comes by its address.</summary>
    public HostAddressDocument? Wan { get; init; }

    /// <summary>Router only: own address and prefix inside.</summary>
    [StringLength(18)]
    public string? Lan { get; init; }

    /// <summary>Router only.</summary>
    public DhcpServerDocument? DhcpServer { get; init; }

    /// <summary>Router only; none where left out.</summary>
    [MaxLength(RouterMode.MostForwards)]
    public IReadOnlyList<PortForwardDocument>? Forwards { get; init; }

    /// <summary>Router only; none where left out. Since version 2.</summary>
    public GuestDocument? Guest { get; init; }

    /// <summary>Router only: whether it does NAT; yes where left out. Since version 3.</summary>
    public bool? Nat { get; init; }

    /// <summary>Router only: who gets every connection that no forward claims; no host where left out. Since version 3.</summary>
    [StringLength(15)]
    public string? Dmz { get; init; }

    /// <summary>Router only: whether devices may ask it to open ports; no where left out. Since version 3.</summary>
    public bool? PortRequests { get; init; }

    /// <summary>Router only: ways beyond its own subnets and its default gateway. Since version 3.</summary>
    [MaxLength(RouterMode.MostRoutes)]
    public IReadOnlyList<RouteDocument>? Routes { get; init; }

    /// <summary>Access point only: a further name for guests. Since version 3.</summary>
    public GuestNameDocument? GuestName { get; init; }

    /// <summary>Repeater and wireless bridge, and a router that joins another box by radio: its link. Since version 4.</summary>
    public UplinkDocument? Uplink { get; init; }

    /// <summary>Satellite only: whose it is. Since version 4.</summary>
    public SatelliteDocument? Satellite { get; init; }

    /// <summary>Router only: to whom it passes its public address; no box where left out. Since version 4.</summary>
    public PassingDocument? Passing { get; init; }

    /// <summary>Router only: what it tells its line; nothing where left out. Since version 4.</summary>
    public LineSettingDocument? Line { get; init; }

    /// <summary>
    /// Access point, repeater, wireless bridge and switch: how the page comes by its address. Left out for a plain switch. Bridge: fixed,
    /// or left out.
    /// </summary>
    public HostAddressDocument? Page { get; init; }

    /// <summary>Managed switch only: what its ports do with VLANs; it passes all on where left out. Since version 4.</summary>
    [MaxLength(64)]
    public IReadOnlyList<PortVlansDocument>? Vlans { get; init; }

    /// <summary>Router, access point and repeater: every radio of the box.</summary>
    [MaxLength(8)]
    public IReadOnlyList<RadioSettingDocument>? Radios { get; init; }
}

/// <summary>A way typed into a router.</summary>
public sealed record RouteDocument
{
    /// <summary>What lies there, such as 192.168.20.0/24.</summary>
    [Required, StringLength(18)]
    public required string To { get; init; }

    /// <summary>The router that leads there.</summary>
    [Required, StringLength(15)]
    public required string Via { get; init; }
}

/// <summary>A name for guests on an access point.</summary>
public sealed record GuestNameDocument
{
    /// <summary>The network's name (SSID): 1 to 32 bytes.</summary>
    [Required, StringLength(Limits.WifiName, MinimumLength = 1)]
    public required string Name { get; init; }

    /// <summary>How it is protected.</summary>
    [Required]
    public required WifiSecurity Security { get; init; }

    /// <summary>Reference to the key; never the key itself.</summary>
    [RegularExpression(BoxDocument.Slug)]
    public string? Password { get; init; }

    /// <summary>The VLAN tag by which it leaves the access point; untagged where left out. Since version 4.</summary>
    [Range(2, Limits.VlanTag)]
    public int? Vlan { get; init; }
}

/// <summary>Ways to come by an address.</summary>
public enum HostAddressKind
{
    /// <summary>It asks.</summary>
    Automatic,

    /// <summary>Typed by hand; needs an address.</summary>
    Fixed,
}

/// <summary>How a host comes by its address.</summary>
public sealed record HostAddressDocument
{
    /// <summary>Which way.</summary>
    [Required]
    public required HostAddressKind Kind { get; init; }

    /// <summary>Fixed only: address and prefix as typed.</summary>
    [StringLength(18)]
    public string? Address { get; init; }

    /// <summary>Fixed only: default gateway as typed.</summary>
    [StringLength(15)]
    public string? Gateway { get; init; }

    /// <summary>Fixed only: DNS servers as typed.</summary>
    [MaxLength(Limits.DnsServers)]
    public IReadOnlyList<string>? DnsServers { get; init; }
}

/// <summary>A router's DHCP server.</summary>
public sealed record DhcpServerDocument
{
    /// <summary>Whether it answers.</summary>
    [Required]
    public required bool On { get; init; }

    /// <summary>First and last address, both included, inside the router's subnet.</summary>
    [Required, StringLength(31)]
    public required string Pool { get; init; }

    /// <summary>Gateway that it hands out; itself where left out.</summary>
    [StringLength(15)]
    public string? Gateway { get; init; }

    /// <summary>DNS servers that it hands out; itself where left out.</summary>
    [MaxLength(Limits.DnsServers)]
    public IReadOnlyList<string>? DnsServers { get; init; }

    /// <summary>Whether it hands out no gateway at all; no where left out. Since version 3.</summary>
    public bool? LeavesOutGateway { get; init; }

    /// <summary>Whether it hands out no DNS servers at all; no where left out. Since version 3.</summary>
    public bool? LeavesOutDns { get; init; }

    /// <summary>How long a lease lasts, in minutes; not read where left out. Since version 3.</summary>
    [Range(Limits.ShortestLeaseMinutes, Limits.LongestLeaseMinutes)]
    public int? LeaseMinutes { get; init; }

    /// <summary>The domain name that it hands out; none where left out. Since version 4.</summary>
    [StringLength(Limits.Domain, MinimumLength = 1)]
    public string? Domain { get; init; }

    /// <summary>Addresses kept for one MAC address.</summary>
    [MaxLength(DhcpServerSetting.MostReservations)]
    public IReadOnlyList<ReservationDocument>? Reservations { get; init; }
}

/// <summary>An address kept for one MAC address.</summary>
public sealed record ReservationDocument
{
    /// <summary>For whom.</summary>
    [Required, StringLength(17)]
    public required string Mac { get; init; }

    /// <summary>Which.</summary>
    [Required, StringLength(15)]
    public required string Address { get; init; }
}

/// <summary>A port let in.</summary>
public sealed record PortForwardDocument
{
    /// <summary>TCP or UDP.</summary>
    [Required]
    public required Protocol Protocol { get; init; }

    /// <summary>Port seen from outside.</summary>
    [Required, Range(1, Limits.TransportPort)]
    public required int OutsidePort { get; init; }

    /// <summary>Where it is sent.</summary>
    [Required, StringLength(15)]
    public required string To { get; init; }

    /// <summary>Port there.</summary>
    [Required, Range(1, Limits.TransportPort)]
    public required int InsidePort { get; init; }
}

/// <summary>A router's network for guests.</summary>
public sealed record GuestDocument
{
    /// <summary>The network's name (SSID): 1 to 32 bytes.</summary>
    [Required, StringLength(Limits.WifiName, MinimumLength = 1)]
    public required string Name { get; init; }

    /// <summary>How it is protected.</summary>
    [Required]
    public required WifiSecurity Security { get; init; }

    /// <summary>Reference to the key; never the key itself.</summary>
    [RegularExpression(BoxDocument.Slug)]
    public string? Password { get; init; }

    /// <summary>The router's address and prefix in it; overlaps no other subnet of the router.</summary>
    [Required, StringLength(18)]
    public required string Lan { get; init; }

    /// <summary>What guests are handed out, both ends included.</summary>
    [Required, StringLength(31)]
    public required string Pool { get; init; }

    /// <summary>The VLAN tag by which it is on the inner ports too; on the radios only where left out. Since version 4.</summary>
    [Range(2, Limits.VlanTag)]
    public int? Vlan { get; init; }
}

/// <summary>A link between two ports.</summary>
public sealed record CableDocument
{
    /// <summary>Slug, unique in the set-up; up to 260 characters, since it may be made of its ends.</summary>
    [Required, RegularExpression(Cable.IdPattern)]
    public required string Id { get; init; }

    /// <summary>One end: "box/port", a device, or "street".</summary>
    [Required, RegularExpression(End)]
    public required string From { get; init; }

    /// <summary>The other end.</summary>
    [Required, RegularExpression(End)]
    public required string To { get; init; }

    /// <summary>What carries it.</summary>
    [Required]
    public required Medium Medium { get; init; }

    /// <summary>Length in metres, more than 0 and at most 10,000.</summary>
    [Range(CableFacts.ShortestMetres, CableFacts.LongestMetres)]
    public double? LengthMetres { get; init; }

    /// <summary>How many pairs of a copper lead are connected, 2 or 4; not looked at where left out. Since version 5.</summary>
    [Range(2, 4)]
    public int? Pairs { get; init; }

    /// <summary>Id of the run in the walls that it goes through. Since version 5.</summary>
    [RegularExpression(BoxDocument.Slug)]
    public string? Run { get; init; }

    private const string End = "^[a-z0-9][a-z0-9-]{0,59}(/[a-z0-9][a-z0-9-]{0,59})?$";
}

/// <summary>How one customer's device is set.</summary>
public sealed record DeviceSettingDocument
{
    /// <summary>Id of the device.</summary>
    [Required, RegularExpression(BoxDocument.Slug)]
    public required string Device { get; init; }

    /// <summary>How it comes by its address.</summary>
    [Required]
    public required HostAddressDocument Address { get; init; }

    /// <summary>The Wi-Fi that it remembers.</summary>
    public WifiJoinDocument? Wifi { get; init; }
}

/// <summary>What a device remembers of a Wi-Fi.</summary>
public sealed record WifiJoinDocument
{
    /// <summary>The box whose radio it hears best.</summary>
    [Required, RegularExpression(BoxDocument.Slug)]
    public required string Box { get; init; }

    /// <summary>The name that it looks for.</summary>
    [Required, StringLength(Limits.WifiName, MinimumLength = 1)]
    public required string Name { get; init; }

    /// <summary>Reference to the key that it has.</summary>
    [RegularExpression(BoxDocument.Slug)]
    public string? Password { get; init; }
}
