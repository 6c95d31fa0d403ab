using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures;

/// <summary>
/// What is known and was done in one piece of work, beside how the home is set: lists are in the order in which it was done.
/// </summary>
public sealed record Ledger
{
    /// <summary>Nothing done yet.</summary>
    public static Ledger Empty { get; } = new();

    /// <summary>What was written down, by box.</summary>
    public IReadOnlyList<Recorded> Recorded { get; init; } = [];

    /// <summary>Boxes whose login was tried and works.</summary>
    public IReadOnlyList<string> Logins { get; init; } = [];

    /// <summary>Boxes that are at their factory settings as far as their login goes.</summary>
    public IReadOnlyList<string> AtFactory { get; init; } = [];

    /// <summary>Boxes that woke with the settings of their last home and were not reset since.</summary>
    public IReadOnlyList<string> FromLastHome { get; init; } = [];

    /// <summary>Boxes whose settings were exported to a file.</summary>
    public IReadOnlyList<string> Exported { get; init; } = [];

    /// <summary>What is at hand: firmware, manuals, label facts.</summary>
    public IReadOnlyList<Fetched> Fetched { get; init; } = [];

    /// <summary>What the provider was asked, and whether it answered.</summary>
    public IReadOnlyList<Asked> Asked { get; init; } = [];

    /// <summary>What was looked at and found right.</summary>
    public IReadOnlyList<Verified> Verified { get; init; } = [];

    /// <summary>Customer's devices that a person had to touch.</summary>
    public IReadOnlyList<string> Touched { get; init; } = [];

    /// <summary>
    /// The addresses at which the laptop opened a page, with the box that answered: its address table holds them until it is cleared.
    /// </summary>
    public IReadOnlyList<OpenedPage> Opened { get; init; } = [];

    /// <summary>Pages that were found again by a MAC address, each a blank that was filled.</summary>
    public IReadOnlyList<OpenedPage> Found { get; init; } = [];

    /// <summary>Boxes whose firmware was renewed.</summary>
    public IReadOnlyList<string> Renewed { get; init; } = [];

    /// <summary>The address that was typed into the laptop's socket while nothing is plugged into it; null for automatic.</summary>
    public Fixed? TypedOnCable { get; init; }

    /// <summary>Whether the laptop is kept from joining the house Wi-Fi by itself.</summary>
    public bool OffHouseWifi { get; init; }
}

/// <summary>Something that was written down.</summary>
/// <param name="Box">Of which box.</param>
/// <param name="What">What.</param>
public sealed record Recorded(string Box, Recordable What);

/// <summary>What is written down of a box before it is changed.</summary>
public enum Recordable
{
    /// <summary>What stands on its pages, page by page.</summary>
    Pages,

    /// <summary>The login that the line asks for.</summary>
    WanLogin,

    /// <summary>The VLAN tag of the line.</summary>
    VlanTag,

    /// <summary>Whether the line is locked to a MAC address, and to which.</summary>
    MacLock,

    /// <summary>The MAC address of its WAN side.</summary>
    WanMac,

    /// <summary>How IPv4 arrives: by itself, by PPPoE, or carried over IPv6.</summary>
    Ipv4Kind,

    /// <summary>Whether the line gives an IPv6 prefix.</summary>
    Ipv6Prefix,

    /// <summary>Its port forwardings.</summary>
    Forwards,

    /// <summary>The settings of the telephone in it.</summary>
    Telephone,

    /// <summary>The rate of the line.</summary>
    LineRate,

    /// <summary>The list of devices that are there now.</summary>
    DeviceList,
}

/// <summary>Something that is at hand.</summary>
/// <param name="Box">For which box.</param>
/// <param name="What">What.</param>
public sealed record Fetched(string Box, Fetchable What);

/// <summary>What is fetched before the internet goes away.</summary>
public enum Fetchable
{
    /// <summary>New firmware, as a file.</summary>
    Firmware,

    /// <summary>The manual.</summary>
    Manual,

    /// <summary>What stands on the label.</summary>
    LabelFacts,
}

/// <summary>A question to the provider.</summary>
/// <param name="Question">What.</param>
/// <param name="Answered">Whether it did what was asked, or said it.</param>
public sealed record Asked(ProviderQuestion Question, bool Answered);

/// <summary>What a provider is asked for.</summary>
public enum ProviderQuestion
{
    /// <summary>The login of the line.</summary>
    Login,

    /// <summary>Its VLAN tag.</summary>
    Tag,

    /// <summary>To let another MAC address on.</summary>
    MacLock,

    /// <summary>To set the gateway to bridge mode.</summary>
    Bridge,

    /// <summary>To switch the gateway's radios off.</summary>
    RadiosOff,

    /// <summary>A public address.</summary>
    PublicAddress,

    /// <summary>How long each of it takes, and when the hotline is open.</summary>
    LeadTimes,
}

/// <summary>Something that was looked at.</summary>
/// <param name="What">What.</param>
/// <param name="Of">Of which box or device; empty for the home.</param>
public sealed record Verified(Verifiable What, string Of);

/// <summary>What is looked at before one goes on.</summary>
public enum Verifiable
{
    /// <summary>The laptop has the internet.</summary>
    Internet,

    /// <summary>A customer's device has the internet.</summary>
    Device,

    /// <summary>The page of a box opens.</summary>
    Page,

    /// <summary>Exactly one DHCP server answers where the laptop is.</summary>
    OneDhcpServer,

    /// <summary>A name is on the air, and a test device joined it.</summary>
    WifiName,

    /// <summary>The mobile phone that stands in for the telephone has made a call from this house.</summary>
    MobileCall,

    /// <summary>The centre of the alarm has set it to test.</summary>
    AlarmOnTest,

    /// <summary>On the page of a box: it announces itself as no IPv6 router, and its DHCPv6 server is off.</summary>
    Ipv6Off,

    /// <summary>On the page of a router: how IPv6 arrives, as it was recorded of the box before it.</summary>
    Ipv6Kind,
}

/// <summary>A page that was opened or found.</summary>
/// <param name="Address">At which address.</param>
/// <param name="Box">Which box answered.</param>
public sealed record OpenedPage(Ipv4Address Address, string Box);
