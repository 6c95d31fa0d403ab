using System.Collections.Frozen;
using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Readings;

/// <summary>
/// Labels with values that stand without the heads of a command: rows copied out of a longer output, the status page of a phone or a box
/// pasted as text, lines that a person typed. A value stands behind its label or in the line below. Two labels that are known make a
/// reading; what is not there is left open (labels from memory).
/// </summary>
internal static class StatusReader
{
    /// <summary>What a label says that its value is.</summary>
    internal enum Field
    {
        Own,
        Mask,
        Gateway,
        Dns,
        Server,
        Mac,
    }

    /// <summary>How many values are read in one: what is tried from each line stays bounded.</summary>
    private const int MostValues = 32;

    private static readonly FrozenDictionary<string, Field> Labels = new (Field Field, string[] Said)[]
    {
        (Field.Own, ["ip", "ipv4", "address", "ip address", "ipv4 address", "ip addr"]),
        (Field.Own, ["ip-adresse", "ipv4-adresse", "adresse ip", "adresse ipv4", "dirección ip", "dirección ipv4"]),
        (Field.Own, ["indirizzo ip", "indirizzo ipv4", "ip-adres", "ipv4-adres"]),
        (Field.Mask, ["mask", "subnet", "subnet mask", "netmask", "network mask"]),
        (Field.Mask, ["subnetzmaske", "masque de sous-réseau", "máscara de subred", "maschera di sottorete", "subnetmasker"]),
        (Field.Gateway, ["gateway", "default gateway", "router"]),
        (Field.Gateway, ["standardgateway", "passerelle", "passerelle par défaut", "puerta de enlace"]),
        (Field.Gateway, ["puerta de enlace predeterminada", "gateway predefinito", "standaardgateway"]),
        (Field.Dns, ["dns", "dns server", "dns servers", "dns 1", "dns 2", "primary dns", "secondary dns", "dns-server"]),
        (Field.Dns, ["serveurs dns", "serveur dns", "servidores dns", "servidor dns", "server dns", "dns-servers"]),
        (Field.Server, ["dhcp", "dhcp server", "dhcp-server", "serveur dhcp", "servidor dhcp", "server dhcp"]),
        (Field.Mac, ["mac", "mac address", "physical address", "hardware address", "wi-fi address", "wi-fi mac address"]),
        (Field.Mac, ["mac-adresse", "physische adresse", "physikalische adresse", "adresse mac", "adresse physique"]),
        (Field.Mac, ["dirección mac", "dirección física", "indirizzo mac", "indirizzo fisico", "mac-adres", "fysiek adres"]),
    }
        .SelectMany(f => f.Said.Select(label => (label, f.Field)))
        .ToFrozenDictionary(l => l.label, l => l.Field, StringComparer.OrdinalIgnoreCase);

    public static int Read(PrintedText sheet, int at, Found found)
    {
        var read = new List<(Field Field, TextLine Value)>();
        var (next, end) = (at, at);
        // A label that comes again begins the next; of DNS servers there may be several.
        while (
            read.Count < MostValues
            && Pair(sheet, next) is { } pair
            && (pair.Field == Field.Dns || !read.Exists(r => r.Field == pair.Field))
        )
        {
            read.AddRange(pair.Values.Select(v => (pair.Field, v)));
            end = next + pair.Count;
            next = sheet.NotBlank(end, 2);
        }
        if (
            read.Select(r => r.Field).Distinct().Count() < 2
            || !read.Exists(r => r.Field is Field.Own or Field.Gateway && r.Value.Addresses.Any())
        )
        {
            return 0;
        }
        found.Adapters.Add(Adapter(sheet[at].Number, read));
        found.Block(ReadingKind.Adapters, sheet, at, end - at);
        return end - at;
    }

    /// <summary>A label with its values, and how many lines it takes; null where no known label stands there.</summary>
    private static (Field Field, IReadOnlyList<TextLine> Values, int Count)? Pair(PrintedText sheet, int at)
    {
        var line = sheet[at];
        var first = line.Tokens.FirstOrDefault(t => t.Kind is TokenKind.Address or TokenKind.Mac);
        if (Of(first is null ? line.Trimmed : line.Trimmed[..first.Start]) is not { } field)
        {
            return null;
        }
        if (first is not null)
        {
            return (field, [line], 1);
        }
        // Values in the lines below have these to themselves.
        var values = new List<TextLine>();
        while (
            sheet[at + 1 + values.Count] is { Tokens: [{ Start: 0, Kind: TokenKind.Address or TokenKind.Mac }] } below
            && (values.Count == 0 || field == Field.Dns && values.Count < MostValues)
        )
        {
            values.Add(below);
        }
        return (field, values, 1 + values.Count);
    }

    /// <summary>What a label says, with or without the dots and blanks that lead to its value; null where it is not known.</summary>
    internal static Field? Of(string label) => Labels.TryGetValue(label.Trim(' ', '.', ':', '=', '\t'), out var field) ? field : null;

    private static AdapterRead Adapter(int line, List<(Field Field, TextLine Value)> read)
    {
        var own = First(Field.Own);
        var prefix = own?.PrefixLength ?? (First(Field.Mask) is { } mask ? Subnet.PrefixOf(mask.Address) : null);
        return new(line, "")
        {
            Address = own is not null && prefix is { } length ? new InterfaceAddress(own.Address, length) : null,
            AddressAlone = prefix is null ? own?.Address : null,
            Gateway = First(Field.Gateway)?.Address,
            Server = First(Field.Server)?.Address,
            Way = First(Field.Server) is null ? AddressWay.Unknown : AddressWay.Leased,
            DnsServers = [.. read.Where(r => r.Field == Field.Dns).SelectMany(r => r.Value.Addresses).Select(t => t.Address).Distinct()],
            Mac = read.Where(r => r.Field == Field.Mac).Select(r => IpReader.Own(r.Value.Mac)).FirstOrDefault(m => m is not null),
            Linked = own is null ? Known.Unknown : Known.Yes,
        };

        Token? First(Field field) => read.Where(r => r.Field == field).SelectMany(r => r.Value.Addresses).FirstOrDefault();
    }
}
