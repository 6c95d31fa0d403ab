using System.Text;
using Altrin.Core.Addressing;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>
/// What the page of a box checks before it takes a setting (common practice). Everything that passes can be typed in by a tired
/// person, so a design may hold it, however wrong it is for the home.
/// </summary>
public static class PageChecks
{
    /// <summary>What the page of a box takes as its own address: a host address of a prefix from /8 to /30.</summary>
    public static string? WrongOwnAddress(InterfaceAddress own) =>
        own.PrefixLength is < 8 or > 30 ? $"The prefix /{own.PrefixLength} is not taken; /8 to /30 are."
        : !own.Subnet.IsHost(own.Address)
            ? $"{own.Address} is the {(own.Address == own.Subnet.Network ? "network" : "broadcast")} address of {own.Subnet}; no box can have it."
        : WrongHost(own.Address);

    /// <summary>Why no host can have this address or point at it; null where one can.</summary>
    public static string? WrongHost(Ipv4Address address) =>
        SpecialBlock.UseOf(address) == AddressUse.NotForHosts
            ? $"{address} lies in {SpecialBlock.Of(address)!.Subnet} ({SpecialBlock.Of(address)!.Name}); no host can have it."
            : null;

    /// <summary>Why a host would not take this; null where it would.</summary>
    public static string? WrongHostAddress(HostAddress address) =>
        address is Fixed typed
            ? WrongOwnAddress(typed.Address) ?? (typed.Gateway is { } gateway ? WrongHost(gateway) : null) ?? TooMany(typed.DnsServers)
            : null;

    /// <summary>Why a router would not take this pool beside its own address; null where it would.</summary>
    public static string? WrongPool(AddressRange pool, InterfaceAddress lan) =>
        !lan.Subnet.Hosts.Contains(pool)
            ? $"The pool {pool} does not lie inside {lan.Subnet}, whose host addresses are {lan.Subnet.Hosts}."
            : null;

    /// <summary>Why a router would not take this guest network beside its own address; null where it would.</summary>
    public static string? WrongGuest(GuestNetwork guest, InterfaceAddress lan) =>
        WrongNetworkName(guest.Name)
        ?? WrongKeyReference(guest.Password)
        ?? WrongOwnAddress(guest.Lan)
        ?? WrongPool(guest.Pool, guest.Lan)
        ?? WrongGuestTag(guest.Vlan)
        ?? (guest.Lan.Subnet.Overlaps(lan.Subnet) ? $"Guests need a subnet of their own; {guest.Lan.Subnet} overlaps {lan.Subnet}." : null);

    /// <summary>Why this is no name of a Wi-Fi; null where it is.</summary>
    public static string? WrongNetworkName(string name) =>
        Encoding.UTF8.GetByteCount(name) is < 1 or > Limits.WifiName ? $"A network name has 1 to {Limits.WifiName} bytes."
        : name.Any(char.IsControl) ? "A network name holds no control characters."
        : null;

    /// <summary>
    /// Why this cannot stand for a key: a reference is small letters, digits and hyphens, never the key itself; null where it can, or
    /// where none is given.
    /// </summary>
    public static string? WrongKeyReference(string? key) =>
        key is null || Slugs.IsOne(key)
            ? null
            : "A key is referred to by 1 to 60 small letters, digits and hyphens; the key itself is not kept here.";

    /// <summary>Why no router takes this way; null where one would.</summary>
    public static string? WrongRoute(StaticRoute route) =>
        route.To.PrefixLength is < 1 or > 32
            ? "A route to everywhere is the default gateway; it is set on the WAN side."
            : WrongHost(route.Via);

    /// <summary>Why no server takes this lease time; null where one would, or where none is given.</summary>
    public static string? WrongLeaseTime(int? minutes) =>
        minutes is < Limits.ShortestLeaseMinutes or > Limits.LongestLeaseMinutes
            ? $"A lease lasts {Limits.ShortestLeaseMinutes} minutes to {Limits.LongestLeaseMinutes:#,0} (a year)."
            : null;

    /// <summary>Why so many DNS servers are not taken; null where they are.</summary>
    public static string? TooMany(IReadOnlyList<Ipv4Address> dnsServers) =>
        dnsServers.Count > Limits.DnsServers ? $"At most {Limits.DnsServers} DNS servers are taken." : null;

