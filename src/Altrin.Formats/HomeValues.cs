using System.Text.Json;
using System.Text.Json.Nodes;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>
/// Every single value of a home, by where it stands in its design file, with items of lists told by what identifies them. Two homes with
/// the same values are written alike but for the order of what the survey lists.
/// </summary>
public static class HomeValues
{
    /// <summary>Members that identify an item, by the list that it is in; items of other lists are one value together.</summary>
    private static readonly Dictionary<string, string[]> Keys = new(StringComparer.Ordinal)
    {
        ["boxes"] = ["id", "box"],
        ["devices"] = ["id", "device"],
        ["setUps"] = ["name"],
        ["cables"] = ["id"],
        ["buildings"] = ["id"],
        ["places"] = ["id"],
        ["sockets"] = ["id"],
        ["runs"] = ["id"],
        ["needs"] = ["id"],
        ["speeds"] = ["id"],
        ["radios"] = ["radio"],
        ["reservations"] = ["mac"],
        ["routes"] = ["to"],
        ["vlans"] = ["port"],
        ["accepted"] = ["finding"],
    };

    /// <summary>Objects that are one value: they are set as a whole.</summary>
    private static readonly HashSet<string> Whole = new(["profile", "air", "wan", "page", "wifi", "passing"], StringComparer.Ordinal);

    /// <summary>Objects that may be there or not, which is a setting of its own.</summary>
    private static readonly HashSet<string> Present = new(["guest", "guestName", "uplink", "satellite"], StringComparer.Ordinal);

    private static readonly Dictionary<string, Setting> OfBox = new(StringComparer.Ordinal)
    {
        ["mode"] = Setting.Mode,
        ["place"] = Setting.StandsIn,
        ["password"] = Setting.AdminPassword,
        ["wan"] = Setting.Wan,
        ["lan"] = Setting.LanAddress,
        ["page"] = Setting.PageAddress,
        ["nat"] = Setting.Nat,
        ["dmz"] = Setting.Dmz,
        ["portRequests"] = Setting.PortRequests,
        ["passing"] = Setting.Passing,
    };

    private static readonly Dictionary<string, Setting> OfServer = new(StringComparer.Ordinal)
    {
        ["on"] = Setting.DhcpServer,
        ["gateway"] = Setting.HandedGateway,
        ["leavesOutGateway"] = Setting.HandedGateway,
        ["dnsServers"] = Setting.HandedDns,
        ["leavesOutDns"] = Setting.HandedDns,
        ["leaseMinutes"] = Setting.LeaseTime,
        ["domain"] = Setting.HandedDomain,
    };

    private static readonly Dictionary<string, Setting> OfRadio = new(StringComparer.Ordinal)
    {
        ["on"] = Setting.RadioOn,
        ["name"] = Setting.WifiName,
        ["security"] = Setting.WifiSecurity,
        ["password"] = Setting.WifiPassword,
        ["channel"] = Setting.Channel,
        ["widthMhz"] = Setting.ChannelWidth,
        ["hidden"] = Setting.HiddenName,
        ["protectsFrames"] = Setting.FrameProtection,
        ["wdsPeers"] = Setting.WdsPeers,
        ["furtherNames"] = Setting.FurtherNames,
        ["region"] = Setting.Region,
    };

    private static readonly Dictionary<string, Setting> OfSite = new(StringComparer.Ordinal)
    {
        ["devices"] = Setting.Device,
        ["buildings"] = Setting.Building,
        ["places"] = Setting.Place,
        ["sockets"] = Setting.Socket,
        ["runs"] = Setting.Run,
        ["needs"] = Setting.Need,
    };

    /// <summary>All values, in order of where they stand.</summary>
    public static IReadOnlyDictionary<ValuePath, string> Of(HomeFile home)
    {
        var values = new SortedDictionary<ValuePath, string>();
        var root = (JsonObject)JsonSerializer.SerializeToNode(DesignWriter.Document(home), AltrinJson.Indented)!;
        foreach (var part in (string[])["site", "setUps"])
        {
            Walk(root[part]!, new([part]), values);
        }
        return values;
    }

