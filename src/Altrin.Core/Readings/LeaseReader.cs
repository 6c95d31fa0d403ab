using System.Globalization;
using Altrin.Core.Addressing;
using Altrin.Core.Networks;

namespace Altrin.Core.Readings;

/// <summary>
/// Leases: a server's list of one lease a line (held to dnsmasq, whose file it is), blocks in braces with named options as servers and
/// clients keep them, and what clients say while they ask (udhcpc held to the command; the others from memory).
/// </summary>
internal static class LeaseReader
{
    /// <summary>The longest block in braces, in lines.</summary>
    private const int LongestBlock = 60;

    public static int Read(PrintedText sheet, int at, Found found)
    {
        var line = sheet[at];
        if (Listed(line) is { } listed)
        {
            found.Neighbours.Add(listed);
            return Took(sheet, at, 1, found);
        }
        if (Said(line) is { } said)
        {
            found.Offers.Add(said);
            return Took(sheet, at, 1, found);
        }
        if (IsTalk(line))
        {
            return Took(sheet, at, 1, found);
        }
        return line.Trimmed.EndsWith('{') && line.Words is ["lease", ..] ? Block(sheet, at, found) : 0;
    }

    private static int Took(PrintedText sheet, int at, int count, Found found)
    {
        found.Block(ReadingKind.Leases, sheet, at, count);
        return count;
    }

    /// <summary>
    /// "1764000000 02:00:5e:00:53:01 192.168.8.20 name client-id": the end of the lease in seconds since 1970, or 0 for ever.
    /// </summary>
    private static NeighbourRead? Listed(TextLine line)
    {
        var words = line.Words;
        return
            words.Length is 4 or 5
            && words[0].All(char.IsAsciiDigit)
            && words[0].Length is 1 or >= 6 and <= 11
            && MacAddress.Parse(words[1]) is { Ok: true, Value: var mac }
            && Ipv4Address.Parse(words[2]) is { Ok: true, Value: var address }
            ? new(line.Number, address, mac) { Name = words[3] == "*" ? null : words[3] }
            : null;
    }

    /// <summary>
    /// What a client says: "DHCPOFFER of A from S", "lease of A obtained from S, lease time N", and the like in capitals.
    /// </summary>
    private static OfferRead? Said(TextLine line)
    {
        var kind =
            line.Contains("DHCPOFFER") ? DhcpKind.Offer
            : line.Contains("DHCPACK") ? DhcpKind.Ack
            : line.Contains("DHCPNAK") ? DhcpKind.Nak
            : line.Contains("lease of") && line.Contains("obtained") ? DhcpKind.Ack
            : (DhcpKind?)null;
        var addresses = line.Addresses.Select(t => t.Address).ToList();
        if (kind is not { } said || addresses.Count == 0)
        {
            return null;
        }
        // A server writes who asked where a client writes who answered.
        var own = line.Mac is { } client ? IpReader.Own(client) : null;
        var from = line.Trimmed.Contains(" from ", StringComparison.Ordinal) && addresses.Count > 1 ? addresses[^1] : (Ipv4Address?)null;
        return new(
            line.Number,
            said,
            said == DhcpKind.Nak && addresses.Count == 1 ? addresses[0] : from,
            said == DhcpKind.Nak ? null : addresses[0]
        )
        {
            Client = own,
            LeaseSeconds = line
                .Numbers.Where(n => n.Whole && line.Contains("lease time"))
                .Select(n => (long?)(long)n.Value)
                .LastOrDefault(),
        };
    }

    private static bool IsTalk(TextLine line) =>
        line.Contains("DHCPDISCOVER")
        || line.Contains("DHCPREQUEST")
        || line.Contains("DHCPRELEASE")
        || line.Contains("DHCPINFORM")
        || line.StartsWith("udhcpc: ")
        || (line.StartsWith("bound to ") && line.Addresses.Any());

    private static int Block(PrintedText sheet, int at, Found found)
    {
        var head = sheet[at];
        // A server names the address in the head; a client has it inside.
        Ipv4Address? given = head.Addresses.Select(t => (Ipv4Address?)t.Address).FirstOrDefault();
        var isServer = given is not null;
        var (server, gateway, prefix, mac, name, seconds) = (
            (Ipv4Address?)null,
            (Ipv4Address?)null,
            (int?)null,
            (MacAddress?)null,
            (string?)null,
            (long?)null
        );
        IReadOnlyList<Ipv4Address> names = [];
        var count = 1;
        for (; count < LongestBlock && at + count < sheet.Lines.Count; count++)
        {
            var line = sheet[at + count];
            Ipv4Address? first = line.Addresses.Select(t => (Ipv4Address?)t.Address).FirstOrDefault();
            if (line.Trimmed == "}")
            {
                count++;
                break;
            }
            if (line.Words is ["lease", ..] && line.Trimmed.EndsWith('{'))
            {
                break;
            }
            switch (line.Words)
            {
                case ["fixed-address", ..]:
                    given = first;
                    break;
                case ["option", "dhcp-server-identifier", ..]:
                    server = first;
                    break;
                case ["option", "routers", ..]:
                    gateway = first;
                    break;
                case ["option", "subnet-mask", ..]:
                    prefix = first is { } mask ? Subnet.PrefixOf(mask) : null;
                    break;
                case ["option", "domain-name-servers", ..]:
                    names = [.. line.Addresses.Select(t => t.Address)];
                    break;
                case ["option", "dhcp-lease-time", var time, ..]:
                    seconds = long.TryParse(time.TrimEnd(';'), NumberStyles.None, CultureInfo.InvariantCulture, out var parsed)
                        ? parsed
                        : null;
                    break;
                case ["hardware", ..]:
                    mac = IpReader.Own(line.Mac);
                    break;
                case ["client-hostname", var called, ..]:
                    name = called.Trim('"', ';');
                    break;
                default:
                    break;
            }
        }
        if (isServer)
        {
            found.Neighbours.Add(new(head.Number, given, mac) { Name = name });
        }
        else if (given is not null)
        {
            found.Offers.Add(
                new(head.Number, DhcpKind.Ack, server, given)
                {
                    Gateway = gateway,
                    PrefixLength = prefix,
                    DnsServers = names,
                    LeaseSeconds = seconds,
                }
            );
        }
        return Took(sheet, at, count, found);
    }
}
