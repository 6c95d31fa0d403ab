using System.ComponentModel.DataAnnotations;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>The design file: one site with its named set-ups.</summary>
public sealed record DesignDocument
{
    /// <summary>The value of <see cref="Format"/>.</summary>
    public const string FormatName = "altrin-design";

    /// <summary>The newest version; raised once a landing that changes the format.</summary>
    public const int NewestVersion = 15;

    /// <summary>Always "altrin-design".</summary>
    [Required, RegularExpression("^altrin-design$")]
    public required string Format { get; init; }

    /// <summary>Which version of this format the file is written in.</summary>
    [Required, Range(1, NewestVersion)]
    public required int FormatVersion { get; init; }

    /// <summary>What is given.</summary>
    [Required]
    public required SiteDocument Site { get; init; }

    /// <summary>What is chosen: 1 to 20 set-ups with names of their own.</summary>
    [Required, MinLength(1), MaxLength(HomeFile.MostSetUps)]
    public required IReadOnlyList<SetUpDocument> SetUps { get; init; }

    /// <summary>Keys and passwords by reference; only in a file that was asked to hold them. Since version 5.</summary>
    [MaxLength(500)]
    public IReadOnlyList<SecretDocument>? Secrets { get; init; }
}

/// <summary>A key or password. Since version 5.</summary>
public sealed record SecretDocument
{
    /// <summary>What the design calls it.</summary>
    [Required, RegularExpression(BoxDocument.Slug)]
    public required string Reference { get; init; }

    /// <summary>Its value.</summary>
    [Required, StringLength(200, MinimumLength = 1)]
    public required string Value { get; init; }
}

/// <summary>What is given in one home.</summary>
public sealed record SiteDocument
{
    /// <summary>How the installer calls the home.</summary>
    [Required, StringLength(Limits.Name, MinimumLength = 1)]
    public required string Name { get; init; }

    /// <summary>How the installer names Wi-Fi here.</summary>
    [Required]
    public required NamingSchool Naming { get; init; }

    /// <summary>The country that it stands in, by its two letters (ISO 3166-1). Since version 11.</summary>
    [RegularExpression("^[A-Z]{2}$")]
    public string? Country { get; init; }

    /// <summary>What the provider delivers.</summary>
    [Required]
    public required ServiceDocument Service { get; init; }

    /// <summary>The network gear.</summary>
    [Required, MaxLength(Core.Sites.Site.MostBoxes)]
    public required IReadOnlyList<BoxDocument> Boxes { get; init; }

    /// <summary>The customer's own devices.</summary>
    [Required, MaxLength(Core.Sites.Site.MostDevices)]
    public required IReadOnlyList<DeviceDocument> Devices { get; init; }

    /// <summary>The buildings, the main house first. Since version 5.</summary>
    [MaxLength(Core.Sites.Site.MostBuildings)]
    public IReadOnlyList<Building>? Buildings { get; init; }

    /// <summary>Rooms and other places. Since version 5.</summary>
    [MaxLength(Core.Sites.Site.MostPlaces)]
    public IReadOnlyList<Place>? Places { get; init; }

    /// <summary>Sockets in the walls. Since version 5.</summary>
    [MaxLength(Core.Sites.Site.MostSockets)]
    public IReadOnlyList<Socket>? Sockets { get; init; }

    /// <summary>Cables that are in the walls already. Since version 5.</summary>
    [MaxLength(Core.Sites.Site.MostSockets)]
    public IReadOnlyList<CableRun>? Runs { get; init; }

    /// <summary>Speeds that were measured and kept. Since version 14.</summary>
    [MaxLength(Core.Sites.Site.MostSpeeds)]
    public IReadOnlyList<SpeedMeasure>? Speeds { get; init; }

    /// <summary>What must work beyond ordinary internet.</summary>
    [Required, MaxLength(Core.Sites.Site.MostNeeds)]
    public required IReadOnlyList<NeedDocument> Needs { get; init; }
}

/// <summary>What the provider delivers.</summary>
public sealed record ServiceDocument
{
    /// <summary>The kind.</summary>
    [Required]
    public required ServiceKind Kind { get; init; }

    /// <summary>Sold rate towards the home in Mb/s.</summary>
    [Range(1, Limits.RateMbps)]
    public int? DownMbps { get; init; }

    /// <summary>Sold rate from the home in Mb/s.</summary>
    [Range(1, Limits.RateMbps)]
    public int? UpMbps { get; init; }

    /// <summary>Only for a fixed public address: address and prefix, such as 203.0.113.40/24.</summary>
    [StringLength(18)]
    public string? Address { get; init; }

    /// <summary>Only for a fixed public address: the provider's side.</summary>
    [StringLength(15)]
    public string? Gateway { get; init; }

    /// <summary>Only for a fixed public address: the DNS servers of the provider's letter. Since version 3.</summary>
    [MaxLength(Limits.DnsServers)]
    public IReadOnlyList<string>? DnsServers { get; init; }

    /// <summary>How many boxes or devices the provider gives an address at a time; one where left out. Since version 3.</summary>
    [Range(1, Limits.ProviderLeases)]
    public int? Leases { get; init; }