    /// <summary>Where two homes differ.</summary>
    public static IReadOnlyList<ValuePath> Between(IReadOnlyDictionary<ValuePath, string> a, IReadOnlyDictionary<ValuePath, string> b) =>
        [
            .. a.Where(v => !b.TryGetValue(v.Key, out var other) || other != v.Value)
                .Select(v => v.Key)
                .Concat(b.Keys.Where(k => !a.ContainsKey(k)))
                .Order(),
        ];

    private static void Walk(JsonNode? node, ValuePath at, SortedDictionary<ValuePath, string> values)
    {
        var name = at.Parts[^1];
        switch (node)
        {
            case JsonObject whole when !Whole.Contains(name) && !(name == "address" && at.Parts is [_, _, "devices", _, _]):
                // That something is there at all is a value of its own, where it can be there with nothing more to say.
                if (at.IsItem || Present.Contains(name))
                {
                    values[at] = "";
                }
                foreach (var (member, value) in whole)
                {
                    Walk(value, at.Then(member), values);
                }
                break;
            case JsonArray list when KeyOf(name) is { } key:
                foreach (var item in list)
                {
                    Walk(item, at.Then(key((JsonObject)item!)) with { IsItem = true }, values);
                }
                break;
            case JsonValue text when name == "pool":
                var pool = text.GetValue<string>().Split('-');
                values[at.Then("first")] = pool[0];
                values[at.Then("last")] = pool[^1];
                break;
            default:
                values[at] =
                    node is JsonValue value2 && value2.TryGetValue<string>(out var plain) ? plain : node!.ToJsonString(AltrinJson.Options);
                break;
        }
    }

    private static Func<JsonObject, string>? KeyOf(string list) =>
        list == "forwards" ? item => $"{item["protocol"]}/{item["outsidePort"]}"
        : Keys.TryGetValue(list, out var members) ? item => members.Select(m => item[m]).OfType<JsonNode>().First().GetValue<string>()
        : null;