    /// <summary>
    /// Why no server takes this domain name; null where one would, or where none is given. Labels of 1 to 63 letters, digits and
    /// inner hyphens, joined by dots, at most 253 characters (RFC 1123, section 2.1).
    /// </summary>
    public static string? WrongDomain(string? domain) =>
        domain is null || (domain.Length is > 0 and <= Limits.Domain && domain.Split('.').All(IsLabel))
            ? null
            : "A domain name has labels of 1 to 63 letters, digits and inner hyphens, joined by dots, such as home.arpa.";

    private static bool IsLabel(string label) =>
        label.Length is > 0 and <= 63 && label[0] != '-' && label[^1] != '-' && label.All(c => char.IsAsciiLetterOrDigit(c) || c == '-');

    /// <summary>Why this is no VLAN tag (IEEE 802.1Q); null where it is, or where none is given.</summary>
    public static string? WrongTag(int? tag) =>
        tag is < 1 or > Limits.VlanTag ? $"{tag} is not a tag; tags are 1 to {Limits.VlanTag}." : null;

    /// <summary>Why this is no tag for guests; null where it is, or where none is given: 1 is the home's own.</summary>
    public static string? WrongGuestTag(int? tag) => tag == 1 ? "VLAN 1 is the home's own; guests need another." : WrongTag(tag);

    /// <summary>Why a switch does not take this; null where it does. Only a managed one, which has a page, sorts VLANs.</summary>
    public static string? WrongVlans(Box box, IReadOnlyList<PortVlans> vlans, SwitchMode mode) =>
        vlans.Count > 0 && mode.Page is null ? $"The {box.Name} has no page; only a managed switch sorts VLANs."
        : vlans.FirstOrDefault(v => box.Profile.Port(v.Port) is null) is { } missing
            ? $"There is no port '{Ipv4Address.Shown(missing.Port)}'."
        : vlans.Select(v => v.Port).Distinct().Count() < vlans.Count ? "A port is listed once."
        : vlans.SelectMany(v => v.Tagged.Append(v.Untagged)).Select(t => WrongTag(t)).FirstOrDefault(w => w is not null)
            ?? (
                vlans.Any(v => v.Tagged.Contains(1)) ? "VLAN 1 goes untagged here."
                : vlans.Any(v => v.Tagged.Contains(v.Untagged) || v.Tagged.Distinct().Count() < v.Tagged.Count)
                    ? "A VLAN is on a port with its tag or without, once."
                : null
            );

    /// <summary>
    /// Why no radio of a band has this channel or width; null where one has, or where none is given. 2.4 GHz: 1 to 14; 5 GHz: 36 to
    /// 64, 100 to 144 and 149 to 177 in steps of four; 6 GHz: 1 to 233 in steps of four (IEEE 802.11, from memory).
    /// </summary>
    public static string? WrongChannel(RadioBand band, int? channel, int? widthMhz) =>
        channel is { } n
        && !(
            band switch
            {
                RadioBand.Ghz2 => n is >= 1 and <= 14,
                RadioBand.Ghz5 => n is >= 36 and <= 64 or >= 100 and <= 144 ? n % 4 == 0 : n is >= 149 and <= 177 && n % 4 == 1,
                _ => n is >= 1 and <= 233 && n % 4 == 1,
            }
        )
            ? $"There is no channel {n} in that band."
        : widthMhz is { } width && (width is not (20 or 40 or 80 or 160 or 320) || (band == RadioBand.Ghz2 && width > 40))
            ? $"No channel of that band is {width} MHz wide."
        : null;

    /// <summary>Why none of these radios is protected as is being set; null where one may be, and where that is not touched.</summary>
    public static string? WrongSecurity(IPartial touched, IReadOnlyList<BoxRadio> radios, WifiSecurity security) =>
        touched.Values.ContainsKey(nameof(RadioSetting.Security)) && radios.Count > 0 && radios.All(r => r.NewestSecurity < security)
            ? $"The newest protection that it knows is {SecurityWords.Of(radios.Max(r => r.NewestSecurity)!.Value)}."
            : null;

