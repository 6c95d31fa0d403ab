using Altrin.Core.Addressing;

namespace Altrin.Core.Readings;

/// <summary>
/// Tables of routes: five columns with the adapter by its address (route print), eight with flags (route -n, held to the command), and
/// the one of the BSD family (netstat -rn; the first and the last from memory).
/// </summary>
internal static class RouteReader
{
    public static int Read(PrintedText sheet, int at, Found found)
    {
        var line = sheet[at];
        if (Interface(line) is { } listed)
        {
            found.Adapters.Add(listed);
        }
        else if (Route(line) is { } route)
        {
            found.Routes.Add(route);
        }
        else if (Bsd(line, found)) { }
        else if (!IsHead(sheet, at) && !IsTail(sheet, at))
        {
            return 0;
        }
        found.Block(ReadingKind.Routes, sheet, at, 1);
        return 1;
    }

    /// <summary>" 12...02 00 5e 00 53 01 ......Name": an adapter in the list that stands before the table.</summary>
    private static AdapterRead? Interface(TextLine line)
    {
        var dots = line.Trimmed.IndexOf("...", StringComparison.Ordinal);
        if (dots is < 1 or > 4 || !line.Trimmed.AsSpan(0, dots).ContainsOnlyDigits())
        {
            return null;
        }
        var rest = line.Trimmed[(dots + 3)..].TrimStart('.');
        var end = rest.IndexOf("..", StringComparison.Ordinal);
        if (end < 0)
        {
            return new(line.Number, rest.Trim()) { Inside = true };
        }
        var octets = rest[..end].Trim().Split(' ');
        return new(line.Number, rest[end..].TrimStart('.').Trim())
        {
            Mac = octets.Length == 6 && MacAddress.Parse(string.Join(':', octets)) is { Ok: true, Value: var mac } ? mac : null,
            Inside = octets.Length != 6,
        };
    }

    private static RouteRead? Route(TextLine line)
    {
        var (words, tokens) = (line.Words, line.Tokens);
        var isDefault = words.Length > 0 && words[0] == "default";
        var addresses = line.Addresses.Select(t => t.Address).ToList();
        if ((!isDefault && tokens is not [{ Kind: TokenKind.Address, Start: 0, PrefixLength: null }, ..]) || line.Mac is not null)
        {
            return null;
        }
        if (isDefault)
        {
            addresses.Insert(0, Ipv4Address.Any);
        }
        // Destination, gateway, mask, flags, ..., adapter.
        if (
            addresses.Count == 3
            && words.Length >= 5
            && words[3] is ['U' or '!', ..]
            && words[3].All(char.IsAsciiLetterUpper) | words[3] == "!"
            && Subnet.PrefixOf(addresses[2]) is { } length
        )
        {
            return new(
                line.Number,
                Subnet.Containing(addresses[0], length),
                addresses[1] == Ipv4Address.Any ? null : addresses[1],
                words[^1]
            )
            {
                Metric = words.Length > 4 && int.TryParse(words[4], out var metric) ? metric : null,
            };
        }
        // Destination, mask, gateway or "on the link" in words, adapter's own address, metric.
        if (
            addresses.Count < 3
            || words.Length < 4
            || Subnet.PrefixOf(addresses[1]) is not { } prefix
            || (prefix == 0 && addresses[0] != Ipv4Address.Any)
        )
        {
            return null;
        }
        int? own = int.TryParse(words[^1], out var last) ? last : null;
        return addresses.Count == 4
                ? new(line.Number, Subnet.Containing(addresses[0], prefix), addresses[2], $"{addresses[3]}") { Metric = own }
            : Ipv4Address.Parse(words[2]).Ok ? new(line.Number, Subnet.Containing(addresses[0], prefix), addresses[2], "") { Metric = own }
            : new(line.Number, Subnet.Containing(addresses[0], prefix), null, $"{addresses[2]}") { Metric = own };
    }

