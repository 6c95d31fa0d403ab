using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>
/// The settled network as data that other tools read: RFC 8345 (networks and topology) and RFC 8346 (layer 3) in the JSON
/// encoding of YANG data (RFC 7951); member names from memory. Two networks: "links" with boxes, devices, ports and what joins
/// them, and above it "territories" with who has an address in which segment.
/// </summary>
public static class TopologyFile
{
    /// <summary>The media type of YANG data in JSON (RFC 8040, section 11.3.2).</summary>
    public const string MediaType = "application/yang-data+json";

    private const string Links = "links",
        Territories = "territories",
        Topology = "ietf-network-topology",
        Layer3 = "ietf-l3-unicast-topology";

    private static readonly JsonSerializerOptions Indented = new(AltrinJson.Indented)
    {
        DefaultIgnoreCondition = JsonIgnoreCondition.Never,
    };

    /// <summary>The document of a network.</summary>
    public static string Write(Observation seen) => Document(seen).ToJsonString(Indented) + "\n";

    private static JsonObject Document(Observation seen) =>
        new() { ["ietf-network:networks"] = new JsonObject { ["network"] = new JsonArray(Below(seen), Above(seen)) } };

    /// <summary>Who is joined with whom; a link has a direction in this model, so that each is written twice.</summary>
    private static JsonObject Below(Observation seen)
    {
        var ends = seen
            .Sheet.Links.SelectMany(l => new[] { l.A, l.B }.Select(e => (e.Owner, Point: Point(e, l))))
            .Distinct()
            .ToLookup(e => e.Owner, e => e.Point, StringComparer.Ordinal);
        var owners = seen
            .Network.Segments.SelectMany(s => s.Boxes.Concat(s.Interfaces.Select(i => i.Owner)))
            .Concat(ends.Select(e => e.Key))
            .Distinct()
            .Order(StringComparer.Ordinal);
        return new()
        {
            ["network-id"] = Links,
            ["network-types"] = new JsonObject(),
            ["node"] = Array(
                owners.Select(o => new JsonObject
                {
                    ["node-id"] = o,
                    [$"{Topology}:termination-point"] = Array(
                        ends[o].Order(StringComparer.Ordinal).Select(p => new JsonObject { ["tp-id"] = p })
                    ),
                })
            ),
            [$"{Topology}:link"] = Array(seen.Sheet.Links.SelectMany(l => new[] { Link(l, l.A, l.B, "there"), Link(l, l.B, l.A, "back") })),
        };
    }

    /// <summary>
    /// Who has an address where: a segment is a node of its own with a point for each of its members (the pseudonode of RFC 8345, section
    /// 4.4.5).
    /// </summary>
    private static JsonObject Above(Observation seen)
    {
        var sides = seen.Network.Interfaces.Where(i => i.Side != Side.Laptop && i.Linked).ToList();
        var segments = seen.Network.Segments.Where(s => sides.Any(i => i.Segment == s.Id)).ToList();
        return new()
        {
            ["network-id"] = Territories,
            ["network-types"] = new JsonObject { [$"{Layer3}:l3-unicast-topology"] = new JsonObject() },
            ["supporting-network"] = new JsonArray(new JsonObject { ["network-ref"] = Links }),
            ["node"] = Array([
                .. sides
                    .GroupBy(i => i.Owner)
                    .OrderBy(g => g.Key, StringComparer.Ordinal)
                    .Select(g => new JsonObject
                    {
                        ["node-id"] = g.Key,
                        ["supporting-node"] = new JsonArray(new JsonObject { ["network-ref"] = Links, ["node-ref"] = g.Key }),
                        [$"{Layer3}:l3-node-attributes"] = new JsonObject { ["name"] = seen.Network.NameOf(g.Key) },
                        [$"{Topology}:termination-point"] = Array(g.Select(i => Member(seen, i))),
                    }),
                .. segments.Select(s => new JsonObject
                {
                    ["node-id"] = Segment(s.Id),
                    [$"{Layer3}:l3-node-attributes"] = new JsonObject
                    {
                        ["name"] = AddressBook.Territory(seen.Network, s.Id),
                        ["prefix"] = Array(
                            seen.Sheet.Segments.FirstOrDefault(f => f.Id == s.Id)
                                ?.Subnets.Select(p => new JsonObject { ["prefix"] = $"{p}" })
                                ?? []
                        ),
                    },
                    [$"{Topology}:termination-point"] = Array(
                        sides.Where(i => i.Segment == s.Id).Select(i => new JsonObject { ["tp-id"] = Of(i) })
                    ),
                }),
            ]),
            [$"{Topology}:link"] = Array(
                sides.SelectMany(i =>
                    new[]
                    {
                        Link($"{Of(i)} into {Segment(i.Segment)}", (i.Owner, Of(i)), (Segment(i.Segment), Of(i))),
                        Link($"{Segment(i.Segment)} to {Of(i)}", (Segment(i.Segment), Of(i)), (i.Owner, Of(i))),
                    }
                )
            ),
        };
    }

    private static JsonObject Member(Observation seen, Interface side)
    {
        var member = new JsonObject { ["tp-id"] = Of(side) };
        if (seen.Leasing.Holdings(side) is [{ Exact: { } exact }])
        {
            // Only what is certain: an address that the server decides is no fact.
            member[$"{Layer3}:l3-termination-point-attributes"] = new JsonObject { ["ip-address"] = new JsonArray($"{exact}") };
        }
        return member;
    }

    private static JsonObject Link(LinkFact link, PortRef from, PortRef to, string way) =>
        Link($"{link.Id} {way}", (from.Owner, Point(from, link)), (to.Owner, Point(to, link)));

    private static JsonObject Link(string id, (string Node, string Point) from, (string Node, string Point) to) =>
        new()
        {
            ["link-id"] = id,
            ["source"] = new JsonObject { ["source-node"] = from.Node, ["source-tp"] = from.Point },
            ["destination"] = new JsonObject { ["dest-node"] = to.Node, ["dest-tp"] = to.Point },
        };

    /// <summary>Where a link ends: the port, or for radio and for devices without named ports the link itself.</summary>
    private static string Point(PortRef end, LinkFact link) => end.Port.Length > 0 ? end.Port : link.Id;

    private static string Of(Interface side) => $"{side.Owner}/{side.Side.ToString().ToLowerInvariant()}";

    private static string Segment(string id) => $"segment {id}";

    private static JsonArray Array(IEnumerable<JsonObject> items) => new([.. items]);
}