    /// <summary>
    /// Only with carrier-grade NAT: the block between it and its customers, such as 10.64.0.0/16. Since version 3.
    /// </summary>
    [StringLength(18)]
    public string? Inside { get; init; }

    /// <summary>What the line asks for; nothing was asked where left out. Since version 4.</summary>
    public LineNeedsDocument? Line { get; init; }

    /// <summary>By what it comes into the home; not asked where left out. Since version 5.</summary>
    public AccessKind? Access { get; init; }

    /// <summary>Id of the box at which the provider hands it over. Since version 5.</summary>
    [RegularExpression(BoxDocument.Slug)]
    public string? HandOff { get; init; }
}

/// <summary>A piece of network gear.</summary>
public sealed record BoxDocument
{
    /// <summary>Readable slug, unique among boxes and devices.</summary>
    [Required, RegularExpression(Slug)]
    public required string Id { get; init; }

    /// <summary>What the installer calls it.</summary>
    [Required, StringLength(Limits.Name, MinimumLength = 1)]
    public required string Name { get; init; }

    /// <summary>MAC address of its LAN side.</summary>
    [StringLength(17)]
    public string? Mac { get; init; }

    /// <summary>MAC address of its WAN side.</summary>
    [StringLength(17)]
    public string? WanMac { get; init; }

    /// <summary>What lives in it beside the internet; nothing where left out. Since version 4.</summary>
    [MaxLength(3)]
    public IReadOnlyList<LineService>? Holds { get; init; }

    /// <summary>Id of the place where it lies while it is not in use. Since version 5.</summary>
    [RegularExpression(Slug)]
    public string? Place { get; init; }

    /// <summary>What stands on its label. Since version 5.</summary>
    public LabelDocument? Label { get; init; }

    /// <summary>What it holds while it is not in use; not known where left out. Since version 11.</summary>
    public StoredDocument? Stored { get; init; }

    /// <summary>What it was taken to be set to until its page is read; nothing where left out. Since version 10.</summary>
    public AssumedDocument? Assumed { get; init; }

    /// <summary>Whether it has yet to be bought; not where left out. Since version 15.</summary>
    public bool? ToBuy { get; init; }

    /// <summary>What it can do.</summary>
    [Required]
    public required ProfileDocument Profile { get; init; }

    /// <summary>Ids: small letters, digits and hyphens, 1 to 60 characters, beginning with a letter or digit.</summary>
    internal const string Slug = Slugs.Pattern;
}

/// <summary>What one kind of box can do.</summary>
public sealed record ProfileDocument
{
    /// <summary>Where on the gear shelf it came from.</summary>
    [Required, RegularExpression(BoxDocument.Slug)]
    public required string ShelfId { get; init; }

    /// <summary>What the kind is called.</summary>
    [Required, StringLength(Limits.Name, MinimumLength = 1)]
    public required string Name { get; init; }

    /// <summary>What sort of box.</summary>
    [Required]
    public required BoxKind Kind { get; init; }

    /// <summary>What it can be set to.</summary>
    [Required, MinLength(1), MaxLength(8)]
    public required IReadOnlyList<ModeKind> Modes { get; init; }

    /// <summary>Its sockets.</summary>
    [Required, MaxLength(64)]
    public required IReadOnlyList<PortDocument> Ports { get; init; }

    /// <summary>Its radios.</summary>
    [Required, MaxLength(8)]
    public required IReadOnlyList<RadioDocument> Radios { get; init; }

    /// <summary>Where its page answers after a reset, such as 192.168.1.1/24.</summary>
    [StringLength(18)]
    public string? FactoryAddress { get; init; }

    /// <summary>What it hands out after a reset, such as 192.168.1.100-192.168.1.199.</summary>
    [StringLength(31)]
    public string? FactoryPool { get; init; }

    /// <summary>Whether its WAN port joins the others in access-point mode.</summary>
    [Required]
    public required bool WanPortJoins { get; init; }

    /// <summary>What it does by itself; nothing is known where left out. Since version 3.</summary>
    public HabitsDocument? Habits { get; init; }

    /// <summary>Ways in which it can pass its public address on; none where left out. Since version 4.</summary>
    [MaxLength(3)]
    public IReadOnlyList<PassKind>? Passes { get; init; }

    /// <summary>The mesh kit that it belongs to. Since version 4.</summary>
    [RegularExpression(BoxDocument.Slug)]
    public string? Kit { get; init; }

    /// <summary>Outside ports that it keeps for itself; none where left out. Since version 4.</summary>
    [MaxLength(64)]
    public IReadOnlyList<int>? KeptPorts { get; init; }

    /// <summary>What it routes at most between WAN and LAN, in Mb/s; not read where left out. Since version 14.</summary>
    [Range(1, Limits.RateMbps)]
    public int? RoutesMbps { get; init; }

    /// <summary>Which edition of the shelf's entry it is; the first where left out. Since version 5.</summary>
    [Range(1, 1_000_000)]
    public int? Edition { get; init; }