    /// <summary>
    /// "default 192.168.8.1 UGScg en0", "192.168.8 link#4 UCS en0"; a neighbour where a MAC address stands for the gateway.
    /// </summary>
    private static bool Bsd(TextLine line, Found found)
    {
        var words = line.Words;
        if (words.Length < 4 || words[2] is not ['U', ..] || !words[2].All(char.IsAsciiLetter))
        {
            return false;
        }
        if (Destination(words[0]) is not { } to)
        {
            return words[0].Contains(':', StringComparison.Ordinal);
        }
        if (line.Mac is { } mac)
        {
            if (to.PrefixLength == 32)
            {
                found.Neighbours.Add(new(line.Number, to.Network, IpReader.Own(mac)));
            }
            return true;
        }
        // The destination may be an abbreviated subnet; only the second word can be the gateway.
        Ipv4Address? gateway = Ipv4Address.Parse(words[1]) is { Ok: true, Value: var parsed } ? parsed : null;
        if (
            gateway is null
            && !words[1].StartsWith("link#", StringComparison.Ordinal)
            && !words[1].Contains(':', StringComparison.Ordinal)
            && !words[1].All(char.IsAsciiLetterOrDigit)
        )
        {
            return false;
        }
        // Routes to single hosts are the machine's notes on neighbours.
        if (to.PrefixLength < 32)
        {
            found.Routes.Add(
                new(
                    line.Number,
                    to,
                    gateway,
                    words.Length > 4 && words[^1].All(char.IsAsciiDigit) | words[^1] == "!" ? words[^2] : words[^1]
                )
            );
        }
        return true;
    }

    private static Subnet? Destination(string word)
    {
        if (word == "default")
        {
            return Subnet.Containing(Ipv4Address.Any, 0);
        }
        var parts = word.Split('/');
        var groups = parts[0].Split('.');
        if (groups.Length > 4 || groups.Any(g => g.Length is 0 or > 3 || !g.AsSpan().ContainsOnlyDigits()) || parts.Length > 2)
        {
            return null;
        }
        var address = Ipv4Address.Parse(string.Join('.', groups.Concat(Enumerable.Repeat("0", 4 - groups.Length))));
        return !address.Ok ? null
            : parts.Length == 1 ? Subnet.Containing(address.Value, groups.Length * 8)
            : int.TryParse(parts[1], out var prefix) && prefix is >= 0 and <= 32 ? Subnet.Containing(address.Value, prefix)
            : null;
    }

    /// <summary>Headings and rules over a table: short lines without an address, and a row of the table within a few lines.</summary>
    private static bool IsHead(PrintedText sheet, int at)
    {
        // The heads of the BSD family are not translated, and stand over empty tables too.
        if (
            IsRule(sheet[at])
            || sheet[at].Trimmed is "Routing tables" or "Internet:"
            || sheet[at].Words is ["Destination", "Gateway", "Flags", ..]
        )
        {
            return true;
        }
        for (var ahead = 0; ahead <= 4 && sheet[at + ahead] is var line && (ahead > 0 || line.Trimmed.Length <= 100); ahead++)
        {
            if (
                ahead > 0
                && (
                    Route(line) is not null
                    || Interface(line) is not null
                    || (line.Words is [var to, _, ['U', ..], _, ..] && Destination(to) is not null)
                )
            )
            {
                return true;
            }
            if (line.Tokens.Any(t => t.Kind != TokenKind.Number))
            {
                return false;
            }
        }
        return false;
    }

    /// <summary>What follows the rule that ends a table: a heading over nothing, and the word that says so.</summary>
    private static bool IsTail(PrintedText sheet, int at) =>
        at >= 2
        && sheet[at].Tokens.Count == 0
        && sheet[at].Trimmed.Length <= 60
        && (
            (IsRule(sheet[at - 1]) && sheet[at].Trimmed is [.., ':'])
            || (IsRule(sheet[at - 2]) && sheet[at - 1].Trimmed is [.., ':'] && sheet[at].Indent > 0)
        );

    private static bool IsRule(TextLine line) => line.Trimmed.Length >= 20 && line.Trimmed.All(c => c == '=');

    private static bool ContainsOnlyDigits(this ReadOnlySpan<char> text)
    {
        foreach (var c in text)
        {
            if (!char.IsAsciiDigit(c))
            {
                return false;
            }
        }
        return text.Length > 0;
    }
}
