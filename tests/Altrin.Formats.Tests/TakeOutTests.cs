using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using CsvHelper;

namespace Altrin.Formats.Tests;

/// <summary>The address plan, the hosts file and the topology, as others read them.</summary>
public sealed class TakeOutTests
{
    private static Observation Seen(Home home) => Judging.Prove(home.Design).Observation;

    private static Home House() =>
        Home.WithGateway()
            .Wired("a", "gw/lan1")
            .Wired("b", "gw/lan2", "192.168.8.5/24")
            .Device("b", d => d with { Name = "=1+1, \"quoted\"\nand two lines" });

    [Fact]
    public void The_address_plan_is_a_table_with_a_row_for_each_side()
    {
        var book = AddressBook.Of(Seen(House()));
        using var csv = new CsvReader(new StringReader(AddressPlanFile.Write(book)), CultureInfo.InvariantCulture);
        var rows = csv.GetRecords<dynamic>().Select(r => (IDictionary<string, object>)r).ToList();
        Assert.Equal(book.Select(e => e.Owner), rows.Select(r => (string)r["id"]));
        Assert.Equal(
            ["192.168.8.5", "fixed", "24", "00:00:5e:00:53:04", "device"],
            new[] { "address", "how", "prefix", "mac", "side" }.Select(h => (string)rows.Single(r => (string)r["id"] == "b")[h])
        );
        // No spreadsheet computes what someone was called.
        Assert.Equal("'=1+1, \"quoted\"\nand two lines", rows.Single(r => (string)r["id"] == "b")["name"]);
    }

    [Fact]
    public void The_hosts_file_names_what_is_certain_and_remarks_the_rest()
    {
        var lines = HostsFile.Write("Home\nevil", AddressBook.Of(Seen(House()))).Split('\n');
        Assert.Equal("# Hosts of Home evil", lines[0]);
        Assert.Contains("192.168.8.5\tb", lines);
        Assert.Contains("192.168.8.1\tgw", lines);
        Assert.Contains("# 192.168.8.20-192.168.8.199\ta, leased", lines);
        // hosts(5): an address, blanks, a name; or a remark; or nothing.
        Assert.All(lines, l => Assert.Matches(@"^(#.*|\d+\.\d+\.\d+\.\d+\s[a-z0-9-]+)?$", l));
    }

    /// <summary>Reservations by router and address; one address twice is kept once, and a name that was read keeps to its line.</summary>
    [Fact]
    public void The_list_of_reservations_keeps_each_address_once()
    {
        var home = House()
            .Reserve("gw", "b", "192.168.8.5")
            .Reserve("gw", "a", "192.168.8.4")
            .Router("inner", "192.168.8.1/24")
            .Cable("gw/lan3", "inner/wan")
            .Reserve("inner", "a", "192.168.8.5");
        var network = Seen(home).Network;
        Assert.Equal(
            [
                "# DHCP reservations of Home",
                "",
                "# gw: hands out 192.168.8.20-192.168.8.199",
                $"dhcp-host={network.Find("a", Side.Device)!.Mac},192.168.8.4,a",
                $"dhcp-host={network.Find("b", Side.Device)!.Mac},192.168.8.5,b",
                "",
                "# inner: hands out 192.168.8.100-192.168.8.199",
                $"# dhcp-host={network.Find("a", Side.Device)!.Mac},192.168.8.5,a",
                "",
            ],
            ReservationsFile.Write(network).Split('\n')
        );
    }

    /// <summary>
    /// What the model of RFC 8345 asks of every document: keys are there and unique, references lead somewhere, links join points of
    /// their nodes.
    /// </summary>
    [Fact]
    public void The_topology_of_every_sample_has_the_structure_of_RFC_8345()
    {
        foreach (var name in Samples.All)
        {
            var home = Samples.Home(name);
            var seen = Judging.Prove(home.Design(home.Foremost.Name)!).Observation;
            var networks = JsonNode.Parse(TopologyFile.Write(seen))!["ietf-network:networks"]!["network"]!
                .AsArray()
                .ToDictionary(n => (string)n!["network-id"]!, n => n!);
            Assert.Equal(["links", "territories"], networks.Keys);
            var points = networks.ToDictionary(
                n => n.Key,
                n =>
                    Keyed(n.Value["node"]!, "node-id")
                        .ToDictionary(x => x.Key, x => Keyed(x.Value["ietf-network-topology:termination-point"]!, "tp-id").Keys.ToHashSet())
            );
            foreach (var (id, network) in networks)
            {
                foreach (var link in Keyed(network["ietf-network-topology:link"]!, "link-id").Values)
                {
                    Assert.Contains((string)link["source"]!["source-tp"]!, points[id][(string)link["source"]!["source-node"]!]);
                    Assert.Contains((string)link["destination"]!["dest-tp"]!, points[id][(string)link["destination"]!["dest-node"]!]);
                }
            }
            Assert.Equal("links", (string)networks["territories"]["supporting-network"]![0]!["network-ref"]!);
            Assert.All(networks["territories"]["node"]!.AsArray().SelectMany(n => n!["supporting-node"]?.AsArray() ?? []), s =>
                Assert.True(points[(string)s!["network-ref"]!].ContainsKey((string)s["node-ref"]!), name)
            );
            // Each link of the home is there in both directions, and each certain address at its side.
            Assert.Equal(seen.Sheet.Links.Count * 2, networks["links"]["ietf-network-topology:link"]!.AsArray().Count);
            var addresses = networks["territories"]["node"]!
                .AsArray()
                .SelectMany(n => n!["ietf-network-topology:termination-point"]!.AsArray())
                .Select(p => p!["ietf-l3-unicast-topology:l3-termination-point-attributes"]?["ip-address"]?[0]?.GetValue<string>())
                .OfType<string>();
            Assert.Equal(
                seen.Network.Interfaces.Where(i => i.Linked)
                    .Select(i => seen.Leasing.Holdings(i) is [{ Exact: { } exact }] ? $"{exact}" : null)
                    .OfType<string>()
                    .Order(),
                addresses.Order()
            );
        }

        static Dictionary<string, JsonNode> Keyed(JsonNode list, string key) => list.AsArray().ToDictionary(n => (string)n![key]!, n => n!);
    }

    [Fact]
    public void Members_bear_the_name_of_their_module_where_it_differs_from_their_parents()
    {
        // RFC 7951, section 4: a top-level member, and one from another module than its parent, is named with its module; no other is.
        Walk(JsonDocument.Parse(TopologyFile.Write(Seen(House()))).RootElement, null);

        static void Walk(JsonElement element, string? module)
        {
            if (element.ValueKind == JsonValueKind.Array)
            {
                Assert.All(element.EnumerateArray(), e => Walk(e, module));
            }
            else if (element.ValueKind == JsonValueKind.Object)
            {
                foreach (var member in element.EnumerateObject())
                {
                    var parts = member.Name.Split(':');
                    Assert.True(parts.Length == 2 ? parts[0] != module : module is not null, member.Name);
                    Walk(member.Value, parts.Length == 2 ? parts[0] : module);
                }
            }
        }
    }
}