    /// <summary>Which setting stands at a place of the design file.</summary>
    /// <exception cref="ArgumentException">No setting is known for it: a new member of the file needs one.</exception>
    public static Touch TouchAt(ValuePath path) =>
        path.Parts switch
        {
            ["site", "name"] => new(Setting.HomeName, ""),
            ["site", "country"] => new(Setting.Country, ""),
            ["site", "naming"] => new(Setting.Naming, ""),
            ["site", "service", "line", var part] => new(Setting.Service, "", Pascal(part)),
            ["site", "service", var part] => new(Setting.Service, "", Pascal(part)),
            ["site", "boxes", var id] => new(Setting.Box, id),
            ["site", "boxes", var id, "profile"] => new(Setting.Profile, id),
            ["site", "boxes", var id, "stored", ..] => new(Setting.Box, id, nameof(Box.Stored)),
            ["site", "boxes", var id, "assumed", ..] => new(Setting.Box, id, nameof(Box.Assumed)),
            ["site", "boxes", var id, "label", var part] => new(Setting.Label, id, Pascal(part)),
            ["site", "boxes", var id, var part] => new(Setting.Box, id, Pascal(part)),
            ["site", "needs", var id, ..] => new(Setting.Need, id),
            ["site", "speeds", var id, ..] => new(Setting.Speed, id),
            ["site", var list, var id] => new(OfSite[list], id),
            ["site", var list, var id, var part] => new(OfSite[list], id, Pascal(part)),
            ["setUps", var name] => new(Setting.SetUp, name),
            ["setUps", var name, "name"] => new(Setting.SetUp, name),
            ["setUps", _, "boxes", var id] => new(Setting.InUse, id),
            ["setUps", _, "boxes", var id, "box"] => new(Setting.InUse, id),
            ["setUps", _, "boxes", var id, "dhcpServer", "pool", var end] => new(end == "first" ? Setting.PoolFirst : Setting.PoolLast, id),
            ["setUps", _, "boxes", var id, "dhcpServer", "reservations", var mac, ..] => new(Setting.Reservation, id, mac),
            ["setUps", _, "boxes", var id, "dhcpServer", var part] => new(OfServer[part], id),
            ["setUps", _, "boxes", var id, "forwards", var key, ..] => new(Setting.Forward, id, key),
            ["setUps", _, "boxes", var id, "routes", var to, ..] => new(Setting.Route, id, to),
            ["setUps", _, "boxes", var id, "vlans", var port, ..] => new(Setting.Vlans, id, port),
            ["setUps", _, "boxes", var id, "guest" or "guestName"] => new(Setting.Guest, id),
            ["setUps", _, "boxes", var id, "guest", "pool", _] => new(Setting.Guest, id, "Pool"),
            ["setUps", _, "boxes", var id, "guest" or "guestName", var part] => new(Setting.Guest, id, Pascal(part)),
            ["setUps", _, "boxes", var id, "uplink"] => new(Setting.Uplink, id),
            ["setUps", _, "boxes", var id, "uplink", var part] => new(Setting.Uplink, id, Pascal(part)),
            ["setUps", _, "boxes", var id, "satellite"] => new(Setting.Satellite, id),
            ["setUps", _, "boxes", var id, "satellite", var part] => new(Setting.Satellite, id, Pascal(part)),
            ["setUps", _, "boxes", var id, "line", var part] => new(Setting.Line, id, Pascal(part)),
            ["setUps", _, "boxes", var id, "radios", var radio] => new(Setting.RadioOn, id, radio),
            ["setUps", _, "boxes", var id, "radios", var radio, "radio"] => new(Setting.RadioOn, id, radio),
            ["setUps", _, "boxes", var id, "radios", var radio, var part] => new(OfRadio[part], id, radio),
            ["setUps", _, "boxes", var id, var part] => new(OfBox.TryGetValue(part, out var of) ? of : throw Unknown(path), id),
            ["setUps", _, "devices", var id, "address"] => new(Setting.DeviceAddress, id),
            ["setUps", _, "devices", var id, "wifi"] => new(Setting.DeviceWifi, id),
            ["setUps", _, "devices", var id, ..] => new(Setting.InUse, id),
            ["setUps", _, "cables", var id] => new(Setting.Plugged, id),
            ["setUps", _, "cables", var id, "id" or "from" or "to"] => new(Setting.Plugged, id),
            ["setUps", _, "cables", var id, var part] => new(Setting.Cable, id, Pascal(part)),
            ["setUps", _, "accepted", var finding, ..] => new(Setting.Acceptance, finding),
            _ => throw Unknown(path),
        };

    private static ArgumentException Unknown(ValuePath path) => new($"No setting is known for {path}.", nameof(path));

    private static string Pascal(string name) => $"{char.ToUpperInvariant(name[0])}{name[1..]}";
}

/// <summary>Where a value of a home stands: members, and what identifies items of lists, from the outside in.</summary>
/// <param name="Parts">At least one.</param>
public sealed record ValuePath(IReadOnlyList<string> Parts) : IComparable<ValuePath>
{
    /// <summary>Whether it is an item of a list, told by what identifies it.</summary>
    internal bool IsItem { get; init; }

    /// <summary>The set-up that it is in; null for what is given.</summary>
    public string? SetUp => Parts is ["setUps", var name, ..] ? name : null;

    /// <summary>One step further in.</summary>
    public ValuePath Then(string part) => new([.. Parts, part]);

    /// <inheritdoc/>
    public int CompareTo(ValuePath? other)
    {
        for (var i = 0; other is not null && i < Math.Min(Parts.Count, other.Parts.Count); i++)
        {
            if (string.CompareOrdinal(Parts[i], other.Parts[i]) is var order and not 0)
            {
                return order;
            }
        }
        return Parts.Count.CompareTo(other?.Parts.Count ?? 0);
    }

    /// <inheritdoc/>
    public bool Equals(ValuePath? other) => other is not null && CompareTo(other) == 0;

    /// <inheritdoc/>
    public override int GetHashCode() => Parts.Aggregate(17, (hash, part) => (hash * 31) + StringComparer.Ordinal.GetHashCode(part));

    /// <summary>Parts with strokes between.</summary>
    public override string ToString() => string.Join('/', Parts);
}