    /// <summary>Why no radio knows these boxes as WDS peers; null where one may.</summary>
    public static string? WrongPeers(Design design, IReadOnlyList<string> peers) =>
        peers.FirstOrDefault(p => design.Box(p) is null) is { } stranger ? $"There is no box '{Ipv4Address.Shown(stranger)}'."
        : peers.Distinct().Count() < peers.Count ? "A WDS peer is listed once."
        : null;

    /// <summary>Why a radio does not send these names beside its first; null where it does.</summary>
    public static string? WrongFurtherNames(RadioSetting set) =>
        set.FurtherNames.Select(n => WrongNetworkName(n.Name) ?? WrongKeyReference(n.Password)).FirstOrDefault(w => w is not null)
        ?? (
            set.FurtherNames.Select(n => n.Name).Append(set.Name).GroupBy(n => n).FirstOrDefault(g => g.Count() > 1) is { } twice
                ? $"\"{twice.Key}\" is sent once by a radio."
                : null
        );

    /// <summary>Why a box has no room for all names of a mode, the one for guests too, on one of its radios; null where it has.</summary>
    public static string? TooManyNames(Box box, BoxMode mode)
    {
        var guests = mode is RouterMode { Guest: not null } or AccessPointMode { Guest: not null } ? 1 : 0;
        foreach (var radio in mode.Radios)
        {
            var own = box.Profile.Radios.FirstOrDefault(r => r.Id == radio.Radio);
            var (names, most) = (1 + radio.FurtherNames.Count + guests, own?.MostNames ?? BoxRadio.HighestNames);
            if (names > most)
            {
                return $"{(own is null ? radio.Radio : BandWords.Of(own.Band))} of {box.Name} sends at most {most} {(most == 1 ? "name" : "names")}"
                    + $"{(guests > 0 ? ", the one for guests included" : "")}; these are {names}.";
            }
        }
        return null;
    }

    /// <summary>Why a box does not take this radio link; null where it does.</summary>
    public static string? WrongUplink(Box box, Uplink link) =>
        box.Profile.Radios.FirstOrDefault(r => r.Id == link.Radio) is not { } radio
            ? $"The {box.Name} has no radio '{Ipv4Address.Shown(link.Radio)}'."
            : WrongNetworkName(link.Name) ?? WrongKeyReference(link.Password) ?? WrongChannel(radio.Band, link.Channel, link.WidthMhz);

    /// <summary>Why a gateway does not pass its address on like that; null where it does.</summary>
    public static string? WrongPassing(Box box, Passing passing) =>
        !box.Profile.Passes.Contains(passing.Kind)
            ? $"The {box.Name} cannot pass its public address on {(passing.Kind switch { PassKind.Port => "by port", PassKind.MacAddress => "by MAC address", _ => "by mapping" })}."
        : passing.Kind == PassKind.Port && box.Profile.Port(passing.Port ?? "") is not { Role: PortRole.Lan }
            ? "A port towards the home is needed."
        : passing.Kind != PassKind.Port && passing.To is null ? "A MAC address is needed."
        : null;

    /// <summary>Why a box of this kind cannot have been left like that; null where it can.</summary>
    public static string? WrongStored(Profile profile, StoredSettings stored) =>
        stored.State != StoredState.LastHome && stored != new StoredSettings(stored.State)
            ? "Mode, address, DHCP server and Wi-Fi are those of its last home."
        : stored.Mode is { } mode && !profile.Modes.Contains(mode) ? $"It can be {string.Join(" or ", profile.Modes.Select(ModeWords.Of))}."
        : stored.DhcpServer == Known.Yes
        && (stored.Mode ?? ModeKind.Router, profile.Modes.Contains(ModeKind.Router)) is not (ModeKind.Router, true)
            ? "Only a router has a DHCP server."
        : stored.WifiName is not null && profile.Radios.Count == 0 ? "It has no radio."
        : (stored.Address is { } address ? WrongOwnAddress(address) : null)
            ?? (stored.WifiName is { } name ? WrongNetworkName(name) : null)
            ?? WrongKeyReference(stored.WifiPassword);

    /// <summary>Why this is no port of TCP or UDP; null where it is.</summary>
    public static string? WrongTransportPort(int port) =>
        port is < 1 or > Limits.TransportPort ? $"{port} is not a port; ports are 1 to {Limits.TransportPort}." : null;
}