    /// <summary>What an installer wants to know of it beyond the network. Since version 5.</summary>
    public Traits? Traits { get; init; }
}

/// <summary>What one kind of box does by itself. A member left out is not known.</summary>
public sealed record HabitsDocument
{
    /// <summary>Whether its DHCP server tries an address before it offers it.</summary>
    public bool? ChecksOffer { get; init; }

    /// <summary>Whether it tries an address that it was leased before using it.</summary>
    public bool? ChecksLease { get; init; }

    /// <summary>What it does when both its sides share addresses.</summary>
    public OverlapHabit? OnOverlap { get; init; }

    /// <summary>Whether it answers on one side for its address on the other side.</summary>
    public bool? AnswersAcross { get; init; }

    /// <summary>Whether it drops what comes from a side that it would not answer to.</summary>
    public bool? ChecksReversePath { get; init; }

    /// <summary>Whether it answers pings that come in by its WAN side. Since version 9.</summary>
    public bool? AnswersPings { get; init; }

    /// <summary>Whether its firewall lets out by the WAN side again what came in by it. Since version 9.</summary>
    public bool? ForwardsOutside { get; init; }

    /// <summary>Whether its firewall still drops what was not asked for from inside while its NAT is off. Since version 9.</summary>
    public bool? FirewallWithoutNat { get; init; }

    /// <summary>Whether its DHCP server comes on in access-point mode while it hears no other.</summary>
    public bool? ServesWhenAlone { get; init; }

    /// <summary>Whether its guest name stays apart in access-point mode.</summary>
    public bool? GuestsApart { get; init; }

    /// <summary>Whether a device inside reaches a forwarded port by the public address.</summary>
    public bool? LoopsBack { get; init; }

    /// <summary>Whether leases get through it reliably while it joins by radio with three addresses. Since version 4.</summary>
    public bool? LeasesThrough { get; init; }

    /// <summary>Whether it stops its radio link while a cable leads the same way. Since version 4.</summary>
    public bool? StopsRings { get; init; }

    /// <summary>Whether its other ports keep the internet while it passes its public address on. Since version 4.</summary>
    public bool? KeepsOthers { get; init; }

    /// <summary>Whether its Wi-Fi goes off while it passes its public address on. Since version 4.</summary>
    public bool? WifiOffWhilePassing { get; init; }

    /// <summary>
    /// Whether the telephone, television or alarm in it goes on while it bridges or passes its public address on. Since version 5.
    /// </summary>
    public bool? KeepsServices { get; init; }

    /// <summary>Whether it still announces itself as an IPv6 router when it no longer routes. Since version 4.</summary>
    public bool? AnnouncesIpv6 { get; init; }
}

/// <summary>A socket.</summary>
public sealed record PortDocument
{
    /// <summary>Slug, unique on the box.</summary>
    [Required, RegularExpression(BoxDocument.Slug)]
    public required string Id { get; init; }

    /// <summary>What is printed beside it.</summary>
    [Required, StringLength(20, MinimumLength = 1)]
    public required string Label { get; init; }

    /// <summary>Its side in router mode.</summary>
    [Required]
    public required PortRole Role { get; init; }

    /// <summary>What it can do, in Mb/s.</summary>
    [Range(1, Limits.RateMbps)]
    public int? SpeedMbps { get; init; }

    /// <summary>What fits into it; not looked at where left out. Since version 5.</summary>
    public PortKind? Kind { get; init; }
}

/// <summary>A device of the customer.</summary>
public sealed record DeviceDocument
{
    /// <summary>Readable slug, unique among boxes and devices.</summary>
    [Required, RegularExpression(BoxDocument.Slug)]
    public required string Id { get; init; }

    /// <summary>What the household calls it.</summary>
    [Required, StringLength(Limits.Name, MinimumLength = 1)]
    public required string Name { get; init; }

    /// <summary>What it is.</summary>
    [Required]
    public required DeviceKind Kind { get; init; }

    /// <summary>Its MAC address.</summary>
    [StringLength(17)]
    public string? Mac { get; init; }

    /// <summary>Whether it tries an address that it was leased before using it; not known where left out. Since version 3.</summary>
    public bool? ChecksLease { get; init; }

    /// <summary>The Wi-Fi bands that it knows; all where left out. Since version 4.</summary>
    [MaxLength(3)]
    public IReadOnlyList<RadioBand>? Bands { get; init; }

    /// <summary>The newest Wi-Fi protection that it knows; all where left out. Since version 4.</summary>
    public WifiSecurity? NewestSecurity { get; init; }

    /// <summary>The generation of its Wi-Fi; not read where left out. Since version 13.</summary>
    public WifiGeneration? Generation { get; init; }

    /// <summary>How many spatial streams it has; not read where left out. Since version 13.</summary>
    [Range(1, WifiRate.MostStreams)]
    public int? Streams { get; init; }

    /// <summary>Whether it has a socket for a cable; not known where left out. Since version 5.</summary>
    public bool? HasSocket { get; init; }

    /// <summary>Id of the place where it usually is. Since version 5.</summary>
    [RegularExpression(BoxDocument.Slug)]
    public string? Place { get; init; }
}
