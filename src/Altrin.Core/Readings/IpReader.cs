using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Readings;

/// <summary>
/// ip addr, ip route, ip neigh, and the list of DNS servers (layouts of iproute2 and of resolv.conf, held to the commands themselves).
/// </summary>
internal static class IpReader
{
    public static int Read(PrintedText sheet, int at, Found found) =>
        Head(sheet[at]) is { } name ? Addresses(sheet, at, name, found)
        : Brief(sheet[at]) is { } brief ? One(ReadingKind.Adapters, sheet, at, found, () => found.Adapters.Add(brief))
        : Route(sheet[at]) is { } route ? One(ReadingKind.Routes, sheet, at, found, () =>
            {
                if (route.Read is { } read)
                {
                    found.Routes.Add(read);
                }
            })
        : Neighbour(sheet[at]) is { } near ? One(ReadingKind.AddressTable, sheet, at, found, () => found.Neighbours.Add(near))
        : Resolver(sheet[at], found) ? One(ReadingKind.DnsServers, sheet, at, found, () => { })
        : 0;

    private static int One(ReadingKind kind, PrintedText sheet, int at, Found found, Action note)
    {
        note();
        found.Block(kind, sheet, at, 1);
        return 1;
    }

    /// <summary>"2: eth0: &lt;BROADCAST,UP&gt; mtu 1500", also with "@if5" behind the name.</summary>
    private static string? Head(TextLine line)
    {
        var words = line.Words;
        return
            words.Length >= 3
            && words[0] is [.., ':']
            && words[0][..^1].All(char.IsAsciiDigit)
            && words[1] is [_, .., ':']
            && words[2] is ['<', .., '>']
            ? words[1][..^1].Split('@')[0]
            : null;
    }

    private static int Addresses(PrintedText sheet, int at, string name, Found found)
    {
        var head = sheet[at];
        var flags = head.Words[2].Trim('<', '>').Split(',');
        var read = new AdapterRead(head.Number, name)
        {
            Inside = flags.Contains("LOOPBACK") || flags.Contains("POINTOPOINT"),
            Linked =
                flags.Contains("NO-CARRIER") || !flags.Contains("UP") ? Known.No
                : flags.Contains("LOWER_UP") ? Known.Yes
                : Known.Unknown,
        };
        var count = 1;
        for (; sheet[at + count] is { Indent: > 0, IsBlank: false } line && Head(line) is null; count++)
        {
            var words = line.Words;
            switch (words[0])
            {
                case "link/ether":
                    read = read with { Mac = Own(line.Mac) };
                    break;
                case not null when words[0].StartsWith("link/", StringComparison.Ordinal):
                    read = read with { Inside = true };
                    break;
                case "inet"
                    when line.Addresses.FirstOrDefault() is { Kind: TokenKind.Address } own
                        && (read.Address is null || read.Way == AddressWay.SelfAssigned):
                    read = read with
                    {
                        Address = new(own.Address, own.PrefixLength ?? 32),
                        Way =
                            SpecialBlock.UseOf(own.Address) == AddressUse.LinkLocal ? AddressWay.SelfAssigned
                            : words.Contains("dynamic") ? AddressWay.Leased
                            : AddressWay.Unknown,
                    };
                    break;
                // An address without a clock was typed by hand; some programs that lease keep the clock to themselves.
                case "valid_lft" when words is [_, "forever", ..] && read is { Address: not null, Way: AddressWay.Unknown, Inside: false }:
                    read = read with { Way = AddressWay.Fixed };
                    break;
                default:
                    break;
            }
        }
        found.Adapters.Add(read);
        found.Block(ReadingKind.Adapters, sheet, at, count);
        return count;
    }

    /// <summary>"eth0 UP 192.168.8.20/24 fe80::1/64", of the brief form.</summary>
    private static AdapterRead? Brief(TextLine line)
    {
        var words = line.Words;
        if (words.Length < 2 || words[1] is not ("UP" or "DOWN" or "UNKNOWN" or "LOWERLAYERDOWN" or "DORMANT") || line.Indent > 0)
        {
            return null;
        }
        var own = line.Addresses.FirstOrDefault();
        return new(line.Number, words[0].Split('@')[0])
        {
            Mac = Own(line.Mac),
            Address = own is { PrefixLength: { } prefix } ? new(own.Address, prefix) : null,
            Linked =
                words[1] == "UP" ? Known.Yes
                : words[1] == "UNKNOWN" ? Known.Unknown
                : Known.No,
            Inside = words[0] == "lo",
        };
    }

    private static (RouteRead? Read, bool Is)? Route(TextLine line)
    {
        var words = line.Words;
        if (words.Length < 3 || !words.Contains("dev"))
        {
            return words is ["unreachable" or "blackhole" or "prohibit", _, ..] && line.Addresses.Any() ? (null, true) : null;
        }
        var to =
            words[0] == "default" ? Subnet.Containing(Ipv4Address.Any, 0)
            : line.Tokens is [{ Kind: TokenKind.Address, Start: 0 } first, ..]
            && !words.Contains("lladdr")
            && words[1] is "via" or "dev"
            && !States.Contains(words[^1])
                ? Subnet.Containing(first.Address, first.PrefixLength ?? 32)
            : (Subnet?)null;
        if (to is not { } destination)
        {
            return null;
        }
        return (
            new(
                line.Number,
                destination,
                After(words, "via") is { } via && Ipv4Address.Parse(via) is { Ok: true, Value: var gateway } ? gateway : null,
                After(words, "dev") ?? ""
            )
            {
                Metric = After(words, "metric") is { } metric && int.TryParse(metric, out var number) ? number : null,
                Own = After(words, "src") is { } source && Ipv4Address.Parse(source) is { Ok: true, Value: var own } ? own : null,
                Leased = After(words, "proto") == "dhcp",
            },
            true
        );
    }

    private static readonly string[] States =
    [
        "REACHABLE",
        "STALE",
        "DELAY",
        "PROBE",
        "PERMANENT",
        "NOARP",
        "FAILED",
        "INCOMPLETE",
        "NONE",
    ];

    private static NeighbourRead? Neighbour(TextLine line)
    {
        var words = line.Words;
        return
            words.Length >= 3
            && line.Tokens is [{ Kind: TokenKind.Address, Start: 0 } near, ..]
            && (words[1] == "dev" || words[1] == "lladdr")
            && States.Contains(words[^1])
            ? new(line.Number, near.Address, Own(line.Mac))
            : null;
    }

    private static bool Resolver(TextLine line, Found found)
    {
        var words = line.Words;
        if (words is ["nameserver", var server, ..])
        {
            if (Ipv4Address.Parse(server) is { Ok: true, Value: var address })
            {
                found.DnsServers.Add(address);
            }
            return true;
        }
        return words is ["search" or "domain", _, ..] && words.All(w => w.All(c => char.IsLetterOrDigit(c) || c is '.' or '-'));
    }

    /// <summary>An address that one station can have; null for group addresses and the zero address.</summary>
    internal static MacAddress? Own(MacAddress? mac) => mac is { IsGroup: false, Bits: > 0 } own ? own : null;

    private static string? After(string[] words, string key) =>
        Array.IndexOf(words, key) is var at and >= 0 && at + 1 < words.Length ? words[at + 1] : null;
}
